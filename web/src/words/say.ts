import { IntlMessageFormat } from "intl-messageformat";
import { catalogue, type Key, locale } from "./catalogue";

const read = new Map<Key, IntlMessageFormat>();

/** The pattern of a key; read once. */
export function pattern(key: Key): IntlMessageFormat {
  const known = read.get(key);
  if (known) return known;
  const made = new IntlMessageFormat(catalogue[key], locale);
  read.set(key, made);
  return made;
}

/** A sentence of the catalogue, with what stands in it. */
export const say = (key: Key, values?: Record<string, string | number | null | undefined>): string =>
  String(pattern(key).format(values));
