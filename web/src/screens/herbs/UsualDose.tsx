import { useQueries } from "@tanstack/react-query";
import { api, type HerbResponse } from "../../api/client";
import { keys } from "../../api/keys";
import { present } from "../../api/present";
import { useDay } from "../../api/queries";
import { grams, range, sameDay } from "../../parts/say";
import { say } from "../../words/say";

const WIDTH = 360;
const HEIGHT = 46;
/** The scale goes so far beyond what is drawn on it. */
const BEYOND = 1.25;

/** The usual single dose as a stretch on a scale of grams, and what of the herb is in a cup of each of today's pots. */
export function UsualDose({ herb }: { herb: HerbResponse }) {
  const dose = herb.doses.find((d) => d.tradition === "monograph") ?? herb.doses[0];
  const cups = useTodaysCups(herb.slug);
  if (!dose) return null;
  const { low, high } = dose.perCupG;
  const most = Math.max(high, ...cups.map((c) => c.perCupG)) * BEYOND;
  const x = (g: number) => (g / most) * WIDTH;
  const said = cups.map((c) => say("herbs.perCupOf", { name: c.name, weight: grams(c.perCupG) }));
  return (
    <figure className="mt-2 max-w-full">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width={WIDTH}
        role="img"
        aria-label={say("herbs.usuallyACupToday", {
          weight: range("mass", low, high),
          cups: said.join("; "),
        })}
        className="block h-auto max-w-full overflow-visible"
      >
        <line x1={0} x2={WIDTH} y1={22} y2={22} stroke="var(--hairline)" strokeWidth={2} />
        <rect x={x(low)} y={16} width={Math.max(3, x(high) - x(low))} height={12} fill="var(--herb)" />
        <text x={x(low)} y={44} fontSize={13} textAnchor="middle">
          {grams(low)}
        </text>
        {x(high) - x(low) > 44 && (
          <text x={x(high)} y={44} fontSize={13} textAnchor="middle">
            {grams(high)}
          </text>
        )}
        {cups.map((c) => (
          <g key={c.id}>
            <path d={`M${x(c.perCupG)},14 l-5,-9 h10 Z`} fill="var(--ink)" />
            <line x1={x(c.perCupG)} x2={x(c.perCupG)} y1={13} y2={31} stroke="var(--ink)" strokeWidth={2} />
          </g>
        ))}
      </svg>
      <figcaption className="text-muted text-sm">
        {said.length > 0 ? say("herbs.today", { cups: said.join("; ") }) : say("herbs.noneOfItIsIn")}
      </figcaption>
    </figure>
  );
}

function useTodaysCups(slug: string): { id: string; name: string; perCupG: number }[] {
  const day = useDay().data;
  const today = present();
  const lines = [...(day?.open ?? []), ...(day?.brewed ?? [])].filter(
    (b) => !b.unreadable && sameDay(b.startAt, today),
  );
  const brews = useQueries({
    queries: lines.map((b) => ({ queryKey: keys.brew(b.id), queryFn: () => api.brew(b.id) })),
  });
  return brews.flatMap(({ data: b }) => {
    const perCupG = (b?.plan.additions ?? [])
      .filter((a) => a.herb === slug)
      .reduce((sum, a) => sum + a.perCupG, 0);
    return b && perCupG > 0 ? [{ id: b.id, name: b.name, perCupG }] : [];
  });
}
