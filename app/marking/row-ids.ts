import type { Row } from "#core/piece/pattern";
import { freshId } from "~/store/fresh-id";

/** Letters of a row's name: enough that no row of a piece has had it before. */
const LENGTH = 8;

/** A name for a new row: never one that marks were counted under before. */
export function freshRowId(): string {
  return freshId().slice(0, LENGTH);
}

/** Rows under names of their own, so that nothing is counted for them yet. */
export function freshlyNamed(rows: readonly Row[]): readonly Row[] {
  const names = new Map(rows.map(({ id }) => [id, freshRowId()]));
  return rows.map((row) => ({ ...row, id: names.get(row.id)!, ...(row.on === undefined ? {} : { on: names.get(row.on) ?? row.on }) }));
}
