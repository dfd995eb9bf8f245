import { describe, expect, test } from "@jest/globals";
import { readFileSync } from "node:fs";
import { CATALOGUE } from "../catalogue/catalogue";
import { readBundle } from "./bundle";
import { isDay } from "./hours-schema";
import { BUNDLE_VERSION } from "./released";
import { fileOf, writeBundle } from "./write-bundle";
import { jarId, productId } from "../catalogue/ids";
import type { JarRecord } from "./stores/shelf";
import { USUAL_SETTINGS } from "./stores/settings";
import type { RoomRecord } from "./stores/rooms";
import type { ProgressRecord } from "../logbook/progress";
import type { PlanRecord } from "./stores/plans";
import type { PieceRecord } from "./stores/pieces";
import { usualHours } from "../schedule/free-hours";
import { pebble } from "../../tests/reference/bench";

const record = (id: string, more: object = {}) => ({ id, rev: 3, piece: pebble({ name: `Stone ${id}` }), planId: null, ...more }) as unknown as PieceRecord;
const plan = (id: string, pieceId: string, more: object = {}) =>
  ({
    id,
    pieceId,
    rev: 1,
    school: "gesso below",
    candidateId: "0011",
    edits: [{ op: "remove", stepId: "top.seal.1" }],
    pinned: [],
    engineVersion: 1,
    ...more,
  }) as unknown as PlanRecord;
const done = {
  id: "gggggggg1",
  rev: 1,
  pieceId: "aaaaaaaa1",
  planId: "pppppppp1",
  stepId: "top.base.craft-acrylic",
  zone: "top",
  act: { role: "base", product: "craft-acrylic", colour: "#1f3a4d", wetMicrons: 90 },
  coat: 1,
  kind: "done",
  at: "2026-11-24T19:30:00.000Z",
} as unknown as ProgressRecord;
const shed = { id: "rrrrrrrr1", rev: 1, name: "Back room", room: { temperatureC: 16, relativeHumidity: 0.65, airflow: "still" } } as unknown as RoomRecord;
const jar: JarRecord = {
  id: jarId("jjjjjjjj1"),
  rev: 1,
  classId: productId("craft-acrylic"),
  name: "Harbour navy",
  colour: "#1f3a4d",
  label: { opacity: "opaque", recoatMin: 60, bake: null },
  left: { ml: 40, by: "eye", at: "2026-11-24T19:30:00.000Z" },
};
const bundle = writeBundle({
  pieces: [record("aaaaaaaa1", { planId: "pppppppp1", dates: { start: "2026-11-25", due: "2026-12-24" } }), record("bbbbbbbb2")],
  plans: [plan("pppppppp1", "aaaaaaaa1")],
  progress: [done],
  shelf: [jar],
  rooms: [shed],
  hours: [{ id: "hours", rev: 1, hours: usualHours("Europe/London") }],
  settings: [{ ...USUAL_SETTINGS, rev: 1 }],
});
const read = (document: unknown) => readBundle(JSON.stringify(document), CATALOGUE);
/** What is wrong with the file as a whole, or with the first record that was set aside. */
const problem = (document: unknown) => {
  const result = read(document);
  return result.ok ? (result.value.aside[0]?.problem ?? null) : result.problem;
};

describe("a bundle", () => {
  test("comes back as it went", () => expect(read(bundle)).toEqual({ ok: true, value: { bundle, aside: [], altered: false } }));
  test("is the same file for the same notebook, whatever the order", () =>
    expect(JSON.stringify(writeBundle({ pieces: [record("bbbbbbbb2"), record("aaaaaaaa1")] }))).toBe(
      JSON.stringify(writeBundle({ pieces: [record("aaaaaaaa1"), record("bbbbbbbb2")] })),
    ));
  test("may lack parts, and may name later ones empty", () =>
    expect(read({ format: "nook-coat/bundle", version: BUNDLE_VERSION, recipes: [] })).toEqual({
      ok: true,
      value: { bundle: writeBundle({}), aside: [], altered: false },
    }));
  test("an older one is brought up to date: its steps are named anew, its work is complete in itself", () => {
    const old = readBundle(readFileSync("tests/fixtures/bundle-1.json", "utf8"), CATALOGUE);
    if (!old.ok) throw new Error(JSON.stringify(old.problem));
    expect(old.value.bundle.version).toBe(BUNDLE_VERSION);
    expect(old.value.bundle.progress).toHaveLength(3);
    for (const one of old.value.bundle.progress) expect(one).toMatchObject({ pieceId: "southwedge1", zone: "top", act: { role: expect.any(String) } });
    expect(read(old.value.bundle)).toEqual(old);
  });
  test.each(["bundle-2.json", "bundle-3.json"])("%s is as it was written, and keys without Ctrl go on in it", (fixture) => {
    const old = readBundle(readFileSync(`tests/fixtures/${fixture}`, "utf8"), CATALOGUE);
    expect(old).toMatchObject({ ok: true, value: { aside: [], altered: false, bundle: { shelf: [], settings: [{ singleKeys: true }] } } });
  });
  test("bundle-5.json carries a way of working, a set and what is put away, as it was written", () => {
    const file = readBundle(readFileSync("tests/fixtures/bundle-5.json", "utf8"), CATALOGUE);
    expect(file).toMatchObject({ ok: true, value: { aside: [], altered: false, bundle: { recipes: [{ name: "Herb pots, sealed inside" }] } } });
    expect(file.ok && file.value.bundle.pieces.map(({ set, putAway }) => [set, putAway])).toContainEqual(["For the terrace", "2026-11-26"]);
  });
  test("an older one with a fault says where", () => {
    const old = JSON.parse(readFileSync("tests/fixtures/bundle-1.json", "utf8"));
    expect(problem({ ...old, plans: [{ ...old.plans[0], edits: "none" }] })).toMatchObject({ path: "plans.0.edits" });
    expect(problem({ ...old, progress: [{ ...old.progress[0], kind: "lost" }] })).toMatchObject({ path: "progress.0.kind" });
  });
  test("an older one with a change that is none costs the plan, not the file", () => {
    const old = JSON.parse(readFileSync("tests/fixtures/bundle-1.json", "utf8"));
    for (const edits of [[null], "none", 7]) {
      const result = read({ ...old, plans: [{ ...old.plans[0], edits }] });
      expect(result.ok && [result.value.bundle.pieces.length > 0, result.value.aside[0]?.store]).toEqual([true, "plans"]);
    }
  });
  test("may begin with the mark some editors write", () => expect(readBundle(`\uFEFF${JSON.stringify(bundle)}`, CATALOGUE).ok).toBe(true));
});

describe("what is not taken, and where it says so", () => {
  const [first, second] = bundle.pieces;
  test.each([
    ["a damaged file", null, "not-json", ""],
    ["another file", { hello: 1 }, "not-a-bundle", "format"],
    ["a list", [], "not-a-bundle", ""],
    ["a newer bundle", { ...bundle, version: BUNDLE_VERSION + 1 }, "too-new", "version"],
    ["a word it does not know", { ...bundle, wishes: [] }, "unknown-key", "wishes"],
    ["a way of working that is none", { ...bundle, recipes: [{ id: 1 }] }, "bad-value", "recipes.0.id"],
    ["a jar of no kind known here", { ...bundle, shelf: [{ ...jar, classId: "milk" }] }, "unknown-id", "shelf.0.classId"],
    ["a jar with a label nobody prints", { ...bundle, shelf: [{ ...jar, label: { minC: 30, maxC: 8 } }] }, "bad-value", "shelf.0.label.maxC"],
    ["a piece that is none", { ...bundle, pieces: [{ ...first, piece: { ...first!.piece, uses: ["flying"] } }] }, "unknown-id", "pieces.0.piece.uses.0"],
    ["two pieces of one id", { ...bundle, pieces: [first, { ...second, id: first!.id }] }, "bad-value", "pieces.1"],
    ["work done on a plan that is not there", { ...bundle, plans: [] }, "unknown-id", "progress.0.planId"],
    [
      "an hour that no clock shows",
      { ...bundle, hours: [{ id: "hours", rev: 1, hours: { ...usualHours("UTC"), weekday: [[{ from: "25:00", to: "26:00" }], [], [], [], [], [], []] } }] },
      "bad-value",
      "hours.0.hours.weekday.0.0.from",
    ],
    ["a plan without its piece", { ...bundle, pieces: [second] }, "unknown-id", "plans.0.pieceId"],
    ["a change that is none", { ...bundle, plans: [plan("pppppppp1", "aaaaaaaa1", { edits: [{ op: "explode" }] })] }, "bad-value", "plans.0.edits.0"],
    [
      "a change of a number that is worked out",
      { ...bundle, plans: [plan("pppppppp1", "aaaaaaaa1", { edits: [{ op: "set", stepId: "x", field: "jarMl", value: 2 }] })] },
      "bad-value",
      "plans.0.edits.0",
    ],
  ])("%s", (_name, document, code, path) => {
    const found = document === null ? readBundle('{"format": "nook-coat/bu', CATALOGUE) : null;
    expect(found ? (found.ok ? null : found.problem) : problem(document)).toMatchObject({ code, path });
  });
  test("a newer file's message names both versions", () =>
    expect(problem({ ...bundle, version: BUNDLE_VERSION + 1 })?.message).toMatch(new RegExp(`version ${BUNDLE_VERSION + 1}.*version ${BUNDLE_VERSION}`)));
});

describe("a damaged record costs itself", () => {
  const [first, second] = bundle.pieces;
  test("the others come in, and it is named and handed back whole", () => {
    const broken = { ...first!, piece: { ...first!.piece, uses: ["flying"] } };
    const result = read({ ...bundle, pieces: [broken, second] });
    if (!result.ok) throw new Error(result.problem.message);
    expect(result.value.bundle.pieces).toEqual([second]);
    expect(result.value.aside.map((one) => [one.store, one.name])).toEqual([
      ["pieces", "Stone aaaaaaaa1"],
      ["plans", "a plan"],
      ["progress", "a note of a coat that was laid"],
    ]);
    expect(result.value.aside[0]?.record).toEqual(broken);
    const carried = readBundle(JSON.stringify(fileOf(result.value.bundle, result.value.aside)), CATALOGUE);
    expect(carried.ok && [carried.value.altered, carried.value.aside.map((one) => one.record)]).toEqual([false, result.value.aside.map((one) => one.record)]);
  });
  test.each([[null], [7], ["text"], [[]], [{}], [{ id: "aaaaaaaa1", rev: 1, piece: null, planId: null }]])("%j is no piece", (record) => {
    const result = read({ ...bundle, plans: [], progress: [], pieces: [record, second] });
    expect(result.ok && [result.value.bundle.pieces, result.value.aside.length]).toEqual([[second], 1]);
  });
  test("a file that was changed since it was written says so", () => {
    const file = fileOf(bundle);
    const altered = (document: unknown) => {
      const result = read(document);
      return result.ok && result.value.altered;
    };
    expect([altered(file), altered({ ...file, rooms: [] }), altered(bundle)]).toEqual([false, true, false]);
  });
  test("nested beyond all reading it is refused, not followed", () => {
    const deep = `${'{"a":'.repeat(200_000)}1${"}".repeat(200_000)}`;
    const text = JSON.stringify(bundle).replace('"edits":[', `"edits":[{"op":"set","stepId":"x","field":"heat","value":${deep}},`);
    const result = readBundle(text, CATALOGUE);
    expect(result.ok ? result.value.aside[0]?.store : result.problem.code).toMatch(/plans|not-json|not-a-bundle/);
  });
});

describe("no number and no list of a plan's changes is without bounds", () => {
  const edited = (...edits: object[]) => problem({ ...bundle, progress: [], plans: [plan("pppppppp1", "aaaaaaaa1", { edits })] })?.path ?? null;
  const set = (field: string, value: unknown) => ({ op: "set", stepId: "top.base.craft-acrylic", field, value });
  const added = (more: object) => ({ op: "add", zone: "top", at: { start: true }, step: { role: "base", product: "craft-acrylic", ...more } });
  test.each([
    [set("coats", 1e9)],
    [set("coats", "3")],
    [set("product", { id: "craft-acrylic" })],
    [set("waitBefore", { min: 1e12 })],
    [set("colour", "red")],
    [added({ checks: Array.from({ length: 100_000 }, () => "dry?") })],
    [added({ because: [null] })],
    [added({ laidAt: "9999-99-99T00:00:00Z" })],
    [{ op: "setPiece", path: "name", value: 1 }],
  ])("%#", (edit) => expect(edited(edit)).toBe("plans.0.edits.0"));
  test("nor the number of changes", () => expect(edited(...Array.from({ length: 5000 }, () => set("coats", 2)))).toBe("plans.0.edits"));
  test("what fits is taken", () => expect(edited(set("coats", 3), set("thinning", null), added({ coats: 2 }))).toBeNull());
});

test.each([
  ["2026-02-28", true],
  ["2026-02-30", false],
  ["2026-99-99", false],
  ["1999-12-31", false],
  ["2200-01-01", false],
  ["+010000-01-01", false],
  ["2026-2-3", false],
])("the day %s is one: %s", (day, is) => expect(isDay(day)).toBe(is));

test("a file from before the logbook is read: nothing is written down in it, what an hour costs was never said, what was noted of coats stays", () => {
  const { perHour: _hour, toolsEach: _tools, margin: _margin, tellAt: _tell, ...before } = { ...USUAL_SETTINGS, rev: 3, signature: "Ada" };
  const read = readBundle(JSON.stringify({ format: "nook-coat/bundle", version: 12, settings: [before] }), CATALOGUE);
  expect(read).toMatchObject({
    ok: true,
    value: {
      aside: [],
      bundle: { version: 15, records: [], trials: [], settings: [{ signature: "Ada", perHour: null, toolsEach: null, margin: null, tellAt: "" }] },
    },
  });
});
