import { useState } from "react";
import { api, type Person, type PersonDraft } from "../../api/client";
import { useHerbs } from "../../api/queries";
import { NumberField, TextField } from "../../parts/Field";
import { HerbPicker } from "../../parts/HerbPicker";
import { KeepingForm, useKeeping } from "./keeping";

const CONDITIONS = [
  ["pregnant", "pregnant"],
  ["breastfeeding", "breastfeeding"],
  ["high-blood-pressure", "high blood pressure"],
  ["low-blood-pressure", "low blood pressure"],
  ["blood-thinner", "blood thinner"],
  ["diabetes-medicine", "diabetes medicine"],
  ["sedative", "sedative"],
  ["gallbladder", "gallbladder disease"],
  ["kidney", "kidney disease"],
  ["liver", "liver disease"],
  ["surgery-planned", "an operation planned"],
  ["daisy-allergy", "daisy family allergy"],
  ["salicylate-allergy", "salicylate allergy"],
  ["reflux", "reflux"],
  ["stomach-irritation", "irritable stomach"],
] as const;

/** Somebody who drinks: what decides doses and cautions. */
export function PersonForm({ person, onClose }: { person?: Person; onClose: () => void }) {
  const herbs = useHerbs();
  const [draft, setDraft] = useState<PersonDraft>(
    person
      ? { ...person, weightKg: person.weightKg ?? undefined }
      : { name: "", ageYears: undefined, conditions: [], allergies: [], brewer: false },
  );
  const keeping = useKeeping<Person>((version) => api.keepPerson(person?.id, body(draft, version)), onClose);
  const conditions = draft.conditions ?? [];
  const allergies = draft.allergies ?? [];
  const set = (part: Partial<PersonDraft>) => setDraft({ ...draft, ...part });
  return (
    <KeepingForm
      title={person ? person.name : "Somebody who drinks"}
      version={draft.version ?? undefined}
      keeping={keeping}
      onClose={onClose}
      onTheirs={(p) => setDraft({ ...p, weightKg: p.weightKg ?? undefined })}
      onRemove={person ? () => api.removePerson(person.id) : undefined}
    >
      <div className="grid grid-cols-2 gap-4">
        <TextField
          className="col-span-2"
          label="Name"
          most={60}
          value={draft.name ?? ""}
          wrong={keeping.wrong("name")}
          onChange={(name) => set({ name })}
        />
        <NumberField
          label="Age"
          unit="years"
          value={draft.ageYears}
          wrong={keeping.wrong("ageYears")}
          onChange={(ageYears) => set({ ageYears })}
        />
        <NumberField
          label="Weight, if known"
          unit="kg"
          value={draft.weightKg}
          wrong={keeping.wrong("weightKg")}
          onChange={(weightKg) => set({ weightKg })}
        />
      </div>
      <fieldset className="mt-4">
        <legend className="text-muted text-sm">What is to be minded</legend>
        <div className="grid grid-cols-2 gap-x-4">
          {CONDITIONS.map(([code, words]) => (
            <label key={code} className="flex min-h-10 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-[var(--amber)]"
                checked={conditions.includes(code)}
                onChange={(e) =>
                  set({
                    conditions: e.target.checked
                      ? [...conditions, code]
                      : conditions.filter((c) => c !== code),
                  })
                }
              />
              {words}
            </label>
          ))}
        </div>
      </fieldset>
      <fieldset className="mt-4">
        <legend className="text-muted text-sm">Allergic to a herb</legend>
        <HerbPicker
          label="Allergic to"
          value=""
          onPick={(slug) => !allergies.includes(slug) && set({ allergies: [...allergies, slug] })}
        />
        <ul className="mt-1 flex flex-wrap gap-x-4">
          {allergies.map((a) => (
            <li key={a}>
              {herbs.data?.find((h) => h.slug === a)?.common ?? a}{" "}
              <button
                type="button"
                aria-label={`Not allergic to ${a}`}
                className="min-h-9 px-1"
                onClick={() => set({ allergies: allergies.filter((x) => x !== a) })}
              >
                ×
              </button>
            </li>
          ))}
        </ul>
      </fieldset>
      <label className="mt-3 flex min-h-10 items-center gap-2">
        <input
          type="checkbox"
          className="size-4"
          checked={draft.brewer ?? false}
          onChange={(e) => set({ brewer: e.target.checked })}
        />
        brews, and is the drinker unless another is named
      </label>
    </KeepingForm>
  );
}

function body(d: PersonDraft, version: number | undefined): PersonDraft {
  return {
    version,
    name: d.name,
    ageYears: d.ageYears,
    weightKg: d.weightKg,
    conditions: d.conditions,
    allergies: d.allergies,
    brewer: d.brewer,
  };
}
