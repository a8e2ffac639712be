import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import type { JarResponse } from "../../api/client";
import { confirm } from "../../api/outbox";
import { useLaterCup } from "../../api/queries";
import { ABOVE, BESIDE, Silhouette } from "../../drawings/Silhouette";
import { Primary, Secondary } from "../../parts/Field";
import { Glossed } from "../../parts/Glossed";
import { day, millilitres, moment } from "../../parts/say";
import { Loading, Trouble } from "../../parts/states";
import { Undo } from "../../parts/Undo";
import { Why } from "../../parts/Why";
import { CupSize, OneOf, Word } from "../../parts/Word";

/** So many stand in front; the others are a tap away. */
const SHOWN = 24;
/** Height of the tallest jar, px. */
const TALLEST_PX = 150;

/** What stands beside a jar, by its age. */
function until({ jar }: JarResponse, now: Date): { words: string; care: boolean } {
  if (!jar.goodUntil || !jar.drinkBy) return { words: "keeps", care: false };
  if (jar.age === "over") return { words: `past its time since ${moment(jar.drinkBy, now)}`, care: true };
  if (jar.age === "doubtful")
    return { words: `look and smell first; ${moment(jar.drinkBy, now)} at the latest`, care: true };
  return { words: `drink by ${moment(jar.goodUntil, now)}`, care: jar.age === "going" };
}

/** The fridge: the rest of pots in jars, to one scale and filled to their level; what is about to go stands first. */
export function Jars({ jars, now }: { jars: JarResponse[]; now: Date }) {
  // The square on a jar’s label leads to it.
  const labelled = useSearchParams()[0].get("jar");
  const [openId, setOpenId] = useState<string | null>(labelled);
  const [all, setAll] = useState(labelled !== null);
  const [undo, setUndo] = useState<{ brewId: string; event: string; words: string }>();
  const tallest = Math.max(...jars.map((j) => j.vessel.heightCm), 1);
  const pxPerCm = TALLEST_PX / tallest;
  const open = jars.find((j) => j.id === openId);
  const said = (brewId: string, event: string, words: string) => setUndo({ brewId, event, words });
  return (
    <section aria-labelledby="jars">
      <h1 id="jars" className="text-3xl">
        In the fridge
      </h1>
      {jars.length === 0 ? (
        <p className="mt-1 text-muted">
          No jar. What is left of a pot is put into one on the page of its brew: “Keep the rest”.
        </p>
      ) : (
        <ul className="mt-4 flex flex-wrap gap-y-6">
          {jars.slice(0, all ? undefined : SHOWN).map((j) => {
            const age = until(j, now);
            return (
              <li key={j.id} className="w-44 text-sm max-sm:w-1/2">
                <button
                  type="button"
                  className="w-full text-left hover:bg-strip aria-expanded:bg-strip"
                  aria-expanded={j.id === openId}
                  aria-label={`The jar of ${j.name}: ${millilitres(j.leftMl)}, ${age.words}`}
                  onClick={() => setOpenId(j.id === openId ? null : j.id)}
                >
                  <span className="block border-ink border-b-2" style={{ minHeight: TALLEST_PX + ABOVE + 4 }}>
                    <span
                      className="block"
                      style={{ paddingTop: (tallest - j.vessel.heightCm) * pxPerCm, marginLeft: -BESIDE / 2 }}
                    >
                      <Silhouette
                        kind="jar"
                        diameterCm={j.vessel.innerDiameterCm}
                        heightCm={j.vessel.heightCm}
                        pxPerCm={pxPerCm}
                        level={Math.min(1, j.leftMl / j.vessel.brimMl)}
                      />
                    </span>
                  </span>
                  <span className="mt-1 block pr-3 font-semibold underline underline-offset-4">{j.name}</span>
                  <span className="figure block text-lg">{millilitres(j.leftMl)}</span>
                  <span className={`block pr-3 ${age.care ? "font-semibold text-amber-text" : "text-muted"}`}>
                    {age.words}
                  </span>
                </button>
              </li>
            );
          })}
        </ul>
      )}
      {!all && jars.length > SHOWN && (
        <button
          type="button"
          className="mt-3 min-h-11 underline underline-offset-4"
          onClick={() => setAll(true)}
        >
          The other {jars.length - SHOWN} jars
        </button>
      )}
      {undo && (
        <Undo
          words={undo.words}
          onUndo={() => {
            confirm(undo.brewId, { kind: "undone", event: undo.event });
            setUndo(undefined);
          }}
        />
      )}
      {labelled && !jars.some((j) => j.id === labelled) && (
        <p role="status" className="mt-3 border-amber border-l-[5px] pl-3">
          The jar of this label is empty, or gone.{" "}
          <Link to={`/brew/${labelled}`} className="underline underline-offset-4">
            Its brew
          </Link>
        </p>
      )}
      {open && <OneJar key={open.id} jar={open} now={now} onSaid={said} />}
    </section>
  );
}

/** One jar: what it is, and a cup out of it. */
function OneJar({
  jar,
  now,
  onSaid,
}: {
  jar: JarResponse;
  now: Date;
  onSaid: (brewId: string, event: string, words: string) => void;
}) {
  const age = until(jar, now);
  const over = jar.jar.age === "over";
  return (
    <div className="mt-4 max-w-2xl border-water border-l-[5px] pl-4">
      <p>
        <Link to={`/brew/${jar.id}`} className="font-semibold underline underline-offset-4">
          {jar.name}
        </Link>{" "}
        for {jar.drinkerName || "whoever drinks it"}, made {day(jar.jar.madeAt)}, in the{" "}
        {jar.vessel.name.toLowerCase()}. {jar.text && <Glossed text={jar.text} />}
        {age.care && <span className="font-semibold text-amber-text"> It is {ageWords(jar)}.</span>}
      </p>
      {!over && <Cup jar={jar} onSaid={onSaid} />}
      <p className="mt-3">
        <Secondary
          onClick={() =>
            onSaid(jar.id, confirm(jar.id, { kind: "emptied" }), `The jar of ${jar.name} is gone.`)
          }
        >
          {over ? "Throw it away" : "It is gone"}
        </Secondary>
        {!over && (
          <a
            href={`/api/labels.pdf?paper=roll&jar=${jar.id}`}
            target="_blank"
            rel="noreferrer"
            className="ml-4 inline-flex min-h-11 items-center underline underline-offset-4"
          >
            A label for it
          </a>
        )}
      </p>
    </div>
  );
}

const ageWords = ({ jar }: JarResponse) =>
  jar.age === "over"
    ? "past the longest time that is given: throw it away"
    : jar.age === "doubtful"
      ? "past its cautious time: look at it and smell it first"
      : "about to go";

/** A cup of it: how large, warmed or cold, what is done for it in order, and then it is poured. */
function Cup({
  jar,
  onSaid,
}: {
  jar: JarResponse;
  onSaid: (brewId: string, event: string, words: string) => void;
}) {
  const [ml, setMl] = useState(jar.cupMl);
  const [warm, setWarm] = useState(true);
  const cup = useLaterCup(jar.id, ml, warm);
  if (cup.isPending) return <Loading what="the cup" />;
  if (cup.error) return <Trouble error={cup.error} again={() => cup.refetch()} />;
  const { fromJarMl, waterMl, warmingMin, steps, workings } = cup.data;
  return (
    <>
      <p className="mt-3 text-lg">
        A cup of{" "}
        <Word label="Cup" shown={millilitres(ml)}>
          {() => <CupSize value={ml} onChange={setMl} />}
        </Word>{" "}
        out of it,{" "}
        <Word label="How it is drunk" shown={warm ? "warmed" : "cold"}>
          {() => (
            <OneOf
              label="How it is drunk"
              value={warm ? "warm" : "cold"}
              options={[
                { value: "warm", label: "warmed", gloss: "gently, below the boil" },
                { value: "cold", label: "cold", gloss: "as it comes out of the fridge" },
              ]}
              onPick={(v) => setWarm(v === "warm")}
            />
          )}
        </Word>
        :
      </p>
      <ol className="mt-2 list-decimal space-y-1 pl-6 text-lg">
        {steps.map((s) => (
          <li key={s}>{s}</li>
        ))}
      </ol>
      <p className="mt-2 flex flex-wrap gap-x-5 text-muted text-sm">
        <span>
          out of the jar{" "}
          <Why what="What leaves the jar" workings={workings.fromJarMl} className="text-ink">
            {millilitres(fromJarMl)}
          </Why>
        </span>
        {waterMl > 0 && (
          <span>
            water{" "}
            <Why what="Water" workings={workings.waterMl} className="text-ink">
              {millilitres(waterMl)}
            </Why>
          </span>
        )}
        {warmingMin != null && (
          <span>
            on the flame{" "}
            <Why what="Time on the flame" workings={workings.warmingMin} className="text-ink">
              {warmingMin.toFixed(1)} min
            </Why>
          </span>
        )}
      </p>
      {fromJarMl > jar.leftMl + 1 && (
        <p className="mt-2 font-semibold text-amber-text">
          There are only {millilitres(jar.leftMl)} in it: the cup will be smaller.
        </p>
      )}
      <p className="mt-3">
        <Primary
          onClick={() => {
            const poured = Math.min(fromJarMl, jar.leftMl);
            onSaid(
              jar.id,
              confirm(jar.id, { kind: "poured", value: poured }),
              `${millilitres(poured)} poured out of the jar of ${jar.name}.`,
            );
          }}
        >
          Poured
        </Primary>
      </p>
    </>
  );
}
