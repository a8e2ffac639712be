import type { PlanResponse } from "../api/client";
import { inCore, ofCore, onScale, scaleOf } from "../api/house";
import * as limit from "../api/limit.gen";
import { powerOf } from "../api/steps";
import { centimetres, millilitres } from "../parts/say";
import { say } from "../words/say";
import { stepOf, useDrag } from "./useDrag";

interface VesselProps {
  plan: PlanResponse;
  /** Level to draw, cm above the bottom; the start level when missing. */
  levelCm?: number;
  /** Whether the flame is on now. */
  fire: boolean;
  lid: boolean;
  /** Height of the drawing in pixels. */
  height: number;
  /** Width available in pixels. */
  width: number;
  /** Whether the volume stands in the drawing. */
  figures?: boolean;
  /** Whether the herbs are strained out of it. */
  herbless?: boolean;
  /** The mark of a reduction, when it may be dragged. */
  dip?: {
    /** The recipe's own volume to stop at, mL. */
    toMl: number;
    mlPerCm: number;
    /** The recipe's own millilitres for one of this pot. */
    scale: number;
    onToMl: (ml: number) => void;
  };
}

/** Drags the mark of a reduction up and down; arrow keys move it by ten millilitres. */
function DipHandle({
  x,
  y,
  width,
  toMl,
  mlPerPx,
  onToMl,
}: {
  x: number;
  y: number;
  width: number;
  toMl: number;
  mlPerPx: number;
  onToMl: (ml: number) => void;
}) {
  const to = (ml: number) =>
    onToMl(Math.min(limit.WATER_ML.high, Math.max(limit.WATER_ML.low, Math.round(ml / 10) * 10)));
  const drag = useDrag("y", (by) => {
    if (Math.abs(by) > 3) to(toMl - by * mlPerPx);
  });
  const shift = drag.by ?? 0;
  return (
    <rect
      role="slider"
      tabIndex={0}
      aria-label={say("drawing.stopTheReductionAt")}
      aria-valuenow={Math.round(toMl)}
      aria-valuemin={limit.WATER_ML.low}
      aria-valuemax={limit.WATER_ML.high}
      aria-valuetext={millilitres(toMl)}
      x={x}
      y={y - 9 + shift}
      width={width}
      height={18}
      fill="var(--ember)"
      fillOpacity={shift === 0 ? 0.001 : 0.25}
      className="no-print cursor-ns-resize touch-none"
      onKeyDown={(e) => {
        const by = stepOf(e);
        if (by !== 0) to(toMl + 10 * by);
      }}
      {...drag.handlers}
    />
  );
}

/** The vessel of the cook in cross-section, to scale in both directions. */
export function VesselDrawing({
  plan,
  levelCm,
  fire,
  lid,
  height,
  width,
  figures = true,
  herbless = false,
  dip: dipHandle,
}: VesselProps) {
  const v = plan.vessel;
  const scaleWidth = 66;
  const flames = 22;
  const top = 22;
  const pxPerCm = Math.min(
    (width - scaleWidth - 28) / v.innerDiameterCm,
    (height - top - flames - 6) / v.heightCm,
  );
  const w = v.innerDiameterCm * pxPerCm;
  const h = v.heightCm * pxPerCm;
  const left = 20;
  const bottom = top + h;
  const level = Math.min(levelCm ?? v.startLevelCm, v.heightCm);
  const water = bottom - level * pxPerCm;
  const bed = herbless
    ? 0
    : Math.max(Math.min(v.bedCm * pxPerCm, level * pxPerCm), plan.additions.some((a) => !a.perCup) ? 10 : 0);
  const dip = v.dipLevelCm > 0 ? bottom - v.dipLevelCm * pxPerCm : null;
  const roundness = v.kind === "teapot" ? 26 : v.kind === "mug" ? 8 : 10;
  const text = describe(plan, level);
  const wide = w >= 132;
  const figureY = water - top > 60 ? top + (water - top) / 2 + 6 : Math.max(water + 40, top + 48);
  return (
    <svg
      width={left + w + scaleWidth + 8}
      height={bottom + flames + 4}
      role="img"
      aria-label={text}
      className="block overflow-visible"
    >
      <title>{text}</title>
      <defs>
        <clipPath id="inside">
          <path d={inside(left, top, w, h, roundness)} />
        </clipPath>
      </defs>
      <g clipPath="url(#inside)">
        <rect x={left} y={water} width={w} height={bottom - water} fill="var(--water-fill)" />
        <Bed x={left} width={w} bottom={bottom} height={bed} />
        <line x1={left} x2={left + w} y1={water} y2={water} stroke="var(--water)" strokeWidth={3} />
      </g>
      <path
        d={`M${left},${top} V${bottom - roundness} Q${left},${bottom} ${left + roundness},${bottom} H${left + w - roundness} Q${left + w},${bottom} ${left + w},${bottom - roundness} V${top}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={4}
        strokeLinecap="round"
      />
      {v.kind === "teapot" && (
        <path
          d={`M${left},${top + h * 0.24} q-15,2 -15,${h * 0.22} t15,${h * 0.22}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={4}
          strokeLinecap="round"
        />
      )}
      {v.kind === "mug" && (
        <path
          d={`M${left},${top + h * 0.24} q-19,2 -19,${h * 0.24} t19,${h * 0.24}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={4}
          strokeLinecap="round"
        />
      )}
      {lid && (
        <line
          x1={left - 14}
          x2={left + w + 14}
          y1={top - 6}
          y2={top - 6}
          stroke="var(--muted)"
          strokeWidth={4}
          strokeLinecap="round"
        />
      )}
      {dip !== null && (
        <g>
          <line
            x1={left}
            x2={left + w + 14}
            y1={dip}
            y2={dip}
            stroke="var(--ember)"
            strokeWidth={2}
            strokeDasharray="6 4"
          />
          <text x={left + w + 18} y={dip + 4} fontSize={12} style={{ fill: "var(--ember-text)" }}>
            {say("drawing.stopHere")}
          </text>
          {dipHandle && (
            <DipHandle
              x={left - 4}
              y={dip}
              width={w + 20}
              toMl={dipHandle.toMl}
              mlPerPx={(dipHandle.mlPerCm / pxPerCm) * dipHandle.scale}
              onToMl={dipHandle.onToMl}
            />
          )}
        </g>
      )}
      <Scale
        plan={plan}
        x={left + w}
        top={top}
        bottom={bottom}
        pxPerMl={h / v.brimMl}
        taken={[
          ...(dip === null ? [] : [[dip - 13, dip + 13] as const]),
          ...(figures && !wide ? [[bottom - 54, bottom] as const] : []),
        ]}
      />
      {figures && (
        <g textAnchor={wide ? "middle" : "start"}>
          <text
            x={wide ? left + w / 2 : left + w + 14}
            y={wide ? figureY : bottom - 26}
            className="figure"
            fontSize={wide ? 34 : 26}
          >
            {millilitres(plan.water.startMl)}
          </text>
          <text
            x={wide ? left + w / 2 : left + w + 14}
            y={wide ? figureY + 20 : bottom - 8}
            fontSize={13}
            style={{ fill: wide ? "var(--ink)" : "var(--muted)" }}
          >
            {wide
              ? `${startsHot(plan) ? say("drawing.pourHot") : say("drawing.pourCold")}: ${plan.water.startCups ?? ""}`
              : (plan.water.startCups ?? "")}
          </text>
        </g>
      )}
      {fire && <Flames x={left} width={w} y={bottom + 6} power={power(plan)} />}
    </svg>
  );
}

function startsHot(plan: PlanResponse): boolean {
  return plan.steps.some((s) => s.kind === "pour");
}

function power(plan: PlanResponse): number {
  const heated = plan.steps.filter((s) => powerOf(s) > 0 && s.kind !== "heat");
  const longest = heated.sort((a, b) => b.durationS - a.durationS)[0];
  return (longest ? powerOf(longest) : plan.burner.mediumW) / plan.burner.highW;
}

function describe(plan: PlanResponse, levelCm: number): string {
  const v = plan.vessel;
  const rim = centimetres(v.heightCm - levelCm);
  return say("drawing.wideAndHighFilledTo", {
    name: v.name,
    wide: centimetres(v.innerDiameterCm),
    high: centimetres(v.heightCm),
    rim,
  });
}

function inside(x: number, y: number, w: number, h: number, r: number): string {
  return `M${x},${y} V${y + h - r} Q${x},${y + h} ${x + r},${y + h} H${x + w - r} Q${x + w},${y + h} ${x + w},${y + h - r} V${y} Z`;
}

function Scale({
  plan,
  x,
  top,
  bottom,
  pxPerMl,
  taken,
}: {
  plan: PlanResponse;
  x: number;
  top: number;
  bottom: number;
  pxPerMl: number;
  /** Stretches of the scale, px, where something else is written. */
  taken: (readonly [number, number])[];
}) {
  const scale = scaleOf("volume");
  const brim = onScale(scale, plan.vessel.brimMl);
  const steps = ofCore(scale) ? IN_ML : IN_OUNCES;
  const step = steps.find((s) => brim / s <= 5) ?? (steps.at(-1) ?? 1) * 2;
  const ticks = [];
  for (let shown = step; shown <= brim; shown += step) ticks.push(shown);
  return (
    <g>
      {ticks.map((shown) => {
        const y = bottom - inCore(scale, shown) * pxPerMl;
        if (y < top) return null;
        const near = taken.some(([from, to]) => y > from && y < to);
        return (
          <g key={shown}>
            <line x1={x} x2={x + 9} y1={y} y2={y} stroke="var(--muted)" strokeWidth={1} />
            {!near && (
              <text x={x + 14} y={y + 4.5} fontSize={13} style={{ fill: "var(--muted)" }}>
                {shown}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** How far apart the marks of a jug are. */
const IN_ML = [50, 100, 250, 500, 1000, 2500, 5000, 10_000];
const IN_OUNCES = [2, 4, 8, 16, 32, 64, 128, 256, 512];

/** The herb bed: leaflets strewn by a fixed pattern, so that they do not dance when a number changes. */
function Bed({ x, width, bottom, height }: { x: number; width: number; bottom: number; height: number }) {
  if (height <= 0) return null;
  const pieces = [];
  const rows = Math.max(1, Math.round(height / 9));
  for (let row = 0; row < rows; row++) {
    for (let i = 0; i < width / 12; i++) {
      const wobble = Math.sin(i * 12.9898 + row * 78.233) * 43758.5453;
      const r = wobble - Math.floor(wobble);
      const px = x + 8 + i * 12 + r * 5;
      const py = bottom - 6 - row * 9 - r * 4;
      pieces.push(
        <line
          key={`${row}-${i}`}
          x1={px}
          y1={py}
          x2={px + 7 * Math.cos(r * 6)}
          y2={py + 5 * Math.sin(r * 6)}
          stroke="var(--herb)"
          strokeWidth={3}
          strokeLinecap="round"
        />,
      );
    }
  }
  return <g>{pieces}</g>;
}

function Flames({ x, width, y, power }: { x: number; width: number; y: number; power: number }) {
  const count = Math.max(3, Math.round(width / 28));
  const size = 6 + 10 * Math.min(1, power);
  return (
    <g fill="var(--ember)">
      {Array.from({ length: count }, (_, i) => {
        const cx = x + (width * (i + 0.5)) / count;
        return (
          <path
            key={cx}
            d={`M${cx},${y} c${size / 3},${size / 2} ${size / 3},${size} 0,${size} c${-size / 3},0 ${-size / 3},${-size / 2} 0,${-size} z`}
          />
        );
      })}
    </g>
  );
}
