import { scaleLinear } from "d3-scale";
import { curveMonotoneX, line } from "d3-shape";
import { useMemo, useState } from "react";
import type { CurvePoint, StageLine, StepLine } from "../api/client";
import { powerOf, stagesOf } from "../api/steps";
import { millilitres, moment, span } from "../parts/say";
import { say } from "../words/say";
import { stateAt } from "./curve";
import {
  Addition,
  Axis,
  Ends,
  Figures,
  Flame,
  type LineSize,
  lids,
  marks,
  Resting,
  roomBehind,
  shown,
} from "./lineParts";
import type { FireLineProps } from "./lineProps";
import { ReadOff } from "./ReadOff";

const INSET = 4;
/** Room that the word of a lid takes, with some air, px. */
const LID_WORD_PX = 60;
/** Room of the word that turns the lid, at the end of each stage that has one, px. */
const TURNS_LID_PX = 86;

/** Room for the word "now", px. */
const NOW_WORD = 36;
/** A narrow line lower than this has no words, px. */
const WORDS_FROM_PX = 100;
/** Room for the figures behind the end of the brew, px. */
const FIGURES = 128;

/** Whether the word of a lid stands clear of those that turn it. */
const isClear = (stages: StageLine[], x: (s: number) => number, at: number) =>
  stages
    .map((s) => x(s.startS + s.durationS))
    .every((end) => at + LID_WORD_PX / 2 < end - TURNS_LID_PX || at - LID_WORD_PX / 2 > end);

/** One time axis: flame band by power, lid bracket, additions, waits, strain; below it water falls and strength rises. */
export function FireLine(props: FireLineProps) {
  const { steps, curve, additions, start, totalS, width, height, nowS } = props;
  const [cursor, setCursor] = useState<number | null>(null);
  const compact = width < 560;
  const sayAt = (s: number) =>
    start ? moment(new Date(start.getTime() + s * 1000), start) : s < 1 ? "0" : span(s);
  const bare = compact && height < WORDS_FROM_PX;
  const size: LineSize = bare ? "bare" : compact ? "narrow" : "wide";
  const readyS = props.readyS ?? totalS;
  const shownS = Math.max(totalS, (nowS ?? 0) * 1.01, props.against?.at(-1)?.tS ?? 0, 60);
  const margin = compact ? 0 : FIGURES;
  const endS = shownS * (1 + margin / (width - margin));
  const x = scaleLinear([0, endS], [INSET, width - INSET]);
  const band = bare
    ? { top: height * 0.16, base: height * 0.52 }
    : compact
      ? { top: 42, base: height * 0.55 }
      : { top: 52, base: height * 0.49 };
  const curveTop = band.base + (compact ? 4 : 14);
  const curveBase = bare ? height - 4 : height - (compact ? 22 : 26);
  const stages = stagesOf(steps);
  const herbs = marks(additions, stages, x);
  const nextMark = (s: StepLine) => herbs.map((m) => x(m.atS)).find((px) => px > x(s.startS) + 1);
  const maxW = Math.max(1, ...stages.map(powerOf));
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
  const figuresFollow = (px: number) => px < x(totalS) + 2 && px > x(totalS) - NOW_WORD;
  const at = cursor === null ? undefined : stateAt(curve, cursor);
  const text = describe(steps, totalS, sayAt);
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
            h={power(powerOf(s))}
            size={size}
            room={Math.min(
              roomBehind(stages, s, totalS, x),
              (nextMark(s) ?? width) - x(s.startS),
              readyS > s.startS ? x(readyS) - x(s.startS) : width,
            )}
          />
        ))}
        {steps.map(
          (s) =>
            s.kind === "stand" &&
            s.aside && (
              <Resting
                key={s.key}
                from={x(s.startS)}
                to={x(s.startS + s.durationS)}
                y={band.base}
                words={bare ? "" : s.label}
                room={x(props.stageStartS) - x(s.startS)}
              />
            ),
        )}
        {lids(stages).map(([a, b]) => (
          <g key={a}>
            <path
              d={`M${x(a)},${band.top - 8} v-8 H${x(b)} v8`}
              fill="none"
              stroke="var(--muted)"
              strokeWidth={compact ? 1.5 : 2.5}
            />
            {!compact && x(b) - x(a) > LID_WORD_PX && isClear(stages, x, (x(a) + x(b)) / 2) && (
              <text
                x={(x(a) + x(b)) / 2}
                y={band.top - 21}
                textAnchor="middle"
                fontSize={13}
                style={{ fill: "var(--muted)" }}
              >
                {say("drawing.lidOn")}
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
        {herbs.map((m, i, all) => (
          <Addition
            key={m.key}
            x={x(m.atS)}
            room={(i + 1 < all.length ? x(all[i + 1]?.atS ?? endS) : width) - x(m.atS) - 14}
            words={m.words}
            top={bare ? 4 : 10}
            base={band.base}
            size={size}
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
            readyS={readyS}
            sayAt={sayAt}
            word={props.readyWord ?? say(start ? "drawing.readyWord" : "drawing.readyInWord")}
          />
        )}
        {!bare && (
          <Axis
            x={x}
            endS={endS}
            y={curveBase}
            start={start}
            sayAt={sayAt}
            readyS={compact ? readyS : undefined}
          />
        )}
        {compact && !bare && last && (
          <g fontSize={12} fontWeight={600} style={{ fill: "var(--water)" }}>
            <text x={x(props.stageStartS) + 5} y={yWater(props.startMl) + 14}>
              {millilitres(props.startMl)}
            </text>
            <text x={x(last.tS) - 5} y={yWater(last.waterMl) + 14} textAnchor="end">
              {millilitres(props.yieldMl)}
            </text>
          </g>
        )}
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
              <text
                x={x(nowS) + (figuresFollow(x(nowS)) ? -6 : 6)}
                y={curveBase - 6}
                textAnchor={figuresFollow(x(nowS)) ? "end" : "start"}
                fontSize={13}
                fontWeight={600}
              >
                {say("drawing.now")}
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
      {!compact && (
        <ReadOff
          cursor={cursor}
          at={at}
          onCursor={setCursor}
          sayAt={sayAt}
          endS={last?.tS ?? endS}
          x={x}
          box={{ left: 0, top: curveTop, width, height: curveBase - curveTop }}
          labelTop={band.base - 6}
        />
      )}
    </div>
  );
}

function describe(steps: StepLine[], totalS: number, sayAt: (s: number) => string): string {
  const stages = stagesOf(steps).map((s) => `${s.label}, ${span(s.durationS)}`);
  return say("drawing.fireLineFromInAll", { start: sayAt(0), time: span(totalS), stages: stages.join("; ") });
}
