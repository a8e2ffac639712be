import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";

const sources = readdirSync("src", { recursive: true, encoding: "utf8" })
  .filter((file) => /\.tsx?$/.test(file) && !file.endsWith(".gen.ts"))
  .map((file) => ({ file, text: readFileSync(join("src", file), "utf8") }));

/** What a number beside a field is: its lowest, its highest, its longest. A slider over places or times begins at 0 or 1. */
const OFFERED =
  /\b(?:low|high|most|maxLength|aria-valuemax|max)=\{[\d_.]+\}|\b(?:min|aria-valuemin)=\{[\d_.]{2,}\}/g;

/** A code that is typed in from another screen is no text of the household. */
const KNOWN = new Set(["parts/Pairing.tsx maxLength={9}"]);

test("what a field may be is asked of core, and stands nowhere in the interface", () => {
  const told = sources.flatMap(({ file, text }) =>
    [...text.matchAll(OFFERED)].map((found) => `${file} ${found[0]}`).filter((line) => !KNOWN.has(line)),
  );
  expect(told).toEqual([]);
});

test("every source is looked at", () => {
  expect(sources.length).toBeGreaterThan(100);
  expect("low={30} high={1000} most={60}".match(OFFERED)).toHaveLength(3);
});
