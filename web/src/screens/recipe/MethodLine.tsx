import { useMemo, useState } from "react";
import type { PlanResponse, RecipeDocument, StageDocument } from "../../api/client";
import { traitsOf } from "../../api/stages";
import { FireLine } from "../../drawings/FireLine";
import { Handles } from "../../drawings/Handles";
import { ofPlan } from "../../drawings/lineProps";
import { NumberField, QuantityField, Secondary, SelectField, TextField, Tick } from "../../parts/Field";
import { Glossed } from "../../parts/Glossed";
import { millilitres, span } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { OneOf, Word } from "../../parts/Word";
import { say } from "../../words/say";
import { applied } from "../sheet/order";
import { Decide } from "./Decide";
import {
  asKind,
  decided,
  FLAMES,
  hangsOn,
  joined,
  movedTo,
  RECEIVERS,
  STAGES,
  stageOf,
  stageWords,
  swapped,
  withoutStage,
  withStage,
} from "./doc";

/** The method on its fire line: stages made, moved, stretched and taken out where they stand. */
export function MethodLine({
  recipe,
  plan,
  reasons,
  wrong,
  onChange,
  onPropose,
}: {
  recipe: RecipeDocument;
  plan?: PlanResponse;
  reasons: { stage: number; text: string }[];
  wrong: (field: string) => string | undefined;
  onChange: (r: RecipeDocument) => void;
  onPropose: () => void;
}) {
  const box = useWidth(900);
  const stages = useMemo(() => recipe.stages ?? [], [recipe.stages]);
  const drawn = plan !== undefined && plan.totalS > 0;
  return (
    <section aria-labelledby="method" className="mt-6" ref={box.ref}>
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-2">
        <h2 id="method" className="text-xl">
          {say("recipe.whatIsDone")}
        </h2>
        <Secondary onClick={onPropose}>
          {stages.length === 0 ? say("recipe.proposeTheStages") : say("recipe.proposeThemAnew")}
        </Secondary>
      </div>
      {stages.length === 0 && (
        <p className="mt-1 text-muted">{say("recipe.nothingIsSaidOfThe", { drawn })}</p>
      )}
      {drawn && plan && (
        <div className="mt-2">
          <FireLine
            {...ofPlan(plan)}
            width={box.width}
            height={box.width < 560 ? 176 : 190}
            over={(g) =>
              box.width >= 560 &&
              stages.length > 0 && (
                <Handles
                  plan={plan}
                  stages={stages}
                  width={box.width}
                  strength="standard"
                  onStrength={() => {}}
                  onTweak={(t) => onChange(applied(recipe, [t]))}
                  onMove={(from, to) => onChange(movedTo(recipe, from, to))}
                  onJoin={(at) => onChange(joined(recipe, at))}
                  {...g}
                />
              )
            }
          />
          <p className="text-muted text-sm">
            {say("recipe.inStrainedIn", {
              start: millilitres(plan.water.startMl),
              strained: millilitres(plan.water.yieldMl),
              time: span(plan.totalS),
            })}{" "}
            {box.width >= 560 && stages.length > 0 && say("recipe.dragAStageToAnother")}
          </p>
        </div>
      )}
      <ol
        aria-label={say("recipe.stages")}
        className="mt-2 flex flex-wrap items-center gap-x-1.5 gap-y-1 text-[1.05rem]"
      >
        <Insert at={0} recipe={recipe} onChange={onChange} />
        {stages.map((s, i) => (
          <Stage key={i} stage={s} at={i} recipe={recipe} wrong={wrong} onChange={onChange} />
        ))}
      </ol>
      {reasons.map((r) => (
        <p key={r.stage + r.text} className="text-muted text-sm">
          <Glossed text={r.text} />
        </p>
      ))}
      {plan?.cautions
        .filter((c) => c.severity !== "note" || c.decide)
        .map((c) => (
          <p
            key={c.code + c.text}
            className={`mt-1.5 max-w-prose border-l-4 pl-2 ${c.severity === "stop" ? "border-stop" : "border-amber"}`}
          >
            {c.text}
            {c.decide && <Decide decide={c.decide} onMeant={(m) => onChange(decided(recipe, m))} />}
          </p>
        ))}
    </section>
  );
}

interface InPlace {
  at: number;
  recipe: RecipeDocument;
  onChange: (r: RecipeDocument) => void;
}

/** Puts a stage in where it is wanted. */
function Insert({ at, recipe, onChange }: InPlace) {
  const count = recipe.stages?.length ?? 0;
  return (
    <li className="list-none">
      <Word
        label={count === 0 ? say("recipe.theFirstStage") : say("recipe.aStageBeforeThe", { at: at + 1 })}
        shown="+"
      >
        {() => (
          <OneOf
            label={say("recipe.whatIsDoneHere")}
            value={"" as string}
            options={STAGES}
            onPick={(kind) => onChange(withStage(recipe, at, stageOf(kind)))}
          />
        )}
      </Word>
    </li>
  );
}

function Stage({
  stage,
  at,
  recipe,
  wrong,
  onChange,
}: InPlace & { stage: StageDocument; wrong: (field: string) => string | undefined }) {
  const stages = recipe.stages ?? [];
  const change = (part: Partial<StageDocument>) =>
    onChange({ ...recipe, stages: stages.map((s, j) => (j === at ? { ...s, ...part } : s)) });
  const complaint = ["kind", "minutes", "minutesTo", "toC", "toMl", "sign", "into", "addMl"]
    .map((f) => wrong(`stages[${at}].${f}`))
    .find(Boolean);
  return (
    <>
      <li>
        <Word label={say("recipe.stage", { at: at + 1 })} shown={stageWords(stage)}>
          {(close) => (
            <div className="flex w-72 flex-col gap-2">
              <SelectField
                label={say("recipe.whatIsDone")}
                value={stage.kind ?? "heat"}
                options={STAGES}
                onChange={(kind) => change({ ...blank, ...asKind(stage, kind) })}
              />
              <Numbers stage={stage} onChange={change} />
              <div className="flex flex-wrap gap-2">
                {at > 0 && (
                  <Secondary
                    label={say("recipe.stageEarlier", { at: at + 1 })}
                    onClick={() => onChange(swapped(recipe, at - 1))}
                  >
                    {say("recipe.earlier")}
                  </Secondary>
                )}
                {at < stages.length - 1 && (
                  <Secondary
                    label={say("recipe.stageLater", { at: at + 1 })}
                    onClick={() => onChange(swapped(recipe, at))}
                  >
                    {say("recipe.later")}
                  </Secondary>
                )}
                {stage.minutes !== undefined && stages[at + 1]?.kind === stage.kind && (
                  <Secondary
                    label={say("recipe.joinStageWithTheNext", { at: at + 1 })}
                    onClick={() => onChange(joined(recipe, at))}
                  >
                    {say("recipe.joinWithTheNext")}
                  </Secondary>
                )}
                <TakeOut at={at} recipe={recipe} onChange={onChange} close={close} />
              </div>
            </div>
          )}
        </Word>
        {complaint && <span className="ml-1 text-sm text-stop">{complaint}</span>}
      </li>
      <Insert at={at + 1} recipe={recipe} onChange={onChange} />
    </>
  );
}

/** Takes a stage out; where herbs go in with it, the cook says with which other they go. */
function TakeOut({ at, recipe, onChange, close }: InPlace & { close: () => void }) {
  const [asking, setAsking] = useState(false);
  const others = (recipe.stages ?? []).map((s, i) => ({ value: String(i), label: stageWords(s) }));
  const out = (to?: number) => {
    close();
    onChange(withoutStage(recipe, at, to));
  };
  return asking ? (
    <div className="w-full">
      <p className="font-semibold">{say("recipe.whereDoItsHerbsGo")}</p>
      <OneOf
        label={say("recipe.whereDoItsHerbsGo")}
        value=""
        options={others.filter((_, i) => i !== at)}
        onPick={(to) => out(Number(to))}
      />
    </div>
  ) : (
    <Secondary
      label={say("recipe.takeStageOut", { at: at + 1 })}
      onClick={() => (others.length > 1 && hangsOn(recipe, at) ? setAsking(true) : out())}
    >
      {say("recipe.takeItOut")}
    </Secondary>
  );
}

/** Nothing of another kind of stage stays behind. */
const blank: Partial<StageDocument> = {
  minutes: undefined,
  minutesTo: undefined,
  sign: undefined,
  toC: undefined,
  toMl: undefined,
  lid: undefined,
  flame: undefined,
  pressed: undefined,
  place: undefined,
  into: undefined,
  addMl: undefined,
};

/** What a stage of its kind has to say. */
function Numbers({
  stage,
  onChange,
}: {
  stage: StageDocument;
  onChange: (part: Partial<StageDocument>) => void;
}) {
  const kind = traitsOf(stage.kind);
  return (
    <>
      {kind?.minutes !== undefined && (
        <>
          <div className="grid grid-cols-2 gap-2">
            <NumberField
              label={say("recipe.minutes")}
              value={stage.minutes}
              onChange={(minutes) => onChange({ minutes })}
            />
            <NumberField
              label={say("recipe.orUpTo")}
              value={stage.minutesTo}
              onChange={(minutesTo) => onChange({ minutesTo })}
            />
          </div>
          <TextField
            label={say("recipe.doneWhen")}
            placeholder={say("recipe.itHasTurnedYellowish")}
            value={stage.sign ?? ""}
            onChange={(sign) => onChange({ sign: sign || undefined })}
          />
        </>
      )}
      {kind?.toMl !== undefined && (
        <QuantityField
          label={say("recipe.downTo")}
          of="volume"
          value={stage.toMl}
          onChange={(toMl) => onChange({ toMl })}
        />
      )}
      {kind?.degrees && (
        <QuantityField
          of="temperature"
          label={say(kind.toC === undefined ? "recipe.degreesEmptyForTheBoil" : "recipe.degrees")}
          value={stage.toC}
          onChange={(toC) => onChange({ toC })}
        />
      )}
      {stage.kind === "macerate" && (
        <SelectField
          label={say("recipe.whereItStands")}
          value={stage.place ?? "room"}
          options={[
            { value: "room", label: say("recipe.inTheRoom") },
            { value: "fridge", label: say("recipe.inTheFridge") },
            { value: "sun", label: say("recipe.inTheSun") },
          ]}
          onChange={(place) =>
            onChange({ place: place === "room" ? undefined : (place as StageDocument["place"]) })
          }
        />
      )}
      {kind?.flame && (
        <SelectField
          label={say("recipe.flame")}
          value={stage.flame ?? kind.flame}
          options={FLAMES}
          onChange={(flame) => onChange({ flame: flame as StageDocument["flame"] })}
        />
      )}
      {kind?.lid !== undefined && (
        <Tick label={say("recipe.lidOn")} on={stage.lid ?? false} onChange={(lid) => onChange({ lid })} />
      )}
      {kind?.takesWater && (
        <QuantityField
          label={say("recipe.waterOfItsOwn")}
          of="volume"
          value={stage.addMl}
          onChange={(addMl) => onChange({ addMl })}
        />
      )}
      {stage.kind === "strain" && (
        <SelectField
          label={say("recipe.whereItRuns")}
          value={stage.into ?? ""}
          options={RECEIVERS}
          onChange={(into) => onChange({ into: (into || undefined) as StageDocument["into"] })}
        />
      )}
      {stage.kind === "strain" && (
        <Tick
          label={say("recipe.pressTheHerbsOut")}
          on={stage.pressed ?? false}
          onChange={(pressed) => onChange({ pressed: pressed || undefined })}
        />
      )}
    </>
  );
}
