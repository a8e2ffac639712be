import { useEffect, useState } from "react";
import { flushSync } from "react-dom";
import type { CautionLine, PlanResponse } from "../../api/client";
import { stagesOf } from "../../api/steps";
import { FireLine } from "../../drawings/FireLine";
import { ofPlan } from "../../drawings/lineProps";
import { measuredOut, type Out } from "../../parts/measured";
import {
  apart,
  capital,
  centimetres,
  clock,
  date,
  forWhom,
  millilitres,
  range,
  share,
  span,
} from "../../parts/say";

/** Width of the written part of a page, px. */
const PAGE = 700;
/** With more lines than this the page is set smaller, so that it stays one. */
const MANY = 24;
const VERY_MANY = 34;

/** Whether the page is being printed: paper is only there then. */
function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    // The page is taken as it stands when the event is over.
    const begin = () => flushSync(() => setPrinting(true));
    const end = () => setPrinting(false);
    window.addEventListener("beforeprint", begin);
    window.addEventListener("afterprint", end);
    return () => {
      window.removeEventListener("beforeprint", begin);
      window.removeEventListener("afterprint", end);
    };
  }, []);
  return printing;
}

/** The sheet on one page of paper, black and white: boxes to tick, the line, the steps with room for what really happened. */
export function Paper(props: { plan: PlanResponse; name: string; notes?: string[] }) {
  return usePrinting() ? <Page {...props} /> : null;
}

function Page({ plan, name, notes }: { plan: PlanResponse; name: string; notes?: string[] }) {
  const outs = measuredOut(plan.additions);
  const herbs = outs.reduce((n, o) => n + 1 + (o.herbs.length > 0 ? 1 : 0), 0);
  const lines =
    herbs + plan.steps.length + plan.cautions.length + (plan.ask?.length ?? 0) + (notes?.length ?? 0);
  const zoom = lines > VERY_MANY ? 0.7 : lines > MANY ? 0.82 : 0.95;
  return (
    <article aria-label="On paper" className="hidden print:block" style={{ zoom, width: PAGE }}>
      <Head plan={plan} name={name} />
      <h2 className="mt-3 text-lg">Measure out</h2>
      <table className="mt-1 w-full text-[14px]">
        <tbody>
          {outs.map((o) => (
            <Measure key={o.index} out={o} />
          ))}
        </tbody>
      </table>
      <div className="mt-3">
        <FireLine {...ofPlan(plan)} start={new Date(plan.startAt)} width={PAGE - 24} height={168} />
      </div>
      <h2 className="mt-2 text-lg">What is done</h2>
      <Steps plan={plan} />
      <Care plan={plan} />
      {(plan.posology || (notes?.length ?? 0) > 0 || plan.keeps) && (
        <p className="mt-2 text-[13px]">
          {plan.posology && `Taken: ${plan.posology}. `}
          {plan.keeps?.text} {notes?.join(" ")}
        </p>
      )}
      <p className="mt-2 text-[12px]">
        Strength and curves are an estimate. Ask a clinician about illness, medicines and pregnancy; local law
        decides on regulated herbs.
      </p>
      <p className="mt-3 flex items-baseline gap-2 text-[13px]">
        How it was <Rule />
      </p>
      <p className="mt-3 flex items-baseline gap-2 text-[13px]">
        Next time <Rule />
      </p>
    </article>
  );
}

const Rule = () => <span className="inline-block flex-1 border-ink border-b" />;
const Box = () => <span className="inline-block size-3.5 border-[1.5px] border-ink align-[-2px]" />;

function Head({ plan, name }: { plan: PlanResponse; name: string }) {
  const { water: w, vessel } = plan;
  const start = new Date(plan.startAt);
  return (
    <>
      <div className="flex items-baseline justify-between gap-6 border-ink border-b-2 pb-1">
        <h1 className="text-[26px]">{name}</h1>
        <p className="whitespace-nowrap text-[14px]">
          {date(start)}, {clock(start)}, ready <strong>{clock(plan.readyAt)}</strong>
        </p>
      </div>
      <p className="mt-1.5 text-[14px]">
        {plan.cups} {plan.cups === 1 ? "cup" : "cups"} of {millilitres(plan.cupMl)}
        {forWhom(plan.drinkerName, plan.others, plan.cupMl)}, in the {vessel.name}. Strength{" "}
        {share(plan.strength)}, {share(plan.strengthLow)} to {share(plan.strengthHigh)};{" "}
        {span(plan.readyS ?? plan.totalS)}.
      </p>
      <p className="mt-1 text-[14px]">
        <Box /> <strong>{millilitres(w.startMl)}</strong> of water{w.startCups && ` (${w.startCups})`}
        {w.pourMl > w.startMl + 1 && `, later ${millilitres(w.pourMl - w.startMl)} fresh`}. Strained{" "}
        {millilitres(w.yieldMl)}; the surface {centimetres(vessel.heightCm - vessel.startLevelCm)} under the
        rim
        {w.dipMl > 0 && `, stop at ${centimetres(vessel.heightCm - vessel.dipLevelCm)} under it`}.
      </p>
    </>
  );
}

function Measure({ out: o }: { out: Out }) {
  const mass = apart("mass", o.amounts.grams);
  const a = o.lead;
  const how = o.lead.blend
    ? o.herbs
        .map((h) => `${apart("mass", h.addition.grams).number} ${h.addition.common.toLowerCase()}`)
        .join(", ")
    : [a.form === "fresh" && a.cut === "whole" && a.perCup ? "" : `${a.form}, ${a.cut}`, a.prep]
        .filter(Boolean)
        .join("; ");
  return (
    <tr className="border-hairline border-b align-baseline">
      <td className="w-6 py-1">
        <Box />
      </td>
      <td className="figure w-20 py-1 pr-3 text-right text-[19px]">
        {mass.number} <span className="font-body font-normal text-[13px]">{mass.unit}</span>
      </td>
      <td className="py-1 pr-3">
        <strong>{o.name}</strong> <span className="text-[13px]">{how}</span>
        {a.perCup && <span className="text-[13px]">; into the cup {a.inCup}</span>}
      </td>
      <td className="whitespace-nowrap py-1 pr-3">
        {o.amounts.weigh ? <strong>weigh this one</strong> : o.amounts.measure}
      </td>
      <td className="whitespace-nowrap py-1 text-right text-[13px]">
        {!o.amounts.weigh && `${range("mass", o.amounts.lowG, o.amounts.highG)} by spoon`}
      </td>
    </tr>
  );
}

/** Clock, step and minutes, and a line for the clock that it really was; what only gets a herb ready has its box above. */
function Steps({ plan }: { plan: PlanResponse }) {
  const start = new Date(plan.startAt).getTime();
  const prepared = plan.steps.filter((s) => s.kind === "prep" && s.durationS > 40);
  const steps = [
    ...prepared,
    ...plan.steps.filter((s) => s.kind === "stand" && !s.aside),
    ...stagesOf(plan.steps),
  ].sort((a, b) => a.startS - b.startS);
  return (
    <table className="mt-1 w-full text-[14px]">
      <thead>
        <tr className="border-ink border-b text-left text-[12px]">
          <th className="w-6 font-normal" aria-label="done" />
          <th className="w-16 font-normal">clock</th>
          <th className="font-normal">step</th>
          <th className="w-20 pr-3 text-right font-normal">takes</th>
          <th className="w-32 font-normal">as it was</th>
        </tr>
      </thead>
      <tbody>
        {steps.map((s) => (
          <tr key={s.key} className="border-hairline border-b align-baseline">
            <td className="py-1">
              <Box />
            </td>
            <td className="py-1 tabular-nums">{clock(new Date(start + s.startS * 1000))}</td>
            <td className="py-1 pr-3">
              {s.label}
              {s.until && `, ${s.until}`}
            </td>
            <td className="whitespace-nowrap py-1 pr-3 text-right">{span(s.durationS)}</td>
            <td className="border-hairline border-l py-1" />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const WORDS: Record<string, string> = { stop: "Stop", care: "Take care", note: "Note" };

function Care({ plan }: { plan: PlanResponse }) {
  const ask = plan.ask ?? [];
  if (plan.cautions.length + ask.length === 0) return null;
  return (
    <div className="mt-3 grid grid-cols-2 gap-x-6 text-[12.5px] leading-snug">
      <ul className="flex flex-col gap-1">
        {plan.cautions.map((c: CautionLine) => (
          <li key={c.code + c.text}>
            <strong>{WORDS[c.severity] ?? "Note"}:</strong> {c.text}
          </li>
        ))}
      </ul>
      {ask.length > 0 && (
        <div>
          <p className="font-semibold">When to stop and ask a clinician</p>
          <ul className="flex flex-col gap-1">
            {ask.map((a) => (
              <li key={a.signs}>{capital(a.signs)}.</li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}
