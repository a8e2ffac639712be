import { scaleLinear } from "d3-scale";
import { curveMonotoneX, line } from "d3-shape";
import type { BrewResponse, CurvePoint } from "../../api/client";
import { apart } from "../../drawings/apart";
import { clock, date, share, span } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { say } from "../../words/say";

const LINES = [
  { colour: "var(--herb)", dash: undefined },
  { colour: "var(--water)", dash: "9 5" },
  { colour: "var(--amber-text)", dash: "2 5" },
];
const HEIGHT = 190;
const TOP = 14;
const BASE = HEIGHT - 24;
const WORDS_PX = 170;
const NARROW_PX = 560;
/** Words nearer than this would lie over one another, px. */
const APART = 17;

/** How strong each cup became, from the first stage on, laid over one another on one scale. */
export function Curves({ brews }: { brews: BrewResponse[] }) {
  const { ref, width } = useWidth(1232);
  const narrow = width < NARROW_PX;
  const all = brews.map((b) => {
    const from = b.predictedCurve[0]?.tS ?? 0;
    return b.predictedCurve.map((p) => ({ ...p, tS: p.tS - from }));
  });
  const most = Math.max(60, ...all.map((c) => c.at(-1)?.tS ?? 0));
  const right = width - (narrow ? 4 : WORDS_PX);
  const x = scaleLinear([0, most], [4, right]);
  const y = scaleLinear([0, Math.max(1.2, ...brews.map((b) => b.strength * 1.1))], [BASE, TOP]);
  const path = line<CurvePoint>()
    .x((p) => x(p.tS))
    .y((p) => y(p.body))
    .curve(curveMonotoneX);
  const said = brews.map((b, i) =>
    say("notebook.strengthAfter", {
      when: when(b),
      share: share(b.strength),
      time: span(all[i]?.at(-1)?.tS ?? 0),
    }),
  );
  const labels = apart(
    all.map((c) => y(c.at(-1)?.body ?? 0)),
    APART,
  );
  return (
    <section aria-label={say("notebook.strengthOverTime")} className="mt-4" ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={said.join("; ")}
        className="block overflow-visible"
      >
        <line x1={0} x2={right} y1={BASE} y2={BASE} stroke="var(--ink)" strokeWidth={1.5} />
        <line x1={0} x2={right} y1={y(1)} y2={y(1)} stroke="var(--hairline)" strokeDasharray="3 4" />
        <text x={4} y={y(1) - 5} fontSize={13} style={{ fill: "var(--muted)" }}>
          {say("notebook.asStrongAsWritten")}
        </text>
        {ticks(most, narrow ? 3 : 6).map((t) => (
          <text
            key={t}
            x={x(t)}
            y={HEIGHT - 6}
            fontSize={13}
            textAnchor="middle"
            style={{ fill: "var(--muted)" }}
          >
            {t === 0 ? "" : span(t)}
          </text>
        ))}
        {all.map((c, i) => (
          <g key={brews[i]?.id}>
            <path
              d={path(c) ?? ""}
              fill="none"
              stroke={LINES[i]?.colour}
              strokeWidth={2.5}
              strokeDasharray={LINES[i]?.dash}
            />
            {!narrow && (
              <text
                x={right + 10}
                y={(labels[i] ?? 0) + 4}
                fontSize={14}
                fontWeight={600}
                style={{ fill: LINES[i]?.colour }}
              >
                {brews[i] && when(brews[i])}, {share(brews[i]?.strength ?? 0)}
              </text>
            )}
          </g>
        ))}
      </svg>
      {narrow && (
        <ul className="flex flex-col gap-1 text-sm">
          {brews.map((b, i) => (
            <li key={b.id} className="flex items-center gap-2">
              <svg width={34} height={6} aria-hidden>
                <line
                  x1={0}
                  x2={34}
                  y1={3}
                  y2={3}
                  stroke={LINES[i]?.colour}
                  strokeWidth={2.5}
                  strokeDasharray={LINES[i]?.dash}
                />
              </svg>
              {when(b)}, {share(b.strength)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

const STEPS_S = [60, 120, 300, 600, 900, 1800, 3600, 7200, 14_400, 28_800, 86_400, 604_800];

/** Round times from nothing on, no more of them than have room. */
function ticks(most: number, many: number): number[] {
  const step = STEPS_S.find((s) => most / s <= many) ?? most;
  return Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step);
}

const when = (b: BrewResponse) => (b.startedAt ? `${date(b.startedAt)}, ${clock(b.startedAt)}` : b.name);
