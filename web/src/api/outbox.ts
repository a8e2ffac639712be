import { useSyncExternalStore } from "react";
import { AwayError, api, type BrewResponse, type EventRequest, ProblemError, type Told } from "./client";
import { keys } from "./keys";
import { keepNewer, queryClient } from "./queries";

/**
 * Confirmations on their way to the server. Each has an id of its own, so that sending it twice is harmless, and an entry of its
 * own in the browser's storage, which all tabs of a device share and none overwrites. One tab at a time sends them, in the order
 * they happened. What the server refuses for good is kept with its reason until somebody has read it, and holds up nobody.
 */
export interface Waiting {
  brewId: string;
  event: EventRequest & { id: string };
  /** Browser clock when it happened, ms; only its distance to the sending is used. */
  happenedMs: number;
  /** In which order they happened, also when the device's clock was set back between. */
  nth: number;
  /** Why the server will not have it, in its words. */
  refused?: string;
}

const ENTRY = "ember-outbox/";
/** Where an earlier version kept all of them as one list. */
const LIST = "ember-outbox";
const LOCK = "ember-outbox";
const RETRY_MS = 2_000;

/** What the browser's storage had no room for: it is sent from here while the page stays open. */
const inMemory = new Map<string, Waiting>();
let all: Waiting[] = [];
let waitingNow: Waiting[] = [];
let refusedNow: Waiting[] = [];
let timer: ReturnType<typeof setTimeout> | undefined;
let sending: Promise<void> | undefined;
const listeners = new Set<() => void>();

function read(): Waiting[] {
  const found: Waiting[] = [...inMemory.values()];
  for (let i = 0; i < localStorage.length; i++) {
    const key = localStorage.key(i);
    if (!key?.startsWith(ENTRY)) continue;
    try {
      found.push(JSON.parse(localStorage.getItem(key) ?? ""));
    } catch {
      // An entry that cannot be read stays where it is; the others go on.
    }
  }
  return found.sort((a, b) => a.nth - b.nth || a.happenedMs - b.happenedMs);
}

/** Looks again at what is kept: another tab may have added or sent some. */
function look() {
  all = read();
  waitingNow = all.filter((w) => w.refused === undefined);
  refusedNow = all.filter((w) => w.refused !== undefined);
  for (const l of listeners) l();
}

function keep(entry: Waiting) {
  try {
    localStorage.setItem(ENTRY + entry.event.id, JSON.stringify(entry));
    inMemory.delete(entry.event.id);
  } catch {
    // Full, or forbidden: it is not lost without a word.
    localStorage.removeItem(ENTRY + entry.event.id);
    inMemory.set(entry.event.id, entry);
  }
  look();
}

function forget(id: string) {
  inMemory.delete(id);
  localStorage.removeItem(ENTRY + id);
  look();
}

/** Takes over what an earlier version kept. */
function takeOver() {
  const list = localStorage.getItem(LIST);
  if (!list) return;
  try {
    (JSON.parse(list) as Waiting[]).forEach((w, nth) => {
      localStorage.setItem(ENTRY + w.event.id, JSON.stringify({ ...w, nth }));
    });
    localStorage.removeItem(LIST);
  } catch {
    // Nothing that could be read; it stays.
  }
}

export function uuid(): string {
  return crypto.randomUUID?.() ?? fallbackUuid();
}

/** `randomUUID` is missing on plain http outside loopback. */
function fallbackUuid(): string {
  const b = crypto.getRandomValues(new Uint8Array(16));
  b[6] = ((b[6] ?? 0) & 0x0f) | 0x40;
  b[8] = ((b[8] ?? 0) & 0x3f) | 0x80;
  const hex = [...b].map((x) => x.toString(16).padStart(2, "0")).join("");
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

/** Confirms something; answers at once, sends as soon as it can. */
export function confirm(brewId: string, event: Told): string {
  const id = uuid();
  const nth = read().reduce((most, w) => Math.max(most, w.nth + 1), 0);
  keep({ brewId, event: { ...event, id }, happenedMs: Date.now(), nth });
  send();
  return id;
}

/** Whoever has read why it was refused needs it no longer. */
export const readRefused = (id: string) => forget(id);

/** Sends what waits, unless this tab is at it; another tab is waited for. */
function send(): void {
  if (sending) return;
  clearTimeout(timer);
  const alone: Promise<unknown> = navigator.locks ? navigator.locks.request(LOCK, sendAll) : sendAll();
  sending = alone.then(
    () => undefined,
    () => undefined,
  );
  void sending.then(() => {
    sending = undefined;
    // What was confirmed while the last one was on its way, or is to be tried again.
    if (waitingNow.length > 0) timer = setTimeout(send, later);
  });
}

/** After how long the next are sent, ms. */
let later = 0;

async function sendAll(): Promise<void> {
  later = 0;
  for (look(); waitingNow.length > 0; look()) {
    const first = waitingNow[0] as Waiting;
    const ageS = Math.max(0, (Date.now() - first.happenedMs) / 1000);
    let brew: BrewResponse | undefined;
    try {
      brew = await api.recordEvent(first.brewId, { ...first.event, ageS });
      forget(first.event.id);
    } catch (e) {
      if (e instanceof AwayError || (e instanceof ProblemError && e.again)) {
        later = RETRY_MS;
        return;
      }
      keep({ ...first, refused: e instanceof Error ? e.message : String(e) });
    }
    if (brew) keepNewer(brew);
    else void queryClient.invalidateQueries({ queryKey: keys.brew(first.brewId) });
    void queryClient.invalidateQueries({ queryKey: keys.day });
    void queryClient.invalidateQueries({ queryKey: keys.notebook });
  }
}

takeOver();
look();
window.addEventListener("online", send);
window.addEventListener("storage", (e) => {
  if (e.key === null || e.key.startsWith(ENTRY)) look();
});
send();

const subscribe = (l: () => void) => {
  listeners.add(l);
  return () => listeners.delete(l);
};

/** How many confirmations would be lost with this page, because the device has no room for them. */
export const useAtRisk = () => useSyncExternalStore(subscribe, () => inMemory.size);
/** How many confirmations are still on their way. */
export const useWaiting = () => useSyncExternalStore(subscribe, () => waitingNow.length);
/** What the server refused for good, each with its words, until it is read. */
export const useRefused = () => useSyncExternalStore(subscribe, () => refusedNow);
