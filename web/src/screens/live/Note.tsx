import { RadioGroup } from "radix-ui";
import { useState } from "react";
import type { BrewResponse, NotedRequest } from "../../api/client";
import * as length from "../../api/length.gen";
import { confirm } from "../../api/outbox";
import { Choice } from "../../parts/Choice";
import { LIKINGS, Liking, likingWords } from "../../parts/Liking";
import { FELT } from "../../parts/say";
import { say } from "../../words/say";
import { COLOURS, Swatch } from "./colours";

/** How the cup was: what is kept, or the form for it. */
export function Note({ brew }: { brew: BrewResponse }) {
  const [editing, setEditing] = useState(brew.note == null && brew.phase === "finished");
  return editing ? (
    <NoteForm brew={brew} onDone={() => setEditing(false)} />
  ) : (
    <NoteShown brew={brew} onEdit={() => setEditing(true)} />
  );
}

function NoteShown({ brew, onEdit }: { brew: BrewResponse; onEdit: () => void }) {
  const n = brew.note;
  return (
    <div className="mt-3">
      {n ? (
        <dl className="grid grid-cols-[8rem_1fr] gap-y-2">
          <dt className="text-muted">{say("live.strengthFelt")}</dt>
          <dd>{FELT.find((f) => f.value === n.strength)?.label ?? say("live.notSaid")}</dd>
          <dt className="text-muted">{say("live.liking")}</dt>
          <dd>
            {n.liking > 0 && <Liking of={n.liking} className="mr-2" />}
            {likingWords(n.liking)}
          </dd>
          <dt className="text-muted">{say("live.whatItWasLike")}</dt>
          <dd>{n.taste || say("live.notSaid")}</dd>
          {(n.colour || n.clarity) && (
            <>
              <dt className="text-muted">{say("live.colour")}</dt>
              <dd>
                {n.colour && <Swatch colour={n.colour} words />} {n.clarity}
              </dd>
            </>
          )}
          {n.smell && (
            <>
              <dt className="text-muted">{say("live.smell")}</dt>
              <dd>{n.smell}</dd>
            </>
          )}
          {n.effect && (
            <>
              <dt className="text-muted">{say("live.afterwards")}</dt>
              <dd>{n.effect}</dd>
            </>
          )}
          {n.meanwhile && (
            <>
              <dt className="text-muted">{say("live.whatElse")}</dt>
              <dd>{n.meanwhile}</dd>
            </>
          )}
          <dt className="text-muted">{say("live.nextTime")}</dt>
          <dd>{n.change || say("live.asItWas")}</dd>
        </dl>
      ) : (
        <p className="text-muted">{say("live.nothingNoted")}</p>
      )}
      <button type="button" className="mt-4 min-h-14 rounded-one border border-ink px-4" onClick={onEdit}>
        {n ? say("live.changeTheNote") : say("live.noteSomething")}
      </button>
    </div>
  );
}

function NoteForm({ brew, onDone }: { brew: BrewResponse; onDone: () => void }) {
  const [felt, setFelt] = useState<number | undefined>(brew.note?.strength);
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
      <Choice
        label={say("live.strengthFelt")}
        value={felt === undefined ? "" : String(felt)}
        options={FELT.map((f) => ({ value: String(f.value), label: f.label }))}
        onPick={(v) => setFelt(Number(v))}
      />
      <Choice
        label={say("live.liking")}
        value={String(liking)}
        options={LIKINGS}
        onPick={(v) => setLiking(Number(v))}
      />
      <Look look={look} onLook={setLook} field={field} />
      <label>
        <span className="text-muted">{say("live.whatItWasLike")}</span>
        <textarea
          rows={2}
          maxLength={length.NOTE}
          className={field}
          value={taste}
          onChange={(e) => setTaste(e.target.value)}
          placeholder={say("live.roundALittleBitterAt")}
        />
      </label>
      <label>
        <span className="text-muted">{say("live.whatToChangeNextTime")}</span>
        <textarea
          rows={2}
          maxLength={length.NOTE}
          className={field}
          value={change}
          onChange={(e) => setChange(e.target.value)}
          placeholder={say("live.aLittleMoreBark")}
        />
        <span className="text-muted text-sm">{say("live.theSheetDoesForYou")}</span>
      </label>
      <div className="-mt-2 flex flex-wrap gap-2">
        {["stronger", "weaker", say("live.5MinLonger"), say("live.5MinShorter")].map((w) => (
          <button
            key={w}
            type="button"
            className="min-h-11 rounded-one border border-hairline px-3 max-md:min-h-14"
            onClick={() => setChange(change.trim() ? `${change.trim().replace(/[.;,]$/, "")}; ${w}` : w)}
          >
            {w}
          </button>
        ))}
      </div>
      <button
        type="submit"
        className="min-h-14 rounded-one bg-ember px-6 font-semibold text-ember-ink text-lg"
      >
        {say("live.keepTheNote")}
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
      <div>
        <span className="text-muted" id="liquor">
          {say("live.colourOfTheLiquor")}
        </span>
        <RadioGroup.Root
          aria-labelledby="liquor"
          value={look.colour}
          onValueChange={(colour) => onLook({ ...look, colour })}
          className="mt-1 flex flex-wrap gap-1.5"
        >
          {COLOURS.map((c) => (
            <span
              key={c.value}
              className="flex flex-col items-center rounded-one border-2 border-transparent p-1 text-xs has-aria-checked:border-ink"
            >
              <RadioGroup.Item
                id={`liquor-${c.value}`}
                value={c.value}
                onClick={() => look.colour === c.value && onLook({ ...look, colour: "" })}
                className="block size-9 rounded-full border border-muted"
                style={{ background: c.hex }}
              />
              <label htmlFor={`liquor-${c.value}`} className="cursor-pointer">
                {c.value}
              </label>
            </span>
          ))}
        </RadioGroup.Root>
        <Choice
          quiet
          label={say("live.howClearItIs")}
          value={look.clarity}
          options={["clear", "cloudy", "sediment"].map((c) => ({
            value: c,
            label: c === "sediment" ? say("live.withSediment") : c,
          }))}
          onPick={(clarity) => onLook({ ...look, clarity })}
        />
      </div>
      <details>
        <summary className="min-h-14 cursor-pointer py-2 text-muted underline underline-offset-4">
          {say("live.smellAfterwardsAndWhatElse")}
        </summary>
        {(
          [
            ["smell", say("live.smell"), "hay, honey, smoke", length.LINE],
            ["effect", say("live.afterwardsInYourOwnWords"), say("live.sleptEarly"), length.REMARK],
            ["meanwhile", say("live.whatElseWasGoingOn"), say("live.longWalkHeavySupper"), length.REMARK],
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
