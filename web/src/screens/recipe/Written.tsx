import { useState } from "react";
import { useImport, useKeepRecipe } from "../../api/changes";
import type { WrittenResponse } from "../../api/client";
import { Primary, Secondary } from "../../parts/Field";
import { OpenFile } from "../../parts/OpenFile";
import { Trouble } from "../../parts/states";
import { say } from "../../words/say";

const EXAMPLE = say("recipe.eveningRoots2TbspDried");

/** A recipe as somebody wrote it: pasted, or from a saved page. */
export function Written({
  text,
  busy,
  error,
  onText,
  onRead,
  onFound,
}: {
  text: string;
  busy: boolean;
  error: Error | null;
  onText: (text: string) => void;
  onRead: () => void;
  /** A recipe of a saved page. */
  onFound: (w: WrittenResponse) => void;
}) {
  const importing = useImport();
  const [found, setFound] = useState<WrittenResponse[]>([]);
  const open = async (chosen: File[]) => {
    const all: WrittenResponse[] = [];
    for (const file of chosen) {
      const { recipes } = await importing.mutateAsync({ file, type: typeOf(file.name) });
      all.push(...recipes);
    }
    const [only] = all;
    setFound(all.length > 1 ? all : []);
    if (all.length === 1 && only) onFound(only);
  };
  return (
    <section aria-labelledby="written" className="mt-4 max-w-3xl">
      <h2 id="written" className="text-xl">
        {say("recipe.fromWhatIsWritten")}
      </h2>
      <label htmlFor="written-text" className="text-muted">
        {say("recipe.aListAMethodA")}
      </label>
      <textarea
        id="written-text"
        rows={7}
        value={text}
        onChange={(e) => onText(e.target.value)}
        placeholder={EXAMPLE}
        className="mt-1 w-full rounded-one border border-hairline bg-transparent p-3 leading-relaxed placeholder:text-muted"
      />
      <div className="mt-2 flex flex-wrap gap-3">
        <Primary onClick={onRead} busy={busy || text.trim() === ""}>
          {say("recipe.readIt")}
        </Primary>
        <OpenFile
          label={say("recipe.aSavedPageOrText")}
          accept=".html,.htm,.json,.jsonld,.txt,.md,text/html,application/ld+json,text/plain"
          multiple
          // What failed says so itself.
          onFiles={(files) => void open(files).catch(() => {})}
        >
          {(choose) => <Secondary onClick={choose}>{say("recipe.openASavedPageOr")}</Secondary>}
        </OpenFile>
      </div>
      {found.length > 0 && <Several found={found} onLook={onFound} onKept={(rest) => setFound(rest)} />}
      {(error ?? importing.error) && <Trouble error={(error ?? importing.error) as Error} />}
    </section>
  );
}

const asks = (w: WrittenResponse) => w.lines.reduce((n, l) => n + l.asks.length, 0);

/** Several recipes at once: what was made of each, to be looked at one by one or kept as they are. */
function Several({
  found,
  onLook,
  onKept,
}: {
  found: WrittenResponse[];
  onLook: (w: WrittenResponse) => void;
  /** With those that are still to be kept. */
  onKept: (rest: WrittenResponse[]) => void;
}) {
  const keep = useKeepRecipe();
  const [kept, setKept] = useState(0);
  const [failed, setFailed] = useState<unknown>(null);
  const sure = found.filter((w) => asks(w) === 0);
  const keepAll = async () => {
    let rest = found;
    setFailed(null);
    for (const w of sure) {
      try {
        await keep.mutateAsync({
          id: undefined,
          draft: { about: w.whole?.about ?? "", purposes: w.whole?.purposes ?? [], recipe: w.recipe },
        });
        rest = rest.filter((x) => x !== w);
        setKept((n) => n + 1);
      } catch (e) {
        setFailed(e);
      }
    }
    onKept(rest);
  };
  return (
    <div className="mt-4">
      <h3 className="text-lg">{say("recipe.found", { count: found.length, kept: kept || false })}</h3>
      <ul className="mt-1 border-hairline border-t">
        {found.map((w, i) => (
          <li
            key={`${w.recipe.name}${i}`}
            className="flex flex-wrap items-center justify-between gap-x-4 border-hairline border-b py-1"
          >
            <span>
              <span className="font-semibold">
                {w.recipe.name || say("recipe.numbered", { number: i + 1 })}
              </span>
              <span className="block text-muted text-sm">
                {(w.recipe.additions ?? []).map((a) => a.herb).join(", ") || say("recipe.noHerbWasRead")}
              </span>
            </span>
            <span className="flex items-center gap-4">
              <span className={asks(w) > 0 ? "text-amber-text text-sm" : "text-muted text-sm"}>
                {asks(w) > 0 ? say("recipe.open", { questions: asks(w) }) : say("recipe.nothingIsOpen")}
              </span>
              <Secondary
                label={say("recipe.lookAt", {
                  name: w.recipe.name || say("recipe.numbered", { number: i + 1 }),
                })}
                onClick={() => onLook(w)}
              >
                {say("recipe.lookAtIt")}
              </Secondary>
            </span>
          </li>
        ))}
      </ul>
      {failed !== null && <Trouble error={failed} />}
      {sure.length > 0 && (
        <p className="mt-2">
          <Primary busy={keep.isPending} onClick={() => void keepAll()}>
            {sure.length === found.length
              ? say("recipe.keepAll", { count: sure.length })
              : say("recipe.keepTheWithoutAQuestion", { count: sure.length })}
          </Primary>
        </p>
      )}
    </div>
  );
}

function typeOf(name: string): string {
  if (/\.html?$/i.test(name)) return "text/html";
  return /\.json(ld)?$/i.test(name) ? "application/ld+json" : "text/plain";
}
