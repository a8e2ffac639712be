import { Link, useNavigate } from "react-router";
import { useRemoveBrew } from "../../api/changes";
import type { BrewResponse } from "../../api/client";
import { useRecipe } from "../../api/queries";
import { measuredOut } from "../../parts/measured";
import { clock, day, forWhom } from "../../parts/say";
import { TakeAway } from "../../parts/TakeAway";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { writeOrder } from "../sheet/order";
import { asNoted, sameOrder } from "./again";
import { Note } from "./Note";
import { Photo } from "./Photo";
import { PlannedAndDone, SecondBrew } from "./PlannedAndDone";
import { Servings } from "./Servings";

/** Deletes it with its note and its photo. */
function Remove({ brew }: { brew: BrewResponse }) {
  const navigate = useNavigate();
  const remove = useRemoveBrew();
  return (
    <div className="mt-6 text-sm">
      <TakeAway
        name={brew.name}
        words={say("live.deleteThisBrew")}
        sureWords={say("live.yesDeleteItWithIts")}
        error={remove.error}
        onTake={() => remove.mutate(brew.id, { onSuccess: () => navigate("/notebook") })}
      />
    </div>
  );
}

/** A brew that came to an end: the note, beside what was planned. */
export function Finished({ brew }: { brew: BrewResponse }) {
  const whom = forWhom(brew.drinkerName, brew.plan.others, brew.plan.cupMl);
  return (
    <div className="pt-6">
      <title>{say("live.emberCup", { name: brew.name })}</title>
      <p className="md:hidden">
        <Link to="/" className="relative max-sm:reach text-muted">
          {say("live.today")}
        </Link>
      </p>
      <h1 className="text-[2rem]">{brew.name}</h1>
      <p className="mt-1 text-muted">
        {say("live.madeWhen", {
          givenUp: brew.phase === "abandoned",
          day: brew.startedAt && day(brew.startedAt),
          from: brew.startedAt && clock(brew.startedAt),
          to: brew.readyAt && clock(brew.readyAt),
          whom,
        })}
      </p>
      <div className="mt-6 grid grid-cols-[minmax(0,1fr)] gap-12 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        <section aria-labelledby="note">
          <h2 id="note" className="text-2xl">
            {say("live.howWasIt")}
          </h2>
          <Note brew={brew} />
          <Photo brew={brew} />
          <Remove brew={brew} />
        </section>
        <section aria-labelledby="planned">
          <h2 id="planned" className="text-2xl">
            {say("live.plannedAndDone")}
          </h2>
          <PlannedAndDone brew={brew} />
          {brew.phase === "finished" && <Servings brew={brew} />}
          <SecondBrew brew={brew} />
          <p className="mt-4 flex flex-wrap gap-x-5 gap-y-2">
            {brew.recipeId && (
              <>
                <Again brew={brew} />
                <Link
                  to={`/notebook?recipe=${brew.recipeId}`}
                  className="relative max-sm:reach underline underline-offset-4"
                >
                  {say("live.overTime")}
                </Link>
              </>
            )}
            {brew.ancestorId && (
              <Link
                to={`/compare?of=${brew.ancestorId},${brew.id}`}
                className="relative max-sm:reach underline underline-offset-4"
              >
                {say("live.besideTheOneBefore")}
              </Link>
            )}
            <Link to="/notebook" className="relative max-sm:reach underline underline-offset-4">
              {say("live.toTheNotebook")}
            </Link>
          </p>
        </section>
      </div>
    </div>
  );
}

/** The same order once more, with what the note wants changed as far as the sheet can do it. */
function Again({ brew }: { brew: BrewResponse }) {
  const kept = useRecipe(brew.recipeId ?? "").data?.recipe;
  const order = { ...sameOrder(brew, kept), after: brew.id };
  const named = measuredOut(brew.plan.additions).map((o) => ({ herb: o.slug, name: o.name }));
  const change = brew.note?.change ?? "";
  const noted = kept && change ? asNoted(change, order, kept, named) : undefined;
  return (
    <>
      <Link
        to={`/sheet/${brew.recipeId}?${writeOrder(noted?.order ?? order)}`}
        className="relative font-semibold max-sm:reach underline underline-offset-4"
      >
        {noted && noted.done.length > 0 ? say("live.againWithThisChange") : say("live.brewItAgain")}
      </Link>
      {noted && noted.left.length > 0 && (
        <span className="w-full text-muted text-sm">
          <Said of="live.leftToYouAsThe" changes={noted.left.join("; ")} />
        </span>
      )}
    </>
  );
}
