import { useState } from "react";
import { Link } from "react-router";
import type { BrewSheet } from "../../api/client";
import { confirm } from "../../api/outbox";
import { clock, day, FELT, grams, millilitres, span } from "../../parts/say";

const LIKING = ["not again", "hardly", "well enough", "good", "the best"];

/** A brew that came to an end: the note, beside what was planned. */
export function Finished({ brew }: { brew: BrewSheet }) {
  const [editing, setEditing] = useState(brew.note == null && brew.phase === "finished");
  const cooled = brew.plan.honeyAfterS > 0 && brew.phase === "finished";
  const honeyAt = new Date(new Date(brew.readyAt ?? brew.serverNow).getTime() + brew.plan.honeyAfterS * 1000);
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
      {cooled && honeyAt.getTime() > Date.now() && (
        <p className="mt-3 max-w-prose border-amber border-l-[5px] pl-3">
          Honey may go in from {clock(honeyAt)}, when the cup has cooled to 40 °C.
        </p>
      )}
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
        </section>
        <section aria-labelledby="planned">
          <h2 id="planned" className="text-2xl">
            Planned and done
          </h2>
          <PlannedAndDone brew={brew} />
          <p className="mt-4 flex gap-5">
            {brew.recipeId && (
              <Link to={`/sheet/${brew.recipeId}`} className="underline underline-offset-4">
                Brew it again
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

function NoteShown({ brew, onEdit }: { brew: BrewSheet; onEdit: () => void }) {
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

function NoteForm({ brew, onDone }: { brew: BrewSheet; onDone: () => void }) {
  const [felt, setFelt] = useState<number>(brew.note?.strength ?? 0);
  const [liking, setLiking] = useState<number>(brew.note?.liking ?? 0);
  const [taste, setTaste] = useState(brew.note?.taste ?? "");
  const [change, setChange] = useState(brew.note?.change ?? "");
  const field = "mt-1 w-full rounded-one border border-muted bg-transparent p-2";
  return (
    <form
      className="mt-3 flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        confirm(brew.id, { kind: "noted", strength: felt, liking: liking || undefined, taste, change });
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
      <label>
        <span className="text-muted">What it was like</span>
        <textarea
          rows={2}
          maxLength={600}
          className={field}
          value={taste}
          onChange={(e) => setTaste(e.target.value)}
          placeholder="colour, smell, taste"
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

function PlannedAndDone({ brew }: { brew: BrewSheet }) {
  const main = brew.plan.steps.filter((s) => s.stage >= 0);
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
          {millilitres(brew.plan.water.pourMl)} poured, {millilitres(brew.plan.water.yieldMl)} strained
        </dd>
      </dl>
      <table className="mt-4 w-full text-sm">
        <thead>
          <tr className="border-hairline border-b text-left text-muted">
            <th className="py-1 font-normal">Step</th>
            <th className="py-1 text-right font-normal">planned</th>
            <th className="py-1 text-right font-normal">done</th>
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
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
