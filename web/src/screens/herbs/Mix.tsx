import { useState } from "react";
import { Link } from "react-router";
import { useMix, useUndoMix } from "../../api/changes";
import { useMixPlan } from "../../api/queries";
import { Primary } from "../../parts/Field";
import { fullDate, grams } from "../../parts/say";
import { Loading, Trouble } from "../../parts/states";
import { Undo } from "../../parts/Undo";
import { NumberWord } from "../household/inPlace";

/** A small jar of it, g. */
const JARFUL_G = 60;

/** Mixes the blend into its jar: what is weighed out of which tin, how long it is good, and then it stands on the shelf. */
export function Mix({ slug, common }: { slug: string; common: string }) {
  const [amount, setAmount] = useState(JARFUL_G);
  const plan = useMixPlan(slug, amount);
  const mix = useMix();
  const undo = useUndoMix();
  if (plan.isPending) return <Loading what="what it takes" />;
  if (plan.error) return <Trouble error={plan.error} again={() => plan.refetch()} />;
  const { parts, bestBefore, why } = plan.data;
  return (
    <section aria-labelledby="mix" className="mt-6">
      <h3 id="mix" className="text-xl">
        Mix it
      </h3>
      <p className="mt-1 text-lg">
        <NumberWord
          label="How much is mixed"
          shown={grams(amount)}
          value={amount}
          of="mass"
          field="grams"
          wrong={() => (amount < 1 || amount > 10_000 ? "1 to 10 000 g" : undefined)}
          onKeep={(g, close) => {
            if (g !== undefined) setAmount(g);
            close();
          }}
        />{" "}
        of it for its jar:
      </p>
      <ul className="mt-2 max-w-2xl" aria-label="What is taken for it">
        {parts.map((p, i) => (
          <li
            key={`${p.herb}${i}`}
            className="flex flex-wrap items-baseline gap-x-3 border-hairline border-b py-1.5"
          >
            <span className="figure w-20 text-lg">{grams(p.grams)}</span>
            <span className="font-semibold">{p.common}</span>
            <span className="text-muted text-sm">
              {p.form}, {p.cut}, about {p.measure}
            </span>
            {(p.less || !p.tin) && (
              <span className="ml-auto font-semibold text-amber-text text-sm">
                {p.tin ? "there is less in its tin" : "no tin of it"}
              </span>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-2 max-w-prose text-muted text-sm">
        {bestBefore && `Good until ${fullDate(bestBefore)}. `}
        {why}
      </p>
      {mix.error && <Trouble error={mix.error} />}
      {undo.error && <Trouble error={undo.error} />}
      <div className="mt-3">
        <Primary busy={mix.isPending} onClick={() => mix.mutate({ blend: slug, grams: amount })}>
          Mixed: into its jar
        </Primary>
      </div>
      {mix.data && (
        <Undo
          words={`${grams(amount)} of ${common} are in its jar, and out of the tins.`}
          onUndo={() => undo.mutate(mix.data.id, { onSuccess: () => mix.reset() })}
        />
      )}
      {mix.data && (
        <p className="mt-2">
          <Link to={`/keeping?tin=${mix.data.tin.id}`} className="underline underline-offset-4">
            Its jar on the shelf
          </Link>
          ,{" "}
          <a
            href={`/api/labels.pdf?paper=roll&tin=${mix.data.tin.id}`}
            target="_blank"
            rel="noreferrer"
            className="underline underline-offset-4"
          >
            its label
          </a>
        </p>
      )}
    </section>
  );
}
