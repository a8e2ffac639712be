import { Children, createElement, Fragment, type ReactNode } from "react";
import type { Key } from "./catalogue";
import { listOf, partsOf } from "./say";

type Values = { [name: string]: ReactNode };

/** A sentence of the catalogue in which something is drawn: a word to change, a link, a figure. */
export function Said({ of, ...values }: { of: Key } & Values) {
  return createElement(Fragment, null, ...partsOf<ReactNode>(of, values));
}

/** Several that are drawn, as a sentence lists them: "a, b and c". */
export function Listed({ children }: { children: ReactNode }) {
  return createElement(Fragment, null, ...listOf(Children.toArray(children)));
}
