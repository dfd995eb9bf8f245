/** Records of finished pieces to try things on. */
import { logRecordId, productId } from "#core/catalogue/ids";
import type { LogRecord, Look, Saw, WorkLine } from "#core/logbook/record/record";
import { pebble } from "./bench";

export const DAY_MS = 86_400_000;
export const FINISHED = "2026-03-10";
/** So many days after it was finished. */
export const after = (days: number) => new Date(Date.parse(FINISHED) + days * DAY_MS).toISOString();

/** A line of work; on the top where nothing else is said. */
export function line(more: Partial<WorkLine> & { readonly title: string }): WorkLine {
  return {
    zones: ["top"],
    role: "base",
    product: productId("craft-acrylic"),
    coats: 1,
    first: "2026-03-08T18:00:00.000Z",
    last: "2026-03-08T18:00:00.000Z",
    ...more,
  };
}

let count = 0;

/** A piece that was written down with nothing much in it. */
export function record(more: Partial<LogRecord> = {}): LogRecord {
  const piece = pebble({ uses: ["outdoor-exposed"] });
  return {
    id: logRecordId(`record${String((count += 1)).padStart(6, "0")}`),
    rev: 1,
    origin: "bench",
    name: "Grey pebble",
    body: "Smooth pebble",
    piece,
    count: 1,
    finishedOn: FINISHED,
    writtenAt: "2026-03-10T20:00:00.000Z",
    work: [],
    paint: [],
    minutes: [],
    mishaps: [],
    checks: [],
    pictures: [],
    additions: [],
    looks: [],
    moves: [],
    ...more,
  };
}

/** A piece that was told in words. */
export function told(more: Partial<LogRecord> & Pick<LogRecord, "told">): LogRecord {
  const { piece: _none, ...rest } = record({ ...more, origin: "told" });
  return rest;
}

/** A look so many days after it was finished. */
export function look(days: number, ...saw: readonly Saw[]): Look {
  return { id: `look${String((count += 1)).padStart(8, "0")}`, at: after(days), saw };
}

export const sealed = (title: string, product = "outdoor-varnish") => line({ title: `Seal: ${title}`, role: "seal", product: productId(product), coats: 2 });
