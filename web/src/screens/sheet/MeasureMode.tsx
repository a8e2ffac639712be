import { useState } from "react";
import type { PlanResponse } from "../../api/client";
import { Primary, Secondary } from "../../parts/Field";
import { measuredOut } from "../../parts/measured";
import { Panel } from "../../parts/Panel";
import { apart, grams, millilitres } from "../../parts/say";
import { cutSaid, formSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { useScale } from "../live/devices";
import { Unread } from "../live/Unread";

/** One herb at a time in large type, ticked off, with its prep; beside it the scale, when there is one. */
export function MeasureMode({ plan, onClose }: { plan: PlanResponse; onClose: () => void }) {
  const [at, setAt] = useState(0);
  const [weighing, setWeighing] = useState(false);
  const scale = useScale(weighing);
  const all = measuredOut(plan.additions);
  const out = all[at];
  const a = out?.amounts;
  const done = at >= all.length;
  const net = scale.reading?.grams ?? 0;
  const left = a ? a.grams - net : 0;
  const tolerance = a ? Math.max(0.1, a.grams * 0.02) : 0;
  const there = a !== undefined && Math.abs(left) <= tolerance;
  const next = () => {
    setAt(at + 1);
    if (weighing) void scale.command("tare");
  };
  return (
    <Panel open wide onOpenChange={(o) => !o && onClose()} title={say("sheet.measureOneByOne")}>
      {out && a ? (
        <div aria-live="polite">
          <p className="text-muted">
            <Said of="sheet.of" at={at + 1} count={all.length} />
          </p>
          <p className="font-display font-semibold text-4xl leading-tight [font-stretch:80%] sm:text-5xl">
            {out.name}
          </p>
          <p className="mt-1 text-lg text-muted">
            {out.lead.blend
              ? say("sheet.blendOfTheHouse")
              : [formSaid(out.lead.form), cutSaid(out.lead.cut), out.lead.prep].filter(Boolean).join(", ")}
            {out.lead.perCup && `; ${say("sheet.intoTheCups")}`}
          </p>
          <p className="mt-4 flex flex-wrap items-baseline gap-x-6">
            <span className="figure text-[5rem] leading-none sm:text-[6.5rem]">
              {apart("mass", a.grams).number}
              <span className="ml-2 text-3xl">{apart("mass", a.grams).unit}</span>
            </span>
            <span className="text-3xl">
              {a.weigh ? (
                <span className="font-semibold text-amber-text">{say("sheet.weighThisOne")}</span>
              ) : (
                a.measure
              )}
            </span>
          </p>
          <p className="text-muted">
            {out.lead.blend
              ? out.herbs
                  .map((h) => `${grams(h.addition.grams)} ${h.addition.common.toLowerCase()}`)
                  .join(", ")
              : out.lead.said}
          </p>
          {weighing && (
            <div className="mt-4 border-hairline border-t pt-3">
              <Unread since={scale.lostSince} />
              <p className="flex flex-wrap items-baseline gap-x-5">
                <span className="text-muted">{say("sheet.onTheScale")}</span>
                <output className="figure text-5xl" aria-label={say("sheet.weightOnTheScale")}>
                  {grams(net)}
                </output>
                <span
                  className={`text-xl ${there ? "font-semibold text-herb" : left < 0 ? "text-amber-text" : ""}`}
                >
                  {there
                    ? say("sheet.thatIsIt")
                    : left > 0
                      ? say("sheet.toGo", { weight: grams(left) })
                      : say("sheet.tooMuch", { weight: grams(-left) })}
                </span>
              </p>
              <progress
                className="mt-2 h-3 w-full accent-[var(--herb)]"
                max={a.grams}
                value={Math.max(0, Math.min(net, a.grams))}
                aria-label={say("sheet.towardsTheAmount")}
              />
              <div className="mt-3 flex flex-wrap gap-3">
                <Secondary onClick={() => void scale.command("tare")}>{say("sheet.tare")}</Secondary>
                <Secondary onClick={() => void scale.command("put", Math.max(0.1, a.grams / 8))}>
                  {say("sheet.putSomeOn")}
                </Secondary>
                <Secondary onClick={() => void scale.command("put", Math.max(0, left))}>
                  {say("sheet.putTheRestOn")}
                </Secondary>
                <Secondary onClick={() => void scale.command("take", a.grams / 16)}>
                  {say("sheet.takeALittleOff")}
                </Secondary>
              </div>
              <p className="mt-1 text-muted text-sm">
                {scale.reading ? say("sheet.aSimulatedScaleThatShips") : say("sheet.waitingForTheScale")}
              </p>
            </div>
          )}
        </div>
      ) : (
        <p className="text-xl">
          {say("sheet.allMeasuredPourOfWater", {
            amount: millilitres(plan.water.startMl),
            aside: plan.additions.some((x) => x.perCup),
          })}
        </p>
      )}
      <div className="mt-6 flex flex-wrap gap-3">
        {!done && <Primary onClick={next}>{say("sheet.measured")}</Primary>}
        {done && <Primary onClick={onClose}>{say("sheet.toTheSheet")}</Primary>}
        {at > 0 && <Secondary onClick={() => setAt(at - 1)}>{say("sheet.back")}</Secondary>}
        {!done && (
          <Secondary onClick={() => setWeighing(!weighing)}>
            {weighing ? say("sheet.withoutTheScale") : say("sheet.useTheScale")}
          </Secondary>
        )}
      </div>
    </Panel>
  );
}
