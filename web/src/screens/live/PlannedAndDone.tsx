import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, type BrewResponse } from "../../api/client";
import { keys } from "../../api/keys";
import { stagesOf } from "../../api/steps";
import { measuredOut } from "../../parts/measured";
import { clock, grams, millilitres, share, span } from "../../parts/say";

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
  if (!again.data || !brew.recipeId) return null;
  return (
    <p className="mt-4 max-w-prose border-herb border-l-[5px] pl-3">
      The spent herbs once more would make a cup of {share(again.data.strength)} strength, from what is left
      in them.{" "}
      <Link to={`/sheet/${brew.recipeId}?spent=1&after=${brew.id}`} className="underline underline-offset-4">
        Plan the second brew
      </Link>
      , or compost them.
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
        <dt className="text-muted">Strength</dt>
        <dd>
          planned {share(brew.plan.strength)},{" "}
          {strained(brew) ? `as it went ${share(brew.strength)}` : "ended before there was a cup"}
        </dd>
        <dt className="text-muted">Herbs</dt>
        <dd>
          {measuredOut(brew.plan.additions)
            .map((o) => `${grams(o.amounts.grams)} ${o.name.toLowerCase()}`)
            .join(", ")}
        </dd>
        <dt className="text-muted">Water</dt>
        <dd>
          {millilitres(brew.plan.water.pourMl)} in, planned {millilitres(brew.plan.water.yieldMl)} strained
          {strained(brew) && `, as it went ${millilitres(brew.leftMl + brew.pouredMl)}`}
        </dd>
        {turns.length > 0 && (
          <>
            <dt className="text-muted">By hand</dt>
            <dd>{turns.map((e) => `${clock(e.at)} ${e.text}`).join(", ")}</dd>
          </>
        )}
      </dl>
      <table className="mt-4 w-full text-sm">
        <thead>
          <tr className="border-hairline border-b text-left text-muted">
            <th className="py-1 font-normal">Step</th>
            <th className="py-1 text-right font-normal">planned</th>
            <th className="py-1 pl-3 text-right font-normal">done</th>
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
                  {live?.sign && <span className="block text-muted">by its {live.sign}</span>}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
