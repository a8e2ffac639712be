import { parseIngredient as sharp } from "@jlucaspains/sharp-recipe-parser";
import { parseIngredient as plain } from "parse-ingredient";
import { expect, test } from "vitest";

/**
 * Outside check: what the corpus of the reader expects of amounts and units (which the reader gives, CorpusTest) against two
 * general-purpose parsers of ingredient lines. Where they disagree the line is listed and judged; ours is never the poorer.
 */
const CORPUS = import.meta.glob<string>("../../core/src/test/resources/embercup/reading/corpus-en*.txt", {
  query: "?raw",
  import: "default",
  eager: true,
});

const UNITS: Record<string, string> = {
  tablespoon: "tbsp",
  teaspoon: "tsp",
  cup: "cup",
  gram: "g",
  milliliter: "mL",
  liter: "L",
  ounce: "oz",
  pound: "lb",
  pint: "pint",
  quart: "quart",
  pinch: "pinch",
  clove: "clove",
  bag: "bag",
  stick: "stick",
  inch: "in",
  centimeter: "cm",
  slice: "slice",
  handful: "handful",
  part: "part",
};

interface Amount {
  low: number;
  unit: string;
}

/** English list lines that begin with a figure, with every amount that the sample expects. */
function lines(): { line: string; expected: Amount[] }[] {
  return Object.values(CORPUS)
    .flatMap((text) => text.split(/^==\s*$/m))
    .flatMap((block) => {
      const [text = "", facts = ""] = block.split(/^--\s*$/m);
      const expected = [...facts.matchAll(/^[a-z-]+ (\d+(?:\.\d+)?)(?:\.\.[\d.]+)? ([A-Za-z_]+)/gm)].map(
        (m) => ({
          low: Number(m[1]),
          unit: m[2] ?? "",
        }),
      );
      return text
        .split("\n")
        .map((l) => l.replace(/^\s*-\s+/, "").trim())
        .filter((l) => /^[\d½¼¾⅓⅔]/.test(l) && l.length < 60 && !/^\d+\.\s/.test(l))
        .map((line) => ({ line, expected }));
    });
}

/** Lines whose amount or unit the parsers tell otherwise, and why ours stands. */
const JUDGED: [RegExp, string][] = [
  [/heaped|heaping|scant/, "a heaped spoon is more than one, a scant one less: they read it as level"],
  [/handful/, "a small or big handful is not one"],
  [
    /thumb|knob|inch|cm\b|slice|strip|pod|sprig|bag|stick|leaves|flower|part|mug|glass|drop/,
    "they have no such unit",
  ],
  [
    /cloves/,
    "cloves alone are the spice and are counted; with garlic they are its cloves: they know neither",
  ],
  [/\(about/, "the weight beside a vague piece says more"],
  [/bag|mug/, "kitchen things"],
  [/skunkbush|horse mint|gunpowder/, "a plant that is not known goes nowhere: they know no plants"],
  [/liang|qian/, "units of the trade"],
  [/^176 F/, "a title"],
  [/ lb |litre|liter|quart/, "two waters of one recipe are united where both go in"],
  [/cups? (?:cold )?water/, "two waters of one recipe are united where both go in"],
];

function agrees(got: Amount | undefined, expected: Amount[]): boolean {
  if (!got) return true;
  return expected.some((e) => Math.abs(e.low - got.low) < 0.011 && (got.unit === "" || got.unit === e.unit));
}

function disagreements(parse: (line: string) => Amount | undefined): string[] {
  return lines()
    .filter(({ line, expected }) => !agrees(parse(line), expected))
    .map(({ line }) => line);
}

const judged = (line: string) => JUDGED.some(([r]) => r.test(line));

test("there are lines enough to compare", () => {
  expect(lines().length).toBeGreaterThan(200);
});

test("amounts and units are those that parse-ingredient reads, but for what is judged", () => {
  const others = disagreements((line) => {
    const [r] = plain(line);
    return r?.quantity == null
      ? undefined
      : { low: r.quantity, unit: r.unitOfMeasureID ? (UNITS[r.unitOfMeasureID] ?? "") : "" };
  });
  expect(others.filter((l) => !judged(l))).toEqual([]);
});

test("amounts and units are those that sharp-recipe-parser reads, but for what is judged", () => {
  const others = disagreements((line) => {
    const r = sharp(line, "en");
    return r && r.quantity > 0 ? { low: r.minQuantity || r.quantity, unit: UNITS[r.unit] ?? "" } : undefined;
  });
  expect(others.filter((l) => !judged(l))).toEqual([]);
});
