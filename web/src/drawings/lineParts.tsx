import type { scaleLinear } from "d3-scale";
import type { AdditionLine, CurvePoint, StageLine, StepLine } from "../api/client";
import { powerOf } from "../api/steps";
import { measuredOut } from "../parts/measured";
import { capital, clock, date, millilitres, share, span, timeValue } from "../parts/say";
import { say } from "../words/say";
import type { FireLineProps } from "./lineProps";

/** How much of the line is written: all of it, what fits a phone, or nothing. */
export type LineSize = "wide" | "narrow" | "bare";

/** Width of a letter of the words on the line, px. */
const LETTER: Record<LineSize, number> = { wide: 7.4, narrow: 6.4, bare: 0 };

export function Flame({
  step,
  x,
  w,
  base,
  h,
  size,
  room,
}: {
  step: StepLine;
  x: number;
  w: number;
  base: number;
  h: number;
  size: LineSize;
  room: number;
}) {
  const words = stageWords(step);
  const wide = size === "wide";
  const inset = wide ? 9 : 4;
  const long = words.main.length * LETTER[size] + 2 * inset;
  const brief = words.short.length * LETTER[size] + 2 * inset;
  const fits = size !== "bare" && w > Math.min(long, brief);
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
          strokeWidth={wide ? 3 : 2}
        />
      )}
      {step.kind === "strain" && (
        <line
          x1={x}
          x2={x}
          y1={wide ? base - 58 : base - 22}
          y2={base}
          stroke="var(--ink)"
          strokeWidth={wide ? 2.5 : 2}
        />
      )}
      {fits && (
        <text
          x={x + inset}
          y={inside ? base - h + (wide ? 21 : 16) : base - h - (wide ? 9 : 6)}
          fontSize={wide ? 15 : 13}
          fontWeight={600}
        >
          {main}
        </text>
      )}
      {fits && wide && words.sub && h > 44 && w > words.sub.length * 7 + 14 && (
        <text x={x + 9} y={base - h + 39} fontSize={14}>
          {words.sub}
        </text>
      )}
      {step.kind === "strain" && wide && room > 56 && (
        <text x={x + 8} y={base - 46} fontSize={14}>
          {say("drawing.strain")}
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
function stageWords(step: StepLine): { main: string; short: string; sub?: string } {
  const length = span(step.durationS);
  switch (step.kind) {
    case "heat":
      return step.kettle
        ? { main: say("drawing.kettle"), short: say("drawing.kettle"), sub: say("drawing.hotIn", { length }) }
        : {
            main: say("drawing.flame", { flame: capital(step.flame ?? "high") }),
            short: say("drawing.heat"),
            sub: say(step.boils === false ? "drawing.hotIn" : "drawing.boilsIn", { length }),
          };
    case "boil":
      return { main: say("drawing.rollingBoil", { length }), short: say("drawing.boil", { length }) };
    case "simmer":
      return { main: say("drawing.lowAQuietSimmer", { length }), short: say("drawing.simmer", { length }) };
    case "hold":
      return { main: say("drawing.keptHot", { length }), short: say("drawing.kept", { length }) };
    case "reduce":
      return {
        main: say("drawing.boilItDownAbout", { length }),
        short: say("drawing.reduceShort", { length }),
      };
    case "steep":
      return {
        main: say(step.lid ? "drawing.steepCovered" : "drawing.steepOpen", { length }),
        short: say("drawing.steep", { length }),
      };
    case "macerate":
      return { main: say("drawing.standCold", { length }), short: say("drawing.stand", { length }) };
    case "rest":
      return { main: say("drawing.offRest", { length }), short: say("drawing.rest") };
    case "cool":
      return { main: step.label, short: say("drawing.cool") };
    case "turned":
    case "prep":
    case "stand":
    case "pour":
    case "strain":
    case "refill":
    case "combine":
    case "finish":
    case "stir":
    case "shake":
    case "blend":
      return { main: "", short: "" };
    default: {
      const none: never = step;
      return none;
    }
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
  for (const { lead: a, name } of measuredOut(additions)) {
    const stage = stages.filter((s) => s.stage === a.stage);
    const main = stage.find((s) => s.kind === "pour") ?? stage[0];
    if (main) by.set(main.startS, [...(by.get(main.startS) ?? []), name.toLowerCase()]);
  }
  const all: { key: string; atS: number; words: string[] }[] = [];
  for (const [atS, words] of [...by].sort((a, b) => a[0] - b[0])) {
    const before = all.at(-1);
    if (before && x(atS) - x(before.atS) < ONE_MARK) before.words.push(...words);
    else all.push({ key: String(atS), atS, words: [...words] });
  }
  return all;
}

/** A herb that rests before it goes in: a dotted line just above the ground, with its words where no flame stands. */
export function Resting({
  from,
  to,
  y,
  words,
  room,
}: {
  from: number;
  to: number;
  y: number;
  words: string;
  room: number;
}) {
  return (
    <g>
      <line
        x1={from}
        x2={to}
        y1={y - 4}
        y2={y - 4}
        stroke="var(--herb)"
        strokeWidth={2.5}
        strokeDasharray="1 6"
        strokeLinecap="round"
      />
      {words.length * 6.6 < room && (
        <text x={from} y={y - 13} fontSize={13} style={{ fill: "var(--herb)" }}>
          {words}
        </text>
      )}
    </g>
  );
}

export function Addition({
  x,
  room,
  words,
  top,
  base,
  size,
}: {
  x: number;
  room: number;
  words: string[];
  top: number;
  base: number;
  size: LineSize;
}) {
  const wide = size === "wide";
  const letter = wide ? 7 : 6.4;
  const all = words.join(", ");
  const text =
    all.length * letter < room
      ? all
      : words.length > 1
        ? say("drawing.herbs", { count: words.length })
        : (words[0] ?? "");
  const turned = text.length * letter > room && x > text.length * letter + 16;
  // On a phone a name that has no room stands nowhere rather than over another; the measures say it.
  const silent = size === "bare" || (!wide && !turned && text.length * letter > room);
  return (
    <g>
      <line x1={x} x2={x} y1={top} y2={base} stroke="var(--herb)" strokeWidth={2} />
      <circle cx={x} cy={top} r={wide ? 6 : 4} fill="var(--herb)" />
      {!silent && (
        <text
          x={turned ? x - 11 : x + (wide ? 12 : 8)}
          y={top + 5}
          fontSize={wide ? 14 : 13}
          textAnchor={turned ? "end" : "start"}
        >
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
    {
      y: yBody(last.body),
      text: say("drawing.strength", { share: share(strength) }),
      colour: "var(--herb)",
      bold: true,
    },
    {
      y: aroma(last.aroma),
      text: say("drawing.aroma", { share: share(last.aroma) }),
      colour: "var(--herb)",
      bold: false,
    },
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

/** A longer moment stands on a line of its own beside the end. */
const SHORT = 9;

export function Ends({
  x,
  base,
  curveBase,
  readyS,
  sayAt,
  word,
}: {
  x: Scale;
  base: number;
  curveBase: number;
  readyS: number;
  sayAt: (s: number) => string;
  word: string;
}) {
  const at = sayAt(readyS);
  return (
    <g>
      <line x1={x(readyS)} x2={x(readyS)} y1={base - 58} y2={curveBase} stroke="var(--ink)" strokeWidth={2} />
      <text x={x(readyS) + 8} y={base - 44} fontSize={15} fontWeight={600}>
        {at.length > SHORT ? (
          <>
            {word}
            <tspan x={x(readyS) + 8} dy={17}>
              {at}
            </tspan>
          </>
        ) : (
          `${word} ${at}`
        )}
      </text>
    </g>
  );
}

const STEPS_S = [60, 120, 300, 600, 900, 1800, 3600, 7200, 10_800, 21_600, 43_200, 86_400, 604_800];

/** A tick of a line with a clock: its time, and its day where the day changes; nothing of a line without one. */
function tickOf(start: Date | undefined, t: number, step: number): string | undefined {
  if (!start) return undefined;
  const at = new Date(start.getTime() + t * 1000);
  const midnight = timeValue(at) === "00:00";
  return step >= 86_400 || (midnight && t > 0) ? date(at) : clock(at);
}

export function Axis({
  x,
  endS,
  y,
  start,
  sayAt,
  readyS,
}: {
  x: Scale;
  endS: number;
  y: number;
  start?: Date;
  sayAt: (s: number) => string;
  /** When it is ready, said on the axis itself where no figures stand behind the end. */
  readyS?: number;
}) {
  const room = Math.max(3, Math.floor((x.range()[1] ?? 600) / 110));
  const step = STEPS_S.find((s) => endS / s <= room) ?? 604_800;
  const zero = (start?.getTime() ?? 0) / 1000;
  const first = Math.ceil(zero / step) * step - zero;
  const ticks: number[] = [];
  for (let t = first; t < endS; t += step) ticks.push(t);
  const ready =
    readyS === undefined ? "" : say(start ? "drawing.readyAt" : "drawing.readyIn", { when: sayAt(readyS) });
  const free = readyS === undefined ? Number.POSITIVE_INFINITY : x(readyS) - ready.length * 7 - 30;
  return (
    <g>
      {readyS !== undefined && (
        <text x={x(readyS)} y={y + 18} fontSize={13} fontWeight={600} textAnchor="end">
          {ready}
        </text>
      )}
      {ticks.map((t) => {
        return (
          <g key={t}>
            <line x1={x(t)} x2={x(t)} y1={y} y2={y + 6} stroke="var(--muted)" />
            <text
              x={x(t)}
              y={y + 21}
              fontSize={14}
              textAnchor={x(t) < 30 ? "start" : "middle"}
              style={{ fill: "var(--muted)" }}
              visibility={x(t) > free ? "hidden" : undefined}
            >
              {tickOf(start, t, step) ?? sayAt(t)}
            </text>
          </g>
        );
      })}
    </g>
  );
}
