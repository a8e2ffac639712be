import { Popover } from "radix-ui";
import { Fragment } from "react";
import { say } from "../words/say";

/** Terms of the trade that stay, each in one line a cook would say; the longest that fits is the one meant. */
export const GLOSSES: Record<string, string> = {
  infusion: say("common.hotWaterPouredOverThe"),
  decoction: say("common.herbsSimmeredInWaterFor"),
  maceration: say("common.herbsLeftToStandIn"),
  marc: say("common.theHerbsThatAreLeft"),
  menstruum: say("common.theLiquidThatDrawsThe"),
  tincture: say("common.herbsThatStoodForWeeks"),
  concentrate: say("common.aStrongBrewThinnedWith"),
  mucilage: say("common.whatMakesABrewOf"),
  tannin: say("common.whatMakesABrewDry"),
  liquor: say("common.theBrewWithoutItsHerbs"),
  posology: say("common.howMuchHowOftenAnd"),
  monograph: say("common.whatAMedicinesAgencyHas"),
  folk: say("common.asItIsHandedDown"),
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
            <span className="sr-only">{`, ${say("common.whatIsIt")}`}</span>
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
