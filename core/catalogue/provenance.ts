/** Where a value or a rule comes from. Shown to the user beside every default. */
export type Provenance =
  | { readonly kind: "published"; readonly source: string }
  | { readonly kind: "common-practice" }
  | { readonly kind: "memory" }
  | { readonly kind: "label" }
  | { readonly kind: "hers" };

/**
 * A published value; `source` names author, title or standard, and year where there is one.
 *
 * @param source author, title and year, or an address
 * @returns the standing of a published value
 */
export function published(source: string): Provenance {
  return { kind: "published", source };
}

export const COMMON_PRACTICE: Provenance = { kind: "common-practice" };
/** A typical value from memory: usable as a default, always shown as "typical", always editable. */
export const FROM_MEMORY: Provenance = { kind: "memory" };

/** A value that carries its own standing. */
export interface Sourced<T> {
  readonly value: T;
  readonly provenance: Provenance;
}

/**
 * A value that is common practice of the trade.
 *
 * @param value in the unit its place names
 */
export function practice<T>(value: T): Sourced<T> {
  return { value, provenance: COMMON_PRACTICE };
}

/**
 * A value from memory, to be shown as such.
 *
 * @param value in the unit its place names
 */
export function memory<T>(value: T): Sourced<T> {
  return { value, provenance: FROM_MEMORY };
}

/**
 * Says a standing in the painter's words.
 *
 * @param provenance where a value comes from
 * @returns a few words for the screen
 * @example sayStanding({ kind: "memory" }) // "typical; your label wins"
 */
export function sayStanding(provenance: Provenance): string {
  switch (provenance.kind) {
    case "published":
      return provenance.source;
    case "common-practice":
      return "common practice";
    case "memory":
      return "typical; your label wins";
    case "label":
      return "from your label";
    case "hers":
      return "set by you";
  }
}
