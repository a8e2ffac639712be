import { useKeepPerson, useRemovePerson } from "../../api/changes";
import type { HerbLine, Person, PersonRequest } from "../../api/client";
import * as length from "../../api/length.gen";
import { useHerbs, useKeptOfPerson } from "../../api/queries";
import { Conditions } from "../../parts/Conditions";
import { conditionsSaid } from "../../parts/conditions";
import { NumberField, TextField } from "../../parts/Field";
import { HerbPicker } from "../../parts/HerbPicker";
import { quantity, STRENGTHS } from "../../parts/say";
import { TakeAway } from "../../parts/TakeAway";
import { OneOf, Word } from "../../parts/Word";
import { Said } from "../../words/Said";
import { listed, say } from "../../words/say";
import { NameWord, NewThing, NumberWord, useInPlace } from "./inPlace";
import { OwnCup } from "./OwnCup";

/** Who drinks: each a cup and a sentence whose words are changed where they stand. */
export function People({ people }: { people: Person[] }) {
  const herbs = useHerbs().data ?? [];
  const add = useKeepPerson();
  return (
    <section aria-labelledby="people">
      <h2 id="people" className="text-3xl">
        {say("household.people")}
      </h2>
      <ul className="mt-3 border-hairline border-t">
        {people.map((p) => (
          <li key={p.id} className="border-hairline border-b py-3">
            <OnePerson person={p} herbs={herbs} />
          </li>
        ))}
      </ul>
      <NewThing<PersonRequest>
        words={say("household.somebodyElse")}
        none={say("household.nobody")}
        start={{ name: "" }}
        add={add}
      >
        {(draft, set, wrong) => (
          <>
            <TextField
              label={say("household.name")}
              most={length.SHORT_NAME}
              value={draft.name ?? ""}
              wrong={wrong("name")}
              onChange={(name) => set({ name })}
            />
            <NumberField
              className="w-32"
              label={say("household.age")}
              unit={say("household.years")}
              value={draft.ageYears ?? undefined}
              wrong={wrong("ageYears")}
              onChange={(ageYears) => set({ ageYears })}
            />
          </>
        )}
      </NewThing>
    </section>
  );
}

function OnePerson({ person, herbs }: { person: Person; herbs: HerbLine[] }) {
  const change = useKeepPerson();
  const remove = useRemovePerson();
  const it = useInPlace<Person, PersonRequest>(
    person,
    { ...change, mutateAsync: (draft) => change.mutateAsync({ id: person.id, draft }) },
    requestOf,
  );
  const p = it.shown;
  const named = (slug: string) => herbs.find((h) => h.slug === slug)?.common ?? slug;
  return (
    <div className="flex items-start gap-5">
      <OwnCup serving={p.serving} strength={p.usualStrength} brewer={p.brewer} />
      <div className="min-w-0 grow">
        <p className="leading-[2.1rem]">
          <Said
            of="household.andLikesItAndTo"
            name={
              <span className="text-xl">
                <NameWord label={say("household.nameOf", { name: p.name })} name={p.name} it={it} />
              </span>
            }
            age={
              <NumberWord
                label={say("household.ageOf", { name: p.name })}
                shown={say("common.years", { years: p.ageYears })}
                value={p.ageYears}
                unit={say("household.years")}
                field="ageYears"
                wrong={it.wrong}
                onKeep={(ageYears, close) => it.keep({ ageYears }, close)}
              />
            }
            weight={
              <NumberWord
                label={say("household.weightOf", { name: p.name })}
                shown={p.weightKg ? quantity("bodyWeight", p.weightKg) : say("household.ofAWeightNotKnown")}
                value={p.weightKg ?? undefined}
                of="bodyWeight"
                field="weightKg"
                wrong={it.wrong}
                mayBeMissing
                onKeep={(weightKg, close) => it.keep({ weightKg }, close)}
              />
            }
            strength={
              <Word label={say("household.strengthFor", { name: p.name })} shown={p.usualStrength}>
                {() => (
                  <OneOf
                    label={say("household.usuallyLikesIt")}
                    value={p.usualStrength}
                    options={STRENGTHS}
                    onPick={(s) => it.keep({ usualStrength: s as PersonRequest["usualStrength"] })}
                  />
                )}
              </Word>
            }
            brews={
              <Word
                label={say("household.brews", { name: p.name })}
                shown={p.brewer ? say("household.brewsWithin") : say("household.doesNotBrew")}
              >
                {() => (
                  <OneOf
                    label={say("household.brewsTitle")}
                    value={String(p.brewer)}
                    options={[
                      {
                        value: "true",
                        label: say("household.brewsWithin"),
                        gloss: say("household.theDrinkerUnlessAnotherIs"),
                      },
                      { value: "false", label: say("household.doesNotBrew") },
                    ]}
                    onPick={(v) => it.keep({ brewer: v === "true" })}
                  />
                )}
              </Word>
            }
            minded={
              <Word
                label={say("household.toBeMindedOf", { name: p.name })}
                shown={conditionsSaid(p.conditions, p.trimester) || say("household.nothingKnown")}
              >
                {() => (
                  <div className="w-[min(30rem,84vw)]">
                    <Conditions
                      conditions={p.conditions}
                      trimester={p.trimester}
                      onConditions={(conditions) => it.keep({ conditions })}
                      onTrimester={(trimester) => it.keep({ trimester })}
                    />
                  </div>
                )}
              </Word>
            }
            allergic={
              <HerbsWord
                label={say("household.allergicTo", { name: p.name })}
                add={say("household.allergicToTitle")}
                drop={say("household.notAllergicTo")}
                slugs={p.allergies}
                named={named}
                onSlugs={(allergies) => it.keep({ allergies })}
              />
            }
            dislikes={
              <HerbsWord
                label={say("household.wouldRatherNotHave", { name: p.name })}
                add={say("household.doesNotCareFor")}
                drop={say("household.caresFor")}
                slugs={p.dislikes}
                named={named}
                onSlugs={(dislikes) => it.keep({ dislikes })}
              />
            }
          />
        </p>
        <p className="flex flex-wrap items-center justify-between gap-x-5 text-muted text-sm">
          <span>{servingSaid(p.serving)}</span>
          <TakeAway
            name={p.name}
            words={say("household.offTheList")}
            sureWords={say("household.yesOffTheList", { name: p.name })}
            error={remove.error}
            before={
              <a
                href={`/api/household/people/${p.id}/file`}
                download
                className="inline-flex min-h-11 items-center underline underline-offset-4"
              >
                {say("household.everythingKeptAboutAsA", { name: p.name })}
              </a>
            }
            onTake={() => remove.mutate({ id: p.id, forget: false })}
            other={{
              words: <Forgotten id={p.id} />,
              onTake: () => remove.mutate({ id: p.id, forget: true }),
            }}
          />
        </p>
        {it.trouble}
      </div>
    </div>
  );
}

/** What the cup beside it shows. */
function servingSaid(serving: number): string {
  if (serving >= 1) return say("household.aWholeCup");
  if (serving <= 0) return say("household.noHerbIsDosedFor");
  return say("household.ofAnAdultsCupBy", { serving: Math.round(serving * 100) });
}

/** Herbs of somebody, each to be taken out again. */
function HerbsWord({
  label,
  add,
  drop,
  slugs,
  named,
  onSlugs,
}: {
  label: string;
  add: string;
  drop: string;
  slugs: string[];
  named: (slug: string) => string;
  onSlugs: (slugs: string[]) => void;
}) {
  return (
    <Word label={label} shown={slugs.length > 0 ? slugs.map(named).join(", ") : say("household.noHerbKnown")}>
      {() => (
        <div className="w-64">
          <HerbPicker
            label={add}
            value=""
            onPick={(slug) => !slugs.includes(slug) && onSlugs([...slugs, slug])}
          />
          <ul className="mt-1">
            {slugs.map((slug) => (
              <li key={slug} className="flex items-center justify-between border-hairline border-b">
                {named(slug)}
                <button
                  type="button"
                  aria-label={`${drop} ${named(slug)}`}
                  className="min-h-11 px-3"
                  onClick={() => onSlugs(slugs.filter((x) => x !== slug))}
                >
                  ×
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
    </Word>
  );
}

/** The whole of a person as it is sent, with one part changed. */
function requestOf(p: Person, part: Partial<PersonRequest>): PersonRequest {
  const all: PersonRequest = {
    version: p.version,
    name: p.name,
    ageYears: p.ageYears,
    weightKg: p.weightKg ?? undefined,
    conditions: p.conditions,
    trimester: p.trimester ?? undefined,
    allergies: p.allergies,
    usualStrength: p.usualStrength as PersonRequest["usualStrength"],
    dislikes: p.dislikes,
    brewer: p.brewer,
    ...part,
  };
  return all.conditions?.includes("pregnant") ? all : { ...all, trimester: undefined };
}

/** What is erased when somebody is forgotten, counted. */
function Forgotten({ id }: { id: string }) {
  const kept = useKeptOfPerson(id).data;
  if (!kept) return <>{say("household.forgetNameAndConditionsLeave")}</>;
  return (
    <Said
      of="household.forgetNameAndConditionsLeaveAnd"
      what={listed(
        [
          say("common.brews", { n: kept.brews }),
          say("common.notes", { n: kept.notes }),
          kept.courses > 0 && say("common.courses", { n: kept.courses }),
        ].filter((k) => k !== false),
      )}
    />
  );
}
