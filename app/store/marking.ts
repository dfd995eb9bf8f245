import type { PatternId, PieceId, ToolId } from "#core/catalogue/ids";
import type { PatternRecord } from "#core/formats/stores/patterns";
import { MOST_PATTERNS } from "#core/formats/stores/patterns";
import { markedKey } from "#core/formats/stores/pieces";
import { MOST_TOOLS } from "#core/formats/stores/tools";
import type { ToolRecord } from "#core/formats/stores/tools";
import type { KeptPattern } from "#core/marking/kept-pattern";
import type { MarkTool } from "#core/marking/tool";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import { FinalError } from "./final-error";
import { putFields } from "./put-fields";

const order = new Intl.Collator(undefined, { numeric: true });

/** The user's tools, by size. */
export async function toolsIn(db: Database): Promise<readonly ToolRecord[]> {
  return (await db.getAll("tools")).sort((a, b) => a.mm - b.mm || order.compare(a.label, b.label));
}

/** The user's own patterns, by name. */
export async function patternsIn(db: Database): Promise<readonly PatternRecord[]> {
  return (await db.getAll("patterns")).sort((a, b) => order.compare(a.name, b.name));
}

/** Nothing more goes into the notebook of that kind. */
export class TooMany extends FinalError {
  override readonly name = "TooMany";
}

/**
 * Puts a tool into the register, or says otherwise of one that is there.
 *
 * @param seen the tool as the screen showed it; null for a new one
 */
export function keepTool(db: Database, tool: MarkTool & { readonly id: ToolId }, by: By = {}, seen: object | null = null): Promise<void> {
  return runCommand(
    db,
    `the tool ${tool.label}`,
    `tools/${tool.id}`,
    ["tools"],
    async (recorder) => {
      if (!(await recorder.get("tools", tool.id)) && (await recorder.ids("tools")).size >= MOST_TOOLS)
        throw new TooMany(`${MOST_TOOLS} tools are in the register, more do not go`);
      await putFields(recorder, "tools", seen, { ...tool, rev: 0 });
    },
    by,
  );
}

/** Takes a tool out of the register. Rows that name it stay as they are. */
export function removeTool(db: Database, id: ToolId, label: string, by: By = {}): Promise<void> {
  return runCommand(db, `taking the tool ${label} away`, `tools/${id}`, ["tools"], (recorder) => recorder.remove("tools", id), by);
}

/**
 * Keeps a pattern for other pieces.
 *
 * @param id of its own, so that asking twice keeps one
 */
export function keepPattern(db: Database, pattern: KeptPattern, id: PatternId, by: By = {}): Promise<void> {
  return runCommand(
    db,
    `keeping the pattern ${pattern.name}`,
    `patterns/${id}`,
    ["patterns"],
    async (recorder) => {
      if (await recorder.get("patterns", id)) return;
      if ((await recorder.all("patterns")).length >= MOST_PATTERNS) throw new TooMany(`${MOST_PATTERNS} patterns are kept, more do not go`);
      await recorder.put("patterns", { id, rev: 1, ...pattern });
    },
    by,
  );
}

/** Lets a kept pattern go. Pieces it was set on keep their rows. */
export function removePattern(db: Database, id: PatternId, name: string, by: By = {}): Promise<void> {
  return runCommand(db, `letting go of the pattern ${name}`, `patterns/${id}`, ["patterns"], (recorder) => recorder.remove("patterns", id), by);
}

/**
 * Says how many marks of a row are set.
 *
 * @param count 0: none yet
 */
export function setMarked(db: Database, piece: PieceId, zone: string, row: string, count: number, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "the marks of a row",
    `pieces/${piece}`,
    ["pieces"],
    async (recorder) => {
      const current = await recorder.get("pieces", piece);
      if (!current || (current.marked?.[markedKey(zone, row)] ?? 0) === count) return;
      const { marked: before = {}, ...rest } = current;
      const next = Object.fromEntries(Object.entries({ ...before, [markedKey(zone, row)]: count }).filter(([, set]) => set > 0));
      await recorder.put("pieces", { ...rest, rev: current.rev + 1, ...(Object.keys(next).length > 0 ? { marked: next } : {}) });
    },
    by,
  );
}
