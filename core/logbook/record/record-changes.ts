import type { Addition, LogRecord, Look, Money, Move } from "./record";
import { piecesOf } from "./pieces-left";

/** What may happen to a record after it was written down. What was made stays as it was written. */
export type RecordChange =
  | { readonly kind: "add"; readonly addition: Addition }
  | { readonly kind: "look"; readonly look: Look }
  | { readonly kind: "move"; readonly move: Move }
  /** Something noted by a slip is taken off again. */
  | { readonly kind: "off"; readonly of: "additions" | "looks" | "moves"; readonly id: string }
  /** The money as it is to be, and as it was seen. */
  | { readonly kind: "money"; readonly money: Money; readonly seen?: Money };

/** More of it would have gone than there are. */
export class NoneLeft extends Error {
  /** Trying again comes to the same. */
  readonly isFinal = true;
  override readonly name = "NoneLeft";

  constructor(here: number) {
    super(here === 0 ? "none of it is here any more" : `only ${here} of it ${here === 1 ? "is" : "are"} still here`);
  }
}

const byTime = <T extends { readonly at: string }>(list: readonly T[]) => [...list].sort((a, b) => a.at.localeCompare(b.at));
const has = (list: readonly { readonly id: string }[], id: string) => list.some((one) => one.id === id);

function withLooks(record: LogRecord, looks: readonly Look[]): LogRecord {
  const { lookedAt: _before, ...rest } = record;
  const last = looks.at(-1);
  return { ...rest, looks, ...(last ? { lookedAt: last.at } : {}) };
}

/**
 * A record after a change; the same record where it has it already.
 *
 * @throws NoneLeft
 */
export function recordAfter(record: LogRecord, change: RecordChange): LogRecord {
  switch (change.kind) {
    case "add":
      return has(record.additions, change.addition.id) ? record : { ...record, additions: byTime([...record.additions, change.addition]) };
    case "look":
      return has(record.looks, change.look.id) ? record : withLooks(record, byTime([...record.looks, change.look]));
    case "move": {
      if (has(record.moves, change.move.id)) return record;
      const { here } = piecesOf(record);
      if (change.move.count > here) throw new NoneLeft(here);
      return { ...record, moves: [...record.moves, change.move].sort((a, b) => a.on.localeCompare(b.on)) };
    }
    case "off": {
      const kept = <T extends { readonly id: string }>(list: readonly T[]) => list.filter(({ id }) => id !== change.id);
      if (!has(record[change.of], change.id)) return record;
      return change.of === "looks" ? withLooks(record, kept(record.looks)) : { ...record, [change.of]: kept<{ readonly id: string }>(record[change.of]) };
    }
    case "money": {
      const { money: _before, ...rest } = record;
      return Object.keys(change.money).length === 0 ? rest : { ...rest, money: change.money };
    }
  }
}
