import type { CourseResponse } from "../api/client";
import { locale } from "../words/catalogue";
import { say } from "../words/say";

type DayLine = CourseResponse["days"][number];

/** "Mo", "Tu": the days of a week, from its Monday on. */
const WEEKDAYS = Array.from({ length: 7 }, (_, i) =>
  new Date(2001, 0, 1 + i).toLocaleDateString(locale, { weekday: "short" }).slice(0, 2),
);
const W = 30;
const H = 34;
const BRIM = 6;
const BOTTOM = 28;

/** Full as far as its doses are drunk; a day of rest is a saucer, what was missed an empty cup with a stroke through it. */
function Cup({ day, past }: { day: DayLine; past: boolean }) {
  if (day.kind === "rest") {
    return <path d={`M4,${BOTTOM} q11,5 22,0`} stroke="var(--muted)" strokeWidth={2} fill="none" />;
  }
  const ended = day.kind === "ended";
  const taken = day.doses.filter((d) => d.state === "taken").length;
  const missed = day.doses.some((d) => d.state === "missed");
  const none = day.doses.length > 0 && day.doses.every((d) => d.state === "missed");
  const share = day.doses.length === 0 ? 0 : taken / day.doses.length;
  const level = BOTTOM - share * (BOTTOM - BRIM - 3);
  const inset = (y: number) => ((y - BRIM) / (BOTTOM - BRIM)) * 4;
  const colour = ended ? "var(--hairline)" : missed ? "var(--amber)" : past ? "var(--ink)" : "var(--muted)";
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round">
      {share > 0 && (
        <path
          d={`M${3 + inset(level)},${level} L7,${BOTTOM} H19 L${23 - inset(level)},${level} Z`}
          fill="var(--herb)"
          fillOpacity={0.75}
        />
      )}
      <path
        d={`M3,${BRIM} L7,${BOTTOM} H19 L23,${BRIM}`}
        stroke={colour}
        strokeWidth={2.2}
        strokeDasharray={ended ? "2 4" : undefined}
      />
      <path
        d="M22,11 q7,-1 6,5 t-7,5"
        stroke={colour}
        strokeWidth={2.2}
        strokeDasharray={ended ? "2 4" : undefined}
      />
      {none && <path d={`M1,${BOTTOM + 2} L27,${BRIM - 2}`} stroke={colour} strokeWidth={2.2} />}
      {day.brewed && <path d={`M8,${BOTTOM + 4} H18`} stroke="var(--ember)" strokeWidth={3} />}
    </g>
  );
}

/** The days of a course in weeks, one cup a day; a bar after the last. */
export function CourseDays({
  days,
  today,
  said,
}: {
  days: DayLine[];
  /** "2026-11-26" */
  today: string;
  said: (day: DayLine) => string;
}) {
  const lead = days[0] ? (new Date(`${days[0].date}T12:00:00Z`).getUTCDay() + 6) % 7 : 0;
  return (
    <div className="w-fit">
      <div
        aria-hidden
        className="grid grid-cols-[repeat(7,2.9rem)] text-center text-[13px] text-muted lg:grid-cols-[repeat(14,2.9rem)]"
      >
        {[0, 1].map((week) =>
          WEEKDAYS.map((w) => (
            <span key={`${week}${w}`} className={week === 1 ? "max-lg:hidden" : ""}>
              {w}
            </span>
          )),
        )}
      </div>
      <ol
        className="grid w-fit grid-cols-[repeat(7,2.9rem)] gap-y-2 lg:grid-cols-[repeat(14,2.9rem)]"
        aria-label={say("drawing.theDaysOfTheCourse")}
      >
        {days.map((d, i) => (
          <li
            key={d.date}
            aria-label={said(d)}
            style={i === 0 ? { gridColumnStart: lead + 1 } : undefined}
            className={`flex flex-col items-center pt-1 pb-0.5 ${d.date === today ? "bg-strip outline-2 outline-ink" : ""} ${i === days.length - 1 ? "shadow-[4px_0_0_var(--ink)]" : ""}`}
          >
            <svg width={W} height={H} aria-hidden className="overflow-visible">
              <Cup day={d} past={d.date <= today} />
            </svg>
            <span
              aria-hidden
              className={`figure text-[13px] ${d.kind === "rest" || d.kind === "ended" ? "text-muted" : ""}`}
            >
              {Number(d.date.slice(8))}
            </span>
          </li>
        ))}
      </ol>
    </div>
  );
}
