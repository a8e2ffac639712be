import { useKeepPlace } from "../../api/changes";
import type { KitchenResponse, PlaceRequest } from "../../api/client";
import { ownZone } from "../../api/zone";
import { celsius, quantity } from "../../parts/say";
import { OneOf, Word } from "../../parts/Word";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { NumberWord, useInPlace } from "./inPlace";

const SYSTEMS = [
  { value: "us", label: say("household.measuresUs"), gloss: say("household.tsp49Cup237") },
  { value: "metric", label: say("household.metric"), gloss: say("household.tsp5Cup250Ml") },
  { value: "au", label: say("household.australian"), gloss: say("household.tbsp20Cup250Ml") },
  { value: "imperial", label: say("household.imperial"), gloss: say("household.cup284Ml") },
];
const LIANG = [
  { value: "3", label: say("household.liang3"), gloss: say("household.asTodaysClinicsWeighIt") },
  { value: "15.625", label: say("household.liang156"), gloss: say("household.aReadingOfOldBooks") },
  { value: "37.5", label: say("household.liang375"), gloss: say("household.asInTaiwan") },
  { value: "50", label: say("household.liang50"), gloss: say("household.asOnMarketsToday") },
];

/** "Europe/Oslo" is "Oslo, Europe". */
const named = (zone: string) => zone.split("/").reverse().join(", ").replaceAll("_", " ");

/** Where it is brewed and whose spoons are meant: a sentence whose words are changed where they stand. */
export function KitchenPlace({ kitchen }: { kitchen: KitchenResponse }) {
  const change = useKeepPlace();
  const it = useInPlace<KitchenResponse, PlaceRequest>(kitchen, change, (k, part) => ({
    version: k.version,
    ...part,
  }));
  const k = it.shown;
  return (
    <section aria-labelledby="place">
      <h2 id="place" className="mt-8 text-3xl">
        {say("household.place")}
      </h2>
      <p className="mt-2 max-w-md leading-[2.1rem]">
        <Said
          of="household.theKitchenLiesAboveThe"
          altitude={
            <NumberWord
              label={say("household.altitude")}
              shown={quantity("height", k.altitudeM)}
              value={k.altitudeM}
              of="height"
              field="altitudeM"
              wrong={it.wrong}
              onKeep={(altitudeM, close) => it.keep({ altitudeM }, close)}
            />
          }
          temperature={celsius(kitchen.boilingC, true)}
          room={
            <NumberWord
              label={say("household.room")}
              shown={celsius(k.roomC)}
              value={k.roomC}
              of="temperature"
              field="roomC"
              wrong={it.wrong}
              onKeep={(roomC, close) => it.keep({ roomC }, close)}
            />
          }
          coldTap={
            <NumberWord
              label={say("household.coldTap")}
              shown={celsius(k.tapC)}
              value={k.tapC}
              of="temperature"
              field="tapC"
              wrong={it.wrong}
              onKeep={(tapC, close) => it.keep({ tapC }, close)}
            />
          }
          kettle={
            <NumberWord
              label={say("household.kettle")}
              shown={`${k.kettleW} W`}
              value={k.kettleW}
              unit={say("household.wattsUnit")}
              field="kettleW"
              wrong={it.wrong}
              onKeep={(kettleW, close) => it.keep({ kettleW }, close)}
            />
          }
          spoonsAndCups={
            <Word
              label={say("household.spoonsAndCups")}
              shown={SYSTEMS.find((s) => s.value === k.measures)?.label ?? k.measures}
            >
              {() => (
                <OneOf
                  label={say("household.spoonsAndCups")}
                  value={k.measures}
                  options={SYSTEMS}
                  onPick={(measures) => it.keep({ measures: measures as PlaceRequest["measures"] })}
                />
              )}
            </Word>
          }
          oneLiang={
            <Word label={say("household.oneLiang")} shown={`${k.liangG} g`}>
              {() => (
                <OneOf
                  label={say("household.oneLiangIsReadAs")}
                  value={String(k.liangG)}
                  options={LIANG}
                  onPick={(g) => it.keep({ liangG: Number(g) })}
                />
              )}
            </Word>
          }
          timeZone={
            <Word
              label={say("household.timeZone")}
              shown={k.zone ? named(k.zone) : say("household.thisDeviceAsNobodySaid")}
            >
              {() => (
                <OneOf
                  label={say("household.timeZone")}
                  value={k.zone ?? ""}
                  options={[
                    { value: ownZone, label: named(ownZone), gloss: say("household.asThisDeviceHasIt") },
                    ...Intl.supportedValuesOf("timeZone")
                      .filter((z) => z !== ownZone)
                      .map((z) => ({ value: z, label: named(z) })),
                  ]}
                  onPick={(zone) => it.keep({ zone })}
                />
              )}
            </Word>
          }
        />
      </p>
      {it.trouble}
    </section>
  );
}
