import { useState } from "react";
import type { KitchenResponse, Person, PlanResponse } from "../../api/client";
import { present, presentMs } from "../../api/present";
import { SelectField } from "../../parts/Field";
import { centimetres, clock, clockOf, date, millilitres, moment, timeValue } from "../../parts/say";
import { CupSize, OneOf, Stepper, Word } from "../../parts/Word";
import { atOn, dayValue, nextAt } from "./at";
import { Drinker, Drinkers } from "./Drinkers";
import type { Order, Ordered } from "./order";

const STRENGTHS = [
  { value: "gentle", label: "gentle", gloss: "three quarters of the recipe" },
  { value: "standard", label: "standard", gloss: "as the recipe says" },
  { value: "strong", label: "strong", gloss: "a third more, inside the usual range" },
] as const;
const PURPOSES = [
  { value: "everyday", label: "an everyday", gloss: "up to three cups a day" },
  { value: "tonic", label: "a tonic", gloss: "daily over weeks: a little less" },
  { value: "acute", label: "a first-days", gloss: "a few days at the first sign: a little more" },
] as const;

interface SentenceProps {
  order: Ordered;
  plan?: PlanResponse;
  people: Person[];
  kitchen: KitchenResponse;
  own: { cups: number; cupMl: number };
  onChange: (part: Partial<Order>) => void;
}

/** The order as a sentence that reads aloud; each underlined part is its control. */
export function Sentence({ order, plan, people, kitchen, own, onChange }: SentenceProps) {
  const cups = order.cups ?? own.cups;
  const cupMl = order.cupMl ?? own.cupMl;
  const vessel = kitchen.vessels.find((v) => v.id === order.vesselId);
  const burner = kitchen.burners.find((b) => b.id === order.burnerId) ?? kitchen.burners[0];
  const onFire = plan?.vessel.kind === "pot";
  const purpose = PURPOSES.find((p) => p.value === order.purpose) ?? PURPOSES[0];
  return (
    <p className="mt-2 text-[1.19rem] text-muted leading-[2.05rem]">
      Make{" "}
      <Word label="Cups" shown={`${cups} ${cups === 1 ? "cup" : "cups"}`}>
        {() => (
          <Stepper
            label="cups"
            value={cups}
            low={1}
            high={40}
            unit="cups"
            onChange={(v) => onChange({ cups: v })}
          />
        )}
      </Word>{" "}
      of{" "}
      <Word label="Cup size" shown={millilitres(cupMl)}>
        {() => <CupSize value={cupMl} onChange={(v) => onChange({ cupMl: v })} />}
      </Word>
      ,{" "}
      <Word label="Strength" shown={order.strength}>
        {() => (
          <OneOf
            label="Strength"
            value={order.strength}
            options={[...STRENGTHS]}
            onPick={(strength) => {
              onChange({ strength });
            }}
          />
        )}
      </Word>{" "}
      strength, for <Drinker order={order} people={people} onChange={onChange} />
      <Drinkers order={order} plan={plan} people={people} onChange={onChange} />, as{" "}
      <Word label="Purpose" shown={purpose.label}>
        {() => (
          <OneOf
            label="Purpose"
            value={order.purpose}
            options={[...PURPOSES]}
            onPick={(p) => {
              onChange({ purpose: p });
            }}
          />
        )}
      </Word>{" "}
      cup, in the{" "}
      <Word label="Vessel" shown={vessel?.name ?? plan?.vessel.name ?? "fitting vessel"}>
        {() => (
          <OneOf
            label="Vessel"
            value={order.vesselId ?? ""}
            options={[
              { value: "", label: "a fitting one", gloss: "the smallest usual vessel that holds it" },
              ...kitchen.vessels.map((v) => ({
                value: v.id,
                label: v.name,
                gloss: `${centimetres(v.innerDiameterCm)} wide, ${centimetres(v.heightCm)} high, ${millilitres(v.brimMl)}`,
              })),
            ]}
            onPick={(id) => {
              onChange({ vesselId: id || undefined });
            }}
          />
        )}
      </Word>
      {onFire && burner && (
        <>
          {" "}
          on the{" "}
          <Word label="Burner" shown={burner.name}>
            {() => (
              <OneOf
                label="Burner"
                value={burner.id}
                options={kitchen.burners.map((b) => ({
                  value: b.id,
                  label: b.name,
                  gloss: `${b.lowW}, ${b.mediumW}, ${b.highW} W into the water`,
                }))}
                onPick={(id) => {
                  onChange({ burnerId: id });
                }}
              />
            )}
          </Word>
        </>
      )}
      , to drink{" "}
      <Word label="Ready at" shown={order.at ? momentAt(order.at) : "as soon as it is done"}>
        {(close) => (
          <ReadyAt
            at={order.at}
            soon={plan ? new Date(presentMs() + (plan.readyS ?? plan.totalS) * 1000) : present()}
            onPick={(at) => {
              onChange({ at });
              close();
            }}
          />
        )}
      </Word>
      .
    </p>
  );
}

/** "at 19:30", "tomorrow at 07:00", "Sat 28 Nov, 19:30". */
function momentAt(at: string): string {
  const then = nextAt(at, present());
  const days = daysFrom(present(), then);
  return days === 0
    ? `at ${clock(then)}`
    : days === 1
      ? `tomorrow at ${clock(then)}`
      : moment(then, present());
}

const DAY_MS = 24 * 3600_000;
const midnight = (d: Date) => new Date(d.getFullYear(), d.getMonth(), d.getDate()).getTime();
const daysFrom = (a: Date, b: Date) => Math.round((midnight(b) - midnight(a)) / DAY_MS);

/** Days that a pot can be planned for. */
const DAYS = 7;

function ReadyAt({
  at,
  soon,
  onPick,
}: {
  at?: string;
  soon: Date;
  onPick: (at: string | undefined) => void;
}) {
  const first = at ? nextAt(at, present()) : new Date(soon.getTime() + 30 * 60_000);
  const [time, setTime] = useState(timeValue(first));
  const [day, setDay] = useState(dayValue(first));
  const days = Array.from({ length: DAYS }, (_, i) => {
    const d = new Date(present().getTime() + i * DAY_MS);
    return { value: dayValue(d), label: i === 0 ? "today" : i === 1 ? "tomorrow" : date(d) };
  });
  const then = new Date(`${day}T${time}`);
  const past = then <= present();
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!past) onPick(atOn(then));
      }}
    >
      <label className="flex items-baseline gap-3">
        Ready at
        <input
          type="time"
          required
          value={time}
          onChange={(e) => setTime(e.target.value)}
          className="figure min-h-11 border-ink border-b-2 bg-transparent text-2xl"
        />
      </label>
      <SelectField label="Day" value={day} options={days} onChange={setDay} />
      {past && <p className="text-sm text-stop">That moment has gone by.</p>}
      <div className="flex gap-2">
        <button
          type="submit"
          disabled={past}
          className="min-h-11 flex-1 rounded-one bg-ink px-3 text-ground disabled:opacity-60"
        >
          Drink {day === days[0]?.value ? "" : `${days.find((d) => d.value === day)?.label ?? ""} `}at{" "}
          {clockOf(time)}
        </button>
        <button
          type="button"
          className="min-h-11 rounded-one border border-ink px-3"
          onClick={() => onPick(undefined)}
        >
          As soon as done
        </button>
      </div>
    </form>
  );
}
