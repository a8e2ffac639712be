import { scaleLinear } from "d3-scale";
import { curveMonotoneX, line } from "d3-shape";
import { type ReactNode, useMemo, useState } from "react";
import type { AdditionLine, CurvePoint, StepLine } from "../api/client";
import { clock, millilitres, share, span } from "../parts/say";

export interface FireLineProps {
  steps: StepLine[];
  curve: CurvePoint[];
  additions: AdditionLine[];
  /** Moment of second 0. */
  start: Date;
  totalS: number;
  stageStartS: number;
  startMl: number;
  yieldMl: number;
  strength: number;
  /** Seconds after the end until honey may go in; drawn when it is near. */
  honeyAfterS?: number;
  readyWord?: string;
  width: number;
  height: number;
  /** Seconds of the present; draws the travelling mark. */
  nowS?: number;
  /** Another plan's curve, drawn thin beside this one. */
  against?: CurvePoint[];
  /** What is laid over the line, given where it stands. */
  over?: (geometry: { endS: number; bandTop: number; bandBase: number; bodyY: number }) => ReactNode;
}

const INSET = 4;
/** Room for the figures behind the end of the brew, px. */
const FIGURES = 128;

/** One time axis: flame band by power, lid bracket, additions, waits, strain; below it water falls and strength rises. */
export function FireLine(props: FireLineProps) {
  const { steps, curve, additions, start, totalS, width, height, nowS } = props;
  const [cursor, setCursor] = useState<number | null>(null);
  const compact = width < 560;
  const honeyS = props.honeyAfterS === undefined ? null : totalS + props.honeyAfterS;
  const showHoney = honeyS !== null && honeyS < totalS * 1.9 && !compact;
  const shownS = Math.max(totalS, (nowS ?? 0) * 1.01, props.against?.at(-1)?.tS ?? 0, 60);
  const margin = compact ? 0 : FIGURES;
  const endS = Math.max(shownS * (1 + margin / (width - margin)), showHoney ? honeyS * 1.01 : 0);
  const x = scaleLinear([0, endS], [INSET, width - INSET]);
  const band = compact ? { top: height * 0.16, base: height * 0.52 } : { top: 52, base: height * 0.49 };
  const curveTop = band.base + (compact ? 4 : 14);
  const curveBase = compact ? height - 4 : height - 26;
  const stages = steps.filter((s) => s.stage >= 0);
  const maxW = Math.max(1, ...stages.map((s) => s.powerW));
  const power = scaleLinear([0, maxW], [0, band.base - band.top]);
  const maxMl = Math.max(props.startMl, ...curve.map((p) => p.waterMl), 1);
  const yWater = scaleLinear([0, maxMl * 1.04], [curveBase, curveTop]);
  const mostBody = Math.max(props.strength, ...(props.against ?? []).map((p) => p.body));
  const yBody = scaleLinear([0, Math.max(1.25, mostBody * 1.15)], [curveBase, curveTop]);
  const paths = useMemo(() => {
    const by = (f: (p: CurvePoint) => number) =>
      line<CurvePoint>()
        .x((p) => x(p.tS))
        .y(f)
        .curve(curveMonotoneX)(curve) ?? "";
    return {
      water:
        line<CurvePoint>()
          .x((p) => x(p.tS))
          .y((p) => yWater(p.waterMl))(curve) ?? "",
      body: by((p) => yBody(p.body)),
      aroma: by((p) => scaleLinear([0, 1.1], [curveBase, curveTop])(p.aroma)),
    };
  }, [curve, x, yWater, yBody, curveBase, curveTop]);
  const last = curve.at(-1);
  const area = last
    ? `${paths.water} L${x(last.tS)},${curveBase} L${x(curve[0]?.tS ?? 0)},${curveBase} Z`
    : "";
  const at = cursor === null ? null : nearest(curve, cursor);
  const text = describe(steps, totalS, start);
  const move = (clientX: number, box: DOMRect) =>
    setCursor(Math.max(0, Math.min(endS, x.invert(clientX - box.left))));
  return (
    <div className="relative">
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={text}
        className="block overflow-visible"
        onPointerMove={(e) => move(e.clientX, e.currentTarget.getBoundingClientRect())}
        onPointerLeave={() => setCursor(null)}
      >
        <title>{text}</title>
        <path d={area} fill="var(--water-fill)" opacity={0.55} />
        {stages.map((s) => (
          <Flame
            key={s.key}
            step={s}
            x={x(s.startS)}
            w={x(s.startS + s.durationS) - x(s.startS)}
            base={band.base}
            h={power(s.powerW)}
            compact={compact}
            room={roomBehind(stages, s, totalS, x)}
          />
        ))}
        {lids(stages).map(([a, b]) => (
          <g key={a}>
            <path
              d={`M${x(a)},${band.top - 8} v-8 H${x(b)} v8`}
              fill="none"
              stroke="var(--muted)"
              strokeWidth={compact ? 1.5 : 2.5}
            />
            {!compact && x(b) - x(a) > 60 && (
              <text
                x={(x(a) + x(b)) / 2}
                y={band.top - 21}
                textAnchor="middle"
                fontSize={13}
                style={{ fill: "var(--muted)" }}
              >
                lid on
              </text>
            )}
          </g>
        ))}
        <line
          x1={INSET}
          x2={width - INSET}
          y1={band.base}
          y2={band.base}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
        <line
          x1={INSET}
          x2={width - INSET}
          y1={curveBase}
          y2={curveBase}
          stroke="var(--ink)"
          strokeWidth={compact ? 0 : 1.5}
        />
        {marks(additions, stages).map((m, i, all) => (
          <Addition
            key={m.key}
            x={x(m.atS)}
            room={(i + 1 < all.length ? x(all[i + 1]?.atS ?? endS) : width) - x(m.atS) - 14}
            words={m.words}
            top={compact ? 4 : 10}
            base={band.base}
            compact={compact}
          />
        ))}
        <path d={paths.water} fill="none" stroke="var(--water)" strokeWidth={2.5} />
        {!compact && (
          <path
            d={paths.aroma}
            fill="none"
            stroke="var(--herb)"
            strokeWidth={1.5}
            strokeDasharray="2 5"
            strokeLinecap="round"
          />
        )}
        <path d={paths.body} fill="none" stroke="var(--herb)" strokeWidth={3} />
        {props.against && (
          <g fill="none" strokeWidth={2} strokeDasharray="7 4" opacity={0.85}>
            <path
              d={
                line<CurvePoint>()
                  .x((p) => x(p.tS))
                  .y((p) => yWater(Math.min(p.waterMl, maxMl * 1.04)))(shown(props.against, totalS)) ?? ""
              }
              stroke="var(--water)"
            />
            <path
              d={
                line<CurvePoint>()
                  .x((p) => x(p.tS))
                  .y((p) => yBody(p.body))(shown(props.against, totalS)) ?? ""
              }
              stroke="var(--herb)"
            />
          </g>
        )}
        {!compact && (
          <Figures
            {...props}
            x={x}
            yWater={yWater}
            yBody={yBody}
            aroma={scaleLinear([0, 1.1], [curveBase, curveTop])}
            last={last}
          />
        )}
        {!compact && (
          <Ends
            x={x}
            base={band.base}
            curveBase={curveBase}
            totalS={totalS}
            start={start}
            honeyS={showHoney ? honeyS : null}
            word={props.readyWord ?? "ready"}
          />
        )}
        {!compact && <Axis x={x} endS={endS} y={curveBase} start={start} />}
        {nowS !== undefined && nowS <= endS && (
          <g>
            <rect
              x={INSET}
              y={band.top - 2}
              width={Math.max(0, x(nowS) - INSET)}
              height={curveBase - band.top + 2}
              fill="var(--ground)"
              opacity={0.45}
            />
            <line
              x1={x(nowS)}
              x2={x(nowS)}
              y1={compact ? 0 : 4}
              y2={curveBase}
              stroke="var(--ink)"
              strokeWidth={3}
            />
            {!compact && (
              <text x={x(nowS) + 6} y={curveBase - 6} fontSize={13} fontWeight={600}>
                now
              </text>
            )}
          </g>
        )}
        {at && cursor !== null && (
          <line
            x1={x(cursor)}
            x2={x(cursor)}
            y1={band.top}
            y2={curveBase}
            stroke="var(--ink)"
            strokeWidth={1}
            strokeDasharray="2 3"
            pointerEvents="none"
          />
        )}
      </svg>
      {props.over?.({
        endS,
        bandTop: band.top,
        bandBase: band.base,
        bodyY: last ? yBody(last.body) : curveBase,
      })}
      {at && cursor !== null && (
        <div
          className="pointer-events-none absolute z-10 rounded-one border border-hairline bg-raised px-2 py-1 text-sm shadow"
          style={{ left: Math.min(Math.max(0, x(cursor) + 8), width - 190), top: band.base - 6 }}
        >
          <strong>{clock(new Date(start.getTime() + cursor * 1000))}</strong> · {Math.round(at.tempC)} °C ·{" "}
          {millilitres(at.waterMl)}
          <br />
          strength {at.body.toFixed(2)} · aroma {share(at.aroma)} · bite {share(at.bite)}
        </div>
      )}
    </div>
  );
}

function Flame({
  step,
  x,
  w,
  base,
  h,
  compact,
  room,
}: {
  step: StepLine;
  x: number;
  w: number;
  base: number;
  h: number;
  compact: boolean;
  room: number;
}) {
  const words = say(step);
  const long = words.main.length * 7.4 + 16;
  const fits = !compact && w > Math.min(long, words.short.length * 7.4 + 14);
  const main = w > long ? words.main : words.short;
  const inside = h > 40;
  return (
    <g>
      {h > 0 && <rect x={x} y={base - h} width={Math.max(1, w)} height={h} fill="var(--ember-fill)" />}
      {h > 0 && (
        <path
          d={`M${x},${base - h} H${x + w} V${base}`}
          fill="none"
          stroke="var(--ember)"
          strokeWidth={compact ? 2 : 3}
        />
      )}
      {step.kind === "strain" && (
        <line
          x1={x}
          x2={x}
          y1={compact ? base - 22 : base - 58}
          y2={base}
          stroke="var(--ink)"
          strokeWidth={compact ? 2 : 2.5}
        />
      )}
      {fits && (
        <text x={x + 9} y={inside ? base - h + 21 : base - h - 9} fontSize={15} fontWeight={600}>
          {main}
        </text>
      )}
      {fits && words.sub && inside && w > words.sub.length * 7 + 14 && (
        <text x={x + 9} y={base - h + 39} fontSize={14}>
          {words.sub}
        </text>
      )}
      {step.kind === "strain" && !compact && room > 56 && (
        <text x={x + 8} y={base - 46} fontSize={14}>
          strain
        </text>
      )}
    </g>
  );
}

/** Pixels from the beginning of a step to what is drawn next: another flame, or the end of the brew. */
function roomBehind(stages: StepLine[], step: StepLine, totalS: number, x: (s: number) => number): number {
  const flame = stages.find((s) => s.startS > step.startS && (s.powerW > 0 || s.kind === "cool"));
  return x(flame?.kind === "cool" ? totalS : (flame?.startS ?? totalS)) - x(step.startS);
}

/** What a stretch of the line says, long and short. */
function say(step: StepLine): { main: string; short: string; sub?: string } {
  const length = span(step.durationS);
  switch (step.kind) {
    case "heat":
      return step.until === "until it boils" && step.lid
        ? { main: "High flame", short: "Heat", sub: `boils in ${length}` }
        : { main: "Kettle", short: "Kettle", sub: `hot in ${length}` };
    case "boil":
      return { main: `Rolling boil, ${length}`, short: `Boil ${length}` };
    case "simmer":
      return { main: `Low, a quiet simmer, ${length}`, short: `Simmer ${length}` };
    case "reduce":
      return { main: `Boil it down, about ${length}`, short: `Down ${length}` };
    case "steep":
      return { main: `Steep ${step.lid ? "covered" : "open"}, ${length}`, short: `Steep ${length}` };
    case "macerate":
      return { main: `Stand in cold water, ${length}`, short: `Stand ${length}` };
    case "rest":
      return { main: `Off, rest ${length}`, short: "Rest" };
    case "cool":
      return { main: step.label, short: "Cool" };
    default:
      return { main: "", short: "" };
  }
}

/** Stretches under the lid, joined where they touch. */
function lids(stages: StepLine[]): [number, number][] {
  const all: [number, number][] = [];
  for (const s of stages.filter((s) => s.lid && s.durationS > 0)) {
    const end = s.startS + s.durationS;
    const before = all.at(-1);
    if (before && Math.abs(before[1] - s.startS) < 1) before[1] = end;
    else all.push([s.startS, end]);
  }
  return all;
}

/** A held curve up to the end of this one: behind it stand the figures. */
function shown(curve: CurvePoint[], totalS: number): CurvePoint[] {
  return curve.filter((p) => p.tS <= totalS);
}

/** Where herbs go in, those of one moment together. */
function marks(additions: AdditionLine[], stages: StepLine[]) {
  const by = new Map<number, string[]>();
  for (const a of additions) {
    const stage = stages.filter((s) => s.stage === a.stage);
    const main = stage.find((s) => s.kind === "pour") ?? stage[0];
    if (main) by.set(main.startS, [...(by.get(main.startS) ?? []), a.common.toLowerCase()]);
  }
  return [...by].sort((a, b) => a[0] - b[0]).map(([atS, names]) => ({ key: String(atS), atS, words: names }));
}

function Addition({
  x,
  room,
  words,
  top,
  base,
  compact,
}: {
  x: number;
  room: number;
  words: string[];
  top: number;
  base: number;
  compact: boolean;
}) {
  const all = words.join(", ");
  const text = all.length * 7 < room ? all : words.length > 1 ? `${words.length} herbs` : (words[0] ?? "");
  const turned = text.length * 7 > room;
  return (
    <g>
      <line x1={x} x2={x} y1={top} y2={base} stroke="var(--herb)" strokeWidth={2} />
      <circle cx={x} cy={top} r={compact ? 4 : 6} fill="var(--herb)" />
      {!compact && (
        <text x={turned ? x - 11 : x + 12} y={top + 5} fontSize={14} textAnchor={turned ? "end" : "start"}>
          {text}
        </text>
      )}
    </g>
  );
}

type Scale = ReturnType<typeof scaleLinear<number, number>>;

function Figures({
  x,
  yWater,
  yBody,
  aroma,
  startMl,
  yieldMl,
  strength,
  stageStartS,
  last,
}: FireLineProps & { x: Scale; yWater: Scale; yBody: Scale; aroma: Scale; last: CurvePoint | undefined }) {
  if (!last) return null;
  const endX = x(last.tS) + 10;
  const labels = apart([
    { y: yWater(last.waterMl), text: millilitres(yieldMl), colour: "var(--water)", bold: true },
    { y: yBody(last.body), text: `strength ${strength.toFixed(1)}`, colour: "var(--herb)", bold: true },
    { y: aroma(last.aroma), text: `aroma ${share(last.aroma)}`, colour: "var(--herb)", bold: false },
  ]);
  return (
    <g fontSize={15}>
      <text
        x={x(stageStartS) + 10}
        y={yWater(startMl) + (yWater(startMl) > (yWater.range()[1] ?? 0) + 34 ? -9 : 20)}
        fontWeight={600}
        style={{ fill: "var(--water)" }}
      >
        {millilitres(startMl)}
      </text>
      {labels.map((l) => (
        <text key={l.text} x={endX} y={l.y + 5} fontWeight={l.bold ? 600 : 400} style={{ fill: l.colour }}>
          {l.text}
        </text>
      ))}
    </g>
  );
}

/** Labels pushed apart until none covers another; their order stays. */
function apart<T extends { y: number }>(labels: T[]): T[] {
  const sorted = [...labels].sort((a, b) => a.y - b.y);
  for (let i = 1; i < sorted.length; i++) {
    const above = sorted[i - 1];
    const here = sorted[i];
    if (above && here && here.y - above.y < 18) sorted[i] = { ...here, y: above.y + 18 };
  }
  return sorted;
}

function Ends({
  x,
  base,
  curveBase,
  totalS,
  start,
  honeyS,
  word,
}: {
  x: Scale;
  base: number;
  curveBase: number;
  totalS: number;
  start: Date;
  honeyS: number | null;
  word: string;
}) {
  const at = clock(new Date(start.getTime() + totalS * 1000));
  return (
    <g>
      <line x1={x(totalS)} x2={x(totalS)} y1={base - 58} y2={curveBase} stroke="var(--ink)" strokeWidth={2} />
      <text x={x(totalS) + 8} y={base - 44} fontSize={15} fontWeight={600}>
        {word}, {at}
      </text>
      {honeyS !== null && (
        <g>
          <line
            x1={x(honeyS)}
            x2={x(honeyS)}
            y1={base - 34}
            y2={curveBase}
            stroke="var(--amber)"
            strokeWidth={2}
            strokeDasharray="4 4"
          />
          <text
            x={x(honeyS) - 6}
            y={base - 24}
            fontSize={13}
            textAnchor="end"
            style={{ fill: "var(--amber-text)" }}
          >
            40 °C, honey: {clock(new Date(start.getTime() + honeyS * 1000))}
          </text>
        </g>
      )}
    </g>
  );
}

const STEPS_S = [60, 120, 300, 600, 900, 1800, 3600, 7200, 10_800, 21_600, 43_200, 86_400, 604_800];

function Axis({ x, endS, y, start }: { x: Scale; endS: number; y: number; start: Date }) {
  const room = Math.max(3, Math.floor((x.range()[1] ?? 600) / 110));
  const step = STEPS_S.find((s) => endS / s <= room) ?? 604_800;
  const first = Math.ceil(start.getTime() / 1000 / step) * step - start.getTime() / 1000;
  const ticks: number[] = [];
  for (let t = first; t < endS; t += step) ticks.push(t);
  return (
    <g>
      {ticks.map((t) => {
        const at = new Date(start.getTime() + t * 1000);
        return (
          <g key={t}>
            <line x1={x(t)} x2={x(t)} y1={y} y2={y + 6} stroke="var(--muted)" />
            <text
              x={x(t)}
              y={y + 21}
              fontSize={14}
              textAnchor={x(t) < 30 ? "start" : "middle"}
              style={{ fill: "var(--muted)" }}
            >
              {step >= 86_400
                ? at.toLocaleDateString("en-GB", { day: "numeric", month: "short" })
                : clock(at)}
            </text>
          </g>
        );
      })}
    </g>
  );
}

function nearest(curve: CurvePoint[], s: number): CurvePoint | null {
  let best: CurvePoint | null = null;
  for (const p of curve) if (!best || Math.abs(p.tS - s) < Math.abs(best.tS - s)) best = p;
  return best;
}

function describe(steps: StepLine[], totalS: number, start: Date): string {
  const stages = steps.filter((s) => s.stage >= 0).map((s) => `${s.label}, ${span(s.durationS)}`);
  return `Fire line from ${clock(start)}, ${span(totalS)} in all: ${stages.join("; ")}`;
}
