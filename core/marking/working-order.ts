import { rowKind } from "./row-kinds";
import type { SolvedRow } from "./solved";
import type { MarkingSurface } from "./surface";

/** One turn at the table: a row, and what comes before it. */
export interface OrderStep {
  readonly row: string;
  /** What must be dry before it: fields under guides, marks under top dots, the half that is held. */
  readonly dryBefore: "fields" | "marks" | "half" | null;
  readonly why: string;
  /** After it no row sits on a guide any more: they can come off, once it is dry. */
  readonly lastOnGuides: boolean;
}

const WORDS = {
  field: "stripes first: marks are set on them, and tape is lifted while nothing else is wet",
  centre: "from the middle outward, so that no hand lies in wet dots",
  guides: "what sits on the guides first: the rest finds its place between",
  between: "between the ones that stand",
  top: "on dots that are dry through",
  upper: "the upper half while the foot is held",
  lower: "the lower half while the rim is held",
} as const;

const isField = ({ row }: SolvedRow) => row.kind === "band" || row.kind === "line";

/** Of one height: what sits on guides, then the rest, the larger first; what sits between others after them. */
function turnOf({ row }: SolvedRow): number {
  if (row.seat === "between") return 2;
  return row.seat === "guides" ? 0 : 1;
}

function whyOf(one: SolvedRow, surface: MarkingSurface, upper: boolean): string {
  if (one.row.seat === "between") return WORDS.between;
  if (one.row.seat === "guides") return WORDS.guides;
  return surface.shape === "top" ? WORDS.centre : upper ? WORDS.upper : WORDS.lower;
}

/**
 * The order rows are set in at the table: fields; from the middle outward, or on a wall the upper half, a pause, the lower half; then top dots.
 *
 * @param rows as solved; those that are not laid are left out
 */
export function workingOrder(surface: MarkingSurface, rows: readonly SolvedRow[]): readonly OrderStep[] {
  const laid = rows.filter(({ refused }) => !refused);
  const fields = laid.filter(isField);
  const tops = laid.filter(({ row }) => row.kind === "top-dots");
  const marks = laid.filter((one) => !isField(one) && one.row.kind !== "top-dots");
  const middle = (surface.from + surface.to) / 2;
  const upright = surface.shape === "wall";
  const isUpper = ({ level }: SolvedRow) => level === null || level >= middle;
  const height = ({ level }: SolvedRow) => level ?? Infinity;
  const inTurn = [...marks].sort((a, b) => {
    if (upright && isUpper(a) !== isUpper(b)) return isUpper(a) ? -1 : 1;
    const byHeight = upright ? height(b) - height(a) : height(a) - height(b);
    return Math.abs(byHeight) > 1e-6 ? byHeight : turnOf(a) - turnOf(b) || b.row.diameterMm - a.row.diameterMm;
  });
  const halves = upright && inTurn.some(isUpper) && inTurn.some((one) => !isUpper(one));
  const lastGuide = inTurn.findLast(({ row }) => row.seat === "guides" || row.seat === undefined || row.seat === "free")?.row.id;
  const firstLower = halves ? inTurn.find((one) => !isUpper(one))?.row.id : undefined;
  return [
    ...fields.map(({ row }): OrderStep => ({ row: row.id, dryBefore: null, why: WORDS.field, lastOnGuides: false })),
    ...inTurn.map((one, k): OrderStep => ({
      row: one.row.id,
      dryBefore: one.row.id === firstLower ? "half" : k === 0 && fields.length > 0 ? "fields" : null,
      why: whyOf(one, surface, isUpper(one)),
      lastOnGuides: one.row.id === lastGuide,
    })),
    ...tops.map(({ row }, k): OrderStep => ({ row: row.id, dryBefore: k === 0 ? "marks" : null, why: WORDS.top, lastOnGuides: false })),
  ];
}

/** What a row is called where it has no name of its own. @example rowName({ kind: "dots", diameterMm: 4 }) // "Dots of 4 mm" */
export function rowName({ kind, diameterMm }: Pick<SolvedRow["row"], "kind" | "diameterMm">): string {
  return `${rowKind(kind).name} of ${Math.round(diameterMm * 10) / 10} mm`;
}
