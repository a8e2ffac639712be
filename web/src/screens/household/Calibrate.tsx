import { useState } from "react";
import { useCalibrate, useKeepBurner } from "../../api/changes";
import type { BurnerResponse, VesselResponse } from "../../api/client";
import { NumberField, Primary, QuantityField, Secondary, SelectField } from "../../parts/Field";
import { useNow } from "../../parts/now";
import { Panel } from "../../parts/Panel";
import { timer } from "../../parts/say";
import { Trouble } from "../../parts/states";
import { Why } from "../../parts/Why";

/** Two small measurements with a timer, and what they say of a burner. */
export function Calibrate({
  burner,
  vessels,
  onClose,
}: {
  burner: BurnerResponse;
  vessels: VesselResponse[];
  onClose: () => void;
}) {
  const pots = vessels.filter((v) => v.kind === "pot");
  const [vesselId, setVesselId] = useState(pots[0]?.id ?? "");
  const [waterMl, setWaterMl] = useState<number | undefined>(1000);
  const [heatS, setHeatS] = useState<number | undefined>();
  const [boilOffMl, setBoilOffMl] = useState<number | undefined>();
  const [boilOffS, setBoilOffS] = useState<number | undefined>();
  const calibrate = useCalibrate(burner.id);
  const keepBurner = useKeepBurner();
  const fitted = calibrate.data;
  const failure = calibrate.error ?? keepBurner.error;
  const ask = () => calibrate.mutate({ vesselId, waterMl, heatS, boilOffMl, boilOffS });
  const keep = () => {
    if (!fitted) return;
    const draft = {
      version: burner.version,
      name: burner.name,
      lowW: Math.round(fitted.lowW),
      mediumW: Math.round(fitted.mediumW),
      highW: Math.round(fitted.highW),
    };
    keepBurner.mutate({ id: burner.id, draft }, { onSuccess: onClose });
  };
  return (
    <Panel open wide onOpenChange={(o) => !o && onClose()} title={`Measure the ${burner.name}`}>
      <div className="grid gap-x-10 gap-y-6 sm:grid-cols-2">
        <section>
          <h3 className="text-xl">1. To the boil</h3>
          <p className="mt-1">Cold tap water into the pot, lid on, high flame. Stop when it boils.</p>
          <div className="mt-2 grid grid-cols-2 gap-4">
            <SelectField
              label="Pot"
              value={vesselId}
              options={pots.map((v) => ({ value: v.id, label: v.name }))}
              onChange={setVesselId}
            />
            <QuantityField label="Water" of="volume" value={waterMl} onChange={setWaterMl} />
            <Clock label="Time to the boil" seconds={heatS} onSeconds={setHeatS} stop="It boils" />
          </div>
        </section>
        <section>
          <h3 className="text-xl">2. Boiling away</h3>
          <p className="mt-1">Lid off, medium flame, about ten minutes. Measure what is left.</p>
          <div className="mt-2 grid grid-cols-2 gap-4">
            <QuantityField label="Boiled away" of="volume" value={boilOffMl} onChange={setBoilOffMl} />
            <span />
            <Clock label="Time of boiling" seconds={boilOffS} onSeconds={setBoilOffS} stop="Off the flame" />
          </div>
        </section>
      </div>
      {failure !== null && <Trouble error={failure} />}
      <div className="mt-5 flex flex-wrap items-center gap-4">
        <Secondary onClick={ask}>What do they say?</Secondary>
        {fitted && (
          <>
            <p>
              low {Math.round(fitted.lowW)} W, medium{" "}
              <Why what="Net power, medium" workings={fitted.medium} className="figure text-xl">
                {Math.round(fitted.mediumW)} W
              </Why>
              , high{" "}
              <Why what="Net power, high" workings={fitted.high} className="figure text-xl">
                {Math.round(fitted.highW)} W
              </Why>{" "}
              <span className="text-muted">
                (was {burner.lowW}, {burner.mediumW}, {burner.highW})
              </span>
            </p>
            <Primary onClick={keep}>Keep these</Primary>
          </>
        )}
      </div>
      <p className="mt-3 text-muted text-sm">
        Boiling water and steam scald: stay with the pot, and pour away from you.
      </p>
    </Panel>
  );
}

/** A stopwatch whose result may also be typed, in seconds. */
function Clock({
  label,
  seconds,
  onSeconds,
  stop,
}: {
  label: string;
  seconds: number | undefined;
  onSeconds: (s: number | undefined) => void;
  stop: string;
}) {
  const [since, setSince] = useState<number | null>(null);
  useNow(500);
  return (
    <>
      <NumberField label={label} unit="s" value={seconds} onChange={onSeconds} />
      <div className="self-end">
        {since === null ? (
          <Secondary onClick={() => setSince(Date.now())}>Start the clock</Secondary>
        ) : (
          <Secondary
            onClick={() => {
              onSeconds(Math.round((Date.now() - since) / 1000));
              setSince(null);
            }}
          >
            {stop} · {timer(Math.max(0, (Date.now() - since) / 1000))}
          </Secondary>
        )}
      </div>
    </>
  );
}
