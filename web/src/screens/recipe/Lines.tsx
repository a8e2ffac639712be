import type { AdditionDocument, HerbLine, QuestionLine, RecipeDocument, WrittenLine } from "../../api/client";
import { HerbPicker } from "../../parts/HerbPicker";
import type { Out } from "../../parts/measured";
import { capital } from "../../parts/say";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { AdditionWords } from "./AdditionWords";
import type { Wrong } from "./draft";

const MARK: Record<string, string> = {
  read: "underline decoration-herb decoration-2 underline-offset-4",
  asked: "underline decoration-amber decoration-2 decoration-dotted underline-offset-4",
  kept: "text-muted",
};

interface LinesProps {
  recipe: RecipeDocument;
  /** The line that each addition was read from; −1 for one by hand. */
  from: number[];
  lines: WrittenLine[];
  herbs: HerbLine[];
  /** What is measured out for the lines, as far as it is planned. */
  planned: Out[];
  wrong: Wrong;
  onChange: (i: number, part: Partial<AdditionDocument>) => void;
  onRemove: (i: number) => void;
  /** @param typed what was typed to find it */
  onAdd: (herb: HerbLine, typed: string) => void;
  onAnswer: (line: number, ask: QuestionLine, value: string) => void;
}

/** Each line as it was written beside what was read of it; a question is answered at its line. */
export function Lines(props: LinesProps) {
  const { recipe, from, lines, herbs, onAdd } = props;
  const additions = recipe.additions ?? [];
  const byHand = additions.map((_, i) => i).filter((i) => (from[i] ?? -1) < 0);
  return (
    <section aria-labelledby="lines" className="mt-5">
      <h2 id="lines" className={lines.length > 0 ? "sr-only" : "text-xl"}>
        {say("recipe.herbs")}
      </h2>
      {lines.length > 0 && (
        <div
          aria-hidden
          className="hidden gap-x-8 text-muted text-sm md:grid md:grid-cols-[24rem_minmax(0,1fr)]"
        >
          <span>{say("recipe.asItWasWritten")}</span>
          <span>{say("recipe.asItIsRead")}</span>
        </div>
      )}
      <ol aria-label={say("recipe.whatWasRead")} className="border-hairline border-t empty:border-t-0">
        {lines.map((l, i) => (
          <Row key={i} {...props} line={l} at={i} />
        ))}
      </ol>
      <ul
        aria-label={say("recipe.herbsByHand")}
        className={lines.length > 0 ? "" : "border-hairline border-t empty:border-t-0"}
      >
        {byHand.map((i) => (
          <li key={i} className="border-hairline border-b py-2.5">
            <Addition {...props} i={i} />
          </li>
        ))}
      </ul>
      <div className="mt-2 max-w-80">
        <HerbPicker
          label={say("recipe.herbCount", { count: additions.length + 1 })}
          hint={additions.length === 0 ? say("recipe.aHerb1InchFresh") : say("recipe.anotherHerbWithin")}
          value=""
          onPick={(slug, typed) => {
            const herb = herbs.find((h) => h.slug === slug);
            if (herb) onAdd(herb, typed);
          }}
        />
      </div>
    </section>
  );
}

function Row({ line, at, ...props }: LinesProps & { line: WrittenLine; at: number }) {
  const mine = (props.recipe.additions ?? []).map((_, i) => i).filter((i) => props.from[i] === at);
  const said =
    mine.length === 0 || line.kind === "method" ? line.reads.filter((r) => !r.endsWith("heading")) : [];
  return (
    <li className="grid gap-x-8 gap-y-1 border-hairline border-b py-2.5 md:grid-cols-[24rem_minmax(0,1fr)]">
      <p className="leading-relaxed max-md:text-[15px]">
        <Marked line={line} />
      </p>
      <div className="min-w-0">
        {mine.map((i) => (
          <Addition key={i} {...props} i={i} />
        ))}
        {said.length > 0 && <p className="text-muted">{capital(said.join("; "))}.</p>}
        {line.asks.map((ask) => (
          <Question key={ask.key} ask={ask} onAnswer={(v) => props.onAnswer(at, ask, v)} />
        ))}
        {line.kept.length > 0 && (
          <p className="text-muted text-sm">
            <Said of="recipe.keptAsANote" words={line.kept.map((k) => `“${k}”`).join(", ")} />
          </p>
        )}
      </div>
    </li>
  );
}

/** The words of a line, underlined where something was made of them. */
function Marked({ line }: { line: WrittenLine }) {
  const parts = [];
  let end = 0;
  for (const m of line.marks) {
    if (m.from > end) parts.push(<span key={`g${end}`}>{line.text.slice(end, m.from)}</span>);
    parts.push(
      <span key={m.from} className={MARK[m.mark]}>
        {line.text.slice(m.from, m.to)}
      </span>,
    );
    end = m.to;
  }
  if (end < line.text.length) parts.push(<span key="rest">{line.text.slice(end)}</span>);
  return <>{parts}</>;
}

/** A question with its choices, each one tap. */
function Question({ ask, onAnswer }: { ask: QuestionLine; onAnswer: (value: string) => void }) {
  return (
    <fieldset className="mt-1">
      <legend className="py-1.5 font-semibold text-amber-text md:float-left md:mr-2">{ask.question}</legend>
      <div className="flex flex-wrap items-center gap-2">
        {ask.choices.map((c) => (
          <button
            key={c.value}
            type="button"
            aria-pressed={ask.taken === c.value}
            onClick={() => onAnswer(c.value)}
            className="min-h-11 rounded-one border border-hairline px-3 py-1 text-left hover:bg-strip aria-pressed:border-2 aria-pressed:border-ink aria-pressed:font-semibold"
          >
            {c.label}
          </button>
        ))}
        {ask.herb && (
          <div className="w-56">
            <HerbPicker
              label={say("recipe.anotherHerbQuestion", { question: ask.question })}
              hint={say("recipe.anotherHerbWithin")}
              value=""
              onPick={(slug) => onAnswer(slug)}
            />
          </div>
        )}
      </div>
      {ask.why && <p className="text-muted text-sm">{ask.why}</p>}
    </fieldset>
  );
}

function Addition({ i, ...props }: LinesProps & { i: number }) {
  const addition = props.recipe.additions?.[i];
  if (!addition) return null;
  return (
    <AdditionWords
      addition={addition}
      at={i}
      herb={props.herbs.find((h) => h.slug === addition.herb)}
      herbs={props.herbs}
      planned={props.planned.find((o) => o.line === i)?.amounts}
      perCup={props.planned.find((o) => o.line === i)?.lead.perCup}
      stages={props.recipe.stages ?? []}
      wrong={props.wrong}
      onChange={(part) => props.onChange(i, part)}
      onRemove={() => props.onRemove(i)}
    />
  );
}
