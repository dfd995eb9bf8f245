/** Records of finished pieces and trials in files: what is sound comes back as it was, what is not is named and set aside; their photographs travel along. */
import { describe, expect, test } from "@jest/globals";
import joi from "joi";
import { CATALOGUE } from "../../catalogue/catalogue";
import { trialId } from "../../catalogue/ids";
import type { PictureId } from "../../catalogue/ids";
import type { LogRecord } from "../../logbook/record/record";
import { idOfPicture } from "../picture";
import { packNotebook, readNotebook } from "../notebook-file";
import { checkShape } from "../check-shape";
import { line, look, record, sealed, told } from "../../../tests/reference/records";
import { RECORDS } from "./records";
import { TRIALS } from "./trials";

const schema = RECORDS.schema(joi);
const wrong = (more: object) => {
  const shape = checkShape(schema, { ...whole, ...more });
  return shape.ok ? null : shape.problem.path;
};
const whole = record({
  count: 3,
  begunOn: "2026-03-01",
  work: [
    line({
      title: "Dots: Moon pearl",
      role: "decorate",
      technique: "dots",
      colour: "#e9e4da",
      sheen: "satin",
      method: "tool",
      thinning: { with: "water" as never, percent: 15 },
      mix: "2 parts cream, 1 part amber",
      jar: { id: "jar000000001", name: "Moon pearl" },
      rows: [{ id: "r2", name: "Top dots of 2 mm", count: 16, diameterMm: 2, number: 2, towards: "rim", everySecond: true }],
    }),
    sealed("matt varnish"),
  ],
  paint: [{ jar: "jar000000001", name: "Moon pearl", ml: 1.2, perMl: 0.1 }],
  minutes: [{ kind: "decorate/dots", min: 24, timedMin: 24 }],
  mishaps: [{ at: "2026-03-08T10:00:00.000Z", kind: "ruined", zones: ["top"], title: "Dots" }],
  checks: [{ at: "2026-03-09T10:00:00.000Z", zone: "top", kind: "tape", passed: true, grade: 0 }],
  cast: { powder: "Casting gypsum", waterPer100: 38, pouredAt: "2026-02-01T10:00:00.000Z", weighings: [{ at: "2026-02-05T10:00:00.000Z", g: 90, bodies: 3 }] },
  looks: [look(30, "fine"), { ...look(370, "faded", "chipped"), zone: "top", note: "at the edge" }],
  moves: [{ id: "move00000001", on: "2026-03-20", kind: "sold", count: 2, to: "Ida", price: 9 }],
  additions: [{ id: "added0000001", at: "2026-03-11T10:00:00.000Z", text: "the rim too" }],
  money: { body: 1, other: 0.5, price: 9 },
});

describe("a record", () => {
  test("with all it can have fits; one told in words fits", () => {
    expect(wrong({})).toBeNull();
    expect(checkShape(schema, told({ told: { colours: "red" } })).ok).toBe(true);
  });

  test.each<[string, object]>([
    ["count", { count: 0 }],
    ["finishedOn", { finishedOn: "2026-02-30" }],
    ["origin", { origin: "guessed" }],
    ["work.0.zones", { work: [{ ...whole.work[0], zones: [] }] }],
    ["work.0.role", { work: [{ ...whole.work[0], role: "bless" }] }],
    ["work.0.rows.0.towards", { work: [{ ...whole.work[0], rows: [{ ...whole.work[0]!.rows![0], towards: "up" }] }] }],
    ["paint.0.ml", { paint: [{ name: "Navy", ml: -1 }] }],
    ["looks.0", { looks: [{ ...look(3, "fine"), saw: ["fine", "faded"] }] }],
    ["looks.0.saw", { looks: [{ ...look(3, "fine"), saw: [] }] }],
    ["moves.0.count", { moves: [{ ...whole.moves[0], count: 0 }] }],
    ["money.price", { money: { price: -1 } }],
    ["weight", { weight: 3 }],
  ])("is turned away at %s", (path, more) => expect(wrong(more)).toBe(path));

  test("of which more have gone than there were, or of which nothing is told, is none", () => {
    const tools = { readPiece: (() => ({ ok: true })) as never, knowsProduct: () => true, has: () => true };
    const problem = (one: LogRecord) => RECORDS.check!(one, tools, ["records", 0])?.path ?? null;
    expect([problem(whole), problem({ ...whole, count: 1 }), problem({ ...whole, origin: "told" })]).toEqual([null, "records.0.moves", "records.0.told"]);
  });
});

const TRIAL = {
  id: trialId("trial0000001"),
  rev: 1,
  name: "Which yellows",
  begunOn: "2026-03-01",
  spots: [
    { id: "spot00000001", what: "Quiet varnish", looks: [look(30, "fine")] },
    { id: "spot00000002", what: "bare", bare: true as const, looks: [] },
  ],
};

test("a trial has two fields at least, each its own", () => {
  const trial = (more: object) => checkShape(TRIALS.schema(joi), { ...TRIAL, ...more }).ok;
  expect([trial({}), trial({ spots: TRIAL.spots.slice(0, 1) }), trial({ spots: [TRIAL.spots[0], TRIAL.spots[0]] }), trial({ name: " " })]).toEqual([
    true,
    false,
    false,
    false,
  ]);
});

describe("in a file", () => {
  const jpeg = (n: number) => new Uint8Array([0xff, 0xd8, 0xff, n]);
  const [large, small, other] = [jpeg(1), jpeg(2), jpeg(3)];
  const shot = (picture: Uint8Array, tiny: Uint8Array) => ({
    picture: idOfPicture(picture),
    small: idOfPicture(tiny),
    width: 4,
    height: 3,
    at: "2026-03-10T10:00:00.000Z",
    stage: "after" as const,
  });
  const shown = { ...whole, pictures: [shot(large, small)] };
  const all = new Map<PictureId, Uint8Array>([large, small, other].map((one) => [idOfPicture(one), one]));
  const back = (content: string | Uint8Array) => {
    const read = readNotebook(typeof content === "string" ? new TextEncoder().encode(content) : content, CATALOGUE);
    if (!read.ok) throw new Error(read.problem.message);
    return read.value;
  };

  test("a record and its photographs come back just as they were; a picture nothing names stays out", () => {
    const { content, aside } = packNotebook({ records: [shown], trials: [TRIAL] }, all, CATALOGUE);
    const { bundle, pictures, altered } = back(content);
    expect([aside, altered, bundle.records, bundle.trials]).toEqual([[], false, [shown], [TRIAL]]);
    expect([...pictures.keys()].sort()).toEqual([idOfPicture(large), idOfPicture(small)].sort());
  });

  test("one whose photograph is lost goes on without it, and that is said; one that is damaged is set aside by name", () => {
    const { content, aside } = packNotebook(
      { records: [shown, { ...whole, id: "damaged00001", count: "many" }] },
      new Map([[idOfPicture(small), small]]),
      CATALOGUE,
    );
    expect(aside.map(({ store, name }) => [store, name])).toEqual([
      ["records", "Grey pebble"],
      ["photos", "a photograph in the record of Grey pebble"],
    ]);
    expect(back(content).bundle.records).toEqual([{ ...shown, pictures: [] }]);
  });
});
