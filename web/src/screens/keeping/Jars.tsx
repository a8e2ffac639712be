import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { api, type JarResponse, type MarcInFridge } from "../../api/client";
import { confirm } from "../../api/outbox";
import { ABOVE, BESIDE, Silhouette } from "../../drawings/Silhouette";
import { Secondary } from "../../parts/Field";
import { Glossed } from "../../parts/Glossed";
import { useInSight } from "../../parts/inSight";
import { day, millilitres, moment } from "../../parts/say";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { TextWord } from "../household/inPlace";
import { secondOrder } from "../live/again";
import { writeOrder } from "../sheet/order";
import { Cup, type OnDone } from "./Cup";
import { Drops } from "./Drops";
import { useDrawn } from "./drawn";

/** So many stand in front; the others are a tap away. */
const SHOWN = 24;
/** Height of the tallest jar, px. */
const TALLEST_PX = 150;

/** What stands beside a jar, by its age. */
function until({ jar }: JarResponse, now: Date): { words: string; care: boolean } {
  if (!jar.goodUntil || !jar.drinkBy) return { words: say("keeping.keeps"), care: false };
  if (jar.age === "over")
    return { words: say("keeping.pastItsTimeSince", { when: moment(jar.drinkBy, now) }), care: true };
  if (jar.age === "doubtful")
    return { words: say("keeping.lookAndSmellFirstAt", { when: moment(jar.drinkBy, now) }), care: true };
  return { words: say("keeping.drinkBy", { when: moment(jar.goodUntil, now) }), care: jar.age === "going" };
}

/** The fridge: the rest of pots in jars, to one scale and filled to their level; what is about to go stands first. */
export function Fridge({
  jars,
  marcs,
  gone,
  now,
  onDone,
}: {
  jars: JarResponse[];
  marcs: MarcInFridge[];
  /** The brew whose jar’s label was read, when it is nowhere any more. */
  gone: string | null;
  now: Date;
  onDone: OnDone;
}) {
  return (
    <section aria-labelledby="jars">
      <h1 id="jars" className="text-3xl">
        {say("keeping.inTheFridge")}
      </h1>
      {jars.length === 0 && <p className="mt-1 text-muted">{say("keeping.noJarWhatIsLeft")}</p>}
      <Jars jars={jars} now={now} onDone={onDone} />
      {gone && (
        <p role="status" className="mt-3 border-amber border-l-[5px] pl-3">
          <Said
            of="keeping.theJarOfThisLabel"
            link={
              <Link to={`/brew/${gone}`} className="underline underline-offset-4">
                {say("keeping.itsBrew")}
              </Link>
            }
          />
        </p>
      )}
      {marcs.length > 0 && (
        <ul aria-label={say("keeping.spentHerbs")} className="mt-4 max-w-2xl border-hairline border-t">
          {marcs.map((m) => (
            <Spent key={m.id} marc={m} now={now} onDone={onDone} />
          ))}
        </ul>
      )}
    </section>
  );
}

/** Jars to one scale, filled to their level; one of them is opened by a tap. */
export function Jars({ jars, now, onDone }: { jars: JarResponse[]; now: Date; onDone: OnDone }) {
  // The square on a jar’s label leads to it.
  const labelled = useSearchParams()[0].get("jar");
  const [openId, setOpenId] = useState<string | null>(labelled);
  const [all, setAll] = useState(labelled !== null);
  const drawn = useDrawn(all ? jars.length : SHOWN);
  const tallest = Math.max(...jars.map((j) => j.vessel.heightCm), 1);
  const pxPerCm = TALLEST_PX / tallest;
  const open = jars.find((j) => j.id === openId);
  return (
    <>
      {jars.length > 0 && (
        <ul className="mt-4 flex flex-wrap gap-y-6">
          {jars.slice(0, drawn).map((j) => {
            const age = until(j, now);
            return (
              <li key={j.id} className="w-44 text-sm max-sm:w-1/2">
                <button
                  type="button"
                  className="w-full text-left hover:bg-strip aria-expanded:bg-strip"
                  aria-expanded={j.id === openId}
                  aria-label={say("keeping.theJarOf", {
                    name: j.name,
                    amount: millilitres(j.leftMl),
                    words: age.words,
                  })}
                  onClick={() => setOpenId(j.id === openId ? null : j.id)}
                >
                  <span className="block border-ink border-b-2" style={{ minHeight: TALLEST_PX + ABOVE + 4 }}>
                    <span
                      className="block"
                      style={{ paddingTop: (tallest - j.vessel.heightCm) * pxPerCm, marginLeft: -BESIDE / 2 }}
                    >
                      <Silhouette
                        kind={j.drops ? "bottle" : "jar"}
                        diameterCm={j.vessel.innerDiameterCm}
                        heightCm={j.vessel.heightCm}
                        pxPerCm={pxPerCm}
                        level={Math.min(1, j.leftMl / j.vessel.brimMl)}
                      />
                    </span>
                  </span>
                  <span className="mt-1 block pr-3 font-semibold underline underline-offset-4">{j.name}</span>
                  <span className="figure block text-lg">{millilitres(j.leftMl)}</span>
                  {j.jar.note && <span className="block pr-3 text-muted">{j.jar.note}</span>}
                  {j.making && (
                    <span className="block pr-3 font-semibold text-ember-text">
                      {say("keeping.aCupIsMadeOf")}
                    </span>
                  )}
                  <span className={`block pr-3 ${age.care ? "font-semibold text-amber-text" : "text-muted"}`}>
                    {age.words}
                  </span>
                </button>
              </li>
            );
          })}
        </ul>
      )}
      {!all && jars.length > SHOWN && (
        <button
          type="button"
          className="mt-3 min-h-11 underline underline-offset-4"
          onClick={() => setAll(true)}
        >
          <Said of="keeping.theOtherJars" count={jars.length - SHOWN} />
        </button>
      )}
      {open && <OneJar key={open.id} jar={open} labelled={open.id === labelled} now={now} onDone={onDone} />}
    </>
  );
}

/** Spent herbs in their bowl, and what becomes of them. */
function Spent({ marc, now, onDone }: { marc: MarcInFridge; now: Date; onDone: OnDone }) {
  const navigate = useNavigate();
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-hairline border-b py-2">
      <svg width={38} height={26} aria-hidden className="shrink-0">
        <path
          d="M5,11 Q12,3 19,9 Q26,2 33,11 Z"
          fill={marc.over ? "var(--amber)" : "var(--herb)"}
          fillOpacity={0.7}
        />
        <path
          d="M2,11 H36 Q34,24 19,24 Q4,24 2,11 Z"
          fill="none"
          stroke="var(--ink)"
          strokeWidth={2.2}
          strokeLinejoin="round"
        />
      </svg>
      <span className="min-w-0 grow">
        <span className="font-semibold">
          <Said of="keeping.spentHerbsOf" name={marc.name} />
        </span>
        <span className={`block text-sm ${marc.over ? "font-semibold text-amber-text" : "text-muted"}`}>
          {marc.over
            ? say("keeping.pastTheirDaySinceOnto", { when: moment(marc.until, now) })
            : say("keeping.brewedOnceMoreByOr", { when: moment(marc.until, now) })}
        </span>
      </span>
      <span className="flex gap-4 text-sm">
        {!marc.over && (
          <Link
            to={marc.recipeId ? `/sheet/${marc.recipeId}?spent=1&after=${marc.id}` : `/brew/${marc.id}`}
            onClick={async (e) => {
              if (!marc.recipeId) return;
              e.preventDefault();
              // With what the first brew changed in the recipe, as far as both can be asked for.
              try {
                const [brew, recipe] = await Promise.all([api.brew(marc.id), api.recipe(marc.recipeId)]);
                navigate(`/sheet/${marc.recipeId}?${writeOrder(secondOrder(brew, recipe.recipe))}`);
              } catch {
                // Its own page says what is wrong, and plans the second brew from there.
                navigate(`/brew/${marc.id}`);
              }
            }}
            className="relative inline-flex min-h-9 items-center underline underline-offset-4 max-sm:min-h-11"
          >
            {say("keeping.planTheSecondBrew")}
          </Link>
        )}
        <button
          type="button"
          className="min-h-9 underline underline-offset-4 max-sm:min-h-11"
          aria-label={say("keeping.goneTheSpentHerbsOf", { name: marc.name })}
          onClick={() =>
            onDone(
              marc.id,
              confirm(marc.id, { kind: "marc-gone" }),
              say("keeping.theSpentHerbsOfAre", { name: marc.name }),
            )
          }
        >
          {say("keeping.gone")}
        </button>
      </span>
    </li>
  );
}

/** One jar: what it is, and a cup out of it. */
function OneJar({
  jar,
  labelled,
  now,
  onDone,
}: {
  jar: JarResponse;
  /** Whether it is the one whose label was read. */
  labelled: boolean;
  now: Date;
  onDone: OnDone;
}) {
  const it = useInSight<HTMLDivElement>(labelled);
  const age = until(jar, now);
  const over = jar.jar.age === "over";
  return (
    <div ref={it} className="mt-4 max-w-2xl border-water border-l-[5px] pl-4">
      <p>
        <Said
          of="keeping.forMadeInThe"
          link={
            <Link to={`/brew/${jar.id}`} className="font-semibold underline underline-offset-4">
              {jar.name}
            </Link>
          }
          drinkerName={jar.drinkerName || say("keeping.whoeverDrinksIt")}
          day={day(jar.jar.madeAt)}
          name={jar.vessel.name.toLowerCase()}
          glossed={jar.text && <Glossed text={jar.text} />}
          ageWords={
            age.care && (
              <span className="font-semibold text-amber-text">
                {" "}
                <Said of="keeping.itIsAge" ageWords={ageWords(jar)} />
              </span>
            )
          }
        />
      </p>
      <p className="mt-1 text-muted">
        <Said
          of="keeping.onTheJar"
          whatStandsOn={
            <TextWord
              label={say("keeping.whatStandsOnTheJar")}
              shown={jar.jar.note || say("keeping.nothingYet")}
              value={jar.jar.note}
              onKeep={(text, close) => {
                onDone(
                  jar.id,
                  confirm(jar.id, { kind: "jar-noted", text }),
                  say("keeping.theJarOfIsMarked", { name: jar.name }),
                );
                close();
              }}
            />
          }
        />
      </p>
      {jar.drops ? (
        <Drops jar={jar} drops={jar.drops} onDone={onDone} />
      ) : (
        !over && <Cup jar={jar} onDone={onDone} />
      )}
      <p className="mt-3">
        <Secondary
          onClick={() =>
            onDone(
              jar.id,
              confirm(jar.id, { kind: "emptied" }),
              say("keeping.theJarOfIsGone", { name: jar.name }),
            )
          }
        >
          {over ? say("keeping.throwItAway") : say("keeping.itIsGone")}
        </Secondary>
        {!over && (
          <a
            href={`/api/labels.pdf?paper=roll&jar=${jar.id}`}
            target="_blank"
            rel="noreferrer"
            className="ml-4 inline-flex min-h-11 items-center underline underline-offset-4"
          >
            {say("keeping.aLabelForIt")}
          </a>
        )}
      </p>
    </div>
  );
}

const ageWords = ({ jar }: JarResponse) =>
  jar.age === "over"
    ? say("keeping.pastTheLongestTimeThat")
    : jar.age === "doubtful"
      ? say("keeping.pastItsCautiousTimeLook")
      : say("keeping.aboutToGo");
