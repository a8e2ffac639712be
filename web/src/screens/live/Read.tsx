import { useState } from "react";
import type { BrewResponse, MeasuredRequest } from "../../api/client";
import { inCore, onScale, scaleOf } from "../../api/house";
import * as limit from "../../api/limit.gen";
import { confirm } from "../../api/outbox";
import { say } from "../../words/say";

const KINDS = [
  { value: "level-cm", label: say("live.surfaceUnderTheRim"), of: "length", range: limit.READ_CM },
  { value: "volume-ml", label: say("live.inThePotOrJug"), of: "volume", range: limit.READ_ML },
  { value: "temperature-c", label: say("live.thermometer"), of: "temperature", range: limit.READ_C },
] as const;

/** What the cook reads off a spoon, a jug or a thermometer; the rest is predicted anew from it. */
export function Read({ brew }: { brew: BrewResponse }) {
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState<(typeof KINDS)[number]["value"]>("volume-ml");
  const [value, setValue] = useState("");
  const k = KINDS.find((x) => x.value === kind) ?? KINDS[0];
  const scale = scaleOf(k.of);
  if (!open) {
    return (
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="min-h-14 rounded-one border border-hairline px-4"
      >
        {say("live.iRead")}
      </button>
    );
  }
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        confirm(brew.id, {
          kind: "measured",
          reading: kind as MeasuredRequest["reading"],
          value: inCore(scale, Number(value)),
        });
        setOpen(false);
        setValue("");
      }}
    >
      <select
        aria-label={say("live.whatWasRead")}
        value={kind}
        onChange={(e) => setKind(e.target.value as typeof kind)}
        className="min-h-14 border-ink border-b-2 bg-transparent px-1"
      >
        {KINDS.map((x) => (
          <option key={x.value} value={x.value} className="bg-raised text-ink">
            {x.label}
          </option>
        ))}
      </select>
      <label className="flex items-baseline gap-2">
        <span className="sr-only">{k.label}</span>
        <input
          required
          type="number"
          step="any"
          min={onScale(scale, k.range.low)}
          max={onScale(scale, k.range.high)}
          value={value}
          onChange={(e) => setValue(e.target.value)}
          className="figure w-24 border-ink border-b-2 bg-transparent text-xl"
        />
        {scale.unit}
      </label>
      <button type="submit" className="min-h-14 rounded-one bg-ink px-4 text-ground">
        {say("live.noteIt")}
      </button>
      <button
        type="button"
        className="min-h-14 px-2 underline underline-offset-4"
        onClick={() => setOpen(false)}
      >
        {say("live.notNow")}
      </button>
    </form>
  );
}
