/** Every page of the app, by its own list of routes, with what a notebook has to show on it. */
import type { RouteConfigEntry } from "@react-router/dev/routes";
import type { Page } from "playwright-core";
import type { StoreName } from "#core/formats/stores/stores";
import routes from "~/routes";

/** Patterns of the pages: a resource has no component, and ends in `.ts`. */
function pagesIn(entries: readonly RouteConfigEntry[], under: string): readonly string[] {
  return entries.flatMap(({ path = "", file, children }) => {
    const here = `${under}/${path}`.replace(/\/+$/, "");
    if (children) return pagesIn(children, here);
    return file.endsWith(".ts") || path === "*" ? [] : [here || "/"];
  });
}

export const PAGES = pagesIn(await routes, "");

/** The store that a page's parameter is an id of, by what stands before it. */
const OF: Readonly<Record<string, StoreName>> = { "/pieces/:id": "pieces", "/desk/casting/pours/:id": "pours", "/logbook/records/:id": "records" };

/** Records of a store, as the browser keeps them. */
export function keptIn(page: Page, store: string): Promise<readonly Record<string, unknown>[]> {
  return page.evaluate(
    (name) =>
      new Promise((resolve, reject) => {
        const opening = indexedDB.open("nook-coat");
        opening.onerror = () => reject(new Error(String(opening.error)));
        opening.onsuccess = () => {
          const asking = opening.result.transaction(name).objectStore(name).getAll();
          asking.onsuccess = () => (opening.result.close(), resolve(asking.result));
        };
      }),
    store,
  );
}

/** Puts the first pieces into two sets: the demo has none. */
export function setsMade(page: Page): Promise<void> {
  return page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open("nook-coat");
        opening.onerror = () => reject(new Error(String(opening.error)));
        opening.onsuccess = () => {
          const writing = opening.result.transaction("pieces", "readwrite");
          const pieces = writing.objectStore("pieces");
          const asking = pieces.getAll();
          asking.onsuccess = () =>
            (asking.result as readonly { readonly rev: number }[])
              .slice(0, 4)
              .forEach((record, index) => pieces.put({ ...record, rev: record.rev + 1, set: index < 2 ? "Terrace" : "Gift table" }));
          writing.oncomplete = () => (opening.result.close(), resolve());
        };
      }),
  );
}

/** A page of the app; of one with a parameter as many as are wanted, each of another record. */
export interface Room {
  readonly pattern: string;
  readonly paths: readonly string[];
}

/**
 * @param page any page of the app whose notebook is meant
 * @param most of pages with a parameter
 * @throws where a page has a parameter that is not known here
 */
export async function roomsFor(page: Page, most: number): Promise<readonly Room[]> {
  const pieces = await keptIn(page, "pieces");
  const sets = [...new Set(pieces.flatMap(({ set }) => (typeof set === "string" ? [set] : [])))];
  const rooms: Room[] = [];
  for (const pattern of PAGES) {
    const prefix = Object.keys(OF).find((one) => pattern.startsWith(one));
    const store = prefix === undefined ? undefined : OF[prefix];
    const names = store ? (await keptIn(page, store)).map(({ id }) => String(id)) : pattern === "/sets/:set" ? sets.map(encodeURIComponent) : [""];
    const paths = names.slice(0, most).map((name) => pattern.replace(/:\w+/, name));
    if (paths.some((path) => path.includes(":")) || paths.length === 0) throw new Error(`nothing to show on ${pattern}`);
    rooms.push({ pattern, paths });
  }
  return rooms;
}
