import { Link } from "react-router";
import type { BrewResponse } from "../../api/client";
import { clock, day } from "../../parts/say";
import { writeOrder } from "../sheet/order";
import { Note } from "./Note";
import { Photo } from "./Photo";
import { PlannedAndDone, SecondBrew } from "./PlannedAndDone";
import { Servings } from "./Servings";

/** The order once more: as many cups, as large and as strong, for the same occasion. */
function again(brew: BrewResponse): URLSearchParams {
  const { cups, cupMl, strength, purpose } = brew.request;
  return writeOrder({
    cups,
    cupMl,
    strength,
    purpose: purpose ?? "everyday",
    after: brew.id,
    changes: [],
    schools: {},
    tweaks: [],
    others: [],
    spent: false,
  });
}

/** A brew that came to an end: the note, beside what was planned. */
export function Finished({ brew }: { brew: BrewResponse }) {
  return (
    <div className="pt-6">
      <title>{`${brew.name} · Ember Cup`}</title>
      <p className="md:hidden">
        <Link to="/" className="relative max-sm:reach text-muted">
          ‹ Today
        </Link>
      </p>
      <h1 className="text-[2rem]">{brew.name}</h1>
      <p className="mt-1 text-muted">
        {brew.phase === "abandoned" ? "Given up " : "Made "}
        {brew.startedAt && `${day(brew.startedAt)}, ${clock(brew.startedAt)}`}
        {brew.readyAt && `–${clock(brew.readyAt)}`}
        {brew.drinkerName && `, for ${brew.drinkerName}`}
      </p>
      <div className="mt-6 grid gap-12 md:grid-cols-2">
        <section aria-labelledby="note">
          <h2 id="note" className="text-2xl">
            How was it?
          </h2>
          <Note brew={brew} />
          <Photo brew={brew} />
        </section>
        <section aria-labelledby="planned">
          <h2 id="planned" className="text-2xl">
            Planned and done
          </h2>
          <PlannedAndDone brew={brew} />
          {brew.phase === "finished" && !brew.request.recipe?.menstruum && <Servings brew={brew} />}
          <SecondBrew brew={brew} />
          <p className="mt-4 flex flex-wrap gap-x-5 gap-y-2">
            {brew.recipeId && (
              <>
                <Link
                  to={`/sheet/${brew.recipeId}?${again(brew)}`}
                  className="relative max-sm:reach underline underline-offset-4"
                >
                  {brew.note?.change ? "Again, with this change" : "Brew it again"}
                </Link>
                <Link
                  to={`/notebook?recipe=${brew.recipeId}`}
                  className="relative max-sm:reach underline underline-offset-4"
                >
                  Over time
                </Link>
              </>
            )}
            {brew.ancestorId && (
              <Link
                to={`/compare?of=${brew.ancestorId},${brew.id}`}
                className="relative max-sm:reach underline underline-offset-4"
              >
                Beside the one before
              </Link>
            )}
            <Link to="/notebook" className="relative max-sm:reach underline underline-offset-4">
              To the notebook
            </Link>
          </p>
        </section>
      </div>
    </div>
  );
}
