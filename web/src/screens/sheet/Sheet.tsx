import { useCallback, useMemo, useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import { api, type PlanSheet, type WayLine } from "../../api/client";
import { uuid } from "../../api/outbox";
import { queryClient, useKitchen, usePeople, usePlan, useRecipe } from "../../api/queries";
import { FireLine } from "../../drawings/FireLine";
import { VesselDrawing } from "../../drawings/Vessel";
import { useKey } from "../../parts/Keys";
import { useNow } from "../../parts/now";
import { clock, millilitres } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { Loading, Trouble } from "../../parts/states";
import { Why } from "../../parts/Why";
import { Cautions } from "./Cautions";
import { Measures } from "./Measures";
import { ask, type Order, readOrder, writeOrder } from "./order";
import { Sentence } from "./Sentence";

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
  const drinkerId = order.drinkerId ?? people.data?.find((p) => p.brewer)?.id;
  const planned = usePlan(
    useMemo(() => ask(recipeId, order, drinkerId, round(minute)), [recipeId, order, drinkerId, minute]),
  );
  const [starting, setStarting] = useState(false);
  const [failure, setFailure] = useState<unknown>(null);
  const plan = planned.data;

  const change = useCallback(
    (part: Partial<Order>) =>
      setParams((before) => writeOrder({ ...readOrder(before), ...part }), {
        replace: true,
        preventScrollReset: true,
      }),
    [setParams],
  );

  const start = useCallback(
    async (now: boolean) => {
      if (!plan || plan.stopped || starting) return;
      setStarting(true);
      setFailure(null);
      try {
        const wish = ask(recipeId, now ? { ...order, at: undefined } : order, drinkerId, new Date());
        const brew = await api.addBrew({ ...wish, id: uuid(), start: now });
        queryClient.setQueryData(["brews", brew.id], brew);
        void queryClient.invalidateQueries({ queryKey: ["day"] });
        navigate(`/brew/${brew.id}`);
      } catch (e) {
        setFailure(e);
        setStarting(false);
      }
    },
    [plan, starting, recipeId, order, drinkerId, navigate],
  );
  useKey("s", () => void start(!order.at));

  if (recipe.isPending || people.isPending || kitchen.isPending) return <Loading what="the sheet" />;
  const error = recipe.error ?? people.error ?? kitchen.error;
  if (error || !recipe.data || !people.data || !kitchen.data)
    return <Trouble error={error} again={() => recipe.refetch()} />;

  return (
    <div className="pt-4">
      <title>{`${recipe.data.recipe.name} · Ember Cup`}</title>
      <div className="flex flex-wrap items-start justify-between gap-x-8 gap-y-4">
        <div className="min-w-0 max-w-[60rem] flex-1 basis-80">
          <h1 className="text-[2rem]">{recipe.data.recipe.name}</h1>
          <Sentence
            order={order}
            drinkerId={drinkerId}
            plan={plan}
            people={people.data}
            kitchen={kitchen.data}
            own={{ cups: recipe.data.recipe.cups ?? 1, cupMl: recipe.data.recipe.cupMl ?? 240 }}
            onChange={change}
          />
          {order.changes.length > 0 && (
            <p className="mt-1 flex flex-wrap gap-x-4 text-sm">
              {order.changes.map((c) => (
                <span key={c.herb}>
                  {c.with ? `${words(c.with)} instead of ${words(c.herb)}` : `without ${words(c.herb)}`}{" "}
                  <button
                    type="button"
                    className="underline underline-offset-4"
                    onClick={() => change({ changes: order.changes.filter((o) => o !== c) })}
                  >
                    take back
                  </button>
                </span>
              ))}
            </p>
          )}
        </div>
        {plan && <Start plan={plan} later={order.at !== undefined} busy={starting} onStart={start} />}
      </div>
      {failure !== null && <Trouble error={failure} />}
      {planned.error && <Trouble error={planned.error} again={() => planned.refetch()} />}
      {planned.isPending && <Loading what="the plan" />}
      {plan && !planned.error && (
        <Drawn
          plan={plan}
          onWay={(w) =>
            w.cups != null
              ? change({ cups: w.cups })
              : w.herb && change({ changes: [...order.changes, { herb: w.herb, with: w.with ?? undefined }] })
          }
        />
      )}
    </div>
  );
}

const words = (slug: string) => slug.replaceAll("-", " ");

/** A plan is asked again when the minute changes, not with every second. */
function round(now: Date): Date {
  return new Date(Math.floor(now.getTime() / 60_000) * 60_000);
}

function Start({
  plan,
  later,
  busy,
  onStart,
}: {
  plan: PlanSheet;
  later: boolean;
  busy: boolean;
  onStart: (now: boolean) => void;
}) {
  const soon = new Date(Date.now() + plan.totalS * 1000);
  if (plan.stopped) {
    return (
      <p className="max-w-56 border-stop border-l-4 pl-3 text-sm">
        <strong className="text-stop">Stop.</strong> This must not be brewed as ordered. Read why, and choose
        a way out.
      </p>
    );
  }
  return (
    <div className="no-print flex flex-col items-stretch gap-1.5 max-md:w-full">
      <button
        type="button"
        disabled={busy}
        onClick={() => onStart(!later)}
        className="min-h-[68px] rounded-one bg-ember px-6 text-ember-ink hover:brightness-110 disabled:opacity-60"
      >
        <span className="block font-display font-semibold text-xl [font-stretch:85%]">
          {later ? `Start at ${clock(plan.startAt)}` : "Start now"}
        </span>
        <span className="block text-[15px]">ready {later ? clock(plan.readyAt) : clock(soon)}</span>
      </button>
      {later && (
        <button
          type="button"
          disabled={busy}
          onClick={() => onStart(true)}
          className="min-h-9 text-sm underline underline-offset-4"
        >
          or start now, ready {clock(soon)}
        </button>
      )}
    </div>
  );
}

function Drawn({ plan, onWay }: { plan: PlanSheet; onWay: (way: WayLine) => void }) {
  const line = useWidth<HTMLDivElement>(1232);
  const pot = useWidth<HTMLDivElement>(390);
  const w = plan.water;
  const fire = plan.vessel.kind === "pot" && plan.steps.some((s) => s.powerW > 0 && s.kind !== "heat");
  const lid = plan.steps.some((s) => s.lid);
  const rim = plan.vessel.heightCm - plan.vessel.startLevelCm;
  const cold = plan.steps.find((s) => s.stage >= 0)?.kind !== "heat" || plan.vessel.kind === "pot";
  return (
    <>
      <div className="mt-4 grid gap-x-10 gap-y-6 md:grid-cols-[minmax(0,340px)_minmax(0,1fr)] lg:grid-cols-[minmax(0,372px)_minmax(0,1fr)_270px]">
        <section ref={pot.ref} aria-label="Vessel">
          <p className="mb-1 text-muted text-sm">
            {plan.vessel.name}
            {lid && fire ? ", lid on while it simmers" : lid ? ", covered" : ""}
          </p>
          <VesselDrawing plan={plan} fire={fire} lid={lid} height={196} width={Math.min(pot.width, 380)} />
          <p className="mt-1 text-muted text-sm">
            <Why workings={plan.workings["water.pourMl"]} className="text-ink">
              {cold && fire ? "Pour" : "Heat"} {millilitres(w.startMl)}
            </Why>
            {w.pourMl > w.startMl + 1 && `, then ${millilitres(w.pourMl - w.startMl)} fresh`}: herbs keep{" "}
            <Why workings={plan.workings["water.retainedMl"]} className="text-ink">
              {millilitres(w.retainedMl)}
            </Why>
            , steam takes{" "}
            <Why workings={plan.workings["water.evaporatedMl"]} className="text-ink">
              {millilitres(w.evaporatedMl)}
            </Why>
            . Strained:{" "}
            <Why workings={plan.workings["water.yieldMl"]} className="text-ink">
              {millilitres(w.yieldMl)}
            </Why>
            . Surface {rim.toFixed(1)} cm under the rim
            {w.dipMl > 0 &&
              `; stop at ${(plan.vessel.heightCm - plan.vessel.dipLevelCm).toFixed(1)} cm under it`}
            . Water boils at{" "}
            <Why workings={plan.workings.boilingC} className="text-ink">
              {plan.boilingC.toFixed(1)} °C
            </Why>
            .
          </p>
        </section>
        <div>
          <Measures plan={plan} />
          <p className="mt-2 text-muted text-sm">
            Strength and curves are an estimate. Ask a clinician about illness, medicines and pregnancy; local
            law decides on regulated herbs.
          </p>
        </div>
        <Cautions plan={plan} onWay={onWay} />
      </div>
      <section aria-label="Fire line" className="mt-3" ref={line.ref}>
        <FireLine
          steps={plan.steps}
          curve={plan.curve}
          additions={plan.additions}
          start={new Date(plan.startAt)}
          totalS={plan.totalS}
          stageStartS={plan.stageStartS}
          startMl={w.startMl}
          yieldMl={w.yieldMl}
          strength={plan.strength}
          honeyAfterS={plan.honeyAfterS}
          width={line.width}
          height={line.width < 560 ? 120 : 238}
        />
        <ol className="sr-only print:not-sr-only">
          {plan.steps.map((s) => (
            <li key={s.key}>
              {clock(new Date(new Date(plan.startAt).getTime() + s.startS * 1000))} {s.label} {s.until}
            </li>
          ))}
        </ol>
      </section>
    </>
  );
}
