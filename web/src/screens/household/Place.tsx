import { useKeepPlace } from "../../api/changes";
import type { KitchenResponse, PlaceRequest } from "../../api/client";
import { ownZone } from "../../api/zone";
import { celsius, quantity } from "../../parts/say";
import { OneOf, Word } from "../../parts/Word";
import { NumberWord, useInPlace } from "./inPlace";

const SYSTEMS = [
  { value: "us", label: "US", gloss: "tsp 4.9, cup 237 mL" },
  { value: "metric", label: "metric", gloss: "tsp 5, cup 250 mL" },
  { value: "au", label: "Australian", gloss: "tbsp 20, cup 250 mL" },
  { value: "imperial", label: "imperial", gloss: "cup 284 mL" },
];
const LIANG = [
  { value: "3", label: "3 g", gloss: "as today’s clinics weigh it" },
  { value: "15.625", label: "15.6 g", gloss: "a reading of old books, disputed" },
  { value: "37.5", label: "37.5 g", gloss: "as in Taiwan" },
  { value: "50", label: "50 g", gloss: "as on markets today" },
];

/** "Europe/Oslo" is "Oslo, Europe". */
const named = (zone: string) => zone.split("/").reverse().join(", ").replaceAll("_", " ");

/** Where it is brewed and whose spoons are meant: a sentence whose words are changed where they stand. */
export function Place({ kitchen }: { kitchen: KitchenResponse }) {
  const change = useKeepPlace();
  const it = useInPlace<KitchenResponse, PlaceRequest>(kitchen, change, (k, part) => ({
    version: k.version,
    ...part,
  }));
  const k = it.shown;
  return (
    <section aria-labelledby="place">
      <h2 id="place" className="mt-8 text-3xl">
        Place
      </h2>
      <p className="mt-2 max-w-md leading-[2.1rem]">
        The kitchen lies{" "}
        <NumberWord
          label="Altitude"
          shown={quantity("height", k.altitudeM)}
          value={k.altitudeM}
          of="height"
          field="altitudeM"
          wrong={it.wrong}
          onKeep={(altitudeM, close) => it.keep({ altitudeM }, close)}
        />{" "}
        above the sea, so that water boils at {celsius(kitchen.boilingC, true)}. The room is at{" "}
        <NumberWord
          label="Room"
          shown={celsius(k.roomC)}
          value={k.roomC}
          of="temperature"
          field="roomC"
          wrong={it.wrong}
          onKeep={(roomC, close) => it.keep({ roomC }, close)}
        />
        , the tap gives{" "}
        <NumberWord
          label="Cold tap"
          shown={celsius(k.tapC)}
          value={k.tapC}
          of="temperature"
          field="tapC"
          wrong={it.wrong}
          onKeep={(tapC, close) => it.keep({ tapC }, close)}
        />
        , and the kettle has{" "}
        <NumberWord
          label="Kettle"
          shown={`${k.kettleW} W`}
          value={k.kettleW}
          unit="W"
          field="kettleW"
          wrong={it.wrong}
          onKeep={(kettleW, close) => it.keep({ kettleW }, close)}
        />
        . Spoons and cups are{" "}
        <Word
          label="Spoons and cups"
          shown={SYSTEMS.find((s) => s.value === k.measures)?.label ?? k.measures}
        >
          {() => (
            <OneOf
              label="Spoons and cups"
              value={k.measures}
              options={SYSTEMS}
              onPick={(measures) => it.keep({ measures: measures as PlaceRequest["measures"] })}
            />
          )}
        </Word>
        , and one liang, the ounce of Chinese recipes, is read as{" "}
        <Word label="One liang" shown={`${k.liangG} g`}>
          {() => (
            <OneOf
              label="One liang is read as"
              value={String(k.liangG)}
              options={LIANG}
              onPick={(g) => it.keep({ liangG: Number(g) })}
            />
          )}
        </Word>
        . Its days go by the clock of{" "}
        <Word label="Time zone" shown={k.zone ? named(k.zone) : "this device, as nobody said another"}>
          {() => (
            <OneOf
              label="Time zone"
              value={k.zone ?? ""}
              options={[
                { value: ownZone, label: named(ownZone), gloss: "as this device has it" },
                ...Intl.supportedValuesOf("timeZone")
                  .filter((z) => z !== ownZone)
                  .map((z) => ({ value: z, label: named(z) })),
              ]}
              onPick={(zone) => it.keep({ zone })}
            />
          )}
        </Word>
        , on every device.
      </p>
      {it.trouble}
    </section>
  );
}
