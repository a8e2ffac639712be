import { useState } from "react";
import { useReadRecipe } from "../../api/changes";
import type { WrittenResponse } from "../../api/client";
import { Primary } from "../../parts/Field";
import { Trouble } from "../../parts/states";

const MARKS: Record<string, string> = {
  herb: "border-herb",
  water: "border-water",
  method: "border-ember",
  serves: "border-hairline",
  title: "border-hairline",
  unknown: "border-stop",
};

/** A written ingredient list and method, read line by line: what was understood, and what is asked. */
export function Written({
  written,
  onRead,
}: {
  written: WrittenResponse | null;
  onRead: (w: WrittenResponse) => void;
}) {
  const [text, setText] = useState("");
  const read = useReadRecipe();
  return (
    <section aria-labelledby="written">
      <h2 id="written" className="text-xl">
        From a written recipe
      </h2>
      <label htmlFor="written-text" className="text-muted text-sm">
        Its list and its method, a line each
      </label>
      <textarea
        id="written-text"
        rows={written ? 4 : 7}
        maxLength={8000}
        value={text}
        onChange={(e) => setText(e.target.value)}
        placeholder={
          "Evening roots\n2 tbsp dried burdock root, sliced\n3 cups water\nBring to a boil, simmer for 20 minutes, strain."
        }
        className="mt-1 w-full rounded-one border border-hairline bg-transparent p-2 placeholder:text-muted"
      />
      <div className="mt-2">
        <Primary onClick={() => read.mutate(text, { onSuccess: onRead })} busy={text.trim() === ""}>
          Read it
        </Primary>
      </div>
      {read.error && <Trouble error={read.error} />}
      {written && (
        <ol className="mt-3 flex flex-col gap-2" aria-label="What was read">
          {written.lines.map((l, i) => (
            <li key={i} className={`border-l-4 pl-2 text-[15px] ${MARKS[l.kind] ?? "border-hairline"}`}>
              <span className="block">{l.text}</span>
              {l.reads.length > 0 && <span className="block text-muted text-sm">{l.reads.join("; ")}</span>}
              {l.asks.map((a) => (
                <span key={a} className="block font-semibold text-amber-text text-sm">
                  {l.kind === "unknown" ? "Not understood. " : ""}
                  {a}
                </span>
              ))}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
