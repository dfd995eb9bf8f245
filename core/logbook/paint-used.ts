import type { ProgressRecord } from "./progress";

/** What of a note tells which paint it took. */
export type Laid = Pick<ProgressRecord, "pieceId" | "zone" | "stepId" | "coat" | "half" | "kind" | "at" | "jarMl" | "act">;

const OUT_OF_JAR: ReadonlySet<ProgressRecord["kind"]> = new Set(["started", "done", "tacky", "dry", "mended"]);

/** What paint is counted under; undefined for what is not counted. */
type CountedUnder = (act: Laid["act"]) => string | undefined;
const byJar: CountedUnder = ({ ownProduct }) => ownProduct;

/**
 * Paint taken out of each jar since an instant of its own, folded from what was laid. A coat that was ruined has used its paint; one that was noted by
 * mistake has not.
 *
 * @param since instant from which on a jar's paint counts, ISO 8601; jars it does not know are counted from the start
 * @param under what paint is counted under; by its jar, where nothing is said
 * @returns mL by jar
 */
export function usedSince(progress: readonly Laid[], since: ReadonlyMap<string, string>, under: CountedUnder = byJar): ReadonlyMap<string, number> {
  const used = new Map<string, number>();
  const laid = new Map<string, { readonly of: string; readonly ml: number; readonly whole: boolean }>();
  const add = (of: string, ml: number) => used.set(of, Math.max(0, (used.get(of) ?? 0) + ml));
  for (const one of [...progress].sort((a, b) => a.at.localeCompare(b.at))) {
    const coat = [one.pieceId, one.zone, one.stepId, one.coat, one.half ?? ""].join("/");
    const before = laid.get(coat);
    if (OUT_OF_JAR.has(one.kind)) {
      const of = under(one.act);
      const whole = one.kind !== "started";
      if (before?.whole || of === undefined || one.jarMl === undefined || one.at <= (since.get(of) ?? "")) continue;
      laid.set(coat, { of, ml: one.jarMl, whole });
      // Of a batch under way it took the pieces that have it; the rest when all of them do.
      add(of, one.jarMl - (before?.of === of ? before.ml : 0));
    } else if (one.kind === "removed" || one.kind === "ruined") {
      if (before && one.kind === "removed") add(before.of, -before.ml);
      laid.delete(coat);
    }
  }
  return used;
}
