import { useRestore } from "../../api/changes";
import type { Held, HouseholdResponse } from "../../api/client";
import { useHousehold } from "../../api/queries";
import { Download, Secondary } from "../../parts/Field";
import { useNow } from "../../parts/now";
import { OpenFile } from "../../parts/OpenFile";
import { moment, span } from "../../parts/say";
import { Trouble } from "../../parts/states";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

/** "3 people, 9 recipes, 16 brews": what there is none of is left out. */
export function heldSaid(h: Held): string {
  return [
    h.people && say("common.people", { n: h.people }),
    h.recipes && say("common.recipes", { n: h.recipes }),
    h.brews && say("common.brews", { n: h.brews }),
    h.notes && say("common.notes", { n: h.notes }),
    h.photos && say("common.photos", { n: h.photos }),
    h.tins && say("common.tins", { n: h.tins }),
  ]
    .filter(Boolean)
    .join(", ");
}

/** "1.2 MB". */
function size(bytes: number): string {
  return bytes < 1e6
    ? say("household.kilobytes", { size: Math.max(1, Math.round(bytes / 1e3)) })
    : say("household.megabytes", { size: (bytes / 1e6).toFixed(1) });
}

/** How the household is kept safe: every night by itself, and in a file by hand. */
export function Backups() {
  const household = useHousehold();
  const h = household.data;
  if (!h && !household.error) return null;
  return (
    <section aria-labelledby="saved">
      <h2 id="saved" className="mt-8 text-3xl">
        {say("household.keptSafe")}
      </h2>
      {household.error && <Trouble error={household.error} again={() => household.refetch()} />}
      {h?.empty && <BringBack />}
      {h && !h.empty && (
        <>
          <Night backups={h.backups} />
          <p className="mt-4">
            <Download href="/api/household/archive">{say("household.saveTheHouseholdInA")}</Download>
          </p>
          <p className="mt-2 max-w-prose text-muted text-sm">
            <Said
              of="household.andTheKitchenOneZip"
              held={heldSaid(h.holds)}
              restore={<code>./restore</code>}
            />
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
          <Said
            of="household.savedKeptAtMostIn"
            ago={ago >= 120 && span(ago)}
            when={moment(last, now)}
            size={size(b.lastBytes ?? 0)}
            kept={b.kept}
            most={b.most}
            folder={<code className="wrap-break-word">{b.folder}</code>}
          />
        ) : (
          <Said
            of="household.everyNightIsSavedIn"
            folder={<code className="wrap-break-word">{b.folder}</code>}
            most={b.most}
          />
        )}
      </p>
      {b.ahead > 0 && (
        <p role="alert" className="mt-3 max-w-prose border-amber border-l-4 pl-3">
          {say("household.filesThereAreDatedAhead", { ahead: b.ahead })}
        </p>
      )}
      {(b.failedAt || b.late) && (
        <p role="alert" className="mt-3 max-w-prose border-amber border-l-4 pl-3">
          {b.failedAt
            ? say("household.theLastTryMadeNone", { when: moment(b.failedAt, now), why: b.why ?? "" })
            : say("household.aNightWasMissedIt")}
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
        label={say("household.aSavedHousehold")}
        accept=".zip,application/zip"
        onFiles={([file]) => file && restore.mutate(file)}
      >
        {(choose) => (
          <Secondary onClick={choose} disabled={restore.isPending}>
            {restore.isPending ? say("household.bringingItBack") : say("household.bringASavedHouseholdBack")}
          </Secondary>
        )}
      </OpenFile>
      {restore.error && <Trouble error={restore.error} />}
      {restore.data && (
        <p role="status" className="mt-3">
          <Said of="household.broughtBack" held={heldSaid(restore.data)} />
        </p>
      )}
    </div>
  );
}
