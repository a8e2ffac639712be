import { scaleLinear, scaleTime } from "d3-scale";
import { line } from "d3-shape";
import { Link } from "react-router";
import { useHistory } from "../../api/queries";
import { LikingCup } from "../../parts/Liking";
import { date, day, grams, share } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

/** Half of a cup of liking, px: so far the last reaches beyond its brew. */
const HALF_A_CUP = 14;
/** Room below the axis for the cups and the dates, px. */
const BELOW = 46;

/** One recipe over time: dose, strength as it went and as it was felt, and liking, on one time axis. */
export function History({ recipeId, onAll }: { recipeId: string; onAll: () => void }) {
  const history = useHistory(recipeId);
  const box = useWidth(1200);
  const entries = (history.data ?? []).filter((e) => e.phase === "finished");
  const first = entries[0];
  const last = entries.at(-1);
  if (!first || !last) return null;
  const height = 176;
  const left = box.width < 560 ? 18 : 84;
  const right = box.width - (box.width < 560 ? 96 : 130);
  const x = scaleTime([new Date(first.brewedAt), new Date(last.brewedAt)], [left, right]);
  const dose = scaleLinear([0, Math.max(...entries.map((e) => e.gramsPerCup)) * 1.15], [height - BELOW, 14]);
  const strength = scaleLinear([0, 2], [height - BELOW, 14]);
  const dates = apart(
    entries.map((e) => new Date(e.brewedAt)),
    x,
  );
  const path = (y: (e: (typeof entries)[number]) => number) =>
    line<(typeof entries)[number]>()
      .x((e) => x(new Date(e.brewedAt)))
      .y(y)(entries) ?? "";
  return (
    <section aria-labelledby="history" className="mt-4" ref={box.ref}>
      <div className="flex flex-wrap items-baseline justify-between gap-4">
        <h2 id="history" className="text-2xl">
          <Said of="notebook.overTime" name={last.name} />
        </h2>
        <span className="flex gap-5">
          <Link to={`/sheet/${recipeId}`} className="underline underline-offset-4">
            {say("notebook.toItsSheet")}
          </Link>
          <button type="button" className="underline underline-offset-4" onClick={onAll}>
            {say("notebook.allBrews")}
          </button>
        </span>
      </div>
      <svg
        width={box.width}
        height={height}
        role="img"
        aria-label={say("notebook.brewsFromToDoseStrength", {
          count: entries.length,
          first: day(first.brewedAt),
          last: day(last.brewedAt),
        })}
      >
        <line
          x1={left}
          x2={right}
          y1={height - BELOW}
          y2={height - BELOW}
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
        <line
          x1={left}
          x2={right}
          y1={strength(1)}
          y2={strength(1)}
          stroke="var(--hairline)"
          strokeDasharray="3 4"
        />
        <path
          d={path((e) => dose(e.gramsPerCup))}
          fill="none"
          stroke="var(--muted)"
          strokeWidth={1.5}
          strokeDasharray="2 4"
        />
        <path
          d={path((e) => strength(e.predictedStrength))}
          fill="none"
          stroke="var(--herb)"
          strokeWidth={2.5}
        />
        {entries.map((e) => (
          <g key={e.brewId} transform={`translate(${x(new Date(e.brewedAt))},0)`}>
            <circle cy={strength(e.predictedStrength)} r={4} fill="var(--herb)" />
            {e.felt != null && (
              <path
                d={`M-5,${strength(e.predictedStrength * (1 + e.felt * 0.15))} h10`}
                stroke="var(--amber)"
                strokeWidth={3}
              />
            )}
            {e.liking != null && (
              <g transform={`translate(-12,${height - BELOW + 4})`}>
                <LikingCup of={e.liking} />
              </g>
            )}
          </g>
        ))}
        {dates.map((d) => (
          <text
            key={d.getTime()}
            x={x(d)}
            y={height - 4}
            textAnchor="middle"
            fontSize={13}
            style={{ fill: "var(--muted)" }}
          >
            {date(d)}
          </text>
        ))}
        <g fontSize={13}>
          <text x={right + 8} y={strength(last.predictedStrength) + 4} style={{ fill: "var(--herb)" }}>
            <Said of="notebook.strength" share={share(last.predictedStrength)} />
          </text>
          <text
            x={right + 8}
            y={besideOf(dose(last.gramsPerCup), strength(last.predictedStrength)) + 4}
            style={{ fill: "var(--muted)" }}
          >
            <Said of="notebook.aCupWeight" weight={grams(last.gramsPerCup)} />
          </text>
          {left > 60 && (
            <text x={right + 8 + HALF_A_CUP} y={height - BELOW + 20} style={{ fill: "var(--herb)" }}>
              {say("notebook.liking")}
            </text>
          )}
          {left > 60 && (
            <text x={0} y={strength(1) + 4} style={{ fill: "var(--muted)" }}>
              {say("notebook.asWritten")}
            </text>
          )}
        </g>
      </svg>
      <p className="text-muted text-sm">{say("notebook.amberMarksHowStrongIt")}</p>
    </section>
  );
}

/** Room that a date takes, px. */
const DATE_PX = 64;

/** Days of the brews that have room for their date beside the one before. */
function apart(days: Date[], x: (d: Date) => number): Date[] {
  const all: Date[] = [];
  for (const d of days) {
    const before = all.at(-1);
    if (!before || x(d) - x(before) >= DATE_PX) all.push(d);
  }
  return all;
}

/** Words nearer than this would lie over one another, px. */
const APART = 17;

/** A height, or one so far from another that the words of both have room. */
function besideOf(y: number, other: number): number {
  return Math.abs(y - other) >= APART ? y : other + (y < other ? -APART : APART);
}
