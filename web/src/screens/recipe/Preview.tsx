import { useMemo } from "react";
import type { RecipeDocument } from "../../api/client";
import { usePlan } from "../../api/queries";
import { FireLine } from "../../drawings/FireLine";
import { grams, millilitres, span } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { Trouble } from "../../parts/states";

/** What the recipe would make as it stands, in a standard kitchen of this household. */
export function Preview({ recipe }: { recipe: RecipeDocument }) {
  const box = useWidth(380);
  const ready =
    recipe.name?.trim() && (recipe.additions ?? []).every((a) => a.herb) && recipe.additions?.length;
  const asked = useMemo(
    () => ({
      recipe: { ...recipe, stages: recipe.stages?.length ? recipe.stages : undefined },
      startAt: new Date(0).toISOString(),
    }),
    [recipe],
  );
  const plan = usePlan(asked, Boolean(ready));
  return (
    <section aria-labelledby="preview" ref={box.ref}>
      <h2 id="preview" className="text-xl">
        What it makes
      </h2>
      {!ready && (
        <p className="mt-1 text-muted">Give it a name and choose its herbs; the pot is reckoned here.</p>
      )}
      {ready && plan.error && <Trouble error={plan.error} />}
      {ready && plan.data && !plan.error && (
        <>
          <p className="mt-1">
            {millilitres(plan.data.water.startMl)} in, {millilitres(plan.data.water.yieldMl)} strained, in{" "}
            {span(plan.data.totalS)}.{" "}
            {plan.data.additions.map((a) => `${grams(a.grams)} g ${a.common.toLowerCase()}`).join(", ")}.
          </p>
          <div className="mt-2">
            <FireLine
              steps={plan.data.steps}
              curve={plan.data.curve}
              additions={plan.data.additions}
              start={new Date(0)}
              totalS={plan.data.totalS}
              stageStartS={plan.data.stageStartS}
              startMl={plan.data.water.startMl}
              yieldMl={plan.data.water.yieldMl}
              strength={plan.data.strength}
              width={box.width}
              height={110}
            />
          </div>
          <ul className="mt-2 flex flex-col gap-1.5 text-[15px]">
            {plan.data.cautions
              .filter((c) => c.severity !== "note" || c.code === "recipe-contradicts-itself")
              .map((c) => (
                <li
                  key={c.code + c.text}
                  className={`border-l-4 pl-2 ${c.severity === "stop" ? "border-stop" : "border-amber"}`}
                >
                  {c.text}
                </li>
              ))}
          </ul>
        </>
      )}
    </section>
  );
}
