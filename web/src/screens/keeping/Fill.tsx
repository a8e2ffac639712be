import { useState } from "react";
import { usePutTin } from "../../api/changes";
import * as length from "../../api/length.gen";
import { DateField, NumberField, Primary, SelectField, TextField } from "../../parts/Field";
import { HerbPicker } from "../../parts/HerbPicker";
import { Trouble } from "../../parts/states";
import { say } from "../../words/say";
import { FORMS } from "../recipe/doc";

/** Puts something of a herb into the house; where it usually stands, and moved from there. */
export function Fill() {
  const [herb, setHerb] = useState("");
  const [form, setForm] = useState("dried");
  const [grams, setGrams] = useState<number | undefined>();
  const [filledOn, setFilledOn] = useState("");
  const [note, setNote] = useState("");
  const put = usePutTin();
  return (
    <form
      aria-labelledby="fill"
      onSubmit={(e) => {
        e.preventDefault();
        const emptied = () => {
          setHerb("");
          setGrams(undefined);
          setNote("");
        };
        put.mutate(
          { herb, form: form as "dried", grams, filledOn: filledOn || undefined, note },
          { onSuccess: emptied },
        );
      }}
    >
      <h2 id="fill" className="text-2xl">
        {say("keeping.putATinOnIt")}
      </h2>
      <div className="mt-2 grid grid-cols-2 gap-4">
        <div className="col-span-2">
          <HerbPicker value={herb} onPick={setHerb} label={say("keeping.herbInTheTin")} />
        </div>
        <SelectField label={say("keeping.form")} value={form} options={FORMS} onChange={setForm} />
        <NumberField
          label={say("keeping.howMuchIfKnown")}
          unit={say("keeping.gramsUnit")}
          value={grams}
          onChange={setGrams}
        />
        <div className="col-span-2">
          <DateField label={say("keeping.filledOnTodayWhenLeft")} value={filledOn} onChange={setFilledOn} />
        </div>
        <TextField
          className="col-span-2"
          label={say("keeping.whereFrom")}
          most={length.LINE}
          value={note}
          onChange={setNote}
        />
      </div>
      {put.error && <Trouble error={put.error} />}
      <div className="mt-4">
        <Primary busy={!herb}>{say("keeping.putItOnTheShelf")}</Primary>
      </div>
    </form>
  );
}
