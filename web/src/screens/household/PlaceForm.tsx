import { useState } from "react";
import { useKeepPlace } from "../../api/changes";
import type { KitchenResponse, PlaceRequest } from "../../api/client";
import { NumberField, QuantityField, SelectField } from "../../parts/Field";
import { KeepingForm, useKeeping } from "./keeping";

const SYSTEMS = [
  { value: "us", label: "US: tsp 4.9, cup 237 mL" },
  { value: "metric", label: "metric: tsp 5, cup 250 mL" },
  { value: "au", label: "Australian: tbsp 20, cup 250 mL" },
  { value: "imperial", label: "imperial: cup 284 mL" },
] as const;
const LIANG = [
  { value: "3", label: "3 g, today’s clinics" },
  { value: "15.625", label: "15.6 g, Han-dynasty reading, disputed" },
  { value: "37.5", label: "37.5 g, Taiwan" },
  { value: "50", label: "50 g, modern market" },
];

/** Where it is brewed and whose spoons are meant. */
export function PlaceForm({ kitchen, onClose }: { kitchen: KitchenResponse; onClose: () => void }) {
  const [draft, setDraft] = useState<PlaceRequest>(pick(kitchen));
  const keeping = useKeeping<KitchenResponse, PlaceRequest>(
    useKeepPlace(),
    (version) => ({ ...draft, version }),
    onClose,
  );
  const set = (part: Partial<PlaceRequest>) => setDraft({ ...draft, ...part });
  return (
    <KeepingForm
      title="The place"
      version={draft.version ?? undefined}
      keeping={keeping}
      onClose={onClose}
      onTheirs={(k) => setDraft(pick(k))}
    >
      <div className="grid grid-cols-2 gap-4">
        <QuantityField
          label="Altitude"
          of="height"
          value={draft.altitudeM}
          wrong={keeping.wrong("altitudeM")}
          onChange={(altitudeM) => set({ altitudeM })}
        />
        <NumberField
          label="Kettle"
          unit="W"
          value={draft.kettleW}
          wrong={keeping.wrong("kettleW")}
          onChange={(kettleW) => set({ kettleW })}
        />
        <QuantityField
          label="Room"
          of="temperature"
          value={draft.roomC}
          wrong={keeping.wrong("roomC")}
          onChange={(roomC) => set({ roomC })}
        />
        <QuantityField
          label="Cold tap"
          of="temperature"
          value={draft.tapC}
          wrong={keeping.wrong("tapC")}
          onChange={(tapC) => set({ tapC })}
        />
        <SelectField
          className="col-span-2"
          label="Spoons and cups"
          value={draft.measures ?? "us"}
          options={SYSTEMS}
          onChange={(measures) => set({ measures })}
        />
        <SelectField
          className="col-span-2"
          label="One liang is read as"
          value={String(draft.liangG ?? 3)}
          options={LIANG}
          onChange={(g) => set({ liangG: Number(g) })}
        />
      </div>
    </KeepingForm>
  );
}

function pick(k: KitchenResponse): PlaceRequest {
  return {
    version: k.version,
    altitudeM: k.altitudeM,
    roomC: k.roomC,
    tapC: k.tapC,
    kettleW: k.kettleW,
    measures: k.measures as PlaceRequest["measures"],
    liangG: k.liangG,
  };
}
