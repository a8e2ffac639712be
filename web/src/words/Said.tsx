import { createElement, Fragment, type ReactNode } from "react";
import type { Key } from "./catalogue";
import { pattern } from "./say";

type Values = { [name: string]: ReactNode };

/** A sentence of the catalogue in which something is drawn: a word to change, a link, a figure. */
export function Said({ of, ...values }: { of: Key } & Values) {
  const parts = pattern(of)
    .formatToParts<ReactNode>(values as never)
    .map((part) => part.value as ReactNode);
  return createElement(Fragment, null, ...parts);
}
