import { scaleTime } from "d3-scale";
import { Link } from "react-router";
import type { DayResponse } from "../api/client";
import { useDay } from "../api/queries";
import { wall } from "../api/zone";
import { Said } from "../words/Said";
import { say } from "../words/say";
import { useNow } from "./now";
import { clock, date, hour } from "./say";
import { useWidth } from "./size";
import { hoursBetween, inLanes, type Mark, reach } from "./strip";
import { whereTo } from "./whereTo";

/** Room that the longest name of an hour takes. */
const HOUR_PX = 64;
/** A lane: the words, and the bar under them. Three of them leave room for a whole sheet on a laptop. */
const LANE = 23;
const WORDS = 17;
const AXIS = 18;
const BAR = 6;
const NARROW_PX = 560;

/** The hours around now on every screen: what is on the fire, what stands, what is planned; a click goes there. */
export function DayStrip() {
  const { ref, width } = useWidth(1232);
  const now = useNow(10_000);
  const { data } = useDay();
  const open = data?.open ?? [];
  const [from, to] = reach(open, now);
  const x = scaleTime([from, to], [0, width]);
  const narrow = width < NARROW_PX;
  const recent = (data?.brewed ?? []).filter(
    (b) => Date.parse(b.readyAt ?? b.startAt) > from.getTime() && !open.some((o) => o.id === b.id),
  );
  const { marks, more } = inLanes([...open, ...recent], x, width, now, narrow ? 2 : 3);
  const lanes = Math.max(1, ...marks.map((m) => m.lane + 1));
  const base = 4 + lanes * LANE;
  const height = base + AXIS;
  return (
    <nav aria-label={say("common.today")} className="no-print border-hairline border-b bg-strip px-4 md:px-6">
      <div ref={ref} className="relative" style={{ height }}>
        <svg width={width} height={height} className="absolute inset-0 overflow-visible" aria-hidden>
          <line x1={0} x2={width} y1={base} y2={base} stroke="var(--muted)" strokeWidth={1} opacity={0.5} />
          {hoursBetween(from, to, width, HOUR_PX).map((h) => (
            <g key={h.getTime()}>
              <line x1={x(h)} x2={x(h)} y1={base} y2={base + 5} stroke="var(--muted)" />
              <text
                x={Math.min(x(h) + 3, width - 16)}
                y={base + 14}
                fontSize={12}
                style={{ fill: "var(--muted)" }}
              >
                {wall(h).getHours() === 0 ? date(h) : hour(h)}
              </text>
            </g>
          ))}
          <line x1={x(now)} x2={x(now)} y1={2} y2={base + 6} stroke="var(--ink)" strokeWidth={2} />
          {marks.map((m) => (
            <Bar key={m.brew.id} mark={m} x={x} width={width} />
          ))}
        </svg>
        {marks.map((m) => (
          <Link
            key={m.brew.id}
            to={whereTo(m.brew)}
            aria-label={`${m.brew.name}, ${m.words}`}
            className="absolute max-sm:reach whitespace-nowrap bg-strip/80 px-0.5 text-[13px] leading-[18px] hover:underline"
            style={{ left: m.labelX, top: m.lane * LANE, maxWidth: width - m.labelX }}
          >
            {m.words}
          </Link>
        ))}
        {data?.doses.map((d) => (
          <Dose key={d.courseId + d.due} dose={d} x={x(new Date(d.due))} y={base} width={width} />
        ))}
        {more.length > 0 && (
          <Link
            to="/"
            className="absolute max-sm:reach right-0 bg-strip pl-2 text-[13px] leading-[18px] underline underline-offset-2"
            style={{ top: base }}
          >
            <Said of="common.more" count={more.length} />
          </Link>
        )}
      </div>
    </nav>
  );
}

/** A dose of a course, as a cup at its time; late it is amber. Beyond the strip it is not drawn. */
function Dose({
  dose,
  x,
  y,
  width,
}: {
  dose: DayResponse["doses"][number];
  x: number;
  y: number;
  width: number;
}) {
  if (x < 0 || x > width - 18) return null;
  const late = dose.state === "late";
  const words = say("common.dose", {
    clock: clock(dose.due),
    name: dose.name,
    drinkers: dose.drinkers,
    late,
  });
  return (
    <Link
      to={`/course/${dose.courseId}`}
      aria-label={say("common.aDoseAt", { dose: words })}
      title={words}
      className="absolute max-sm:reach"
      style={{ left: Math.max(0, x - 8), top: y - 15 }}
    >
      <svg width={20} height={15} aria-hidden>
        <path
          d="M2,1 L4,13 H12 L14,1 M14,4 q5,0 4,3 t-5,3"
          fill={late ? "var(--amber)" : "none"}
          stroke={late ? "var(--amber)" : "var(--herb)"}
          strokeWidth={2}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </svg>
    </Link>
  );
}

/** A brew in its lane: ember on the heat, water where it stands, a thin line where hands are at work. */
function Bar({ mark, x, width }: { mark: Mark; x: (d: Date) => number; width: number }) {
  const { brew, lane, fromX, toX } = mark;
  const y = lane * LANE + WORDS;
  const at = (iso: string) => Math.max(0, Math.min(width, x(new Date(iso))));
  if (brew.phase === "finished") {
    return <circle cx={fromX} cy={y + BAR / 2} r={4.5} fill="var(--muted)" />;
  }
  const planned = brew.phase === "planned";
  return (
    <g opacity={planned ? 0.85 : 1}>
      <line x1={fromX} x2={toX} y1={y + BAR / 2} y2={y + BAR / 2} stroke="var(--ink)" strokeWidth={1.5} />
      {brew.stretches.map((s) => {
        const left = at(s.from);
        const colour = s.heats ? "var(--ember)" : "var(--water)";
        return (
          <rect
            key={s.from}
            x={left}
            y={y}
            width={Math.max(1.5, at(s.to) - left)}
            height={BAR}
            fill={planned ? "var(--strip)" : colour}
            stroke={colour}
            strokeWidth={planned ? 1.5 : 0}
          />
        );
      })}
    </g>
  );
}
