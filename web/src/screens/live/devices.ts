import { useCallback, useState } from "react";
import { api } from "../../api/client";
import { useListen } from "../../api/listen";

/** An instrument is read four times a second; one that says nothing for so long is not read any more, ms. */
const SILENT_MS = 10_000;

/** What the kitchen scale shows; grams above the tare. */
export interface ScaleReading {
  grams: number;
  stable: boolean;
}

/** The scale's live weight, streamed from the server, and the commands it takes. */
export function useScale(on: boolean) {
  const [reading, setReading] = useState<ScaleReading | null>(null);
  const lostSince = useListen(
    on ? "/api/devices/scale/stream" : undefined,
    { weight: (data) => setReading(JSON.parse(data)) },
    SILENT_MS,
  );
  const command = useCallback(
    (what: "tare" | "put" | "take", grams?: number) => api.commandScale({ command: what, grams }),
    [],
  );
  return { reading: on ? reading : null, lostSince, command };
}

/** What thermometer, scale and eye read of a simulated pot. */
export interface KitchenReadings {
  tempC: number;
  waterMl: number;
  weightG: number;
  boils: boolean;
  /** The step the cook is at, by its key; empty when all are done. */
  step: string;
  /** Whether the step the cook is at has reached its end. */
  fulfilled: boolean;
}

export function useKitchenReadings(
  brewId: string,
  on: boolean,
): { readings: KitchenReadings | null; lostSince: Date | null } {
  const [readings, setReadings] = useState<KitchenReadings | null>(null);
  const lostSince = useListen(
    on ? `/api/devices/kitchen/${brewId}/stream` : undefined,
    { readings: (data) => setReadings(JSON.parse(data)) },
    SILENT_MS,
  );
  return { readings: on ? readings : null, lostSince: on ? lostSince : null };
}
