import { readFileSync } from "node:fs";
import { type MessageFormatElement, TYPE } from "@formatjs/icu-messageformat-parser";
import { IntlMessageFormat } from "intl-messageformat";
import ts from "typescript";
import { describe, expect, it } from "vitest";
import * as kinds from "../src/api/kinds.gen";
import { STAGE_KINDS } from "../src/api/stages.gen";
import english from "../src/words/en.json";
import { nodesOf, placeOf, SOURCES } from "./sources";

const CATALOGUE: Record<string, string> = english;
const KEYS = new Set(Object.keys(CATALOGUE));
const LETTERS = /\p{L}{2}/u;

/** Of the catalogue itself, not said. */
const OWN = ["language.locale"];

/** Families whose keys are put together of the codes of core. */
const FAMILIES: Record<string, readonly { kind: string }[]> = {
  condition: kinds.CONDITION_KINDS,
  conditionGroup: kinds.CONDITION_GROUP_KINDS,
  cut: kinds.CUT_KINDS,
  receiver: kinds.RECEIVER_KINDS,
  form: kinds.FORM_KINDS,
  stage: STAGE_KINDS,
  unit: kinds.UNIT_KINDS,
  vessel: kinds.VESSEL_KINDS,
};
const familyOf = (key: string) => key.split(".")[0] ?? "";

/** A sentence that is said somewhere: its key, and the names of its values where they are written out. */
interface Saying {
  key: string;
  values: string[] | undefined;
  place: string;
}

function keysOf(node: ts.Expression | undefined): string[] {
  if (!node) return [];
  if (ts.isStringLiteral(node)) return [node.text];
  if (ts.isConditionalExpression(node)) return [...keysOf(node.whenTrue), ...keysOf(node.whenFalse)];
  if (ts.isParenthesizedExpression(node) || ts.isJsxExpression(node)) return keysOf(node.expression);
  return [];
}

const nameOf = (p: ts.ObjectLiteralElementLike) => p.name?.getText() ?? "";

function sayingsOf(node: ts.Node): Saying[] {
  if (ts.isCallExpression(node) && /^(say|partsOf)$/.test(node.expression.getText())) {
    const [first, second] = node.arguments;
    const values =
      second === undefined
        ? []
        : ts.isObjectLiteralExpression(second)
          ? second.properties.map(nameOf)
          : undefined;
    return keysOf(first).map((key) => ({ key, values, place: placeOf(node) }));
  }
  if (ts.isJsxSelfClosingElement(node) && node.tagName.getText() === "Said") {
    const attributes = node.attributes.properties.filter(ts.isJsxAttribute);
    const of = attributes.find((a) => a.name.getText() === "of")?.initializer;
    const values = attributes.map((a) => a.name.getText()).filter((n) => n !== "of");
    return keysOf(of as ts.Expression | undefined).map((key) => ({ key, values, place: placeOf(node) }));
  }
  return [];
}

const SAYINGS = SOURCES.flatMap((s) => [...nodesOf(s)].flatMap(sayingsOf));

function argumentsOf(elements: MessageFormatElement[], names = new Set<string>()): Set<string> {
  for (const e of elements) {
    if (e.type === TYPE.literal || e.type === TYPE.pound) continue;
    names.add(e.value);
    if (e.type === TYPE.select || e.type === TYPE.plural)
      for (const option of Object.values(e.options)) argumentsOf(option.value, names);
    if (e.type === TYPE.tag) argumentsOf(e.children, names);
  }
  return names;
}

describe("the catalogue of the interface", () => {
  it("holds patterns that can be read", () => {
    const broken = [...KEYS].filter((key) => {
      try {
        new IntlMessageFormat(CATALOGUE[key] ?? "", "en");
        return false;
      } catch {
        return true;
      }
    });
    expect(broken).toEqual([]);
  });

  it("has no key that nobody says, and none that is missing", () => {
    const written = new Set(
      SOURCES.flatMap((s) => [...nodesOf(s)])
        .filter(ts.isStringLiteral)
        .map((n) => n.text),
    );
    expect(
      [...KEYS].filter((key) => !written.has(key) && !OWN.includes(key) && !(familyOf(key) in FAMILIES)),
    ).toEqual([]);
    expect(SAYINGS.filter((s) => !KEYS.has(s.key))).toEqual([]);
  });

  it("names every kind that core knows, and no other", () => {
    for (const [family, all] of Object.entries(FAMILIES)) {
      const named = [...KEYS]
        .filter((key) => familyOf(key) === family)
        .map((key) => key.slice(family.length + 1));
      expect(named.sort(), family).toEqual(all.map((k) => k.kind as string).sort());
    }
  });

  /** The trade's sentences and the interface's call a cut, a form and a unit by one name. */
  it("calls things by the words of the trade", () => {
    const trade = new Map(
      readFileSync("../core/src/main/resources/embercup/words/en.properties", "utf8")
        .split("\n")
        .map((line) => line.split(" = ") as [string, string]),
    );
    const other = ["cut", "form", "unit"].flatMap((family) =>
      (FAMILIES[family] ?? [])
        .map((k) => `${family}.${k.kind}`)
        .filter(
          (key) => new IntlMessageFormat(CATALOGUE[key] ?? "", "en").format({ n: 1 }) !== trade.get(key),
        ),
    );
    expect(other).toEqual([]);
  });

  it("is given what its sentences name, and nothing else", () => {
    const wrong = SAYINGS.filter((s) => s.values !== undefined && KEYS.has(s.key)).flatMap((s) => {
      const wanted = argumentsOf(new IntlMessageFormat(CATALOGUE[s.key] ?? "", "en").getAst());
      const missing = [...wanted].filter((name) => !s.values?.includes(name));
      const idle = (s.values ?? []).filter((name) => !wanted.has(name));
      return missing.length + idle.length > 0 ? [{ ...s, missing, idle }] : [];
    });
    expect(wrong).toEqual([]);
  });

  it("names its values by what they are", () => {
    const named = [...KEYS].flatMap((key) =>
      [...argumentsOf(new IntlMessageFormat(CATALOGUE[key] ?? "", "en").getAst())]
        .filter((name) => /\d|^(how|part|said|list|word)$/.test(name))
        .map((name) => `${key}: ${name}`),
    );
    expect(named).toEqual([]);
  });

  /** A piece that is glued to another begins or ends with what joins them. */
  it("holds whole sentences", () => {
    const pieces = [...KEYS].filter((key) => /^[\s,;.:)]|\s$/.test(CATALOGUE[key] ?? ""));
    expect(pieces).toEqual([]);
  });
});

/** Attributes whose text a person reads or hears. */
const READ = /^(aria-label|label|title|placeholder|hint|alt|example|shown|words|what|verb|gloss)$/;
/** Looks like words of a sentence, not like a class name, an address or a key. */
const WORDS = /\p{L}{2,}[’']?\p{L}* \p{L}{2,}/u;
const TECHNICAL =
  /[[\]{}<>=/]|\b(flex|grid|border|text|font|rounded|block|inline|absolute|relative|underline|w|h|p|m|px|py|pt|pl|pr|gap|min|max)-|^(figure|sr-only|no-print|block|relative|absolute|inline-block|button, a) /;

function readable(node: ts.Node): boolean {
  if (ts.isJsxText(node)) return LETTERS.test(node.text);
  if (ts.isStringLiteral(node) && ts.isJsxAttribute(node.parent))
    return READ.test(node.parent.name.getText())
      ? LETTERS.test(node.text)
      : WORDS.test(node.text) && !TECHNICAL.test(node.text);
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node))
    return WORDS.test(node.text) && !TECHNICAL.test(node.text);
  if (ts.isTemplateExpression(node)) {
    const text = [node.head.text, ...node.templateSpans.map((s) => s.literal.text)].join("0");
    return WORDS.test(text) && !TECHNICAL.test(text);
  }
  return false;
}

/** Text that no person reads, or that is no language: what is read by programs, commands, and the names of our own. */
function excused(node: ts.Node): boolean {
  for (let at = node.parent; at; at = at.parent) {
    if (ts.isThrowStatement(at) || ts.isImportDeclaration(at) || ts.isLiteralTypeNode(at)) return true;
    if (ts.isNewExpression(at) && at.expression.getText() === "RegExp") return true;
    if (ts.isJsxElement(at) && /^(code|kbd)$/.test(at.openingElement.tagName.getText())) return true;
    if (ts.isJsxAttribute(at)) return /class|style|transform|d$/i.test(at.name.getText());
  }
  return false;
}

describe("the code of the interface", () => {
  it("holds no text that a person can read", () => {
    const texts = SOURCES.flatMap((s) => [...nodesOf(s)])
      .filter((n) => readable(n) && !excused(n))
      .map((n) => `${placeOf(n)} ${n.getText().replace(/\s+/g, " ").slice(0, 90)}`);
    expect(texts).toEqual([]);
  });

  it("asks no language by its name", () => {
    const named = SOURCES.filter(
      (s) =>
        /["'`]en(-[A-Z]{2})?["'`]/.test(s.text) &&
        !s.fileName.includes("/words/") &&
        !s.fileName.endsWith("api/zone.ts"),
    );
    expect(named.map((s) => s.fileName)).toEqual([]);
  });
});
