import { useCallback, useEffect, useState } from "react";
import { api } from "../../api/client";

/** What the kitchen scale shows; grams above the tare. */
export interface ScaleReading {
  grams: number;
  stable: boolean;
}

/** The scale's live weight, streamed from the server, and the commands it takes. */
export function useScale(on: boolean) {
  const [reading, setReading] = useState<ScaleReading | null>(null);
  useEffect(() => {
    if (!on) return;
    const source = new EventSource("/api/devices/scale/stream");
    source.addEventListener("weight", (e) => setReading(JSON.parse((e as MessageEvent<string>).data)));
    return () => {
      source.close();
      setReading(null);
    };
  }, [on]);
  const command = useCallback(
    (what: "tare" | "put" | "take", grams?: number) => api.commandScale({ command: what, grams }),
    [],
  );
  return { reading, command };
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

export function useKitchenReadings(brewId: string, on: boolean): KitchenReadings | null {
  const [readings, setReadings] = useState<KitchenReadings | null>(null);
  useEffect(() => {
    if (!on) return;
    const source = new EventSource(`/api/devices/kitchen/${brewId}/stream`);
    source.addEventListener("readings", (e) => setReadings(JSON.parse((e as MessageEvent<string>).data)));
    return () => {
      source.close();
      setReadings(null);
    };
  }, [brewId, on]);
  return readings;
}
