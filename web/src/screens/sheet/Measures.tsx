import type { AdditionLine, PlanResponse } from "../../api/client";
import { stagesOf } from "../../api/steps";
import { measuredOut, type Out } from "../../parts/measured";
import { apart, grams, range } from "../../parts/say";
import { Why } from "../../parts/Why";
import { cutSaid, formSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import type { Change } from "./order";

/** One line per herb, or per blend, the amount as the hero: grams and the kitchen measure side by side. */
export function Measures({
  plan,
  ticked,
  onTick,
  onChange,
  narrow = false,
}: {
  plan: PlanResponse;
  ticked?: Set<number>;
  onTick?: (i: number) => void;
  /** What the order changes in one herb: its usual amount, another herb, none of it. */
  onChange?: (c: Change) => void;
  narrow?: boolean;
}) {
  const all = measuredOut(plan.additions);
  const tight = plan.additions.length > 3;
  return (
    <section aria-labelledby="measures">
      <h2 id="measures" className="font-body font-normal text-muted text-sm [font-stretch:100%]">
        {say("sheet.measureOut")}
      </h2>
      <ul className="mt-1 border-hairline border-t">
        {all.map(({ index: i, lead, name, amounts: a, figure, herbs, slug }) => (
          <li
            key={i}
            className={`grid grid-cols-[5.6rem_minmax(0,1fr)] items-baseline gap-x-4 border-hairline border-b ${narrow ? "" : "sm:grid-cols-[5.6rem_minmax(0,1fr)_minmax(0,8.75rem)]"} ${tight ? "py-1" : "py-2"} ${ticked?.has(i) ? "text-muted" : ""}`}
          >
            <Why what={say("sheet.grams", { name })} of={figure} className="relative text-right max-sm:reach">
              <span className="figure text-[1.7rem] leading-none">{apart("mass", a.grams).number}</span>
              <span className="ml-1.5 text-muted">{apart("mass", a.grams).unit}</span>
            </Why>
            <div className="min-w-0">
              {onTick ? (
                <label className="relative flex items-baseline gap-2 font-semibold max-sm:reach">
                  <input
                    type="checkbox"
                    className="size-4 accent-[var(--herb)]"
                    checked={ticked?.has(i)}
                    onChange={() => onTick(i)}
                  />
                  {name}
                </label>
              ) : (
                <span className="block font-semibold">{name}</span>
              )}
              <span className="block text-muted text-sm">{where(lead, plan)}</span>
              <Herbs of={herbs} />
              <Open a={a} slug={slug} onChange={onChange} />
            </div>
            <div className={`min-w-0 ${narrow ? "col-start-2" : "max-sm:col-start-2"}`}>
              {a.weigh ? (
                <span className="block font-semibold text-amber-text">{say("sheet.weighThisOne")}</span>
              ) : (
                <span className="block">{say("sheet.measure", { measure: a.measure, to: a.measureTo })}</span>
              )}
              <span className="block text-muted text-sm">{spread(a, lead)}</span>
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What of each herb is in so much of a blend. */
function Herbs({ of }: { of: Out["herbs"] }) {
  if (of.length === 0) return null;
  return (
    <ul className="text-muted text-sm">
      {of.map(({ index, addition: a }) => (
        <li key={index}>
          <Why what={say("sheet.gramsCommon", { common: a.common })} of={`additions.${index}.grams`}>
            {grams(a.grams)}
          </Why>{" "}
          {a.common.toLowerCase()}
        </li>
      ))}
    </ul>
  );
}

/** What the recipe leaves to the cook, and what is usual: each one click. */
function Open({ a, slug, onChange }: { a: Out["amounts"]; slug: string; onChange?: (c: Change) => void }) {
  const { usualLowG: low, usualHighG: high, usualG: usual, usualAsWrittenG: written, usualSide: off } = a;
  const choices = [
    ...(off && usual !== undefined && written !== undefined && onChange
      ? [{ words: say("sheet.take", { weight: grams(usual) }), change: { herb: slug, perCupG: written } }]
      : []),
    ...(a.optional && onChange ? [{ words: say("sheet.leaveItOut"), change: { herb: slug } }] : []),
    ...(onChange
      ? (a.or ?? []).map((o) => ({
          words: say("sheet.takeInstead", { common: o.common }),
          change: { herb: slug, with: o.herb },
        }))
      : []),
  ];
  if (!off && choices.length === 0) return null;
  return (
    <span className="flex flex-wrap gap-x-3 text-sm">
      {off && low !== undefined && high !== undefined && (
        <span className="text-muted">
          <Said of="sheet.thanUsualACup" off={off} weight={range("mass", low, high)} />
        </span>
      )}
      {choices.map((c) => (
        <button
          key={c.words}
          type="button"
          className="no-print min-h-6 max-sm:min-h-11 underline underline-offset-4"
          onClick={() => onChange?.(c.change)}
        >
          {c.words}
        </button>
      ))}
    </span>
  );
}

/** "dried, sliced · into the cold water". */
function where(a: AdditionLine, plan: PlanResponse): string {
  return [plantWords(a), a.perCup ? say("sheet.intoTheCup", { cup: a.inCup }) : placeOf(a, plan)]
    .filter(Boolean)
    .join(" · ");
}

/** "dried, sliced"; nothing for what comes out of a jar as it is. */
function plantWords(a: AdditionLine): string {
  if (a.blend) return say("sheet.blendOfTheHouse");
  if (a.perCup && a.form === "fresh" && a.cut === "whole") return "";
  const cut = a.cut === "whole" ? "" : cutSaid(a.cut);
  // "crushed" already says "crush".
  const prep = a.prep && !a.prep.includes(a.cut) && !cut.startsWith(a.prep) ? a.prep : "";
  return [formSaid(a.form), cut, prep].filter(Boolean).join(", ");
}

function placeOf(a: AdditionLine, plan: PlanResponse): string {
  const stage = stagesOf(plan.steps).find((s) => s.stage === a.stage);
  if (a.stage === 0) {
    return stagesOf(plan.steps).some((s) => s.stage === 0 && s.kind === "pour")
      ? say("sheet.hotWaterOverIt")
      : say("sheet.intoTheColdWater");
  }
  if (stage?.kind === "rest") return say("sheet.whenTheFlameIsOff");
  if (stage?.kind === "pour") return say("sheet.hotWaterOverIt");
  return stage ? say("sheet.whenItComesToThe", { stage: stage.kind }) : "";
}

function spread(a: Out["amounts"], lead: AdditionLine): string {
  if (!a.weigh) return say("sheet.bySpoon", { weight: range("mass", a.lowG, a.highG) });
  return lead.nearest
    ? say("sheet.theWeightOfIsA", { measure: a.measure })
    : say("sheet.mayPassTheDaysLimit", { measure: a.measure });
}
