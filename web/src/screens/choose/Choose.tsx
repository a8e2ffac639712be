import { Link, useNavigate } from "react-router";
import { useBlend } from "../../api/changes";
import type { RecipeResponse } from "../../api/client";
import {
  useFoundHerbs,
  useLacking,
  useMarks,
  useOccasions,
  usePeople,
  useRecipes,
  useShelf,
} from "../../api/queries";
import { personName, personOption } from "../../parts/conditions";
import { Primary } from "../../parts/Field";
import { PotList } from "../../parts/PotList";
import { SearchField } from "../../parts/SearchField";
import { Empty, Loading, Trouble } from "../../parts/states";
import { useParam } from "../../parts/useParam";
import { OneOf, Word } from "../../parts/Word";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { StarterPots } from "../today/Welcome";

const TIMES = [
  { value: "", label: say("choose.anyTime"), most: Number.POSITIVE_INFINITY },
  { value: "20", label: say("choose.20Min"), most: 20 },
  { value: "60", label: say("choose.anHour"), most: 60 },
];

/** Recipes by purpose, drinker, time, words and what is in the house; or a blend made for it. */
export default function Choose() {
  const recipes = useRecipes();
  const people = usePeople();
  const shelf = useShelf();
  const lacking = useLacking();
  const occasions = useOccasions();
  const [params, set] = useParam();
  const purpose = params.get("for") ?? "";
  const words = params.get("words") ?? "";
  const house = params.get("house") === "1";
  const liked = params.get("liked") === "1";
  const drinkerId = params.get("who") ?? people.data?.find((p) => p.brewer)?.id;
  const marks = useMarks(drinkerId);
  const herbs = useFoundHerbs(words);
  const time = TIMES.find((t) => t.value === (params.get("within") ?? "")) ?? TIMES[0];
  if (recipes.isPending) return <Loading what={say("choose.theRecipes")} />;
  if (recipes.error) return <Trouble error={recipes.error} again={() => recipes.refetch()} />;
  if (house && lacking.isPending) return <Loading what={say("choose.whatIsInTheHouse")} />;
  if (house && lacking.error) return <Trouble error={lacking.error} again={() => lacking.refetch()} />;
  const purposes = [
    ...new Set([...(occasions.data ?? []), ...recipes.data.flatMap((r) => [...r.purposes, ...r.words])]),
  ];
  const used = purposes.filter((p) => recipes.data.some((r) => isFor(r, p)) || p === purpose);
  const tins = new Set((shelf.data ?? []).map((t) => t.herb));
  const lacks = (r: RecipeResponse) => lacking.data?.find((l) => l.recipeId === r.id)?.herbs ?? [];
  const slugs = new Set(words.trim() ? (herbs.data ?? []).slice(0, 3).map((h) => h.slug) : []);
  const found = recipes.data.filter(
    (r) =>
      (!purpose || isFor(r, purpose)) &&
      (!liked || r.favourite) &&
      r.thumb.minutes <= (time?.most ?? 0) &&
      (!house || lacks(r).length === 0) &&
      (matches(r, words) || r.recipe.additions?.some((a) => slugs.has(a.herb ?? ""))),
  );
  return (
    <div className="pt-6">
      <title>{say("choose.chooseEmberCup")}</title>
      <div className="flex flex-wrap items-baseline justify-between gap-x-8 gap-y-2">
        <h1 className="text-3xl">{say("choose.whatIsItFor")}</h1>
        <Link to="/recipe/new" className="min-h-11 underline underline-offset-4">
          {say("choose.writeANewRecipe")}
        </Link>
      </div>
      <div
        className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-1"
        role="group"
        aria-label={say("choose.purpose")}
      >
        <Pick on={purpose === ""} onPick={() => set("for", "")} label={say("choose.anything")} />
        {used.map((p) => (
          <Pick key={p} on={purpose === p} onPick={() => set("for", p)} label={p} />
        ))}
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2">
        <span className="text-muted">
          <Said
            of="choose.forReadyWithin"
            drinker={
              <Word label={say("choose.drinker")} shown={personName(drinkerId, people.data)}>
                {() => (
                  <OneOf
                    label={say("choose.drinker")}
                    value={drinkerId ?? ""}
                    options={(people.data ?? []).map(personOption)}
                    onPick={(id) => {
                      set("who", id);
                    }}
                  />
                )}
              </Word>
            }
          />
        </span>
        <span className="flex gap-5" role="group" aria-label={say("choose.timeThereIs")}>
          {TIMES.map((t) => (
            <Pick key={t.value} on={t === time} onPick={() => set("within", t.value)} label={t.label} />
          ))}
        </span>
        {(liked || recipes.data.some((r) => r.favourite)) && (
          <Pick on={liked} onPick={() => set("liked", liked ? "" : "1")} label={say("choose.aFavourite")} />
        )}
        <Pick on={house} onPick={() => set("house", house ? "" : "1")} label={say("choose.allOfItInThe")} />
        <SearchField
          className="ml-auto max-sm:ml-0 max-sm:w-full"
          label={say("choose.withTheWords")}
          value={words}
          example={say("choose.gingerEvening")}
          onChange={(w) => set("words", w)}
        />
      </div>
      {marks.error && <Trouble error={marks.error} />}
      <div className="mt-5">
        {recipes.data?.length === 0 ? (
          <StarterPots />
        ) : found.length > 0 ? (
          <PotList recipes={found} marks={marks.data} who={drinkerId} lacks={lacks} />
        ) : (
          <Empty title={say("choose.noPotFits")}>{say("choose.askForAnotherPurposeMore")}</Empty>
        )}
      </div>
      <BlendForMe
        occasions={occasions.data ?? []}
        purpose={purpose}
        drinkerId={drinkerId}
        house={shelf.data ? [...tins] : undefined}
        onPurpose={(p) => set("for", p)}
      />
    </div>
  );
}

/** A blend from what is in the house, with its reasons; it opens as a recipe to keep. */
function BlendForMe({
  occasions,
  purpose,
  drinkerId,
  house,
  onPurpose,
}: {
  occasions: string[];
  purpose: string;
  drinkerId?: string;
  /** Missing until the shelf is known. */
  house?: string[];
  onPurpose: (p: string) => void;
}) {
  const navigate = useNavigate();
  const blending = useBlend();
  const blend = blending.data;
  const occasion = occasions.includes(purpose) ? purpose : "";
  const make = (of: string) =>
    blending.mutate({ occasion: of, herbs: house, drinkerId, cups: 2, cupMl: 240 });
  return (
    <section aria-labelledby="blend" className="mt-8 border-hairline border-t pt-5">
      <h2 id="blend" className="text-2xl">
        {say("choose.orABlendFromWhat")}
      </h2>
      <p className="mt-1 flex flex-wrap items-center gap-x-3 text-muted">
        <Said
          of="choose.tinsOnTheShelfFor"
          count={house?.length ?? "…"}
          occasion={
            <Word label={say("choose.occasion")} shown={occasion || say("choose.chooseAnOccasion")}>
              {() => (
                <OneOf
                  label={say("choose.occasion")}
                  value={occasion}
                  options={occasions.map((o) => ({ value: o, label: o }))}
                  onPick={(o) => {
                    onPurpose(o);
                    void make(o);
                  }}
                />
              )}
            </Word>
          }
          make={
            occasion &&
            house && (
              <button
                type="button"
                className="min-h-11 underline underline-offset-4"
                onClick={() => void make(occasion)}
              >
                {say("choose.blendItForMe")}
              </button>
            )
          }
        />
      </p>
      {blending.error && <Trouble error={blending.error} />}
      {blend && (
        <div className="mt-3 max-w-3xl">
          <p className="font-semibold text-lg">{blend.recipe.name}</p>
          <ul className="mt-1 flex flex-col gap-1">
            {blend.herbs.map((h) => (
              <li key={h} className="border-herb border-l-4 pl-3">
                {h}
              </li>
            ))}
            {blend.leftOut.map((h) => (
              <li key={h} className="border-hairline border-l-4 pl-3 text-muted">
                <Said of="choose.leftOut" h={h} />
              </li>
            ))}
          </ul>
          <p className="mt-2 text-muted">{blend.reasons.map((r) => r.text).join(" ")}</p>
          <div className="mt-3">
            <Primary
              onClick={() =>
                navigate(
                  `/recipe/new?doc=${encodeURIComponent(JSON.stringify(blend.recipe))}&about=${encodeURIComponent(
                    say("choose.blendedFor", { purpose }),
                  )}`,
                )
              }
            >
              {say("choose.openItAsARecipe")}
            </Primary>
          </div>
        </div>
      )}
    </section>
  );
}

function Pick({ on, onPick, label }: { on: boolean; onPick: () => void; label: string }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={onPick}
      className="min-h-11 border-transparent border-b-2 py-1 hover:border-hairline aria-pressed:border-ember aria-pressed:font-semibold"
    >
      {label}
    </button>
  );
}

/** Whether it is for something, in the recipe’s words or in the household’s own. */
const isFor = (r: RecipeResponse, purpose: string): boolean =>
  r.purposes.includes(purpose) || r.words.includes(purpose);

function matches(r: RecipeResponse, words: string): boolean {
  const text =
    `${r.recipe.name} ${r.about} ${r.purposes.join(" ")} ${r.words.join(" ")} ${r.recipe.additions?.map((a) => a.herb).join(" ")}`.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((w) => text.includes(w));
}
