import { useState } from "react";
import { type Kept, useKeepPerson, useRemovePerson } from "../../api/changes";
import type { Person, PersonRequest } from "../../api/client";
import { useHerbs } from "../../api/queries";
import { Conditions } from "../../parts/Conditions";
import { NumberField, QuantityField, SelectField, TextField } from "../../parts/Field";
import { HerbPicker } from "../../parts/HerbPicker";
import { KeepingForm, useKeeping } from "./keeping";

function draftOf(p: Person): PersonRequest {
  return {
    ...p,
    weightKg: p.weightKg ?? undefined,
    trimester: p.trimester ?? undefined,
    usualStrength: p.usualStrength as PersonRequest["usualStrength"],
  };
}

/** Somebody who drinks: what decides doses and cautions. */
export function PersonForm({ person, onClose }: { person?: Person; onClose: () => void }) {
  const [draft, setDraft] = useState<PersonRequest>(
    person
      ? draftOf(person)
      : { name: "", ageYears: undefined, conditions: [], allergies: [], brewer: false },
  );
  const remove = useRemovePerson();
  const keeping = useKeeping<Person, Kept<PersonRequest>>(
    useKeepPerson(),
    (version) => ({ id: person?.id, draft: body(draft, version) }),
    onClose,
  );
  const conditions = draft.conditions ?? [];
  const allergies = draft.allergies ?? [];
  const set = (part: Partial<PersonRequest>) => setDraft({ ...draft, ...part });
  return (
    <KeepingForm
      title={person ? person.name : "Somebody who drinks"}
      version={draft.version ?? undefined}
      keeping={keeping}
      onClose={onClose}
      onTheirs={(p) => setDraft(draftOf(p))}
      remove={person && { id: person.id, change: remove }}
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
        <QuantityField
          of="bodyWeight"
          label="Weight, if known"
          value={draft.weightKg}
          wrong={keeping.wrong("weightKg")}
          onChange={(weightKg) => set({ weightKg })}
        />
      </div>
      <fieldset className="mt-4">
        <legend className="text-muted text-sm">What is to be minded</legend>
        <Conditions
          conditions={conditions}
          trimester={draft.trimester}
          onConditions={(all) =>
            set({ conditions: all, ...(all.includes("pregnant") ? {} : { trimester: undefined }) })
          }
          onTrimester={(trimester) => set({ trimester })}
        />
      </fieldset>
      <HerbList
        legend="Allergic to a herb"
        label="Allergic to"
        not="Not allergic to"
        herbs={allergies}
        onHerbs={(all) => set({ allergies: all })}
      />
      <div className="mt-4 grid grid-cols-2 gap-4">
        <SelectField
          label="Usually likes it"
          value={draft.usualStrength ?? "standard"}
          options={["gentle", "standard", "strong"].map((s) => ({ value: s, label: s }))}
          onChange={(s) => set({ usualStrength: s as PersonRequest["usualStrength"] })}
        />
      </div>
      <HerbList
        legend="Would rather not have"
        label="Does not care for"
        not="Cares for"
        herbs={draft.dislikes ?? []}
        onHerbs={(all) => set({ dislikes: all })}
      />
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

/** Herbs of a person, each to be taken out again. */
function HerbList({
  legend,
  label,
  not,
  herbs,
  onHerbs,
}: {
  legend: string;
  label: string;
  not: string;
  herbs: string[];
  onHerbs: (herbs: string[]) => void;
}) {
  const known = useHerbs();
  return (
    <fieldset className="mt-4">
      <legend className="text-muted text-sm">{legend}</legend>
      <HerbPicker
        label={label}
        value=""
        onPick={(slug) => !herbs.includes(slug) && onHerbs([...herbs, slug])}
      />
      <ul className="mt-1 flex flex-wrap gap-x-4">
        {herbs.map((a) => (
          <li key={a}>
            {known.data?.find((h) => h.slug === a)?.common ?? a}{" "}
            <button
              type="button"
              aria-label={`${not} ${a}`}
              className="min-h-9 max-sm:min-h-11 px-1"
              onClick={() => onHerbs(herbs.filter((x) => x !== a))}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
    </fieldset>
  );
}

function body(d: PersonRequest, version: number | undefined): PersonRequest {
  return {
    version,
    name: d.name,
    ageYears: d.ageYears,
    weightKg: d.weightKg,
    conditions: d.conditions,
    trimester: d.trimester,
    allergies: d.allergies,
    usualStrength: d.usualStrength,
    dislikes: d.dislikes,
    brewer: d.brewer,
  };
}
