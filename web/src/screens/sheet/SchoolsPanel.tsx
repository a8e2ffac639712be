import { useHoldTo } from "../../api/changes";
import type { PlanResponse } from "../../api/client";
import { useSchools } from "../../api/queries";
import { Panel } from "../../parts/Panel";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

/** Where practitioners disagree: what this cook holds to, with the default of the tradition and its why. */
export function SchoolsPanel({
  plan,
  onPick,
  onClose,
}: {
  plan: PlanResponse;
  onPick: (question: string, choice: string | undefined) => void;
  onClose: () => void;
}) {
  const schools = useSchools();
  const holdTo = useHoldTo();
  // For every pot of the household; the order need not say it any more.
  const hold = (question: string, choice: string | undefined) =>
    holdTo.mutate({ question, choice }, { onSuccess: () => onPick(question, undefined) });
  return (
    <Panel open wide onOpenChange={(o) => !o && onClose()} title={say("sheet.waysOfMaking")}>
      <p className="text-muted">
        <Said of="sheet.practitionersDifferOnTheseHow" tradition={plan.tradition} />
      </p>
      <ul className="mt-3 grid gap-x-8 gap-y-4 sm:grid-cols-2">
        {schools.data?.map((s) => {
          const usual = s.household ?? s.defaults[plan.tradition];
          const chosen = plan.schools[s.question] ?? usual ?? "";
          return (
            <li key={s.question}>
              <label className="block">
                <span className="font-semibold">{s.words}</span>
                <select
                  value={chosen}
                  onChange={(e) => onPick(s.question, e.target.value === usual ? undefined : e.target.value)}
                  className="mt-0.5 min-h-11 w-full border-ink border-b-2 bg-transparent px-1"
                >
                  {s.choices.map((c) => (
                    <option key={c.choice} value={c.choice} className="bg-raised text-ink">
                      {say("sheet.choice", { words: c.words, usual: c.choice === usual })}
                    </option>
                  ))}
                </select>
              </label>
              <span className="block text-muted text-sm">{s.why}</span>
              {chosen !== usual && (
                <button
                  type="button"
                  className="min-h-9 max-sm:min-h-11 text-sm underline underline-offset-4"
                  onClick={() => hold(s.question, chosen)}
                >
                  {say("sheet.alwaysSoInThisHouse")}
                </button>
              )}
              {s.household && chosen === s.household && (
                <button
                  type="button"
                  className="min-h-9 max-sm:min-h-11 text-sm underline underline-offset-4"
                  onClick={() => hold(s.question, undefined)}
                >
                  {say("sheet.theWayOfThisHouse")}
                </button>
              )}
            </li>
          );
        })}
      </ul>
    </Panel>
  );
}
