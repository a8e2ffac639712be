import type { CautionLine } from "../../api/client";
import { Secondary } from "../../parts/Field";
import { cupsSaid, millilitres } from "../../parts/say";
import { say } from "../../words/say";
import type { Meant } from "./doc";

/** A recipe that contradicts itself: which of the two is meant, each one tap. */
export function Decide({
  decide,
  onMeant,
}: {
  decide: NonNullable<CautionLine["decide"]>;
  onMeant: (which: Meant) => void;
}) {
  const reduced = decide.says === "reduction-stops-at";
  return (
    <span className="no-print mt-1 flex flex-wrap gap-2 text-ink">
      <Secondary onClick={() => onMeant({ meant: "cups", says: decide.says })}>
        {reduced ? say("recipe.theCupsAreMeantStop") : say("recipe.theCupsAreMeantAs")}
      </Secondary>
      <Secondary onClick={() => onMeant({ meant: "other", cups: decide.cups, cupMl: decide.cupMl })}>
        {say(reduced ? "recipe.theMarkIsMeant" : "recipe.theWaterIsMeant", {
          cups: cupsSaid(decide.cups),
          amount: millilitres(decide.cupMl),
        })}
      </Secondary>
    </span>
  );
}
