import { useSyncExternalStore } from "react";

/** Whether this device was let in, as the server's last answers said; and whether they came from the server at all. */
interface Door {
  paired: boolean;
  /** Since when answers are those kept from before, as the server is away; null while it answers. */
  keptSince: Date | null;
}

let door: Door = { paired: true, keptSince: null };
const listeners = new Set<() => void>();

/** Kept on the device after it was sent away: what was confirmed and is not sent yet, and by day or by night. */
const STAYS = /^ember-(outbox|theme)/;
/** The answers that the service worker keeps for a time without a network. */
const ANSWERS = "ember-kept";

const sentAway = new Set<() => void>();
/** Is told when the kitchen says that this device is let in no more. */
export const onSentAway = (told: () => void) => sentAway.add(told);

/** A device that is sent away, and hears so, deletes what it keeps of the household. */
function forgetTheHousehold() {
  const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i));
  for (const key of keys) if (key && !STAYS.test(key)) localStorage.removeItem(key);
  if (typeof caches !== "undefined") void caches.delete(ANSWERS);
  for (const told of sentAway) told();
}

function be(next: Door) {
  if (door.paired && !next.paired) forgetTheHousehold();
  if (next.paired === door.paired && (next.keptSince === null) === (door.keptSince === null)) return;
  door = next;
  for (const told of listeners) told();
}

/** Only the port of the house's network asks for a pairing; this machine's own does not. */
export const beyondHere = () => window.location.protocol === "https:";

/** When it was let in last, ms of the browser's clock. */
let letInMs = 0;

/** Learns from an answer that was asked for at that moment, ms: a refusal of before it was let in says nothing any more. */
export function answered(response: Response, askedMs: number) {
  if (response.status === 401 && askedMs < letInMs) return;
  if (response.ok && !door.paired) letInMs = Date.now();
  const kept = response.headers.get("X-Ember-Kept") !== null;
  be({
    paired: response.status !== 401,
    keptSince: kept ? (door.keptSince ?? new Date()) : null,
  });
}

/** The token that a change of a paired device brings along, beside its cookie. */
export const token = () => /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];

export const useDoor = () =>
  useSyncExternalStore(
    (told) => {
      listeners.add(told);
      return () => listeners.delete(told);
    },
    () => door,
  );
