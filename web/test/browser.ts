import { vi } from "vitest";

/** What of a browser the modules below the screens need. */
export function browser() {
  const kept = new Map<string, string>();
  let full = false;
  vi.stubGlobal("localStorage", {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      if (full) throw new DOMException("full", "QuotaExceededError");
      kept.set(key, value);
    },
    removeItem: (key: string) => void kept.delete(key),
    key: (i: number) => [...kept.keys()][i] ?? null,
    get length() {
      return kept.size;
    },
  });
  vi.stubGlobal("document", { cookie: "" });
  let last: Promise<unknown> = Promise.resolve();
  vi.stubGlobal("navigator", {
    locks: {
      request: (_: string, alone: () => Promise<unknown>) => {
        last = last.then(alone, alone);
        return last;
      },
    },
  });
  const heard = new Map<string, () => void>();
  vi.stubGlobal("window", {
    location: { origin: "http://kitchen.test" },
    addEventListener: (what: string, told: () => void) => void heard.set(what, told),
  });
  /** Nothing more goes into its storage. */
  const fill = () => {
    full = true;
  };
  return { kept, fill, tell: (what: string) => heard.get(what)?.() };
}
