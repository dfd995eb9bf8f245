import { patternId, pieceId, toolId } from "#core/catalogue/ids";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { perform } from "~/actions/perform";
import { keepPattern, keepTool, patternsIn, removePattern, removeTool, setMarked, toolsIn } from "~/store/marking";
import { database } from "~/store/open.client";
import { shelfIn } from "~/store/shelf";
import { MARKING_FIELDS } from "./marking-asks";
import type { MarkingAsk } from "./marking-asks";

/** What marking out works from beside the piece: tools, kept patterns, colours of the shelf. */
export async function markingLoaded() {
  const db = await database();
  const [tools, patterns, jars] = await Promise.all([toolsIn(db), patternsIn(db), shelfIn(db)]);
  const colours = jars.flatMap(({ name, colour }) => (colour === undefined ? [] : [{ name, colour }]));
  return { tools, patterns, colours };
}

export type MarkingLoaded = Awaited<ReturnType<typeof markingLoaded>>;

/** Does what marking out is asked. */
export async function performMarking(request: Request): Promise<null> {
  const db = await database();
  const result = await perform<MarkingAsk, null>(request, MARKING_FIELDS, {
    "keep-tool": async ({ tool: { id, ...tool }, seen = null }, by) => {
      await keepTool(db, { ...tool, id: toolId(id) }, by, seen);
      return null;
    },
    "remove-tool": async ({ id, label }, by) => {
      await removeTool(db, toolId(id), label, by);
      return null;
    },
    "keep-pattern": async ({ id, pattern }, by) => {
      await keepPattern(db, pattern, patternId(id), by);
      return null;
    },
    "remove-pattern": async ({ id, name }, by) => {
      await removePattern(db, patternId(id), name, by);
      return null;
    },
    marked: async ({ piece, zone, row, count }, by) => {
      await setMarked(db, pieceId(piece), zone as ZoneId, row, count, by);
      return null;
    },
  });
  return result as null;
}
