/** The examples in docstrings are run: a docstring that no longer holds is worse than none. */
import { expect, test } from "@jest/globals";
import { readdirSync, readFileSync, statSync } from "node:fs";
import { join } from "node:path";
import { pathToFileURL } from "node:url";

function sources(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return sources(path);
    return /\.ts$/.test(name) && !/\.test\.ts$/.test(name) ? [path] : [];
  });
}

/** `@example expression // result`, the result as JSON; lines that begin with "about" are read by people only. */
const examples = sources("core").flatMap((path) =>
  [...readFileSync(path, "utf8").matchAll(/@example (.+?) \/\/ (.+?)(?: \*\/)?$/gm)]
    .filter((match) => !match[2]!.startsWith("about"))
    .map((match) => ({ path, code: match[1]!, result: match[2]! })),
);

test("there are examples to run", () => expect(examples.length).toBeGreaterThan(12));

test.each(examples)("$path: $code", async ({ path, code, result }) => {
  const module = (await import(pathToFileURL(path).href)) as Record<string, unknown>;
  const names = Object.keys(module);
  const run = (source: string): unknown => new Function(...names, `return (${source});`)(...names.map((name) => module[name]));
  expect(run(code)).toEqual(run(result));
});
