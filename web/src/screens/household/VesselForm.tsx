import { useState } from "react";
import { type Kept, useKeepVessel, useRemoveVessel } from "../../api/changes";
import type { VesselRequest, VesselResponse } from "../../api/client";
import { QuantityField, SelectField, TextField } from "../../parts/Field";
import { millilitres } from "../../parts/say";
import { KeepingForm, useKeeping } from "./keeping";

const KINDS = ["pot", "jar", "press", "teapot", "thermos", "mug"].map((k) => ({ value: k, label: k }));

const COMPANIONS: { value: NonNullable<VesselRequest["companions"]>[number]; label: string }[] = [
  { value: "tea-ball", label: "a tea ball: it is lifted out, nothing is strained" },
  { value: "blender", label: "a blender" },
];

/** A vessel by its inner size, which a tape and a jug measure. */
export function VesselForm({ vessel, onClose }: { vessel?: VesselResponse; onClose: () => void }) {
  const [draft, setDraft] = useState<VesselRequest>(vessel ? requestOf(vessel) : { name: "", kind: "pot" });
  const remove = useRemoveVessel();
  const keeping = useKeeping<VesselResponse, Kept<VesselRequest>>(
    useKeepVessel(),
    (version) => ({
      id: vessel?.id,
      draft: {
        version,
        name: draft.name,
        kind: draft.kind,
        innerDiameterCm: draft.innerDiameterCm,
        heightCm: draft.heightCm,
        brimMl: draft.brimMl,
        companions: draft.companions,
      },
    }),
    onClose,
  );
  const set = (part: Partial<VesselRequest>) => setDraft({ ...draft, ...part });
  const cylinder =
    draft.innerDiameterCm && draft.heightCm
      ? (Math.PI * draft.innerDiameterCm ** 2 * draft.heightCm) / 4
      : undefined;
  return (
    <KeepingForm
      title={vessel ? vessel.name : "A vessel"}
      version={draft.version ?? undefined}
      keeping={keeping}
      onClose={onClose}
      onTheirs={(v) => setDraft(requestOf(v))}
      remove={vessel && { id: vessel.id, change: remove }}
    >
      <div className="grid grid-cols-2 gap-4">
        <TextField
          label="Name"
          most={60}
          value={draft.name ?? ""}
          wrong={keeping.wrong("name")}
          onChange={(name) => set({ name })}
        />
        <SelectField
          label="What it is"
          value={draft.kind ?? "pot"}
          options={KINDS}
          onChange={(kind) => set({ kind: kind as VesselRequest["kind"] })}
        />
        <QuantityField
          label="Wide inside"
          of="length"
          value={draft.innerDiameterCm}
          wrong={keeping.wrong("innerDiameterCm")}
          onChange={(innerDiameterCm) => set({ innerDiameterCm, brimMl: undefined })}
        />
        <QuantityField
          label="High inside"
          of="length"
          value={draft.heightCm}
          wrong={keeping.wrong("heightCm")}
          onChange={(heightCm) => set({ heightCm, brimMl: undefined })}
        />
        <QuantityField
          className="col-span-2"
          label={
            cylinder
              ? `Full to the brim (straight walls would make ${millilitres(cylinder)})`
              : "Full to the brim"
          }
          of="volume"
          value={draft.brimMl}
          wrong={keeping.wrong("brimMl")}
          onChange={(brimMl) => set({ brimMl })}
        />
        <fieldset className="col-span-2">
          <legend className="text-muted text-sm">What goes with it</legend>
          {COMPANIONS.map((c) => (
            <label key={c.value} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-[var(--ink)]"
                checked={draft.companions?.includes(c.value) ?? false}
                onChange={(e) =>
                  set({
                    companions: e.target.checked
                      ? [...(draft.companions ?? []), c.value]
                      : draft.companions?.filter((x) => x !== c.value),
                  })
                }
              />
              {c.label}
            </label>
          ))}
        </fieldset>
      </div>
    </KeepingForm>
  );
}

const requestOf = (v: VesselResponse): VesselRequest => ({
  ...v,
  kind: v.kind as VesselRequest["kind"],
  companions: v.companions as VesselRequest["companions"],
});
