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
import { Said } from "../../words/Said";
import { say } from "../../words/say";

/** Tells what was done last with a jar, so that it can be undone. */
export type OnDone = (brewId: string, event: string, words: string) => void;

/** A cup of it: how large, warmed or cold, what is done for it in order; then it is made, with a clock, and poured. */
export function Cup({ jar, onDone }: { jar: JarResponse; onDone: OnDone }) {
  if (jar.making) return <Making jar={jar} making={jar.making} onDone={onDone} />;
  return <Planned jar={jar} onDone={onDone} />;
}

function Planned({ jar, onDone }: { jar: JarResponse; onDone: OnDone }) {
  const [chosen, setChosen] = useState<number>();
  const [warm, setWarm] = useState(true);
  const [drinkerId, setDrinkerId] = useState<string>();
  const who = drinkerId ?? jar.drinkerId;
  const people = usePeople().data ?? [];
  const cup = useLaterCup(jar.id, { drinkerId: who, ml: chosen, warm });
  if (cup.isPending) return <Loading what={say("keeping.theCup")} />;
  if (cup.error) return <Trouble error={cup.error} again={() => cup.refetch()} />;
  const { ml, fromJarMl, waterMl, warmingMin, steps, workings, cautions, stopped } = cup.data;
  const madeFor = jar.drinkerName || say("keeping.anAdult");
  const drinker = people.find((p) => p.id === who)?.name ?? madeFor;
  return (
    <>
      <p className="mt-3 text-lg">
        <Said
          of="keeping.aCupOfOutOf"
          cup={
            <Word label={say("keeping.cup")} shown={millilitres(ml)}>
              {() => <CupSize value={ml} onChange={setChosen} />}
            </Word>
          }
          howItIs={
            <Word
              label={say("keeping.howItIsDrunk")}
              shown={warm ? say("keeping.warmed") : say("keeping.cold")}
            >
              {() => (
                <OneOf
                  label={say("keeping.howItIsDrunk")}
                  value={warm ? "warm" : "cold"}
                  options={[
                    { value: "warm", label: say("keeping.warmed"), gloss: say("keeping.gentlyBelowTheBoil") },
                    { value: "cold", label: say("keeping.cold"), gloss: say("keeping.asItComesOutOf") },
                  ]}
                  onPick={(v) => setWarm(v === "warm")}
                />
              )}
            </Word>
          }
          drinker={
            <Word label={say("keeping.drinker")} shown={drinker}>
              {() => (
                <OneOf
                  label={say("keeping.drinker")}
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
          }
        />
      </p>
      {cautions.length > 0 && (
        <ul className="mt-2 flex flex-col gap-2.5">
          {cautions.map((c) => (
            <Caution key={c.text} caution={c} whole />
          ))}
        </ul>
      )}
      {stopped ? (
        <p className="mt-3 text-muted">{say("keeping.chooseAnotherDrinkerOrAnother")}</p>
      ) : (
        <>
          <ol className="mt-2 list-decimal space-y-1 pl-6 text-lg">
            {steps.map((s) => (
              <li key={s}>{s}</li>
            ))}
          </ol>
          <p className="mt-2 flex flex-wrap gap-x-5 text-muted text-sm">
            <span>
              <Said
                of="keeping.outOfTheJar"
                whatLeavesThe={
                  <Why
                    what={say("keeping.whatLeavesTheJar")}
                    workings={workings.fromJarMl}
                    className="text-ink"
                  >
                    {millilitres(fromJarMl)}
                  </Why>
                }
              />
            </span>
            {waterMl > 0 && (
              <span>
                <Said
                  of="keeping.waterWater"
                  water={
                    <Why what={say("keeping.water")} workings={workings.waterMl} className="text-ink">
                      {millilitres(waterMl)}
                    </Why>
                  }
                />
              </span>
            )}
            {warmingMin != null && (
              <span>
                <Said
                  of="keeping.onTheFlame"
                  timeOnThe={
                    <Why
                      what={say("keeping.timeOnTheFlame")}
                      workings={workings.warmingMin}
                      className="text-ink"
                    >
                      <Said of="keeping.minutes" warmingMin={warmingMin.toFixed(1)} />
                    </Why>
                  }
                />
              </span>
            )}
          </p>
          {fromJarMl > jar.leftMl + 1 && (
            <p className="mt-2 font-semibold text-amber-text">
              <Said of="keeping.thereAreOnlyInIt" amount={millilitres(jar.leftMl)} />
            </p>
          )}
          <p className="mt-3 flex flex-wrap gap-3">
            <Primary
              onClick={() =>
                onDone(
                  jar.id,
                  confirm(jar.id, { kind: "cup-begun", value: ml, warm, drinkerId }),
                  say("keeping.aCupOfIsBegun", { name: jar.name }),
                )
              }
            >
              {say("keeping.makeItStepByStep")}
            </Primary>
            <Secondary onClick={() => pour(jar, fromJarMl, drinkerId, onDone)}>
              {say("keeping.poured")}
            </Secondary>
          </p>
        </>
      )}
    </>
  );
}

/** @param drinkerId who drinks it, when that is said; else whoever the pot was made for */
function pour(jar: JarResponse, fromJarMl: number, drinkerId: string | undefined, onDone: OnDone) {
  const poured = Math.min(fromJarMl, jar.leftMl);
  onDone(
    jar.id,
    confirm(jar.id, { kind: "poured", value: poured, drinkerId }),
    say("keeping.pouredOutOfTheJar", { amount: millilitres(poured), name: jar.name }),
  );
}

/** The cup that is being made: what is done, what is now and how long it still takes, what comes. */
function Making({ jar, making, onDone }: { jar: JarResponse; making: CupMaking; onDone: OnDone }) {
  useNow(1000);
  const other = usePeople().data?.find((p) => p.id === making.drinkerId);
  const now = making.acts.findIndex((a) => !a.doneAt);
  const left = (at: string) => (Date.parse(at) - presentMs()) / 1000;
  return (
    <>
      <p className="mt-3 text-lg">
        <Said of="keeping.aCupOf" amount={millilitres(making.ml)} warm={making.warm} name={other?.name} />
      </p>
      <ol className="mt-2 space-y-1 text-lg">
        {making.acts.map((a, i) => (
          <li
            key={a.text}
            aria-current={i === now ? "step" : undefined}
            className={`border-l-[5px] py-1 pl-3 ${i === now ? "border-ember" : "border-hairline"} ${a.doneAt ? "text-muted" : ""}`}
          >
            {a.doneAt && <span aria-hidden>✓ </span>}
            {a.doneAt && <span className="sr-only">{say("keeping.done")} </span>}
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
                    onDone(
                      jar.id,
                      confirm(jar.id, { kind: "cup-acted", act: i }),
                      say("keeping.doneText", { text: a.text }),
                    )
                  }
                >
                  {say("keeping.doneTitle")}
                </button>
              </span>
            )}
          </li>
        ))}
      </ol>
      <p className="mt-3 flex flex-wrap gap-3">
        {now < 0 ? (
          <Primary onClick={() => pour(jar, making.fromJarMl, making.drinkerId, onDone)}>
            {say("keeping.itIsDrunk")}
          </Primary>
        ) : (
          <Secondary onClick={() => pour(jar, making.fromJarMl, making.drinkerId, onDone)}>
            {say("keeping.poured")}
          </Secondary>
        )}
        <Secondary onClick={() => confirm(jar.id, { kind: "undone", event: making.id })}>
          {say("keeping.notAfterAll")}
        </Secondary>
      </p>
    </>
  );
}
