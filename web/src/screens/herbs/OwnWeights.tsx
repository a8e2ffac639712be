import { useState } from "react";
import { useForgetOwnHerb, useKeepOwnHerb } from "../../api/changes";
import type { HerbResponse, OwnHerbDocument } from "../../api/client";
import { useOwnHerb } from "../../api/queries";
import { NumberField, Primary, Secondary, SelectField } from "../../parts/Field";
import { Trouble } from "../../parts/states";
import { say } from "../../words/say";
import { CUTS, FORMS } from "../recipe/doc";
import { AskForget } from "./AskForget";

type Weight = NonNullable<OwnHerbDocument["weights"]>[number];

/** The cook's own spoon, weighed: it stands above the shipped figure, marked as hers. */
export function OwnWeights({ herb }: { herb: HerbResponse }) {
  const own = useOwnHerb(herb.slug);
  const [open, setOpen] = useState(false);
  if (!open) {
    return (
      <p className="mt-2">
        <button type="button" className="min-h-11 underline underline-offset-4" onClick={() => setOpen(true)}>
          {own.data ? say("herbs.changeMyOwnWeights") : say("herbs.iWeighedMyOwnSpoon")}
        </button>
      </p>
    );
  }
  return own.isPending ? null : <Form herb={herb} kept={own.data ?? null} onClose={() => setOpen(false)} />;
}

function Form({
  herb,
  kept,
  onClose,
}: {
  herb: HerbResponse;
  kept: OwnHerbDocument | null;
  onClose: () => void;
}) {
  const first = herb.bulk[0];
  const [weights, setWeights] = useState<Weight[]>(
    kept?.weights?.length
      ? kept.weights
      : [{ form: (first?.form ?? "dried") as "dried", cut: (first?.cut ?? "chopped") as "chopped" }],
  );
  const keep = useKeepOwnHerb();
  const forget = useForgetOwnHerb();
  const failure = keep.error ?? forget.error;
  const [asking, setAsking] = useState(false);
  const ofHerOwn = kept?.part != null;
  const change = (i: number, part: Partial<Weight>) =>
    setWeights(weights.map((w, j) => (j === i ? { ...w, ...part } : w)));
  return (
    <form
      className="mt-3 max-w-md"
      onSubmit={(e) => {
        e.preventDefault();
        forget.reset();
        keep.mutate({ slug: herb.slug, doc: { ...kept, weights } }, { onSuccess: onClose });
      }}
    >
      <p className="text-muted text-sm">{say("herbs.weighTenLevelTeaspoonsAnd")}</p>
      {weights.map((w, i) => (
        <div key={i} className="mt-1 grid grid-cols-[6rem_1fr_7rem] gap-3">
          <SelectField
            quiet
            label={say("herbs.formOfWeight", { number: i + 1 })}
            value={w.form ?? "dried"}
            options={FORMS}
            onChange={(form) => change(i, { form: form as "dried" })}
          />
          <SelectField
            quiet
            label={say("herbs.cutOfWeight", { number: i + 1 })}
            value={w.cut ?? "chopped"}
            options={CUTS}
            onChange={(cut) => change(i, { cut: cut as "chopped" })}
          />
          <NumberField
            quiet
            label={say("herbs.gramsOfATeaspoonWeight", { number: i + 1 })}
            unit={say("herbs.gramsUnit")}
            value={w.gPerTsp}
            onChange={(gPerTsp) => change(i, { gPerTsp })}
          />
        </div>
      ))}
      {failure !== null && <Trouble error={failure} />}
      <div className="mt-3 flex flex-wrap gap-3">
        <Primary>{say("herbs.keepMyWeights")}</Primary>
        <Secondary onClick={() => setWeights([...weights, { form: "dried", cut: "whole" }])}>
          {say("herbs.anotherCut")}
        </Secondary>
        {kept && !asking && (
          <Secondary onClick={() => setAsking(true)}>
            {ofHerOwn ? say("herbs.forgetThisHerb") : say("herbs.backToTheBooks")}
          </Secondary>
        )}
        <Secondary onClick={onClose}>{say("herbs.leaveIt")}</Secondary>
      </div>
      {asking && (
        <div className="mt-3 border-ember border-l-[5px] pl-3">
          <AskForget
            question={
              ofHerOwn
                ? say("herbs.forgetAltogetherWeights", { herb: herb.common })
                : say("herbs.forgetOwnWeights")
            }
            error={failure}
            onForget={(retire) => {
              keep.reset();
              forget.mutate({ slug: herb.slug, retire }, { onSuccess: onClose });
            }}
            onKeep={() => setAsking(false)}
          />
        </div>
      )}
    </form>
  );
}
