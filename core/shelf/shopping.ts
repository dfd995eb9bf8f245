import type { Catalogue } from "../catalogue/catalogue";
import type { ProductId } from "../catalogue/ids";
import type { Jar } from "../catalogue/jar";
import { usualJarMl } from "../catalogue/jar-sizes";
import type { Sheen } from "../catalogue/vocabulary";
import { needKey } from "./needs";
import type { Need } from "./needs";
import { promisesOf } from "./promises";
import type { Wanting } from "./promises";

/** One thing to buy. */
export interface Purchase {
  readonly product: ProductId;
  readonly colour?: string;
  readonly sheen?: Sheen;
  /** The user's jar that will not reach; absent where they own none. */
  readonly jar?: string;
  /** mL that is missing. */
  readonly missingMl: number;
  readonly jars: number;
  readonly sizeMl: number;
  /** The size is that of a jar of this kind on the shelf, and not only the usual one. */
  readonly sizeKnown: boolean;
  /** mL over when the pieces are painted. */
  readonly overMl: number;
  /** What the jars cost by what the user paid for one; null where that is not known. */
  readonly cost: number | null;
  /** Names of the pieces that want it. */
  readonly pieces: readonly string[];
}

/** A jar that may or may not reach: it was never said how much is left in it. */
export interface Unsure {
  readonly jar: string;
  readonly ml: number;
  readonly pieces: readonly string[];
}

export interface ShoppingList {
  readonly buy: readonly Purchase[];
  readonly unsure: readonly Unsure[];
  /** What is taken from the shelf, mL by jar. */
  readonly take: readonly { readonly jar: string; readonly ml: number }[];
}

/** Floating sums leave crumbs: less than this is nothing, mL. */
const CRUMB_ML = 1e-6;

/**
 * What is to be bought for some pieces: whole jars, by colour, after what the shelf has for them.
 *
 * @param chosen the pieces, the most urgent first
 * @param before pieces that are served before them and not shopped for: what they take of a jar is not there any more
 */
export function shoppingFor(
  chosen: readonly Wanting[],
  shelf: readonly Jar[],
  stock: ReadonlyMap<string, number>,
  catalogue: Catalogue,
  before: readonly Wanting[] = [],
): ShoppingList {
  const taken = promisesOf(
    shelf.map((jar) => jar.id),
    stock,
    before,
  );
  const free = new Map(taken.flatMap(({ jar, free }) => (free === null ? [] : [[jar, free] as const])));
  const promised = promisesOf(
    shelf.map((jar) => jar.id),
    free,
    chosen,
  );
  const missing = new Map<string, { need: Need; ml: number; pieces: string[] }>();
  const lacks = (need: Need, ml: number, piece: string) => {
    const known = missing.get(needKey(need)) ?? { need, ml: 0, pieces: [] };
    missing.set(needKey(need), { need, ml: known.ml + ml, pieces: [...new Set([...known.pieces, piece])] });
  };
  const known = new Set<string>(shelf.map((jar) => jar.id));
  for (const { name, needs } of chosen)
    for (const need of needs) {
      if (need.jar !== undefined && known.has(need.jar)) continue;
      const { jar: _gone, ...rest } = need;
      lacks(rest, need.ml, name);
    }
  for (const { jar, promises } of promised)
    for (const promise of promises) {
      if (promise.covered === null || promise.ml - promise.covered <= CRUMB_ML) continue;
      const need = chosen.find((one) => one.id === promise.piece)!.needs.find((one) => one.jar === jar)!;
      lacks(need, promise.ml - promise.covered, promise.name);
    }
  return {
    buy: [...missing.values()].map(({ need, ml, pieces }) => purchaseOf(need, ml, pieces, shelf, catalogue)),
    unsure: promised.flatMap(({ jar, free: left, promises }) =>
      left === null && promises.length > 0
        ? [{ jar, ml: promises.reduce((sum, one) => sum + one.ml, 0), pieces: [...new Set(promises.map((one) => one.name))] }]
        : [],
    ),
    take: promised.flatMap(({ jar, promised: ml }) => (ml > CRUMB_ML ? [{ jar, ml }] : [])),
  };
}

function purchaseOf(need: Need, missingMl: number, pieces: readonly string[], shelf: readonly Jar[], catalogue: Catalogue): Purchase {
  const alike = shelf.find((jar) => jar.id === need.jar) ?? shelf.find((jar) => jar.classId === need.product && jar.sizeMl !== undefined);
  const sizeMl = alike?.sizeMl ?? usualJarMl(catalogue.products.get(need.product)!);
  const jars = Math.max(1, Math.ceil((missingMl - CRUMB_ML) / sizeMl));
  const { ml: _ml, ...what } = need;
  return {
    ...what,
    missingMl,
    jars,
    sizeMl,
    sizeKnown: alike?.sizeMl !== undefined,
    overMl: jars * sizeMl - missingMl,
    cost: alike?.paid === undefined || alike.sizeMl === undefined ? null : alike.paid * jars,
    pieces,
  };
}
