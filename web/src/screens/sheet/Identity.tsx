import { useQueries } from "@tanstack/react-query";
import { api, type PlanResponse } from "../../api/client";
import { keys } from "../../api/keys";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

/** Gathered herbs with a look-alike that kills: what to look for, confirmed by the cook before the sheet can be started. */
export function Identity({
  plan,
  sure,
  onSure,
}: {
  plan: PlanResponse;
  sure: string[];
  onSure: (herb: string, is: boolean) => void;
}) {
  const slugs = plan.identityChecks;
  const herbs = useQueries({
    queries: slugs.map((slug) => ({ queryKey: keys.herb(slug), queryFn: () => api.herb(slug) })),
  });
  if (slugs.length === 0) return null;
  return (
    <section aria-labelledby="identity" className="mt-3 border-amber border-l-4 pl-3">
      <h2 id="identity" className="font-body font-semibold [font-stretch:100%]">
        {say("sheet.isItWhatYouThink")}
      </h2>
      {herbs.map(({ data: h }, i) =>
        h ? (
          <div key={h.slug} className="mt-1 text-[15px]">
            {h.identity && <p>{h.identity}</p>}
            <ul className="text-sm">
              {h.lookAlikes.map((l) => (
                <li key={l.name}>
                  <strong>
                    <Said of="sheet.not" name={l.name} />
                  </strong>{" "}
                  {l.tell}
                </li>
              ))}
            </ul>
            <label className="flex min-h-11 items-center gap-2 font-semibold">
              <Said
                of="sheet.boughtOrLookedAtClosely"
                field={
                  <input
                    type="checkbox"
                    className="size-5 accent-[var(--herb)]"
                    checked={sure.includes(h.slug)}
                    onChange={(e) => onSure(slugs[i] ?? h.slug, e.target.checked)}
                  />
                }
                common={h.common.toLowerCase()}
              />
            </label>
          </div>
        ) : null,
      )}
      <p className="text-muted text-sm">{say("sheet.ifInDoubtLeaveIt")}</p>
    </section>
  );
}
