import type { RecipeDocument } from "../../api/client";
import * as length from "../../api/length.gen";
import * as limit from "../../api/limit.gen";
import { NumberField, QuantityField, SelectField, TextField } from "../../parts/Field";
import { centimetres, millilitres } from "../../parts/say";
import { CupSize, OneOf, Stepper, Word } from "../../parts/Word";
import { MENSTRUA, TRADITIONS } from "./doc";
import type { Draft, Wrong } from "./draft";

interface HeadProps {
  draft: Draft;
  set: (d: Partial<Draft>) => void;
  setRecipe: (r: Partial<RecipeDocument>) => void;
  wrong: Wrong;
  /** What it is called while nobody names it. */
  suggestion: string;
}

/** What the recipe makes, of what, and how it is taken: a sentence whose parts open in place. */
export function Head({ draft, set, setRecipe, wrong, suggestion }: HeadProps) {
  const r = draft.recipe;
  const complaints = ["cups", "cupMl", "pourMl", "alcoholPercent", "dilutionParts", "tradition", "keepsDays"]
    .map(wrong)
    .filter(Boolean);
  return (
    <div className="mt-3">
      <TextField
        className="max-w-2xl text-2xl"
        label="Name"
        value={r.name ?? ""}
        placeholder={suggestion}
        wrong={wrong("name")}
        onChange={(name) => setRecipe({ name })}
      />
      <p className="mt-2 text-[1.12rem] text-muted leading-[2.1rem]">
        Makes{" "}
        <Word label="Cups" shown={`${r.cups ?? "?"} ${r.cups === 1 ? "cup" : "cups"}`}>
          {() => (
            <Stepper
              label="cups"
              value={r.cups ?? 1}
              {...limit.CUPS}
              unit="cups"
              onChange={(cups) => setRecipe({ cups })}
            />
          )}
        </Word>{" "}
        of{" "}
        <Word label="Size of a cup" shown={millilitres(r.cupMl ?? 0)}>
          {() => <CupSize value={r.cupMl ?? 240} onChange={(cupMl) => setRecipe({ cupMl })} />}
        </Word>
        , from <Liquid r={r} setRecipe={setRecipe} />; taken{" "}
        <Taken posology={r.posology} setRecipe={setRecipe} />; dosed by{" "}
        <Word
          label="How the dose is said"
          shown={
            (TRADITIONS.find((t) => t.value === (r.tradition ?? "folk"))?.label ?? "").split(":")[0] ?? ""
          }
        >
          {() => (
            <OneOf
              label="How the dose is said"
              value={r.tradition ?? "folk"}
              options={TRADITIONS as { value: NonNullable<RecipeDocument["tradition"]>; label: string }[]}
              onPick={(tradition) => setRecipe({ tradition })}
            />
          )}
        </Word>
        {r.keepsDays !== undefined && (
          <>
            ; keeps{" "}
            <Word
              label="How long it keeps"
              shown={`${r.keepsDays} ${r.keepsDays === 1 ? "day" : "days"}${r.keepsWhere === "fridge" ? " in the fridge" : ""}`}
            >
              {() => (
                <NumberField
                  label="Days it keeps"
                  value={r.keepsDays}
                  onChange={(keepsDays) => setRecipe({ keepsDays })}
                />
              )}
            </Word>
          </>
        )}
        .
      </p>
      {complaints.map((c) => (
        <p key={c} className="text-sm text-stop">
          {c}
        </p>
      ))}
      <TextField
        className="mt-1 max-w-2xl"
        label="About it"
        most={length.ABOUT}
        value={draft.about}
        placeholder="Traditionally used …"
        onChange={(about) => set({ about })}
      />
    </div>
  );
}

/** Water or what else draws it, and how much at the start. */
function Liquid({ r, setRecipe }: { r: RecipeDocument; setRecipe: HeadProps["setRecipe"] }) {
  const kind = r.menstruum ?? "water";
  const filled =
    r.headspaceCm !== undefined
      ? ` to ${centimetres(r.headspaceCm)} below the rim`
      : r.coverCm !== undefined
        ? ` ${centimetres(r.coverCm)} over the herbs`
        : "";
  const ball = r.with?.includes("tea-ball") ? ", in a tea ball" : "";
  const shown = `${r.pourMl === undefined ? (filled ? "" : "as much as it needs of ") : `${millilitres(r.pourMl)} of `}${kind}${filled}${ball}`;
  return (
    <Word label="Water to start with" shown={shown}>
      {() => (
        <div className="flex w-64 flex-col gap-2">
          <QuantityField
            of="volume"
            label="How much; empty for as much as it needs"
            value={r.pourMl}
            onChange={(pourMl) => setRecipe({ pourMl, headspaceCm: undefined, coverCm: undefined })}
          />
          <QuantityField
            of="length"
            label="Or filled up to below the rim"
            value={r.headspaceCm}
            onChange={(headspaceCm) => setRecipe({ headspaceCm, pourMl: undefined, coverCm: undefined })}
          />
          <QuantityField
            of="length"
            label="Or standing over the herbs"
            value={r.coverCm}
            onChange={(coverCm) => setRecipe({ coverCm, pourMl: undefined, headspaceCm: undefined })}
          />
          <SelectField
            label="Of what"
            value={kind}
            options={MENSTRUA}
            onChange={(m) =>
              setRecipe({
                menstruum: m === "water" ? undefined : (m as RecipeDocument["menstruum"]),
                alcoholPercent: m === "spirit" ? 40 : undefined,
              })
            }
          />
          {r.menstruum === "spirit" && (
            <NumberField
              label="Strength of the spirit, %"
              value={r.alcoholPercent}
              onChange={(alcoholPercent) => setRecipe({ alcoholPercent })}
            />
          )}
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-4 accent-[var(--ink)]"
              checked={ball !== ""}
              onChange={(e) => {
                const others = (r.with ?? []).filter((w) => w !== "tea-ball");
                const all: RecipeDocument["with"] = e.target.checked ? [...others, "tea-ball"] : others;
                setRecipe({ with: all.length > 0 ? all : undefined });
              }}
            />
            the herbs are in a tea ball
          </label>
          <NumberField
            label="Parts of water to one of it, in the cup"
            value={r.dilutionParts}
            onChange={(dilutionParts) => setRecipe({ dilutionParts })}
          />
        </div>
      )}
    </Word>
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
  posology: p,
  setRecipe,
}: {
  posology: RecipeDocument["posology"];
  setRecipe: HeadProps["setRecipe"];
}) {
  const set = (part: Partial<NonNullable<RecipeDocument["posology"]>>) => {
    const next = { ...p, ...part };
    setRecipe({ posology: next.cupsADay === undefined ? undefined : next });
  };
  return (
    <Word label="How it is taken" shown={takenWords(p)}>
      {() => (
        <div className="grid w-72 grid-cols-2 gap-2">
          <NumberField label="Cups a day" value={p?.cupsADay} onChange={(cupsADay) => set({ cupsADay })} />
          <NumberField
            label="or up to"
            value={p?.cupsADayTo}
            onChange={(cupsADayTo) => set({ cupsADayTo })}
          />
          <SelectField
            className="col-span-2"
            label="When"
            value={p?.when ?? "any-time"}
            options={WHEN}
            onChange={(when) => set({ when: when as NonNullable<RecipeDocument["posology"]>["when"] })}
          />
          <NumberField label="Days in a row" value={p?.daysOn} onChange={(daysOn) => set({ daysOn })} />
          <NumberField label="Then days off" value={p?.daysOff} onChange={(daysOff) => set({ daysOff })} />
          <NumberField label="Days at most" value={p?.mostDays} onChange={(mostDays) => set({ mostDays })} />
        </div>
      )}
    </Word>
  );
}

function takenWords(p: RecipeDocument["posology"]): string {
  if (!p) return "as you like";
  const cups = p.cupsADayTo
    ? `${p.cupsADay}–${p.cupsADayTo}`
    : `${Math.round((p.cupsADay ?? 1) * 100) / 100}`;
  return [
    `${cups} ${cups === "1" ? "cup" : "cups"} a day`,
    p.when && p.when !== "any-time" ? WHEN.find((w) => w.value === p.when)?.label : "",
    p.daysOn ? `${p.daysOn} days${p.daysOff ? `, then ${p.daysOff} off` : ""}` : "",
    p.mostDays ? `at most ${p.mostDays} days` : "",
  ]
    .filter(Boolean)
    .join(", ");
}
