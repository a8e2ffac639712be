import { useCallback, useEffect, useMemo, useState } from "react";
import { Link, useParams } from "react-router";
import type { BrewSheet, CurvePoint } from "../../api/client";
import { confirm } from "../../api/outbox";
import { keepNewer, useBrew } from "../../api/queries";
import { FireLine } from "../../drawings/FireLine";
import { VesselDrawing } from "../../drawings/Vessel";
import { useKey } from "../../parts/Keys";
import { useNow } from "../../parts/now";
import { clock, span, timer } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { Loading, Trouble } from "../../parts/states";
import { Measures } from "../sheet/Measures";
import { useAlarm } from "./alarm";
import { Finished } from "./Finished";

/** A brew: waiting for its start, on the fire, or done. */
export default function Live() {
  const { id = "" } = useParams();
  const brew = useBrew(id);
  useStream(id);
  if (brew.isPending) return <Loading what="the brew" />;
  if (brew.error) return <Trouble error={brew.error} again={() => brew.refetch()} />;
  const b = brew.data;
  if (b.phase === "running") return <OnTheFire brew={b} />;
  if (b.phase === "planned") return <Planned brew={b} />;
  return <Finished brew={b} />;
}

/** Whatever another device confirms arrives here. */
function useStream(id: string) {
  useEffect(() => {
    const source = new EventSource(`/api/brews/${id}/stream`);
    source.addEventListener("brew", (e) => keepNewer(JSON.parse(e.data)));
    return () => source.close();
  }, [id]);
}

/** The server's clock minus the browser's, ms, as of the last answer. */
function useOffset(brew: BrewSheet): number {
  return useMemo(() => new Date(brew.serverNow).getTime() - Date.now(), [brew.serverNow]);
}

function Planned({ brew }: { brew: BrewSheet }) {
  const now = useNow(1000);
  const offset = useOffset(brew);
  const left = (new Date(brew.plan.startAt).getTime() - now.getTime() - offset) / 1000;
  return (
    <div className="pt-6">
      <title>{`${brew.name} · Ember Cup`}</title>
      <h1 className="text-[2rem]">{brew.name}</h1>
      <p className="mt-2 text-lg">
        Starts at {clock(brew.plan.startAt)}, ready {clock(brew.plan.readyAt)}.
      </p>
      <p className="figure mt-4 text-7xl" role="timer">
        {timer(left)}
      </p>
      <p className="text-muted">{left > 0 ? "until it starts" : "since it should have started"}</p>
      <div className="mt-6 flex flex-wrap gap-3">
        <button
          type="button"
          className="min-h-14 rounded-one bg-ember px-6 font-semibold text-ember-ink text-lg"
          onClick={() => confirm(brew.id, { kind: "started" })}
        >
          Start now
        </button>
        <button
          type="button"
          className="min-h-14 rounded-one border border-ink px-6"
          onClick={() => confirm(brew.id, { kind: "abandoned" })}
        >
          Not today
        </button>
      </div>
    </div>
  );
}

function OnTheFire({ brew }: { brew: BrewSheet }) {
  const now = useNow(500);
  const offset = useOffset(brew);
  const at = now.getTime() + offset;
  const line = useWidth<HTMLDivElement>(1232);
  const pot = useWidth<HTMLDivElement>(360);
  const plan = brew.plan;
  const startedMs = new Date(brew.startedAt ?? plan.startAt).getTime();
  const nowS = (at - startedMs) / 1000;
  const main = useMemo(() => mainSteps(brew), [brew]);
  const current = plan.steps.find((s) => s.key === brew.nowKey);
  const live = brew.steps.find((s) => s.key === brew.nowKey);
  const left = live ? (new Date(live.dueAt).getTime() - at) / 1000 : 0;
  const waits = current ? !current.handsOn : false;
  useAlarm(waits && left <= 0 && current ? `${current.confirm}` : null, `${timer(left)} ${brew.name}`);
  const index = main.findIndex((s) => s.key === brew.nowKey);
  const coming = main.slice(index + 1, index + 5);
  const done = current === undefined;

  const confirmStep = useCallback(() => {
    if (brew.nowKey) confirm(brew.id, { kind: "step-done", step: brew.nowKey });
    if (!brew.nowKey || index === main.length - 1) confirm(brew.id, { kind: "finished" });
  }, [brew.id, brew.nowKey, index, main.length]);
  const last = [...brew.events].reverse().find((e) => e.kind === "step-done" || e.kind === "measured");
  const undo = useCallback(() => {
    if (last) confirm(brew.id, { kind: "undone", event: last.id });
  }, [brew.id, last]);
  useKey(" ", confirmStep);
  useKey("u", undo);

  const overS = waits ? Math.max(0, Math.floor(-left)) : 0;
  const timeline = useMemo(() => reality(brew, overS), [brew, overS]);
  const point = stateAt(timeline.curve, nowS);
  const level = !poured(brew)
    ? 0
    : point
      ? (point.waterMl / plan.vessel.brimMl) * plan.vessel.heightCm + displacedCm(brew)
      : undefined;
  const fire = (current?.powerW ?? 0) > 0 && plan.vessel.kind === "pot";
  const headline = done ? "The cup is ready" : current.label;
  const ticked = new Set(
    brew.steps.filter((s) => s.key.startsWith("prep.") && s.doneAt).map((s) => Number(s.key.slice(5))),
  );
  const tick = (i: number) => {
    const key = `prep.${i}`;
    const event = brew.events.find((e) => e.step === key);
    if (event) confirm(brew.id, { kind: "undone", event: event.id });
    else confirm(brew.id, { kind: "step-done", step: key });
  };
  return (
    <div className="pt-3 md:pt-5">
      <title>{`${brew.name} · Ember Cup`}</title>
      <p className="flex justify-between gap-4 text-muted md:hidden">
        <Link to="/" className="whitespace-nowrap">
          ‹ Today
        </Link>
        <span className="truncate">
          {brew.name}, {plan.cups} {plan.cups === 1 ? "cup" : "cups"}
        </span>
      </p>
      <p className="font-semibold max-md:hidden">
        {brew.name}, {plan.cups} {plan.cups === 1 ? "cup" : "cups"}
        {brew.drinkerName && ` for ${brew.drinkerName}`}
        {brew.readyAt && <span className="font-normal text-muted">, ready about {clock(brew.readyAt)}</span>}
      </p>
      <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-3 md:grid-cols-[minmax(0,1fr)_400px]">
        <section aria-live="polite" aria-label="Now">
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
                {left > 0 ? "left" : "over"}
                {current.until && `, ${current.until}`}
                {coming[0] && `; then: ${short(coming[0].label)}`}
              </p>
            </>
          )}
          {!waits && !done && (
            <p className="mt-2 text-lg text-muted">
              By hand, about {span(current.durationS)}. Confirm when it is done.
            </p>
          )}
          {brew.meanwhile.length > 0 && waits && (
            <p className="mt-2 border-herb border-l-[5px] pl-3">
              <strong className="text-herb">Meanwhile</strong>{" "}
              {brew.meanwhile.map((k) => plan.steps.find((s) => s.key === k)?.label).join("; ")}
            </p>
          )}
          <Changed brew={brew} />
        </section>
        <section ref={pot.ref} aria-label="Vessel" className="flex items-end gap-4">
          <VesselDrawing
            plan={plan}
            levelCm={level}
            fire={fire}
            lid={current?.lid ?? false}
            height={pot.width < 380 ? 148 : 190}
            width={Math.min(pot.width - 96, 330)}
            figures={false}
          />
          {point && (
            <dl className="mb-6 min-w-24 text-sm">
              <dd className="figure text-2xl">{Math.round(point.tempC)} °C</dd>
              <dt className="text-muted">predicted</dt>
              <dd className="figure mt-2 text-2xl">{Math.round(point.waterMl / 5) * 5} mL</dd>
              <dt className="text-muted">predicted</dt>
            </dl>
          )}
        </section>
      </div>
      <section aria-label="Fire line" ref={line.ref} className="mt-3">
        <FireLine
          steps={timeline.steps}
          curve={timeline.curve}
          additions={plan.additions}
          start={new Date(startedMs)}
          totalS={timeline.totalS}
          stageStartS={timeline.stageStartS}
          startMl={plan.water.startMl}
          yieldMl={plan.water.yieldMl}
          strength={brew.strength}
          width={line.width}
          height={line.width < 560 ? 84 : 220}
          nowS={nowS}
        />
      </section>
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-4 md:grid-cols-[minmax(0,1fr)_400px]">
        <div>
          <button
            type="button"
            onClick={confirmStep}
            className="min-h-16 w-full rounded-one bg-ember px-6 font-display font-semibold text-[1.4rem] text-ember-ink [font-stretch:85%] hover:brightness-110"
          >
            {done ? "To the note" : current.confirm}
          </button>
          <div className="mt-2 flex flex-wrap gap-2">
            <Level brew={brew} />
            {last && (
              <button
                type="button"
                onClick={undo}
                className="min-h-11 rounded-one border border-hairline px-4"
              >
                Undo{" "}
                {last.step
                  ? `“${plan.steps.find((s) => s.key === last.step)?.confirm ?? "last"}”`
                  : "the reading"}
              </button>
            )}
            <button
              type="button"
              onClick={() => confirm(brew.id, { kind: "abandoned" })}
              className="min-h-11 rounded-one border border-hairline px-4"
            >
              Give it up
            </button>
          </div>
          <h2 className="sr-only">What comes next</h2>
          <ul className="mt-3 border-hairline border-t">
            {coming.map((s) => (
              <li key={s.key} className="flex justify-between gap-4 border-hairline border-b py-2">
                <span>{s.label}</span>
                <span className="text-muted">{clock(beginOf(brew, s.key))}</span>
              </li>
            ))}
          </ul>
        </div>
        <div className="max-md:mt-2">
          <Measures plan={plan} ticked={ticked} onTick={tick} narrow />
        </div>
      </div>
    </div>
  );
}

/** What really happened to the time and to the cup. */
function Changed({ brew }: { brew: BrewSheet }) {
  const late = Math.abs(brew.lateS) >= 60;
  const stronger = Math.abs(brew.strengthChange) >= 0.04;
  if (!late && !stronger) return null;
  const minutes = Math.round(Math.abs(brew.lateS) / 60);
  return (
    <p className="mt-3 max-w-prose border-amber border-l-[5px] pl-3">
      {late &&
        `It is ${minutes} min ${brew.lateS > 0 ? "behind" : "ahead of"} the plan, ready about ${clock(brew.readyAt ?? brew.plan.readyAt)}. `}
      {stronger
        ? `The cup will be ${brew.strengthChange > 0 ? "stronger" : "weaker"} than planned: ${brew.strength.toFixed(2)} instead of ${brew.plan.strength.toFixed(2)}.`
        : `Strength stays ${brew.strength.toFixed(1)}.`}
    </p>
  );
}

function Level({ brew }: { brew: BrewSheet }) {
  const [open, setOpen] = useState(false);
  const [value, setValue] = useState("");
  if (!open) {
    return (
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="min-h-11 rounded-one border border-hairline px-4"
      >
        Level is …
      </button>
    );
  }
  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        confirm(brew.id, { kind: "measured", reading: "volume-ml", value: Number(value) });
        setOpen(false);
        setValue("");
      }}
    >
      <label className="flex items-baseline gap-2">
        <span className="text-muted">in the pot</span>
        <input
          required
          type="number"
          min={0}
          max={60000}
          value={value}
          onChange={(e) => setValue(e.target.value)}
          className="figure w-24 border-ink border-b-2 bg-transparent text-xl"
        />
        mL
      </label>
      <button type="submit" className="min-h-11 rounded-one bg-ink px-4 text-ground">
        Note it
      </button>
    </form>
  );
}

/** Steps that follow one another; prep that fits into waiting stands aside. */
function mainSteps(brew: BrewSheet) {
  return brew.plan.steps.filter((s) => !s.aside);
}

function beginOf(brew: BrewSheet, key: string): Date {
  const main = mainSteps(brew);
  const before = main[main.findIndex((s) => s.key === key) - 1];
  const live = brew.steps.find((s) => s.key === before?.key);
  return new Date(live?.dueAt ?? brew.plan.startAt);
}

/**
 * The predicted brew laid on the real clock: done steps where they were, the rest after them. A step that is over and not
 * confirmed goes on, and what follows moves with it.
 */
function reality(brew: BrewSheet, overS: number) {
  const startMs = new Date(brew.startedAt ?? brew.plan.startAt).getTime();
  const main = mainSteps(brew);
  const nowIndex = main.findIndex((s) => s.key === brew.nowKey);
  const begins = new Map(main.map((s) => [s.key, (beginOrStart(brew, s.key, main) - startMs) / 1000]));
  const steps = brew.plan.steps.map((s) => {
    const live = brew.steps.find((l) => l.key === s.key);
    const begin = begins.get(s.key);
    if (begin === undefined || !live) return s;
    const index = main.findIndex((m) => m.key === s.key);
    const length = Math.max(0, (new Date(live.dueAt).getTime() - startMs) / 1000 - begin);
    return {
      ...s,
      startS: begin + (nowIndex >= 0 && index > nowIndex ? overS : 0),
      durationS: length + (index === nowIndex ? overS : 0),
    };
  });
  const firstStage = steps.find((s) => s.stage >= 0);
  const stageStartS = firstStage?.startS ?? 0;
  const shift = stageStartS - (brew.predictedSteps.find((s) => s.stage >= 0)?.startS ?? 0);
  const current = steps.find((s) => s.key === brew.nowKey);
  const turnS = current ? current.startS + current.durationS - overS : Number.POSITIVE_INFINITY;
  const curve = brew.predictedCurve
    .map((p) => ({ ...p, tS: p.tS + shift }))
    .map((p) => (p.tS >= turnS - 0.5 ? { ...p, tS: p.tS + overS } : p));
  const last = steps.filter((s) => s.stage >= 0).at(-1);
  return { steps, curve, stageStartS, totalS: last ? last.startS + last.durationS : brew.plan.totalS };
}

function beginOrStart(brew: BrewSheet, key: string, main: { key: string }[]): number {
  const i = main.findIndex((s) => s.key === key);
  const before = main[i - 1];
  const live = before && brew.steps.find((s) => s.key === before.key);
  return new Date(live?.dueAt ?? brew.startedAt ?? brew.plan.startAt).getTime();
}

/** The predicted state at a moment, between the samples of the curve. */
function stateAt(curve: CurvePoint[], nowS: number): CurvePoint | undefined {
  const after = curve.findIndex((p) => p.tS > nowS);
  const b = curve[after];
  const a = curve[after - 1];
  if (!a || !b) return after === -1 ? curve.at(-1) : curve[0];
  const f = (nowS - a.tS) / Math.max(b.tS - a.tS, 0.001);
  const mix = (x: number, y: number) => x + (y - x) * f;
  return {
    ...b,
    tS: nowS,
    tempC: mix(a.tempC, b.tempC),
    waterMl: mix(a.waterMl, b.waterMl),
    body: mix(a.body, b.body),
  };
}

/** Before the pour the serving vessel is empty. */
function poured(brew: BrewSheet): boolean {
  const pour = brew.plan.steps.find((s) => s.kind === "pour");
  return !pour || brew.steps.some((l) => l.key === pour.key && l.doneAt != null);
}

function displacedCm(brew: BrewSheet): number {
  const v = brew.plan.vessel;
  return v.startLevelCm - (brew.plan.water.startMl / v.brimMl) * v.heightCm;
}

function short(label: string): string {
  const text = label.charAt(0).toLowerCase() + label.slice(1);
  return text.length > 46 ? `${text.slice(0, text.lastIndexOf(" ", 44))} …` : text;
}
