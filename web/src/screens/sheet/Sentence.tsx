import type { KitchenResponse, Person, PlanResponse } from "../../api/client";
import * as limit from "../../api/limit.gen";
import { present, presentMs } from "../../api/present";
import { centimetres, millilitres, STRENGTHS } from "../../parts/say";
import { CupSize, OneOf, Stepper, Word } from "../../parts/Word";
import { Drinker, Drinkers } from "./Drinkers";
import type { Order, Ordered } from "./order";
import { momentAt, ReadyAt } from "./ReadyAt";

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
  const burner = kitchen.burners.find((b) => b.id === order.burnerId);
  const onFire = plan?.vessel.kind === "pot" || order.burnerId !== undefined;
  const purpose = PURPOSES.find((p) => p.value === order.purpose) ?? PURPOSES[0];
  return (
    <p className="mt-2 text-[1.19rem] text-muted leading-[2.05rem]">
      Make{" "}
      <Word label="Cups" shown={`${cups} ${cups === 1 ? "cup" : "cups"}`}>
        {() => (
          <Stepper
            label="cups"
            value={cups}
            {...limit.CUPS}
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
            options={STRENGTHS}
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
      <Word
        label="Vessel"
        shown={
          vessel?.name ??
          (order.vesselId ? "vessel that is not kept any more" : (plan?.vessel.name ?? "fitting vessel"))
        }
      >
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
      {onFire && (
        <>
          {" "}
          on the{" "}
          <Word
            label="Burner"
            shown={
              burner?.name ??
              (order.burnerId ? "burner that is not kept any more" : (plan?.burner.name ?? ""))
            }
          >
            {() => (
              <OneOf
                label="Burner"
                value={burner?.id ?? kitchen.burners.find((b) => b.name === plan?.burner.name)?.id ?? ""}
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
