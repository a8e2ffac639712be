import { useMemo, useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import {
  type AdditionDocument,
  api,
  ProblemError,
  type RecipeDocument,
  type RecipeResponse,
  type WrittenResponse,
} from "../../api/client";
import { queryClient, useOccasions, usePlan, useRecipe, useVersions } from "../../api/queries";
import { FireLine } from "../../drawings/FireLine";
import { NumberField, Primary, Secondary, SelectField, TextField } from "../../parts/Field";
import { HerbPicker } from "../../parts/HerbPicker";
import { day, grams, millilitres, span } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { Loading, Trouble } from "../../parts/states";
import { CUTS, EMPTY, FORMS, MENSTRUA, placeWords, TRADITIONS, UNITS } from "./doc";
import { Stages } from "./Stages";
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

interface Draft {
  version?: number;
  about: string;
  purposes: string[];
  recipe: RecipeDocument;
}

function draftOf(
  start: RecipeResponse | undefined,
  copy: boolean,
  doc?: RecipeDocument,
  about?: string,
): Draft {
  if (!start) return { about: about ?? "", purposes: [], recipe: doc ?? EMPTY };
  return {
    version: copy ? undefined : start.version,
    about: start.about,
    purposes: start.purposes,
    recipe: copy ? { ...start.recipe, name: `${start.recipe.name}, my way` } : start.recipe,
  };
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
  const [failure, setFailure] = useState<unknown>(null);
  const [theirs, setTheirs] = useState<RecipeResponse | null>(null);
  const [busy, setBusy] = useState(false);
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

  const keep = async (version: number | undefined) => {
    setBusy(true);
    setFailure(null);
    try {
      const saved = await api.keepRecipe(id, { ...draft, version });
      void queryClient.invalidateQueries({ queryKey: ["recipes"] });
      void queryClient.invalidateQueries({ queryKey: ["versions"] });
      void queryClient.invalidateQueries({ queryKey: ["marks"] });
      navigate(`/sheet/${saved.id}`);
    } catch (e) {
      if (e instanceof ProblemError && e.status === 409) setTheirs(e.kept as RecipeResponse);
      else setFailure(e);
      setBusy(false);
    }
  };
  const propose = async () => {
    setFailure(null);
    try {
      const p = await api.propose({ ...recipe, stages: undefined });
      setRecipe({ stages: p.recipe.stages, additions: p.recipe.additions });
      setReasons(p.reasons);
    } catch (e) {
      setFailure(e);
    }
  };

  return (
    <form
      className="pt-5"
      onSubmit={(e) => {
        e.preventDefault();
        void keep(draft.version);
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
          <Primary busy={busy}>{id ? "Keep the change" : "Keep it"}</Primary>
        </div>
      </div>
      {theirs && (
        <Stale
          theirs={theirs}
          onMine={() => {
            setTheirs(null);
            void keep(theirs.version);
          }}
          onTheirs={() => {
            set(draftOf(theirs, false));
            setTheirs(null);
          }}
        />
      )}
      {failure !== null && <Trouble error={failure} />}
      <div className="mt-4 grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_380px]">
        <div className="min-w-0">
          <Head draft={draft} set={set} setRecipe={setRecipe} wrong={wrong} />
          <fieldset className="mt-6">
            <legend className="font-display font-semibold text-xl [font-stretch:80%]">Herbs</legend>
            <Herbs recipe={recipe} setRecipe={setRecipe} wrong={wrong} />
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
              onPropose={() => void propose()}
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

type Wrong = (field: string) => string | undefined;

function Head({
  draft,
  set,
  setRecipe,
  wrong,
}: {
  draft: Draft;
  set: (d: Partial<Draft>) => void;
  setRecipe: (r: Partial<RecipeDocument>) => void;
  wrong: Wrong;
}) {
  const r = draft.recipe;
  return (
    <div className="grid grid-cols-2 gap-x-6 gap-y-3 sm:grid-cols-4">
      <TextField
        className="col-span-2"
        label="Name"
        value={r.name ?? ""}
        wrong={wrong("name")}
        onChange={(name) => setRecipe({ name })}
      />
      <NumberField
        label="Cups"
        value={r.cups}
        wrong={wrong("cups")}
        onChange={(cups) => setRecipe({ cups })}
      />
      <NumberField
        label="Size of a cup"
        unit="mL"
        value={r.cupMl}
        wrong={wrong("cupMl")}
        onChange={(cupMl) => setRecipe({ cupMl })}
      />
      <SelectField
        className="col-span-2"
        label="Tradition: how the dose is said"
        value={r.tradition ?? "folk"}
        options={TRADITIONS}
        onChange={(t) => setRecipe({ tradition: t as RecipeDocument["tradition"] })}
      />
      <SelectField
        label="Drawn with"
        value={r.menstruum ?? "water"}
        options={MENSTRUA}
        onChange={(m) =>
          setRecipe({
            menstruum: m === "water" ? undefined : (m as RecipeDocument["menstruum"]),
            alcoholPercent: m === "spirit" ? 40 : undefined,
          })
        }
      />
      {r.menstruum === "spirit" ? (
        <NumberField
          label="Its strength"
          unit="%"
          value={r.alcoholPercent}
          wrong={wrong("alcoholPercent")}
          onChange={(alcoholPercent) => setRecipe({ alcoholPercent })}
        />
      ) : (
        <NumberField
          label="Water to start with"
          unit="mL"
          value={r.pourMl}
          wrong={wrong("pourMl")}
          onChange={(pourMl) => setRecipe({ pourMl })}
        />
      )}
      <TextField
        className="col-span-2 sm:col-span-3"
        label="About it"
        most={600}
        value={draft.about}
        placeholder="Traditionally used …"
        onChange={(about) => set({ about })}
      />
      <NumberField
        label="Diluted with parts of water"
        value={r.dilutionParts}
        wrong={wrong("dilutionParts")}
        onChange={(dilutionParts) => setRecipe({ dilutionParts })}
      />
      <Taken posology={r.posology} setRecipe={setRecipe} wrong={wrong} />
    </div>
  );
}

const WHEN = [
  { value: "any-time", label: "at any time" },
  { value: "with-food", label: "with food" },
  { value: "empty-stomach", label: "on an empty stomach" },
  { value: "before-bed", label: "before bed" },
];

/** Posology: how much of it, when, and for how long. Without cups a day the recipe does not say. */
function Taken({
  posology,
  setRecipe,
  wrong,
}: {
  posology: RecipeDocument["posology"];
  setRecipe: (r: Partial<RecipeDocument>) => void;
  wrong: Wrong;
}) {
  const set = (part: Partial<NonNullable<RecipeDocument["posology"]>>) => {
    const next = { ...posology, ...part };
    setRecipe({ posology: next.cupsADay === undefined ? undefined : next });
  };
  return (
    <>
      <NumberField
        label="Taken: cups a day"
        value={posology?.cupsADay}
        wrong={wrong("posology.cupsADay")}
        onChange={(cupsADay) => set({ cupsADay })}
      />
      {posology && (
        <>
          <SelectField
            label="When"
            value={posology.when ?? "any-time"}
            options={WHEN}
            onChange={(when) => set({ when: when as NonNullable<RecipeDocument["posology"]>["when"] })}
          />
          <NumberField
            label="Days in a row"
            value={posology.daysOn}
            wrong={wrong("posology.daysOn")}
            onChange={(daysOn) => set({ daysOn })}
          />
          <NumberField
            label="Then days off"
            value={posology.daysOff}
            wrong={wrong("posology.daysOff")}
            onChange={(daysOff) => set({ daysOff })}
          />
        </>
      )}
    </>
  );
}

function Herbs({
  recipe,
  setRecipe,
  wrong,
}: {
  recipe: RecipeDocument;
  setRecipe: (r: Partial<RecipeDocument>) => void;
  wrong: Wrong;
}) {
  const additions = recipe.additions ?? [];
  const stages = recipe.stages ?? [];
  const change = (i: number, part: Partial<AdditionDocument>) =>
    setRecipe({ additions: additions.map((a, j) => (j === i ? { ...a, ...part } : a)) });
  return (
    <>
      <ul className="mt-1 border-hairline border-t">
        {additions.map((a, i) => (
          <li
            key={i}
            className="grid grid-cols-[4.5rem_5.5rem_minmax(0,1fr)_2.75rem] items-start gap-x-3 gap-y-1 border-hairline border-b py-1.5 md:grid-cols-[4.5rem_5.5rem_minmax(0,1.4fr)_6rem_6.5rem_minmax(0,1fr)_2.75rem]"
          >
            <NumberField
              quiet
              label={`Amount of herb ${i + 1}`}
              value={a.amount}
              wrong={wrong(`additions[${i}].amount`)}
              onChange={(amount) => change(i, { amount })}
            />
            <SelectField
              quiet
              label={`Unit of herb ${i + 1}`}
              value={a.unit ?? "g"}
              options={UNITS}
              wrong={wrong(`additions[${i}].unit`)}
              onChange={(unit) => change(i, { unit })}
            />
            <HerbPicker
              label={`Herb ${i + 1}`}
              value={a.herb ?? ""}
              wrong={wrong(`additions[${i}].herb`)}
              onPick={(herb) => change(i, { herb })}
            />
            <button
              type="button"
              aria-label={`Take herb ${i + 1} out`}
              className="min-h-11 text-muted text-xl hover:text-ink md:order-last"
              onClick={() => setRecipe({ additions: additions.filter((_, j) => j !== i) })}
            >
              ×
            </button>
            <SelectField
              quiet
              className="max-md:col-start-1"
              label={`Form of herb ${i + 1}`}
              value={a.form ?? "dried"}
              options={FORMS}
              onChange={(form) => change(i, { form: form as AdditionDocument["form"] })}
            />
            <SelectField
              quiet
              label={`Cut of herb ${i + 1}`}
              value={a.cut ?? "chopped"}
              options={CUTS}
              onChange={(cut) => change(i, { cut: cut as AdditionDocument["cut"] })}
            />
            {stages.length > 0 && (
              <SelectField
                quiet
                label={`Where herb ${i + 1} goes in`}
                value={String(a.stage ?? 0)}
                options={placeWords(stages)}
                wrong={wrong(`additions[${i}].stage`)}
                onChange={(stage) => change(i, { stage: Number(stage) })}
              />
            )}
            <TextField
              quiet
              className="col-span-3 md:col-start-3 md:col-end-7"
              label={`Preparation of herb ${i + 1}`}
              placeholder="prepared as the book has it"
              most={80}
              value={a.prep ?? ""}
              wrong={wrong(`additions[${i}].prep`)}
              onChange={(prep) => change(i, { prep: prep || undefined })}
            />
          </li>
        ))}
      </ul>
      <div className="mt-2">
        <Secondary
          onClick={() =>
            setRecipe({
              additions: [
                ...additions,
                { herb: "", form: "dried", cut: "chopped", amount: 1, unit: "tsp", stage: 0 },
              ],
            })
          }
        >
          Another herb
        </Secondary>
      </div>
    </>
  );
}

/** What the recipe would make as it stands, in a standard kitchen of this household. */
function Preview({ recipe }: { recipe: RecipeDocument }) {
  const box = useWidth(380);
  const ready =
    recipe.name?.trim() && (recipe.additions ?? []).every((a) => a.herb) && recipe.additions?.length;
  const asked = useMemo(
    () => ({
      recipe: { ...recipe, stages: recipe.stages?.length ? recipe.stages : undefined },
      startAt: new Date(0).toISOString(),
    }),
    [recipe],
  );
  const plan = usePlan(asked, Boolean(ready));
  return (
    <section aria-labelledby="preview" ref={box.ref}>
      <h2 id="preview" className="text-xl">
        What it makes
      </h2>
      {!ready && (
        <p className="mt-1 text-muted">Give it a name and choose its herbs; the pot is reckoned here.</p>
      )}
      {ready && plan.error && <Trouble error={plan.error} />}
      {ready && plan.data && !plan.error && (
        <>
          <p className="mt-1">
            {millilitres(plan.data.water.startMl)} in, {millilitres(plan.data.water.yieldMl)} strained, in{" "}
            {span(plan.data.totalS)}.{" "}
            {plan.data.additions.map((a) => `${grams(a.grams)} g ${a.common.toLowerCase()}`).join(", ")}.
          </p>
          <div className="mt-2">
            <FireLine
              steps={plan.data.steps}
              curve={plan.data.curve}
              additions={plan.data.additions}
              start={new Date(0)}
              totalS={plan.data.totalS}
              stageStartS={plan.data.stageStartS}
              startMl={plan.data.water.startMl}
              yieldMl={plan.data.water.yieldMl}
              strength={plan.data.strength}
              width={box.width}
              height={110}
            />
          </div>
          <ul className="mt-2 flex flex-col gap-1.5 text-[15px]">
            {plan.data.cautions
              .filter((c) => c.severity !== "note" || c.code === "recipe-contradicts-itself")
              .map((c) => (
                <li
                  key={c.code + c.text}
                  className={`border-l-4 pl-2 ${c.severity === "stop" ? "border-stop" : "border-amber"}`}
                >
                  {c.text}
                </li>
              ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** Somebody changed it meanwhile: both stay until the cook decides. */
function Stale({
  theirs,
  onMine,
  onTheirs,
}: {
  theirs: RecipeResponse;
  onMine: () => void;
  onTheirs: () => void;
}) {
  return (
    <div role="alert" className="mt-4 border-amber border-l-4 pl-4">
      <p className="max-w-prose">
        This recipe was changed elsewhere ({day(theirs.updatedAt)}): it is now “{theirs.recipe.name}” with{" "}
        {theirs.recipe.additions?.length} herbs and {theirs.recipe.stages?.length} stages. Nothing of yours is
        lost.
      </p>
      <div className="mt-3 flex flex-wrap gap-3">
        <Secondary onClick={onMine}>Keep mine; theirs stays as a version</Secondary>
        <Secondary onClick={onTheirs}>Show theirs instead</Secondary>
      </div>
    </div>
  );
}

function Versions({
  id,
  onTake,
  onRemoved,
}: {
  id: string;
  onTake: (v: { about: string; purposes: string[]; recipe: RecipeDocument }) => void;
  onRemoved: () => void;
}) {
  const versions = useVersions(id);
  const [sure, setSure] = useState(false);
  return (
    <section aria-labelledby="versions">
      <h2 id="versions" className="text-xl">
        Before
      </h2>
      {versions.data?.length === 0 && <p className="mt-1 text-muted">It has not been changed yet.</p>}
      <ul className="mt-1 border-hairline border-t">
        {versions.data?.map((v) => (
          <li
            key={v.version}
            className="flex items-baseline justify-between gap-3 border-hairline border-b py-2"
          >
            <span>
              until {day(v.until)}: {v.recipe.name}, {v.recipe.additions?.length} herbs
            </span>
            <button type="button" className="underline underline-offset-4" onClick={() => onTake(v)}>
              take it up again
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-4 flex flex-wrap gap-x-5">
        <Link className="underline underline-offset-4" to={`/recipe/new?copy=${id}`}>
          Copy it
        </Link>
        {sure ? (
          <button
            type="button"
            className="text-stop underline underline-offset-4"
            onClick={async () => {
              await api.removeRecipe(id);
              await queryClient.invalidateQueries({ queryKey: ["recipes"] });
              onRemoved();
            }}
          >
            Yes, take it off the list; its brews stay
          </button>
        ) : (
          <button type="button" className="underline underline-offset-4" onClick={() => setSure(true)}>
            Take it off the list
          </button>
        )}
      </p>
    </section>
  );
}
