import type { Catalogue } from "../catalogue/catalogue";
import type { Jar } from "../catalogue/jar";
import { jarStates } from "./jar-state";
import type { JarState } from "./jar-state";
import type { Promised } from "./promises";

/** A jar with all that is known of it. */
export interface ShelfRow<J extends Jar = Jar> {
  readonly jar: J;
  /** Its kind by name. */
  readonly kind: string;
  /** mL; absent where it was never said. */
  readonly leftMl: number | undefined;
  readonly states: readonly JarState[];
  /** Null until it is known what the pieces want. */
  readonly promised: Promised | null;
}

/**
 * The shelf in rows, in its own order.
 *
 * @param left what is left in each jar, mL
 * @param promised of every jar; null while it is not known
 * @param today local date "YYYY-MM-DD"
 */
export function shelfRows<J extends Jar>(
  jars: readonly J[],
  left: ReadonlyMap<string, number>,
  promised: readonly Promised[] | null,
  catalogue: Catalogue,
  today: string,
): readonly ShelfRow<J>[] {
  return jars.map((jar) => {
    const kind = catalogue.products.get(jar.classId);
    const leftMl = left.get(jar.id);
    return {
      jar,
      kind: kind?.name ?? jar.classId,
      leftMl,
      // A pot that is empty is mixed again: it is never short.
      states: kind && !jar.mix ? jarStates(jar, kind, leftMl ?? null, today) : [],
      promised: promised?.find((one) => one.jar === jar.id) ?? null,
    };
  });
}

/** What is looked for on the shelf; "" for anything. */
export interface Sought {
  /** Words that the jar's name or kind has, in any order. */
  readonly text: string;
  /** A class of product. */
  readonly kind: string;
  readonly only: "" | "low" | "old" | "promised" | "unpromised";
}

export const ANY_JAR: Sought = { text: "", kind: "", only: "" };

/** How many pieces want something of a jar; null while it is not known. */
const wanting = ({ promised }: ShelfRow) => promised && promised.promises.length;

const ONLY: Readonly<Record<Sought["only"], (row: ShelfRow) => boolean>> = {
  "": () => true,
  low: ({ states }) => states.includes("low") || states.includes("empty"),
  old: ({ states }) => states.includes("old"),
  promised: (row) => (wanting(row) ?? 0) > 0,
  unpromised: (row) => wanting(row) === 0,
};

/** The rows that are looked for. */
export function soughtIn<R extends ShelfRow>(rows: readonly R[], { text, kind, only }: Sought): readonly R[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return rows.filter((row) => {
    const said = `${row.jar.name} ${row.kind}`.toLowerCase();
    return words.every((word) => said.includes(word)) && (kind === "" || row.jar.classId === kind) && ONLY[only](row);
  });
}
