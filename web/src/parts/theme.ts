import { useSyncExternalStore } from "react";

export type Theme = "day" | "night";

const listeners = new Set<() => void>();
const system = matchMedia("(prefers-color-scheme: dark)");

function current(): Theme {
  return document.documentElement.dataset.theme === "night" ? "night" : "day";
}

function apply(theme: Theme) {
  document.documentElement.dataset.theme = theme;
  for (const l of listeners) l();
}

/** The system decides until the cook does. */
system.addEventListener("change", (e) => {
  if (!localStorage.getItem("ember-theme")) apply(e.matches ? "night" : "day");
});

export function toggleTheme() {
  const next = current() === "night" ? "day" : "night";
  localStorage.setItem("ember-theme", next);
  apply(next);
}

export function useTheme(): Theme {
  return useSyncExternalStore((l) => {
    listeners.add(l);
    return () => listeners.delete(l);
  }, current);
}
