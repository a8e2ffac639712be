import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { Link } from "react-router";
import { api, type BrewResponse } from "../../api/client";
import { keys } from "../../api/keys";
import { useRecipe } from "../../api/queries";
import { ofStage, stagesOf } from "../../api/steps";
import { FireLine } from "../../drawings/FireLine";
import { measuredOut } from "../../parts/measured";
import { capital, clock, grams, millilitres, share, span } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { kindSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { writeOrder } from "../sheet/order";
import { secondOrder } from "./again";
import { reality } from "./reality";

/** What the spent herbs would still give, and the way to brew them once more. */
export function SecondBrew({ brew }: { brew: BrewResponse }) {
  const again = useQuery({
    queryKey: keys.spent(brew.id),
    queryFn: () => api.plan({ ...brew.request, startAt: undefined, readyAt: undefined, spentHerbs: true }),
    enabled:
      brew.phase === "finished" &&
      infused(brew) &&
      !brew.request.spentHerbs &&
      !brew.request.recipe?.menstruum,
    staleTime: 60_000,
  });
  const kept = useRecipe(brew.recipeId ?? "").data?.recipe;
  if (!again.data || !brew.recipeId) return null;
  return (
    <p className="mt-4 max-w-prose border-herb border-l-[5px] pl-3">
      <Said
        of="live.theSpentHerbsOnceMore"
        share={share(again.data.strength)}
        link={
          <Link
            to={`/sheet/${brew.recipeId}?${writeOrder(secondOrder(brew, kept))}`}
            className="underline underline-offset-4"
          >
            {say("live.planTheSecondBrew")}
          </Link>
        }
      />
    </p>
  );
}

/** Whether there is a cup: finished, or given up after the liquor was off the herbs. */
function strained(brew: BrewResponse): boolean {
  const strains = stagesOf(brew.plan.steps).filter((s) => s.kind === "strain");
  return brew.phase === "finished" || strains.some((s) => brew.events.some((e) => e.step === s.key));
}

/** Less of a cup than this, and a weaker one, has drawn nothing that a second brew could be told from, mL and share. */
const SOME_ML = 20;
const SOME_STRENGTH = 0.1;

/** Whether the herbs have infused at all: no pot that boiled dry, none that was clicked through. */
const infused = (brew: BrewResponse) =>
  brew.leftMl + brew.pouredMl >= SOME_ML && brew.strength >= SOME_STRENGTH;

/** What was planned beside what happened. */
export function PlannedAndDone({ brew }: { brew: BrewResponse }) {
  const main = stagesOf(brew.plan.steps);
  const turns = brew.events.filter((e) => e.kind === "turned");
  return (
    <div className="mt-3">
      <dl className="grid grid-cols-[8rem_1fr] gap-y-1.5">
        <dt className="text-muted">{say("live.strength")}</dt>
        <dd>
          <Said
            of="live.planned"
            planned={share(brew.plan.strength)}
            went={strained(brew) && share(brew.strength)}
          />
        </dd>
        <dt className="text-muted">{say("live.herbs")}</dt>
        <dd>
          {measuredOut(brew.plan.additions)
            .map((o) => `${grams(o.amounts.grams)} ${o.name.toLowerCase()}`)
            .join(", ")}
        </dd>
        <dt className="text-muted">{say("live.water")}</dt>
        <dd>
          <Said
            of="live.inPlannedStrained"
            poured={millilitres(brew.plan.water.pourMl)}
            planned={millilitres(brew.plan.water.yieldMl)}
            went={strained(brew) && millilitres(brew.leftMl + brew.pouredMl)}
          />
        </dd>
        {turns.length > 0 && (
          <>
            <dt className="text-muted">{say("live.byHand")}</dt>
            <dd>{turns.map((e) => `${clock(e.at)} ${e.text}`).join(", ")}</dd>
          </>
        )}
      </dl>
      <Because brew={brew} cup={strained(brew)} />
      <Lines brew={brew} />
      <table className="mt-4 w-full text-sm">
        <thead>
          <tr className="border-hairline border-b text-left text-muted">
            <th className="py-1 font-normal">{say("live.step")}</th>
            <th className="py-1 text-right font-normal">{say("live.plannedWithin")}</th>
            <th className="py-1 pl-3 text-right font-normal">{say("live.done")}</th>
          </tr>
        </thead>
        <tbody>
          {main.map((s) => {
            const live = brew.steps.find((l) => l.key === s.key);
            const took =
              live?.beganAt && live.doneAt
                ? (new Date(live.doneAt).getTime() - new Date(live.beganAt).getTime()) / 1000
                : null;
            return (
              <tr key={s.key} className="border-hairline border-b align-baseline">
                <td className="py-1.5 pr-3">{s.label}</td>
                <td className="whitespace-nowrap py-1.5 text-right">{span(s.durationS)}</td>
                <td className="whitespace-nowrap py-1.5 pl-3 text-right">
                  {took === null ? "–" : span(took)}
                  {live?.sign && (
                    <span className="block text-muted">
                      <Said of="live.byIts" sign={live.sign} />
                    </span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** A step that took so much longer or shorter is told as a reason, s, and as a share of its plan. */
const TOLD_S = 60;
const TOLD_SHARE = 0.1;

/** "Steep 13 min longer: bitterness and tannin 71 % instead of 64 %." */
function Because({ brew, cup }: { brew: BrewResponse; cup: boolean }) {
  if (!cup || brew.told.length === 0) return null;
  const reasons = stagesOf(brew.plan.steps).flatMap((s) => {
    const live = brew.steps.find((l) => l.key === s.key);
    if (s.handsOn || !live?.beganAt || !live.doneAt) return [];
    const by = (Date.parse(live.doneAt) - Date.parse(live.beganAt)) / 1000 - s.durationS;
    return Math.abs(by) >= TOLD_S && Math.abs(by) >= s.durationS * TOLD_SHARE
      ? [
          say("live.stageChanged", {
            stage: kindSaid("stage", s.kind),
            time: span(Math.abs(by)),
            longer: by > 0,
          }),
        ]
      : [];
  });
  const turned = brew.events.filter((e) => e.kind === "turned").map((e) => e.text);
  const moved = (["strength", "aroma", "bite"] as const)
    .filter((k) => brew.told.includes(k))
    .map((k) =>
      say("live.insteadOfPlanned", { what: k, share: share(brew[k]), planned: share(brew.plan[k]) }),
    );
  const why = [...reasons, ...(reasons.length === 0 ? turned : [])];
  return (
    <p className="mt-3 max-w-prose border-amber border-l-[5px] pl-3">
      {capital(`${why.length > 0 ? `${why.join(", ")}: ` : ""}${moved.join(", ")}.`)}
    </p>
  );
}

/** The line as it went, over the line as it was planned. */
function Lines({ brew }: { brew: BrewResponse }) {
  const { ref, width } = useWidth(520);
  const { plan } = brew;
  const went = useMemo(() => reality(brew, 0), [brew]);
  const planned = useMemo(
    () => plan.curve.map((p) => ({ ...p, tS: p.tS + went.stageStartS - plan.stageStartS })),
    [plan, went.stageStartS],
  );
  if (!brew.startedAt) return null;
  return (
    <div className="mt-4" ref={ref}>
      <FireLine
        steps={went.steps.filter(ofStage)}
        curve={went.curve}
        additions={plan.additions}
        start={new Date(brew.startedAt)}
        totalS={went.totalS}
        readyWord={say(brew.phase === "finished" ? "live.readyWord" : "live.endedWord")}
        stageStartS={went.stageStartS}
        startMl={plan.water.startMl}
        yieldMl={went.curve.at(-1)?.waterMl ?? plan.water.yieldMl}
        strength={brew.strength}
        width={width}
        height={width < 560 ? 176 : 190}
        against={planned}
      />
      <p className="text-muted text-sm">{say("live.dashedAsItWasPlanned")}</p>
    </div>
  );
}
