import type { Row } from "../piece/pattern";
import type { Laying } from "./laying";
import type { Closing } from "./ring-count";
import { KEPT_FREE } from "./keep-outs";
import { bareRow } from "./solved";
import type { MarkingCode, MarkingFinding, SolvedRow } from "./solved";
import { closingWords, plainMm } from "./words";

/** A row, laid or not, and what is to be known of it. */
export interface LaidRow {
  readonly result: SolvedRow;
  readonly notes: readonly MarkingFinding[];
}

/** Smallest dot anyone sets, mm. */
export const LEAST_DOT_MM = 1;

/** A row that is not laid, and why. */
export function notLaid(row: Row, code: MarkingCode, message: string, fix?: MarkingFinding["fix"]): LaidRow {
  return { result: { ...bareRow(row), refused: true }, notes: [{ code, refused: true, row: row.id, message, ...(fix ? { fix } : {}) }] };
}

type Fault =
  | { readonly fault: "over-the-edge" | "no-room" }
  | { readonly fault: "too-many"; readonly gapMm: number; readonly count: number }
  | { readonly fault: "would-touch"; readonly gapMm: number; readonly other: string };

interface Where {
  readonly laying: Laying;
  readonly seat: { readonly reach: readonly [number, number]; readonly apartMm: number; readonly multipleOf: number; readonly count: number | null };
  readonly level: number;
  /** Counts that close there, the most first. */
  readonly nearest: () => readonly Closing[];
}

/** Down to a half millimetre. */
const half = (mm: number) => Math.floor(mm * 2 + 1e-6) / 2;

/** What fits into the room that is left, where a row does not. */
function smaller(row: Row, roomMm: number, [low, high]: readonly [number, number]): MarkingFinding["fix"] {
  const share = roomMm / (high - low);
  const diameterMm = half(row.diameterMm * share);
  if (diameterMm < LEAST_DOT_MM || diameterMm >= row.diameterMm) return undefined;
  return { text: `Set it with ${plainMm(diameterMm)} mm`, set: { diameterMm, ...(row.lengthMm ? { lengthMm: half(row.lengthMm * share) } : {}) } };
}

function tooMany(row: Row, fault: Extract<Fault, { fault: "too-many" }>, { nearest, seat }: Where): LaidRow {
  const fewer = nearest();
  const best = fewer[0];
  const fits = half(row.diameterMm + fault.gapMm - (row.gapMm ?? 0));
  const leans = row.seat === "between" || row.seat === "nestle";
  const smallerDot = fits >= LEAST_DOT_MM ? { text: `Set ${fault.count} with ${plainMm(fits)} mm`, set: { diameterMm: fits } } : undefined;
  const going = best ? ` ${closingWords(fewer.slice(0, 2))}.` : "";
  const fix = !leans && best && seat.count !== null ? { text: `Take ${best.count}`, set: { count: best.count } } : smallerDot;
  return notLaid(row, "too-many", `${fault.count} of ${plainMm(row.diameterMm)} mm do not close here.${going}`, fix);
}

/** Why a row is not laid, in words, with what would go. */
export function refusal(row: Row, fault: Fault, where: Where): LaidRow {
  const { laying, seat } = where;
  const room = (laying.outward ? laying.outer - laying.edge : laying.edge - laying.inner) - seat.apartMm;
  switch (fault.fault) {
    case "over-the-edge":
      return notLaid(
        row,
        "over-the-edge",
        row.at
          ? "there it runs over the edge of what may be painted"
          : `it needs ${plainMm(seat.reach[1] - seat.reach[0])} mm; ${plainMm(Math.max(0, room))} mm are left`,
        row.at ? undefined : smaller(row, room, seat.reach),
      );
    case "no-room":
      return notLaid(
        row,
        "no-room",
        seat.multipleOf > 1 ? `not even ${seat.multipleOf} go round here` : "not even one goes here",
        smaller(row, row.diameterMm / 2, [0, row.diameterMm]),
      );
    case "too-many":
      return tooMany(row, fault, where);
    case "would-touch": {
      const fits = half(row.diameterMm + 2 * fault.gapMm);
      return notLaid(
        row,
        "would-touch",
        fault.other === KEPT_FREE ? "it would lie on a place that is kept free" : "it would touch a row before it",
        fits >= LEAST_DOT_MM && fits < row.diameterMm ? { text: `Set it with ${plainMm(fits)} mm`, set: { diameterMm: fits } } : undefined,
      );
    }
  }
}
