/** Kinds of things that a plan has once, however many zones need them. */
export const SHARED_KINDS = ["act", "buy", "kind", "unpriced", "harsh"] as const;
export type SharedKind = (typeof SHARED_KINDS)[number];

/** One such thing: counted while any alternative chosen needs it. */
export interface SharedThing {
  readonly kind: SharedKind;
  readonly name: string;
  /** Place of the thing in the counts; the same for the same kind and name. */
  readonly index: number;
  /** Minutes of an act, weight of a harsh thing, 1 of a product and of a kind of film. */
  readonly amount: number;
}

const indexes = new Map<string, number>();

/**
 * A thing that counts once.
 *
 * @param amount minutes of an act, weight of a harsh thing, 1 of a product
 */
export function sharedThing(kind: SharedKind, name: string, amount: number): SharedThing {
  const key = `${kind}:${name}`;
  let index = indexes.get(key);
  if (index === undefined) indexes.set(key, (index = indexes.size));
  return { kind, name, index, amount };
}

/** How many different things are known so far. */
export function sharedThingsKnown(): number {
  return indexes.size;
}
