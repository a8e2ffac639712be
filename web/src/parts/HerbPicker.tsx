import { Popover } from "radix-ui";
import { useId, useState } from "react";
import * as length from "../api/length.gen";
import { useFoundHerbs, useHerbs } from "../api/queries";
import { say } from "../words/say";

/** A herb by any of its names; typing errors are forgiven by the server's search. */
export function HerbPicker({
  value,
  onPick,
  label = say("common.herb"),
  wrong,
  hint = "herb",
}: {
  value: string;
  /** @param typed what was typed to find it: "fresh ginger" says more than its name */
  onPick: (slug: string, typed: string) => void;
  label?: string;
  wrong?: string;
  /** What stands there while nothing is chosen. */
  hint?: string;
}) {
  const id = useId();
  const herbs = useHerbs();
  const [typed, setTyped] = useState<string | null>(null);
  const [at, setAt] = useState(0);
  const found = useFoundHerbs(typed ?? "");
  const shown = typed ?? herbs.data?.find((h) => h.slug === value)?.common ?? value;
  const hits = typed === null ? [] : (found.data ?? []).filter((h) => !h.stop).slice(0, 8);
  const stale = found.isPlaceholderData;
  const pick = (slug: string) => {
    if (stale) return;
    onPick(slug, typed ?? "");
    setTyped(null);
    setAt(0);
  };
  return (
    <Popover.Root open={typed !== null && typed !== "" && hits.length > 0}>
      <label htmlFor={id} className="sr-only">
        {label}
      </label>
      <Popover.Anchor asChild>
        <input
          id={id}
          type="text"
          role="combobox"
          autoComplete="off"
          maxLength={length.HERB_NAME}
          aria-expanded={hits.length > 0}
          aria-controls={`${id}-list`}
          aria-activedescendant={hits[at] ? `${id}-${hits[at].slug}` : undefined}
          aria-invalid={wrong ? true : undefined}
          placeholder={hint}
          value={shown}
          onChange={(e) => {
            setTyped(e.target.value);
            setAt(0);
          }}
          onFocus={(e) => e.target.select()}
          onBlur={() => setTyped(null)}
          onKeyDown={(e) => {
            if (e.key === "ArrowDown") setAt(Math.min(at + 1, hits.length - 1));
            else if (e.key === "ArrowUp") setAt(Math.max(at - 1, 0));
            else if (e.key === "Enter" && hits[at]) pick(hits[at].slug);
            else if (e.key === "Escape") setTyped(null);
            else return;
            e.preventDefault();
          }}
          className="min-h-11 w-full border-ink border-b-2 bg-transparent px-1 font-semibold placeholder:font-normal placeholder:text-muted aria-[invalid=true]:border-stop"
        />
      </Popover.Anchor>
      {wrong && <p className="text-sm text-stop">{wrong}</p>}
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          onOpenAutoFocus={(e) => e.preventDefault()}
          className={`z-50 w-72 rounded-one border border-hairline bg-raised shadow-lg ${stale ? "pointer-events-none" : ""}`}
        >
          <div id={`${id}-list`} role="listbox" aria-label={say("common.herbsFound")}>
            {hits.map((h, i) => (
              <div
                key={h.slug}
                id={`${id}-${h.slug}`}
                role="option"
                tabIndex={-1}
                aria-selected={i === at}
                onPointerDown={(e) => {
                  e.preventDefault();
                  pick(h.slug);
                }}
                className="cursor-pointer border-hairline border-b px-3 py-2 last:border-b-0 hover:bg-strip aria-selected:bg-strip"
              >
                <span className="font-semibold">{h.common}</span>
                {h.part === "blend" ? (
                  <span className="block text-muted text-sm">{say("common.blendOfTheHouse")}</span>
                ) : (
                  <span className="block text-muted text-sm italic">{h.latin}</span>
                )}
              </div>
            ))}
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
