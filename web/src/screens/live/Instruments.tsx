import { useEffect, useRef, useState } from "react";
import { useSimulate } from "../../api/changes";
import type { BrewResponse } from "../../api/client";
import { scaleOf } from "../../api/house";
import { confirm } from "../../api/outbox";
import { apart } from "../../parts/say";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { type KitchenReadings, useKitchenReadings } from "./devices";
import { Unread } from "./Unread";

const SPEEDS = [1, 10, 60, 120];

interface Kitchen {
  readings: KitchenReadings | null;
  /** Since when nothing was read. */
  lostSince: Date | null;
  auto: boolean;
  setAuto: (on: boolean) => void;
}

/** The instruments of a brew, when its kitchen is simulated. */
export function useInstruments(brew: BrewResponse): Kitchen {
  const { readings, lostSince } = useKitchenReadings(brew.id, brew.simulated);
  const [auto, setAuto] = useState(false);
  return { readings, lostSince, auto, setAuto };
}

/** Confirms each step as soon as the instruments say that it has reached its end. */
export function useAutopilot(brew: BrewResponse, kitchen: Kitchen, confirmStep: () => void) {
  const confirmed = useRef<string | null>(null);
  const read = useRef<string | null>(null);
  const { auto, readings } = kitchen;
  const current = brew.plan.steps.find((s) => s.key === brew.nowKey);
  const key = brew.nowKey ?? "end";
  useEffect(() => {
    if (!auto || !readings || confirmed.current === key || readings.step !== (brew.nowKey ?? "")) return;
    const waits = current && !current.handsOn;
    if (waits && current.kind === "reduce" && !readings.fulfilled && read.current !== key) {
      const left = (readings.waterMl - brew.plan.water.dipMl) / Math.max(1, brew.plan.water.startMl);
      if (left < 0.12) {
        read.current = key;
        confirm(brew.id, { kind: "measured", reading: "volume-ml", value: Math.round(readings.waterMl) });
      }
    }
    if (readings.fulfilled || !current) {
      confirmed.current = key;
      confirmStep();
    }
  }, [
    auto,
    readings,
    current,
    key,
    brew.id,
    brew.nowKey,
    brew.plan.water.dipMl,
    brew.plan.water.startMl,
    confirmStep,
  ]);
}

/** The simulated kitchen: its speed, what it reads, and whether it brews by itself. */
export function Instruments({ brew, kitchen }: { brew: BrewResponse; kitchen: Kitchen }) {
  const { readings, lostSince, auto, setAuto } = kitchen;
  const { mutate: setSpeed } = useSimulate(brew.id);
  if (!brew.simulated) {
    return (
      <p className="mb-3 text-sm">
        <button
          type="button"
          className="min-h-11 max-md:min-h-14 underline underline-offset-4"
          onClick={() => void setSpeed(1)}
        >
          {say("live.noPotAtHandUse")}
        </button>
      </p>
    );
  }
  return (
    <section aria-label={say("live.simulatedKitchen")} className="mb-4 border-water border-l-4 pl-3">
      <p className="font-semibold">
        <Said
          of="live.simulatedKitchenItsStove"
          itsStove={<span className="font-normal text-muted">{say("live.itsStoveIsNotThe")}</span>}
        />
      </p>
      <Unread since={lostSince} />
      <p className="mt-1 flex flex-wrap items-baseline gap-x-5" aria-live="off">
        <span>
          <span className="figure text-2xl">
            {readings ? apart("temperature", readings.tempC, true).number : "–"}
          </span>{" "}
          {scaleOf("temperature").unit}
        </span>
        <span>
          <Said
            of="live.onTheScale"
            number={
              <span className="figure text-2xl">
                {readings ? apart("mass", readings.weightG).number : "–"}
              </span>
            }
            unit={scaleOf("mass").unit}
          />
        </span>
        <span>{readings?.boils ? say("live.itBoils") : "quiet"}</span>
      </p>
      <div className="mt-1 flex flex-wrap items-center gap-x-4">
        <span className="flex gap-3" role="group" aria-label={say("live.speedOfItsClock")}>
          {SPEEDS.map((s) => (
            <button
              key={s}
              type="button"
              aria-pressed={brew.clockSpeed === s}
              className="min-h-14 border-transparent border-b-2 px-1 aria-pressed:border-water aria-pressed:font-semibold"
              onClick={() => void setSpeed(s)}
            >
              {s}×
            </button>
          ))}
        </span>
        <label className="flex min-h-14 items-center gap-2">
          <Said
            of="live.confirmByTheInstruments"
            field={
              <input
                type="checkbox"
                className="size-4"
                checked={auto}
                onChange={(e) => setAuto(e.target.checked)}
              />
            }
          />
        </label>
      </div>
    </section>
  );
}
