import { type ReactNode, useCallback, useMemo, useRef, useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { useStartBrew } from "../../api/changes";
import { api, type PlanResponse, type RecipeDocument, type WayLine } from "../../api/client";
import { ProblemError } from "../../api/http";
import { confirm, uuid } from "../../api/outbox";
import { present } from "../../api/present";
import { foresee, useBrew, useKitchen, usePeople, usePlan, useRecipe } from "../../api/queries";
import { mayRing } from "../../parts/bell";
import { Secondary } from "../../parts/Field";
import { useKey } from "../../parts/Keys";
import { useNow } from "../../parts/now";
import { Favourite } from "../../parts/PotList";
import { grams } from "../../parts/say";
import { Loading, Missing, Trouble } from "../../parts/states";
import { FiguresOf } from "../../parts/Why";
import { formSaid } from "../../words/kinds";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { Drawn } from "./Drawn";
import { FavouriteAndWords } from "./FavouriteAndWords";
import { Identity } from "./Identity";
import { LearnedLines } from "./LearnedLines";
import { MeasureMode } from "./MeasureMode";
import { OneCook } from "./OneCook";
import {
  applied,
  ask,
  type Change,
  forTheSame,
  misplaced,
  type Order,
  readOrder,
  type Strength,
  settled,
  type Tweak,
  tweaked,
  unread,
  writeOrder,
} from "./order";
import { Paper } from "./Paper";
import { SchoolsPanel } from "./SchoolsPanel";
import { Sentence } from "./Sentence";
import { Start } from "./Start";

/**
 * A change of the order stays on the page and is drawn at once: as a transition the next change, made before it is
 * drawn, would be made to the order as it was before.
 */
const STAYS = { replace: true, preventScrollReset: true, flushSync: true } as const;

/** The brew sheet before the fire: order, vessel, measures, cautions, fire line. */
export default function Sheet() {
  const { recipeId = "" } = useParams();
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const recipe = useRecipe(recipeId);
  const people = usePeople();
  const kitchen = useKitchen();
  const minute = useNow(20_000);
  const order = useMemo(() => readOrder(params), [params]);
  const doc = recipe.data?.recipe;
  const ordered = useMemo(() => settled(order, people.data), [order, people.data]);
  const asked = useMemo(() => ask(recipeId, doc, ordered, round(minute)), [recipeId, doc, ordered, minute]);
  const planned = usePlan(asked, doc !== undefined);
  const [sure, setSure] = useState<string[]>([]);
  const [open, setOpen] = useState<"schools" | "measure" | null>(null);
  const [held, setHeld] = useState<PlanResponse | null>(null);
  const past = useRef<string[]>([]);
  const [undoable, setUndoable] = useState(0);
  const plan = planned.data;

  // What the handlers below go by; they stay the same, so that only a new plan draws the drawings anew.
  const latest = useRef({ params, order, setParams, askOf: (_: Order) => asked });
  latest.current = {
    params,
    order,
    setParams,
    askOf: (o) => ask(recipeId, doc, settled(o, people.data), round(minute)),
  };
  const remember = useCallback((before: URLSearchParams) => {
    past.current = [...past.current.slice(-60), before.toString()];
    setUndoable(past.current.length);
  }, []);
  const change = useCallback(
    (part: Partial<Order>) => {
      const { params, order, setParams, askOf } = latest.current;
      const next = { ...order, ...part };
      remember(params);
      foresee(askOf(next));
      setParams(writeOrder(next), STAYS);
    },
    [remember],
  );
  const changed = undoable > 0 || params.toString() !== "";
  const asKept = () => {
    remember(params);
    setParams(new URLSearchParams(), STAYS);
  };
  const undo = useCallback(() => {
    const last = past.current.pop();
    setUndoable(past.current.length);
    if (last !== undefined) setParams(new URLSearchParams(last), STAYS);
  }, [setParams]);

  const unsure = plan ? plan.identityChecks.filter((h) => !sure.includes(h)) : [];
  const [giving, setGiving] = useState(false);
  const [notGiven, setNotGiven] = useState<unknown>(null);
  const { mutate: startBrew, isPending, isSuccess, error: failure } = useStartBrew();
  const starting = isPending || isSuccess;
  const start = useCallback(
    (now: boolean) => {
      if (!plan || plan.stopped || unsure.length > 0 || starting) return;
      mayRing();
      const wish = ask(recipeId, doc, now ? { ...ordered, at: undefined } : ordered, present());
      startBrew(
        { ...wish, id: uuid(), start: now, confirmed: sure, ancestorId: order.after },
        {
          onSuccess: (brew) => {
            if (order.instead) confirm(order.instead, { kind: "abandoned" });
            navigate(`/brew/${brew.id}`);
          },
        },
      );
    },
    [
      plan,
      unsure.length,
      starting,
      startBrew,
      recipeId,
      doc,
      ordered,
      order.after,
      order.instead,
      sure,
      navigate,
    ],
  );
  const way = useCallback(
    (w: WayLine) => {
      if (w.drinkerId) change({ drinkerId: w.drinkerId });
      else if (w.cups != null) change({ cups: w.cups });
      else if (w.notFor != null)
        change({ others: latest.current.order.others.filter((_, i) => i !== w.notFor) });
      else if (w.cupsADay != null) change({ aDay: w.cupsADay });
      else if (w.prescribedDays != null) change({ prescribed: w.prescribedDays });
      else if (w.recipeId) navigate(`/sheet/${w.recipeId}?${forTheSame(latest.current.order)}`);
      else if (w.vesselId) change({ vesselId: w.vesselId });
      else if (w.coveredStage != null)
        change({ tweaks: tweaked(latest.current.order, { stage: w.coveredStage, part: "lid", value: 1 }) });
      else if (w.menstruum) change({ menstruum: w.menstruum as Order["menstruum"] });
      else if (w.herb) {
        const { changes } = latest.current.order;
        change({
          changes: [...changes, { herb: w.herb, with: w.with ?? undefined, share: w.share ?? undefined }],
        });
      } else navigate("/choose");
    },
    [change, navigate],
  );
  const strengthTo = useCallback((strength: Strength) => change({ strength }), [change]);
  const changeHerb = useCallback(
    (c: Change) => {
      const others = latest.current.order.changes.filter((o) => o.herb !== c.herb);
      change({ changes: [...others, c] });
    },
    [change],
  );
  const tweak = useCallback(
    (t: Tweak) =>
      change({
        tweaks: tweaked(latest.current.order, t),
        ...("meant" in t && t.meant === "other" ? { cups: undefined, cupMl: undefined } : {}),
      }),
    [change],
  );
  const drop = useCallback(() => setHeld(null), []);
  const give = async (plan: PlanResponse) => {
    setGiving(true);
    setNotGiven(null);
    try {
      const { pdfOf, share } = await import("./pdf");
      await share(await pdfOf(plan, recipe.data?.recipe.name ?? plan.name, recipe.data?.recipe.notes));
    } catch (e) {
      setNotGiven(e);
    }
    setGiving(false);
  };
  const tweaks = JSON.stringify(order.tweaks);
  const stages = useMemo(() => (doc ? (applied(doc, JSON.parse(tweaks)).stages ?? []) : []), [doc, tweaks]);
  useKey("s", () => start(!order.at));
  useKey("z", undo);
  useKey("p", () => window.print());
  useKey("m", () => setOpen("measure"));

  const meant = order.tweaks.flatMap((t) => ("meant" in t && t.meant === "other" ? [t] : []))[0];
  const figures = useMemo(() => ({ key: asked, load: () => api.planWorkings(asked) }), [asked]);

  if (recipe.isPending || people.isPending || kitchen.isPending)
    return <Loading what={say("sheet.theSheet")} />;
  const error = recipe.error ?? people.error ?? kitchen.error;
  if (error || !recipe.data || !people.data || !kitchen.data)
    return (
      <Missing error={error} again={() => recipe.refetch()} to="/choose">
        {say("sheet.chooseAPot")}
      </Missing>
    );

  return (
    <>
      {plan && !planned.error && (
        <Paper plan={plan} name={recipe.data.recipe.name ?? plan.name} notes={recipe.data.recipe.notes} />
      )}
      <div className="pt-2 print:hidden">
        <title>{say("sheet.emberCup", { name: recipe.data.recipe.name })}</title>
        <div className="flex flex-wrap items-start justify-between gap-x-8 gap-y-3">
          <div className="min-w-0 max-w-[65rem] flex-1 basis-80">
            <div className="flex flex-wrap items-baseline justify-between gap-x-6">
              <h1 className="text-[2rem]">
                {recipe.data.recipe.name}
                {order.spent && <span className="text-muted">, {say("sheet.secondBrew")}</span>}
                {recipe.data.favourite && <Favourite />}
              </h1>
              <p className="no-print flex flex-wrap items-center gap-x-3 text-sm">
                {plan && !held && <Quiet onClick={() => setHeld(plan)}>{say("sheet.whatIf")}</Quiet>}
                <Quiet onClick={() => setOpen("measure")}>{say("sheet.measureOneByOne")}</Quiet>
                <Quiet onClick={() => setOpen("schools")}>{say("sheet.waysOfMaking")}</Quiet>
                <FavouriteAndWords recipe={recipe.data} />
                <Quiet onClick={() => window.print()}>{say("sheet.print")}</Quiet>
                {plan && (
                  <Quiet onClick={() => void give(plan)}>
                    {giving ? (
                      say("sheet.makingIt")
                    ) : (
                      <Said
                        of="sheet.pdf"
                        shareAs={<span className="sr-only">{say("sheet.shareAs")} </span>}
                      />
                    )}
                  </Quiet>
                )}
                <Link
                  className="relative inline-flex items-center py-0.5 underline underline-offset-4 max-sm:min-h-11"
                  to={`/recipe/${recipeId}`}
                >
                  {say("sheet.changeTheRecipe")}
                </Link>
                <Undone on={undoable > 0} onClick={undo} className="md:hidden" />
              </p>
            </div>
            <Sentence
              order={ordered}
              plan={plan}
              people={people.data}
              kitchen={kitchen.data}
              own={{
                cups: meant?.cups ?? recipe.data.recipe.cups ?? 1,
                cupMl: meant?.cupMl ?? recipe.data.recipe.cupMl ?? 240,
              }}
              onChange={change}
            />
            <Changed order={order} change={change} />
            <LeftOut params={params} order={order} doc={doc} />
            {order.after && <Before brewId={order.after} />}
            {plan && <LearnedLines plan={plan} />}
          </div>
          {plan && (
            <div className="flex flex-col gap-1 max-md:w-full">
              <Start
                plan={plan}
                later={order.at !== undefined}
                busy={starting}
                unsure={unsure.length}
                onStart={start}
              />
              <Undone on={undoable > 0} onClick={undo} className="self-center text-sm max-md:hidden" />
              {!plan.stopped && (
                <OneCook
                  asked={asked}
                  onAt={(at) => change({ at })}
                  onBurner={(burnerId) => change({ burnerId })}
                />
              )}
            </div>
          )}
        </div>
        {failure !== null && <Trouble error={failure} />}
        {notGiven !== null && <Trouble error={notGiven} />}
        {planned.error && (
          <Trouble error={planned.error} again={() => planned.refetch()}>
            {planned.error instanceof ProblemError && !planned.error.again && changed && (
              <p className="mt-3">
                <Secondary onClick={undoable > 0 ? undo : asKept}>
                  {undoable > 0 ? say("sheet.takeTheLastChangeBack") : say("sheet.makeItAsItIs")}
                </Secondary>
              </p>
            )}
          </Trouble>
        )}
        {planned.isPending && <Loading what={say("sheet.thePlan")} />}
        {plan && !planned.error && (
          <FiguresOf value={figures}>
            <Identity
              plan={plan}
              sure={sure}
              onSure={(herb, is) => setSure(is ? [...sure, herb] : sure.filter((s) => s !== herb))}
            />
            <Drawn
              plan={plan}
              stages={stages}
              onWay={way}
              strength={ordered.strength}
              onStrength={strengthTo}
              onTweak={tweak}
              held={held}
              onDrop={drop}
              ordered={order.aDay !== undefined}
              notes={recipe.data.recipe.notes}
              course={`/course/new?recipe=${recipeId}${order.drinkerId ? `&who=${order.drinkerId}` : ""}`}
              onChange={changeHerb}
            />
            {open === "schools" && (
              <SchoolsPanel
                plan={plan}
                onClose={() => setOpen(null)}
                onPick={(question, choice) => {
                  const { [question]: _, ...rest } = order.schools;
                  change({ schools: choice ? { ...rest, [question]: choice } : rest });
                }}
              />
            )}
            {open === "measure" && <MeasureMode plan={plan} onClose={() => setOpen(null)} />}
          </FiguresOf>
        )}
      </div>
    </>
  );
}

/** Takes the last change back. Its room is kept before there is one: nothing moves when it comes. */
function Undone({ on, onClick, className }: { on: boolean; onClick: () => void; className: string }) {
  return (
    <Quiet onClick={onClick} className={`${className} ${on ? "" : "invisible"}`}>
      {say("sheet.undo")}
    </Quiet>
  );
}

function Quiet({
  onClick,
  className = "",
  children,
}: {
  onClick: () => void;
  className?: string;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      className={`relative py-0.5 underline underline-offset-4 max-sm:min-h-11 ${className}`}
      onClick={onClick}
    >
      {children}
    </button>
  );
}

/** What the order changes in the recipe, each to be taken back. */
function Changed({ order, change }: { order: Order; change: (part: Partial<Order>) => void }) {
  const items: { words: string; back: () => void }[] = [
    ...order.changes.map((c) => ({
      words: changeWords(c),
      back: () => change({ changes: order.changes.filter((o) => o !== c) }),
    })),
    ...(order.menstruum
      ? [
          {
            words: say("sheet.madeWith", { menstruum: order.menstruum }),
            back: () => change({ menstruum: undefined }),
          },
        ]
      : []),
    ...(order.tweaks.length > 0
      ? [
          {
            words: order.tweaks.every((t) => "meant" in t)
              ? say("sheet.decidedWhichIsMeant")
              : say("sheet.movedByHandOnThe"),
            back: () => change({ tweaks: [] }),
          },
        ]
      : []),
  ];
  if (items.length === 0) return null;
  return (
    <p className="mt-1 flex flex-wrap gap-x-4 text-sm">
      {items.map((i) => (
        <span key={i.words}>
          {i.words}{" "}
          <button
            type="button"
            className="min-h-9 max-sm:min-h-11 underline underline-offset-4"
            onClick={i.back}
          >
            {say("sheet.takeBack")}
          </button>
        </span>
      ))}
    </p>
  );
}

/** What the address asks and nobody can make, so that nothing is changed without a word. */
function LeftOut({ params, order, doc }: { params: URLSearchParams; order: Order; doc?: RecipeDocument }) {
  const said = [
    ...unread(params).map((u) => say("sheet.ofThisAddressIsNot", { u })),
    ...(doc && misplaced(doc, order.tweaks).length > 0 ? [say("sheet.whatWasMovedByHand")] : []),
  ];
  return said.map((words) => (
    <p key={words} className="mt-1 border-amber border-l-[5px] pl-3 text-sm">
      {words}
    </p>
  ));
}

/** What was noted of the brew that this one follows. */
function Before({ brewId }: { brewId: string }) {
  const brew = useBrew(brewId);
  const note = brew.data?.note;
  if (!note?.change && !note?.taste) return null;
  return (
    <p className="mt-1 border-herb border-l-4 pl-2 text-sm">
      {note.change && (
        <>
          <strong>{say("sheet.lastTimeYouNotedFor")}</strong> {note.change}.{" "}
        </>
      )}
      {note.taste && (
        <span className="text-muted">
          <Said of="sheet.itWas" taste={note.taste} />
        </span>
      )}
    </p>
  );
}

const words = (slug: string) => slug.replaceAll("-", " ");

function changeWords(c: Change): string {
  if (c.share !== undefined)
    return say("sheet.ofThe", { share: Math.round(c.share * 100), herb: words(c.herb) });
  if (c.perCupG !== undefined)
    return say("sheet.ofACupAsIs", { weight: grams(c.perCupG), herb: words(c.herb) });
  if (c.form) return say("sheet.herbInForm", { herb: words(c.herb), form: formSaid(c.form) });
  return c.with
    ? say("sheet.insteadOf", { other: words(c.with), herb: words(c.herb) })
    : say("sheet.without", { herb: words(c.herb) });
}

/** A plan is asked again when the minute changes, not with every second. */
function round(now: Date): Date {
  return new Date(Math.floor(now.getTime() / 60_000) * 60_000);
}
