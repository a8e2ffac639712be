import { useState } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import type { HerbResponse, RecipeDocument } from "../../api/client";
import { useFoundHerbs, useHerb, useHerbs, useOccasions, useSources } from "../../api/queries";
import { condition } from "../../parts/conditions";
import { Secondary } from "../../parts/Field";
import { Glossed } from "../../parts/Glossed";
import { SearchField } from "../../parts/SearchField";
import { capital, grams, range } from "../../parts/say";
import { Empty, Loading, Missing, Trouble } from "../../parts/states";
import { cutSaid, formSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { listed, say } from "../../words/say";
import { Blend, BlendForm } from "./Blend";
import { Infuses } from "./Infuses";
import { NewHerb } from "./NewHerb";
import { OwnSource } from "./OwnSource";
import { OwnWeights } from "./OwnWeights";
import { UsualDose } from "./UsualDose";

/** The materia to browse and search, and one page per herb. */
export default function Herbs() {
  const { slug = "" } = useParams();
  const herbs = useHerbs();
  const occasions = useOccasions();
  const [params, setParams] = useSearchParams();
  const words = params.get("words") ?? "";
  const hits = useFoundHerbs(words);
  const [adding, setAdding] = useState<"herb" | "blend" | null>(null);
  if (herbs.isPending) return <Loading what={say("herbs.theHerbs")} />;
  if (herbs.error) return <Trouble error={herbs.error} again={() => herbs.refetch()} />;
  const byName = [...herbs.data].sort((a, b) => a.common.localeCompare(b.common));
  // A page has one heading of the first rank: the herb's, or that of the list.
  const List = slug ? "h2" : "h1";
  const found = words.trim() ? (hits.data ?? byName) : byName;
  return (
    <div className="grid gap-x-12 gap-y-6 pt-6 md:grid-cols-[280px_minmax(0,1fr)]">
      <title>{say("herbs.herbsEmberCup")}</title>
      <section aria-labelledby="herbs" className={slug ? "max-md:hidden" : ""}>
        <List id="herbs" className="text-3xl">
          {say("herbs.herbs")}
        </List>
        <SearchField
          className="mt-2"
          quiet
          label={say("herbs.searchByNameOrUse")}
          value={words}
          example={say("herbs.gingerSleepHinojo")}
          onChange={(w) => setParams(w ? { words: w } : {}, { replace: true })}
        />
        <div className="mt-3 flex flex-wrap gap-2">
          <Secondary onClick={() => setAdding("herb")}>{say("herbs.aHerbOfMyOwn")}</Secondary>
          <Secondary onClick={() => setAdding("blend")}>{say("herbs.aBlendOfTheHouse")}</Secondary>
        </div>
        {adding === "herb" && <NewHerb onClose={() => setAdding(null)} />}
        {adding === "blend" && <BlendForm onClose={() => setAdding(null)} />}
        <ul className="mt-3 md:max-h-[calc(100dvh-310px)] md:overflow-y-auto" tabIndex={-1}>
          {found.map((h) => (
            <li key={h.slug}>
              <Link
                to={{ pathname: `/herbs/${h.slug}`, search: params.toString() }}
                aria-current={h.slug === slug ? "page" : undefined}
                className="block border-hairline border-b py-2 pl-2 hover:bg-strip aria-[current=page]:border-l-4 aria-[current=page]:border-l-herb"
              >
                <span className="font-semibold">{h.common}</span>
                {h.stop && <span className="ml-2 text-sm text-stop">{say("herbs.notForTea")}</span>}
                {h.part === "blend" ? (
                  <span className="block text-muted text-sm">{say("herbs.blendOfTheHouse")}</span>
                ) : (
                  <span className="block text-muted text-sm italic">{h.latin}</span>
                )}
              </Link>
            </li>
          ))}
          {found.length === 0 && <li className="py-3 text-muted">{say("herbs.noHerbByThatName")}</li>}
        </ul>
      </section>
      {slug ? (
        <One slug={slug} />
      ) : (
        <div className="max-md:hidden">
          <Empty title={say("herbs.herbsAndKitchenIngredients", { count: herbs.data.length })}>
            {say("herbs.chooseOneToSeeWhat")}
          </Empty>
          {(occasions.data?.length ?? 0) > 0 && (
            <>
              <h2 className="mt-6 text-xl">{say("herbs.traditionallyUsedFor")}</h2>
              <ul className="mt-2 flex max-w-2xl flex-wrap gap-x-6">
                {occasions.data?.map((o) => (
                  <li key={o}>
                    <Link
                      to={{ pathname: "/herbs", search: new URLSearchParams({ words: o }).toString() }}
                      className="grid min-h-11 place-items-center underline underline-offset-4"
                    >
                      {o}
                    </Link>
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
      )}
    </div>
  );
}

function One({ slug }: { slug: string }) {
  const herb = useHerb(slug);
  if (herb.isPending) return <Loading what={say("herbs.theHerb")} />;
  if (herb.error)
    return (
      <Missing error={herb.error} again={() => herb.refetch()} to="/herbs">
        {say("herbs.allHerbsTitle")}
      </Missing>
    );
  const h = herb.data;
  if (h.part === "blend") return <Blend herb={h} />;
  return (
    <article>
      <Link to="/herbs" className="relative max-sm:reach text-muted md:hidden">
        {say("herbs.allHerbs")}
      </Link>
      <h1 className="text-[2rem]">{h.common}</h1>
      <p className="text-muted">
        <Said
          of="herbs.names"
          latin={<i>{h.latin}</i>}
          plantPart={h.part}
          also={h.also.join(", ")}
          spanish={h.names.es?.join(", ")}
        />
      </p>
      {h.stop ? (
        <p className="mt-4 max-w-prose border-stop border-l-[5px] pl-3">
          <strong className="text-stop">{say("herbs.notForTeaTitle")}</strong> {h.stop}
        </p>
      ) : (
        <>
          <p className="mt-3 max-w-prose">{h.use}</p>
          <BrewThis slug={h.slug} />
        </>
      )}
      <div className="mt-5 grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <Doses herb={h} />
        <div>
          <Weights herb={h} />
          {!h.stop && <OwnWeights herb={h} />}
          <OwnSource herb={h} />
        </div>
        <Infuses herb={h} />
        <Cares herb={h} />
        <Knowing herb={h} />
        <HowWellKnown herb={h} />
      </div>
    </article>
  );
}

/** A usual cup of one herb, its method as its part wants it: a recipe to keep and brew. */
export function BrewThis({ slug }: { slug: string }) {
  const herb = useHerbs().data?.find((h) => h.slug === slug);
  if (!herb) return null;
  const doc: RecipeDocument = {
    name: say("herbs.aCupOf", { named: herb.named }),
    tradition: "folk",
    cups: 1,
    cupMl: 240,
    additions: [
      {
        herb: herb.slug,
        form: herb.usual.form as "dried" | "fresh",
        cut: herb.usual.cut as NonNullable<RecipeDocument["additions"]>[number]["cut"],
        amount: herb.usual.amount,
        unit: herb.usual.unit,
        stage: 0,
      },
    ],
  };
  return (
    <p className="mt-3">
      <Link
        className="inline-grid min-h-12 place-items-center rounded-one bg-ink px-5 font-semibold text-ground hover:brightness-125"
        to={`/recipe/new?doc=${encodeURIComponent(JSON.stringify(doc))}`}
      >
        {say("herbs.brewThis")}
      </Link>
    </p>
  );
}

/** The key of what a herb takes from its part. */
const OF_PART = "part";

/** Where a value comes from; what the herb has from its part is no fact of the herb. */
function Source({ of, herb }: { of: string; herb: HerbResponse }) {
  const source = useSources().data?.find((s) => s.key === of);
  return (
    <span className="block text-muted text-sm">
      {of === OF_PART ? say("herbs.estimatedFrom", { others: herb.others }) : (source?.title ?? of)}
    </span>
  );
}

/** Who doses so, in a word. */
const TRADITIONS: Record<string, string> = {
  folk: "folk",
  monograph: "monograph",
  chinese: say("herbs.chineseDecoction"),
  ayurvedic: say("herbs.kitchenDecoction"),
};

function Doses({ herb }: { herb: HerbResponse }) {
  if (herb.doses.length === 0 && !herb.method) return null;
  return (
    <section>
      <h3 className="text-xl">{say("herbs.usualDose")}</h3>
      <UsualDose herb={herb} />
      <ul className="mt-2 flex flex-col gap-2">
        {herb.doses.map((d) => (
          <li key={d.tradition + d.form}>
            <Said
              of="herbs.aCupTimesADay"
              weight={<span className="figure text-xl">{range("mass", d.perCupG.low, d.perCupG.high)}</span>}
              form={formSaid(d.form)}
              times={between(d.timesADay.low, d.timesADay.high)}
              most={grams(d.perDayG.high)}
              tradition={<Glossed text={TRADITIONS[d.tradition] ?? d.tradition} />}
              source={<Source of={d.source} herb={herb} />}
            />
          </li>
        ))}
        {herb.method && (
          <li>
            <Glossed
              text={say("herbs.method", { kind: capital(herb.method.kind), minutes: herb.method.minutes })}
            />
            <Source of={herb.method.source} herb={herb} />
          </li>
        )}
      </ul>
    </section>
  );
}

function between(low: number, high: number): string {
  const figure = (x: number) => (x === Math.round(x) ? String(x) : x.toFixed(2).replace(/0$/, ""));
  return low === high ? figure(low) : `${figure(low)}–${figure(high)}`;
}

function Weights({ herb }: { herb: HerbResponse }) {
  if (herb.bulk.length + herb.pieces.length === 0) return null;
  return (
    <section>
      <h3 className="text-xl">{say("herbs.kitchenWeights")}</h3>
      <table className="mt-2 w-full max-w-md">
        <tbody>
          {herb.bulk.map((b) => (
            <tr key={b.form + b.cut} className="border-hairline border-b align-baseline">
              <td className="py-1">
                <Said
                  of="herbs.spoonWeightOf"
                  form={formSaid(b.form)}
                  cut={cutSaid(b.cut)}
                  others={
                    b.source === OF_PART ? (
                      <span className="block text-muted text-sm">
                        <Said of="herbs.estimatedFromOthers" others={herb.others} />
                      </span>
                    ) : (
                      b.spreadSource === OF_PART && (
                        <span className="block text-muted text-sm">
                          <Said of="herbs.spreadEstimatedFrom" others={herb.others} />
                        </span>
                      )
                    )
                  }
                />
              </td>
              <td className="figure py-1 text-right">{grams(b.gPerTsp.best)}</td>
              <td className="py-1 pl-3 text-right text-muted text-sm">
                {range("mass", b.gPerTsp.low, b.gPerTsp.high)}
              </td>
            </tr>
          ))}
          {herb.pieces.map((p) => (
            <tr key={p.form + p.unit} className="border-hairline border-b">
              <td className="py-1">
                1 {p.unit === "in" ? "inch" : p.unit}, {p.form}
              </td>
              <td className="figure py-1 text-right">{grams(p.grams.best)}</td>
              <td className="py-1 pl-3 text-right text-muted text-sm">
                {range("mass", p.grams.low, p.grams.high)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const WEIGHTS = ["stop", "care", "note"];
const TRIMESTERS = ["first", "second", "third"];

/** What it says to whom, the gravest first, one sentence for all whom it is the same for; and of what nothing is known. */
function Cares({ herb }: { herb: HerbResponse }) {
  if (herb.stop) return null;
  const sentences = new Map<string, HerbResponse["cautions"]>();
  for (const c of herb.cautions) {
    const key = `${c.severity}|${c.text}`;
    sentences.set(key, [...(sentences.get(key) ?? []), c]);
  }
  const all = [...sentences.values()].sort(
    (a, b) => WEIGHTS.indexOf(a[0]?.severity ?? "") - WEIGHTS.indexOf(b[0]?.severity ?? ""),
  );
  return (
    <section>
      <h3 className="text-xl">{say("herbs.whereCareIsDue")}</h3>
      <ul className="mt-2 flex flex-col gap-2">
        {herb.ageFloorYears != null && (
          <li>
            <Said
              of="herbs.notUnderYearsWithoutA"
              ageFloorYears={herb.ageFloorYears}
              source={herb.ageSource === OF_PART && <Source of={OF_PART} herb={herb} />}
            />
          </li>
        )}
        {herb.longestRunDays != null && (
          <li>
            <Said of="herbs.noLongerThanDaysIn" longestRunDays={herb.longestRunDays} />
          </li>
        )}
        {all.map((same) => (
          <li
            key={same[0]?.severity + (same[0]?.text ?? "")}
            className={`border-l-[5px] pl-3 ${same[0]?.severity === "stop" ? "border-stop" : same[0]?.severity === "care" ? "border-amber" : "border-hairline"}`}
          >
            {same[0]?.when && (
              <strong>
                {capital(
                  same
                    .map((c) =>
                      c.trimesters.length > 0
                        ? say("herbs.trimester", {
                            condition: condition(c.when ?? ""),
                            trimesters: listed(c.trimesters.map((t) => TRIMESTERS[t - 1] ?? "")),
                          })
                        : condition(c.when ?? ""),
                    )
                    .join(", "),
                )}
                :{" "}
              </strong>
            )}
            {same[0]?.text}
          </li>
        ))}
      </ul>
      {herb.constituents.map((c) => (
        <p key={c.constituent} className="mt-2">
          <Said
            of="herbs.mgForAGram"
            constituent={capital(c.constituent)}
            amount={between(c.mgPerG.low, c.mgPerG.high)}
            where={c.in}
            source={<Source of={c.source} herb={herb} />}
          />
        </p>
      ))}
      {herb.noneKnown.length > 0 && (
        <details className="mt-3 text-sm">
          <summary className="min-h-9 max-sm:min-h-11 cursor-pointer py-1 text-muted underline underline-offset-4">
            <Said of="herbs.otherConditionsAreNotListed" count={herb.noneKnown.length} />
          </summary>
          <p className="mt-1 text-muted">
            <Said
              of="herbs.noCautionIsListedIn"
              conditions={capital(herb.noneKnown.map(condition).join(", "))}
            />
          </p>
        </details>
      )}
    </section>
  );
}

function Knowing({ herb }: { herb: HerbResponse }) {
  return (
    <section>
      {(herb.identity || herb.lookAlikes.length > 0) && (
        <>
          <h3 className="text-xl">{say("herbs.knowingIt")}</h3>
          {herb.identity && <p className="mt-2">{herb.identity}</p>}
          <ul className="mt-2 flex flex-col gap-1">
            {herb.lookAlikes.map((l) => (
              <li key={l.name}>
                <strong>
                  <Said of="herbs.lookAlikeNot" name={l.name} />
                </strong>{" "}
                {l.tell}
              </li>
            ))}
          </ul>
        </>
      )}
      <StandIns
        title={say("herbs.canBeReplacedBy")}
        each="herbs.gForEachGram"
        herbs={herb.substitutes.map((s) => ({ ...s, common: s.herb.replaceAll("-", " ") }))}
      />
      <StandIns title={say("herbs.canStandInFor")} each="herbs.gForEachGramOfIt" herbs={herb.standsInFor} />
      {herb.keepsMonths != null && (
        <p className="mt-4">
          <Said
            of="herbs.keepsAboutMonthsInA"
            keepsMonths={herb.keepsMonths}
            source={herb.keepsSource && <Source of={herb.keepsSource} herb={herb} />}
          />
        </p>
      )}
      {herb.stains && <p className="mt-1">{say("herbs.stainsHandsAndCounters")}</p>}
      {herb.withAcid && (
        <p className="mt-1">
          <Said of="herbs.turnsFromWhenLemonOr" withAcid={herb.withAcid} />
        </p>
      )}
    </section>
  );
}

/** What its values rest on, the surest first: a default is not a fact, nor is what nobody compared with its source. */
function HowWellKnown({ herb }: { herb: HerbResponse }) {
  if (herb.evidence.length === 0) return null;
  return (
    <section>
      <h3 className="text-xl">{say("herbs.howWellThisIsKnown")}</h3>
      <ul className="mt-2 flex flex-col gap-2">
        {herb.evidence.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

/** Herbs that take each other's place, with the amount and what changes. */
function StandIns({
  title,
  each,
  herbs,
}: {
  title: string;
  each: "herbs.gForEachGram" | "herbs.gForEachGramOfIt";
  herbs: { herb: string; common: string; ratio: number; change: string }[];
}) {
  if (herbs.length === 0) return null;
  return (
    <>
      <h3 className="mt-4 text-xl">{title}</h3>
      <ul className="mt-2 flex flex-col gap-1">
        {herbs.map((s) => (
          <li key={s.herb}>
            <Said
              of={each}
              link={
                <Link to={`/herbs/${s.herb}`} className="relative max-sm:reach underline underline-offset-4">
                  {s.common}
                </Link>
              }
              ratio={s.ratio}
              change={s.change}
            />
          </li>
        ))}
      </ul>
    </>
  );
}
