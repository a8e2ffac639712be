import { useMemo, useState } from "react";
import { Link, useLocation, useNavigate, useParams, useSearchParams } from "react-router";
import { useKeepRecipe, usePropose, useReadRecipe } from "../../api/changes";
import {
  type AdditionDocument,
  type AnswerPart,
  api,
  type HerbLine,
  keptInstead,
  ProblemError,
  type QuestionLine,
  type RecipeDocument,
  type RecipeResponse,
  type WrittenResponse,
} from "../../api/client";
import { useCarriedRecipe, useHerbs, useOccasions, usePlan, useRecipe } from "../../api/queries";
import { Primary, Secondary } from "../../parts/Field";
import { measuredOut } from "../../parts/measured";
import { Empty, Loading, Missing, Trouble } from "../../parts/states";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { nameOf, saidLine, usualLine, withoutLine } from "./doc";
import { type Draft, draftOf, readDoc } from "./draft";
import { Head } from "./Head";
import { TakingRows } from "./HowTaken";
import { Lines } from "./Lines";
import { MethodLine } from "./MethodLine";
import { linesOf, merged } from "./merged";
import { Notes } from "./Notes";
import { OwnCautions } from "./OwnCautions";
import { ShareRecipe } from "./ShareRecipe";
import { Stale, Versions } from "./Versions";
import { Written } from "./Written";

/** A recipe of one's own: made, copied, read from a text, edited; with its versions. */
export default function Recipe() {
  const { id } = useParams();
  const [params] = useSearchParams();
  const from = id ?? params.get("copy") ?? undefined;
  const kept = useRecipe(from ?? "");
  if (from && kept.isPending) return <Loading what={say("recipe.theRecipe")} />;
  if (from && kept.error)
    return (
      <Missing error={kept.error} again={() => kept.refetch()} to="/choose">
        {say("recipe.chooseAPot")}
      </Missing>
    );
  const start = kept.data && from ? kept.data : undefined;
  const blend = params.get("doc");
  const doc = blend === null ? undefined : readDoc(blend);
  if (blend !== null && !doc)
    return (
      <Empty page title={say("recipe.thereIsNoRecipeIn")}>
        <Said
          of="recipe.itWasCutShortOr"
          link={
            <Link to="/recipe/new" className="underline underline-offset-4">
              {say("recipe.writeANewRecipe")}
            </Link>
          }
        />
      </Empty>
    );
  return (
    <Editor key={from ?? "new"} id={id} start={start} doc={doc} about={params.get("about") ?? undefined} />
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
  const herbs = useHerbs();
  const [draft, setDraft] = useState(() => draftOf(start, !id, doc, about));
  const [before, setBefore] = useState<Draft[]>([]);
  const [text, setText] = useState("");
  const [written, setWritten] = useState<WrittenResponse | null>(null);
  const [answers, setAnswers] = useState<AnswerPart[]>([]);
  const [reasons, setReasons] = useState<{ stage: number; text: string }[]>([]);
  const keeping = useKeepRecipe();
  const proposing = usePropose();
  const reading = useReadRecipe();
  const { error } = keeping;
  const theirs = keptInstead<RecipeResponse>(error);
  const failure = theirs ? proposing.error : (error ?? proposing.error);
  const recipe = draft.recipe;
  const plan = useDraftPlan(recipe);
  const remember = () => setBefore((b) => [...b.slice(-40), draft]);
  const set = (next: Partial<Draft>) => {
    remember();
    setDraft({ ...draft, ...next });
  };
  const setRecipe = (part: Partial<RecipeDocument>) => set({ recipe: { ...recipe, ...part } });
  const wrong = (field: string) =>
    failure instanceof ProblemError
      ? failure.violations.find((v) => v.field === `recipe.${field}`)?.wanted
      : undefined;

  const additions = recipe.additions ?? [];
  const suggestion = nameOf(additions, herbs.data ?? []);

  const named = { ...recipe, name: recipe.name || suggestion };

  const keep = (version: number | undefined) => {
    proposing.reset();
    keeping.mutate(
      {
        id,
        draft: {
          version,
          about: draft.about,
          purposes: draft.purposes,
          recipe: withoutEmptyNotes(named),
        },
      },
      { onSuccess: (saved) => navigate(`/sheet/${saved.id}`) },
    );
  };
  const propose = () => {
    keeping.reset();
    proposing.mutate(
      { ...named, stages: undefined },
      {
        onSuccess: (p) => {
          setRecipe({ stages: p.recipe.stages, additions: p.recipe.additions });
          setReasons(p.reasons);
        },
      },
    );
  };
  const begin = (w: WrittenResponse) => {
    setText(w.recipe.written ?? text);
    setWritten(w);
    setAnswers([]);
    set(
      w.whole
        ? { ...w.whole, recipe: w.recipe, from: (w.recipe.additions ?? []).map(() => -1) }
        : { recipe: w.recipe, from: linesOf(w) },
    );
    setReasons([]);
  };
  const { carried, broken } = useCarried();
  const [taken, setTaken] = useState(false);
  if (carried && !taken && !id) {
    setTaken(true);
    begin(carried);
  }
  const answer = (line: number, ask: QuestionLine, value: string) => {
    const all = [
      ...answers.filter((a) => a.line !== line || a.key !== ask.key),
      { line, key: ask.key, value },
    ];
    reading.mutate(
      { text: written?.recipe.written ?? text, language: written?.language, answers: all },
      {
        onSuccess: (now) => {
          if (written) set(merged(written, now, { recipe, from: draft.from }));
          setAnswers(all);
          setWritten(now);
        },
      },
    );
  };
  const add = (herb: HerbLine, typed: string) => {
    const usual = usualLine(herb, recipe.cups ?? 1);
    const put = (line: AdditionDocument) => {
      remember();
      setDraft((d) => ({
        ...d,
        recipe: { ...d.recipe, additions: [...(d.recipe.additions ?? []), line] },
        from: [...d.from, -1],
      }));
    };
    // "1 inch fresh ginger" says more than which herb it is.
    if (!/\s/.test(typed.trim())) return put(usual);
    api
      .readRecipe({ text: typed })
      .then((w) => put(saidLine(w.recipe.additions ?? [], typed, usual)))
      .catch(() => put(usual));
  };

  return (
    <form
      className="pt-5"
      onSubmit={(e) => {
        e.preventDefault();
        keep(draft.version);
      }}
    >
      <title>{say("recipe.emberCup", { name: recipe.name || say("recipe.aNewRecipe") })}</title>
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
        <h1 className="text-3xl">
          {id ? say("recipe.changeTheRecipe") : start ? say("recipe.aCopyOfIt") : say("recipe.aNewRecipe")}
        </h1>
        <div className="flex flex-wrap gap-3">
          <Secondary
            disabled={before.length === 0}
            onClick={() => {
              const last = before.at(-1);
              if (last) setDraft(last);
              setBefore(before.slice(0, -1));
            }}
          >
            {say("recipe.undo")}
          </Secondary>
          <Primary busy={keeping.isPending}>
            {id ? say("recipe.keepTheChange") : say("recipe.keepIt")}
          </Primary>
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
      {broken && <Trouble error={broken} />}
      {failure !== null && <Trouble error={failure} />}
      {!start && !doc && !written && (
        <Written
          text={text}
          busy={reading.isPending}
          error={reading.error}
          onText={setText}
          onRead={() => reading.mutate({ text }, { onSuccess: begin })}
          onFound={begin}
        />
      )}
      <Head draft={draft} set={set} setRecipe={setRecipe} wrong={wrong} suggestion={suggestion} />
      <Lines
        recipe={recipe}
        from={draft.from}
        lines={written?.lines ?? []}
        herbs={herbs.data ?? []}
        planned={measuredOut(plan.data?.additions ?? [])}
        wrong={wrong}
        onChange={(i, part) =>
          setRecipe({ additions: additions.map((a, j) => (j === i ? { ...a, ...part } : a)) })
        }
        onRemove={(i) =>
          set({
            recipe: withoutLine(recipe, i),
            from: draft.from.filter((_, j) => j !== i),
          })
        }
        onAdd={add}
        onAnswer={answer}
      />
      {written && (
        <p className="mt-2">
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => {
              setWritten(null);
              setAnswers([]);
            }}
          >
            {say("recipe.changeTheTextAndRead")}
          </button>
        </p>
      )}
      {!written && start?.recipe.written && (
        <p className="mt-2">
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => reading.mutate({ text: start.recipe.written }, { onSuccess: begin })}
          >
            {say("recipe.readItsTextAgain")}
          </button>
        </p>
      )}
      {reading.error && written && <Trouble error={reading.error} />}
      {plan.error && additions.length > 0 && <Trouble error={plan.error} />}
      <MethodLine
        recipe={recipe}
        plan={plan.error ? undefined : plan.data}
        reasons={reasons}
        wrong={wrong}
        onChange={(next) => {
          set({ recipe: next });
          setReasons([]);
        }}
        onPropose={propose}
      />
      <TakingRows recipe={recipe} wrong={wrong} setRecipe={setRecipe} />
      <OwnCautions recipe={recipe} herbs={herbs.data ?? []} wrong={wrong} setRecipe={setRecipe} />
      <Notes recipe={recipe} setRecipe={setRecipe} />
      <fieldset className="mt-6">
        <legend className="text-muted text-sm">{say("recipe.forWhichOccasions")}</legend>
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
      {id && <ShareRecipe id={id} name={recipe.name ?? ""} />}
      {id && (
        <div className="mt-6 max-w-xl">
          <Versions
            id={id}
            onTake={(v) =>
              set({ about: v.about, purposes: v.purposes, recipe: v.recipe, from: byHand(v.recipe) })
            }
            onRemoved={() => navigate("/choose")}
          />
        </div>
      )}
    </form>
  );
}

/** A line that was left empty is no note. */
function withoutEmptyNotes(recipe: RecipeDocument): RecipeDocument {
  const notes = recipe.notes?.map((n) => n.trim()).filter((n) => n !== "");
  return { ...recipe, notes: notes?.length ? notes : undefined };
}

const byHand = (recipe: RecipeDocument) => (recipe.additions ?? []).map(() => -1);

/** What the recipe would make as it stands, in a standard kitchen of this household. */
function useDraftPlan(recipe: RecipeDocument) {
  const ready = (recipe.additions?.length ?? 0) > 0 && (recipe.additions ?? []).every((a) => a.herb);
  const asked = useMemo(
    () => ({
      recipe: {
        ...recipe,
        name: recipe.name?.trim() || say("recipe.aPot"),
        stages: recipe.stages?.length ? recipe.stages : undefined,
        written: undefined,
      },
      startAt: new Date(0).toISOString(),
    }),
    [recipe],
  );
  return usePlan(asked, ready);
}

/** The recipe that the address carries, read by the server. */
function useCarried(): { carried: WrittenResponse | undefined; broken: Error | null } {
  const { hash } = useLocation();
  const word = hash.startsWith("#ember-cup:") ? hash.slice(1) : "";
  const { data, error } = useCarriedRecipe(word);
  return { carried: data?.recipes[0], broken: error };
}
