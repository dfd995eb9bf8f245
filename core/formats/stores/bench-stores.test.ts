/** What the Bench keeps, in a file: what is sound comes in, what is not is set aside by name, and takes nothing else with it. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { readBundle } from "../bundle";
import { BUNDLE_VERSION } from "../released";
import { fileOf, writeBundle } from "../write-bundle";
import { pebble } from "../../../tests/reference/bench";

const PIECE = { id: "doorwedge0001", rev: 1, piece: pebble(), planId: null };
const at = "2026-11-27T18:00:00.000Z";
const TIMER = { id: "timer00000001", rev: 1, label: "Look for bubbles", from: at, until: "2026-11-27T18:10:00.000Z" };
const RESCUE = { mishap: "run", remedy: "scrape", zone: "top", stepId: "top.base.craft-acrylic" };
const LOOKED = { id: "looked0000001", rev: 1, pieceId: PIECE.id, zone: "top", stepId: "top.base.craft-acrylic", kind: "rub", passed: true, at };

/** A file with these records, as it is read. */
function read(parts: object) {
  const file = fileOf({ ...writeBundle({}), pieces: [PIECE], ...parts } as never);
  const found = readBundle(JSON.stringify(file), CATALOGUE);
  if (!found.ok) throw new Error(found.problem.message);
  return found.value;
}
const aside = (parts: object) => read(parts).aside.map(({ store, problem }) => [store, problem.path]);

describe("a file with what the Bench keeps", () => {
  test("comes back as it went", () => {
    const parts = {
      timers: [TIMER, { ...TIMER, id: "timer00000002", piece: PIECE.id, rescue: RESCUE }],
      inspections: [LOOKED, { ...LOOKED, id: "looked0000002", kind: "tape", grade: 3, passed: false }],
    };
    const { bundle, aside: none } = read(parts);
    expect(none).toEqual([]);
    expect([bundle.timers, bundle.inspections]).toEqual([parts.timers, parts.inspections]);
    expect(bundle.version).toBe(BUNDLE_VERSION);
  });

  test.each([
    ["a timer without words", { timers: [{ ...TIMER, label: "  " }] }, "timers.0.label"],
    ["a timer until nowhen", { timers: [{ ...TIMER, until: "soon" }] }, "timers.0.until"],
    ["a timer of a piece that is not there", { timers: [{ ...TIMER, piece: "nowhere00001" }] }, "timers.0.piece"],
    ["a rescue on no place", { timers: [{ ...TIMER, piece: PIECE.id, rescue: { ...RESCUE, zone: "belly" } }] }, "timers.0.rescue.zone"],
    ["a countdown that was kept", { timers: [{ ...TIMER, leftMs: 3 }] }, "timers.0.leftMs"],
    ["a way of looking nobody knows", { inspections: [{ ...LOOKED, kind: "sniff" }] }, "inspections.0.kind"],
    ["a grade beyond the table", { inspections: [{ ...LOOKED, kind: "tape", grade: 6 }] }, "inspections.0.grade"],
    ["something looked at on no piece", { inspections: [{ ...LOOKED, pieceId: "nowhere00001" }] }, "inspections.0.pieceId"],
  ])("%s is set aside by name, and it alone", (_what, parts, path) => {
    expect(aside(parts)).toEqual([[path.split(".")[0], path]]);
    expect(read(parts).bundle.pieces).toHaveLength(1);
  });

  test("pieces of a batch are counted in whole ones, and no more than there can be; where a piece stands is a few words", () => {
    const note = (pieces: number) => ({
      id: "noted00000001",
      rev: 1,
      pieceId: PIECE.id,
      planId: "plan000000001",
      stepId: "top.base.craft-acrylic",
      zone: "top",
      act: { role: "base", product: "craft-acrylic" },
      coat: 1,
      kind: "started",
      pieces,
      at,
    });
    const plans = [{ id: "plan000000001", pieceId: PIECE.id, rev: 1, school: "", candidateId: "one", edits: [], pinned: [], engineVersion: 3 }];
    expect(aside({ plans, progress: [note(3)] })).toEqual([]);
    for (const pieces of [1.5, -1, 20_000]) expect(aside({ plans, progress: [note(pieces)] })).toEqual([["progress", "progress.0.pieces"]]);
    expect(aside({ pieces: [{ ...PIECE, standsAt: "left of the window" }] })).toEqual([]);
    expect(aside({ pieces: [{ ...PIECE, standsAt: "x".repeat(61) }] })[0]).toEqual(["pieces", "pieces.0.standsAt"]);
  });
});
