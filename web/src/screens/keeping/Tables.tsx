import { useState } from "react";
import { useReadTins } from "../../api/changes";
import type { JarResponse, Tin, TinsResponse } from "../../api/client";
import { Primary, Secondary } from "../../parts/Field";
import { OpenFile } from "../../parts/OpenFile";
import { grams } from "../../parts/say";
import { Trouble } from "../../parts/states";
import { OneOf, Word } from "../../parts/Word";
import { formSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

type Paper = "a4" | "letter" | "roll";
const PAPERS: { value: Paper; label: string; gloss: string }[] = [
  { value: "a4", label: say("keeping.a4Sheets"), gloss: say("keeping.24OnEach") },
  { value: "letter", label: say("keeping.letterSheets"), gloss: say("keeping.21OnEach") },
  { value: "roll", label: say("keeping.aRoll"), gloss: say("keeping.oneAfterTheOther62") },
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
            <Said
              of="keeping.labelsOnPaper"
              link={
                <a
                  href={`/api/labels.pdf?paper=${paper}&everything=true`}
                  target="_blank"
                  rel="noreferrer"
                  className="relative underline underline-offset-4 max-sm:reach"
                >
                  {say("keeping.labelsForAllOfIt")}
                </a>
              }
              paperOfThe={
                <Word
                  label={say("keeping.paperOfTheLabels")}
                  shown={PAPERS.find((p) => p.value === paper)?.label ?? ""}
                >
                  {() => (
                    <OneOf label={say("keeping.paper")} value={paper} options={PAPERS} onPick={setPaper} />
                  )}
                </Word>
              }
            />
          </span>
        )}
        <a
          href="/api/shelf/file?as=csv"
          download
          className="relative underline underline-offset-4 max-sm:reach"
        >
          {say("keeping.theTinsAsATable")}
        </a>
        <OpenFile
          label={say("keeping.aTableOfTins")}
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
              {say("keeping.tinsOutOfATable")}
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
        <p>{say("keeping.putOnTheShelf", { tins: made.kept, rows: bad })}</p>
      ) : (
        <>
          <p>{say("keeping.readNothingIsKeptYet", { tins: good, rows: bad })}</p>
          <ul className="mt-2 gap-8 text-sm sm:columns-2" aria-label={say("keeping.rowsOfTheTable")}>
            {made.lines.map((l) => (
              <li key={l.row} className={l.problem ? "text-amber-text" : ""}>
                {l.row}. {l.common ?? l.text}
                {l.problem
                  ? `: ${l.problem}`
                  : `, ${formSaid(l.form ?? "")}${l.grams != null ? `, ${grams(l.grams)}` : ""}`}
                {!l.problem && l.fillsAnew && ` ${say("keeping.thereAlreadyFilledAnew")}`}
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="mt-2 flex flex-wrap gap-3">
        {made.kept === 0 && good > 0 && (
          <Primary busy={busy} onClick={onKeep}>
            <Said of="keeping.putOnTheShelfGood" good={good} />
          </Primary>
        )}
        <Secondary onClick={onClose}>
          {made.kept > 0 ? say("keeping.good") : say("keeping.leaveIt")}
        </Secondary>
      </p>
    </div>
  );
}
