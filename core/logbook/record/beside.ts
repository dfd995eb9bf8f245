import { zoneName } from "../../catalogue/zone-words";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { LengthUnit } from "../../units/length";
import type { MadeRecord, WorkLine } from "./record";
import { lineDetails, sayBody } from "./say-record";

/** One thing of two pieces, side by side. */
export interface BesideRow {
  /** A place, or what of the whole piece. */
  readonly of: string;
  readonly one: string | null;
  readonly other: string | null;
  readonly colours: readonly [string | null, string | null];
  readonly same: boolean;
}

const textOf = (line: WorkLine, unit: LengthUnit) => [line.title, ...lineDetails(line, unit)].join("; ");

/** What makes two lines the same kind of work, so that they stand beside each other. */
const kindOf = ({ role, technique }: WorkLine) => `${role}/${technique ?? ""}`;

function linesAt(record: MadeRecord, zone: ZoneId): readonly WorkLine[] {
  return record.work.filter(({ zones }) => zones.includes(zone));
}

/** Lays the lines of one place beside each other: the longest run of the same kinds of work keeps its order on both sides. */
function paired(one: readonly WorkLine[], other: readonly WorkLine[]): readonly (readonly [WorkLine | null, WorkLine | null])[] {
  const longest: number[][] = Array.from({ length: one.length + 1 }, () => Array<number>(other.length + 1).fill(0));
  for (let i = one.length - 1; i >= 0; i -= 1)
    for (let j = other.length - 1; j >= 0; j -= 1)
      longest[i]![j] = kindOf(one[i]!) === kindOf(other[j]!) ? longest[i + 1]![j + 1]! + 1 : Math.max(longest[i + 1]![j]!, longest[i]![j + 1]!);
  const pairs: (readonly [WorkLine | null, WorkLine | null])[] = [];
  let [i, j] = [0, 0];
  while (i < one.length || j < other.length) {
    if (i < one.length && j < other.length && kindOf(one[i]!) === kindOf(other[j]!)) pairs.push([one[i++]!, other[j++]!]);
    else if (j >= other.length || (i < one.length && longest[i + 1]![j]! >= longest[i]![j + 1]!)) pairs.push([one[i++]!, null]);
    else pairs.push([null, other[j++]!]);
  }
  return pairs;
}

/**
 * Two pieces side by side, place by place in the order of the work: what is alike stands in one row and says so.
 *
 * @param unit the user's
 */
export function besideRows(one: MadeRecord, other: MadeRecord, unit: LengthUnit): readonly BesideRow[] {
  const plain = (of: string, a: string | null, b: string | null): BesideRow => ({ of, one: a, other: b, colours: [null, null], same: a === b });
  const zones = [...new Set([...one.work, ...other.work].flatMap(({ zones: own }) => own))];
  const work = zones.flatMap((zone) =>
    paired(linesAt(one, zone), linesAt(other, zone)).map(([a, b]): BesideRow => {
      const [textA, textB] = [a && textOf(a, unit), b && textOf(b, unit)];
      const colours = [a?.colour ?? null, b?.colour ?? null] as const;
      return { of: zoneName(zone), one: textA, other: textB, colours, same: textA === textB && colours[0] === colours[1] };
    }),
  );
  const told = (["colours", "paints", "sealer", "note"] as const).flatMap((key) =>
    one.told?.[key] === undefined && other.told?.[key] === undefined ? [] : [plain(key, one.told?.[key] ?? null, other.told?.[key] ?? null)],
  );
  return [plain("Body", sayBody(one, unit), sayBody(other, unit)), ...work, ...told];
}

/** What two pieces of one design share: everything but their colours and sizes. */
function designKey({ piece, work }: MadeRecord): string | null {
  const marks = work.filter(({ role }) => role === "decorate" || role === "top-dot");
  if (!piece || marks.length === 0) return null;
  const patterns = piece.decoration?.patterns ?? [];
  if (patterns.length > 0) return JSON.stringify(["rows", patterns.map(({ zone, rows }) => [zone, rows.map(({ kind, towards }) => [kind, towards])])]);
  return JSON.stringify(["work", piece.object ?? piece.form.kind, marks.map(({ zones, technique, role }) => [zones, technique, role])]);
}

/**
 * Other pieces of the same design: the same rows, or the same kinds of decoration in the same places, whatever their colours.
 *
 * @returns in the order given, without the one itself
 */
export function sameDesign<R extends MadeRecord & { readonly id: string }>(of: R, records: readonly R[]): readonly R[] {
  const key = designKey(of);
  return key === null ? [] : records.filter((one) => one.id !== of.id && designKey(one) === key);
}
