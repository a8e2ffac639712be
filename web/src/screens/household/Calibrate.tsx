import { useState } from "react";
import { useCalibrate, useKeepBurner } from "../../api/changes";
import type { BurnerResponse, VesselResponse } from "../../api/client";
import { NumberField, Primary, QuantityField, Secondary, SelectField } from "../../parts/Field";
import { useNow } from "../../parts/now";
import { Panel } from "../../parts/Panel";
import { timer } from "../../parts/say";
import { Trouble } from "../../parts/states";
import { Why } from "../../parts/Why";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

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
    <Panel
      open
      wide
      onOpenChange={(o) => !o && onClose()}
      title={say("household.measureThe", { name: burner.name })}
    >
      <div className="grid gap-x-10 gap-y-6 sm:grid-cols-2">
        <section>
          <h3 className="text-xl">{say("household.1ToTheBoil")}</h3>
          <p className="mt-1">{say("household.coldTapWaterIntoThe")}</p>
          <div className="mt-2 grid grid-cols-2 gap-4">
            <SelectField
              label={say("household.pot")}
              value={vesselId}
              options={pots.map((v) => ({ value: v.id, label: v.name }))}
              onChange={setVesselId}
            />
            <QuantityField label={say("household.water")} of="volume" value={waterMl} onChange={setWaterMl} />
            <Clock
              label={say("household.timeToTheBoil")}
              seconds={heatS}
              onSeconds={setHeatS}
              stop={say("household.itBoils")}
            />
          </div>
        </section>
        <section>
          <h3 className="text-xl">{say("household.2BoilingAway")}</h3>
          <p className="mt-1">{say("household.lidOffMediumFlameAbout")}</p>
          <div className="mt-2 grid grid-cols-2 gap-4">
            <QuantityField
              label={say("household.boiledAway")}
              of="volume"
              value={boilOffMl}
              onChange={setBoilOffMl}
            />
            <span />
            <Clock
              label={say("household.timeOfBoiling")}
              seconds={boilOffS}
              onSeconds={setBoilOffS}
              stop={say("household.offTheFlame")}
            />
          </div>
        </section>
      </div>
      {failure !== null && <Trouble error={failure} />}
      <div className="mt-5 flex flex-wrap items-center gap-4">
        <Secondary onClick={ask}>{say("household.whatDoTheySay")}</Secondary>
        {fitted && (
          <>
            <p>
              <Said
                of="household.lowWMediumHigh"
                low={quantityW(fitted.lowW)}
                medium={
                  <Why
                    what={say("household.netPowerMedium")}
                    workings={fitted.medium}
                    className="figure text-xl"
                  >
                    {quantityW(fitted.mediumW)}
                  </Why>
                }
                high={
                  <Why what={say("household.netPowerHigh")} workings={fitted.high} className="figure text-xl">
                    {quantityW(fitted.highW)}
                  </Why>
                }
                was={
                  <span className="text-muted">
                    {say("household.wattsBefore", {
                      low: burner.lowW,
                      medium: burner.mediumW,
                      high: burner.highW,
                    })}
                  </span>
                }
              />
            </p>
            <Primary onClick={keep}>{say("household.keepThese")}</Primary>
          </>
        )}
      </div>
      <p className="mt-3 text-muted text-sm">{say("household.boilingWaterAndSteamScald")}</p>
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
      <NumberField label={label} unit={say("household.secondsUnit")} value={seconds} onChange={onSeconds} />
      <div className="self-end">
        {since === null ? (
          <Secondary onClick={() => setSince(Date.now())}>{say("household.startTheClock")}</Secondary>
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

const quantityW = (watts: number) => say("household.watts", { watts: Math.round(watts) });
