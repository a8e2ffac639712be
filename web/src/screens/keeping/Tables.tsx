import { useState } from "react";
import { useReadTins } from "../../api/changes";
import type { JarResponse, Tin, TinsResponse } from "../../api/client";
import { Primary, Secondary } from "../../parts/Field";
import { OpenFile } from "../../parts/OpenFile";
import { grams } from "../../parts/say";
import { Trouble } from "../../parts/states";
import { OneOf, Word } from "../../parts/Word";

type Paper = "a4" | "letter" | "roll";
const PAPERS: { value: Paper; label: string; gloss: string }[] = [
  { value: "a4", label: "A4 sheets", gloss: "24 on each" },
  { value: "letter", label: "letter sheets", gloss: "21 on each" },
  { value: "roll", label: "a roll", gloss: "one after the other, 62 × 35 mm" },
];

/** The shelf on paper and as a table, and tins out of one. */
export function Tables({ tins, jars }: { tins: Tin[]; jars: JarResponse[] }) {
  const [paper, setPaper] = useState<Paper>("a4");
  const [chosen, setChosen] = useState<File | null>(null);
  const read = useReadTins();
  return (
    <>
      <p className="mt-2 flex flex-wrap items-baseline gap-x-5 gap-y-1 text-sm">
        {tins.length + jars.length > 0 && (
          <span>
            <a
              href={`/api/labels.pdf?paper=${paper}&everything=true`}
              target="_blank"
              rel="noreferrer"
              className="relative underline underline-offset-4 max-sm:reach"
            >
              Labels for all of it
            </a>{" "}
            on{" "}
            <Word label="Paper of the labels" shown={PAPERS.find((p) => p.value === paper)?.label ?? ""}>
              {() => <OneOf label="Paper" value={paper} options={PAPERS} onPick={setPaper} />}
            </Word>
          </span>
        )}
        <a
          href="/api/shelf/file?as=csv"
          download
          className="relative underline underline-offset-4 max-sm:reach"
        >
          The tins as a table
        </a>
        <OpenFile
          label="A table of tins"
          accept=".csv,.txt,text/csv"
          onFiles={([table]) => {
            if (!table) return;
            setChosen(table);
            read.mutate({ file: table, keep: false });
          }}
        >
          {(choose) => (
            <button
              type="button"
              className="relative underline underline-offset-4 max-sm:reach"
              onClick={choose}
            >
              Tins out of a table
            </button>
          )}
        </OpenFile>
      </p>
      {read.error && <Trouble error={read.error} />}
      {read.data && chosen && (
        <Read
          made={read.data}
          busy={read.isPending}
          onKeep={() => read.mutate({ file: chosen, keep: true })}
          onClose={() => {
            setChosen(null);
            read.reset();
          }}
        />
      )}
    </>
  );
}

const tinsSaid = (n: number) => (n === 1 ? "One tin was" : `${n} tins were`);
const rowsSaid = (n: number) => (n === 1 ? "one row was" : `${n} rows were`);

/** What was made of a table, row by row, before anything is kept. */
function Read({
  made,
  busy,
  onKeep,
  onClose,
}: {
  made: TinsResponse;
  busy: boolean;
  onKeep: () => void;
  onClose: () => void;
}) {
  const good = made.lines.filter((l) => !l.problem).length;
  const bad = made.lines.length - good;
  return (
    <div role="status" className="mt-3 border-water border-l-[5px] pl-4">
      {made.kept > 0 ? (
        <p>
          {tinsSaid(made.kept)} put on the shelf{bad > 0 && `; ${rowsSaid(bad)} left out`}.
        </p>
      ) : (
        <>
          <p>
            {tinsSaid(good)} read{bad > 0 && `, ${rowsSaid(bad)} not understood`}. Nothing is kept yet.
          </p>
          <ul className="mt-2 gap-8 text-sm sm:columns-2" aria-label="Rows of the table">
            {made.lines.map((l) => (
              <li key={l.row} className={l.problem ? "text-amber-text" : ""}>
                {l.row}. {l.common ?? l.text}
                {l.problem ? `: ${l.problem}` : `, ${l.form}${l.grams != null ? `, ${grams(l.grams)}` : ""}`}
                {!l.problem && l.fillsAnew && " (there already: filled anew)"}
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="mt-2 flex flex-wrap gap-3">
        {made.kept === 0 && good > 0 && (
          <Primary busy={busy} onClick={onKeep}>
            Put {good} on the shelf
          </Primary>
        )}
        <Secondary onClick={onClose}>{made.kept > 0 ? "Good" : "Leave it"}</Secondary>
      </p>
    </div>
  );
}
