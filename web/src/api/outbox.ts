import { useSyncExternalStore } from "react";
import { AwayError, api, type BrewResponse, type EventRequest, ProblemError, type Told } from "./client";
import { keys } from "./keys";
import { keepNewer, queryClient } from "./queries";

/**
 * Confirmations on their way to the server. Each has an id of its own, so that sending it twice is harmless, and waits in
 * the browser's storage until the server has it; they are sent in the order they happened.
 */
interface Waiting {
  brewId: string;
  event: EventRequest & { id: string };
  /** Browser clock when it happened, ms; only its distance to the sending is used. */
  happenedMs: number;
}

const KEY = "ember-outbox";
const RETRY_MS = 2_000;
let waiting: Waiting[] = read();
let sending = false;
let refused = "";
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

function read(): Waiting[] {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? "[]");
  } catch {
    return [];
  }
}

function changed(next: Waiting[]) {
  waiting = next;
  localStorage.setItem(KEY, JSON.stringify(waiting));
  for (const l of listeners) l();
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
  refused = "";
  changed([...waiting, { brewId, event: { ...event, id }, happenedMs: Date.now() }]);
  void send();
  return id;
}

async function send(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(timer);
  try {
    while (waiting.length > 0) {
      const first = waiting[0] as Waiting;
      const ageS = Math.max(0, (Date.now() - first.happenedMs) / 1000);
      let brew: BrewResponse | undefined;
      try {
        brew = await api.recordEvent(first.brewId, { ...first.event, ageS });
      } catch (e) {
        if (e instanceof AwayError || (e instanceof ProblemError && e.status >= 500)) {
          timer = setTimeout(() => void send(), RETRY_MS);
          return;
        }
        refused = e instanceof Error ? e.message : String(e);
      }
      changed(waiting.slice(1));
      if (brew) keepNewer(brew);
      else void queryClient.invalidateQueries({ queryKey: keys.brew(first.brewId) });
      void queryClient.invalidateQueries({ queryKey: keys.day });
      void queryClient.invalidateQueries({ queryKey: keys.notebook });
    }
  } finally {
    sending = false;
  }
}

window.addEventListener("online", () => void send());
void send();

const subscribe = (l: () => void) => {
  listeners.add(l);
  return () => listeners.delete(l);
};

/** How many confirmations are still on their way. */
export const useWaiting = () => useSyncExternalStore(subscribe, () => waiting.length);
/** What the server refused last, in its words; empty when nothing. */
export const useRefused = () => useSyncExternalStore(subscribe, () => refused);
