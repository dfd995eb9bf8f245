import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { jarsToMix, tintPaintOf } from "#core/shelf/mixes";
import { clashesOf } from "~/store/clashes.client";
import { database } from "~/store/open.client";
import { laidFrom, shelfIn, stockIn } from "~/store/shelf";
import { ON_SHELF } from "~/shelf/change-jar.client";
import { reachFor, recipesFor } from "~/workers/mixing.client";
import { USUAL_KIND } from "./subject";

/** The shelf as the desk works from it. */
export async function deskLoaded() {
  const db = await database();
  const jars = await shelfIn(db);
  return { jars, laid: await laidFrom(db, jars), clashes: clashesOf(ON_SHELF) };
}

/** How far the recipes that are being searched have come. */
type Progress = (share: number) => void;
let watcher: Progress | null = null;

/** Hears how far a search has come; the last who asked. */
export function watchMixing(next: Progress | null): void {
  watcher = next;
}

const HEX = /^#[0-9a-f]{6}$/;

/** Less than this is not mixed, and more nobody stirs, mL. */
const ML = { least: 0.5, most: 2000, usual: 10 };
const MOST_PARTS = 3;

const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/**
 * Recipes for the colour an address asks for, from the jars that may be mixed for its kind of paint; of another kind only where its own does not come to it.
 *
 * @param params `target` as #rrggbb, `ml`, `kind` of paint, `parts` at most, `without` ids of jars that are left out
 * @returns null where it was left meanwhile, or no colour is asked for
 */
export async function recipesAsked(params: URLSearchParams, signal: AbortSignal) {
  const target = params.get("target") ?? "";
  if (!HEX.test(target)) return null;
  const kind = CATALOGUE.products.get(productId(params.get("kind") ?? "")) ?? USUAL_KIND;
  const db = await database();
  const jars = await shelfIn(db);
  const without = new Set((params.get("without") ?? "").split(","));
  const mixable = jarsToMix(kind, jars, await stockIn(db, jars), CATALOGUE).filter((jar) => !without.has(jar.id));
  const paintsOf = (ofKind: boolean) => mixable.filter((jar) => (jar.classId === kind.id) === ofKind).map((jar) => tintPaintOf(jar, CATALOGUE));
  const [own, others] = [paintsOf(true), paintsOf(false)];
  const [paints, further] = own.length > 0 ? [own, others] : [others, []];
  const volumeMl = within(Number(params.get("ml")) || ML.usual, ML.least, ML.most);
  const parts = within(Math.round(Number(params.get("parts")) || MOST_PARTS), 1, MOST_PARTS);
  const answer = await recipesFor({ target, paints, further, volumeMl, parts }, (share) => watcher?.(share), signal);
  if (!answer) return null;
  // What would reach it comes after, and is left when another colour is asked for.
  const reach = answer.reachable || paints.length === 0 ? null : reachFor(target, paints).catch(() => null);
  return { target, volumeMl, kind: kind.id, answer, reach, paints: mixable.length };
}

export type RecipesAsked = Awaited<ReturnType<typeof recipesAsked>>;
