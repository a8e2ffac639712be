import type { RecipeDocument, TakingRow } from "../../api/client";
import { CONDITION_KINDS } from "../../api/kinds.gen";
import * as length from "../../api/length.gen";
import { condition } from "../../parts/conditions";
import { NumberField, Secondary, SelectField, TextField, Tick } from "../../parts/Field";
import { fraction } from "../../parts/say";
import { Word } from "../../parts/Word";
import { unitSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { UNITS } from "./doc";
import type { Wrong } from "./draft";

type Posology = NonNullable<RecipeDocument["posology"]>;

const WHEN: readonly { value: NonNullable<Posology["when"]>; label: string }[] = [
  { value: "any-time", label: say("recipe.atAnyTime") },
  { value: "with-food", label: say("recipe.withFood") },
  { value: "empty-stomach", label: say("recipe.onAnEmptyStomach") },
  { value: "before-bed", label: say("recipe.beforeBed") },
];

const MOMENTS: readonly { value: NonNullable<Posology["moments"]>[number]; label: string }[] = [
  { value: "morning", label: say("recipe.inTheMorning") },
  { value: "noon", label: say("recipe.atNoon") },
  { value: "afternoon", label: say("recipe.inTheAfternoon") },
  { value: "evening", label: say("recipe.inTheEvening") },
  { value: "bedtime", label: say("recipe.atBedtime") },
];

/** As a cook says it: in eighths where that says it, else in tenths. */
const plain = (n: number) => (Number.isInteger(n * 8) ? fraction(n) : String(Math.round(n * 10) / 10));

/** Posology: how much of it, when, and for how long. Without an amount the recipe does not say. */
export function HowTaken({
  posology: p,
  setRecipe,
}: {
  posology: RecipeDocument["posology"];
  setRecipe: (r: Partial<RecipeDocument>) => void;
}) {
  const set = (part: Partial<Posology>) => {
    const next = { ...p, ...part };
    const says =
      next.cupsADay !== undefined ||
      next.cupsAWeek !== undefined ||
      (next.doseAmount !== undefined && (next.everyHours ?? next.timesADay) !== undefined) ||
      (next.rows ?? []).length > 0;
    setRecipe({ posology: says ? next : undefined });
  };
  const moments = p?.moments ?? [];
  return (
    <Word label={say("recipe.howItIsTaken")} shown={takenWords(p)}>
      {() => (
        <div className="grid w-72 grid-cols-2 gap-2">
          <NumberField
            label={say("recipe.cupsADay")}
            value={p?.cupsADay}
            onChange={(cupsADay) => set({ cupsADay })}
          />
          <NumberField
            label={say("recipe.orUpTo")}
            value={p?.cupsADayTo}
            onChange={(cupsADayTo) => set({ cupsADayTo })}
          />
          <Dose
            amount={p?.doseAmount}
            unit={p?.doseUnit}
            onChange={(doseAmount, doseUnit) => set({ doseAmount, doseUnit })}
          />
          <NumberField
            label={say("recipe.everySoManyHours")}
            value={p?.everyHours}
            onChange={(everyHours) => set({ everyHours, timesADay: undefined })}
          />
          <NumberField
            label={say("recipe.orTimesADay")}
            value={p?.timesADay}
            onChange={(timesADay) => set({ timesADay, everyHours: undefined })}
          />
          <NumberField
            label={say("recipe.cupsAWeek")}
            value={p?.cupsAWeek}
            onChange={(cupsAWeek) => set({ cupsAWeek })}
          />
          <SelectField
            className="col-span-2"
            label={say("recipe.when")}
            value={p?.when ?? "any-time"}
            options={WHEN}
            onChange={(when) => set({ when })}
          />
          <fieldset className="col-span-2 flex flex-wrap gap-x-4">
            <legend className="text-muted text-sm">{say("recipe.timesOfDay")}</legend>
            {MOMENTS.map((m) => (
              <Tick
                key={m.value}
                label={m.label}
                on={moments.includes(m.value)}
                onChange={(on) => {
                  const all = on ? [...moments, m.value] : moments.filter((x) => x !== m.value);
                  set({ moments: all.length > 0 ? all : undefined });
                }}
              />
            ))}
          </fieldset>
          <NumberField
            label={say("recipe.daysInARow")}
            value={p?.daysOn}
            onChange={(daysOn) => set({ daysOn })}
          />
          <NumberField
            label={say("recipe.thenDaysOff")}
            value={p?.daysOff}
            onChange={(daysOff) => set({ daysOff })}
          />
          <NumberField
            label={say("recipe.daysAtMost")}
            value={p?.mostDays}
            onChange={(mostDays) => set({ mostDays })}
          />
          <NumberField
            label={say("recipe.aChildsShare")}
            unit="%"
            value={p?.childShare === undefined ? undefined : Math.round(p.childShare * 100)}
            onChange={(percent) => set({ childShare: percent === undefined ? undefined : percent / 100 })}
          />
          <div className="col-span-2">
            <Tick
              label={say("recipe.untilSheIsBetter")}
              on={p?.untilBetter ?? false}
              onChange={(on) => set({ untilBetter: on || undefined })}
            />
          </div>
        </div>
      )}
    </Word>
  );
}

function Dose({
  amount,
  unit,
  onChange,
}: {
  amount: number | undefined;
  unit: string | undefined;
  onChange: (amount: number | undefined, unit: string | undefined) => void;
}) {
  return (
    <>
      <NumberField
        label={say("recipe.atATime")}
        value={amount}
        onChange={(next) => onChange(next, next === undefined ? undefined : (unit ?? "tsp"))}
      />
      <SelectField
        label={say("recipe.unit")}
        value={unit ?? "tsp"}
        options={UNITS}
        onChange={(next) => onChange(amount, next)}
      />
    </>
  );
}

/** What is taken at a time: "1 tbsp". */
const doseSaid = (amount: number, unit: string | undefined) =>
  say("recipe.doseSaid", { amount: plain(amount), unit: unitSaid(unit ?? "tsp", amount) });

function takenWords(p: RecipeDocument["posology"]): string {
  if (!p) return say("recipe.asYouLike");
  const low = plain(p.cupsADay ?? 1);
  const cups = p.cupsADayTo ? `${low}–${plain(p.cupsADayTo)}` : low;
  return [
    p.cupsADay !== undefined && say("recipe.aDay", { cups, one: !p.cupsADayTo && p.cupsADay <= 1 }),
    p.doseAmount !== undefined && say("recipe.doseAtATime", { dose: doseSaid(p.doseAmount, p.doseUnit) }),
    p.everyHours !== undefined && say("recipe.everyHours", { hours: p.everyHours }),
    p.timesADay !== undefined && say("recipe.timesADaySaid", { times: p.timesADay }),
    p.cupsAWeek !== undefined && say("recipe.atLeastAWeek", { cups: p.cupsAWeek }),
    p.when && p.when !== "any-time" && WHEN.find((w) => w.value === p.when)?.label,
    ...MOMENTS.filter((m) => p.moments?.includes(m.value)).map((m) => m.label),
    p.daysOn && say("recipe.days", { on: p.daysOn, off: p.daysOff }),
    p.mostDays && say("recipe.atMostDays", { days: p.mostDays }),
    p.untilBetter && say("recipe.untilBetter"),
  ]
    .filter(Boolean)
    .join(", ");
}

const NOBODY_KNOWN = "";

/** How others than a healthy adult take it: a row for each. */
export function TakingRows({
  recipe,
  wrong,
  setRecipe,
}: {
  recipe: RecipeDocument;
  wrong: Wrong;
  setRecipe: (r: Partial<RecipeDocument>) => void;
}) {
  const rows = recipe.posology?.rows ?? [];
  const set = (next: TakingRow[]) => {
    const posology = { ...recipe.posology, rows: next.length > 0 ? next : undefined };
    // Rows stand beside what is said to everybody.
    setRecipe({ posology: { ...posology, cupsADay: posology.cupsADay ?? 1 } });
  };
  const change = (i: number, row: TakingRow) => set(rows.map((r, j) => (j === i ? row : r)));
  return (
    <section aria-labelledby="taking-rows" className="mt-6 max-w-3xl">
      <h2 id="taking-rows" className="text-muted text-sm [font-stretch:100%]">
        {say("recipe.howOthersTakeIt")}
      </h2>
      <ul className="mt-1">
        {rows.map((row, i) => {
          const complaint = FIELDS.map((f) => wrong(`posology.rows[${i}].${f}`)).find(Boolean);
          return (
            <li key={i} className="border-hairline border-b py-1.5">
              <p className="text-[1.12rem] leading-[2.1rem]">
                <Said
                  of="recipe.rowSaid"
                  whom={
                    <Word label={say("recipe.forWhomRow", { n: i + 1 })} shown={whomWords(row)}>
                      {() => <Whom row={row} onChange={(next) => change(i, next)} />}
                    </Word>
                  }
                  amount={
                    <Word label={say("recipe.howMuchRow", { n: i + 1 })} shown={amountWords(row)}>
                      {() => <Amount row={row} onChange={(next) => change(i, next)} />}
                    </Word>
                  }
                />
                <button
                  type="button"
                  className="ml-3 min-h-11 text-base text-muted underline underline-offset-4"
                  aria-label={say("recipe.takeOutRow", { n: i + 1 })}
                  onClick={() => set(rows.filter((_, j) => j !== i))}
                >
                  {say("recipe.takeThatOut")}
                </button>
              </p>
              {complaint && <p className="text-sm text-stop">{complaint}</p>}
            </li>
          );
        })}
      </ul>
      <div className="mt-2">
        <Secondary
          onClick={() => set([...rows, { toYears: 12, doseAmount: 1, doseUnit: "tsp", timesADay: 3 }])}
        >
          {say("recipe.addWhoTakesItOtherwise")}
        </Secondary>
      </div>
    </section>
  );
}

const FIELDS = [
  "fromYears",
  "toYears",
  "when",
  "cupsADay",
  "doseAmount",
  "doseUnit",
  "timesADay",
  "everyHours",
  "mostDays",
];

const conditionOf = (row: TakingRow) => CONDITION_KINDS.find((c) => c.kind === row.when)?.kind;

function whomWords(row: TakingRow): string {
  const years =
    row.fromYears !== undefined || row.toYears !== undefined
      ? say("recipe.ofYears", { from: row.fromYears, to: row.toYears })
      : "";
  const code = conditionOf(row);
  return [years, code ? condition(code) : row.when].filter(Boolean).join(", ") || say("recipe.whom");
}

function amountWords(row: TakingRow): string {
  const much =
    row.cupsADay !== undefined
      ? say("recipe.aDay", { cups: plain(row.cupsADay), one: row.cupsADay <= 1 })
      : row.doseAmount === undefined
        ? say("recipe.howMuch")
        : [
            doseSaid(row.doseAmount, row.doseUnit),
            row.everyHours !== undefined && say("recipe.everyHours", { hours: row.everyHours }),
            row.timesADay !== undefined && say("recipe.timesADaySaid", { times: row.timesADay }),
          ]
            .filter(Boolean)
            .join(" ");
  return [much, row.mostDays && say("recipe.atMostDays", { days: row.mostDays })].filter(Boolean).join(", ");
}

function Whom({ row, onChange }: { row: TakingRow; onChange: (row: TakingRow) => void }) {
  const code = conditionOf(row);
  return (
    <div className="grid w-72 grid-cols-2 gap-2">
      <NumberField
        label={say("recipe.fromAge")}
        unit={say("recipe.yearsUnit")}
        value={row.fromYears}
        onChange={(fromYears) => onChange({ ...row, fromYears })}
      />
      <NumberField
        label={say("recipe.youngerThan")}
        unit={say("recipe.yearsUnit")}
        value={row.toYears}
        onChange={(toYears) => onChange({ ...row, toYears })}
      />
      <SelectField
        className="col-span-2"
        label={say("recipe.somebodyWith")}
        value={code ?? NOBODY_KNOWN}
        options={[
          { value: NOBODY_KNOWN, label: say("recipe.noCondition") },
          ...CONDITION_KINDS.map((c) => ({ value: c.kind, label: condition(c.kind) })),
        ]}
        onChange={(when) => onChange({ ...row, when: when === NOBODY_KNOWN ? undefined : when })}
      />
      {!code && (
        <TextField
          className="col-span-2"
          label={say("recipe.orInWords")}
          most={length.NOTE}
          value={row.when ?? ""}
          onChange={(when) => onChange({ ...row, when: when === "" ? undefined : when })}
        />
      )}
    </div>
  );
}

function Amount({ row, onChange }: { row: TakingRow; onChange: (row: TakingRow) => void }) {
  return (
    <div className="grid w-72 grid-cols-2 gap-2">
      <NumberField
        className="col-span-2"
        label={say("recipe.cupsADay")}
        value={row.cupsADay}
        onChange={(cupsADay) =>
          onChange(
            cupsADay === undefined
              ? { ...row, cupsADay }
              : {
                  ...row,
                  cupsADay,
                  doseAmount: undefined,
                  doseUnit: undefined,
                  timesADay: undefined,
                  everyHours: undefined,
                },
          )
        }
      />
      <Dose
        amount={row.doseAmount}
        unit={row.doseUnit}
        onChange={(doseAmount, doseUnit) =>
          onChange({
            ...row,
            doseAmount,
            doseUnit,
            cupsADay: doseAmount === undefined ? row.cupsADay : undefined,
            timesADay: row.timesADay ?? (row.everyHours === undefined ? 3 : undefined),
          })
        }
      />
      <NumberField
        label={say("recipe.timesADay")}
        value={row.timesADay}
        onChange={(timesADay) =>
          onChange({ ...row, timesADay, everyHours: timesADay === undefined ? row.everyHours : undefined })
        }
      />
      <NumberField
        label={say("recipe.everySoManyHours")}
        value={row.everyHours}
        onChange={(everyHours) =>
          onChange({ ...row, everyHours, timesADay: everyHours === undefined ? row.timesADay : undefined })
        }
      />
      <NumberField
        label={say("recipe.daysAtMost")}
        value={row.mostDays}
        onChange={(mostDays) => onChange({ ...row, mostDays })}
      />
    </div>
  );
}
