import type { ShakingDay } from "../api/client";
import { noonOf } from "../api/zone";
import { date } from "../parts/say";
import { say } from "../words/say";

const STEP = 13;
const R = 4.2;
/** So many days stand in a row. */
const ROW = 14;
const ROW_H = 16;

/** The days of a long jar: shaken a full mark, missed an open amber one, today's a ring, those ahead small, the press a wedge. */
export function ShakingDays({ days }: { days: ShakingDay[] }) {
  const count = (kind: string) => days.filter((d) => d.kind === kind).length;
  const press = days.find((d) => d.kind === "press");
  const said = say("drawing.shakenOnDays", {
    shaken: count("shaken"),
    missed: count("missed"),
    pressed: press && date(noonOf(press.date)),
  });
  const rows = Math.ceil(days.length / ROW);
  return (
    <svg
      width={Math.min(days.length, ROW) * STEP + 4}
      height={rows * ROW_H}
      role="img"
      aria-label={said}
      className="block"
    >
      {days.map((d, i) => (
        <g key={d.date} transform={`translate(${(i % ROW) * STEP + 8},${Math.floor(i / ROW) * ROW_H + 8})`}>
          <Mark kind={d.kind} />
        </g>
      ))}
    </svg>
  );
}

function Mark({ kind }: { kind: string }) {
  if (kind === "shaken") return <circle r={R} fill="var(--herb)" />;
  if (kind === "missed") return <circle r={R} fill="none" stroke="var(--amber)" strokeWidth={2} />;
  if (kind === "due") return <circle r={R + 1} fill="none" stroke="var(--ink)" strokeWidth={2.4} />;
  if (kind === "press") return <path d={`M-${R + 1},-${R} H${R + 1} L0,${R + 1} Z`} fill="var(--ink)" />;
  return <circle r={1.8} fill="var(--muted)" />;
}
