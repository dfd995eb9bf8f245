import type { Aid } from "./aid";
import type { ConditionKind } from "./condition";
import { AIDS } from "./data/aids";
import { CONDITION_KINDS } from "./data/conditions";
import { MATERIALS } from "./data/materials";
import { OBJECT_KINDS } from "./data/objects";
import { TECHNIQUES_DATA } from "./data/techniques";
import { TOOLS } from "./data/tools";
import { USES } from "./data/uses";
import type { MaterialId, ProductId, UseId } from "./ids";
import type { Material } from "./material";
import type { ObjectKind } from "./object-kind";
import type { ProductClass } from "./product-class";
import { CLEARS } from "./products/clears";
import { EFFECTS } from "./products/effects";
import { KILN_COLOURS } from "./products/kiln";
import { PAINTS } from "./products/paints";
import { PRIMERS } from "./products/primers";
import type { Technique } from "./technique";
import type { Tool } from "./tool";
import type { Use } from "./use";
import type { Condition, ObjectId, TechniqueId } from "./vocabulary";

/** Everything the engine knows of the trade as data. It is handed to every function: nothing reads a global one. */
export interface Catalogue {
  readonly materials: ReadonlyMap<MaterialId, Material>;
  readonly uses: ReadonlyMap<UseId, Use>;
  readonly objects: ReadonlyMap<ObjectId, ObjectKind>;
  readonly techniques: ReadonlyMap<TechniqueId, Technique>;
  readonly products: ReadonlyMap<ProductId, ProductClass>;
  readonly aids: ReadonlyMap<ProductId, Aid>;
  readonly conditions: ReadonlyMap<Condition, ConditionKind>;
  readonly tools: ReadonlyMap<string, Tool>;
}

interface Lists {
  readonly materials: readonly Material[];
  readonly uses: readonly Use[];
  readonly objects: readonly ObjectKind[];
  readonly techniques: readonly Technique[];
  readonly products: readonly ProductClass[];
  readonly aids: readonly Aid[];
  readonly conditions: readonly ConditionKind[];
  readonly tools: readonly Tool[];
}

function keyed<K extends string, V extends { readonly id: K }>(kind: string, list: readonly V[]): ReadonlyMap<K, V> {
  const map = new Map<K, V>();
  for (const entry of list) {
    if (map.has(entry.id)) throw new Error(`two ${kind} share the id "${entry.id}"`);
    map.set(entry.id, entry);
  }
  return map;
}

/**
 * Makes a catalogue out of lists.
 *
 * @param lists entries in the order they are told in
 * @throws when two entries of one kind share an id: that is a bug in the data
 * @returns the catalogue, each list by id
 */
export function makeCatalogue(lists: Lists): Catalogue {
  return {
    materials: keyed("materials", lists.materials),
    uses: keyed("uses", lists.uses),
    objects: keyed("objects", lists.objects),
    techniques: keyed("techniques", lists.techniques),
    products: keyed("products", lists.products),
    aids: keyed("aids", lists.aids),
    conditions: keyed("conditions", lists.conditions),
    tools: keyed("tools", lists.tools),
  };
}

export const STANDARD_LISTS: Lists = {
  materials: MATERIALS,
  uses: USES,
  objects: OBJECT_KINDS,
  techniques: TECHNIQUES_DATA,
  products: [...PRIMERS, ...PAINTS, ...EFFECTS, ...CLEARS, ...KILN_COLOURS],
  aids: AIDS,
  conditions: CONDITION_KINDS,
  tools: TOOLS,
};

/** The catalogue Nook Coat ships with. */
export const CATALOGUE: Catalogue = makeCatalogue(STANDARD_LISTS);

/** The same catalogue with more product classes: how a new class arrives. */
export function withProducts(catalogue: Catalogue, more: readonly ProductClass[]): Catalogue {
  return { ...catalogue, products: keyed("products", [...catalogue.products.values(), ...more]) };
}

/**
 * The name a painter reads for a product class or an aid; the id itself when nothing has it.
 *
 * @param id of a product class, an own product or an aid
 * @returns its name; the id itself where nothing is known of it
 */
export function productName(catalogue: Catalogue, id: ProductId): string {
  return catalogue.products.get(id)?.name ?? catalogue.aids.get(id)?.name ?? id;
}
