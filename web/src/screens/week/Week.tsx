import { useState } from "react";
import { Link } from "react-router";
import { usePutTin } from "../../api/changes";
import type { ToBuy, WeekResponse } from "../../api/client";
import { useShelf, useWeek } from "../../api/queries";
import { noonOf } from "../../api/zone";
import { NumberField, Primary, Secondary } from "../../parts/Field";
import { clock, day, grams } from "../../parts/say";
import { Loading, Trouble } from "../../parts/states";
import { formSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

const TO_GET = ["none", "short", "stale"];

/** The days to come: planned pots, courses, what is to be drunk; and what is to be got for them. */
export default function Week() {
  const [days, setDays] = useState(7);
  const week = useWeek(days);
  if (week.isPending) return <Loading what={say("week.theDaysToCome")} />;
  if (week.error) return <Trouble error={week.error} again={() => week.refetch()} />;
  return (
    <div className="grid gap-x-14 gap-y-10 pt-6 lg:grid-cols-2">
      <title>{say("week.theWeekEmberCup")}</title>
      <section aria-labelledby="week">
        <div className="flex flex-wrap items-baseline justify-between gap-x-6">
          <h1 id="week" className="text-3xl">
            {days === 7 ? say("week.theWeek") : say("week.twoWeeks")}
          </h1>
          <button
            type="button"
            className="no-print min-h-11 underline underline-offset-4"
            onClick={() => setDays(days === 7 ? 14 : 7)}
          >
            {days === 7 ? say("week.twoWeeks") : say("week.oneWeek")}
          </button>
        </div>
        <ol className="mt-3 border-hairline border-t">
          {week.data.days.map((d) => (
            <Day key={d.date} of={d} />
          ))}
        </ol>
        <p className="no-print mt-3 flex flex-wrap gap-x-6">
          <Link to="/together" className="min-h-11 underline underline-offset-4">
            {say("week.planSeveralPotsForOne")}
          </Link>
          <a
            href="/api/calendar.ics"
            download="ember-cup.ics"
            className="min-h-11 underline underline-offset-4"
          >
            {say("week.intoACalendar")}
          </a>
        </p>
      </section>
      <Shopping all={week.data.shopping} days={days} />
    </div>
  );
}

function Day({ of: d }: { of: WeekResponse["days"][number] }) {
  const nothing = d.pots.length + d.courses.length + d.over.length === 0;
  return (
    <li className="grid grid-cols-[6.5rem_minmax(0,1fr)] gap-x-4 border-hairline border-b py-2.5">
      <span className={nothing ? "text-muted" : "font-semibold"}>{day(noonOf(d.date))}</span>
      <ul className="space-y-1">
        {nothing && <li className="text-muted">{say("week.nothingPlanned")}</li>}
        {d.pots.map((p) => (
          <li key={p.brewId}>
            <Said
              of="week.potAt"
              link={
                <Link to={`/brew/${p.brewId}`} className="underline underline-offset-4">
                  {p.name}
                </Link>
              }
              clock={clock(p.startAt)}
              drinker={p.drinkerName}
            />
          </li>
        ))}
        {d.courses.map((c) => (
          <li key={c.courseId} className={c.kind === "rest" ? "text-muted" : ""}>
            <Said
              of="week.course"
              link={
                <Link to={`/course/${c.courseId}`} className="underline underline-offset-4">
                  {c.name}
                </Link>
              }
              doses={c.kind === "rest" ? false : c.doses}
              times={c.doses}
              last={c.last && <strong>{say("week.theLastDay")}</strong>}
            />
          </li>
        ))}
        {d.over.map((text) => (
          <li key={text} className="text-amber-text">
            {text}
          </li>
        ))}
      </ul>
    </li>
  );
}

/** What the tins lack; what was got goes into its tin. */
function Shopping({ all, days }: { all: ToBuy[]; days: number }) {
  const missing = all.filter((t) => TO_GET.includes(t.status));
  const unknown = all.filter((t) => t.status === "unknown");
  const enough = all.filter((t) => t.status === "enough");
  const share = async () => {
    const text = await (await fetch(`/api/week/file?as=text&days=${days}`)).text();
    if (navigator.share) await navigator.share({ text }).catch(() => {});
    else await navigator.clipboard?.writeText(text);
  };
  return (
    <section aria-labelledby="shopping">
      <h2 id="shopping" className="text-3xl">
        {say("week.toGet")}
      </h2>
      {missing.length === 0 ? (
        <p className="mt-2 text-muted">
          {all.length === 0 ? say("week.nothingIsPlannedThatNeeds") : say("week.thereIsEnoughInThe")}
        </p>
      ) : (
        <ul className="mt-3 border-hairline border-t">
          {missing.map((t) => (
            <Line key={t.herb + t.form} of={t} />
          ))}
        </ul>
      )}
      {unknown.length > 0 && (
        <p className="mt-3 max-w-prose">
          <Said
            of="week.nobodySaidHowMuchIs"
            herbs={unknown
              .map((t) => say("week.needed", { common: t.common, weight: grams(t.needG) }))
              .join(", ")}
            link={
              <Link to="/keeping" className="underline underline-offset-4">
                {say("week.weighIt")}
              </Link>
            }
          />
        </p>
      )}
      {enough.length > 0 && (
        <p className="mt-3 max-w-prose text-muted text-sm">
          <Said of="week.enoughOf" herbs={enough.map((t) => t.common.toLowerCase()).join(", ")} />
        </p>
      )}
      {missing.length > 0 && (
        <p className="no-print mt-4 flex flex-wrap gap-3">
          <Secondary onClick={() => window.print()}>{say("week.printIt")}</Secondary>
          <Secondary onClick={() => void share()}>{say("week.shareAsText")}</Secondary>
          <a
            href={`/api/week/file?as=text&days=${days}`}
            download
            className="inline-flex min-h-11 items-center underline underline-offset-4"
          >
            {say("week.asAFile")}
          </a>
        </p>
      )}
    </section>
  );
}

const WHY_NOT = {
  none: say("week.noTin"),
  short: say("week.tooLittle"),
  stale: say("week.tooOld"),
} as Record<string, string>;

function Line({ of: t }: { of: ToBuy }) {
  const [open, setOpen] = useState(false);
  const wanted = Math.ceil(t.missingG / 5) * 5;
  const [got, setGot] = useState<number | undefined>(wanted);
  const put = usePutTin();
  const tin = useShelf().data?.find((x) => x.herb === t.herb && x.form === t.form);
  const keep = () => {
    // Into a tin that still has some of the same; what was too old makes room.
    const left = tin && !tin.stale ? (tin.left?.grams ?? 0) : 0;
    put.mutate(
      { herb: t.herb, form: t.form as "dried", grams: (got ?? 0) + left, note: tin?.note ?? "" },
      { onSuccess: () => setOpen(false) },
    );
  };
  return (
    <li className="border-hairline border-b py-2.5">
      <div className="flex items-baseline gap-4">
        <input
          type="checkbox"
          aria-label={say("week.isGot", { common: t.common })}
          className="no-print size-5 shrink-0 translate-y-0.5 accent-[var(--herb)]"
          checked={open}
          onChange={(e) => setOpen(e.target.checked)}
        />
        <span className="min-w-0 grow">
          <span className="font-semibold">{t.common}</span>, {formSaid(t.form)}
          <span className="block text-muted text-sm">
            {say("week.missing", {
              why: WHY_NOT[t.status],
              left: t.haveG != null && t.haveG > 0 && grams(t.haveG),
              pots: t.why.join(", "),
            })}
          </span>
        </span>
        <span className="figure text-xl">{grams(t.missingG)}</span>
      </div>
      {open && (
        <form
          className="mt-2 flex flex-wrap items-end gap-3 pl-9"
          onSubmit={(e) => {
            e.preventDefault();
            keep();
          }}
        >
          <NumberField
            className="w-32"
            label={say("week.got")}
            unit={say("week.g")}
            value={got}
            onChange={setGot}
          />
          <Primary busy={put.isPending || !got}>{say("week.intoTheTin")}</Primary>
        </form>
      )}
      {put.error && <Trouble error={put.error} />}
    </li>
  );
}
