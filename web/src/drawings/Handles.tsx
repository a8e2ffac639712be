import { scaleLinear } from "d3-scale";
import type { PlanResponse, StageDocument } from "../api/client";
import * as limit from "../api/limit.gen";
import { traitsOf } from "../api/stages";
import { powerOf, stagesOf } from "../api/steps";
import { measuredOut, type Out } from "../parts/measured";
import { span } from "../parts/say";
import type { Strength, Tweak } from "../screens/sheet/order";
import { kindSaid } from "../words/kinds";
import { say } from "../words/say";
import { stepOf, useDrag } from "./useDrag";

const STRENGTHS: Strength[] = ["gentle", "standard", "strong"];

/** Minutes that one pixel of dragging is worth grow with the length of the stage, so that a jar can be dragged too. */
const KEY_STEPS = [1, 5, 30, 60];

/** Handles on the fire line: stretch a wait, put the lid on or off, move a herb; by pointer and by keys alike. */
export function Handles({
  plan,
  stages,
  width,
  endS,
  bandTop,
  bandBase,
  bodyY,
  strength,
  onStrength,
  onTweak,
  onMove,
  onJoin,
}: {
  plan: PlanResponse;
  /** The recipe's own stages, with the tweaks so far. */
  stages: StageDocument[];
  width: number;
  endS: number;
  bandTop: number;
  bandBase: number;
  /** Where the strength curve ends, px from the top. */
  bodyY: number;
  strength: Strength;
  onStrength: (s: Strength) => void;
  onTweak: (t: Tweak) => void;
  /** Puts a whole stage where another is; missing where the recipe itself is not written. */
  onMove?: (from: number, to: number) => void;
  /** Makes one of a stage and the next, which is of its kind. */
  onJoin?: (at: number) => void;
}) {
  const x = scaleLinear([0, endS], [4, width - 4]);
  const main = stagesOf(plan.steps).filter((s) => s.kind !== "heat" || stages[s.stage]?.kind === "heat");
  const spans = onMove ? spansOf(plan, stages, x) : [];
  return (
    <div className="no-print pointer-events-none absolute inset-x-0 top-0" style={{ height: bandBase }}>
      {onMove &&
        stages.map((doc, i) => (
          <Whole
            key={`${i}.whole`}
            at={i}
            stages={stages}
            kind={doc.kind ?? ""}
            spans={spans}
            top={bandTop}
            height={bandBase - bandTop}
            onMove={onMove}
          />
        ))}
      {onJoin &&
        stages.map((doc, i) => {
          const next = main.find((s) => s.stage === i + 1);
          return doc.kind === stages[i + 1]?.kind && doc.minutes && next ? (
            <button
              key={`${i}.join`}
              type="button"
              aria-label={say("drawing.joinStagesAnd", { number: i + 1, i: i + 2 })}
              onClick={() => onJoin(i)}
              className="pointer-events-auto absolute z-10 -translate-x-1/2 rounded-one border border-ink bg-ground px-1.5 text-[13px] hover:bg-strip"
              style={{ left: x(next.startS), top: bandBase + 2 }}
            >
              {say("drawing.join")}
            </button>
          ) : null;
        })}
      {main.map((s) => {
        const doc = stages[s.stage];
        if (!doc?.minutes || s.durationS <= 0) return null;
        return (
          <Stretch
            key={s.key}
            label={say("drawing.minutes", { name: s.label })}
            minutes={doc.minutes}
            mostMin={(powerOf(s) > 0 ? limit.FLAME_MIN : limit.STAND_MIN).high}
            left={x(s.startS + s.durationS)}
            top={bandBase - 15}
            pxPerMin={(x(60) - x(0)) * (s.durationS / 60 / doc.minutes)}
            onMinutes={(value) => onTweak({ stage: s.stage, part: "minutes", value })}
          />
        );
      })}
      {main.map((s) => {
        const doc = stages[s.stage];
        if (!doc || traitsOf(doc.kind)?.lid === undefined || x(s.startS + s.durationS) - x(s.startS) < 66)
          return null;
        return (
          <button
            key={`${s.key}.lid`}
            type="button"
            aria-pressed={s.lid}
            aria-label={say("drawing.lidWhile", { on: s.lid, stage: kindSaid("stage", doc.kind ?? "") })}
            onClick={() => onTweak({ stage: s.stage, part: "lid", value: s.lid ? 0 : 1 })}
            className="pointer-events-auto absolute -translate-x-full rounded-one px-1.5 text-[13px] text-muted underline decoration-dotted underline-offset-4 hover:bg-strip hover:text-ink"
            style={{ left: x(s.startS + s.durationS) - 6, top: bandTop - 34 }}
          >
            {s.lid ? say("drawing.takeItOff") : say("drawing.lidOn")}
          </button>
        );
      })}
      <StrengthHandle
        left={x(plan.curve.at(-1)?.tS ?? 0)}
        top={bodyY}
        strength={strength}
        onStrength={onStrength}
      />
      {measuredOut(plan.additions).map((out) => (
        <Herb key={out.index} plan={plan} out={out} stages={stages} x={x} onTweak={onTweak} />
      ))}
    </div>
  );
}

/** Where each stage stands on the line, px: from and to; a moment has no length. */
function spansOf(plan: PlanResponse, stages: StageDocument[], x: (s: number) => number): [number, number][] {
  const drawn = stagesOf(plan.steps);
  let end = x(0);
  return stages.map((_, i) => {
    const own = drawn.filter((s) => s.stage === i);
    const from = own[0] ? x(own[0].startS) : end;
    const last = own.at(-1);
    end = last ? x(last.startS + last.durationS) : from;
    return [from, end];
  });
}

/** A stage as one piece: dragged to where another is, or moved by arrow keys; its herbs go with it. */
function Whole({
  at,
  stages,
  kind,
  spans,
  top,
  height,
  onMove,
}: {
  at: number;
  stages: StageDocument[];
  kind: string;
  spans: [number, number][];
  top: number;
  height: number;
  onMove: (from: number, to: number) => void;
}) {
  const [from, end] = spans[at] ?? [0, 0];
  const middle = ([a, b]: [number, number]) => (a + b) / 2;
  const to = (next: number) => {
    const clamped = Math.max(0, Math.min(stages.length - 1, next));
    if (clamped !== at) onMove(at, clamped);
  };
  const drag = useDrag("x", (by) => {
    if (Math.abs(by) < 12) return;
    const px = (from + end) / 2 + by;
    const passed = spans.filter((s, i) => (i < at ? middle(s) > px : i > at ? middle(s) < px : false)).length;
    to(by < 0 ? at - passed : at + passed);
  });
  const width = Math.max(22, end - from - 14);
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={say("drawing.placeOfStage", { at: at + 1, kind })}
      aria-valuenow={at + 1}
      aria-valuemin={1}
      aria-valuemax={stages.length}
      aria-valuetext={say("drawing.stageAtOf", { at: at + 1, count: stages.length })}
      className={`pointer-events-auto absolute cursor-grab touch-none rounded-one hover:bg-ink/5 ${drag.by !== null && Math.abs(drag.by) > 4 ? "z-10 border border-ink border-dashed bg-ink/10" : ""}`}
      style={{ left: from + (drag.by ?? 0), top, width, height }}
      onKeyDown={(e) => {
        const by = stepOf(e);
        if (by !== 0) to(at + by);
      }}
      {...drag.handlers}
    />
  );
}

/** The end of the strength curve: dragged up or down, or by arrow keys, from gentle to strong. */
function StrengthHandle({
  left,
  top,
  strength,
  onStrength,
}: {
  left: number;
  top: number;
  strength: Strength;
  onStrength: (s: Strength) => void;
}) {
  const at = STRENGTHS.indexOf(strength);
  const to = (i: number) => {
    const next = STRENGTHS[Math.max(0, Math.min(STRENGTHS.length - 1, i))];
    if (next && next !== strength) onStrength(next);
  };
  const drag = useDrag("y", (by) => {
    if (Math.abs(by) > 8) to(at + (by < 0 ? 1 : -1) * (Math.abs(by) > 40 ? 2 : 1));
  });
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={say("drawing.strengthOfTheCup")}
      aria-orientation="vertical"
      aria-valuenow={at + 1}
      aria-valuemin={1}
      aria-valuemax={STRENGTHS.length}
      aria-valuetext={strength}
      className="pointer-events-auto absolute grid size-[24px] -translate-x-1/2 -translate-y-1/2 cursor-ns-resize touch-none place-items-center"
      style={{ left, top: top + (drag.by ?? 0) }}
      onKeyDown={(e) => {
        const by = stepOf(e);
        if (by !== 0) to(at + by);
      }}
      {...drag.handlers}
    >
      <span className="block size-[13px] rounded-full border-2 border-herb bg-ground" />
    </div>
  );
}

function Stretch({
  label,
  minutes,
  mostMin,
  left,
  top,
  pxPerMin,
  onMinutes,
}: {
  label: string;
  minutes: number;
  mostMin: number;
  left: number;
  top: number;
  pxPerMin: number;
  onMinutes: (m: number) => void;
}) {
  const step = KEY_STEPS[minutes < 60 ? 0 : minutes < 240 ? 1 : minutes < 1440 ? 2 : 3] ?? 1;
  const clamp = (m: number) => Math.max(1, Math.min(mostMin, Math.round(m / step) * step || step));
  const draggedTo = (by: number) => clamp(minutes + by / Math.max(pxPerMin, 0.02));
  const drag = useDrag("x", (by) => {
    const to = draggedTo(by);
    if (by !== 0 && to !== minutes) onMinutes(to);
  });
  const shown = drag.by === null ? null : drag.by === 0 ? minutes : draggedTo(drag.by);
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={minutes}
      aria-valuemin={1}
      aria-valuemax={mostMin}
      aria-valuetext={span(minutes * 60)}
      className="pointer-events-auto absolute grid h-[30px] w-[22px] -translate-x-1/2 cursor-ew-resize touch-none place-items-center"
      style={{ left: left + (shown === null ? 0 : (shown - minutes) * pxPerMin), top }}
      onKeyDown={(e) => {
        const by = stepOf(e);
        if (by !== 0) onMinutes(clamp(minutes + by * step));
      }}
      {...drag.handlers}
    >
      <span className="block h-[26px] w-[7px] rounded-one border border-ink bg-ground" />
      {shown !== null && (
        <span className="absolute bottom-full rounded-one border border-hairline bg-raised px-2 py-0.5 text-sm whitespace-nowrap shadow">
          {span(shown * 60)}
        </span>
      )}
    </div>
  );
}

/** The mark of a herb or a blend: moved to another stage by arrow keys or by dragging. */
function Herb({
  plan,
  out,
  stages,
  x,
  onTweak,
}: {
  plan: PlanResponse;
  out: Out;
  stages: StageDocument[];
  x: (s: number) => number;
  onTweak: (t: Tweak) => void;
}) {
  const beginOf = (stage: number) => {
    const steps = stagesOf(plan.steps).filter((s) => s.stage === stage);
    return (steps.find((s) => s.kind === "pour") ?? steps[0])?.startS ?? 0;
  };
  const stage = out.lead.stage;
  const at = x(beginOf(stage));
  const order = measuredOut(plan.additions).filter((o) => o.line < out.line && o.lead.stage === stage).length;
  const to = (value: number) => {
    const clamped = Math.max(0, Math.min(stages.length - 1, value));
    if (clamped !== stage) onTweak({ addition: out.line, part: "stage", value: clamped });
  };
  const nearest = (px: number) =>
    stages
      .map((_, i) => i)
      .reduce((a, b) => (Math.abs(x(beginOf(b)) - px) < Math.abs(x(beginOf(a)) - px) ? b : a), 0);
  const drag = useDrag("x", (by) => {
    if (Math.abs(by) > 6) to(nearest(at + by));
  });
  if (stage >= stages.length) return null;
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={say("drawing.goesInAtStage", { name: out.name })}
      aria-valuenow={stage + 1}
      aria-valuemin={1}
      aria-valuemax={stages.length}
      aria-valuetext={`${stage + 1}: ${kindSaid("stage", stages[stage]?.kind ?? "")}`}
      className="pointer-events-auto absolute size-[22px] -translate-x-1/2 cursor-grab touch-none rounded-full hover:bg-herb/25"
      style={{ left: at + (drag.by ?? 0), top: -1 + order * 15 }}
      onKeyDown={(e) => {
        const by = stepOf(e);
        if (by !== 0) to(stage + by);
      }}
      {...drag.handlers}
    />
  );
}
