import { useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { useBeginCourse, useChangeCourse, useCup, useEndCourse, useRemoveCourse } from "../../api/changes";
import type { CourseRequest, CourseResponse } from "../../api/client";
import { confirm, uuid } from "../../api/outbox";
import { useCourse, useCoursePreview, useRecipes } from "../../api/queries";
import { dayOf, noonOf } from "../../api/zone";
import { CourseDays } from "../../drawings/CourseDays";
import { Primary, Secondary } from "../../parts/Field";
import { useNow } from "../../parts/now";
import { PotList } from "../../parts/PotList";
import { clock, day, moment, servingMl } from "../../parts/say";
import { Empty, Loading, Missing, Trouble } from "../../parts/states";
import { TakeAway } from "../../parts/TakeAway";
import { Undo } from "../../parts/Undo";
import { Said } from "../../words/Said";
import { listed, say } from "../../words/say";
import { Laying } from "./Laying";

/** A course: to be laid, or as it goes. */
export default function Course() {
  const { id } = useParams();
  const [params] = useSearchParams();
  const recipeId = params.get("recipe") ?? undefined;
  const who = params.get("who") ?? undefined;
  if (id) return <Running id={id} />;
  return recipeId ? <New key={recipeId} recipeId={recipeId} who={who} /> : <WhichPot who={who} />;
}

/** A course is of a pot, and none was said. */
function WhichPot({ who }: { who?: string }) {
  const recipes = useRecipes();
  if (recipes.isPending) return <Loading what={say("course.thePots")} />;
  if (recipes.error) return <Trouble error={recipes.error} again={() => recipes.refetch()} />;
  return (
    <div className="pt-6">
      <title>{say("course.aCourseEmberCup")}</title>
      <h1 className="mb-4 text-3xl">{say("course.aCourseOfWhichPot")}</h1>
      {recipes.data.length === 0 ? (
        <Empty title={say("course.noPotIsKeptYet")}>
          <Link to="/choose" className="underline underline-offset-4">
            {say("course.chooseOneFirst")}
          </Link>
          .
        </Empty>
      ) : (
        <PotList
          recipes={recipes.data}
          to={(r) => `/course/new?${new URLSearchParams({ recipe: r.id, ...(who && { who }) })}`}
        />
      )}
    </div>
  );
}

/** A course as it would be with a change that is not kept yet; its days are still those of before. */
function changed(c: CourseResponse, part: Partial<CourseRequest>): CourseResponse {
  return {
    ...c,
    firstDay: part.firstDay ?? c.firstDay,
    times: part.times ?? c.times,
    drinkers:
      part.drinkers?.map(
        (d) =>
          c.drinkers.find((x) => x.drinkerId === d.drinkerId) ?? {
            drinkerId: d.drinkerId ?? undefined,
            name: "",
            serving: d.serving ?? 1,
            doseMl: 0,
          },
      ) ?? c.drinkers,
    drinkingDays: part.untilBetter ? undefined : (part.days ?? c.drinkingDays),
  };
}

/** What is asked of the server for a course as it stands. */
function asked(c: CourseResponse): CourseRequest {
  return {
    version: c.version ?? undefined,
    drinkers: c.drinkers.flatMap((d) =>
      d.drinkerId ? [{ drinkerId: d.drinkerId, serving: d.serving }] : [],
    ),
    firstDay: c.firstDay,
    days: c.drinkingDays ?? undefined,
    untilBetter: c.drinkingDays === undefined || c.drinkingDays === null,
    times: c.times,
  };
}

function New({ recipeId, who }: { recipeId: string; who?: string }) {
  const navigate = useNavigate();
  const [draft, setDraft] = useState<CourseRequest>({
    recipeId,
    drinkers: who ? [{ drinkerId: who }] : [],
  });
  const preview = useCoursePreview(draft);
  const begin = useBeginCourse();
  if (preview.isPending) return <Loading what={say("course.theCourse")} />;
  if (preview.error && !preview.data)
    return (
      <Missing error={preview.error} again={() => preview.refetch()} to="/course/new">
        {say("course.aCourseOfAnotherPot")}
      </Missing>
    );
  const c = preview.data;
  return (
    <div className="max-w-5xl pt-6">
      <title>{say("course.aCourseEmberCup")}</title>
      <h1 className="text-3xl">
        <Said of="course.dayByDay" name={c.name} />
      </h1>
      <Laying course={changed(c, draft)} onChange={(part) => setDraft((d) => ({ ...d, ...part }))} />
      {preview.error && <Trouble error={preview.error} />}
      <TooLong course={c} onShorten={(days) => setDraft((d) => ({ ...d, days, untilBetter: false }))} />
      <Drawn course={c} />
      <Minded course={c} />
      {begin.error && <Trouble error={begin.error} />}
      <p className="mt-6 flex flex-wrap gap-4">
        <Primary
          busy={begin.isPending || preview.isPlaceholderData}
          onClick={() => begin.mutate(draft, { onSuccess: (made) => navigate(`/course/${made.id}`) })}
        >
          {say("course.beginTheCourse")}
        </Primary>
        <Link
          to={`/sheet/${c.recipeId}`}
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          {say("course.backToTheSheet")}
        </Link>
      </p>
    </div>
  );
}

function Running({ id }: { id: string }) {
  const course = useCourse(id);
  const change = useChangeCourse(id);
  const end = useEndCourse(id);
  const remove = useRemoveCourse();
  const [part, setPart] = useState<Partial<CourseRequest>>({});
  const navigate = useNavigate();
  const now = useNow(30_000);
  if (course.isPending) return <Loading what={say("course.theCourse")} />;
  if (course.error)
    return (
      <Missing error={course.error} again={() => course.refetch()} to="/">
        {say("course.goToToday")}
      </Missing>
    );
  const c = course.data;
  const over = c.phase === "over";
  return (
    <div className="max-w-5xl pt-6">
      <title>{say("course.emberCup", { name: c.name })}</title>
      <h1 className="text-3xl">
        <Said of="course.dayByDay" name={c.name} />
      </h1>
      {over ? (
        <p className="mt-2 text-lg">
          {say("course.endedOn", { why: c.endedWhy, day: day(noonOf(c.lastDay)) })}{" "}
        </p>
      ) : (
        <Laying course={changed(c, part)} begun onChange={(more) => setPart((p) => ({ ...p, ...more }))} />
      )}
      {Object.keys(part).length > 0 && (
        <p className="mt-2 flex flex-wrap gap-3">
          <Primary
            busy={change.isPending}
            onClick={() => change.mutate({ ...asked(c), ...part }, { onSuccess: () => setPart({}) })}
          >
            {say("course.keepTheChange")}
          </Primary>
          <Secondary
            onClick={() => {
              setPart({});
              change.reset();
            }}
          >
            {say("course.leaveItAsItWas")}
          </Secondary>
        </p>
      )}
      {change.error && <Trouble error={change.error} />}
      {c.endedOn && (
        <Undo
          words={c.endedWhy === "better" ? say("course.endedAsItIsBetter") : say("course.stopped")}
          onUndo={() => end.mutate(undefined)}
        />
      )}
      <Next course={c} now={now} />
      <TooLong course={c} onShorten={(days) => change.mutate({ ...asked(c), days, untilBetter: false })} />
      <Drawn course={c} />
      <Minded course={c} />
      {end.error && <Trouble error={end.error} />}
      <p className="mt-6 flex flex-wrap items-center gap-4">
        {!over && !c.endedOn && (
          <>
            <Secondary onClick={() => end.mutate("better")}>{say("course.itIsBetterEndIt")}</Secondary>
            <Secondary onClick={() => end.mutate("stopped")}>{say("course.stopIt")}</Secondary>
          </>
        )}
        {c.recipeId && (
          <Link
            to={`/sheet/${c.recipeId}${c.drinkers[0]?.drinkerId ? `?who=${c.drinkers[0].drinkerId}` : ""}`}
            className="inline-flex min-h-11 items-center underline underline-offset-4"
          >
            {say("course.brewAPotOfIt")}
          </Link>
        )}
        <TakeAway
          name={c.name}
          words={say("course.takeItOffTheList")}
          sureWords={say("course.yesForgetTheDaysOf", { name: c.name })}
          error={remove.error}
          onTake={() => remove.mutate(id, { onSuccess: () => navigate("/") })}
        />
      </p>
    </div>
  );
}

/** The dose that comes, and the cup that is drunk for it. */
function Next({ course: c, now }: { course: CourseResponse; now: Date }) {
  const cup = useCup(c.id ?? "");
  const [last, setLast] = useState<{ cupId: string; brewId?: string; words: string }>();
  const today = c.days.find((d) => d.date === dayOf(now));
  const drunk = today?.doses.filter((d) => d.state === "taken").length ?? 0;
  const missed = today?.doses.filter((d) => d.state === "missed") ?? [];
  const due = c.next && c.next.state !== "ahead";
  const lastDay = c.lastDay === dayOf(now);
  const drink = (brewId?: string) => {
    const cupId = uuid();
    cup.mutate(
      { id: cupId, brewId },
      {
        onSuccess: () =>
          setLast({ cupId, brewId, words: brewId ? say("course.pouredAndDrunk") : say("course.drunk") }),
      },
    );
  };
  return (
    <section aria-labelledby="next" className="mt-5 border-water border-l-[5px] pl-4">
      <h2 id="next" className="text-2xl">
        {c.phase === "over"
          ? say("course.noDoseAnyMore")
          : c.next
            ? `${c.next.state === "late" ? say("course.late") : due ? say("course.now") : say("course.next")}: ${moment(c.next.due, now)}`
            : say("course.noDoseAnyMore")}
      </h2>
      {c.phase !== "over" && (
        <p className="mt-1">
          {say("course.doseNow", {
            doses: c.drinkers.map((d) => `${d.name} ${servingMl(1, d.doseMl)}`).join(", "),
            drunk: today && today.doses.length > 1 && drunk,
            of: today?.doses.length,
          })}{" "}
          {c.next?.state === "late" && `${say("course.itMayStillBeDrunk")} `}
          {missed.length > 0 &&
            `${say("course.wasMissedAndIsLeft", {
              times: listed(missed.map((d) => clock(d.due))),
              count: missed.length,
            })} `}
          {(today?.extra ?? 0) > 0 && `${say("course.moreWasDrunkTodayThan")} `}
          {lastDay && <strong>{say("course.todayIsItsLastDay")}</strong>}
        </p>
      )}
      {c.next &&
        today?.kind === "drink" &&
        today.doses.some((d) => d.state !== "taken" && d.state !== "missed") && (
          <p className="mt-2 flex flex-wrap gap-3">
            {c.sources.map((s) => (
              <Primary key={s.brewId} busy={cup.isPending} onClick={() => drink(s.brewId)}>
                <Said of="course.pourAndDrinkLeft" amount={servingMl(1, s.leftMl)} />
              </Primary>
            ))}
            <Secondary onClick={() => drink()}>{say("course.drunkFromElsewhere")}</Secondary>
          </p>
        )}
      {cup.error && <Trouble error={cup.error} />}
      {last && (
        <Undo
          words={last.words}
          onUndo={() => {
            if (last.brewId) confirm(last.brewId, { kind: "undone", event: last.cupId });
            else cup.mutate({ back: last.cupId });
            setLast(undefined);
          }}
        />
      )}
    </section>
  );
}

function TooLong({ course: c, onShorten }: { course: CourseResponse; onShorten: (days: number) => void }) {
  if (!c.tooLong) return null;
  const { text, most } = c.tooLong;
  return (
    <div role="alert" className="mt-4 border-stop border-l-[5px] pl-4">
      <p className="max-w-prose">{text}</p>
      {most > 0 && (
        <p className="mt-2">
          <Secondary onClick={() => onShorten(most)}>{say("course.instead", { days: most })}</Secondary>
        </p>
      )}
    </div>
  );
}

const STATES = {
  ahead: say("course.toCome"),
  due: say("course.due"),
  late: say("course.lateDose"),
  taken: say("course.drunkDose"),
  missed: say("course.missed"),
} as const;

function Drawn({ course: c }: { course: CourseResponse }) {
  const now = useNow(60_000);
  const said = (d: CourseResponse["days"][number]) => {
    const doses = d.doses.map((x) => `${clock(x.due)} ${STATES[x.state as keyof typeof STATES] ?? x.state}`);
    const what =
      d.kind === "rest"
        ? say("course.rest")
        : d.kind === "ended"
          ? say("course.endedBeforeIt")
          : doses.join(", ");
    return say("course.dayOfIt", { day: day(noonOf(d.date)), what, brewed: d.brewed });
  };
  const rests = c.days.some((d) => d.kind === "rest");
  return (
    <section aria-labelledby="days" className="mt-6">
      <h2 id="days" className="sr-only">
        {say("course.itsDays")}
      </h2>
      <CourseDays days={c.days} today={dayOf(now)} said={said} />
      <p className="mt-2 text-muted text-sm">
        <Said
          of="course.toACupIsAs"
          first={day(noonOf(c.firstDay))}
          last={day(noonOf(c.lastDay))}
          rests={rests}
        />
      </p>
    </section>
  );
}

/** What limits it, what is to be minded, and what it does not go together with. */
function Minded({ course: c }: { course: CourseResponse }) {
  return (
    <section aria-labelledby="minded" className="mt-6 max-w-prose">
      <h2 id="minded" className="text-2xl">
        {say("course.toBeMinded")}
      </h2>
      <ul className="mt-2 space-y-2">
        <li>{c.limit}</li>
        {c.clashes.map((text) => (
          <li key={text} className="border-amber border-l-[5px] pl-3 font-semibold">
            {text}
          </li>
        ))}
        {c.cautions.map((x) => (
          <li
            key={x.text}
            className={
              x.severity === "stop"
                ? "border-stop border-l-[5px] pl-3 font-semibold"
                : "border-amber border-l-[5px] pl-3"
            }
          >
            {x.text}
          </li>
        ))}
      </ul>
    </section>
  );
}
