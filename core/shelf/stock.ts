import type { Jar } from "../catalogue/jar";
import type { ProgressRecord } from "../logbook/progress";

type Laid = Pick<ProgressRecord, "pieceId" | "zone" | "stepId" | "coat" | "half" | "kind" | "at" | "jarMl" | "act">;

const OUT_OF_JAR: ReadonlySet<ProgressRecord["kind"]> = new Set(["started", "done", "tacky"]);

/**
 * Paint taken out of each jar since an instant of its own, folded from what was laid. A coat that was ruined has used its paint; one that was noted by
 * mistake has not.
 *
 * @param since instant from which on a jar's paint counts, ISO 8601; jars it does not know are counted from the start
 * @returns mL by jar
 */
export function usedSince(progress: readonly Laid[], since: ReadonlyMap<string, string>): ReadonlyMap<string, number> {
  const used = new Map<string, number>();
  const laid = new Map<string, { readonly jar: string; readonly ml: number; readonly whole: boolean }>();
  const add = (jar: string, ml: number) => used.set(jar, Math.max(0, (used.get(jar) ?? 0) + ml));
  for (const one of [...progress].sort((a, b) => a.at.localeCompare(b.at))) {
    const coat = [one.pieceId, one.zone, one.stepId, one.coat, one.half ?? ""].join("/");
    const before = laid.get(coat);
    if (OUT_OF_JAR.has(one.kind)) {
      const { ownProduct } = one.act;
      const whole = one.kind !== "started";
      if (before?.whole || ownProduct === undefined || one.jarMl === undefined || one.at <= (since.get(ownProduct) ?? "")) continue;
      laid.set(coat, { jar: ownProduct, ml: one.jarMl, whole });
      // Of a batch under way it took the pieces that have it; the rest when all of them do.
      add(ownProduct, one.jarMl - (before?.jar === ownProduct ? before.ml : 0));
    } else if (one.kind === "removed" || one.kind === "ruined") {
      if (before && one.kind === "removed") add(before.jar, -before.ml);
      laid.delete(coat);
    }
  }
  return used;
}

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
