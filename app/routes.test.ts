/** Every page there is opens without its server: the service worker keeps one of each kind. */
import { describe, expect, test } from "@jest/globals";
import { readFileSync } from "node:fs";

interface RouteEntry {
  readonly path?: string;
  readonly index?: boolean;
  readonly file: string;
  readonly children?: readonly RouteEntry[];
}

/** Routes that answer data, or every address that is none: they are no pages. */
const NO_PAGES = new Set(["/pieces/:id/photographs", "/desk/recipes", "/names", "/history", "/api/plan", "/*"]);

/** The addresses of all pages, with the kind of piece or set standing for each. */
async function pages(): Promise<readonly string[]> {
  const { default: routes } = (await import("./routes")) as unknown as { readonly default: readonly RouteEntry[] };
  const under = (list: readonly RouteEntry[], above: string): readonly string[] =>
    list.flatMap(({ path = "", index, children }) => {
      const own = index ? above || "/" : `${above}/${path}`;
      return children ? under(children, own) : [own];
    });
  return [...new Set(under(routes, ""))].filter((path) => !NO_PAGES.has(path)).map((path) => path.replace(/:(id|set)/, "shell"));
}

const script = readFileSync("scripts/service-worker.mjs", "utf8");
/** The shells as the script lists them. */
function shells(): readonly string[] {
  const list = /const SHELLS = (\[[\s\S]*?\n\]);/.exec(script)![1]!;
  const rooms = /\.\.\.(\[[^\]]*\])\.map/.exec(list)![1]!;
  const plain = [...list.replace(/\.\.\.\[[\s\S]*?\),/, "").matchAll(/"([^"]+)"/g)].map(([, path]) => path!);
  return [...plain, ...(JSON.parse(rooms) as readonly string[]).map((room) => `/pieces/shell/${room}`)];
}

describe("without its server", () => {
  test("every page opens", async () => {
    expect([...(await pages())].sort()).toEqual([...shells()].sort());
  });

  test("a piece, its rooms and a set are found by their own addresses", () => {
    const mapped = (path: string) => path.replace(/^\/(pieces|sets|desk\/casting\/pours|logbook\/records)\/[^/]+/, "/$1/shell");
    // As the worker itself does it.
    expect(script).toContain(String.raw`path.replace(/^\/(pieces|sets|desk\/casting\/pours|logbook\/records)\/[^/]+/, "/$1/shell")`);
    for (const [path, shell] of [
      ["/pieces/abc", "/pieces/shell"],
      ["/pieces/abc/rescue", "/pieces/shell/rescue"],
      ["/sets/For%20the%20terrace", "/sets/shell"],
      ["/desk/casting/pours/abc", "/desk/casting/pours/shell"],
      ["/logbook/records/abc/again", "/logbook/records/shell/again"],
    ] as const) {
      expect(mapped(path)).toBe(shell);
      expect(shells()).toContain(shell);
    }
  });
});
