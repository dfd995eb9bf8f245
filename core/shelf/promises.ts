import type { Need } from "./needs";

/** A piece that is still to be painted, and what it wants. */
export interface Wanting {
  readonly id: string;
  readonly name: string;
  readonly needs: readonly Need[];
}

/** What decides who is served first. */
export interface Urgency {
  readonly name: string;
  readonly begun: boolean;
  /** "YYYY-MM-DD"; null where it is not said. */
  readonly due: string | null;
}

/** Comes after every day. */
const NO_DAY = "9";

/**
 * The order pieces are served in: those needed first, then those begun, then by name.
 *
 * @returns below 0 where the first comes before the other
 */
export function servedBefore(one: Urgency, other: Urgency): number {
  return (
    (one.due ?? NO_DAY).localeCompare(other.due ?? NO_DAY) ||
    Number(other.begun) - Number(one.begun) ||
    one.name.localeCompare(other.name, undefined, { numeric: true })
  );
}

/** What one piece wants of a jar, and what there is for it. */
export interface Claim {
  readonly piece: string;
  readonly name: string;
  readonly ml: number;
  /** What the jar still has for it when those before it have theirs, mL; null where it is not known what is in the jar. */
  readonly covered: number | null;
}

/** A jar with all that wants of it. */
export interface Promised {
  readonly jar: string;
  readonly promises: readonly Claim[];
  /** mL that is promised and there; what is not known to be there counts as nothing. */
  readonly promised: number;
  /** mL that nobody wants; null where it is not known what is in the jar. */
  readonly free: number | null;
  /** mL that is wanted and not there; null where it is not known what is in the jar. */
  readonly short: number | null;
}

/**
 * Gives what is in the jars to the pieces that want it, in their order: `promised + free` is what there is, `short` what is missing.
 *
 * @param stock mL by jar; a jar that is not in it is one of which it was never said how much is left
 * @param wanting pieces in the order they are served, the most urgent first
 */
export function promisesOf(jars: readonly string[], stock: ReadonlyMap<string, number>, wanting: readonly Wanting[]): readonly Promised[] {
  return jars.map((jar): Promised => {
    const owned = stock.get(jar) ?? null;
    let left = owned ?? 0;
    const promises = wanting.flatMap(({ id, name, needs }) => {
      const ml = needs.reduce((sum, need) => (need.jar === jar ? sum + need.ml : sum), 0);
      if (ml <= 0) return [];
      const covered = owned === null ? null : Math.min(left, ml);
      left -= covered ?? 0;
      return [{ piece: id, name, ml, covered }];
    });
    const wanted = promises.reduce((sum, one) => sum + one.ml, 0);
    const promised = promises.reduce((sum, one) => sum + (one.covered ?? 0), 0);
    return { jar, promises, promised, free: owned === null ? null : left, short: owned === null ? null : wanted - promised };
  });
}

/**
 * Pieces that can be painted with what is on the shelf and nothing else. A jar of which it was never said how much is left counts as enough.
 *
 * @param promised of every jar, for these pieces in this order
 */
export function makeable(wanting: readonly Wanting[], promised: readonly Promised[]): readonly Wanting[] {
  const enough = (piece: string, jar: string) =>
    promised.some((one) => one.jar === jar && one.promises.some((promise) => promise.piece === piece && (promise.covered ?? promise.ml) >= promise.ml));
  return wanting.filter(({ id, needs }) => needs.length > 0 && needs.every((need) => need.jar !== undefined && enough(id, need.jar)));
}
