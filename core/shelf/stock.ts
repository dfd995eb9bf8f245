import type { Jar } from "../catalogue/jar";
import { usedSince } from "../logbook/paint-used";
import type { Laid } from "../logbook/paint-used";

/**
 * What is left in each jar now: what the user saw in it, less what was laid out of it since.
 *
 * @returns mL by jar, from 0; jars of which it was never said are not in it
 */
export function stockOf(shelf: readonly Pick<Jar, "id" | "left">[], progress: readonly Laid[]): ReadonlyMap<string, number> {
  const known = shelf.flatMap(({ id, left }) => (left ? [{ id, left }] : []));
  const used = usedSince(progress, new Map(known.map(({ id, left }) => [id, left.at])));
  return new Map(known.map(({ id, left }) => [id, Math.max(0, left.ml - (used.get(id) ?? 0))]));
}
