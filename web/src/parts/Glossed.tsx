import { Popover } from "radix-ui";
import { Fragment } from "react";

/** Terms of the trade that stay, each in one line a cook would say; the longest that fits is the one meant. */
export const GLOSSES: Record<string, string> = {
  infusion: "hot water poured over the herbs, which then steep in it",
  decoction: "herbs simmered in water, for roots, barks and hard fruits",
  maceration: "herbs left to stand in cold liquid",
  marc: "the herbs that are left when the liquid is off",
  menstruum: "the liquid that draws the herbs: water, spirit, vinegar or glycerin",
  tincture: "herbs that stood for weeks in spirit, strained and taken by the drop or spoon",
  concentrate: "a strong brew, thinned with water in the cup",
  mucilage: "what makes a brew of roots and seeds thick and soothing",
  tannin: "what makes a brew dry in the mouth",
  liquor: "the brew without its herbs",
  posology: "how much, how often and for how long it is taken",
  monograph: "what a medicines agency has published about a herb: part, dose, cautions",
  folk: "as it is handed down, by spoons a cup",
};

const TERMS = new RegExp(
  `\\b(${Object.keys(GLOSSES)
    .sort((a, b) => b.length - a.length)
    .join("|")})(s?)\\b`,
  "i",
);

/** A sentence cut at its first term of the trade, and at the first of every other. */
export function parted(text: string): { words: string; gloss?: string }[] {
  const seen = new Set<string>();
  const parts: { words: string; gloss?: string }[] = [];
  let rest = text;
  for (let found = TERMS.exec(rest); found; found = TERMS.exec(rest)) {
    const term = (found[1] ?? "").toLowerCase();
    const end = found.index + found[0].length;
    const gloss = seen.has(term) ? undefined : GLOSSES[term];
    seen.add(term);
    if (found.index > 0) parts.push({ words: rest.slice(0, found.index) });
    parts.push({ words: rest.slice(found.index, end), gloss });
    rest = rest.slice(end);
  }
  if (rest) parts.push({ words: rest });
  return parts;
}

/** A sentence whose terms of the trade say in one line what they are, when they are touched. */
export function Glossed({ text }: { text: string }) {
  return parted(text).map((p, i) =>
    p.gloss ? (
      <Popover.Root key={i}>
        <Popover.Trigger asChild>
          <button
            type="button"
            className="relative underline decoration-1 decoration-dotted underline-offset-4 max-sm:reach"
          >
            {p.words}
            <span className="sr-only">, what is it?</span>
          </button>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            sideOffset={6}
            collisionPadding={12}
            aria-label={p.words}
            className="z-50 max-w-72 rounded-one border border-hairline bg-raised p-3 text-ink shadow-lg"
          >
            <strong>{p.words.toLowerCase()}</strong>: {p.gloss}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    ) : (
      <Fragment key={i}>{p.words}</Fragment>
    ),
  );
}
