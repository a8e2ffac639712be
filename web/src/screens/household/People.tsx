import { useKeepPerson, useRemovePerson } from "../../api/changes";
import type { HerbLine, Person, PersonRequest } from "../../api/client";
import * as length from "../../api/length.gen";
import { useHerbs, useKeptOfPerson } from "../../api/queries";
import { Conditions } from "../../parts/Conditions";
import { conditionsSaid } from "../../parts/conditions";
import { NumberField, TextField } from "../../parts/Field";
import { HerbPicker } from "../../parts/HerbPicker";
import { counted, quantity, STRENGTHS } from "../../parts/say";
import { TakeAway } from "../../parts/TakeAway";
import { OneOf, Word } from "../../parts/Word";
import { NameWord, NewThing, NumberWord, useInPlace } from "./inPlace";
import { OwnCup } from "./OwnCup";

/** Who drinks: each a cup and a sentence whose words are changed where they stand. */
export function People({ people }: { people: Person[] }) {
  const herbs = useHerbs().data ?? [];
  const add = useKeepPerson();
  return (
    <section aria-labelledby="people">
      <h2 id="people" className="text-3xl">
        People
      </h2>
      <ul className="mt-3 border-hairline border-t">
        {people.map((p) => (
          <li key={p.id} className="border-hairline border-b py-3">
            <OnePerson person={p} herbs={herbs} />
          </li>
        ))}
      </ul>
      <NewThing<PersonRequest> words="Somebody else" none="nobody" start={{ name: "" }} add={add}>
        {(draft, set, wrong) => (
          <>
            <TextField
              label="Name"
              most={length.SHORT_NAME}
              value={draft.name ?? ""}
              wrong={wrong("name")}
              onChange={(name) => set({ name })}
            />
            <NumberField
              className="w-32"
              label="Age"
              unit="years"
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
          <span className="text-xl">
            <NameWord label={`Name of ${p.name}`} name={p.name} it={it} />
          </span>
          ,{" "}
          <NumberWord
            label={`Age of ${p.name}`}
            shown={`${p.ageYears} years`}
            value={p.ageYears}
            unit="years"
            field="ageYears"
            wrong={it.wrong}
            onKeep={(ageYears, close) => it.keep({ ageYears }, close)}
          />{" "}
          and{" "}
          <NumberWord
            label={`Weight of ${p.name}`}
            shown={p.weightKg ? quantity("bodyWeight", p.weightKg) : "of a weight not known"}
            value={p.weightKg ?? undefined}
            of="bodyWeight"
            field="weightKg"
            wrong={it.wrong}
            mayBeMissing
            onKeep={(weightKg, close) => it.keep({ weightKg }, close)}
          />
          , likes it{" "}
          <Word label={`Strength for ${p.name}`} shown={p.usualStrength}>
            {() => (
              <OneOf
                label="Usually likes it"
                value={p.usualStrength}
                options={STRENGTHS}
                onPick={(s) => it.keep({ usualStrength: s as PersonRequest["usualStrength"] })}
              />
            )}
          </Word>{" "}
          and{" "}
          <Word label={`Brews: ${p.name}`} shown={p.brewer ? "brews" : "does not brew"}>
            {() => (
              <OneOf
                label="Brews"
                value={String(p.brewer)}
                options={[
                  { value: "true", label: "brews", gloss: "the drinker unless another is named" },
                  { value: "false", label: "does not brew" },
                ]}
                onPick={(v) => it.keep({ brewer: v === "true" })}
              />
            )}
          </Word>
          . To be minded:{" "}
          <Word
            label={`To be minded of ${p.name}`}
            shown={conditionsSaid(p.conditions, p.trimester) || "nothing known"}
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
          ; allergic to{" "}
          <HerbsWord
            label={`Allergic to, ${p.name}`}
            add="Allergic to"
            drop="Not allergic to"
            slugs={p.allergies}
            named={named}
            onSlugs={(allergies) => it.keep({ allergies })}
          />
          ; would rather not have{" "}
          <HerbsWord
            label={`Would rather not have, ${p.name}`}
            add="Does not care for"
            drop="Cares for"
            slugs={p.dislikes}
            named={named}
            onSlugs={(dislikes) => it.keep({ dislikes })}
          />
          .
        </p>
        <p className="flex flex-wrap items-center justify-between gap-x-5 text-muted text-sm">
          <span>{servingSaid(p.serving)}</span>
          <TakeAway
            name={p.name}
            words="off the list"
            sureWords={`Yes, ${p.name} off the list`}
            error={remove.error}
            before={
              <a
                href={`/api/household/people/${p.id}/file`}
                download
                className="inline-flex min-h-11 items-center underline underline-offset-4"
              >
                everything kept about {p.name}, as a file
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
  if (serving >= 1) return "A whole cup.";
  if (serving <= 0) return "No herb is dosed for this age; ask a paediatrician.";
  return `${Math.round(serving * 100)} % of an adult’s cup, by age and weight.`;
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
    <Word label={label} shown={slugs.length > 0 ? slugs.map(named).join(", ") : "no herb known"}>
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
  if (!kept) return <>Forget: name and conditions leave old brews and notes too</>;
  return (
    <>
      Forget: name and conditions leave {counted(kept.brews, "brew")} and {counted(kept.notes, "note")} too
      {kept.courses > 0 && `, and ${counted(kept.courses, "course")}`}
    </>
  );
}
