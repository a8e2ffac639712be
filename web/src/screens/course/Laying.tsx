import type { CourseRequest, CourseResponse } from "../../api/client";
import * as limit from "../../api/limit.gen";
import { usePeople } from "../../api/queries";
import { noonOf } from "../../api/zone";
import { fullDate, servingMl } from "../../parts/say";
import { OneOf, Stepper, Word } from "../../parts/Word";
import { Said } from "../../words/Said";
import { listed, say } from "../../words/say";
import { timesOfDay } from "./timesOfDay";

/** A course as a sentence: who, from when, for how long, at which times of day. Each word is changed where it stands. */
export function Laying({
  course: c,
  begun,
  onChange,
}: {
  course: CourseResponse;
  begun?: boolean;
  onChange: (part: Partial<CourseRequest>) => void;
}) {
  const people = usePeople().data ?? [];
  const named = (d: CourseResponse["drinkers"][number]) =>
    d.name || (people.find((p) => p.id === d.drinkerId)?.name ?? say("course.somebodyWithin"));
  const better = c.drinkingDays === undefined || c.drinkingDays === null;
  const who =
    c.drinkers.length === 0
      ? say("course.somebody")
      : listed(
          c.drinkers.map((d) =>
            d.serving === 1
              ? named(d)
              : say("course.ofACup", { named: named(d), serving: Math.round(d.serving * 100) }),
          ),
        );
  return (
    <p className="mt-3 max-w-3xl text-[1.12rem] leading-[2.2rem]">
      <Said
        of="course.layingSentence"
        who={
          <Word label={say("course.whoDrinksIt")} shown={who}>
            {() => <Who course={c} onChange={onChange} />}
          </Word>
        }
        drinkers={c.drinkers.length || 1}
        firstDay={
          begun ? (
            fullDate(noonOf(c.firstDay))
          ) : (
            <Word label={say("course.firstDay")} shown={fullDate(noonOf(c.firstDay))}>
              {() => (
                <input
                  type="date"
                  aria-label={say("course.firstDay")}
                  value={c.firstDay}
                  onChange={(e) => e.target.value && onChange({ firstDay: e.target.value })}
                  className="min-h-11 rounded-one border border-ink bg-ground px-3"
                />
              )}
            </Word>
          )
        }
        forHowLong={
          <Word
            label={say("course.forHowLong")}
            shown={better ? say("course.untilItIsBetter") : say("course.forDays", { days: c.drinkingDays })}
          >
            {() => (
              <>
                <OneOf
                  label={say("course.forHowLong")}
                  value={better ? "better" : "days"}
                  options={[
                    {
                      value: "days",
                      label: say("course.forSoManyDays"),
                      gloss: say("course.theRecipes", { usualDays: c.usualDays }),
                    },
                    {
                      value: "better",
                      label: say("course.untilItIsBetter"),
                      gloss: say("course.daysAtTheLongest", { rowDays: c.rowDays }),
                    },
                  ]}
                  onPick={(v) =>
                    onChange({ untilBetter: v === "better", days: c.drinkingDays ?? c.usualDays })
                  }
                />
                {!better && (
                  <Stepper
                    label={say("course.daysOfDrinking")}
                    value={c.drinkingDays ?? c.usualDays}
                    {...limit.DAYS_ON}
                    unit={say("course.days")}
                    onChange={(days) => onChange({ days, untilBetter: false })}
                  />
                )}
              </>
            )}
          </Word>
        }
        row={!better && (c.drinkingDays ?? 0) > c.rowDays && c.rowDays}
        rest={c.restDays}
        timesOfDay={
          <Word label={say("course.timesOfDay")} shown={timesOfDay(c.times)}>
            {() => <Times times={c.times} onChange={(times) => onChange({ times })} />}
          </Word>
        }
        says={
          c.says && (
            <span className="text-muted text-base">
              <Said of="course.theRecipeSays" says={c.says} />
            </span>
          )
        }
      />
    </p>
  );
}

function Who({
  course: c,
  onChange,
}: {
  course: CourseResponse;
  onChange: (part: Partial<CourseRequest>) => void;
}) {
  const people = usePeople().data ?? [];
  const has = (id: string) => c.drinkers.some((d) => d.drinkerId === id);
  return (
    <fieldset className="w-64">
      <legend className="text-muted">{say("course.whoDrinksIt")}</legend>
      {people.map((p) => (
        <label key={p.id} className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-[var(--ink)]"
            checked={has(p.id)}
            onChange={(e) =>
              onChange({
                drinkers: people
                  .filter((x) => (x.id === p.id ? e.target.checked : has(x.id)))
                  .map((x) => ({ drinkerId: x.id })),
              })
            }
          />
          {p.name}
          {p.serving < 1 && (
            <span className="text-muted text-sm">
              <Said of="course.ofACupAmount" amount={servingMl(p.serving, 240)} />
            </span>
          )}
        </label>
      ))}
      {people.length === 0 && (
        <p className="text-muted text-sm">{say("course.nobodyIsEnteredInHousehold")}</p>
      )}
    </fieldset>
  );
}

function Times({ times, onChange }: { times: string[]; onChange: (times: string[]) => void }) {
  return (
    <fieldset className="w-64">
      <legend className="text-muted">{say("course.timesOfDayByThe")}</legend>
      {times.map((t, i) => (
        // A time is known by its place: two may be the same while one is being typed.
        <div key={i} className="mt-1 flex items-center gap-3">
          <input
            type="time"
            aria-label={say("course.time", { number: i + 1 })}
            value={t}
            onChange={(e) => e.target.value && onChange(times.map((x, j) => (j === i ? e.target.value : x)))}
            className="min-h-11 rounded-one border border-ink bg-ground px-3"
          />
          {times.length > 1 && (
            <button
              type="button"
              className="min-h-11 text-sm underline underline-offset-4"
              aria-label={say("course.leaveOutT", { t })}
              onClick={() => onChange(times.filter((_, j) => j !== i))}
            >
              {say("course.leaveOut")}
            </button>
          )}
        </div>
      ))}
      {times.length < limit.DOSES_A_DAY.high && (
        <button
          type="button"
          className="mt-1 min-h-11 text-sm underline underline-offset-4"
          onClick={() => onChange([...times, later(times[times.length - 1] ?? "08:00")])}
        >
          {say("course.onceMoreADay")}
        </button>
      )}
    </fieldset>
  );
}

/** Three hours later, on the same day. */
function later(time: string): string {
  const hour = Math.min(23, Number(time.slice(0, 2)) + 3);
  return `${String(hour).padStart(2, "0")}:${hour === 23 ? "30" : time.slice(3)}`;
}
