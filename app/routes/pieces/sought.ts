import type { NamedPiece } from "~/store/listing";

export const ORDERS = [
  { id: "name", name: "name" },
  { id: "due", name: "when they are needed" },
  { id: "next", name: "what is next" },
] as const;

export const ONLY = [
  { id: "all", name: "all on hand" },
  { id: "begun", name: "begun" },
  { id: "new", name: "not begun" },
  { id: "away", name: "put away" },
] as const;

/** What is looked for among the pieces, and in which order it is shown. */
export interface Sought {
  readonly text: string;
  readonly order: (typeof ORDERS)[number]["id"];
  readonly only: (typeof ONLY)[number]["id"];
  /** Of one set; "" for all. */
  readonly set: string;
}

/** What is known of pieces that have been begun. */
export interface Begun {
  readonly ids: readonly string[];
  /** Those of them that were looked through, as they lie on the table: what may be touched now comes first. */
  readonly table: readonly string[];
}

const placeIn = (list: readonly string[], id: string) => {
  const at = list.indexOf(id);
  return at < 0 ? list.length : at;
};

const LATEST = "9999";

/**
 * The pieces that are looked for, in the order they are wanted in. Begun pieces come first in the order of what is next, then by their days.
 *
 * @param pieces by name
 */
export function soughtIn(pieces: readonly NamedPiece[], { text, order, only, set }: Sought, begun: Begun): readonly NamedPiece[] {
  const wanted = text.trim().toLowerCase();
  const started = new Set(begun.ids);
  const found = pieces.filter((one) => {
    if ((only === "away") !== (one.away === true)) return false;
    if (only === "begun" && !started.has(one.id)) return false;
    if (only === "new" && started.has(one.id)) return false;
    if (set !== "" && one.set !== set) return false;
    return wanted === "" || one.name.toLowerCase().includes(wanted) || (one.set ?? "").toLowerCase().includes(wanted);
  });
  if (order === "name") return found;
  const days = (a: NamedPiece, b: NamedPiece) => (a.due ?? LATEST).localeCompare(b.due ?? LATEST);
  const isNew = ({ id }: NamedPiece) => Number(!started.has(id));
  if (order === "due") return [...found].sort(days);
  return [...found].sort((a, b) => isNew(a) - isNew(b) || placeIn(begun.table, a.id) - placeIn(begun.table, b.id) || days(a, b));
}

/** The sets there are, by name. */
export function setsOf(pieces: readonly NamedPiece[]): readonly string[] {
  return [...new Set(pieces.flatMap(({ set, away }) => (set === undefined || away ? [] : [set])))].sort((a, b) => a.localeCompare(b));
}
