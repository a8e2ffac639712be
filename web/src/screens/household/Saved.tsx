import { useRestore } from "../../api/changes";
import type { Held, HouseholdResponse } from "../../api/client";
import { useHousehold } from "../../api/queries";
import { Download, Secondary } from "../../parts/Field";
import { useNow } from "../../parts/now";
import { OpenFile } from "../../parts/OpenFile";
import { counted, moment, span } from "../../parts/say";
import { Trouble } from "../../parts/states";

/** "3 people, 9 recipes, 16 brews": what there is none of is left out. */
export function heldSaid(h: Held): string {
  return [
    h.people && counted(h.people, "person", "people"),
    h.recipes && counted(h.recipes, "recipe"),
    h.brews && counted(h.brews, "brew"),
    h.notes && counted(h.notes, "note"),
    h.photos && counted(h.photos, "photo"),
    h.tins && counted(h.tins, "tin"),
  ]
    .filter(Boolean)
    .join(", ");
}

/** "1.2 MB". */
function size(bytes: number): string {
  return bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
}

/** How the household is kept safe: every night by itself, and in a file by hand. */
export function Saved() {
  const household = useHousehold();
  const h = household.data;
  if (!h && !household.error) return null;
  return (
    <section aria-labelledby="saved">
      <h2 id="saved" className="mt-8 text-3xl">
        Kept safe
      </h2>
      {household.error && <Trouble error={household.error} again={() => household.refetch()} />}
      {h?.empty && <BringBack />}
      {h && !h.empty && (
        <>
          <Night backups={h.backups} />
          <p className="mt-4">
            <Download href="/api/household/archive">Save the household in a file</Download>
          </p>
          <p className="mt-2 max-w-prose text-muted text-sm">
            {heldSaid(h.holds)}, and the kitchen: one zip of plain JSON and photos. It comes back into an
            empty household, here or by <code>./restore</code>.
          </p>
        </>
      )}
    </section>
  );
}

/** When the last night was saved, and a word when none was. */
function Night({ backups: b }: { backups: HouseholdResponse["backups"] }) {
  const now = useNow(60_000);
  const last = b.lastAt ? new Date(b.lastAt) : null;
  const ago = last ? (now.getTime() - last.getTime()) / 1000 : 0;
  return (
    <>
      <p className="mt-3 max-w-prose">
        {last ? (
          <>
            Saved {ago < 120 ? "just now" : `${span(ago)} ago`} ({moment(last, now)}, {size(b.lastBytes ?? 0)}
            ). {b.kept === 1 ? "One night is" : `${b.kept} nights are`} kept, at most {b.most}, in{" "}
            <code className="wrap-break-word">{b.folder}</code>.
          </>
        ) : (
          <>
            Every night is saved in <code className="wrap-break-word">{b.folder}</code>, {b.most} of them; the
            first one within minutes of the start.
          </>
        )}
      </p>
      {b.ahead > 0 && (
        <p role="alert" className="mt-3 max-w-prose border-amber border-l-4 pl-3">
          {b.ahead === 1
            ? "One file there is dated ahead of today, by a clock that was wrong. It stays where it is and counts for no night; rename or remove it."
            : `${b.ahead} files there are dated ahead of today, by a clock that was wrong. They stay where they are and count for no night; rename or remove them.`}
        </p>
      )}
      {(b.failedAt || b.late) && (
        <p role="alert" className="mt-3 max-w-prose border-amber border-l-4 pl-3">
          {b.failedAt
            ? `The last try, ${moment(b.failedAt, now)}, made none: ${b.why ?? ""}. It is tried again every ten minutes.`
            : "A night was missed. It is made up for within minutes of the start."}
        </p>
      )}
    </>
  );
}

/** An empty household takes one out of a file. */
export function BringBack() {
  const restore = useRestore();
  return (
    <div className="mt-3">
      <OpenFile
        label="A saved household"
        accept=".zip,application/zip"
        onFiles={([file]) => file && restore.mutate(file)}
      >
        {(choose) => (
          <Secondary onClick={choose} disabled={restore.isPending}>
            {restore.isPending ? "Bringing it back …" : "Bring a saved household back"}
          </Secondary>
        )}
      </OpenFile>
      {restore.error && <Trouble error={restore.error} />}
      {restore.data && (
        <p role="status" className="mt-3">
          Brought back: {heldSaid(restore.data)}.
        </p>
      )}
    </div>
  );
}
