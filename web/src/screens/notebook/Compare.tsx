import { useQueries } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { api, type BrewResponse } from "../../api/client";
import { keys } from "../../api/keys";
import { stagesOf } from "../../api/steps";
import { likingWords } from "../../parts/Liking";
import { clock, day, FELT, grams, millilitres, share, span } from "../../parts/say";
import { Empty, Loading, Missing } from "../../parts/states";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { Curves } from "./Curves";

/** Two or three brews side by side, in the order of the work; where they first part is marked. */
export default function Compare() {
  const [params] = useSearchParams();
  const ids = (params.get("of") ?? "").split(",").filter(Boolean).slice(0, 3);
  const found = useQueries({
    queries: ids.map((id) => ({ queryKey: keys.brew(id), queryFn: () => api.brew(id) })),
  });
  if (ids.length < 2)
    return (
      <Empty page title={say("notebook.chooseTwoOrThreeBrews")}>
        <Link to="/notebook" className="underline underline-offset-4">
          {say("notebook.tickThemInTheNotebook")}
        </Link>
        .
      </Empty>
    );
  if (found.some((f) => f.isPending)) return <Loading what={say("notebook.theBrews")} />;
  const error = found.find((f) => f.error)?.error;
  if (error)
    return (
      <Missing error={error} again={() => found.map((f) => f.refetch())} to="/notebook">
        {say("notebook.lookInTheNotebook")}
      </Missing>
    );
  const brews = found.map((f) => f.data as BrewResponse);
  const rows = compared(brews);
  const first = rows.find((r) => r.differs);
  // On a phone every row is two lines: what it is, and below it one column for each brew.
  const columns = `repeat(${brews.length}, minmax(0, 1fr))`;
  return (
    <div className="pt-6">
      <title>{say("notebook.compareEmberCup")}</title>
      <h1 className="text-3xl">{say("notebook.sideBySide")}</h1>
      <p className="mt-1">
        {first ? (
          <Said
            of="notebook.theyFirstPartAt"
            what={<strong>{first.what}</strong>}
            values={first.values.join(`, ${say("notebook.then")} `)}
          />
        ) : (
          say("notebook.nothingThatIsKnownOf")
        )}
      </p>
      <Curves brews={brews} />
      <div className="mt-4 overflow-x-auto">
        <table className="w-full sm:min-w-[560px]">
          <thead>
            <tr
              className="border-hairline border-b text-left align-baseline max-sm:grid"
              style={{ gridTemplateColumns: columns }}
            >
              <th className="py-2 pr-4 font-normal text-muted max-sm:col-span-full">
                {say("notebook.inTheOrderOfThe")}
              </th>
              {brews.map((b) => (
                <th key={b.id} className="py-2 pr-4">
                  <Link
                    to={`/brew/${b.id}`}
                    className="font-display text-lg underline-offset-4 [font-stretch:82%] hover:underline"
                  >
                    {b.name}
                  </Link>
                  <span className="block font-normal text-muted text-sm">
                    {b.startedAt && `${day(b.startedAt)}, ${clock(b.startedAt)}`}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((r) => (
              <tr
                key={r.what}
                style={{ gridTemplateColumns: columns }}
                className={`border-hairline border-b align-baseline max-sm:grid ${r === first ? "bg-strip font-semibold" : r.differs ? "" : "text-muted"}`}
              >
                <th
                  scope="row"
                  className="py-1.5 pr-4 text-left font-normal max-sm:col-span-full max-sm:pb-0"
                >
                  {r.differs ? "≠ " : ""}
                  {r.what}
                </th>
                {r.values.map((v, i) => (
                  <td key={brews[i]?.id} className="py-1.5 pr-4">
                    {v}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}

interface Row {
  what: string;
  values: string[];
  differs: boolean;
}

function row(what: string, numbers: (number | null)[], shown: (n: number) => string): Row {
  return text(
    what,
    numbers.map((n) => (n == null ? "" : shown(n))),
  );
}

/** What reads differently differs. */
function text(what: string, values: string[]): Row {
  return { what, values: values.map((v) => v || "–"), differs: new Set(values).size > 1 };
}

function compared(brews: BrewResponse[]): Row[] {
  const plans = brews.map((b) => b.plan);
  const herbs = [...new Set(plans.flatMap((p) => p.additions.map((a) => a.common)))];
  const steps = [...new Set(plans.flatMap((p) => stagesOf(p.steps).map((s) => s.key)))];
  const took = (b: BrewResponse, key: string) => {
    const live = b.steps.find((s) => s.key === key);
    return live?.beganAt && live.doneAt
      ? (new Date(live.doneAt).getTime() - new Date(live.beganAt).getTime()) / 1000
      : null;
  };
  return [
    text(
      "drinker",
      brews.map((b) => b.drinkerName),
    ),
    row(
      "cups",
      plans.map((p) => p.cups),
      (n) => String(n),
    ),
    ...herbs.map((h) =>
      row(
        say("notebook.aCup", { h: h.toLowerCase() }),
        plans.map((p) => p.additions.find((a) => a.common === h)?.perCupG ?? null),
        grams,
      ),
    ),
    text(
      "vessel",
      plans.map((p) => p.vessel.name),
    ),
    row(
      say("notebook.waterIn"),
      plans.map((p) => p.water.pourMl),
      millilitres,
    ),
    ...steps.map((k) => {
      const label = plans.map((p) => p.steps.find((s) => s.key === k)?.label).find(Boolean) ?? k;
      return row(
        label,
        brews.map((b) => took(b, k)),
        span,
      );
    }),
    row(
      say("notebook.strengthAsItWent"),
      brews.map((b) => b.strength),
      share,
    ),
    row(
      "aroma",
      brews.map((b) => b.aroma),
      share,
    ),
    row(
      say("notebook.bitternessAndTannin"),
      brews.map((b) => b.bite),
      share,
    ),
    text(
      "felt",
      brews.map((b) => FELT.find((f) => f.value === b.note?.strength)?.label ?? ""),
    ),
    text(
      "colour",
      brews.map((b) => b.note?.colour ?? ""),
    ),
    text(
      say("notebook.whatItWasLike"),
      brews.map((b) => b.note?.taste ?? ""),
    ),
    row(
      "liking",
      brews.map((b) => (b.note && b.note.liking > 0 ? b.note.liking : null)),
      likingWords,
    ),
  ];
}
