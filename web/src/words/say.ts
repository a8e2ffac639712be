import { type MessageFormatElement, TYPE } from "@formatjs/icu-messageformat-parser";
import { IntlMessageFormat } from "intl-messageformat";
import { catalogue, type Key, locale } from "./catalogue";

/** A message that was read, and the names of its values that choose between its words. */
interface Pattern {
  format: IntlMessageFormat;
  choosing: Set<string>;
}

const patterns = new Map<Key, Pattern>();

/** A value that is not there: `{name, select, none {…} other {…}}` says what is said then. */
const ABSENT = "none";

function choosing(elements: MessageFormatElement[], names = new Set<string>()): Set<string> {
  for (const e of elements) {
    if (e.type === TYPE.select) names.add(e.value);
    if (e.type === TYPE.select || e.type === TYPE.plural)
      for (const option of Object.values(e.options)) choosing(option.value, names);
  }
  return names;
}

function read(key: Key): Pattern {
  const known = patterns.get(key);
  if (known) return known;
  const format = new IntlMessageFormat(catalogue[key], locale);
  const made = { format, choosing: choosing(format.getAst()) };
  patterns.set(key, made);
  return made;
}

/** The parts of a sentence, as text and as what stands in it. A value that is not there is said as its message says it. */
export function partsOf<T>(key: Key, values: Record<string, T> = {}): (string | T)[] {
  const { format, choosing } = read(key);
  const given = Object.fromEntries(
    Object.entries(values).map(([name, value]) => [
      name,
      value === undefined || value === null || value === false || value === ""
        ? choosing.has(name)
          ? ABSENT
          : ""
        : value,
    ]),
  );
  return format.formatToParts<T>(given as never).map((part) => part.value as string | T);
}

/** A sentence of the catalogue, with what stands in it. */
export const say = (
  key: Key,
  values?: Record<string, string | number | boolean | null | undefined>,
): string => partsOf(key, values).join("");

const AND = new Intl.ListFormat(locale, { type: "conjunction" });

/** "linden, mint and anise". */
export const listed = (items: string[]): string => AND.format(items);

/** The same of things that are drawn. */
export const listOf = <T>(items: T[]): (string | T)[] =>
  AND.formatToParts(items.map((_, i) => String(i))).map((part) =>
    part.type === "element" ? (items[Number(part.value)] as T) : part.value,
  );
