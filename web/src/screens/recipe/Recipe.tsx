import { useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import { useKeepRecipe, usePropose } from "../../api/changes";
import {
  keptInstead,
  ProblemError,
  type RecipeDocument,
  type RecipeResponse,
  type WrittenResponse,
} from "../../api/client";
import { useOccasions, useRecipe } from "../../api/queries";
import { Primary, Secondary } from "../../parts/Field";
import { Loading, Trouble } from "../../parts/states";
import { type Draft, draftOf } from "./draft";
import { Head } from "./Head";
import { HerbLines } from "./HerbLines";
import { Preview } from "./Preview";
import { Stages } from "./Stages";
import { Stale, Versions } from "./Versions";
import { Written } from "./Written";

/** A recipe of one's own: made, copied, read from a text, edited; with its versions. */
export default function Recipe() {
  const { id } = useParams();
  const [params] = useSearchParams();
  const from = id ?? params.get("copy") ?? undefined;
  const kept = useRecipe(from ?? "");
  if (from && kept.isPending) return <Loading what="the recipe" />;
  if (from && kept.error) return <Trouble error={kept.error} again={() => kept.refetch()} />;
  const start = kept.data && from ? kept.data : undefined;
  const blend = params.get("doc");
  return (
    <Editor
      key={from ?? "new"}
      id={id}
      start={start}
      doc={blend ? (JSON.parse(blend) as RecipeDocument) : undefined}
      about={params.get("about") ?? undefined}
    />
  );
}

function Editor({
  id,
  start,
  doc,
  about,
}: {
  id?: string;
  start?: RecipeResponse;
  doc?: RecipeDocument;
  about?: string;
}) {
  const navigate = useNavigate();
  const occasions = useOccasions();
  const [draft, setDraft] = useState(() => draftOf(start, !id, doc, about));
  const [before, setBefore] = useState<Draft[]>([]);
  const [written, setWritten] = useState<WrittenResponse | null>(null);
  const [reasons, setReasons] = useState<{ stage: number; text: string }[]>([]);
  const keeping = useKeepRecipe();
  const proposing = usePropose();
  const { error } = keeping;
  const theirs = keptInstead<RecipeResponse>(error);
  const failure = theirs ? proposing.error : (error ?? proposing.error);
  const recipe = draft.recipe;
  const set = (next: Partial<Draft>) => {
    setBefore((b) => [...b.slice(-40), draft]);
    setDraft({ ...draft, ...next });
  };
  const setRecipe = (part: Partial<RecipeDocument>) => set({ recipe: { ...recipe, ...part } });
  const wrong = (field: string) =>
    failure instanceof ProblemError
      ? failure.violations.find((v) => v.field === `recipe.${field}`)?.wanted
      : undefined;

  const keep = (version: number | undefined) => {
    proposing.reset();
    keeping.mutate(
      { id, draft: { ...draft, version } },
      { onSuccess: (saved) => navigate(`/sheet/${saved.id}`) },
    );
  };
  const propose = () => {
    keeping.reset();
    proposing.mutate(
      { ...recipe, stages: undefined },
      {
        onSuccess: (p) => {
          setRecipe({ stages: p.recipe.stages, additions: p.recipe.additions });
          setReasons(p.reasons);
        },
      },
    );
  };

  return (
    <form
      className="pt-5"
      onSubmit={(e) => {
        e.preventDefault();
        keep(draft.version);
      }}
    >
      <title>{`${recipe.name || "A new recipe"} · Ember Cup`}</title>
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
        <h1 className="text-3xl">{id ? "Change the recipe" : start ? "A copy of it" : "A new recipe"}</h1>
        <div className="flex flex-wrap gap-3">
          <Secondary
            disabled={before.length === 0}
            onClick={() => {
              const last = before.at(-1);
              if (last) setDraft(last);
              setBefore(before.slice(0, -1));
            }}
          >
            Undo
          </Secondary>
          <Primary busy={keeping.isPending}>{id ? "Keep the change" : "Keep it"}</Primary>
        </div>
      </div>
      {theirs && (
        <Stale
          theirs={theirs}
          onMine={() => keep(theirs.version)}
          onTheirs={() => {
            set(draftOf(theirs, false));
            keeping.reset();
          }}
        />
      )}
      {failure !== null && <Trouble error={failure} />}
      <div className="mt-4 grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_380px]">
        <div className="min-w-0">
          <Head draft={draft} set={set} setRecipe={setRecipe} wrong={wrong} />
          <fieldset className="mt-6">
            <legend className="font-display font-semibold text-xl [font-stretch:80%]">Herbs</legend>
            <HerbLines recipe={recipe} setRecipe={setRecipe} wrong={wrong} />
          </fieldset>
          <fieldset className="mt-6">
            <legend className="font-display font-semibold text-xl [font-stretch:80%]">What is done</legend>
            <Stages
              recipe={recipe}
              onChange={(next) => {
                set({ recipe: next });
                setReasons([]);
              }}
              reasons={reasons}
              wrong={wrong}
              onPropose={propose}
            />
          </fieldset>
          <fieldset className="mt-6">
            <legend className="text-muted text-sm">For which occasions</legend>
            <div className="flex flex-wrap gap-x-5">
              {occasions.data?.map((o) => (
                <label key={o} className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-4 accent-[var(--herb)]"
                    checked={draft.purposes.includes(o)}
                    onChange={(e) =>
                      set({
                        purposes: e.target.checked
                          ? [...draft.purposes, o]
                          : draft.purposes.filter((p) => p !== o),
                      })
                    }
                  />
                  {o}
                </label>
              ))}
            </div>
          </fieldset>
        </div>
        <aside className="flex min-w-0 flex-col gap-8">
          {!id && (
            <Written
              written={written}
              onRead={(sheet) => {
                setWritten(sheet);
                set({ recipe: { ...sheet.recipe, additions: sheet.recipe.additions } });
                setReasons([]);
              }}
            />
          )}
          <Preview recipe={recipe} />
          {id && (
            <Versions
              id={id}
              onTake={(v) => set({ about: v.about, purposes: v.purposes, recipe: v.recipe })}
              onRemoved={() => navigate("/choose")}
            />
          )}
        </aside>
      </div>
    </form>
  );
}
