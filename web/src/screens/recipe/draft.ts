import type { RecipeDocument, RecipeResponse } from "../../api/client";
import { say } from "../../words/say";
import { EMPTY } from "./doc";

/** A recipe while it is written; without a version it is new. */
export interface Draft {
  version?: number;
  about: string;
  purposes: string[];
  recipe: RecipeDocument;
  /** The line of its text that each herb was read from; −1 for one by hand. */
  from: number[];
}

/** What the editor begins with: a kept recipe or its copy, a document from elsewhere, or nothing. */
export function draftOf(
  start: RecipeResponse | undefined,
  copy: boolean,
  doc?: RecipeDocument,
  about?: string,
): Draft {
  if (!start) return { about: about ?? "", purposes: [], recipe: doc ?? EMPTY, from: byHand(doc ?? EMPTY) };
  return {
    version: copy ? undefined : start.version,
    about: start.about,
    purposes: start.purposes,
    recipe: copy ? { ...start.recipe, name: say("recipe.myWay", { name: start.recipe.name }) } : start.recipe,
    from: byHand(start.recipe),
  };
}

/** A document that an address carries; undefined when it carries none. What is wrong in it, the server says by its field. */
export function readDoc(text: string): RecipeDocument | undefined {
  try {
    const doc: unknown = JSON.parse(text);
    return isObject(doc) && listOf(doc.additions) && (doc.stages === undefined || listOf(doc.stages))
      ? (doc as RecipeDocument)
      : undefined;
  } catch {
    return undefined;
  }
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const listOf = (value: unknown) => Array.isArray(value) && value.every(isObject);

const byHand = (recipe: RecipeDocument) => (recipe.additions ?? []).map(() => -1);

/** What the server found wrong with a field of the recipe. */
export type Wrong = (field: string) => string | undefined;
