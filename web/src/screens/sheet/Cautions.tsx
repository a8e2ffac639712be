import { useState } from "react";
import type { PlanResponse, WayLine } from "../../api/client";
import { Caution } from "../../parts/Caution";
import { Secondary } from "../../parts/Field";
import { capital } from "../../parts/say";
import { Why } from "../../parts/Why";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { Decide } from "../recipe/Decide";
import type { Meant } from "../recipe/doc";

/** Notes shown beside the grave ones before the rest is asked for. */
const SHOWN = 2;

/** What must be known before the first measure, the gravest first, and the three numbers of the cup. */
export function Cautions({
  plan,
  onWay,
  onMeant,
  onLid,
}: {
  plan: PlanResponse;
  /** Takes the lid off a stage, or puts it on. */
  onLid?: (stage: number, on: boolean) => void;
  /** Decides what a recipe that contradicts itself means. */
  onMeant?: (which: Meant) => void;
  /** Takes a way out of a stop; missing where the ways out stand elsewhere. */
  onWay?: (way: WayLine) => void;
}) {
  const [all, setAll] = useState(false);
  const grave = plan.cautions.filter((c) => c.severity !== "note");
  const notes = plan.cautions.filter((c) => c.severity === "note");
  const room = Math.max(0, SHOWN - grave.length);
  const shown = all ? plan.cautions : [...grave, ...notes.slice(0, room)];
  const hidden = plan.cautions.length - shown.length;
  // On a phone the button stands above: what it wants read stands under it, before what is measured.
  const first = plan.stopped || plan.cautions.some((c) => c.asks);
  return (
    <section
      aria-labelledby="cautions"
      className={`md:max-xl:col-span-2 ${first ? "max-md:order-first" : "max-md:order-2"}`}
    >
      <h2 id="cautions" className="sr-only">
        {say("sheet.cautions")}
      </h2>
      <ul className="flex flex-col gap-2.5">
        {shown.map((c, i) => (
          <Caution key={i} caution={c} whole={all}>
            {c.decide && onMeant && <Decide decide={c.decide} onMeant={onMeant} />}
            {c.openStage != null && onLid && (
              <span className="ml-2 inline-block max-md:mt-1 max-md:ml-0">
                <Secondary onClick={() => onLid(c.openStage as number, false)}>
                  {say("sheet.takeTheLidOff")}
                </Secondary>
              </span>
            )}
            {c.coverStage != null && onLid && (
              <span className="ml-2 inline-block max-md:mt-1 max-md:ml-0">
                <Secondary onClick={() => onLid(c.coverStage as number, true)}>
                  {say("sheet.putTheLidOn")}
                </Secondary>
              </span>
            )}
          </Caution>
        ))}
      </ul>
      {plan.stopped && onWay && <Ways ways={plan.waysOut} onWay={onWay} />}
      {(hidden > 0 || all) && plan.cautions.length > SHOWN && (
        <button
          type="button"
          className="min-h-9 max-sm:min-h-11 text-sm underline underline-offset-4"
          aria-expanded={all}
          onClick={() => setAll(!all)}
        >
          {all ? say("sheet.fewerWords") : say("sheet.moreAndTheSources", { hidden })}
        </button>
      )}
      <Ask plan={plan} />
      <dl className="mt-3 grid grid-cols-3 gap-4 border-hairline border-t pt-2">
        <div>
          <dd>
            <Why what={say("sheet.strength100IsAsStrong")} of="strength" className="figure text-2xl">
              {Math.round(plan.strength * 100)} %
            </Why>
          </dd>
          <dt className="text-muted text-sm">
            <Said
              of="sheet.strength"
              span={
                <span className="block">
                  <Why what={say("sheet.strengthLow")} of="strengthLow">
                    {Math.round(plan.strengthLow * 100)}
                  </Why>
                  –
                  <Why what={say("sheet.strengthHigh")} of="strengthHigh">
                    {Math.round(plan.strengthHigh * 100)} %
                  </Why>
                </span>
              }
            />
          </dt>
        </div>
        <div>
          <dd>
            <Why what={say("sheet.aromaInTheCup")} of="aroma" className="figure text-2xl">
              {Math.round(plan.aroma * 100)} %
            </Why>
          </dd>
          <dt className="text-muted text-sm">{say("sheet.aromaInTheCup")}</dt>
        </div>
        <div>
          <dd>
            <Why what={say("sheet.bitternessAndTanninInThe")} of="bite" className="figure text-2xl">
              {Math.round(plan.bite * 100)} %
            </Why>
          </dd>
          <dt className="text-muted text-sm">{say("sheet.bitternessAndTannin")}</dt>
        </div>
      </dl>
    </section>
  );
}

/** When to stop and ask a clinician: in one line, all of it when it is asked for. */
function Ask({ plan }: { plan: PlanResponse }) {
  const ask = plan.ask ?? [];
  if (ask.length === 0) return null;
  return (
    <details className="text-[15px] leading-snug">
      <summary className="min-h-9 max-sm:min-h-11 cursor-pointer py-2 text-sm underline underline-offset-4">
        {say("sheet.whenToStopAndAsk")}
      </summary>
      <Signs ask={ask} />
    </details>
  );
}

function Signs({ ask }: { ask: NonNullable<PlanResponse["ask"]> }) {
  return (
    <ul className="mt-1 flex flex-col gap-1 border-hairline border-l-[5px] pl-3">
      {ask.map((a) => (
        <li key={a.signs}>{capital(a.signs)}.</li>
      ))}
    </ul>
  );
}

/** Ways out of a stop: each changes the order at once; another drinker is chosen in the sentence. */
export function Ways({
  ways,
  row = false,
  onWay,
}: {
  ways: WayLine[];
  /** Beside one another in a row across the page. */
  row?: boolean;
  onWay: (way: WayLine) => void;
}) {
  if (row)
    return (
      <div className="mt-3 flex flex-wrap items-center gap-2" role="group" aria-label={say("sheet.waysOut")}>
        <span className="mr-2 font-semibold">{say("sheet.waysOut")}</span>
        {ways.map((w) => (
          <button
            key={w.text}
            type="button"
            onClick={() => onWay(w)}
            className="min-h-11 rounded-one border border-ink px-3 text-left text-[15px] leading-tight hover:bg-strip"
          >
            {w.text}
          </button>
        ))}
        <span className="text-muted text-sm">{say("sheet.orChooseAnotherDrinkerOr")}</span>
      </div>
    );
  return (
    <div className="max-xl:mt-3 xl:mb-3" role="group" aria-label={say("sheet.waysOut")}>
      <p className="font-semibold">{say("sheet.waysOut")}</p>
      <ul className="mt-1 flex flex-col">
        {ways.map((w) => (
          <li key={w.text}>
            <button
              type="button"
              onClick={() => onWay(w)}
              className="min-h-11 w-full border-hairline border-b py-1.5 text-left text-[15px] leading-snug underline decoration-1 underline-offset-4 hover:bg-strip"
            >
              {w.text}
            </button>
          </li>
        ))}
        <li className="py-1.5 text-muted text-sm">{say("sheet.orChooseAnotherDrinkerOrAnother")}</li>
      </ul>
    </div>
  );
}
