import type { ZoneId } from "../catalogue/vocabulary";
import type { Piece } from "../piece/piece";

/** A row that was laid out anew with another count. */
export interface CountChange {
  readonly zone: ZoneId;
  readonly row: string;
  /** As it is called: "Dots of 4 mm". */
  readonly name: string;
  readonly before: number;
  /** 0: it goes no more. */
  readonly after: number;
}

interface Counted {
  readonly zone: ZoneId;
  readonly row: string;
  readonly name: string;
  count: number;
}

/** Every row as it is said, by place and row. */
function rowsSaid({ decoration }: Piece): ReadonlyMap<string, string> {
  return new Map((decoration?.patterns ?? []).flatMap(({ zone, rows }) => rows.map((row) => [`${zone}/${row.id}`, JSON.stringify(row)] as const)));
}

/** Every row that lies on a piece, its colours together. */
function countsOf({ decoration }: Piece): ReadonlyMap<string, Counted> {
  const counts = new Map<string, Counted>();
  for (const { zone, rows = [] } of decoration?.layers ?? [])
    for (const { id, name, count } of rows) {
      if (zone === undefined) continue;
      const key = `${zone}/${id}`;
      const here = counts.get(key);
      if (here) here.count += count;
      else counts.set(key, { zone, row: id, name, count });
    }
  return counts;
}

/** What became of the counts of rows of which nothing was said anew, when the body or another row changed; in the order they are set. */
export function changedCounts(before: Piece, after: Piece): readonly CountChange[] {
  const [old, now] = [countsOf(before), countsOf(after)];
  const [said, saidNow] = [rowsSaid(before), rowsSaid(after)];
  return [...old].flatMap(([key, { count, ...row }]) => {
    const then = now.get(key)?.count ?? 0;
    return said.has(key) && saidNow.get(key) === said.get(key) && then !== count ? [{ ...row, before: count, after: then }] : [];
  });
}
