import { useQuery } from "@tanstack/react-query";
import { scaleTime } from "d3-scale";
import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { useStartBrew } from "../../api/changes";
import { api, type OneCookResponse, type Person, type RecipeResponse } from "../../api/client";
import { keys } from "../../api/keys";
import * as limit from "../../api/limit.gen";
import { uuid } from "../../api/outbox";
import { present } from "../../api/present";
import { usePeople, useRecipes } from "../../api/queries";
import { personName } from "../../parts/conditions";
import { Primary } from "../../parts/Field";
import { clock, moment, span } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { Empty, Loading, Trouble } from "../../parts/states";
import { OneOf, Word } from "../../parts/Word";
import { Said } from "../../words/Said";
import { say } from "../../words/say";
import { atOn, readAt } from "../sheet/at";
import { ask, readOrder, settled, writeOrder } from "../sheet/order";
import { momentAt, ReadyAt } from "../sheet/ReadyAt";

/** A pot of the hour: which recipe, and for whom. */
interface Wanted {
  recipeId: string;
  drinkerId?: string;
}

/** When nothing is said, everything is ready in so long. */
const SOON_MS = 2 * 3600_000;

const read = (params: URLSearchParams): Wanted[] =>
  params.getAll("pot").map((p) => {
    const [recipeId = "", drinkerId] = p.split("~");
    return { recipeId, drinkerId: drinkerId || undefined };
  });

/** Several pots for one hour: who starts when, on which burner, so that two hands and the burners there are do for all. */
export default function Together() {
  const recipes = useRecipes();
  const people = usePeople();
  const [params, setParams] = useSearchParams();
  const wanted = read(params);
  const [usual] = useState(() => {
    const soon = new Date(present().getTime() + SOON_MS);
    soon.setMinutes(Math.ceil(soon.getMinutes() / 15) * 15, 0, 0);
    return atOn(soon);
  });
  const at = readAt(params.get("at")) ?? usual;
  const known = wanted.filter((w) => recipes.data?.some((r) => r.id === w.recipeId));
  const orders = known.map((w) =>
    ask(
      w.recipeId,
      undefined,
      settled({ ...readOrder(new URLSearchParams()), drinkerId: w.drinkerId, at }, people.data),
      present(),
    ),
  );
  const placed = useQuery({
    queryKey: keys.together(orders),
    queryFn: () => api.oneCook(orders),
    enabled: orders.length > 0 && people.data !== undefined,
  });
  if (recipes.isPending || people.isPending) return <Loading what={say("together.thePots")} />;
  if (recipes.error || people.error || !recipes.data)
    return <Trouble error={recipes.error ?? people.error} again={() => recipes.refetch()} />;
  const write = (pots: Wanted[], when = at) => {
    const next = new URLSearchParams();
    next.set("at", when);
    for (const w of pots) next.append("pot", `${w.recipeId}~${w.drinkerId ?? ""}`);
    setParams(next, { replace: true });
  };
  return (
    <div className="max-w-5xl pt-6">
      <title>{say("together.severalPotsEmberCup")}</title>
      <h1 className="text-3xl">{say("together.severalPotsForOneHour")}</h1>
      <p className="mt-2 text-[1.12rem] leading-[2.1rem]">
        <Said
          of="together.allReadyByByOne"
          readyAt={
            <Word label={say("together.readyAt")} shown={momentAt(at)}>
              {(close) => (
                <ReadyAt
                  at={at}
                  soon={present()}
                  onPick={(when) => {
                    write(known, when ?? usual);
                    close();
                  }}
                />
              )}
            </Word>
          }
        />
      </p>
      <ol aria-label={say("together.pots")} className="mt-3 border-hairline border-t empty:border-t-0">
        {known.map((w, i) => (
          <Row
            key={i}
            n={i + 1}
            wanted={w}
            recipes={recipes.data}
            people={people.data ?? []}
            result={placed.data}
            index={i}
            onChange={(part) => write(known.map((o, j) => (j === i ? { ...o, ...part } : o)))}
            onRemove={() => write(known.filter((_, j) => j !== i))}
          />
        ))}
      </ol>
      {known.length < limit.PLANS.high && (
        <p className="mt-3">
          <Word
            label={say("together.anotherPot")}
            shown={known.length === 0 ? say("together.chooseAPot") : say("together.anotherPotWithin")}
          >
            {(close) => (
              <OneOf
                label={say("together.recipe")}
                value=""
                options={recipes.data.map((r) => ({ value: r.id, label: r.recipe.name ?? "" }))}
                onPick={(recipeId) => {
                  write([...known, { recipeId, drinkerId: known.at(-1)?.drinkerId }]);
                  close();
                }}
              />
            )}
          </Word>
        </p>
      )}
      {wanted.length > known.length && (
        <p className="mt-3 border-amber border-l-[5px] pl-3">
          {say("together.ofThisAddressNotKept", { count: wanted.length - known.length })}
        </p>
      )}
      {placed.error && <Trouble error={placed.error} again={() => placed.refetch()} />}
      {known.length === 0 ? (
        <div className="mt-6">
          <Empty title={say("together.nothingForThatHourYet")}>{say("together.chooseTwoOrMoreThey")}</Empty>
        </div>
      ) : (
        placed.data && (
          <>
            <Lanes result={placed.data} />
            <PlanAll result={placed.data} wanted={known} people={people.data ?? []} at={at} />
          </>
        )
      )}
    </div>
  );
}

function Row({
  n,
  wanted,
  recipes,
  people,
  result,
  index,
  onChange,
  onRemove,
}: {
  n: number;
  wanted: Wanted;
  recipes: RecipeResponse[];
  people: Person[];
  result?: OneCookResponse;
  index: number;
  onChange: (part: Partial<Wanted>) => void;
  onRemove: () => void;
}) {
  const recipe = recipes.find((r) => r.id === wanted.recipeId);
  const drinkerId = wanted.drinkerId ?? people.find((p) => p.brewer)?.id;
  const pot = result?.pots.find((p) => p.index === index);
  const clash = result?.clashes.find((c) => c.index === index);
  return (
    <li className="border-hairline border-b py-2.5">
      <p className="text-[1.12rem] leading-[2.1rem]">
        <Said
          of="together.for"
          pot={
            <Word label={say("together.pot", { n })} shown={recipe?.recipe.name ?? say("together.whichPot")}>
              {(close) => (
                <OneOf
                  label={say("together.recipe")}
                  value={wanted.recipeId}
                  options={recipes.map((r) => ({ value: r.id, label: r.recipe.name ?? "" }))}
                  onPick={(recipeId) => {
                    onChange({ recipeId });
                    close();
                  }}
                />
              )}
            </Word>
          }
          drinker={
            <Word label={say("together.drinkerOfPot", { n })} shown={personName(drinkerId, people)}>
              {(close) => (
                <OneOf
                  label={say("together.drinker")}
                  value={drinkerId ?? ""}
                  options={people.map((p) => ({ value: p.id, label: p.name }))}
                  onPick={(drinkerId) => {
                    onChange({ drinkerId });
                    close();
                  }}
                />
              )}
            </Word>
          }
          start={pot && <strong className="figure text-xl">{clock(pot.startAt)}</strong>}
          ready={pot && <strong className="figure text-xl">{clock(pot.readyAt)}</strong>}
          burner={pot?.burner}
          taken={pot?.usualBurnerTaken ?? false}
          takeOut={
            <button
              type="button"
              className="relative ml-4 text-muted text-sm underline underline-offset-4 max-sm:reach"
              aria-label={say("together.takeItOutPot", { n })}
              onClick={onRemove}
            >
              {say("together.takeItOut")}
            </button>
          }
        />
      </p>
      {pot?.why && (
        <p className="text-muted text-sm">
          {say("together.soItIsThanAsked", {
            why: pot.why,
            time: span(Math.abs(pot.movedS)),
            earlier: pot.movedS < 0,
          })}
        </p>
      )}
      {clash && (
        <p className="border-amber border-l-[5px] pl-3">
          {say("together.notBeside", { pot: clash.with, why: clash.why })}
        </p>
      )}
    </li>
  );
}

const LANE = 40;
const COLOURS = { hands: "var(--ink)", heat: "var(--ember)", stand: "var(--water)" } as const;

/** Every pot in its lane, to one scale of the clock: hands as ink, the heat as ember, what stands as water. */
function Lanes({ result }: { result: OneCookResponse }) {
  const { ref, width } = useWidth(1000);
  const ends = result.pots.flatMap((p) => p.stretches.map((s) => Date.parse(s.to)));
  const starts = result.pots.map((p) => Date.parse(p.startAt));
  if (result.pots.length === 0) return null;
  const x = scaleTime([new Date(Math.min(...starts)), new Date(Math.max(...ends))], [0, width]);
  const base = result.pots.length * LANE + 4;
  const text = result.pots
    .map((p) =>
      say("together.fromToOnThe", {
        name: p.name,
        start: clock(p.startAt),
        ready: clock(p.readyAt),
        burner: p.burner,
      }),
    )
    .join("; ");
  return (
    <div ref={ref} className="mt-5">
      <svg width={width} height={base + 22} role="img" aria-label={text} className="block overflow-visible">
        {x.ticks(Math.max(3, Math.floor(width / 110))).map((t) => (
          <g key={t.getTime()}>
            <line x1={x(t)} x2={x(t)} y1={0} y2={base + 4} stroke="var(--hairline)" />
            <text x={Math.min(x(t), width - 34)} y={base + 18} fontSize={13} style={{ fill: "var(--muted)" }}>
              {clock(t)}
            </text>
          </g>
        ))}
        {result.pots.map((p, i) => (
          <g key={p.index}>
            <text
              x={Math.min(x(new Date(p.startAt)), width - p.name.length * 7.2)}
              y={i * LANE + 14}
              fontSize={14}
              fontWeight={600}
            >
              {p.name}
            </text>
            {p.stretches.map((s) => (
              <rect
                key={s.from + s.what}
                x={x(new Date(s.from))}
                y={i * LANE + 20}
                width={Math.max(2, x(new Date(s.to)) - x(new Date(s.from)))}
                height={11}
                fill={COLOURS[s.what as keyof typeof COLOURS]}
              />
            ))}
            <line
              x1={x(new Date(p.readyAt))}
              x2={x(new Date(p.readyAt))}
              y1={i * LANE + 16}
              y2={i * LANE + 35}
              stroke="var(--ink)"
              strokeWidth={2}
            />
          </g>
        ))}
        <line x1={0} x2={width} y1={base} y2={base} stroke="var(--muted)" />
      </svg>
      <p className="mt-1 flex flex-wrap gap-x-5 text-muted text-sm">
        {(["hands", "heat", "stand"] as const).map((w) => (
          <span key={w} className="flex items-center gap-1.5">
            <span className="inline-block h-2.5 w-5" style={{ background: COLOURS[w] }} />
            {w === "hands"
              ? say("together.yourHands")
              : w === "heat"
                ? say("together.onTheHeat")
                : say("together.standsByItself")}
          </span>
        ))}
        <span>{say("together.theUprightLineReady")}</span>
      </p>
    </div>
  );
}

/** Plans every pot that has its place; one that is refused says so and leaves the others planned. */
function PlanAll({
  result,
  wanted,
  people,
  at,
}: {
  result: OneCookResponse;
  wanted: Wanted[];
  people: Person[];
  at: string;
}) {
  const navigate = useNavigate();
  const { mutateAsync: add, isPending } = useStartBrew();
  const [refused, setRefused] = useState<{ name: string; why: string; to: string }[]>([]);
  const plan = async () => {
    const no: typeof refused = [];
    for (const pot of result.pots) {
      const w = wanted[pot.index];
      if (!w) continue;
      const order = settled({ ...readOrder(new URLSearchParams()), drinkerId: w.drinkerId, at }, people);
      const asked = ask(w.recipeId, undefined, { ...order, burnerId: pot.burnerId ?? undefined }, present());
      try {
        await add({ ...asked, readyAt: pot.readyAt, id: uuid(), start: false });
      } catch (e) {
        const to = `/sheet/${w.recipeId}?${writeOrder({ ...order, at: atOn(new Date(pot.readyAt)) })}`;
        no.push({ name: pot.name, why: e instanceof Error ? e.message : String(e), to });
      }
    }
    setRefused(no);
    if (no.length === 0) navigate("/");
  };
  const first = result.pots[0];
  if (!first) return null;
  return (
    <div className="mt-5">
      {refused.map((r) => (
        <p key={r.to} className="mb-2 border-stop border-l-[5px] pl-3">
          <Said
            of="together.isNotPlanned"
            link={
              <Link to={r.to} className="font-semibold underline underline-offset-4">
                {r.name}
              </Link>
            }
            why={r.why}
          />
        </p>
      ))}
      <Primary busy={isPending} onClick={() => void plan()}>
        {say("together.planAll", { count: result.pots.length, when: moment(first.startAt, present()) })}
      </Primary>
    </div>
  );
}
