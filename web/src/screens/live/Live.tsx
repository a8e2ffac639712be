import { Link, useParams } from "react-router";
import type { BrewResponse } from "../../api/client";
import { useListen } from "../../api/listen";
import { confirm } from "../../api/outbox";
import { present } from "../../api/present";
import { catchUp, keepNewer, useBrew, useRecipe } from "../../api/queries";
import { FireLine } from "../../drawings/FireLine";
import { ofPlan } from "../../drawings/lineProps";
import { VesselDrawing } from "../../drawings/Vessel";
import { Notice } from "../../parts/Notices";
import { useNow } from "../../parts/now";
import { clock, forWhom, millilitres, moment, timer } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { Loading, Missing } from "../../parts/states";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { Measures } from "../sheet/Measures";
import { writeOrder } from "../sheet/order";
import { movedOrder } from "./again";
import { useBrewClock } from "./clock";
import { Finished } from "./Finished";
import { OnTheFire } from "./OnTheFire";

/** A brew: waiting for its start, on the fire, or done. */
export default function Live() {
  const { id = "" } = useParams();
  const brew = useBrew(id);
  const lostSince = useListen(`/api/brews/${id}/stream`, {
    brew: (data) => keepNewer(JSON.parse(data)),
    beat: (data) => catchUp(id, JSON.parse(data).state),
  });
  if (brew.isPending) return <Loading what={say("live.theBrew")} />;
  if (brew.error)
    return (
      <Missing error={brew.error} again={() => brew.refetch()} to="/notebook">
        {say("live.lookInTheNotebook")}
      </Missing>
    );
  const b = brew.data;
  return (
    <>
      {lostSince && (
        <Notice>
          <p role="status" className="border-amber border-l-[5px] px-4 py-1.5 text-sm md:px-6">
            <Said of="live.notLiveSinceTryingAgain" clock={clock(lostSince)} />
          </p>
        </Notice>
      )}
      {b.phase === "running" ? (
        <OnTheFire brew={b} />
      ) : b.phase === "planned" ? (
        <Planned brew={b} />
      ) : (
        <Finished brew={b} />
      )}
    </>
  );
}

/** A brew that waits: when it starts, and what it will be: measures, vessel and line. */
function Planned({ brew }: { brew: BrewResponse }) {
  useNow(1000);
  const at = useBrewClock(brew);
  const line = useWidth(1232);
  const pot = useWidth(360);
  const { plan } = brew;
  const kept = useRecipe(brew.recipeId ?? "");
  const left = (new Date(plan.startAt).getTime() - at()) / 1000;
  return (
    <div className="pt-6">
      <title>{say("live.emberCup", { name: brew.name })}</title>
      <h1 className="text-[2rem]">{brew.name}</h1>
      <p className="mt-2 text-lg">
        {say("live.startsAt", {
          cups: plan.cups,
          amount: millilitres(plan.cupMl),
          whom: forWhom(brew.drinkerName, plan.others, plan.cupMl),
          vessel: plan.vessel.name,
          start: moment(plan.startAt, present()),
          ready: moment(plan.readyAt, present()),
        })}
      </p>
      <p className="figure mt-4 text-7xl" role="timer">
        {timer(left)}
      </p>
      <p className="text-muted">
        {left > 0 ? say("live.untilItStarts") : say("live.sinceItShouldHaveStarted")}
      </p>
      <div className="mt-6 flex flex-wrap gap-3">
        <button
          type="button"
          className="min-h-14 rounded-one bg-ember px-6 font-semibold text-ember-ink text-lg"
          onClick={() => confirm(brew.id, { kind: "started" })}
        >
          {say("live.startNow")}
        </button>
        <button
          type="button"
          className="min-h-14 rounded-one border border-ink px-6"
          onClick={() => confirm(brew.id, { kind: "abandoned" })}
        >
          {say("live.notToday")}
        </button>
        {brew.recipeId && (
          <Link
            to={`/sheet/${brew.recipeId}?${writeOrder(movedOrder(brew, kept.data?.recipe))}`}
            className="grid min-h-14 place-items-center rounded-one border border-ink px-6"
          >
            {say("live.moveOrChangeIt")}
          </Link>
        )}
      </div>
      <div className="mt-6 grid gap-x-10 gap-y-6 md:grid-cols-[360px_minmax(0,1fr)]">
        <div ref={pot.ref}>
          <VesselDrawing plan={plan} fire={false} lid={false} height={170} width={Math.min(pot.width, 360)} />
        </div>
        <Measures plan={plan} />
      </div>
      <div className="mt-4" ref={line.ref}>
        <FireLine
          {...ofPlan(plan)}
          start={new Date(plan.startAt)}
          width={line.width}
          height={line.width < 560 ? 176 : 200}
        />
      </div>
    </div>
  );
}
