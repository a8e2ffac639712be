import { Said } from "../words/Said";
import { say } from "../words/say";
import { CONDITION_GROUPS } from "./conditions";

/** What is to be minded of somebody, to be ticked; the trimester is asked beside a pregnancy. */
export function Conditions({
  conditions,
  trimester,
  onConditions,
  onTrimester,
}: {
  conditions: string[];
  trimester?: number | null;
  onConditions: (all: string[]) => void;
  onTrimester?: (t: number | undefined) => void;
}) {
  return (
    <div className="gap-x-6 sm:columns-2">
      {CONDITION_GROUPS.map((group) => (
        <fieldset key={group.of} className="mb-2 break-inside-avoid">
          <legend className="font-semibold text-sm">{group.of}</legend>
          {group.all.map(([code, words]) => (
            <div key={code}>
              <label className="flex min-h-9 max-sm:min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="size-4 shrink-0 accent-[var(--amber)]"
                  checked={conditions.includes(code)}
                  onChange={(e) =>
                    onConditions(
                      e.target.checked ? [...conditions, code] : conditions.filter((c) => c !== code),
                    )
                  }
                />
                {words}
              </label>
              {code === "pregnant" && conditions.includes("pregnant") && onTrimester && (
                <label className="ml-6 flex min-h-9 max-sm:min-h-11 items-center gap-2 text-sm">
                  <Said
                    of="common.trimester"
                    choice={
                      <select
                        className="min-h-9 max-sm:min-h-11 rounded-one border border-hairline bg-transparent px-2"
                        value={trimester ?? ""}
                        onChange={(e) =>
                          onTrimester(e.target.value === "" ? undefined : Number(e.target.value))
                        }
                      >
                        <option value="">{say("common.notKnown")}</option>
                        <option value="1">{say("common.first")}</option>
                        <option value="2">{say("common.second")}</option>
                        <option value="3">{say("common.third")}</option>
                      </select>
                    }
                  />
                </label>
              )}
            </div>
          ))}
        </fieldset>
      ))}
    </div>
  );
}
