import { describe, expect, test } from "vitest";
import words from "../../core/src/main/resources/embercup/words/en.properties?raw";
import { GLOSSES, parted } from "../src/parts/Glossed";

describe("terms of the trade in a sentence", () => {
  test.each([
    ["A decoction: closed in the fridge.", ["decoction"]],
    ["Infusions and a second infusion.", ["Infusions"]],
    ["Pressed: much of the tincture is in the marc.", ["tincture", "marc"]],
    ["The marchioness drinks liqueur.", []],
    ["Cool to 40 °C.", []],
  ])("%s", (text, terms) => {
    const parts = parted(text);
    expect(parts.map((p) => p.words).join("")).toBe(text);
    expect(parts.filter((p) => p.gloss).map((p) => p.words)).toEqual(terms);
  });

  test("no gloss explains a term by another that is not explained", () => {
    for (const [term, gloss] of Object.entries(GLOSSES)) {
      expect(gloss.length, term).toBeLessThan(90);
      expect(
        parted(gloss).filter((p) => p.gloss),
        term,
      ).toEqual([]);
    }
  });

  test("every term that the sentences of the core use is glossed", () => {
    const trade =
      /\b(infusion|decoction|maceration|marc|menstruum|tincture|mucilage|posology|galenical|lixiviation|digestion at|comminution)s?\b/gi;
    const said = words
      .split("\n")
      .filter((l) => !l.startsWith("#"))
      .map((l) => l.slice(l.indexOf("=") + 1).replace(/\{[^{}]*\}/g, ""))
      .join("\n");
    for (const term of said.match(trade) ?? [])
      expect(GLOSSES, term).toHaveProperty(term.toLowerCase().replace(/s$/, ""));
  });
});
