/** What a store's definition says of records its own records name. */
export interface Naming {
  /** The store and field of the record it belongs to. */
  readonly owner?: { readonly store: string; readonly field: string };
  /** Fields that name a record of another store, and which. */
  readonly refers?: Readonly<Partial<Record<string, string>>>;
}

/**
 * Fields in which a store's records name one of another store, its owner's among them; each once.
 *
 * @example namedBy({ owner: { store: "pieces", field: "pieceId" }, refers: { planId: "plans" } }) // [{ field: "planId", store: "plans" }, { field: "pieceId", store: "pieces" }]
 */
export function namedBy({ owner, refers = {} }: Naming): readonly { readonly field: string; readonly store: string }[] {
  const stores = new Map(Object.entries(refers).flatMap(([field, store]) => (store === undefined ? [] : [[field, store] as const])));
  if (owner) stores.set(owner.field, owner.store);
  return [...stores].map(([field, store]) => ({ field, store }));
}
