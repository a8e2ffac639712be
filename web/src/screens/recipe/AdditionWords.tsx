import type { AdditionDocument, HerbLine, StageDocument } from "../../api/client";
import * as length from "../../api/length.gen";
import { NumberField, Secondary, SelectField, TextField } from "../../parts/Field";
import { HerbPicker } from "../../parts/HerbPicker";
import type { Out } from "../../parts/measured";
import { fraction, grams, range } from "../../parts/say";
import { OneOf, Word } from "../../parts/Word";
import { cutSaid, formSaid, unitSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { CUTS, FORMS, placeWords, UNITS } from "./doc";
import type { Wrong } from "./draft";

/** One herb as a sentence; each part opens in place. */
export function AdditionWords({
  addition: a,
  at,
  herb,
  herbs,
  planned,
  perCup,
  stages,
  wrong,
  portion = false,
  onChange,
  onRemove,
}: {
  addition: AdditionDocument;
  at: number;
  herb?: HerbLine;
  herbs: HerbLine[];
  planned?: Out["amounts"];
  /** Whether it goes into the cups, and not into all of it; missing until it is planned. */
  perCup?: boolean;
  stages: StageDocument[];
  wrong: Wrong;
  /** It is a part of a blend: one amount, and always in it. */
  portion?: boolean;
  onChange: (part: Partial<AdditionDocument>) => void;
  onRemove: () => void;
}) {
  const n = at + 1;
  const asItIs = herb?.part === "pantry" || herb?.part === "blend";
  const complaints = ["amount", "amountTo", "unit", "herb", "form", "cut", "stage", "prep", "or"]
    .map((f) => wrong(`additions[${at}].${f}`))
    .filter(Boolean);
  return (
    <div>
      <p className="text-[1.12rem] leading-[2.1rem]">
        <Word label={say("recipe.amountOfHerb", { n })} shown={amountWords(a)}>
          {() => (
            <div className="flex w-64 flex-col gap-2">
              <div className="grid grid-cols-3 gap-2">
                <NumberField
                  label={say("recipe.amount")}
                  value={a.amount}
                  onChange={(amount) => onChange({ amount })}
                />
                {!portion && (
                  <NumberField
                    label={say("recipe.orUpTo")}
                    value={a.amountTo}
                    onChange={(amountTo) => onChange({ amountTo })}
                  />
                )}
                <SelectField
                  label={say("recipe.unit")}
                  value={a.unit ?? "g"}
                  options={UNITS}
                  onChange={(unit) => onChange({ unit })}
                />
              </div>
              {!portion && (
                <label className="flex min-h-11 items-center gap-2">
                  <Said
                    of="recipe.itMayBeLeftOut"
                    field={
                      <input
                        type="checkbox"
                        className="size-4 accent-[var(--ink)]"
                        checked={a.optional ?? false}
                        onChange={(e) => onChange({ optional: e.target.checked || undefined })}
                      />
                    }
                  />
                </label>
              )}
            </div>
          )}
        </Word>{" "}
        <Word label={say("recipe.herb", { n })} shown={herb?.named ?? a.herb ?? say("recipe.whichHerb")}>
          {(close) => (
            <div className="flex w-64 flex-col gap-3">
              <HerbPicker
                label={say("recipe.anotherHerb")}
                value={a.herb ?? ""}
                onPick={(slug) => {
                  onChange({ herb: slug });
                  close();
                }}
              />
              <Secondary onClick={onRemove}>{say("recipe.takeItOut")}</Secondary>
            </div>
          )}
        </Word>
        {!asItIs && (
          <>
            ,{" "}
            <Word label={say("recipe.formOfHerb", { n })} shown={formSaid(a.form ?? "dried")}>
              {() => (
                <OneOf
                  label={say("recipe.form")}
                  value={a.form ?? "dried"}
                  options={FORMS as { value: "dried" | "fresh"; label: string }[]}
                  onPick={(form) => onChange({ form })}
                />
              )}
            </Word>
            ,{" "}
            <Word
              label={say("recipe.cutOfHerb", { n })}
              shown={[cutSaid(a.cut ?? "chopped"), a.prep].filter(Boolean).join("; ")}
            >
              {() => (
                <div className="flex w-64 flex-col gap-2">
                  <SelectField
                    label={say("recipe.cut")}
                    value={a.cut ?? "chopped"}
                    options={CUTS}
                    onChange={(cut) => onChange({ cut: cut as AdditionDocument["cut"] })}
                  />
                  {!portion && (
                    <TextField
                      label={say("recipe.preparationOfHerb", { n })}
                      placeholder={say("recipe.asTheBookHasIt")}
                      most={length.PREP}
                      value={a.prep ?? ""}
                      onChange={(prep) => onChange({ prep: prep || undefined })}
                    />
                  )}
                </div>
              )}
            </Word>
          </>
        )}
        {stages.length > 0 && (
          <span className="text-muted">
            ,{" "}
            <Said
              of="recipe.inAt"
              where={
                <Word
                  label={say("recipe.whereHerbGoesIn", { n })}
                  shown={placeWords(stages)[a.stage ?? 0]?.label ?? say("recipe.theStart")}
                >
                  {() => (
                    <OneOf
                      label={say("recipe.whereItGoesIn")}
                      value={String(a.stage ?? 0)}
                      options={placeWords(stages)}
                      onPick={(stage) => onChange({ stage: Number(stage) })}
                    />
                  )}
                </Word>
              }
            />
          </span>
        )}
        {stages[a.stage ?? 0]?.kind === "finish" && perCup === false && (
          <span className="text-muted">{`, ${say("recipe.intoAllOfIt")}`}</span>
        )}
        {stages[a.stage ?? 0]?.kind === "finish" && perCup !== false && (
          <>
            ,{" "}
            <Word
              label={say("recipe.intoWhichCupsHerbGoes", { n })}
              shown={INTO.find((i) => i.value === (a.into ?? "each-cup"))?.label ?? say("recipe.eachCup")}
            >
              {() => (
                <OneOf
                  label={say("recipe.intoWhichCups")}
                  value={a.into ?? "each-cup"}
                  options={INTO}
                  onPick={(into) => onChange({ into: into === "each-cup" ? undefined : into })}
                />
              )}
            </Word>
          </>
        )}
        {a.optional && <span className="text-muted">{`, ${say("recipe.mayBeLeftOut")}`}</span>}
        {(a.or ?? []).map((o) => (
          <span key={o.herb} className="text-muted">
            ,{" "}
            {say("recipe.orHerb", {
              amount: amountWords(o),
              herb: herbs.find((h) => h.slug === o.herb)?.named ?? o.herb,
            })}
          </span>
        ))}{" "}
        {planned && <span className="text-muted text-sm">{beside(a, planned)}</span>}
      </p>
      {complaints.map((c) => (
        <p key={c} className="text-sm text-stop">
          {c}
        </p>
      ))}
    </div>
  );
}

/** "2–3 tbsp". */
export function amountWords(a: AdditionDocument): string {
  const number = a.amountTo ? `${said(a.amount)}–${said(a.amountTo)}` : said(a.amount);
  return say("recipe.amountOf", { number, unit: unitSaid(a.unit ?? "g", a.amountTo ?? a.amount ?? 1) });
}

/** In eighths where it is one of them, else as it is. */
function said(n: number | undefined): string {
  if (n === undefined) return "?";
  const eighth = n * 8;
  const near = Math.abs(eighth - Math.round(eighth)) <= 0.02 && Math.round(eighth) > 0;
  return near ? fraction(n) : String(Math.round(n * 100) / 100);
}

/** Which cups something is stirred into. */
const INTO: { value: NonNullable<AdditionDocument["into"]>; label: string; gloss?: string }[] = [
  { value: "each-cup", label: say("recipe.intoEachCup") },
  { value: "first-cup", label: say("recipe.intoTheFirstCup"), gloss: say("recipe.theOneThatIsDrunk") },
  { value: "later-cups", label: say("recipe.intoEachLaterCup"), gloss: say("recipe.whenItIsWarmedAgain") },
];

/** What stands beside: grams, and what is usual of it. */
function beside(a: AdditionDocument, p: Out["amounts"]): string {
  const weight = a.unit === "g" ? "" : say("recipe.about", { weight: grams(p.grams) });
  const usual =
    p.usualLowG === undefined || p.usualHighG === undefined
      ? ""
      : say("recipe.usuallyACup", { weight: range("mass", p.usualLowG, p.usualHighG) });
  return [weight, usual, p.weigh ? say("recipe.weighThisOne") : ""].filter(Boolean).join("; ");
}
