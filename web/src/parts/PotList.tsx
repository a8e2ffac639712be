import type { ReactNode } from "react";
import { Link } from "react-router";
import type { MarkLine, RecipeResponse } from "../api/client";
import { Thumb } from "../drawings/Thumb";
import { kindSaid } from "../words/kinds";
import { Said } from "../words/Said";
import { say } from "../words/say";
import { span } from "./say";

/** The grid of a pot's line, whatever it does when it is clicked. */
export const POT_LINE =
  "grid w-full grid-cols-[1fr_auto] items-center gap-x-6 gap-y-1 py-2.5 text-left hover:bg-strip md:grid-cols-[minmax(0,1fr)_220px_132px] md:px-2";

/** Behind a pot's name: that the household likes it best. */
export function Favourite() {
  return (
    <span className="ml-2 inline-block">
      <FavouriteMark />
      <span className="sr-only">{`, ${say("common.aFavourite")}`}</span>
    </span>
  );
}

/** A cup filled to the brim: the household's own mark on what it likes best. */
export function FavouriteMark() {
  return (
    <svg width={17} height={13} aria-hidden className="inline-block">
      <path d="M1,1 L3,12 H10 L12,1 Z" fill="var(--ember)" />
      <path d="M12,3 q4,0 3.4,2.6 t-4.4,2.6" fill="none" stroke="var(--ember)" strokeWidth={1.8} />
    </svg>
  );
}

/** A pot as it stands in a list: name, what it is for, fire line, times; `children` under the name. */
export function PotLine({
  pot,
  children,
}: {
  pot: Pick<RecipeResponse, "about" | "recipe" | "thumb"> &
    Partial<Pick<RecipeResponse, "favourite" | "words">>;
  children?: ReactNode;
}) {
  return (
    <>
      <span className="min-w-0">
        <span className="block font-display font-semibold text-xl leading-tight [font-stretch:82%]">
          {pot.recipe.name}
          {pot.favourite && <Favourite />}
        </span>
        <span className="line-clamp-1 block text-muted text-sm">{pot.about}</span>
        {pot.words && pot.words.length > 0 && (
          <span className="block text-muted text-sm">
            <Said of="common.ourWords" words={pot.words.join(", ")} />
          </span>
        )}
        {children}
      </span>
      <span className="max-md:col-span-2 max-md:row-start-2">
        <Thumb
          thumb={pot.thumb}
          label={say("common.fireLineOf", {
            name: pot.recipe.name,
            stages: pot.thumb.segments.map((s) => kindSaid("stage", s.kind)).join(", "),
          })}
        />
      </span>
      <span className="text-right text-sm">
        <span className="figure block text-xl">{span(pot.thumb.minutes * 60)}</span>
        <span className="block text-muted">
          <Said of="common.byHand" time={span(pot.thumb.handsOnMinutes * 60)} />
        </span>
        <span className="block text-muted">{say("common.cups", { n: pot.recipe.cups ?? 1 })}</span>
      </span>
    </>
  );
}

/** Recipes as lines: name, what it is for, its thumb-sized fire line, the times, and what it has to say to a drinker. */
export function PotList({
  recipes,
  marks,
  who,
  lacks,
  to = (r) => `/sheet/${r.id}${who ? `?who=${who}` : ""}`,
}: {
  recipes: RecipeResponse[];
  marks?: MarkLine[];
  /** The drinker the sheet is opened for. */
  who?: string;
  /** Where a pot leads; to its sheet when nothing is said. */
  to?: (r: RecipeResponse) => string;
  lacks?: (r: RecipeResponse) => string[];
}) {
  return (
    <ul className="border-hairline border-t">
      {recipes.map((r) => {
        const mark = marks?.find((m) => m.recipeId === r.id);
        const gone = lacks?.(r) ?? [];
        return (
          <li key={r.id} className="border-hairline border-b">
            <Link to={to(r)} className={POT_LINE}>
              <PotLine pot={r}>
                {mark && (
                  <span
                    className={`mt-0.5 line-clamp-2 block border-l-4 pl-2 text-sm ${mark.severity === "stop" ? "border-stop text-stop" : "border-amber text-amber-text"}`}
                  >
                    <strong>{mark.severity === "stop" ? say("common.stop") : say("common.care")}</strong>{" "}
                    {mark.text}
                  </span>
                )}
                {gone.length > 0 && (
                  <span className="block text-muted text-sm">
                    <Said of="common.notInTheHouse" herbs={gone.join(", ")} />
                  </span>
                )}
              </PotLine>
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
