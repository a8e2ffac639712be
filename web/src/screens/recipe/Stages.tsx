import type { RecipeDocument, StageDocument } from "../../api/client";
import { NumberField, Secondary, SelectField } from "../../parts/Field";
import { FLAMES, kindOf, STAGES, stageOf, swapped, withoutStage, withStage } from "./doc";

/** The stages of a recipe by hand or by proposal, each with its numbers. */
export function Stages({
  recipe,
  onChange,
  reasons,
  wrong,
  onPropose,
}: {
  recipe: RecipeDocument;
  onChange: (r: RecipeDocument) => void;
  reasons: { stage: number; text: string }[];
  wrong: (field: string) => string | undefined;
  onPropose: () => void;
}) {
  const stages = recipe.stages ?? [];
  const change = (i: number, part: Partial<StageDocument>) =>
    onChange({ ...recipe, stages: stages.map((s, j) => (j === i ? { ...s, ...part } : s)) });
  return (
    <>
      {stages.length === 0 && (
        <p className="mt-1 text-muted">
          No stages yet. They are proposed from the plant parts and the tradition; or set them by hand.
        </p>
      )}
      <ol className="mt-1 border-hairline border-t empty:border-t-0">
        {stages.map((s, i) => (
          <li key={i} className="border-hairline border-b py-1.5">
            <div className="grid grid-cols-[1.2rem_minmax(0,1fr)_6.5rem] items-start gap-x-3 gap-y-1 md:grid-cols-[1.2rem_minmax(0,1.2fr)_minmax(0,2fr)_6.5rem]">
              <span className="figure pt-2.5 text-muted">{i + 1}</span>
              <SelectField
                quiet
                label={`Stage ${i + 1}`}
                value={s.kind ?? "heat"}
                options={STAGES}
                wrong={wrong(`stages[${i}].kind`)}
                onChange={(kind) => change(i, { ...stageOf(kind) })}
              />
              <div className="flex flex-wrap items-baseline gap-x-4 max-md:col-span-3 max-md:row-start-2 max-md:pl-8">
                <Numbers stage={s} at={i} wrong={wrong} onChange={(part) => change(i, part)} />
              </div>
              <span className="flex justify-end">
                <Small
                  label={`Stage ${i + 1} earlier`}
                  off={i === 0}
                  onClick={() => onChange(swapped(recipe, i - 1))}
                >
                  ↑
                </Small>
                <Small
                  label={`Stage ${i + 1} later`}
                  off={i === stages.length - 1}
                  onClick={() => onChange(swapped(recipe, i))}
                >
                  ↓
                </Small>
                <Small label={`Take stage ${i + 1} out`} onClick={() => onChange(withoutStage(recipe, i))}>
                  ×
                </Small>
              </span>
            </div>
            {reasons
              .filter((r) => r.stage === i)
              .map((r) => (
                <p key={r.text} className="pl-8 text-muted text-sm">
                  {r.text}
                </p>
              ))}
          </li>
        ))}
      </ol>
      <div className="mt-2 flex flex-wrap gap-3">
        <Secondary onClick={onPropose}>
          {stages.length === 0 ? "Propose the stages" : "Propose them anew"}
        </Secondary>
        <Secondary onClick={() => onChange(withStage(recipe, stages.length, stageOf(next(stages))))}>
          Another stage
        </Secondary>
      </div>
    </>
  );
}

/** What usually follows. */
function next(stages: StageDocument[]): string {
  const last = stages.at(-1)?.kind;
  if (!last) return "heat";
  return last === "heat" ? "simmer" : last === "pour" ? "steep" : last === "strain" ? "finish" : "strain";
}

function Numbers({
  stage,
  at,
  wrong,
  onChange,
}: {
  stage: StageDocument;
  at: number;
  wrong: (field: string) => string | undefined;
  onChange: (part: Partial<StageDocument>) => void;
}) {
  const kind = kindOf(stage);
  const field = (name: string) => wrong(`stages[${at}].${name}`);
  return (
    <>
      {kind?.minutes !== undefined && (
        <NumberField
          quiet
          className="w-28"
          label={`Minutes of stage ${at + 1}`}
          unit="min"
          value={stage.minutes}
          wrong={field("minutes")}
          onChange={(minutes) => onChange({ minutes })}
        />
      )}
      {kind?.toMl !== undefined && (
        <NumberField
          quiet
          className="w-28"
          label={`Millilitres of stage ${at + 1}`}
          unit="mL"
          value={stage.toMl}
          wrong={field("toMl")}
          onChange={(toMl) => onChange({ toMl })}
        />
      )}
      {kind?.toC !== undefined && (
        <NumberField
          quiet
          className="w-32"
          label={`Degrees of stage ${at + 1}`}
          unit={stage.toC === undefined && stage.kind !== "cool" ? "(boil)" : "°C"}
          value={stage.toC}
          wrong={field("toC")}
          onChange={(toC) => onChange({ toC })}
        />
      )}
      {stage.kind === "macerate" && (
        <SelectField
          quiet
          label={`Where stage ${at + 1} stands`}
          value={stage.place ?? "room"}
          options={[
            { value: "room", label: "in the room" },
            { value: "fridge", label: "in the fridge" },
          ]}
          onChange={(place) =>
            onChange({ place: place === "room" ? undefined : (place as StageDocument["place"]) })
          }
        />
      )}
      {kind?.fire && (
        <SelectField
          quiet
          className="w-36"
          label={`Flame of stage ${at + 1}`}
          value={stage.flame ?? kind.fire}
          options={FLAMES}
          onChange={(flame) => onChange({ flame: flame as StageDocument["flame"] })}
        />
      )}
      {!["pour", "strain", "refill", "combine", "finish"].includes(stage.kind ?? "") && (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-[var(--ink)]"
            checked={stage.lid ?? false}
            onChange={(e) => onChange({ lid: e.target.checked })}
          />
          lid on
        </label>
      )}
      {stage.kind === "strain" && (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-[var(--ink)]"
            checked={stage.pressed ?? false}
            onChange={(e) => onChange({ pressed: e.target.checked })}
          />
          press the marc
        </label>
      )}
    </>
  );
}

function Small({
  label,
  off,
  onClick,
  children,
}: {
  label: string;
  off?: boolean;
  onClick: () => void;
  children: string;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      disabled={off}
      onClick={onClick}
      className="grid min-h-11 w-9 place-items-center text-lg text-muted hover:text-ink disabled:opacity-30"
    >
      {children}
    </button>
  );
}
