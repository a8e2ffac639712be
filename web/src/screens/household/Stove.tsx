import { useState } from "react";
import { useKeepBurner, useRemoveBurner } from "../../api/changes";
import type { BurnerRequest, BurnerResponse, VesselResponse } from "../../api/client";
import * as length from "../../api/length.gen";
import { NumberField, TextField } from "../../parts/Field";
import { TakeAway } from "../../parts/TakeAway";
import { say } from "../../words/say";
import { BurnerDrawing } from "./Burner";
import { Calibrate } from "./Calibrate";
import { NameWord, NewThing, NumberWord, useInPlace } from "./inPlace";

const FLAMES = [
  ["lowW", "low"],
  ["mediumW", "medium"],
  ["highW", "high"],
] as const;

/** The burners of the stove by the heat that reaches the water. */
export function Stove({ burners, vessels }: { burners: BurnerResponse[]; vessels: VesselResponse[] }) {
  const add = useKeepBurner();
  return (
    <section aria-labelledby="stove">
      <h2 id="stove" className="mt-8 text-3xl">
        {say("household.stove")}
      </h2>
      <p className="text-muted text-sm">{say("household.heatThatReachesTheWater")}</p>
      <ul className="mt-2 border-hairline border-t">
        {burners.map((b) => (
          <li key={b.id} className="border-hairline border-b py-3">
            <OneBurner burner={b} vessels={vessels} />
          </li>
        ))}
      </ul>
      <NewThing<BurnerRequest>
        words={say("household.anotherBurner")}
        none={say("household.none")}
        start={{ name: "", lowW: 250, mediumW: 700, highW: 1200 }}
        add={add}
      >
        {(draft, set, wrong) => (
          <>
            <BurnerDrawing low={draft.lowW ?? 0} medium={draft.mediumW ?? 0} high={draft.highW ?? 0} />
            <TextField
              label={say("household.name")}
              most={length.SHORT_NAME}
              value={draft.name ?? ""}
              wrong={wrong("name")}
              onChange={(name) => set({ name })}
            />
            {FLAMES.map(([part, words]) => (
              <NumberField
                key={part}
                className="w-24"
                label={words}
                unit={say("household.wattsUnit")}
                value={draft[part] ?? undefined}
                wrong={wrong(part)}
                onChange={(w) => set({ [part]: w })}
              />
            ))}
          </>
        )}
      </NewThing>
    </section>
  );
}

function OneBurner({ burner, vessels }: { burner: BurnerResponse; vessels: VesselResponse[] }) {
  const [measuring, setMeasuring] = useState(false);
  const change = useKeepBurner();
  const remove = useRemoveBurner();
  const it = useInPlace<BurnerResponse, BurnerRequest>(
    burner,
    { ...change, mutateAsync: (draft) => change.mutateAsync({ id: burner.id, draft }) },
    (b, part) => ({
      version: b.version,
      name: b.name,
      lowW: b.lowW,
      mediumW: b.mediumW,
      highW: b.highW,
      ...part,
    }),
  );
  const b = it.shown;
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <BurnerDrawing low={b.lowW} medium={b.mediumW} high={b.highW} />
        <p className="leading-[2.1rem]">
          <NameWord label={say("household.nameOf", { name: b.name })} name={b.name} it={it} />:{" "}
          {FLAMES.map(([part, words], i) => (
            <span key={part}>
              {i > 0 && ", "}
              {words}{" "}
              <NumberWord
                label={say("household.flameOf", { words, name: b.name })}
                shown={`${Math.round(b[part])} W`}
                value={b[part]}
                unit={say("household.wattsUnit")}
                field={part}
                wrong={it.wrong}
                onKeep={(w, close) => it.keep({ [part]: w }, close)}
              />
            </span>
          ))}
        </p>
      </div>
      <p className="flex flex-wrap justify-between gap-x-5 text-sm">
        <button
          type="button"
          className="min-h-11 underline underline-offset-4"
          aria-label={say("household.measureIt", { name: b.name })}
          onClick={() => setMeasuring(true)}
        >
          {say("household.measureItWithTwoSmall")}
        </button>
        <TakeAway name={b.name} error={remove.error} onTake={() => remove.mutate(b.id)} />
      </p>
      {it.trouble}
      {measuring && <Calibrate burner={burner} vessels={vessels} onClose={() => setMeasuring(false)} />}
    </>
  );
}
