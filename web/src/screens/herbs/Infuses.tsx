import { scaleLinear } from "d3-scale";
import { curveMonotoneX, line } from "d3-shape";
import type { HerbResponse } from "../../api/client";
import { apart } from "../../drawings/apart";
import { span } from "../../parts/say";
import { useWidth } from "../../parts/size";
import { cutSaid } from "../../words/kinds";
import { say } from "../../words/say";

type Given = HerbResponse["given"][number];

const HEATS = [
  { value: "steeped", words: say("herbs.pouredOnCovered") },
  { value: "simmered", words: say("herbs.atASimmer") },
  { value: "cold", words: say("herbs.inColdWater") },
] as const;
/** The coarser the cut, the thinner the line. */
const CUTS: Record<string, { width: number; dash?: string }> = {
  whole: { width: 1.5, dash: "2 4" },
  chopped: { width: 2.5 },
  ground: { width: 4 },
};
const HEIGHT = 150;
const TOP = 10;
const BASE = HEIGHT - 22;
/** Narrower than this the three stand below one another, px. */
const BESIDE_PX = 620;
const GAP = 28;
/** Room for "ground" behind the end of its line, px. */
const WORD = 56;

/** How much of what it holds a herb has given, by cut and heat: body as lines, bitterness and tannin as the shade under the middle one. */
export function Infuses({ herb }: { herb: HerbResponse }) {
  const { ref, width } = useWidth(760);
  if (herb.given.length === 0) return null;
  const beside = width >= BESIDE_PX;
  const each = beside ? (width - 2 * GAP) / 3 : width;
  return (
    <section aria-labelledby="infuses" className="lg:col-span-2">
      <h3 id="infuses" className="text-xl">
        {say("herbs.howItInfuses")}
      </h3>
      <p className="mt-1 text-muted text-sm">{say("herbs.whatOfItsBodyIs")}</p>
      <div ref={ref} className="mt-3 flex flex-wrap gap-y-4" style={{ columnGap: GAP }}>
        {HEATS.map((h) => (
          <Panel
            key={h.value}
            words={h.words}
            width={each}
            lines={herb.given.filter((g) => g.heat === h.value)}
          />
        ))}
      </div>
    </section>
  );
}

function Panel({ words, width, lines }: { words: string; width: number; lines: Given[] }) {
  const most = lines[0]?.over.at(-1)?.minutes ?? 1;
  const x = scaleLinear([0, most], [2, width - WORD]);
  const y = scaleLinear([0, 1], [BASE, TOP]);
  const path = line<Given["over"][number]>()
    .x((p) => x(p.minutes))
    .y((p) => y(p.body))
    .curve(curveMonotoneX);
  const middle = lines.find((l) => l.cut === "chopped");
  const shade = middle
    ? `${
        line<Given["over"][number]>()
          .x((p) => x(p.minutes))
          .y((p) => y(p.bite))
          .curve(curveMonotoneX)(middle.over) ?? ""
      } L${x(most)},${BASE} L${x(0)},${BASE} Z`
    : "";
  const end = (l: Given) => Math.round((l.over.at(-1)?.body ?? 0) * 100);
  const text = say("herbs.after", {
    words,
    time: span(most * 60),
    cuts: lines.map((l) => say("herbs.cutShare", { cut: cutSaid(l.cut), share: end(l) })).join(", "),
  });
  const labels = apart(
    lines.map((l) => y(l.over.at(-1)?.body ?? 0)),
    -APART,
  );
  return (
    <figure style={{ width }}>
      <svg width={width} height={HEIGHT} role="img" aria-label={text} className="block overflow-visible">
        <path d={shade} fill="var(--amber)" opacity={0.22} />
        {[0.5, 1].map((s) => (
          <g key={s}>
            <line
              x1={0}
              x2={width - WORD}
              y1={y(s)}
              y2={y(s)}
              stroke="var(--hairline)"
              strokeDasharray="3 4"
            />
            <text x={2} y={y(s) - 3} fontSize={12} style={{ fill: "var(--muted)" }}>
              {s === 1 ? say("herbs.allOfIt") : "half"}
            </text>
          </g>
        ))}
        <line x1={0} x2={width - WORD} y1={BASE} y2={BASE} stroke="var(--ink)" strokeWidth={1.5} />
        {lines.map((l, i) => (
          <g key={l.cut}>
            <path
              d={path(l.over) ?? ""}
              fill="none"
              stroke="var(--herb)"
              strokeWidth={CUTS[l.cut]?.width}
              strokeDasharray={CUTS[l.cut]?.dash}
            />
            <text x={width - WORD + 5} y={(labels[i] ?? 0) + 4} fontSize={13}>
              {cutSaid(l.cut)}
            </text>
          </g>
        ))}
        {[most / 2, most].map((t) => (
          <text
            key={t}
            x={x(t)}
            y={HEIGHT - 5}
            fontSize={12}
            textAnchor="middle"
            style={{ fill: "var(--muted)" }}
          >
            {span(t * 60)}
          </text>
        ))}
      </svg>
      <figcaption className="font-semibold text-sm">{words}</figcaption>
    </figure>
  );
}

/** Words nearer than this would lie over one another, px. */
const APART = 15;
