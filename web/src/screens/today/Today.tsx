import { Link } from "react-router";
import type { BrewLine } from "../../api/client";
import { useCourses, useDay, useNotebook, useRecipes } from "../../api/queries";
import { dayOf, noonOf } from "../../api/zone";
import { useNow } from "../../parts/now";
import { PotList } from "../../parts/PotList";
import { clock, day, moment, timer } from "../../parts/say";
import { Loading, Trouble } from "../../parts/states";
import { goesOn, whereTo } from "../../parts/whereTo";
import { Said } from "../../words/Said";
import { listed, say } from "../../words/say";
import { Welcome } from "./Welcome";

/** What is on the fire, the household's pots, and what was noted last. */
export function Today() {
  const today = useDay();
  const recipes = useRecipes();
  const notes = useNotebook({ page: 0 });
  // All of the page or nothing: what comes later would push down what is read already.
  if (recipes.isPending || today.isPending || notes.isPending)
    return <Loading what={say("today.theKitchen")} />;
  if (recipes.data?.length === 0 && today.data?.open.length === 0) return <Welcome />;
  return (
    <div className="grid gap-x-12 gap-y-8 pt-6 lg:grid-cols-[minmax(0,1fr)_300px]">
      <title>{say("today.todayEmberCup")}</title>
      <h1 className="sr-only">{say("today.today")}</h1>
      <div>
        {(today.data?.open.length ?? 0) > 0 && (
          <section aria-labelledby="fire" className="mb-8">
            <div className="flex flex-wrap items-baseline justify-between gap-x-6">
              <h2 id="fire" className="text-3xl">
                {say("today.onTheFire")}
              </h2>
              <a
                href="/api/calendar.ics"
                download="ember-cup.ics"
                className="min-h-11 underline underline-offset-4"
              >
                {say("today.intoACalendar")}
              </a>
            </div>
            <ul className="mt-3 border-hairline border-t">
              {today.data?.open.map((b) => (
                <Fire key={b.id} brew={b} />
              ))}
            </ul>
          </section>
        )}
        <Courses />
        <section aria-labelledby="pots">
          <div className="flex flex-wrap items-baseline justify-between gap-x-6">
            <h2 id="pots" className="text-3xl">
              {say("today.theHouseholdsPots")}
            </h2>
            <span className="flex flex-wrap gap-x-6">
              <Link to="/week" className="min-h-11 underline underline-offset-4">
                {say("today.theWeekAndWhatTo")}
              </Link>
              <Link to="/together" className="min-h-11 underline underline-offset-4">
                {say("today.severalForOneHour")}
              </Link>
            </span>
          </div>
          <div className="mt-3">
            {recipes.error && <Trouble error={recipes.error} again={() => recipes.refetch()} />}
            {recipes.data && recipes.data.length > 0 && <PotList recipes={recipes.data} />}
          </div>
        </section>
      </div>
      <aside aria-labelledby="noted">
        <h2 id="noted" className="text-2xl">
          {say("today.lastNoted")}
        </h2>
        <ul className="mt-3 border-hairline border-t">
          {notes.data?.entries.slice(0, 6).map((e) => (
            <li key={e.brewId} className="border-hairline border-b">
              <Link to={`/brew/${e.brewId}`} className="block py-2.5 hover:bg-strip">
                <span className="block font-semibold leading-tight">{e.name}</span>
                <span className="block text-muted text-sm">
                  {say("today.brewed", {
                    day: day(e.brewedAt),
                    clock: clock(e.brewedAt),
                    drinker: e.drinkerName,
                  })}
                </span>
                {e.taste && <span className="block text-sm">“{e.taste}”</span>}
                {e.change && (
                  <span className="block text-amber-text text-sm">
                    <Said of="today.nextTime" change={e.change} />
                  </span>
                )}
              </Link>
            </li>
          ))}
        </ul>
        <Link to="/notebook" className="mt-3 inline-block relative max-sm:reach underline underline-offset-4">
          {say("today.theWholeNotebook")}
        </Link>
      </aside>
    </div>
  );
}

/** Courses that run or are to come, with their next dose. */
function Courses() {
  const courses = useCourses();
  const now = useNow(30_000);
  const going = courses.data?.filter((c) => c.phase !== "over") ?? [];
  if (going.length === 0) return null;
  return (
    <section aria-labelledby="courses" className="mb-8">
      <h2 id="courses" className="text-3xl">
        {say("today.dayByDay")}
      </h2>
      <ul className="mt-3 border-hairline border-t">
        {going.map((c) => (
          <li key={c.id} className="border-hairline border-b">
            <Link
              to={`/course/${c.id}`}
              className="grid grid-cols-[1fr_auto] items-center gap-4 py-3 hover:bg-strip md:px-2"
            >
              <span>
                <span className="block font-display font-semibold text-xl leading-tight [font-stretch:82%]">
                  {c.name}
                </span>
                <span className="block text-muted text-sm">
                  {say("today.course", {
                    drinkers: listed(c.drinkers.map((d) => d.name)),
                    until: c.lastDay !== dayOf(now) && day(noonOf(c.lastDay)),
                    late: c.next?.state === "late",
                  })}
                </span>
                {(c.clashes.length > 0 || c.cautions.some((x) => x.severity === "stop")) && (
                  <span className="block font-semibold text-amber-text text-sm">
                    {c.clashes[0] ?? c.cautions.find((x) => x.severity === "stop")?.text}
                  </span>
                )}
              </span>
              {c.next && (
                <span className={`figure text-2xl ${c.next.state === "late" ? "text-amber-text" : ""}`}>
                  {moment(c.next.due, now)}
                </span>
              )}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Fire({ brew }: { brew: BrewLine }) {
  const now = useNow(1000);
  const left = brew.dueAt ? (new Date(brew.dueAt).getTime() - now.getTime()) / 1000 : null;
  return (
    <li className="border-hairline border-b">
      <Link
        to={whereTo(brew)}
        className="grid grid-cols-[1fr_auto] items-center gap-4 py-3 hover:bg-strip md:px-2"
      >
        <span>
          <span className="block font-display font-semibold text-xl leading-tight [font-stretch:82%]">
            {brew.name}
          </span>
          <span className="block text-muted text-sm">
            {say("today.nowAndReady", {
              now:
                brew.phase === "planned"
                  ? say("today.startsAt", { when: moment(brew.startAt, now) })
                  : brew.now,
              ready: brew.readyAt && moment(brew.readyAt, now),
            })}
          </span>
        </span>
        {left !== null && goesOn(brew) && (
          <span className={`figure text-4xl ${left < 0 ? "text-ember-text" : ""}`}>{timer(left)}</span>
        )}
      </Link>
    </li>
  );
}
