import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";
import { KINDS, traitsOf } from "../src/api/stages";
import { STAGES, stageOf, stageWords } from "../src/screens/recipe/doc";

function sources(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory()
      ? sources(join(folder, e.name))
      : /(?<!\.gen)\.tsx?$/.test(e.name)
        ? [join(folder, e.name)]
        : [],
  );
}

test("what a kind of stage can do stands in core alone: no list of kinds is written by hand", () => {
  const names = KINDS.map((k) => `"${k.kind}"`).join("|");
  const list = new RegExp(`\\[\\s*(?:${names})\\s*,[^\\]]*(?:${names})`);
  expect(sources("src").filter((f) => list.test(readFileSync(f, "utf8")))).toEqual([]);
});

test.each(KINDS.map((k) => k.kind))("a new stage of the kind %s has its usual numbers and words", (kind) => {
  const stage = stageOf(kind);
  const traits = traitsOf(kind);
  expect(stage.kind).toBe(kind);
  expect(stage.minutes).toBe(traits?.minutes);
  expect(stage.flame).toBe(traits?.flame);
  expect(stage.lid ?? false).toBe(traits?.lid ?? false);
  expect(STAGES.find((s) => s.value === kind)?.label).toBeTruthy();
  // Volumes and degrees are said in the units of a house.
  if (traits?.toMl === undefined && traits?.toC === undefined) expect(stageWords(stage)).not.toBe("");
});
