import { useState } from "react";
import { Link } from "react-router";
import { useMix, useUndoMix } from "../../api/changes";
import { useMixPlan } from "../../api/queries";
import { Primary } from "../../parts/Field";
import { fullDate, grams } from "../../parts/say";
import { Loading, Trouble } from "../../parts/states";
import { Undo } from "../../parts/Undo";
import { cutSaid, formSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { NumberWord } from "../household/inPlace";

/** A small jar of it, g. */
const JARFUL_G = 60;

/** Mixes the blend into its jar: what is weighed out of which tin, how long it is good, and then it stands on the shelf. */
export function Mix({ slug, common }: { slug: string; common: string }) {
  const [amount, setAmount] = useState(JARFUL_G);
  const plan = useMixPlan(slug, amount);
  const mix = useMix();
  const undo = useUndoMix();
  if (plan.isPending) return <Loading what={say("herbs.whatItTakes")} />;
  if (plan.error) return <Trouble error={plan.error} again={() => plan.refetch()} />;
  const { parts, bestBefore, why } = plan.data;
  return (
    <section aria-labelledby="mix" className="mt-6">
      <h3 id="mix" className="text-xl">
        {say("herbs.mixIt")}
      </h3>
      <p className="mt-1 text-lg">
        <Said
          of="herbs.ofItForItsJar"
          howMuchIs={
            <NumberWord
              label={say("herbs.howMuchIsMixed")}
              shown={grams(amount)}
              value={amount}
              of="mass"
              field="grams"
              wrong={() => (amount < 1 || amount > 10_000 ? say("herbs.mixBetween") : undefined)}
              onKeep={(g, close) => {
                if (g !== undefined) setAmount(g);
                close();
              }}
            />
          }
        />
      </p>
      <ul className="mt-2 max-w-2xl" aria-label={say("herbs.whatIsTakenForIt")}>
        {parts.map((p, i) => (
          <li
            key={`${p.herb}${i}`}
            className="flex flex-wrap items-baseline gap-x-3 border-hairline border-b py-1.5"
          >
            <span className="figure w-20 text-lg">{grams(p.grams)}</span>
            <span className="font-semibold">{p.common}</span>
            <span className="text-muted text-sm">
              <Said of="herbs.about" form={formSaid(p.form)} cut={cutSaid(p.cut)} measure={p.measure} />
            </span>
            {(p.less || !p.tin) && (
              <span className="ml-auto font-semibold text-amber-text text-sm">
                {p.tin ? say("herbs.thereIsLessInIts") : say("herbs.noTinOfIt")}
              </span>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-2 max-w-prose text-muted text-sm">
        {bestBefore && `${say("herbs.goodUntil", { day: fullDate(bestBefore) })} `}
        {why}
      </p>
      {mix.error && <Trouble error={mix.error} />}
      {undo.error && <Trouble error={undo.error} />}
      <div className="mt-3">
        <Primary busy={mix.isPending} onClick={() => mix.mutate({ blend: slug, grams: amount })}>
          {say("herbs.mixedIntoItsJar")}
        </Primary>
      </div>
      {mix.data && (
        <Undo
          words={say("herbs.ofAreInItsJar", { weight: grams(amount), common })}
          onUndo={() => undo.mutate(mix.data.id, { onSuccess: () => mix.reset() })}
        />
      )}
      {mix.data && (
        <p className="mt-2">
          <Link to={`/keeping?tin=${mix.data.tin.id}`} className="underline underline-offset-4">
            {say("herbs.itsJarOnTheShelf")}
          </Link>
          ,{" "}
          <a
            href={`/api/labels.pdf?paper=roll&tin=${mix.data.tin.id}`}
            target="_blank"
            rel="noreferrer"
            className="underline underline-offset-4"
          >
            {say("herbs.itsLabel")}
          </a>
        </p>
      )}
    </section>
  );
}
