import { useState } from "react";
import { useKeepOwnHerb } from "../../api/changes";
import type { HerbResponse, OwnHerbDocument } from "../../api/client";
import * as length from "../../api/length.gen";
import { useOwnHerb } from "../../api/queries";
import { NumberField, Primary, Secondary, SelectField, TextField } from "../../parts/Field";
import { Trouble } from "../../parts/states";
import { Said } from "../../words/Said";
import { say } from "../../words/say";

type Says = NonNullable<OwnHerbDocument["says"]>;

const SAID = [
  { value: "", label: say("herbs.saysNothingOfIt") },
  { value: "note", label: say("herbs.possible") },
  { value: "care", label: say("herbs.onlyWithAClinician") },
  { value: "stop", label: say("herbs.notThen") },
];

/** What a source that the cook names says of a herb of her own: what it is silent of stays stopped. */
export function OwnSource({ herb }: { herb: HerbResponse }) {
  const own = useOwnHerb(herb.slug);
  const [open, setOpen] = useState(false);
  if (own.data?.part == null) return null;
  return open ? (
    <Form slug={herb.slug} kept={own.data} onClose={() => setOpen(false)} />
  ) : (
    <p className="mt-1">
      {own.data.says && (
        <span className="block">
          <Said of="herbs.byYourSource" source={own.data.says.source} />
        </span>
      )}
      <button type="button" className="min-h-11 underline underline-offset-4" onClick={() => setOpen(true)}>
        {own.data.says ? say("herbs.changeWhatItSays") : say("herbs.aSourceINameSays")}
      </button>
    </p>
  );
}

function Form({ slug, kept, onClose }: { slug: string; kept: OwnHerbDocument; onClose: () => void }) {
  const [says, setSays] = useState<Says>(kept.says ?? { source: "" });
  const keep = useKeepOwnHerb();
  const of = (when: string) => says.cautions?.find((c) => c.when === when)?.severity ?? "";
  const put = (when: string, severity: string) => {
    const rest = (says.cautions ?? []).filter((c) => c.when !== when);
    type Caution = NonNullable<Says["cautions"]>[number];
    setSays({
      ...says,
      cautions: severity === "" ? rest : [...rest, { when, severity } as Caution],
    });
  };
  return (
    <form
      className="mt-3 max-w-md"
      onSubmit={(e) => {
        e.preventDefault();
        keep.mutate({ slug, doc: { ...kept, says } }, { onSuccess: onClose });
      }}
    >
      <p className="text-muted text-sm">{say("herbs.whatItIsSilentOf")}</p>
      <div className="mt-2 grid grid-cols-2 gap-4">
        <TextField
          className="col-span-2"
          label={say("herbs.theSourceABookAnd")}
          most={length.USE}
          value={says.source ?? ""}
          onChange={(source) => setSays({ ...says, source })}
        />
        <NumberField
          label={say("herbs.aCupAtLeast")}
          unit={say("herbs.gramsUnit")}
          value={says.perCupG}
          onChange={(perCupG) => setSays({ ...says, perCupG })}
        />
        <NumberField
          label={say("herbs.atMost")}
          unit={say("herbs.gramsUnit")}
          value={says.perCupToG}
          onChange={(perCupToG) => setSays({ ...says, perCupToG })}
        />
        <NumberField
          label={say("herbs.timesADay")}
          value={says.timesADay}
          onChange={(timesADay) => setSays({ ...says, timesADay })}
        />
        <NumberField
          label={say("herbs.fromTheAgeOf")}
          unit={say("herbs.years")}
          value={says.ageFloorYears}
          onChange={(ageFloorYears) => setSays({ ...says, ageFloorYears })}
        />
        <SelectField
          label={say("herbs.inPregnancy")}
          value={of("pregnant")}
          options={SAID}
          onChange={(v) => put("pregnant", v)}
        />
        <SelectField
          label={say("herbs.whileBreastfeeding")}
          value={of("breastfeeding")}
          options={SAID}
          onChange={(v) => put("breastfeeding", v)}
        />
      </div>
      {keep.error !== null && <Trouble error={keep.error} />}
      <div className="mt-3 flex gap-3">
        <Primary busy={(says.source ?? "").trim() === ""}>{say("herbs.keepWhatItSays")}</Primary>
        <Secondary onClick={onClose}>{say("herbs.leaveIt")}</Secondary>
      </div>
    </form>
  );
}
