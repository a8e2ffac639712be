import { readdirSync, readFileSync, statSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";

function under(directory: string): string[] {
  return readdirSync(directory).flatMap((name) => {
    const path = join(directory, name);
    if (statSync(path).isDirectory()) return under(path);
    return /\.tsx?$/.test(name) && !name.endsWith(".gen.ts") ? [path] : [];
  });
}

/** Every source file of the interface, read as a tree. */
export const SOURCES = under("src").map((path) =>
  ts.createSourceFile(path, readFileSync(path, "utf8"), ts.ScriptTarget.Latest, true),
);

/** Where something stands: "src/parts/Word.tsx:12". */
export const placeOf = (node: ts.Node): string => {
  const file = node.getSourceFile();
  return `${file.fileName}:${file.getLineAndCharacterOfPosition(node.getStart()).line + 1}`;
};

/** Every node of a tree. */
export function* nodesOf(node: ts.Node): Generator<ts.Node> {
  yield node;
  for (const child of node.getChildren()) yield* nodesOf(child);
}
