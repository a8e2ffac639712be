import { useCallback, useEffect, useState } from "react";

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
    (what: "tare" | "put" | "take", grams?: number) =>
      fetch("/api/devices/scale", {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ command: what, grams }),
      }),
    [],
  );
  return { reading, command };
}
