import type { Pattern, Row } from "../piece/pattern";
import { Spots } from "./clearance";
import { layRow } from "./place-row";
import type { Laying } from "./laying";
import { KEPT_FREE, keptFree } from "./keep-outs";
import { Rings } from "./lay-row";
import { rowKind } from "./row-kinds";
import type { MarkingFinding, SolvedPattern, SolvedRow } from "./solved";
import type { MarkingSurface } from "./surface";

/** Cells of the search for neighbours are twice as large as the usual mark, mm. */
function cellOf(rows: readonly Row[], surface: MarkingSurface): number {
  const sizes = rows.filter(({ kind }) => rowKind(kind).unit !== null).map(({ diameterMm }) => diameterMm);
  const mean = sizes.length > 0 ? sizes.reduce((sum, mm) => sum + mm, 0) / sizes.length : 5;
  return Math.max(2 * mean, Math.max(surface.widthMm, surface.heightMm) / 4000);
}

/** What of a pattern decides where its rows lie. */
export type PatternRows = Pick<Pattern, "rows" | "from" | "guides" | "clearMm" | "keepOuts">;

/**
 * Works a pattern out: where each row lies, how many go, and what is left. Rows are placed one after the other against those before; what would
 * touch, overhang or not go is refused with what goes instead.
 *
 * @param surface of the place, as `surfaceOf` gives it
 * @param pattern its rows in the order they are laid out, from the centre or the rim
 * @returns rows in the same order
 */
export function solvePattern(surface: MarkingSurface, pattern: PatternRows): SolvedPattern {
  const { rows, from = "centre", guides = 1, clearMm = 0, keepOuts = [] } = pattern;
  const outward = from === "centre";
  const limit = Math.max(surface.from, surface.to - clearMm);
  const [cellMm, flat] = [cellOf(rows, surface), surface.shape === "top"];
  const laying: Laying = {
    rings: new Rings(surface),
    evenRings: surface.fromEdge ? new Rings(surface.fromEdge) : null,
    outward,
    guides,
    inner: surface.from,
    outer: limit,
    edge: outward ? surface.from : limit,
    mixed: false,
    laid: new Spots(cellMm, flat),
    kept: keepOuts.length > 0 ? new Spots(cellMm, flat) : null,
    before: [],
  };
  for (const spot of keptFree(surface, keepOuts)) laying.kept?.add({ ...spot, row: KEPT_FREE });
  const findings: MarkingFinding[] = [];
  const solved: SolvedRow[] = [];
  for (const row of rows) {
    const { result, notes } = layRow(row, laying);
    findings.push(...notes);
    solved.push(result);
    if (!result.refused) laying.before.push(result);
  }
  const leftMm = Math.max(0, outward ? laying.outer - laying.edge : laying.edge - laying.inner);
  return { rows: solved, findings, leftMm };
}
