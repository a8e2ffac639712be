import type { PlanResponse } from "../../api/client";
import { grams, millilitres, share, span } from "../../parts/say";
import { say } from "../../words/say";

/** Two settings side by side: what was held against what is ordered now. */
export function WhatIf({
  held,
  plan,
  onDrop,
}: {
  held: PlanResponse;
  plan: PlanResponse;
  onDrop: () => void;
}) {
  const rows: { what: string; was: string; is: string }[] = [
    { what: say("sheet.strengthWithin"), was: share(held.strength), is: share(plan.strength) },
    { what: say("sheet.aroma"), was: share(held.aroma), is: share(plan.aroma) },
    { what: say("sheet.bitternessAndTannin"), was: share(held.bite), is: share(plan.bite) },
    { what: say("sheet.waterIn"), was: millilitres(held.water.startMl), is: millilitres(plan.water.startMl) },
    {
      what: say("sheet.strained"),
      was: millilitres(held.water.yieldMl),
      is: millilitres(plan.water.yieldMl),
    },
    { what: say("sheet.time"), was: span(held.totalS), is: span(plan.totalS) },
    ...held.additions.flatMap((a, i) => {
      const now = plan.additions[i];
      return now && now.herb === a.herb && Math.abs(now.grams - a.grams) > 0.05
        ? [{ what: a.common.toLowerCase(), was: grams(a.grams), is: grams(now.grams) }]
        : [];
    }),
  ];
  return (
    <section
      aria-label={say("sheet.whatIfTitle")}
      className="flex flex-wrap items-baseline gap-x-6 gap-y-1 text-sm"
    >
      <span className="font-semibold">{say("sheet.heldDashedNow")}</span>
      {rows.map((r) => (
        <span key={r.what} className={r.was === r.is ? "text-muted" : ""}>
          {r.what} {r.was === r.is ? r.is : `${r.was} → ${r.is}`}
        </span>
      ))}
      <button type="button" className="min-h-9 max-sm:min-h-11 underline underline-offset-4" onClick={onDrop}>
        {say("sheet.letItGo")}
      </button>
    </section>
  );
}
