import type { KitchenResponse, Person, PlanResponse } from "../../api/client";
import * as limit from "../../api/limit.gen";
import { present, presentMs } from "../../api/present";
import { centimetres, millilitres, STRENGTHS } from "../../parts/say";
import { CupSize, OneOf, Stepper, Word } from "../../parts/Word";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { Drinker, Drinkers } from "./Drinkers";
import type { Order, Ordered } from "./order";
import { momentAt, ReadyAt } from "./ReadyAt";

const PURPOSES = [
  { value: "everyday", label: say("sheet.anEveryday"), gloss: say("sheet.upToThreeCupsA") },
  { value: "tonic", label: say("sheet.aTonic"), gloss: say("sheet.dailyOverWeeksALittle") },
  { value: "acute", label: say("sheet.aFirstDays"), gloss: say("sheet.aFewDaysAtThe") },
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
      <Said
        of="sheet.makeOfStrengthForAs"
        cups={
          <Word label={say("sheet.cups")} shown={say("common.cups", { n: cups })}>
            {() => (
              <Stepper
                label={say("sheet.cupsWithin")}
                value={cups}
                {...limit.CUPS}
                unit={say("sheet.cupsWithin")}
                onChange={(v) => onChange({ cups: v })}
              />
            )}
          </Word>
        }
        cupSize={
          <Word label={say("sheet.cupSize")} shown={millilitres(cupMl)}>
            {() => <CupSize value={cupMl} onChange={(v) => onChange({ cupMl: v })} />}
          </Word>
        }
        strength={
          <Word
            label={say("sheet.strengthTitle")}
            shown={STRENGTHS.find((s) => s.value === order.strength)?.label ?? order.strength}
          >
            {() => (
              <OneOf
                label={say("sheet.strengthTitle")}
                value={order.strength}
                options={STRENGTHS}
                onPick={(strength) => {
                  onChange({ strength });
                }}
              />
            )}
          </Word>
        }
        drinker={<Drinker order={order} people={people} onChange={onChange} />}
        drinkers={<Drinkers order={order} plan={plan} people={people} onChange={onChange} />}
        purpose={
          <Word label={say("sheet.purpose")} shown={purpose.label}>
            {() => (
              <OneOf
                label={say("sheet.purpose")}
                value={order.purpose}
                options={[...PURPOSES]}
                onPick={(p) => {
                  onChange({ purpose: p });
                }}
              />
            )}
          </Word>
        }
        vessel={
          <Word
            label={say("sheet.vessel")}
            shown={
              vessel?.name ??
              (order.vesselId
                ? say("sheet.vesselThatIsNotKept")
                : (plan?.vessel.name ?? say("sheet.fittingVessel")))
            }
          >
            {() => (
              <OneOf
                label={say("sheet.vessel")}
                value={order.vesselId ?? ""}
                options={[
                  {
                    value: "",
                    label: say("sheet.aFittingOne"),
                    gloss: say("sheet.theSmallestUsualVesselThat"),
                  },
                  ...kitchen.vessels.map((v) => ({
                    value: v.id,
                    label: v.name,
                    gloss: say("sheet.wideHigh", {
                      wide: centimetres(v.innerDiameterCm),
                      high: centimetres(v.heightCm),
                      holds: millilitres(v.brimMl),
                    }),
                  })),
                ]}
                onPick={(id) => {
                  onChange({ vesselId: id || undefined });
                }}
              />
            )}
          </Word>
        }
        burner={
          onFire && (
            <Word
              label={say("sheet.burner")}
              shown={
                burner?.name ??
                (order.burnerId ? say("sheet.burnerThatIsNotKept") : (plan?.burner.name ?? ""))
              }
            >
              {() => (
                <OneOf
                  label={say("sheet.burner")}
                  value={burner?.id ?? kitchen.burners.find((b) => b.name === plan?.burner.name)?.id ?? ""}
                  options={kitchen.burners.map((b) => ({
                    value: b.id,
                    label: b.name,
                    gloss: say("sheet.wIntoTheWater", {
                      lowW: b.lowW,
                      mediumW: b.mediumW,
                      highW: b.highW,
                    }),
                  }))}
                  onPick={(id) => {
                    onChange({ burnerId: id });
                  }}
                />
              )}
            </Word>
          )
        }
        readyAt={
          <Word
            label={say("sheet.readyAtTitle")}
            shown={order.at ? momentAt(order.at) : say("sheet.asSoonAsItIs")}
          >
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
        }
      />
    </p>
  );
}
