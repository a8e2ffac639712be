import { useEffect, useState } from "react";
import { flushSync } from "react-dom";
import type { CautionLine, PlanResponse } from "../../api/client";
import { FireLine } from "../../drawings/FireLine";
import { ofPlan } from "../../drawings/lineProps";
import { measuredOut, type Out } from "../../parts/measured";
import { capital } from "../../parts/say";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { crowded, ESTIMATE, hours, measure, order, SEVERITIES, steps, taken, water } from "./paperWords";

/** Width of the written part of a page, px. */
const PAGE = 700;
/** How large a page is set, from the one with room to the fullest. */
const ZOOMS = [0.95, 0.82, 0.7] as const;

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
  const also = taken(plan, notes);
  const zoom = ZOOMS[crowded(plan, outs, notes)];
  return (
    <article aria-label={say("sheet.onPaper")} className="hidden print:block" style={{ zoom, width: PAGE }}>
      <Head plan={plan} name={name} />
      <h2 className="mt-3 text-lg">{say("sheet.measureOut")}</h2>
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
      <h2 className="mt-2 text-lg">{say("sheet.whatIsDone")}</h2>
      <Steps plan={plan} />
      <Care plan={plan} />
      {also && <p className="mt-2 text-[13px]">{also}</p>}
      <p className="mt-2 text-[12px]">{ESTIMATE}</p>
      <p className="mt-3 flex items-baseline gap-2 text-[13px]">
        <Said of="sheet.howItWas" rule={<Rule />} />
      </p>
      <p className="mt-3 flex items-baseline gap-2 text-[13px]">
        <Said of="sheet.nextTime" rule={<Rule />} />
      </p>
    </article>
  );
}

const Rule = () => <span className="inline-block flex-1 border-ink border-b" />;
const Box = () => <span className="inline-block size-3.5 border-[1.5px] border-ink align-[-2px]" />;

function Head({ plan, name }: { plan: PlanResponse; name: string }) {
  const { begins, ready } = hours(plan);
  const { amount, rest } = water(plan);
  return (
    <>
      <div className="flex items-baseline justify-between gap-6 border-ink border-b-2 pb-1">
        <h1 className="text-[26px]">{name}</h1>
        <p className="whitespace-nowrap text-[14px]">
          <Said of="sheet.ready" begins={begins} ready={<strong>{ready}</strong>} />
        </p>
      </div>
      <p className="mt-1.5 text-[14px]">{order(plan)}</p>
      <p className="mt-1 text-[14px]">
        <Box /> <strong>{amount}</strong>
        {rest}
      </p>
    </>
  );
}

function Measure({ out }: { out: Out }) {
  const m = measure(out);
  return (
    <tr className="border-hairline border-b align-baseline">
      <td className="w-6 py-1">
        <Box />
      </td>
      <td className="figure w-20 py-1 pr-3 text-right text-[19px]">
        {m.mass.number} <span className="font-body font-normal text-[13px]">{m.mass.unit}</span>
      </td>
      <td className="py-1 pr-3">
        <strong>{m.name}</strong> <span className="text-[13px]">{m.how}</span>
      </td>
      <td className={`whitespace-nowrap py-1 pr-3 ${m.weigh ? "font-semibold" : ""}`}>{m.measure}</td>
      <td className="whitespace-nowrap py-1 text-right text-[13px]">{m.spread}</td>
    </tr>
  );
}

/** Clock, step and minutes, and a line for the clock that it really was. */
function Steps({ plan }: { plan: PlanResponse }) {
  return (
    <table className="mt-1 w-full text-[14px]">
      <thead>
        <tr className="border-ink border-b text-left text-[12px]">
          <th className="w-6 font-normal" aria-label={say("sheet.done")} />
          <th className="w-16 font-normal">{say("sheet.clock")}</th>
          <th className="font-normal">{say("sheet.step")}</th>
          <th className="w-20 pr-3 text-right font-normal">{say("sheet.takes")}</th>
          <th className="w-32 font-normal">{say("sheet.asItWas")}</th>
        </tr>
      </thead>
      <tbody>
        {steps(plan).map((s) => (
          <tr key={s.key} className="border-hairline border-b align-baseline">
            <td className="py-1">
              <Box />
            </td>
            <td className="py-1 tabular-nums">{s.clock}</td>
            <td className="py-1 pr-3">{s.words}</td>
            <td className="whitespace-nowrap py-1 pr-3 text-right">{s.takes}</td>
            <td className="border-hairline border-l py-1" />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Care({ plan }: { plan: PlanResponse }) {
  const ask = plan.ask ?? [];
  if (plan.cautions.length + ask.length === 0) return null;
  return (
    <div className="mt-3 grid grid-cols-2 gap-x-6 text-[12.5px] leading-snug">
      <ul className="flex flex-col gap-1">
        {plan.cautions.map((c: CautionLine) => (
          <li key={c.code + c.text}>
            <strong>{SEVERITIES[c.severity] ?? say("sheet.note")}:</strong> {c.text}
          </li>
        ))}
      </ul>
      {ask.length > 0 && (
        <div>
          <p className="font-semibold">{say("sheet.whenToStopAndAsk")}</p>
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
