import { useRef, useState } from "react";
import { useImport } from "../../api/changes";
import type { WrittenResponse } from "../../api/client";
import { Primary, Secondary } from "../../parts/Field";
import { Trouble } from "../../parts/states";

const EXAMPLE =
  "Evening roots\n2 tbsp dried burdock root, sliced\n1 cinnamon stick\n3 cups water\nBring to a boil, simmer for 20 minutes, strain.\nHoney to taste, in the cup.";

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
  const file = useRef<HTMLInputElement>(null);
  const importing = useImport();
  const [found, setFound] = useState<WrittenResponse[]>([]);
  const open = (chosen: File | undefined) => {
    if (!chosen) return;
    const type = typeOf(chosen.name);
    importing.mutate(
      { file: chosen, type },
      {
        onSuccess: ({ recipes }) => {
          const [only] = recipes;
          setFound(recipes.length > 1 ? recipes : []);
          if (recipes.length === 1 && only) onFound(only);
        },
      },
    );
  };
  return (
    <section aria-labelledby="written" className="mt-4 max-w-3xl">
      <h2 id="written" className="text-xl">
        From what is written
      </h2>
      <label htmlFor="written-text" className="text-muted">
        A list, a method, a paragraph, in English or Spanish: paste it as it is.
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
          Read it
        </Primary>
        <Secondary onClick={() => file.current?.click()}>Open a saved page or text</Secondary>
        <input
          ref={file}
          type="file"
          aria-label="A saved page or text"
          accept=".html,.htm,.json,.jsonld,.txt,.md,text/html,application/ld+json,text/plain"
          className="sr-only"
          tabIndex={-1}
          onChange={(e) => {
            open(e.target.files?.[0]);
            e.target.value = "";
          }}
        />
      </div>
      {found.length > 1 && (
        <div className="mt-3">
          <p>There are {found.length} recipes in it. Which one?</p>
          <ul className="mt-1 flex flex-wrap gap-2">
            {found.map((w, i) => (
              <li key={i}>
                <Secondary
                  onClick={() => {
                    setFound([]);
                    onFound(w);
                  }}
                >
                  {w.recipe.name || `the ${i + 1}.`}
                </Secondary>
              </li>
            ))}
          </ul>
        </div>
      )}
      {(error ?? importing.error) && <Trouble error={(error ?? importing.error) as Error} />}
    </section>
  );
}

function typeOf(name: string): string {
  if (/\.html?$/i.test(name)) return "text/html";
  return /\.json(ld)?$/i.test(name) ? "application/ld+json" : "text/plain";
}
