import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { useForgetOwnHerb, useKeepOwnHerb } from "../../api/changes";
import { api, type HerbLine, type HerbResponse, type OwnHerbDocument, ProblemError } from "../../api/client";
import * as length from "../../api/length.gen";
import { useHerbs, useOwnHerb } from "../../api/queries";
import { Primary, Secondary, TextField } from "../../parts/Field";
import { HerbPicker } from "../../parts/HerbPicker";
import { Panel } from "../../parts/Panel";
import { grams, range } from "../../parts/say";
import { Trouble } from "../../parts/states";
import { cutSaid, formSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { AdditionWords, amountWords } from "../recipe/AdditionWords";
import { saidLine } from "../recipe/doc";
import { AskForget } from "./AskForget";
import { BrewThis } from "./Herbs";
import { Mix } from "./Mix";
import { slugOf } from "./NewHerb";

type Portion = NonNullable<OwnHerbDocument["parts"]>[number];

/** A blend that the house keeps: what it is mixed of, each herb as wide as its share of the weight. */
export function Blend({ herb }: { herb: HerbResponse }) {
  const own = useOwnHerb(herb.slug);
  const [changing, setChanging] = useState(false);
  const spoon = herb.bulk[0];
  return (
    <article>
      <Link to="/herbs" className="relative max-sm:reach text-muted md:hidden">
        {say("herbs.allHerbs")}
      </Link>
      <h1 className="text-[2rem]">{herb.common}</h1>
      <p className="text-muted">{say("herbs.blendOfTheHouse")}</p>
      {herb.use && <p className="mt-3 max-w-prose">{herb.use}</p>}
      <BrewThis slug={herb.slug} />
      <p className="mt-2">
        <a
          href={`/api/labels.pdf?paper=roll&blend=${herb.slug}`}
          target="_blank"
          rel="noreferrer"
          className="inline-flex min-h-11 items-center underline underline-offset-4"
        >
          {say("herbs.aLabelForItsJar")}
        </a>
      </p>
      <h3 className="mt-6 text-xl">{say("herbs.whatItIsMixedOf")}</h3>
      <ul className="mt-2 max-w-2xl">
        {herb.parts.map((p, i) => (
          <li key={`${p.herb}${i}`} className="border-hairline border-b py-2">
            <p className="flex flex-wrap items-baseline gap-x-3">
              <span className="font-semibold">
                {amountWords(p as Portion)}{" "}
                <Link to={`/herbs/${p.herb}`} className="relative max-sm:reach underline underline-offset-4">
                  {p.common.toLowerCase()}
                </Link>
              </span>
              <span className="text-muted text-sm">
                {formSaid(p.form)}, {cutSaid(p.cut)}
              </span>
              <span className="figure ml-auto">{Math.round(p.share * 100)} %</span>
            </p>
            <span aria-hidden className="mt-1 block h-1.5 bg-herb" style={{ width: `${p.share * 100}%` }} />
          </li>
        ))}
      </ul>
      {spoon && (
        <p className="mt-3 max-w-prose">
          <Said
            of="herbs.aLevelTeaspoonOfIt"
            weight={<span className="figure text-xl">{grams(spoon.gPerTsp.best)}</span>}
            spread={
              <span className="text-muted">({range("mass", spoon.gPerTsp.low, spoon.gPerTsp.high)})</span>
            }
            months={herb.keepsMonths}
          />
        </p>
      )}
      <p className="mt-2 max-w-prose text-muted text-sm">{say("herbs.whatIsUsualOfIt")}</p>
      <Mix slug={herb.slug} common={herb.common} />
      <div className="mt-6 flex flex-wrap gap-3">
        <Secondary onClick={() => setChanging(true)}>{say("herbs.changeWhatIsInIt")}</Secondary>
        <Forget herb={herb} />
      </div>
      {changing && own.data && (
        <BlendForm slug={herb.slug} kept={own.data} onClose={() => setChanging(false)} />
      )}
    </article>
  );
}

function Forget({ herb }: { herb: HerbResponse }) {
  const navigate = useNavigate();
  const forget = useForgetOwnHerb();
  const [asking, setAsking] = useState(false);
  if (!asking) return <Secondary onClick={() => setAsking(true)}>{say("herbs.forgetThisBlend")}</Secondary>;
  return (
    <div className="border-ember border-l-[5px] pl-3">
      {forget.error && <Trouble error={forget.error} />}
      <AskForget
        question={say("herbs.forgetAltogether", { herb: herb.common })}
        error={forget.error}
        onForget={(retire) =>
          forget.mutate({ slug: herb.slug, retire }, { onSuccess: () => navigate("/herbs") })
        }
        onKeep={() => setAsking(false)}
      />
    </div>
  );
}

/** Composes a blend: its name, and each herb of it as a line that is typed as it is said. */
export function BlendForm({
  slug,
  kept,
  onClose,
}: {
  slug?: string;
  kept?: OwnHerbDocument;
  onClose: () => void;
}) {
  const navigate = useNavigate();
  const herbs = useHerbs().data ?? [];
  const [doc, setDoc] = useState<OwnHerbDocument>(kept ?? { common: "", use: "", parts: [] });
  const keep = useKeepOwnHerb();
  const parts = doc.parts ?? [];
  const key = slug ?? slugOf(doc.common ?? "");
  const put = (part: Portion) => setDoc((d) => ({ ...d, parts: [...(d.parts ?? []), part] }));
  const add = (herb: HerbLine, typed: string) => {
    const usual = { herb: herb.slug, form: herb.usual.form, cut: herb.usual.cut } as Portion;
    const one: Portion = { ...usual, amount: 1, unit: "part" };
    api
      .readRecipe({ text: typed })
      .then((w) => put(saidPortion(saidLine(w.recipe.additions ?? [], typed, { ...one, stage: 0 }))))
      .catch(() => put(one));
  };
  const wrong = (field: string) =>
    keep.error instanceof ProblemError
      ? keep.error.violations.find((v) => v.field === field.replace("additions", "parts"))?.wanted
      : undefined;
  return (
    <Panel
      open
      wide
      onOpenChange={(o) => !o && onClose()}
      title={slug ? say("herbs.changeTheBlend") : say("herbs.aBlendOfTheHouse")}
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          keep.mutate(
            { slug: key, doc },
            {
              onSuccess: () => {
                navigate(`/herbs/${key}`);
                onClose();
              },
            },
          );
        }}
      >
        <div className="grid gap-4 sm:grid-cols-2">
          <TextField
            label={say("herbs.name")}
            most={length.HERB_NAME}
            value={doc.common ?? ""}
            onChange={(common) => setDoc({ ...doc, common })}
          />
          <TextField
            label={say("herbs.whatItIsForIf")}
            most={length.USE}
            value={doc.use ?? ""}
            onChange={(use) => setDoc({ ...doc, use })}
          />
        </div>
        <ul
          aria-label={say("herbs.herbsOfTheBlend")}
          className="mt-4 border-hairline border-t empty:border-t-0"
        >
          {parts.map((p, i) => (
            <li key={i} className="flex items-baseline border-hairline border-b py-1.5">
              <div className="min-w-0 flex-1">
                <AdditionWords
                  portion
                  addition={p}
                  at={i}
                  herb={herbs.find((h) => h.slug === p.herb)}
                  herbs={herbs}
                  stages={[]}
                  wrong={wrong}
                  onChange={(part) =>
                    setDoc({
                      ...doc,
                      parts: parts.map((q, j) => (j === i ? { ...q, ...part } : q)) as Portion[],
                    })
                  }
                  onRemove={() => setDoc({ ...doc, parts: parts.filter((_, j) => j !== i) })}
                />
              </div>
            </li>
          ))}
        </ul>
        <div className="mt-2 max-w-80">
          <HerbPicker
            label={say("herbs.herbOfTheBlend", { count: parts.length + 1 })}
            hint={parts.length === 0 ? say("herbs.aHerb2PartsChamomile") : say("herbs.anotherHerb")}
            value=""
            onPick={(picked, typed) => {
              const herb = herbs.find((h) => h.slug === picked);
              if (herb && herb.part !== "blend") add(herb, typed);
            }}
          />
        </div>
        <p className="mt-3 text-muted text-sm">
          <Said
            of="herbs.partsAreLevelSpoonsMix"
            common={doc.common?.toLowerCase() || say("herbs.eveningBlend")}
          />
        </p>
        {keep.error && <Trouble error={keep.error} />}
        <div className="mt-4">
          <Primary busy={key === "" || parts.length < 2}>{say("herbs.keepIt")}</Primary>
        </div>
      </form>
    </Panel>
  );
}

/** Of what was read of a line only what a blend can hold. */
function saidPortion(line: Portion): Portion {
  const { herb, form, cut, amount, unit } = line;
  return { herb, form, cut, amount, unit };
}
