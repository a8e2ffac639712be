import { useState } from "react";
import type { PlanResponse } from "../../api/client";
import { Primary, Secondary } from "../../parts/Field";
import { measuredOut } from "../../parts/measured";
import { Panel } from "../../parts/Panel";
import { apart, grams, millilitres } from "../../parts/say";
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
    <Panel open wide onOpenChange={(o) => !o && onClose()} title="Measure one by one">
      {out && a ? (
        <div aria-live="polite">
          <p className="text-muted">
            {at + 1} of {all.length}
          </p>
          <p className="font-display font-semibold text-4xl leading-tight [font-stretch:80%] sm:text-5xl">
            {out.name}
          </p>
          <p className="mt-1 text-lg text-muted">
            {out.lead.blend
              ? "blend of the house"
              : [out.lead.form, out.lead.cut, out.lead.prep].filter(Boolean).join(", ")}
            {out.lead.perCup ? "; into the cups" : ""}
          </p>
          <p className="mt-4 flex flex-wrap items-baseline gap-x-6">
            <span className="figure text-[5rem] leading-none sm:text-[6.5rem]">
              {apart("mass", a.grams).number}
              <span className="ml-2 text-3xl">{apart("mass", a.grams).unit}</span>
            </span>
            <span className="text-3xl">
              {a.weigh ? <span className="font-semibold text-amber-text">weigh this one</span> : a.measure}
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
                <span className="text-muted">on the scale</span>
                <output className="figure text-5xl" aria-label="Weight on the scale">
                  {grams(net)}
                </output>
                <span
                  className={`text-xl ${there ? "font-semibold text-herb" : left < 0 ? "text-amber-text" : ""}`}
                >
                  {there ? "that is it" : left > 0 ? `${grams(left)} to go` : `${grams(-left)} too much`}
                </span>
              </p>
              <progress
                className="mt-2 h-3 w-full accent-[var(--herb)]"
                max={a.grams}
                value={Math.max(0, Math.min(net, a.grams))}
                aria-label="Towards the amount"
              />
              <div className="mt-3 flex flex-wrap gap-3">
                <Secondary onClick={() => void scale.command("tare")}>Tare</Secondary>
                <Secondary onClick={() => void scale.command("put", Math.max(0.1, a.grams / 8))}>
                  Put some on
                </Secondary>
                <Secondary onClick={() => void scale.command("put", Math.max(0, left))}>
                  Put the rest on
                </Secondary>
                <Secondary onClick={() => void scale.command("take", a.grams / 16)}>
                  Take a little off
                </Secondary>
              </div>
              <p className="mt-1 text-muted text-sm">
                {scale.reading
                  ? "A simulated scale that ships with Ember Cup; the last three buttons are the hands."
                  : "Waiting for the scale …"}
              </p>
            </div>
          )}
        </div>
      ) : (
        <p className="text-xl">
          All measured. Pour {millilitres(plan.water.startMl)} of water
          {plan.additions.some((x) => x.perCup) ? "; what goes into the cups stays aside" : ""}.
        </p>
      )}
      <div className="mt-6 flex flex-wrap gap-3">
        {!done && <Primary onClick={next}>Measured</Primary>}
        {done && <Primary onClick={onClose}>To the sheet</Primary>}
        {at > 0 && <Secondary onClick={() => setAt(at - 1)}>Back</Secondary>}
        {!done && (
          <Secondary onClick={() => setWeighing(!weighing)}>
            {weighing ? "Without the scale" : "Use the scale"}
          </Secondary>
        )}
      </div>
    </Panel>
  );
}
