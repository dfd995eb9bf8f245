import type { JarRecord } from "#core/formats/stores/shelf";
import { jarStates } from "#core/shelf/jar-state";
import type { JarState } from "#core/shelf/jar-state";
import type { Promised } from "#core/shelf/promises";
import { kindOf } from "~/shelf/shelf-view";

/** A jar as the shelf shows it. */
export interface ShelfRow {
  readonly jar: JarRecord;
  readonly kind: string;
  readonly leftMl: number | undefined;
  readonly states: readonly JarState[];
  /** Null until it is known what the pieces want. */
  readonly promised: Promised | null;
}

export const STATE_WORDS: Readonly<Record<JarState, string>> = { empty: "empty", low: "low", old: "old: test it" };

/** The shelf in rows. */
export function rowsOf(
  jars: readonly JarRecord[],
  left: ReadonlyMap<string, number>,
  promised: readonly Promised[] | null,
  today: string,
): readonly ShelfRow[] {
  return jars.map((jar) => {
    const kind = kindOf(jar);
    const leftMl = left.get(jar.id);
    return {
      jar,
      kind: kind?.name ?? jar.classId,
      leftMl,
      states: kind ? jarStates(jar, kind, leftMl ?? null, today) : [],
      promised: promised?.find((one) => one.jar === jar.id) ?? null,
    };
  });
}

/** What is looked for on the shelf. */
export interface Sought {
  readonly text: string;
  readonly kind: string;
  readonly only: "" | "low" | "old" | "wanted" | "free";
}

export const ALL: Sought = { text: "", kind: "", only: "" };

export function soughtIn(rows: readonly ShelfRow[], { text, kind, only }: Sought): readonly ShelfRow[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return rows.filter((row) => {
    const said = `${row.jar.name} ${row.kind}`.toLowerCase();
    if (!words.every((word) => said.includes(word)) || (kind !== "" && row.jar.classId !== kind)) return false;
    if (only === "low") return row.states.includes("low") || row.states.includes("empty");
    if (only === "old") return row.states.includes("old");
    if (only === "wanted") return (row.promised?.promises.length ?? 0) > 0;
    return only !== "free" || row.promised?.promises.length === 0;
  });
}
