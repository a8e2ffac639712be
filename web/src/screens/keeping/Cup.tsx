import { useState } from "react";
import type { CupMaking, JarResponse } from "../../api/client";
import { confirm } from "../../api/outbox";
import { presentMs } from "../../api/present";
import { useLaterCup, usePeople } from "../../api/queries";
import { Caution } from "../../parts/Caution";
import { personOption } from "../../parts/conditions";
import { Primary, Secondary } from "../../parts/Field";
import { useNow } from "../../parts/now";
import { millilitres, timer } from "../../parts/say";
import { Loading, Trouble } from "../../parts/states";
import { Why } from "../../parts/Why";
import { CupSize, OneOf, Word } from "../../parts/Word";

/** Tells what was done last with a jar, so that it can be undone. */
export type Said = (brewId: string, event: string, words: string) => void;

/** A cup of it: how large, warmed or cold, what is done for it in order; then it is made, with a clock, and poured. */
export function Cup({ jar, onSaid }: { jar: JarResponse; onSaid: Said }) {
  if (jar.making) return <Making jar={jar} making={jar.making} onSaid={onSaid} />;
  return <Planned jar={jar} onSaid={onSaid} />;
}

function Planned({ jar, onSaid }: { jar: JarResponse; onSaid: Said }) {
  const [chosen, setChosen] = useState<number>();
  const [warm, setWarm] = useState(true);
  const [drinkerId, setDrinkerId] = useState<string>();
  const who = drinkerId ?? jar.drinkerId;
  const people = usePeople().data ?? [];
  const cup = useLaterCup(jar.id, { drinkerId: who, ml: chosen, warm });
  if (cup.isPending) return <Loading what="the cup" />;
  if (cup.error) return <Trouble error={cup.error} again={() => cup.refetch()} />;
  const { ml, fromJarMl, waterMl, warmingMin, steps, workings, cautions, stopped } = cup.data;
  const madeFor = jar.drinkerName || "an adult";
  const drinker = people.find((p) => p.id === who)?.name ?? madeFor;
  return (
    <>
      <p className="mt-3 text-lg">
        A cup of{" "}
        <Word label="Cup" shown={millilitres(ml)}>
          {() => <CupSize value={ml} onChange={setChosen} />}
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
        , for{" "}
        <Word label="Drinker" shown={drinker}>
          {() => (
            <OneOf
              label="Drinker"
              value={who ?? ""}
              options={[
                ...(jar.drinkerId ? [] : [{ value: "", label: madeFor }]),
                ...people.map(personOption),
              ]}
              onPick={(v) => {
                setDrinkerId(v || undefined);
                setChosen(undefined);
              }}
            />
          )}
        </Word>
        :
      </p>
      {cautions.length > 0 && (
        <ul className="mt-2 flex flex-col gap-2.5">
          {cautions.map((c) => (
            <Caution key={c.text} caution={c} whole />
          ))}
        </ul>
      )}
      {stopped ? (
        <p className="mt-3 text-muted">Choose another drinker, or another pot.</p>
      ) : (
        <>
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
          <p className="mt-3 flex flex-wrap gap-3">
            <Primary
              onClick={() =>
                onSaid(
                  jar.id,
                  confirm(jar.id, { kind: "cup-begun", value: ml, warm, drinkerId }),
                  `A cup of ${jar.name} is begun.`,
                )
              }
            >
              Make it, step by step
            </Primary>
            <Secondary onClick={() => pour(jar, fromJarMl, drinkerId, onSaid)}>Poured</Secondary>
          </p>
        </>
      )}
    </>
  );
}

/** @param drinkerId who drinks it, when that is said; else whoever the pot was made for */
function pour(jar: JarResponse, fromJarMl: number, drinkerId: string | undefined, onSaid: Said) {
  const poured = Math.min(fromJarMl, jar.leftMl);
  onSaid(
    jar.id,
    confirm(jar.id, { kind: "poured", value: poured, drinkerId }),
    `${millilitres(poured)} poured out of the jar of ${jar.name}.`,
  );
}

/** The cup that is being made: what is done, what is now and how long it still takes, what comes. */
function Making({ jar, making, onSaid }: { jar: JarResponse; making: CupMaking; onSaid: Said }) {
  useNow(1000);
  const other = usePeople().data?.find((p) => p.id === making.drinkerId);
  const now = making.acts.findIndex((a) => !a.doneAt);
  const left = (at: string) => (Date.parse(at) - presentMs()) / 1000;
  return (
    <>
      <p className="mt-3 text-lg">
        A cup of {millilitres(making.ml)}, {making.warm ? "warmed" : "cold"}
        {other && `, for ${other.name}`}:
      </p>
      <ol className="mt-2 space-y-1 text-lg">
        {making.acts.map((a, i) => (
          <li
            key={a.text}
            aria-current={i === now ? "step" : undefined}
            className={`border-l-[5px] py-1 pl-3 ${i === now ? "border-ember" : "border-hairline"} ${a.doneAt ? "text-muted" : ""}`}
          >
            {a.doneAt && <span aria-hidden>✓ </span>}
            {a.doneAt && <span className="sr-only">done: </span>}
            <span className={i === now ? "font-semibold" : ""}>{a.text}</span>
            {i === now && (
              <span className="mt-1 flex flex-wrap items-center gap-x-5 gap-y-2">
                {a.dueAt && (
                  <span
                    role="timer"
                    className={`figure text-4xl ${left(a.dueAt) < 0 ? "text-ember-text" : ""}`}
                  >
                    {timer(left(a.dueAt))}
                  </span>
                )}
                <button
                  type="button"
                  className="min-h-12 rounded-one bg-ember px-6 font-semibold text-ember-ink"
                  onClick={() =>
                    onSaid(jar.id, confirm(jar.id, { kind: "cup-acted", act: i }), `Done: ${a.text}`)
                  }
                >
                  Done
                </button>
              </span>
            )}
          </li>
        ))}
      </ol>
      <p className="mt-3 flex flex-wrap gap-3">
        {now < 0 ? (
          <Primary onClick={() => pour(jar, making.fromJarMl, making.drinkerId, onSaid)}>It is drunk</Primary>
        ) : (
          <Secondary onClick={() => pour(jar, making.fromJarMl, making.drinkerId, onSaid)}>Poured</Secondary>
        )}
        <Secondary onClick={() => confirm(jar.id, { kind: "undone", event: making.id })}>
          Not after all
        </Secondary>
      </p>
    </>
  );
}
