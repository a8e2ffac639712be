import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, type BrewResponse, type NotedRequest } from "../../api/client";
import { confirm } from "../../api/outbox";
import { queryClient } from "../../api/queries";
import { stagesOf } from "../../api/steps";
import { clock, day, FELT, grams, millilitres, span } from "../../parts/say";
import { Trouble } from "../../parts/states";
import { COLOURS, Swatch } from "./colours";
import { Honey } from "./Honey";
import { Servings } from "./Servings";

const LIKING = ["not again", "hardly", "well enough", "good", "the best"];

/** A brew that came to an end: the note, beside what was planned. */
export function Finished({ brew }: { brew: BrewResponse }) {
  const [editing, setEditing] = useState(brew.note == null && brew.phase === "finished");
  return (
    <div className="pt-6">
      <title>{`${brew.name} · Ember Cup`}</title>
      <p className="md:hidden">
        <Link to="/" className="text-muted">
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
      {brew.phase === "finished" && <Honey brew={brew} />}
      <div className="mt-6 grid gap-12 md:grid-cols-2">
        <section aria-labelledby="note">
          <h2 id="note" className="text-2xl">
            How was it?
          </h2>
          {editing ? (
            <NoteForm brew={brew} onDone={() => setEditing(false)} />
          ) : (
            <NoteShown brew={brew} onEdit={() => setEditing(true)} />
          )}
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
                  to={`/sheet/${brew.recipeId}?after=${brew.id}`}
                  className="underline underline-offset-4"
                >
                  {brew.note?.change ? "Again, with this change" : "Brew it again"}
                </Link>
                <Link to={`/notebook?recipe=${brew.recipeId}`} className="underline underline-offset-4">
                  Over time
                </Link>
              </>
            )}
            {brew.ancestorId && (
              <Link to={`/compare?of=${brew.ancestorId},${brew.id}`} className="underline underline-offset-4">
                Beside the one before
              </Link>
            )}
            <Link to="/notebook" className="underline underline-offset-4">
              To the notebook
            </Link>
          </p>
        </section>
      </div>
    </div>
  );
}

function NoteShown({ brew, onEdit }: { brew: BrewResponse; onEdit: () => void }) {
  const n = brew.note;
  return (
    <div className="mt-3">
      {n ? (
        <dl className="grid grid-cols-[8rem_1fr] gap-y-2">
          <dt className="text-muted">Strength felt</dt>
          <dd>{FELT.find((f) => f.value === n.strength)?.label}</dd>
          <dt className="text-muted">Liking</dt>
          <dd>{n.liking > 0 ? LIKING[n.liking - 1] : "not said"}</dd>
          <dt className="text-muted">What it was like</dt>
          <dd>{n.taste || "not said"}</dd>
          {(n.colour || n.clarity) && (
            <>
              <dt className="text-muted">Colour</dt>
              <dd>
                {n.colour && <Swatch colour={n.colour} words />} {n.clarity}
              </dd>
            </>
          )}
          {n.smell && (
            <>
              <dt className="text-muted">Smell</dt>
              <dd>{n.smell}</dd>
            </>
          )}
          {n.effect && (
            <>
              <dt className="text-muted">Afterwards</dt>
              <dd>{n.effect}</dd>
            </>
          )}
          {n.meanwhile && (
            <>
              <dt className="text-muted">What else</dt>
              <dd>{n.meanwhile}</dd>
            </>
          )}
          <dt className="text-muted">Next time</dt>
          <dd>{n.change || "as it was"}</dd>
        </dl>
      ) : (
        <p className="text-muted">Nothing noted.</p>
      )}
      <button type="button" className="mt-4 min-h-11 rounded-one border border-ink px-4" onClick={onEdit}>
        {n ? "Change the note" : "Note something"}
      </button>
    </div>
  );
}

function NoteForm({ brew, onDone }: { brew: BrewResponse; onDone: () => void }) {
  const [felt, setFelt] = useState<number>(brew.note?.strength ?? 0);
  const [liking, setLiking] = useState<number>(brew.note?.liking ?? 0);
  const [taste, setTaste] = useState(brew.note?.taste ?? "");
  const [change, setChange] = useState(brew.note?.change ?? "");
  const [look, setLook] = useState({
    colour: brew.note?.colour ?? "",
    clarity: brew.note?.clarity ?? "",
    smell: brew.note?.smell ?? "",
    effect: brew.note?.effect ?? "",
    meanwhile: brew.note?.meanwhile ?? "",
  });
  const field = "mt-1 w-full rounded-one border border-muted bg-transparent p-2";
  return (
    <form
      className="mt-3 flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        confirm(brew.id, {
          kind: "noted",
          strength: felt,
          liking: liking || undefined,
          taste,
          change,
          colour: (look.colour || undefined) as NotedRequest["colour"],
          clarity: (look.clarity || undefined) as NotedRequest["clarity"],
          smell: look.smell,
          effect: look.effect,
          meanwhile: look.meanwhile,
        });
        onDone();
      }}
    >
      <fieldset>
        <legend className="text-muted">Strength felt</legend>
        <div className="mt-1 flex flex-wrap gap-x-5 gap-y-1">
          {FELT.map((f) => (
            <label key={f.value} className="flex min-h-11 items-center gap-2">
              <input
                type="radio"
                name="felt"
                className="size-5 accent-[var(--ember)]"
                checked={felt === f.value}
                onChange={() => setFelt(f.value)}
              />
              {f.label}
            </label>
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend className="text-muted">Liking</legend>
        <div className="mt-1 flex flex-wrap gap-x-5 gap-y-1">
          {LIKING.map((label, i) => (
            <label key={label} className="flex min-h-11 items-center gap-2">
              <input
                type="radio"
                name="liking"
                className="size-5 accent-[var(--ember)]"
                checked={liking === i + 1}
                onChange={() => setLiking(i + 1)}
              />
              {label}
            </label>
          ))}
        </div>
      </fieldset>
      <Look look={look} onLook={setLook} field={field} />
      <label>
        <span className="text-muted">What it was like</span>
        <textarea
          rows={2}
          maxLength={600}
          className={field}
          value={taste}
          onChange={(e) => setTaste(e.target.value)}
          placeholder="round, a little bitter at the end"
        />
      </label>
      <label>
        <span className="text-muted">What to change next time</span>
        <textarea
          rows={2}
          maxLength={600}
          className={field}
          value={change}
          onChange={(e) => setChange(e.target.value)}
          placeholder="a little more bark"
        />
      </label>
      <button
        type="submit"
        className="min-h-14 rounded-one bg-ember px-6 font-semibold text-ember-ink text-lg"
      >
        Keep the note
      </button>
    </form>
  );
}

interface Looked {
  colour: string;
  clarity: string;
  smell: string;
  effect: string;
  meanwhile: string;
}

/** Colour by swatch, clarity, smell; what it did and what else was going on behind a fold. */
function Look({ look, onLook, field }: { look: Looked; onLook: (l: Looked) => void; field: string }) {
  return (
    <>
      <fieldset>
        <legend className="text-muted">Colour of the liquor</legend>
        <div className="mt-1 flex flex-wrap gap-1.5">
          {COLOURS.map((c) => (
            <label
              key={c.value}
              className="flex cursor-pointer flex-col items-center rounded-one border-2 border-transparent p-1 text-xs has-checked:border-ink has-focus-visible:outline-3 has-focus-visible:outline-water"
            >
              <input
                type="radio"
                name="colour"
                className="sr-only"
                checked={look.colour === c.value}
                onChange={() => onLook({ ...look, colour: c.value })}
                onClick={() => look.colour === c.value && onLook({ ...look, colour: "" })}
              />
              <span className="block size-9 rounded-full border border-muted" style={{ background: c.hex }} />
              {c.value}
            </label>
          ))}
        </div>
        <div className="mt-1 flex flex-wrap gap-x-5">
          {["clear", "cloudy", "sediment"].map((c) => (
            <label key={c} className="flex min-h-11 items-center gap-2">
              <input
                type="radio"
                name="clarity"
                className="size-4 accent-[var(--ink)]"
                checked={look.clarity === c}
                onChange={() => onLook({ ...look, clarity: c })}
              />
              {c === "sediment" ? "with sediment" : c}
            </label>
          ))}
        </div>
      </fieldset>
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-muted underline underline-offset-4">
          Smell, afterwards, and what else
        </summary>
        {(
          [
            ["smell", "Smell", "hay, honey, smoke", 200],
            ["effect", "Afterwards, in your own words", "slept early", 400],
            ["meanwhile", "What else was going on", "long walk, heavy supper", 400],
          ] as const
        ).map(([key, label, example, most]) => (
          <label key={key} className="mt-2 block">
            <span className="text-muted">{label}</span>
            <input
              type="text"
              maxLength={most}
              className={field}
              value={look[key]}
              placeholder={example}
              onChange={(e) => onLook({ ...look, [key]: e.target.value })}
            />
          </label>
        ))}
      </details>
    </>
  );
}

/** The one photo of a brew, kept in the household's own database. */
function Photo({ brew }: { brew: BrewResponse }) {
  const [failure, setFailure] = useState<unknown>(null);
  const [seen, setSeen] = useState(0);
  const done = async (what: () => Promise<unknown>) => {
    setFailure(null);
    try {
      await what();
      setSeen(seen + 1);
      await queryClient.invalidateQueries({ queryKey: ["brews", brew.id] });
    } catch (e) {
      setFailure(e);
    }
  };
  return (
    <div className="mt-5">
      {brew.photo && (
        <img
          src={`/api/brews/${brew.id}/photo?${seen}`}
          alt={`The cup of ${brew.name}`}
          className="max-h-72 rounded-one border border-hairline"
        />
      )}
      <p className="mt-2 flex gap-5">
        <label className="cursor-pointer underline underline-offset-4 has-focus-visible:outline-3 has-focus-visible:outline-water">
          <input
            type="file"
            accept="image/jpeg,image/png"
            className="sr-only"
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) void done(() => api.keepPhoto(brew.id, file));
              e.target.value = "";
            }}
          />
          {brew.photo ? "Another photo" : "Add a photo"}
        </label>
        {brew.photo && (
          <button
            type="button"
            className="underline underline-offset-4"
            onClick={() => void done(() => api.removePhoto(brew.id))}
          >
            Take it out
          </button>
        )}
      </p>
      {failure !== null && <Trouble error={failure} />}
    </div>
  );
}

/** What the spent herbs would still give, and the way to brew them once more. */
function SecondBrew({ brew }: { brew: BrewResponse }) {
  const again = useQuery({
    queryKey: ["plans", "spent", brew.id],
    queryFn: () => api.plan({ ...brew.request, startAt: undefined, readyAt: undefined, spentHerbs: true }),
    enabled: brew.phase === "finished" && !brew.request.spentHerbs && !brew.request.recipe?.menstruum,
    staleTime: 60_000,
  });
  if (!again.data || !brew.recipeId) return null;
  return (
    <p className="mt-4 max-w-prose border-herb border-l-[5px] pl-3">
      The spent herbs once more would make a cup of {again.data.strength.toFixed(1)}, from what is left in
      them.{" "}
      <Link to={`/sheet/${brew.recipeId}?spent=1&after=${brew.id}`} className="underline underline-offset-4">
        Plan the second brew
      </Link>
      , or compost them.
    </p>
  );
}

function PlannedAndDone({ brew }: { brew: BrewResponse }) {
  const main = stagesOf(brew.plan.steps);
  const turns = brew.events.filter((e) => e.kind === "turned");
  return (
    <div className="mt-3">
      <dl className="grid grid-cols-[8rem_1fr] gap-y-1.5">
        <dt className="text-muted">Strength</dt>
        <dd>
          planned {brew.plan.strength.toFixed(2)}, as it went {brew.strength.toFixed(2)}
        </dd>
        <dt className="text-muted">Herbs</dt>
        <dd>{brew.plan.additions.map((a) => `${grams(a.grams)} g ${a.common.toLowerCase()}`).join(", ")}</dd>
        <dt className="text-muted">Water</dt>
        <dd>
          {millilitres(brew.plan.water.pourMl)} in, planned {millilitres(brew.plan.water.yieldMl)} strained,
          as it went {millilitres(brew.leftMl + brew.pouredMl)}
        </dd>
        {turns.length > 0 && (
          <>
            <dt className="text-muted">By hand</dt>
            <dd>{turns.map((e) => `${clock(e.at)} ${e.text}`).join(", ")}</dd>
          </>
        )}
      </dl>
      <table className="mt-4 w-full text-sm">
        <thead>
          <tr className="border-hairline border-b text-left text-muted">
            <th className="py-1 font-normal">Step</th>
            <th className="py-1 text-right font-normal">planned</th>
            <th className="py-1 pl-3 text-right font-normal">done</th>
          </tr>
        </thead>
        <tbody>
          {main.map((s) => {
            const live = brew.steps.find((l) => l.key === s.key);
            const took =
              live?.beganAt && live.doneAt
                ? (new Date(live.doneAt).getTime() - new Date(live.beganAt).getTime()) / 1000
                : null;
            return (
              <tr key={s.key} className="border-hairline border-b align-baseline">
                <td className="py-1.5 pr-3">{s.label}</td>
                <td className="whitespace-nowrap py-1.5 text-right">{span(s.durationS)}</td>
                <td className="whitespace-nowrap py-1.5 pl-3 text-right">
                  {took === null ? "–" : span(took)}
                  {live?.sign && <span className="block text-muted">by its {live.sign}</span>}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
