import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { Link } from "react-router";
import { api, type BrewResponse, type PlanResponse, type StepLine } from "../../api/client";
import { confirm } from "../../api/outbox";
import { present } from "../../api/present";
import { ofStage, powerOf } from "../../api/steps";
import { stateAt } from "../../drawings/curve";
import { FireLine } from "../../drawings/FireLine";
import { VesselDrawing } from "../../drawings/Vessel";
import { isSaid, sayAloud, sayThem } from "../../parts/bell";
import { useKey } from "../../parts/Keys";
import { useNow } from "../../parts/now";
import { capital, celsius, forWhom, millilitres, moment, share, span, timer } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { FiguresOf } from "../../parts/Why";
import { Said } from "../../words/Said";
import { listed, say } from "../../words/say";
import { Shaken } from "../keeping/LongJars";
import { Measures } from "../sheet/Measures";
import { useAlarm } from "./alarm";
import { useBrewClock } from "./clock";
import { eventWords, Hands, lastSaid } from "./Hands";
import { Instruments, useAutopilot, useInstruments } from "./Instruments";
import { Read } from "./Read";
import { allIn, Meanwhile, NotReady, notReady } from "./Ready";
import { beginOf, lateBy, later, mainSteps, poured, readyOf, reality, served, short } from "./reality";

/** A reduction is told this long before its mark, s. */
const SOON_S = 60;
/** Longer over than this, and somebody was away, s. */
const ABSENT_S = 45;

/** Whether this device says each step aloud, for whoever has wet hands. */
function Aloud({ words }: { words: string }) {
  const [on, setOn] = useState(isSaid);
  useEffect(() => {
    if (on) sayAloud(words);
  }, [on, words]);
  return (
    <label className="mt-3 flex min-h-14 items-center gap-2">
      <Said
        of="live.sayEachStepAloud"
        field={
          <input
            type="checkbox"
            className="size-4"
            checked={on}
            onChange={(e) => {
              sayThem(e.target.checked);
              setOn(e.target.checked);
            }}
          />
        }
      />
    </label>
  );
}

/** Who gets how much of the pot, when it is poured for more than one. */
function Shares({ brew }: { brew: BrewResponse }) {
  const { others, cupMl } = brew.plan;
  if (!others || others.length === 0) return null;
  return (
    <p className="mt-2 text-lg">
      {say("live.aCupOf", {
        amount: millilitres(cupMl),
        whom: forWhom(brew.drinkerName ?? say("live.theDrinker"), others, cupMl),
      })}
    </p>
  );
}

/** The brew on the fire: the one thing to do now, its clock, what comes next. */
export function OnTheFire({ brew }: { brew: BrewResponse }) {
  useNow(brew.clockSpeed > 1 ? 120 : 500);
  const at = useBrewClock(brew)();
  const line = useWidth(1232);
  const pot = useWidth(360);
  const plan = brew.plan;
  const startedMs = new Date(brew.startedAt ?? plan.startAt).getTime();
  const nowS = (at - startedMs) / 1000;
  const main = useMemo(() => mainSteps(brew), [brew]);
  const current = plan.steps.find((s) => s.key === brew.nowKey);
  const live = brew.steps.find((s) => s.key === brew.nowKey);
  const left = live ? (new Date(live.dueAt).getTime() - at) / 1000 : 0;
  const waits = current ? !current.handsOn : false;
  const soon = current?.kind === "reduce" && left > 0 && left <= SOON_S;
  const due = waits && left <= 0 && current ? current.confirm : soon ? say("live.theMarkIsNear") : null;
  const alarm = useAlarm(due, `${timer(left)} ${brew.name}`, brew.id);
  const kitchen = useInstruments(brew);
  const index = main.findIndex((s) => s.key === brew.nowKey);
  const coming = main.slice(index + 1, index + 5);
  const done = current === undefined;

  const goOn = useCallback(() => {
    allIn(brew);
    if (brew.nowKey) confirm(brew.id, { kind: "step-done", step: brew.nowKey });
    if (!brew.nowKey || index === main.length - 1) confirm(brew.id, { kind: "finished" });
    setAsked(undefined);
    setTimeout(() => big.current?.focus(), 0);
  }, [brew, index, main.length]);
  const big = useRef<HTMLButtonElement>(null);
  const [asked, setAsked] = useState<string>();
  const open = notReady(brew, at);
  const asks = asked === brew.nowKey && open.length > 0;
  const confirmStep = () => (open.length > 0 && !asks ? setAsked(brew.nowKey ?? undefined) : goOn());
  const figures = useMemo(() => ({ key: brew.id, load: () => api.brewWorkings(brew.id) }), [brew.id]);
  const last = lastSaid(brew);
  const undo = useCallback(() => {
    if (last) confirm(brew.id, { kind: "undone", event: last.id });
  }, [brew.id, last]);
  useKey(" ", confirmStep);
  useAutopilot(brew, kitchen, goOn);
  useKey("u", undo);

  // A step that is over and not confirmed moves all that comes after it.
  const overS = live ? Math.max(0, Math.floor(-left)) : 0;
  const timeline = useMemo(() => reality(brew, overS), [brew, overS]);
  const waitsForHoney = plan.readyS !== undefined && plan.readyS < plan.totalS - 1;
  const readyS =
    waitsForHoney && brew.readyAt ? (readyOf(brew, overS).getTime() - startedMs) / 1000 : timeline.totalS;
  // What is only stirred into the cup may be left out.
  const asItIs =
    current !== undefined &&
    (current.kind === "finish" || (current.kind === "cool" && waitsForHoney)) &&
    main.slice(index).every((s) => s.kind === "finish" || s.kind === "cool");
  const point = stateAt(timeline.curve, nowS);
  const otherwise = brew.late || brew.told.includes("strength");
  const planned = useMemo(
    () => plan.curve.map((p) => ({ ...p, tS: p.tS + timeline.stageStartS - plan.stageStartS })),
    [plan, timeline.stageStartS],
  );
  const seenMl = kitchen.readings?.waterMl;
  const mugs = served(brew);
  const drawn = mugs ?? plan;
  const inVesselMl = point && (seenMl ?? point.waterMl) / (mugs ? plan.cups : 1);
  const level = !poured(brew)
    ? 0
    : inVesselMl !== undefined
      ? (inVesselMl / drawn.vessel.brimMl) * drawn.vessel.heightCm +
        (current?.herbless ? 0 : (drawn.vessel.displacedCm ?? 0))
      : undefined;
  const fire = brew.fire ? brew.fire.flame !== "off" && plan.vessel.kind === "pot" : false;
  const headline = done ? say("live.theCupIsReady") : current.label;
  const ticked = new Set(
    plan.steps
      .flatMap((p) => (p.kind === "prep" ? [p] : []))
      .filter((p) => brew.steps.some((s) => s.key === p.key && s.doneAt))
      .map((p) => p.addition),
  );
  const tick = (i: number) => {
    const key = plan.steps.find((s) => s.kind === "prep" && s.addition === i)?.key;
    if (!key) return;
    const event = brew.events.find((e) => e.step === key);
    if (event) confirm(brew.id, { kind: "undone", event: event.id });
    else confirm(brew.id, { kind: "step-done", step: key });
  };
  return (
    <div className="pt-3 md:pt-5">
      <title>{say("live.emberCup", { name: brew.name })}</title>
      <p className="flex justify-between gap-4 text-muted md:hidden">
        <Link to="/" className="relative max-sm:reach whitespace-nowrap">
          {say("live.today")}
        </Link>
        <span className="truncate">
          {say("live.potAndCups", { name: brew.name, cups: plan.cups, whom: "" })}
        </span>
      </p>
      <p className="font-semibold max-md:hidden">
        {say("live.potAndCups", {
          name: brew.name,
          cups: plan.cups,
          whom: forWhom(brew.drinkerName, plan.others, plan.cupMl),
        })}
        {brew.readyAt && (
          <span className="font-normal text-muted">
            , {say("live.readyAbout", { when: moment(readyOf(brew, overS), present()) })}
          </span>
        )}
      </p>
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-3 md:grid-cols-[minmax(0,1fr)_400px]">
        <section aria-live="polite" aria-label={say("live.now")}>
          <h1 className="text-[2.15rem] md:text-[2.6rem]">{headline}</h1>
          {waits && !done && (
            <>
              <p
                role="timer"
                className={`figure mt-1 text-[5.6rem] leading-none md:text-[7.5rem] ${left <= 0 ? "text-ember-text" : ""}`}
              >
                {timer(left)}
              </p>
              <p className="text-muted">
                {say("live.clock", {
                  over: left <= 0,
                  until: current.until,
                  next: coming[0] && short(coming[0].label),
                })}
              </p>
            </>
          )}
          {(done || current.kind === "strain" || current.kind === "finish") && <Shares brew={brew} />}
          {!waits && !done && (
            <p className="mt-2 text-lg text-muted">
              <Said of="live.byHandAboutConfirmWhen" time={span(current.durationS)} />
            </p>
          )}
          {!done &&
            current.minds?.map((minded) => (
              <p key={minded} className="mt-2 max-w-prose border-amber border-l-[5px] pl-3">
                {minded}
              </p>
            ))}
          {waits && brew.shaking && <Shaken brewId={brew.id} shaking={brew.shaking} now={present()} />}
          {waits && <Meanwhile brew={brew} at={at} />}
          {waits && !done && left < -ABSENT_S && (
            <p className="mt-2 max-w-prose border-ember border-l-[5px] pl-3">
              {say("live.itsTimeRanOutAgo", { time: span(-left) })}{" "}
              {fire && <strong>{say("live.lookAtThePotFirst")} </strong>}
              {say("live.whatThatDid")}
            </p>
          )}
          {alarm.ringing && (
            <p className="mt-2 flex flex-wrap gap-2" role="group" aria-label={say("live.alarm")}>
              {[1, 3, 5].map((m) => (
                <button
                  key={m}
                  type="button"
                  className="min-h-14 rounded-one border border-ink px-4"
                  onClick={() => alarm.snooze(m)}
                >
                  <Said of="live.quietForMin" m={m} />
                </button>
              ))}
            </p>
          )}
          {current && <Otherwise brew={brew} current={current} />}
          <Changed brew={brew} overS={overS} />
        </section>
        <section ref={pot.ref} aria-label={say("live.vessel")} className="flex items-end gap-4">
          <VesselDrawing
            plan={drawn}
            levelCm={level}
            fire={fire}
            lid={brew.fire?.lid ?? false}
            height={pot.width < 380 ? 148 : 190}
            width={Math.min(pot.width - 96, 330)}
            figures={false}
            herbless={current?.herbless === true}
          />
          {point && (
            <dl className="mb-6 min-w-24 text-sm">
              <dd className="figure text-2xl">{celsius(kitchen.readings?.tempC ?? point.tempC)}</dd>
              <dt className="text-muted">{say(kitchen.readings ? "live.thermometer" : "live.predicted")}</dt>
              <dd className="figure mt-2 text-2xl">
                {millilitres(kitchen.readings?.waterMl ?? point.waterMl)}
              </dd>
              <dt className="text-muted">
                {where(plan, mugs !== undefined, kitchen.readings !== undefined)}
              </dt>
            </dl>
          )}
        </section>
      </div>
      <section aria-label={say("live.fireLine")} ref={line.ref} className="mt-3">
        <FireLine
          steps={timeline.steps}
          curve={timeline.curve}
          additions={plan.additions}
          start={new Date(startedMs)}
          totalS={timeline.totalS}
          readyS={readyS}
          stageStartS={timeline.stageStartS}
          startMl={plan.water.startMl}
          yieldMl={timeline.curve.at(-1)?.waterMl ?? plan.water.yieldMl}
          strength={brew.strength}
          width={line.width}
          height={line.width < 560 ? 84 : 184}
          nowS={nowS}
          against={otherwise ? planned : undefined}
        />
        {otherwise && <p className="text-muted text-sm">{say("live.dashedAsItWasPlanned")}</p>}
      </section>
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-4 md:grid-cols-[minmax(0,1fr)_400px]">
        <div>
          {asks && <NotReady open={open} onGoOn={goOn} onWait={() => setAsked(undefined)} />}
          <button
            type="button"
            ref={big}
            onClick={confirmStep}
            hidden={asks}
            className="min-h-16 w-full rounded-one bg-ember px-6 font-display font-semibold text-[1.4rem] text-ember-ink [font-stretch:85%] hover:brightness-110"
          >
            {done ? say("live.toTheNote") : current.confirm}
          </button>
          {asItIs && (
            <button
              type="button"
              onClick={() => confirm(brew.id, { kind: "finished" })}
              className="mt-2 min-h-14 w-full rounded-one border border-ink px-6 text-lg"
            >
              {say("live.drinkItAsItIs")}
            </button>
          )}
          <Hands brew={brew} />
          <div className="mt-2 flex flex-wrap gap-2">
            <Read brew={brew} />
            {last && (
              <button
                type="button"
                onClick={undo}
                className="min-h-14 rounded-one border border-hairline px-4"
              >
                <Said of="live.undo" eventWords={eventWords(brew, last)} />
              </button>
            )}
          </div>
          <h2 className="sr-only">{say("live.whatComesNext")}</h2>
          <ul className="mt-3 border-hairline border-t">
            {coming.map((s) => (
              <li key={s.key} className="flex justify-between gap-4 border-hairline border-b py-2">
                <span>{s.label}</span>
                <span className="text-muted">{moment(later(beginOf(brew, s.key), overS), present())}</span>
              </li>
            ))}
          </ul>
          <Aloud words={headline} />
          <GiveUp onGiveUp={() => confirm(brew.id, { kind: "abandoned" })} />
        </div>
        <div className="max-md:mt-2">
          <Instruments brew={brew} kitchen={kitchen} />
          <FiguresOf value={figures}>
            <Measures plan={plan} ticked={ticked} onTick={tick} narrow />
          </FiguresOf>
        </div>
      </div>
    </div>
  );
}

/** Ends a brew for good: asked once more, and away from what is pressed all the time. */
function GiveUp({ onGiveUp }: { onGiveUp: () => void }) {
  const [sure, setSure] = useState(false);
  const button = "min-h-14 rounded-one border px-4";
  if (!sure)
    return (
      <button
        type="button"
        onClick={() => setSure(true)}
        className="mt-4 min-h-14 text-muted underline underline-offset-4"
      >
        {say("live.giveItUp")}
      </button>
    );
  return (
    <div className="mt-4 border-stop border-l-[5px] pl-3" role="group" aria-label={say("live.giveItUp")}>
      <p>{say("live.theBrewEndsHereWhat")}</p>
      <p className="mt-2 flex flex-wrap gap-3">
        <button type="button" onClick={onGiveUp} className={`${button} border-stop text-stop`}>
          {say("live.yesGiveItUp")}
        </button>
        <button type="button" onClick={() => setSure(false)} className={`${button} border-ink`}>
          {say("live.noGoOn")}
        </button>
      </p>
    </div>
  );
}

/** Where the water is that stands beside the vessel. */
function where(plan: PlanResponse, served: boolean, read: boolean): string {
  if (served) return say("live.inMugs", { cups: plan.cups });
  return read ? say("live.inThePot") : say("live.predicted");
}

/** "aroma 55 % instead of 74 %", when it is worth a word. */
function moved(brew: BrewResponse, what: "aroma" | "bite"): string | false {
  return (
    brew.told.includes(what) &&
    say("live.insteadOf", { what, share: share(brew[what]), planned: share(brew.plan[what]) })
  );
}

/** Lid or flame as a hand left them, where the plan has it otherwise. */
function Otherwise({ brew, current }: { brew: BrewResponse; current: StepLine }) {
  const fire = brew.fire;
  if (!fire?.otherwise || !ofStage(current)) return null;
  const words = [
    fire.lid !== current.lid && say("live.theLidIs", { on: fire.lid }),
    fire.powerW !== powerOf(current) && say("live.theFlameIs", { flame: fire.flame }),
  ].filter((w) => w !== false);
  return (
    <p className="mt-2 max-w-prose border-ember border-l-[5px] pl-3">
      {say("live.otherThanPlanned", { what: listed(words) })}
    </p>
  );
}

/** What really happened to the time and to the cup. */
function Changed({ brew, overS }: { brew: BrewResponse; overS: number }) {
  const lateS = lateBy(brew.lateS, overS);
  const late = brew.late && (lateS > 0 || overS === 0);
  const stronger = brew.told.includes("strength");
  const beside = [moved(brew, "aroma"), moved(brew, "bite")].filter(Boolean);
  if (!late && !stronger && beside.length === 0 && !brew.advice) return null;
  return (
    <p className="mt-3 max-w-prose border-amber border-l-[5px] pl-3">
      {late &&
        `${say("live.itIsThePlanReady", {
          time: span(Math.abs(lateS)),
          behind: lateS > 0,
          when: moment(readyOf(brew, overS), present()),
        })} `}
      {stronger
        ? say("live.theCupWillBeThan", {
            stronger: brew.strengthChange > 0,
            share: share(brew.strength),
            planned: share(brew.plan.strength),
          })
        : say("live.strengthStays", { share: share(brew.strength) })}
      {beside.length > 0 && ` ${capital(beside.join(", "))}.`}
      {brew.advice && <strong> {brew.advice}</strong>}
    </p>
  );
}
