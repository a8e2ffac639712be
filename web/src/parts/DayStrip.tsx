import { scaleTime } from "d3-scale";
import { Link } from "react-router";
import type { BrewLine } from "../api/client";
import { useDay } from "../api/queries";
import { useNow } from "./now";
import { clock, hour, span } from "./say";
import { useWidth } from "./size";

/** Room that the longest name of an hour takes. */
const HOUR_PX = 46;
const HEIGHT = 50;
const LETTER = 6.9;

interface Mark {
  brew: BrewLine;
  fromX: number;
  toX: number;
  words: string;
  labelX: number;
  shown: boolean;
}

/** Today's hours on every screen: fires burning, cups made, pots due; a click goes there. */
export function DayStrip() {
  const { ref, width } = useWidth(1232);
  const now = useNow(10_000);
  const { data, from, to } = useDay();
  const x = scaleTime([from, to], [0, width]);
  const hours = Array.from({ length: 9 }, (_, i) => new Date(from.getTime() + i * 3 * 3600_000));
  const marks = place([...(data?.brewed ?? []), ...(data?.open ?? [])], x, width, now);
  return (
    <nav aria-label="Today" className="no-print border-hairline border-b bg-strip px-4 md:px-6">
      <div ref={ref} className="relative" style={{ height: HEIGHT }}>
        <svg width={width} height={HEIGHT} className="absolute inset-0 overflow-visible" aria-hidden>
          <line x1={0} x2={width} y1={30} y2={30} stroke="var(--hairline)" strokeWidth={1} />
          {hours.map((h, i) => (
            <g key={h.getTime()}>
              <line x1={x(h)} x2={x(h)} y1={30} y2={37} stroke="var(--muted)" />
              <text x={Math.min(x(h) + 3, width - 16)} y={46} fontSize={12} style={{ fill: "var(--muted)" }}>
                {width / hours.length >= HOUR_PX || i % 2 === 0 ? hour(h) : ""}
              </text>
            </g>
          ))}
          {marks.map((m) => (
            <Bar key={m.brew.id} mark={m} />
          ))}
          <line x1={x(now)} x2={x(now)} y1={8} y2={HEIGHT} stroke="var(--ink)" strokeWidth={2} />
        </svg>
        {marks.map((m) => (
          <Link
            key={m.brew.id}
            to={`/brew/${m.brew.id}`}
            aria-label={`${m.brew.name}, ${m.words}`}
            className={`absolute top-0.5 whitespace-nowrap text-[13px] leading-5 hover:underline ${m.shown ? "z-10 bg-strip pr-1" : "z-0 h-9"}`}
            style={m.shown ? { left: m.labelX } : { left: m.fromX, width: Math.max(16, m.toX - m.fromX) }}
          >
            {m.shown && m.words}
          </Link>
        ))}
      </div>
    </nav>
  );
}

function Bar({ mark }: { mark: Mark }) {
  if (mark.brew.phase === "running") {
    return (
      <rect
        x={mark.fromX}
        y={25}
        width={Math.max(6, mark.toX - mark.fromX)}
        height={10}
        rx={2}
        fill="var(--ember)"
      />
    );
  }
  if (mark.brew.phase === "planned") {
    return <circle cx={mark.fromX} cy={30} r={6} fill="var(--ground)" stroke="var(--ink)" strokeWidth={2} />;
  }
  return <circle cx={mark.fromX} cy={30} r={6} fill="var(--muted)" />;
}

/**
 * What is on the fire gets its label first, the most urgent before the rest, moved along until it is free; what is done gets
 * one only where it stands. A mark without a label is out of sight but not out of reach.
 */
function place(brews: BrewLine[], x: (d: Date) => number, width: number, now: Date): Mark[] {
  const urgency = (b: BrewLine) => (b.phase === "finished" ? "z" : "a") + (b.dueAt ?? b.startAt);
  const sorted = [...brews].sort((a, b) => urgency(a).localeCompare(urgency(b)));
  const taken: [number, number][] = [];
  const free = (from: number, length: number) => !taken.some(([a, b]) => from < b && from + length > a);
  return sorted.map((brew) => {
    const fromX = Math.max(0, Math.min(width, x(new Date(brew.startAt))));
    const end =
      brew.phase === "running" && brew.dueAt ? new Date(brew.dueAt) : new Date(brew.readyAt ?? brew.startAt);
    const toX = Math.min(width, x(end));
    const name = short(brew.name);
    const left = brew.dueAt ? (new Date(brew.dueAt).getTime() - now.getTime()) / 1000 : 0;
    const words =
      brew.phase === "running"
        ? left > 0
          ? `${name}, ${span(left)} left`
          : `${name}, due`
        : brew.phase === "planned"
          ? `${name} at ${clock(brew.startAt)}`
          : name;
    const length = words.length * LETTER + 12;
    const own = Math.max(0, Math.min(fromX, width - length));
    const beside = taken.flatMap(([from, to]) => [from - length, to]).sort(near(own));
    const places = brew.phase === "finished" ? [own] : [own, ...beside];
    const labelX = places.find((p) => p >= 0 && p + length <= width + 4 && free(p, length));
    if (labelX !== undefined) taken.push([labelX, labelX + length]);
    return { brew, fromX, toX, words, labelX: labelX ?? own, shown: labelX !== undefined };
  });
}

/** Places by their distance from another, the nearest first. */
const near = (own: number) => (a: number, b: number) => Math.abs(a - own) - Math.abs(b - own);

/** The first words of a pot's name, enough to know it by. */
function short(name: string): string {
  return name.length <= 24 ? name : `${name.slice(0, name.lastIndexOf(" ", 22))} …`;
}
