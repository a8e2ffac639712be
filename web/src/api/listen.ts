import { useEffect, useState } from "react";
import { keys } from "./keys";
import { presentMs } from "./present";
import { queryClient } from "./queries";

/** The server says something at least so often, ms: a stream that says nothing for longer is not heard any more. */
const SILENT_MS = 25_000;
const FIRST_MS = 500;
const LONGEST_MS = 15_000;

/**
 * Listens to a stream of the server for as long as it is wanted. A browser gives a stream up for good when it is answered by a
 * refusal once; this one is opened again, sooner at first and later then.
 *
 * @param events what hears each kind of message
 * @param lost hears since when nothing is heard any more, ms, and null when something is again
 * @param silentMs after how long without a word it is given up and opened again
 * @returns ends it
 */
function listen(
  url: string,
  events: Record<string, (data: string) => void>,
  lost: (sinceMs: number | null) => void,
  silentMs = SILENT_MS,
): () => void {
  let source: EventSource | undefined;
  let pause = FIRST_MS;
  let next: ReturnType<typeof setTimeout> | undefined;
  let silence: ReturnType<typeof setTimeout> | undefined;
  let heardMs = presentMs();
  const heard = () => {
    pause = FIRST_MS;
    heardMs = presentMs();
    lost(null);
    clearTimeout(silence);
    silence = setTimeout(retry, silentMs);
  };
  function retry() {
    lost(heardMs);
    source?.close();
    clearTimeout(silence);
    clearTimeout(next);
    next = setTimeout(open, pause * (0.75 + Math.random() / 2));
    pause = Math.min(LONGEST_MS, pause * 2);
  }
  function open() {
    source = new EventSource(url);
    source.onerror = retry;
    for (const [name, told] of Object.entries(events)) {
      source.addEventListener(name, (e) => {
        heard();
        told((e as MessageEvent<string>).data);
      });
    }
    clearTimeout(silence);
    silence = setTimeout(retry, silentMs);
  }
  open();
  return () => {
    clearTimeout(next);
    clearTimeout(silence);
    source?.close();
  };
}

/** Listens while the screen is there. @returns since when nothing is heard any more; null while it is live */
export function useListen(
  url: string | undefined,
  events: Record<string, (data: string) => void>,
  silentMs?: number,
): Date | null {
  const [since, setSince] = useState<Date | null>(null);
  useEffect(() => {
    if (!url) return;
    const lost = (sinceMs: number | null) => {
      // Whether the server is away or will not have this device any more, an ordinary question tells.
      if (sinceMs !== null) void queryClient.invalidateQueries({ queryKey: keys.day });
      setSince((before) => (sinceMs === null ? null : (before ?? new Date(sinceMs))));
    };
    return listen(url, events, lost, silentMs);
  }, [url]);
  return since;
}
