import { memo } from "react";
import { Link } from "react-router";
import type { PlanResponse, StageDocument, WayLine } from "../../api/client";
import { traitsOf } from "../../api/stages";
import { powerOf, stagesOf } from "../../api/steps";
import { FireLine } from "../../drawings/FireLine";
import { Handles } from "../../drawings/Handles";
import { ofPlan } from "../../drawings/lineProps";
import { VesselDrawing } from "../../drawings/Vessel";
import { Glossed } from "../../parts/Glossed";
import { celsius, centimetres, clock, millilitres } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { Why } from "../../parts/Why";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { Cautions, Ways } from "./Cautions";
import { Measures } from "./Measures";
import type { Change, Strength, Tweak } from "./order";
import { WhatIf } from "./WhatIf";

/** So many reasons for stages stand beside the vessel; more need the whole width. */
const FEW = 2;
/** From here on the cautions have a column of their own, and the ways out of a stop fit beside them, px. */
const THREE_COLUMNS = 1150;

/** Vessel, measures, cautions and fire line of a plan, all of them to be handled. */
export const Drawn = memo(function Drawn({
  plan,
  stages,
  onWay,
  strength,
  onStrength,
  onTweak,
  held,
  onDrop,
  ordered,
  notes,
  course,
  onChange,
}: {
  plan: PlanResponse;
  /** The stages as ordered, for the handles; empty when they were proposed by the plan. */
  stages: StageDocument[];
  onWay: (way: WayLine) => void;
  strength: Strength;
  onStrength: (s: Strength) => void;
  onTweak: (t: Tweak) => void;
  /** Another plan that is held beside this one. */
  held: PlanResponse | null;
  onDrop: () => void;
  /** Whether the order says for itself how many cups a day it is. */
  ordered: boolean;
  /** What the recipe says that nothing is reckoned from. */
  notes?: string[];
  /** Where it is laid as a course. */
  course?: string;
  onChange: (c: Change) => void;
}) {
  const line = useWidth(1232);
  const pot = useWidth(390);
  const w = plan.water;
  const fire = plan.vessel.kind === "pot" && plan.steps.some((s) => powerOf(s) > 0 && s.kind !== "heat");
  const lid = stagesOf(plan.steps).some((s) => s.lid);
  const rim = plan.vessel.heightCm - plan.vessel.startLevelCm;
  const cold = stagesOf(plan.steps)[0]?.kind !== "heat" || plan.vessel.kind === "pot";
  const never = !stagesOf(plan.steps).some((s) => traitsOf(s.kind)?.heats);
  const boils = stagesOf(plan.steps).some(
    (s) => traitsOf(s.kind)?.boils || (s.kind === "heat" && s.boils !== false),
  );
  const reduce = stages.findIndex((s) => s.kind === "reduce");
  const toMl = stages[reduce]?.toMl;
  const wide = line.width >= THREE_COLUMNS;
  const reasons = plan.reasons.map((r) => r.text);
  return (
    <>
      {wide && plan.stopped && <Ways row ways={plan.waysOut} onWay={onWay} />}
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 md:grid-cols-[minmax(0,340px)_minmax(0,1fr)] xl:grid-cols-[minmax(0,372px)_minmax(0,1fr)_270px]">
        <section ref={pot.ref} aria-label={say("sheet.vessel")} className="max-md:order-3">
          <p className="mb-1 text-muted text-sm">
            {say("sheet.vesselAndLid", {
              vessel: plan.vessel.name,
              lid: lid && (fire ? (boils ? "simmer" : "hot") : "covered"),
            })}
          </p>
          <VesselDrawing
            plan={plan}
            fire={fire}
            lid={lid}
            height={196}
            width={Math.min(pot.width, 380)}
            dip={
              toMl !== undefined
                ? {
                    toMl,
                    mlPerCm: plan.vessel.brimMl / plan.vessel.heightCm,
                    onToMl: (value) => onTweak({ stage: reduce, part: "toMl", value }),
                    scale: w.yieldMl > 0 ? toMl / w.yieldMl : 1,
                  }
                : undefined
            }
          />
          <p className="mt-1 text-muted text-sm">
            <Said
              of="sheet.herbsKeepStrainedSurfaceUnder"
              water={
                <Why what={say("sheet.waterToPour")} of="water.pourMl" className="text-ink">
                  {say(never || (cold && fire) ? "sheet.pour" : "sheet.heat", {
                    amount: millilitres(w.startMl),
                  })}
                </Why>
              }
              brought={w.broughtMl !== undefined && millilitres(w.broughtMl)}
              fresh={w.pourMl > w.startMl + 1 && millilitres(w.pourMl - w.startMl)}
              herbs={
                <Why what={say("sheet.keptByTheHerbs")} of="water.retainedMl" className="text-ink">
                  {millilitres(w.retainedMl)}
                </Why>
              }
              steam={
                !never && (
                  <Why what={say("sheet.steam")} of="water.evaporatedMl" className="text-ink">
                    {millilitres(w.evaporatedMl)}
                  </Why>
                )
              }
              strained={
                <Why what={say("sheet.strainedLiquor")} of="water.yieldMl" className="text-ink">
                  {millilitres(w.yieldMl)}
                </Why>
              }
              rim={centimetres(rim)}
              mark={
                w.dipMl > 0 && (
                  <Why what={say("sheet.theMarkOfTheReduction")} of="water.dipMl" className="text-ink">
                    {centimetres(plan.vessel.heightCm - plan.vessel.dipLevelCm)}
                  </Why>
                )
              }
              boils={
                boils && (
                  <Why what={say("sheet.waterBoilsAt")} of="boilingC" className="text-ink">
                    {celsius(plan.boilingC, true)}
                  </Why>
                )
              }
            />{" "}
            {reasons.length <= FEW && reasons.join(" ")}
          </p>
        </section>
        <div className="max-md:order-1">
          <Measures plan={plan} onChange={onChange} />
          <p className="mt-1 text-muted text-sm">
            {plan.posology && !ordered && (
              <span className="text-ink">{say("sheet.taken", { posology: plan.posology })} </span>
            )}
            {course && (
              <>
                <Link to={course} className="relative text-ink underline underline-offset-4 max-sm:reach">
                  {say("sheet.dayByDay")}
                </Link>
                .{" "}
              </>
            )}
            {notes && notes.length > 0 && (
              <span className="text-ink">{say("sheet.notes", { notes: notes.join(" ") })} </span>
            )}
            {plan.keeps && (plan.days ?? 1) > 1 && (
              <span className="text-ink">
                <Glossed text={plan.keeps.text} />{" "}
              </span>
            )}
            {say("sheet.strengthAndCurvesAreAnEstimate")}{" "}
          </p>
        </div>
        <Cautions
          plan={plan}
          onWay={wide ? undefined : onWay}
          onMeant={onTweak}
          onLid={(stage, on) => onTweak({ stage, part: "lid", value: on ? 1 : 0 })}
        />
      </div>
      {reasons.length > FEW && <p className="mt-2 max-w-5xl text-muted text-sm">{reasons.join(" ")}</p>}
      <section aria-label={say("sheet.fireLine")} className="mt-1" ref={line.ref}>
        {held && <WhatIf held={held} plan={plan} onDrop={onDrop} />}
        <FireLine
          {...ofPlan(plan)}
          start={new Date(plan.startAt)}
          width={line.width}
          height={line.width < 560 ? 176 : 194}
          against={held?.curve}
          over={(g) =>
            line.width >= 560 &&
            stages.length > 0 && (
              <Handles
                plan={plan}
                stages={stages}
                width={line.width}
                strength={strength}
                onStrength={onStrength}
                onTweak={onTweak}
                {...g}
              />
            )
          }
        />
        <ol className="sr-only">
          {plan.steps.map((s) => (
            <li key={s.key}>
              {clock(new Date(new Date(plan.startAt).getTime() + s.startS * 1000))} {s.label} {s.until}
            </li>
          ))}
        </ol>
      </section>
    </>
  );
});
