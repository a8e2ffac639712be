import { api, type PlanResponse } from "../../api/client";
import { queryClient } from "../../api/queries";

/** What the household's own brews taught that moves this plan; each can be switched off or forgotten. */
export function LearnedLines({ plan }: { plan: PlanResponse }) {
  const change = async (ask: Parameters<typeof api.changeLearned>[0]) => {
    await api.changeLearned(ask);
    await queryClient.invalidateQueries({ queryKey: ["plans"] });
    await queryClient.invalidateQueries({ queryKey: ["learned"] });
  };
  return (
    <>
      {plan.learned.map((l) => (
        <p key={l.what} className="no-print mt-1 flex flex-wrap gap-x-4 text-sm">
          <span className={l.used ? "" : "text-muted line-through"}>{l.words}</span>
          <button
            type="button"
            className="underline underline-offset-4"
            onClick={() => void change({ what: l.what, used: !l.used })}
          >
            {l.used ? "do not use it" : "use it again"}
          </button>
          <button
            type="button"
            className="underline underline-offset-4"
            onClick={() => void change({ what: l.what, forget: true })}
          >
            forget it
          </button>
        </p>
      ))}
    </>
  );
}
