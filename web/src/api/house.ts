import { useSyncExternalStore } from "react";
import { say } from "../words/say";
import type { KitchenResponse } from "./client";

/** In which units the household reads its numbers, as the server told last. */
export type House = Pick<KitchenResponse, "units" | "scales" | "zone">;
export type ScaleLine = House["scales"]["mass"];
/** What a scale is of; the core has °C, g, mL, cm and m. */
export type Quantity = keyof House["scales"];

const KEPT = "ember-cup-house";
const listeners = new Set<() => void>();
let house = remembered();

function remembered(): House | undefined {
  try {
    const kept = localStorage.getItem(KEPT);
    return kept ? (JSON.parse(kept) as House) : undefined;
  } catch {
    return undefined;
  }
}

/** Takes what the server told; a page that opens without it begins with the last. */
export function keepHouse({ units, scales, zone }: House) {
  const text = JSON.stringify({ units, scales, zone });
  if (house && JSON.stringify(house) === text) return;
  house = { units, scales, zone };
  try {
    localStorage.setItem(KEPT, text);
  } catch {
    // A browser that keeps nothing asks again the next time.
  }
  for (const tell of listeners) tell();
}

/** The house, and a new drawing when it changes; missing until the server was heard for the first time. */
export function useHouse(): House | undefined {
  return useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => house,
  );
}

/** The house for whoever says a number; no screen is drawn without one. */
export function theHouse(): House {
  if (!house) throw new Error(say("common.nothingIsSaidBeforeThe"));
  return house;
}

export const scaleOf = (of: Quantity): ScaleLine => theHouse().scales[of];

/** The step to which a number of that size is said. */
export const stepAt = (s: ScaleLine, shown: number) =>
  s.grains.filter((g) => Math.abs(shown) >= g.from).at(-1)?.step ?? 1;

/** Whether it shows the core's own unit. */
export const ofCore = (s: ScaleLine) => s.units === s.each && s.atZero === 0;

/** What a scale shows of a quantity of the core, not rounded. */
export const onScale = (s: ScaleLine, inCore: number) => (inCore * s.units) / s.each + s.atZero;

/** The quantity of the core that a scale shows so. */
export const inCore = (s: ScaleLine, shown: number) => ((shown - s.atZero) * s.each) / s.units;
