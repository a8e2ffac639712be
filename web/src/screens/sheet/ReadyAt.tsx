import { useState } from "react";
import { present } from "../../api/present";
import { ofWall, wall } from "../../api/zone";
import { SelectField } from "../../parts/Field";
import { clock, clockOf, date, moment, timeValue } from "../../parts/say";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { atOn, dayValue, nextAt } from "./at";

/** "at 19:30", "tomorrow at 07:00", "Sat 28 Nov, 19:30". */
export function momentAt(at: string): string {
  const then = nextAt(at, present());
  const days = daysFrom(present(), then);
  return days === 0
    ? say("sheet.atClock", { clock: clock(then) })
    : days === 1
      ? say("sheet.tomorrowAt", { clock: clock(then) })
      : moment(then, present());
}

const DAY_MS = 24 * 3600_000;
function midnight(at: Date): number {
  const d = wall(at);
  return new Date(d.getFullYear(), d.getMonth(), d.getDate()).getTime();
}
const daysFrom = (a: Date, b: Date) => Math.round((midnight(b) - midnight(a)) / DAY_MS);

/** Days that a pot can be planned for. */
const DAYS = 7;

export function ReadyAt({
  at,
  soon,
  onPick,
}: {
  at?: string;
  soon: Date;
  onPick: (at: string | undefined) => void;
}) {
  const first = at ? nextAt(at, present()) : new Date(soon.getTime() + 30 * 60_000);
  const [time, setTime] = useState(timeValue(first));
  const [day, setDay] = useState(dayValue(first));
  const days = Array.from({ length: DAYS }, (_, i) => {
    const d = new Date(present().getTime() + i * DAY_MS);
    return {
      value: dayValue(d),
      label: i === 0 ? say("sheet.today") : i === 1 ? say("sheet.tomorrow") : date(d),
    };
  });
  const chosen = ofWall(new Date(`${day}T${time}`));
  // An hour of today that has gone by is tomorrow's.
  const then = chosen <= present() ? new Date(chosen.getTime() + DAY_MS) : chosen;
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        onPick(atOn(then));
      }}
    >
      <label className="flex items-baseline gap-3">
        <Said
          of="sheet.readyAt"
          field={
            <input
              type="time"
              required
              value={time}
              onChange={(e) => setTime(e.target.value)}
              className="figure min-h-11 border-ink border-b-2 bg-transparent text-2xl"
            />
          }
        />
      </label>
      <SelectField label={say("sheet.day")} value={day} options={days} onChange={setDay} />
      <div className="flex gap-2">
        <button type="submit" className="min-h-11 flex-1 rounded-one bg-ink px-3 text-ground">
          {say("sheet.drinkAt", {
            clock: clockOf(time),
            day: daysFrom(present(), then) > 0 && days.find((d) => d.value === dayValue(then))?.label,
          })}
        </button>
        <button
          type="button"
          className="min-h-11 rounded-one border border-ink px-3"
          onClick={() => onPick(undefined)}
        >
          {say("sheet.asSoonAsDone")}
        </button>
      </div>
    </form>
  );
}
