import { useState } from "react";
import type { Person, PlanResponse, SharerLine } from "../../api/client";
import * as length from "../../api/length.gen";
import * as limit from "../../api/limit.gen";
import { Conditions } from "../../parts/Conditions";
import { conditionsSaid, personName } from "../../parts/conditions";
import { TextField } from "../../parts/Field";
import { cupsSaid, millilitres, quantity } from "../../parts/say";
import { OneOf, Stepper, Word } from "../../parts/Word";
import { Listed, Said } from "../../words/Said";
import { say } from "../../words/say";
import type { Guest, Order, Ordered, Sharer } from "./order";

/** What a cook says to parts of a cup. */
const SERVINGS = [
  { value: "", label: say("sheet.asMuchAsSuitsThe"), gloss: say("sheet.aWholeCupOrA") },
  { value: "0.75", label: say("sheet.threeQuartersOfACup") },
  { value: "0.5", label: say("sheet.halfACup") },
  { value: "0.33", label: say("sheet.aThirdOfACup") },
  { value: "0.25", label: say("sheet.aQuarterOfACup") },
] as const;
const GUEST = "guest";

interface DrinkersProps {
  order: Ordered;
  plan?: PlanResponse;
  people: Person[];
  onChange: (part: Partial<Order>) => void;
}

/** How many cups a day, who drinks of it too, and whether it was prescribed: the middle of the order's sentence. */
export function Drinkers({ order, plan, people, onChange }: DrinkersProps) {
  const aDay = order.aDay ?? plan?.cupsADay ?? 1;
  const put = (i: number, part: Partial<Sharer>) =>
    onChange({ others: order.others.map((o, at) => (at === i ? { ...o, ...part } : o)) });
  const somebody = (
    <Word
      label={say("sheet.somebodyElse")}
      shown={order.others.length === 0 ? say("sheet.alone") : say("sheet.andNobodyElse")}
    >
      {(close) => (
        <Somebody
          people={people.filter((p) => p.id !== order.drinkerId && !order.others.some((o) => o.id === p.id))}
          onAdd={(sharer) => {
            onChange({ others: [...order.others, sharer] });
            close();
          }}
        />
      )}
    </Word>
  );
  return (
    <Said
      of="sheet.drinkersOfIt"
      alone={order.others.length === 0 && somebody}
      aDay={
        <Word label={say("sheet.cupsADay")} shown={say("sheet.aDay", { amount: cupsSaid(aDay) })}>
          {(close) => (
            <div className="flex flex-col gap-2">
              <Stepper
                label={say("sheet.cupsADayWithin")}
                value={aDay}
                {...limit.CUPS_A_DAY}
                step={0.5}
                unit={say("sheet.aDayWithin")}
                onChange={(v) => onChange({ aDay: v })}
              />
              {order.aDay !== undefined && (
                <Small
                  onClick={() => {
                    onChange({ aDay: undefined });
                    close();
                  }}
                >
                  {say("sheet.asTheRecipeHasIt")}
                </Small>
              )}
              {order.prescribed === undefined && (
                <Small
                  onClick={() => {
                    onChange({ prescribed: 3 });
                    close();
                  }}
                >
                  {say("sheet.aPractitionerPrescribedIt")}
                </Small>
              )}
            </div>
          )}
        </Word>
      }
      by={
        order.prescribed !== undefined && (
          <Word
            label={say("sheet.prescribedBy")}
            shown={
              order.prescribedBy
                ? say("sheet.prescribedByName", { prescribedBy: order.prescribedBy })
                : say("sheet.byWhom")
            }
          >
            {() => (
              <TextField
                label={say("sheet.whoPrescribedIt")}
                value={order.prescribedBy ?? ""}
                onChange={(v) => onChange({ prescribedBy: v || undefined })}
              />
            )}
          </Word>
        )
      }
      days={
        order.prescribed !== undefined && (
          <Word label={say("sheet.prescribed")} shown={say("sheet.days", { days: order.prescribed })}>
            {(close) => (
              <div className="flex max-w-72 flex-col gap-2">
                <Stepper
                  label={say("sheet.daysWithin")}
                  value={order.prescribed ?? 3}
                  {...limit.PRESCRIBED_DAYS}
                  unit={say("sheet.daysWithin")}
                  onChange={(v) => onChange({ prescribed: v })}
                />
                <p className="text-muted text-sm">{say("sheet.byAPractitionerWhoAnswers")}</p>
                <Small
                  onClick={() => {
                    onChange({ prescribed: undefined, prescribedBy: undefined });
                    close();
                  }}
                >
                  {say("sheet.notPrescribed")}
                </Small>
              </div>
            )}
          </Word>
        )
      }
      others={
        order.others.length > 0 && (
          <Listed>
            {order.others.map((o, i) => (
              <Word
                key={`${o.id}${i}`}
                label={say("sheet.drinksToo", { number: i + 1 })}
                shown={sharerSaid(o, plan?.others?.[i], people, plan?.cupMl ?? 240)}
              >
                {(close) => (
                  <OneSharer
                    sharer={o}
                    told={plan?.others?.[i]}
                    onPut={(part) => put(i, part)}
                    onRemove={() => {
                      onChange({ others: order.others.filter((_, at) => at !== i) });
                      close();
                    }}
                  />
                )}
              </Word>
            ))}
          </Listed>
        )
      }
      nobodyElse={order.others.length > 0 && somebody}
    />
  );
}

const times = (n: number, ml: number) =>
  n === 1
    ? say("sheet.once", { amount: millilitres(ml) })
    : say("sheet.times", { n, amount: millilitres(ml) });

function sharerSaid(o: Sharer, told: SharerLine | undefined, people: Person[], cupMl: number): string {
  const name = o.id === GUEST ? o.name || say("sheet.aGuest") : personName(o.id, people);
  const serving = o.serving ?? told?.serving ?? 1;
  const of = serving >= 1 ? cupsSaid(o.cupsADay) : times(o.cupsADay, Math.round(serving * cupMl));
  return say("sheet.aDayName", { name, of });
}

function OneSharer({
  sharer,
  told,
  onPut,
  onRemove,
}: {
  sharer: Sharer;
  told?: SharerLine;
  onPut: (part: Partial<Sharer>) => void;
  onRemove: () => void;
}) {
  return (
    <div className="flex flex-col gap-3">
      <Stepper
        label={say("sheet.servingsADay")}
        value={sharer.cupsADay}
        {...limit.CUPS_A_DAY}
        step={0.5}
        unit={say("sheet.aDayWithin")}
        onChange={(cupsADay) => onPut({ cupsADay })}
      />
      <OneOf
        label={say("sheet.serving")}
        value={sharer.serving === undefined ? "" : String(sharer.serving)}
        options={SERVINGS.map((s) =>
          s.value === "" && told && sharer.serving === undefined
            ? { ...s, gloss: say("sheet.ofACup", { serving: Math.round(told.serving * 100) }) }
            : s,
        )}
        onPick={(v) => onPut({ serving: v === "" ? undefined : Number(v) })}
      />
      <Small onClick={onRemove}>{say("sheet.doesNotDrinkOfIt")}</Small>
    </div>
  );
}

function Somebody({ people, onAdd }: { people: Person[]; onAdd: (s: Sharer) => void }) {
  const [guest, setGuest] = useState(false);
  if (guest)
    return (
      <GuestForm verb={say("sheet.drinksOfItToo")} onDone={(g) => onAdd({ id: GUEST, cupsADay: 1, ...g })} />
    );
  return (
    <div className="flex flex-col">
      <p className="mb-1 text-muted text-sm">{say("sheet.whoDrinksOfThisPot")}</p>
      {people.map((p) => (
        <button
          key={p.id}
          type="button"
          className="min-h-11 border-hairline border-b px-2 text-left hover:bg-strip"
          onClick={() => onAdd({ id: p.id, cupsADay: 1 })}
        >
          {p.name}
          <span className="block text-muted text-sm">{about(p)}</span>
        </button>
      ))}
      <AGuest onClick={() => setGuest(true)} />
    </div>
  );
}

/** "8 years, 26 kg, pregnant". */
function about(p: Person): string {
  const parts = [say("common.years", { years: p.ageYears })];
  if (p.weightKg) parts.push(quantity("bodyWeight", p.weightKg));
  if (p.conditions.length > 0) parts.push(conditionsSaid(p.conditions, p.trimester));
  return parts.join(", ");
}

function AGuest({ onClick }: { onClick: () => void }) {
  return (
    <button type="button" className="min-h-11 w-full px-2 text-left hover:bg-strip" onClick={onClick}>
      <Said
        of="sheet.aGuestWithA"
        withA={<span className="block text-muted text-sm">{say("sheet.withAWordOrTwo")}</span>}
      />
    </button>
  );
}

/** For whom it is: one of the household, or a guest. */
export function Drinker({ order, people, onChange }: Omit<DrinkersProps, "plan">) {
  const shown = order.guest ? order.guest.name || say("sheet.aGuest") : personName(order.drinkerId, people);
  return (
    <Word label={say("sheet.drinker")} shown={shown}>
      {(close) => <ForWhom order={order} people={people} onChange={onChange} close={close} />}
    </Word>
  );
}

function ForWhom({ order, people, onChange, close }: Omit<DrinkersProps, "plan"> & { close: () => void }) {
  const [guest, setGuest] = useState(order.guest !== undefined);
  const known =
    people.length > 0
      ? people.map((p) => ({ value: p.id, label: p.name, gloss: about(p) }))
      : [{ value: "", label: say("sheet.anAdult"), gloss: say("sheet.withNothingToBeMinded") }];
  if (guest)
    return (
      <>
        <GuestForm
          verb={say("sheet.itIsForThisGuest")}
          start={order.guest}
          onDone={(g) => {
            onChange({ guest: g, drinkerId: undefined });
            close();
          }}
        />
        <Small onClick={() => setGuest(false)}>{say("sheet.somebodyOfTheHousehold")}</Small>
      </>
    );
  return (
    <>
      <OneOf
        label={say("sheet.drinker")}
        value={order.drinkerId ?? ""}
        options={known}
        onPick={(id) => onChange({ drinkerId: id || undefined, guest: undefined })}
      />
      <AGuest onClick={() => setGuest(true)} />
    </>
  );
}

function GuestForm({
  start = { ageYears: 40 },
  verb,
  onDone,
}: {
  start?: Guest;
  verb: string;
  onDone: (g: Guest) => void;
}) {
  const [guest, setGuest] = useState<Guest>(start);
  const field = "min-h-11 rounded-one border border-hairline bg-transparent px-2";
  return (
    <form
      className="flex max-h-[60vh] w-[min(26rem,86vw)] flex-col gap-3 overflow-y-auto"
      onSubmit={(e) => {
        e.preventDefault();
        onDone(guest);
      }}
    >
      <div className="grid grid-cols-[1fr_6rem] gap-3">
        <label className="flex flex-col text-muted text-sm">
          <Said
            of="sheet.called"
            field={
              <input
                className={field}
                maxLength={length.SHORT_NAME}
                value={guest.name ?? ""}
                onChange={(e) => setGuest({ ...guest, name: e.target.value.replaceAll("~", "") })}
              />
            }
          />
        </label>
        <label className="flex flex-col text-muted text-sm">
          <Said
            of="sheet.yearsField"
            field={
              <input
                className={field}
                type="number"
                min={limit.AGE_YEARS.low}
                max={limit.AGE_YEARS.high}
                required
                value={guest.ageYears ?? ""}
                onChange={(e) =>
                  setGuest({ ...guest, ageYears: e.target.value === "" ? undefined : e.target.valueAsNumber })
                }
              />
            }
          />
        </label>
      </div>
      <Conditions
        conditions={guest.conditions ?? []}
        onConditions={(conditions) => setGuest({ ...guest, conditions })}
      />
      <div className="sticky bottom-0 bg-raised pt-1">
        <button type="submit" className="min-h-11 w-full rounded-one bg-ink px-3 text-ground">
          {verb}
        </button>
      </div>
    </form>
  );
}

function Small({ onClick, children }: { onClick: () => void; children: string }) {
  return (
    <button
      type="button"
      className="min-h-11 text-left text-sm underline underline-offset-4"
      onClick={onClick}
    >
      {children}
    </button>
  );
}
