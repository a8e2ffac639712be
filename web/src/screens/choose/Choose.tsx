import { useSearchParams } from "react-router";
import type { RecipeSheet } from "../../api/client";
import { useRecipes } from "../../api/queries";
import { PotList } from "../../parts/PotList";
import { Empty, Loading, Trouble } from "../../parts/states";

const TIMES = [
  { value: "", label: "any time", most: Number.POSITIVE_INFINITY },
  { value: "20", label: "20 min", most: 20 },
  { value: "60", label: "an hour", most: 60 },
];

/** Recipes by purpose, by words and by the time there is. */
export default function Choose() {
  const recipes = useRecipes();
  const [params, setParams] = useSearchParams();
  const purpose = params.get("for") ?? "";
  const words = params.get("words") ?? "";
  const time = TIMES.find((t) => t.value === (params.get("within") ?? "")) ?? TIMES[0];
  const set = (key: string, value: string) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(key, value);
        else next.delete(key);
        return next;
      },
      { replace: true },
    );
  if (recipes.isPending) return <Loading what="the recipes" />;
  if (recipes.error) return <Trouble error={recipes.error} again={() => recipes.refetch()} />;
  const purposes = [...new Set(recipes.data.flatMap((r) => r.purposes))].sort();
  const found = recipes.data.filter(
    (r) =>
      (!purpose || r.purposes.includes(purpose)) && r.thumb.minutes <= (time?.most ?? 0) && matches(r, words),
  );
  return (
    <div className="pt-6">
      <title>Choose · Ember Cup</title>
      <h1 className="text-3xl">What is it for?</h1>
      <div className="mt-4 flex flex-wrap items-center gap-x-5 gap-y-2" role="group" aria-label="Purpose">
        <Pick on={purpose === ""} onPick={() => set("for", "")} label="anything" />
        {purposes.map((p) => (
          <Pick key={p} on={purpose === p} onPick={() => set("for", p)} label={p} />
        ))}
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2">
        <span className="text-muted">ready within</span>
        <span className="flex gap-5" role="group" aria-label="Time there is">
          {TIMES.map((t) => (
            <Pick key={t.value} on={t === time} onPick={() => set("within", t.value)} label={t.label} />
          ))}
        </span>
        <label className="ml-auto flex items-baseline gap-2 max-sm:ml-0 max-sm:w-full">
          <span className="text-muted">with the words</span>
          <input
            type="search"
            value={words}
            onChange={(e) => set("words", e.target.value)}
            placeholder="ginger, evening …"
            className="min-h-11 min-w-0 flex-1 border-ink border-b-2 bg-transparent px-1 placeholder:text-muted"
          />
        </label>
      </div>
      <div className="mt-5">
        {found.length > 0 ? (
          <PotList recipes={found} />
        ) : (
          <Empty title="No pot fits">Ask for another purpose, more time, or fewer words.</Empty>
        )}
      </div>
    </div>
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

function matches(r: RecipeSheet, words: string): boolean {
  const text =
    `${r.recipe.name} ${r.about} ${r.purposes.join(" ")} ${r.recipe.additions?.map((a) => a.herb).join(" ")}`.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((w) => text.includes(w));
}
