import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { jarsToMix, tintPaintOf } from "#core/shelf/mixes";
import { clashesOf } from "~/store/clashes.client";
import { database } from "~/store/open.client";
import { laidFrom, shelfIn, stockIn } from "~/store/shelf";
import { ON_SHELF } from "~/shelf/change-jar.client";
import { reachFor, recipesFor } from "~/workers/mixing.client";

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
const CRAFT_ACRYLIC = "craft-acrylic";

/** Less than this is not mixed, and more nobody stirs, mL. */
const ML = { least: 0.5, most: 2000 };

/**
 * Recipes for the colour an address asks for, from the jars that may be mixed for its kind of paint.
 *
 * @param params `target` as #rrggbb, `ml`, `kind` of paint, `parts` at most, `without` ids of jars that are left out
 * @returns null where it was left meanwhile, or no colour is asked for
 */
export async function recipesAsked(params: URLSearchParams, signal: AbortSignal) {
  const target = params.get("target") ?? "";
  if (!HEX.test(target)) return null;
  const kind = CATALOGUE.products.get(productId(params.get("kind") ?? CRAFT_ACRYLIC)) ?? CATALOGUE.products.get(productId(CRAFT_ACRYLIC))!;
  const db = await database();
  const jars = await shelfIn(db);
  const without = new Set((params.get("without") ?? "").split(","));
  const mixable = jarsToMix(kind, jars, await stockIn(db, jars), CATALOGUE).filter((jar) => !without.has(jar.id));
  const paints = mixable.map((jar) => tintPaintOf(jar, CATALOGUE));
  const ofKind = mixable.filter((jar) => jar.classId === kind.id).length;
  const volumeMl = Math.min(ML.most, Math.max(ML.least, Number(params.get("ml")) || 10));
  const parts = Math.min(3, Math.max(1, Math.round(Number(params.get("parts")) || 3)));
  const from = (count: number) => recipesFor({ target, paints: paints.slice(0, count), volumeMl, parts }, (share) => watcher?.(share), signal);
  const own = await from(ofKind);
  // Paints of another kind are mixed in only where their own kind does not come to it.
  const answer = own && !own.reachable && paints.length > ofKind ? await from(paints.length) : own;
  if (!answer) return null;
  // What would reach it comes after, and is left when another colour is asked for.
  const reach = answer.reachable || paints.length === 0 ? null : reachFor(target, ofKind > 0 ? paints.slice(0, ofKind) : paints).catch(() => null);
  return { target, volumeMl, kind: kind.id, answer, reach, paints: paints.length };
}

export type RecipesAsked = Awaited<ReturnType<typeof recipesAsked>>;
