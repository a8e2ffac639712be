import { say } from "../../words/say";

/** So many times that stand equally far apart are said by their distance: eight clock times in a row are read by nobody. */
const MANY = 4;

const minutes = (time: string) => Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));

/** At which times of day: "at 08:00, 20:00", or "every 2 hours from 08:00 to 22:00". */
export function timesOfDay(times: string[]): string {
  const first = times[0];
  const last = times[times.length - 1];
  const second = times[1];
  if (times.length >= MANY && first && second && last) {
    const apart = minutes(second) - minutes(first);
    const even = times.every((t, i) => minutes(t) - minutes(first) === i * apart);
    if (even && apart >= 60 && apart % 60 === 0) {
      return say("course.everyHours", { hours: apart / 60, first, last });
    }
  }
  return say("course.atTimes", { times: times.join(", ") });
}
