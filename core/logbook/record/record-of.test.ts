/** The record of a piece comes from what was noted at the bench and from nothing else. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { jarId, productId } from "../../catalogue/ids";
import type { PictureId, PieceId } from "../../catalogue/ids";
import type { Jar } from "../../catalogue/jar";
import { usedSince } from "../paint-used";
import type { ProgressKind, ProgressRecord } from "../progress";
import { Bench } from "../../../tests/reference/half-painted";
import { pebble } from "../../../tests/reference/bench";
import type { KeptPicture, Known } from "./record-of";
import { recordOf } from "./record-of";
import { costOf } from "./cost";
import { sayLine } from "./say-record";

const PIECE = "piece" as PieceId;
const ROWS = [
  { id: "r1", kind: "centre", colours: ["#f4efe2"], diameterMm: 6 },
  { id: "r2", kind: "dots", colours: ["#d9822b"], diameterMm: 4, toolName: "ball 4" },
  { id: "r3", kind: "top-dots", on: "r2", colours: ["#f4efe2"], diameterMm: 2, towards: "rim" },
] as const;
const piece = pebble({
  name: "Grey pebble",
  uses: ["gift-or-sale"],
  count: 3,
  decoration: { baseColour: "#8b8f91", techniques: ["dots"], colours: ["#f4efe2"] },
});
const known = (progress: readonly ProgressRecord[], more: Partial<Known> = {}): Known => ({
  pieceId: PIECE,
  piece,
  progress,
  checks: [],
  pictures: [],
  jars: [],
  pours: [],
  ...more,
});
const made = (of: Known) => recordOf(of, CATALOGUE, "UTC");
const worked = (tasks: number) => new Bench(piece).work(tasks);

describe("a piece that was worked to its end", () => {
  const bench = worked(60);
  const whole = made(known(bench.progress));

  test("has every coat of its plan, in the order they were begun, once for all places that got it alike", () => {
    const { shown } = bench.view;
    const laid = shown!.zones.flatMap(({ zone, steps }) =>
      steps.flatMap(({ role, product, coats }) =>
        bench.progress.some((one) => one.act.role === role && one.zone === zone) ? [`${zone}/${role}/${product}/${coats}`] : [],
      ),
    );
    const told = whole.work.flatMap(({ zones, role, product, coats }) => zones.map((zone) => `${zone}/${role}/${product}/${coats}`));
    expect([...told].sort()).toEqual([...laid].sort());
    expect(whole.work.map(({ first }) => first)).toEqual(whole.work.map(({ first }) => first).sort());
    expect(whole.work.length).toBeLessThan(told.length);
  });

  test("says how paints were thinned, how long hands were on it, and its days", () => {
    const [base] = whole.work.filter(({ role }) => role === "base");
    expect(base!.thinning?.percent).toBeGreaterThanOrEqual(0);
    expect(whole).toMatchObject({ origin: "bench", name: "Grey pebble", body: "Smooth pebble", count: 3, begunOn: "2026-11-02" });
    expect(whole.finishedOn! > whole.begunOn!).toBe(true);
    const hands = whole.minutes.reduce((sum, { min }) => sum + min, 0);
    const planned = bench.view.shown!.totals.handsOnMin;
    expect(hands).toBeGreaterThan(planned * 0.8);
    expect(hands).toBeLessThan(planned * 1.2);
    expect(whole.minutes.every(({ timedMin }) => timedMin === 0)).toBe(true);
  });

  test("nothing of it hangs on the plan any more: a piece stated otherwise later has the same work", () => {
    const other = made({ ...known(bench.progress), piece: { ...piece, material: "terracotta" as never } });
    expect(other.work).toEqual(whole.work);
  });
});

const note = (kind: ProgressKind, more: Partial<ProgressRecord> & Pick<ProgressRecord, "at">): ProgressRecord => ({
  id: `note${more.at}${kind}${more.zone ?? ""}${more.coat ?? 1}` as ProgressRecord["id"],
  rev: 1,
  pieceId: PIECE,
  planId: "plan" as ProgressRecord["planId"],
  stepId: "top.base.craft-acrylic" as ProgressRecord["stepId"],
  zone: "top",
  act: { role: "base", product: productId("craft-acrylic"), colour: "#1f3a4d", ownProduct: "navy" },
  coat: 1,
  kind,
  jarMl: 4,
  handsOnMin: 10,
  ...more,
});
const at = (minute: number) => new Date(Date.parse("2026-11-20T18:00:00Z") + minute * 60_000).toISOString();
const navy: Jar = { id: jarId("navy"), classId: productId("craft-acrylic"), name: "Harbour navy", colour: "#1f3a4d", label: {}, sizeMl: 50, paid: 5 };
const pot: Jar = {
  id: jarId("pot"),
  classId: productId("craft-acrylic"),
  name: "Dusk",
  label: {},
  mix: [
    { jar: jarId("navy"), name: "Harbour navy", colour: "#1f3a4d", share: 0.5 },
    { jar: jarId("gone"), name: "Gone", colour: "#ffffff", share: 0.5 },
  ],
};

describe("what went wrong", () => {
  const progress = [
    note("done", { at: at(0) }),
    note("tacky", { at: at(30) }),
    note("ruined", { at: at(60) }),
    note("done", { at: at(90) }),
    note("done", { at: at(95), coat: 2 }),
    note("removed", { at: at(96), coat: 2 }),
  ];
  const record = made(known(progress, { jars: [navy, pot] }));

  test("is told; what was noted by a slip is not; a ruined coat has used its paint and its minutes", () => {
    expect(record.work.map(({ coats, title }) => [coats, title])).toEqual([[1, "Base colour: Harbour navy"]]);
    expect(record.mishaps.map(({ kind }) => kind)).toEqual(["tacky", "ruined"]);
    expect(record.paint).toEqual([{ jar: "navy", name: "Harbour navy", ml: 8, perMl: 0.1 }]);
    expect(record.minutes).toEqual([{ kind: "base", min: 20, timedMin: 0 }]);
  });

  test("a pot that was mixed costs what its parts cost, and nothing is made up where one has no price", () => {
    const fromPot = [note("done", { at: at(0), act: { role: "base", product: productId("craft-acrylic"), ownProduct: "pot" } })];
    expect(made(known(fromPot, { jars: [navy, pot] })).paint[0]).not.toHaveProperty("perMl");
    const gone: Jar = { ...navy, id: jarId("gone"), name: "Gone", paid: 10 };
    expect(made(known(fromPot, { jars: [navy, pot, gone] })).paint[0]!.perMl).toBeCloseTo(0.15, 9);
  });
});

test("minutes by the clock stand for all that was done in that go; one act shared by two places is one", () => {
  const go = [
    note("done", { at: at(0), actual: { work: { min: 30, reckonedMin: 20 } } }),
    note("done", { at: at(0), zone: "back", stepId: "back.base" as never }),
    note("done", { at: at(60), act: { role: "clean", product: productId("soap-wash"), group: "wash" }, handsOnMin: 6 }),
    note("done", {
      at: at(60),
      zone: "back",
      stepId: "back.clean" as never,
      act: { role: "clean", product: productId("soap-wash"), group: "wash" },
      handsOnMin: 6,
    }),
  ];
  expect(made(known(go)).minutes).toEqual([
    { kind: "base", min: 30, timedMin: 30 },
    { kind: "clean", min: 6, timedMin: 0 },
  ]);
});

test("rows of marks keep their tool, their count, which row they are, and which way their top dots look", () => {
  const patterned = { ...piece, decoration: { ...piece.decoration, patterns: [{ zone: "top" as const, rows: ROWS }] } };
  const act = {
    role: "top-dot" as const,
    product: productId("craft-acrylic"),
    technique: "dots" as const,
    rows: [{ id: "r3", name: "Top dots of 2 mm", count: 16, diameterMm: 2, tool: "stylus 2" }],
  };
  const { work } = made({ ...known([note("done", { at: at(0), act })]), piece: patterned });
  expect(work[0]!.rows).toEqual([{ ...act.rows[0]!, number: 3, towards: "rim" }]);
  expect(sayLine(work[0]!, "mm")).toContain("row 3: top dots of 2 mm, 16 of them, with stylus 2, set towards the rim");
});

test("photographs are before, at work, or of the finished piece; the casting of its body and its checks come with it", () => {
  const shot = (minute: number): KeptPicture => ({ picture: `p${minute}` as PictureId, small: `s${minute}` as PictureId, width: 8, height: 6, at: at(minute) });
  const pour = {
    at: at(-9000),
    powder: { kind: "gypsum", name: "Casting gypsum", label: {} },
    bowls: [{ run: { waterG: 40, powderG: 100 } }],
    bodies: [{ pieces: [{ piece: PIECE, count: 3 }], weighings: [{ at: at(-5000), g: 300 }], onScale: 3 }],
  };
  const record = made(
    known([note("done", { at: at(0) }), note("done", { at: at(60), coat: 2 })], {
      pictures: [shot(90), shot(-10), shot(30)],
      checks: [{ at: at(70), zone: "top", kind: "tape", passed: true, grade: 0 }],
      pours: [pour as never],
    }),
  );
  expect(record.pictures.map(({ stage }) => stage)).toEqual(["before", "during", "after"]);
  expect(record.checks).toHaveLength(1);
  expect(record.cast).toEqual({ powder: "Casting gypsum", waterPer100: 40, pouredAt: at(-9000), weighings: [{ at: at(-5000), g: 300, bodies: 3 }] });
});

test("costs add up to the paint that left the shelf, whatever was laid, ruined, or noted by a slip", () => {
  const jars: readonly Jar[] = ["a", "b", "c"].map((id, index) => ({ ...navy, id: jarId(id), name: id, paid: index + 1, sizeMl: 10 }));
  const price = new Map(jars.map(({ id, paid }) => [id as string, paid! / 10]));
  const step = fc.record({
    piece: fc.constantFrom("one", "two", "three"),
    jar: fc.constantFrom("a", "b", "c"),
    zone: fc.constantFrom("top" as const, "back" as const),
    coat: fc.integer({ min: 1, max: 3 }),
    kind: fc.constantFrom("started" as const, "done" as const, "done" as const, "ruined" as const, "removed" as const, "tacky" as const),
    ml: fc.integer({ min: 1, max: 30 }),
  });
  fc.assert(
    fc.property(fc.array(step, { maxLength: 40 }), (steps) => {
      const all = steps.map(({ piece: of, jar, zone, coat, kind, ml }, index) =>
        note(kind, {
          at: at(index),
          pieceId: of as PieceId,
          zone,
          coat,
          jarMl: ml,
          act: { role: "base", product: productId("craft-acrylic"), ownProduct: jar },
        }),
      );
      const left = [...usedSince(all, new Map())].reduce((sum, [jar, ml]) => sum + ml * price.get(jar)!, 0);
      const told = ["one", "two", "three"].reduce((sum, of) => {
        const own = made(
          known(
            all.filter(({ pieceId }) => pieceId === of),
            { pieceId: of as PieceId, jars },
          ),
        );
        return sum + (costOf({ ...own, count: 1 }, { perHour: null, toolsEach: null }).shares.paint ?? 0);
      }, 0);
      expect(told).toBeCloseTo(left, 6);
    }),
    { numRuns: 200, seed: 17 },
  );
});
