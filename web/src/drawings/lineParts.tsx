import type { scaleLinear } from "d3-scale";
import type { AdditionLine, CurvePoint, StageLine, StepLine } from "../api/client";
import { powerOf } from "../api/steps";
import { capital, celsius, clock, date, millilitres, share, span } from "../parts/say";
import type { FireLineProps } from "./lineProps";

export function Flame({
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
  const inside = h > 28;
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
      {fits && words.sub && h > 44 && w > words.sub.length * 7 + 14 && (
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
export function roomBehind(
  stages: StepLine[],
  step: StepLine,
  totalS: number,
  x: (s: number) => number,
): number {
  const flame = stages.find((s) => s.startS > step.startS && (powerOf(s) > 0 || s.kind === "cool"));
  return x(flame?.kind === "cool" ? totalS : (flame?.startS ?? totalS)) - x(step.startS);
}

/** What a stretch of the line says, long and short. */
function say(step: StepLine): { main: string; short: string; sub?: string } {
  const length = span(step.durationS);
  switch (step.kind) {
    case "heat":
      return step.kettle
        ? { main: "Kettle", short: "Kettle", sub: `hot in ${length}` }
        : {
            main: `${capital(step.flame ?? "high")} flame`,
            short: "Heat",
            sub: `${step.boils === false ? "hot" : "boils"} in ${length}`,
          };
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
export function lids(stages: StageLine[]): [number, number][] {
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
export function shown(curve: CurvePoint[], totalS: number): CurvePoint[] {
  return curve.filter((p) => p.tS <= totalS);
}

/** Marks nearer than this cannot be told apart, px. */
const ONE_MARK = 14;

/** Where herbs go in, those of one moment together, and those of moments that fall together on the paper. */
export function marks(additions: AdditionLine[], stages: StageLine[], x: (s: number) => number) {
  const by = new Map<number, string[]>();
  for (const a of additions) {
    const stage = stages.filter((s) => s.stage === a.stage);
    const main = stage.find((s) => s.kind === "pour") ?? stage[0];
    if (main) by.set(main.startS, [...(by.get(main.startS) ?? []), a.common.toLowerCase()]);
  }
  const all: { key: string; atS: number; words: string[] }[] = [];
  for (const [atS, words] of [...by].sort((a, b) => a[0] - b[0])) {
    const before = all.at(-1);
    if (before && x(atS) - x(before.atS) < ONE_MARK) before.words.push(...words);
    else all.push({ key: String(atS), atS, words: [...words] });
  }
  return all;
}

export function Addition({
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
  const turned = text.length * 7 > room && x > text.length * 7 + 16;
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

export type Scale = ReturnType<typeof scaleLinear<number, number>>;

export function Figures({
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
  const labels = apart(yWater.range()[0] ?? 0, [
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

/** From one line of figures to the next, px. */
const LINE = 18;

/** Labels pushed apart until none covers another and none stands below the base; their order stays. */
function apart<T extends { y: number }>(base: number, labels: T[]): T[] {
  const sorted = [...labels].sort((a, b) => a.y - b.y);
  let free = Number.NEGATIVE_INFINITY;
  return sorted.map((l, i) => {
    const lowest = base - 8 - LINE * (sorted.length - 1 - i);
    const y = Math.min(lowest, Math.max(l.y, free));
    free = y + LINE;
    return { ...l, y };
  });
}

export function Ends({
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
            {celsius(40)}, honey: {clock(new Date(start.getTime() + honeyS * 1000))}
          </text>
        </g>
      )}
    </g>
  );
}

const STEPS_S = [60, 120, 300, 600, 900, 1800, 3600, 7200, 10_800, 21_600, 43_200, 86_400, 604_800];

export function Axis({ x, endS, y, start }: { x: Scale; endS: number; y: number; start: Date }) {
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
              {step >= 86_400 ? date(at) : clock(at)}
            </text>
          </g>
        );
      })}
    </g>
  );
}
