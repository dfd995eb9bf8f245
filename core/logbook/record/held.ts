import type { Catalogue } from "../../catalogue/catalogue";
import type { OwnWear } from "../../catalogue/product-class";
import type { ProductId } from "../../catalogue/ids";
import { WEARS } from "../../catalogue/use";
import type { Wear } from "../../catalogue/use";
import { exactChance, wilson } from "./intervals";
import type { Counted, ShareInterval } from "./intervals";
import type { LogRecord } from "./record";

/** What a piece has to stand, as it is said. */
export const WEAR_PLACES: Readonly<Record<Wear, string>> = {
  weather: "outdoors",
  "wet-soil": "over wet soil",
  washing: "washed up",
  "wet-rings": "under wet cups",
  rub: "handled",
  wipe: "indoors",
};
/** The hardest first: a piece counts for the hardest it meets. */
const HARDEST: readonly Wear[] = ["weather", "wet-soil", "washing", "wet-rings", "rub", "wipe"];

/** A piece that was fine counts as held once it was looked at after so many days. */
const HELD_AFTER_DAYS = 300;
const DAY_MS = 86_400_000;
/** Fewer than this are too few to lean on. */
export const ENOUGH = 5;

/** The hardest wear a piece meets; null where it was never said what it is for. */
export function hardestWear({ piece }: Pick<LogRecord, "piece">, catalogue: Catalogue): Wear | null {
  const met = new Set((piece?.uses ?? []).flatMap((use) => Object.values(catalogue.uses.get(use)?.wears ?? {}).flat()));
  return HARDEST.find((wear) => met.has(wear)) ?? null;
}

/** What the looks at a piece say of its finish: it suffered, it held for about a year, or it is too soon to say. */
export function outcomeOf({ looks, finishedOn }: Pick<LogRecord, "looks" | "finishedOn">): "failed" | "held" | null {
  if (looks.some(({ saw }) => saw.some((one) => one !== "fine"))) return "failed";
  if (finishedOn === undefined) return null;
  const from = Date.parse(finishedOn) + HELD_AFTER_DAYS * DAY_MS;
  return looks.some(({ at, saw }) => saw.includes("fine") && Date.parse(at) >= from) ? "held" : null;
}

/** A last film: by its kind, and by what the user calls it. */
interface Film {
  readonly product: ProductId | null;
  readonly name: string;
}

/** What lies over a piece: its seals, else nothing but its colours. */
function filmsOf({ work, told }: LogRecord): readonly Film[] {
  const seals = work
    .filter(({ role }) => role === "seal")
    .map(({ product, jar, title }): Film => ({ product, name: jar?.name ?? title.replace(/^Seal: /, "") }));
  const named = [...new Map(seals.map((film) => [film.name, film])).values()];
  return named.length > 0 ? named : told?.sealer === undefined ? [] : [{ product: null, name: told.sealer }];
}

/** How one film has held against one wear. */
export interface Held {
  readonly film: string;
  readonly product: ProductId | null;
  readonly wear: Wear;
  readonly failed: Counted;
  readonly interval: ShareInterval;
}

/**
 * How the films of finished pieces have held, by film and by what they met. A piece that nobody has looked at, or not for long enough, says nothing.
 *
 * @returns the most counted first
 */
export function heldBy(records: readonly LogRecord[], catalogue: Catalogue): readonly Held[] {
  const counts = new Map<string, { readonly film: Film; readonly wear: Wear; hits: number; of: number }>();
  for (const record of records) {
    const [outcome, wear] = [outcomeOf(record), hardestWear(record, catalogue)];
    if (outcome === null || wear === null) continue;
    for (const film of filmsOf(record)) {
      const key = `${film.product ?? ""}/${film.name}/${wear}`;
      const known = counts.get(key) ?? { film, wear, hits: 0, of: 0 };
      counts.set(key, { ...known, hits: known.hits + Number(outcome === "failed"), of: known.of + 1 });
    }
  }
  return [...counts.values()]
    .map(({ film, wear, hits, of }): Held => ({ film: film.name, product: film.product, wear, failed: { hits, of }, interval: wilson(hits, of) }))
    .sort((a, b) => b.failed.of - a.failed.of || a.film.localeCompare(b.film));
}

const inHundred = (share: number) => Math.round(share * 100);

/**
 * What the counts of one film say, with how far they may be off; never a verdict from a few.
 *
 * @example sayHeld({ film: "matt varnish", product: null, wear: "weather", failed: { hits: 1, of: 2 }, interval: { share: 0.5, from: 0.09, to: 0.91 } }) // "Matt varnish, outdoors: 1 of 2 had suffered. That may be anything from 9 to 91 in 100: too few to lean on."
 */
export function sayHeld({ film, wear, failed: { hits, of }, interval }: Held): string {
  const called = `${film.charAt(0).toUpperCase()}${film.slice(1)}, ${WEAR_PLACES[wear]}`;
  const counted = hits === 0 ? (of === 1 ? "the one you looked at held" : `all ${of} held`) : `${hits} of ${of} had suffered`;
  const few = of < ENOUGH ? ": too few to lean on" : "";
  return `${called}: ${counted}. ${hits === 0 ? `Up to ${inHundred(interval.to)} in 100 may still suffer` : `That may be anything from ${inHundred(interval.from)} to ${inHundred(interval.to)} in 100`}${few}.`;
}

/** Two films that met the same, and how likely they differ so by chance alone. */
export interface HeldAgainst {
  readonly worse: Held;
  readonly better: Held;
  /** 0–1. */
  readonly chance: number;
}

/** A difference less likely than this by chance alone is told as one [convention of the trade of statistics]. */
const BEYOND_CHANCE = 0.05;

/** Films that met the same wear, each pair once, the surest difference first; those that held alike are not told. */
export function heldAgainst(held: readonly Held[]): readonly HeldAgainst[] {
  const pairs = held.flatMap((one, index) =>
    held.slice(index + 1).flatMap((other): readonly HeldAgainst[] => {
      if (one.wear !== other.wear || Math.min(one.failed.of, other.failed.of) < 2 || one.interval.share === other.interval.share) return [];
      const [worse, better] = one.interval.share > other.interval.share ? [one, other] : [other, one];
      return [{ worse, better, chance: exactChance(worse.failed, better.failed) }];
    }),
  );
  return pairs.sort((a, b) => a.chance - b.chance);
}

/** A pair of films in words: what was counted, and whether that may be chance. */
export function sayAgainst({ worse, better, chance }: HeldAgainst): string {
  const counts = ({ failed: { hits, of } }: Held) => `${hits} of ${of}`;
  const sure = chance <= BEYOND_CHANCE ? "so great a difference seldom comes about by chance" : "so few may still be chance";
  return `${WEAR_PLACES[worse.wear].replace(/^./, (letter) => letter.toUpperCase())}, ${worse.film} suffered on ${counts(worse)}, ${better.film} on ${counts(better)}: ${sure}.`;
}

/** Shares that are beyond doubt so large, and what they cost a film in grades [judgement of this project]. */
const LOWERS = [
  { from: 0.5, lower: 2 },
  { from: 0.2, lower: 1 },
] as const;

/**
 * What the plan learns of wear: films that suffered more often than can be chance are graded lower for what they met. Nothing is ever graded higher.
 *
 * @param held as `heldBy` has it
 */
export function wearLearnt(held: readonly Held[]): readonly OwnWear[] {
  const byKind = new Map<string, { readonly product: ProductId; readonly wear: Wear; hits: number; of: number }>();
  for (const { product, wear, failed } of held) {
    if (product === null) continue;
    const known = byKind.get(`${product}/${wear}`) ?? { product, wear, hits: 0, of: 0 };
    byKind.set(`${product}/${wear}`, { ...known, hits: known.hits + failed.hits, of: known.of + failed.of });
  }
  return [...byKind.values()]
    .flatMap(({ product, wear, hits, of }): readonly OwnWear[] => {
      const lower = of < ENOUGH ? undefined : LOWERS.find(({ from }) => wilson(hits, of).from >= from)?.lower;
      return lower === undefined ? [] : [{ product, wear, seen: of, failed: hits, lower }];
    })
    .sort((a, b) => a.product.localeCompare(b.product) || WEARS.indexOf(a.wear) - WEARS.indexOf(b.wear));
}
