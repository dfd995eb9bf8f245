/** What casting may be asked: what is sound goes through as it is, what is not is turned away at the very place; and how it says what it shows. */
import { describe, expect, test } from "@jest/globals";
import joi from "joi";
import { compoundId, mouldId, pourId } from "#core/catalogue/ids";
import { FAULT_KINDS, FAULTS } from "#core/casting/repair/fault";
import type { Fault } from "#core/casting/repair/fault";
import { weightTold } from "#core/drying/constant-weight";
import { checkShape } from "#core/formats/check-shape";
import { CASTING_FIELDS } from "./casting-asks";
import type { CastingAsk } from "./casting-asks";
import { sayDrying, sayFault, sayMoulds, sayRatio, sayWhenDry, weightUnit } from "./casting-words";

const at = "2026-11-28T18:00:00.000Z";
const FORM = { kind: "disc", diameterMm: 90, thicknessMm: 14 } as const;
const MOULD = { id: mouldId("mouldnumber1"), name: "Table number", form: FORM, count: 4 };
const POUR = pourId("pour00000001");
const HOLE: Fault = { kind: "hole", place: "face", bodies: 2, each: 3, widthMm: 2 };
const OVER = { name: "Table numbers", count: 2, uses: ["handled"], faulty: false, soapy: false, matured: false };

const BEGUN: CastingAsk = {
  intent: "begin",
  pour: {
    id: POUR,
    at,
    powder: { kind: "gypsum", name: "Casting gypsum", label: {} },
    reservePercent: 5,
    preparation: "none",
    conditions: { roomC: 18 },
    moulds: [{ mould: MOULD.id, name: MOULD.name, form: FORM, count: 4, ml: 89 }],
    bowls: [{ fills: [{ mould: 0, count: 4 }], waterG: 180, powderG: 474, run: { tared: false }, stages: {} }],
    bodies: [],
  },
};

const SOUND: readonly CastingAsk[] = [
  { intent: "keep-mould", mould: MOULD },
  { intent: "keep-mould", mould: { ...MOULD, waterG: 88, part: "lid", stiff: true, traps: ["lip", "groove"] } },
  { intent: "remove-mould", id: MOULD.id, name: MOULD.name },
  { intent: "keep-compound", compound: { id: compoundId("bagofgypsum1"), kind: "gypsum", name: "Casting gypsum", label: { setMin: 30 }, bagG: 4536 } },
  {
    intent: "keep-compound",
    compound: {
      id: compoundId("kitofresin01"),
      kind: "resin",
      name: "Tray resin",
      resin: { hardenerPer100: 50, by: "volume", resinGPerMl: 1.1, hardenerGPerMl: 1, potMin: 40, potG: 150, potC: 23 },
    },
  },
  { intent: "remove-compound", id: "bagofgypsum1", name: "Casting gypsum" },
  BEGUN,
  { intent: "pour", id: POUR, change: { kind: "run", bowl: 0, run: { tared: true, waterG: 180 } } },
  { intent: "pour", id: POUR, change: { kind: "stage", bowl: 0, stage: "soak", at } },
  { intent: "pour", id: POUR, change: { kind: "weigh", bodies: 0, at, g: 640 } },
  { intent: "pour", id: POUR, change: { kind: "weigh-off", bodies: 0, at } },
  { intent: "pour", id: POUR, change: { kind: "on-scale", bodies: 0, count: 2 } },
  { intent: "pour", id: POUR, change: { kind: "fault", bodies: 0, fault: { ...HOLE, id: "hole00000001", roundsDone: 2 } } },
  { intent: "pour", id: POUR, change: { kind: "fault-off", bodies: 0, id: "hole00000001" } },
  { intent: "pour", id: POUR, change: { kind: "water", waterC: 30 } },
  { intent: "remove-pour", id: POUR },
  { intent: "hand-over", id: POUR, piece: "pieceofcast1", bodies: 0, of: OVER, set: "For the terrace" },
  { intent: "piece-of-mould", mould: MOULD.id, piece: "pieceofcast1" },
  { intent: "faults", piece: "pieceofcast1", faults: [HOLE] },
];

function read(ask: object): ReturnType<typeof checkShape> {
  const { intent } = ask as CastingAsk;
  return checkShape(joi.object({ intent: joi.string().required(), ...CASTING_FIELDS[intent](joi) }), ask);
}

describe("what casting is asked", () => {
  test.each(SOUND.map((ask) => [`${ask.intent}${ask.intent === "pour" ? `: ${ask.change.kind}` : ""}`, ask] as const))(
    "%s goes through as it is",
    (_name, ask) => {
      expect(read(ask)).toEqual({ ok: true, value: ask });
    },
  );

  test("every intent is among them", () => {
    expect([...new Set(SOUND.map(({ intent }) => intent))].sort()).toEqual(Object.keys(CASTING_FIELDS).sort());
  });

  const pour = (change: object) => ({ intent: "pour", id: POUR, change });
  test.each([
    ["a mould without a shape", { intent: "keep-mould", mould: { ...MOULD, form: undefined } }, "mould.form"],
    ["a mould by another's id", { intent: "keep-mould", mould: { ...MOULD, id: "../../x" } }, "mould.id"],
    ["a count of changes from the page", { intent: "begin", pour: { ...BEGUN.pour, rev: 7 } }, "pour.rev"],
    ["a pour without its bowls", { intent: "begin", pour: { ...BEGUN.pour, bowls: [] } }, "pour.bowls"],
    ["a weight below nothing", pour({ kind: "weigh", bodies: 0, at, g: -3 }), "change"],
    ["a stage nobody knows", pour({ kind: "stage", bowl: 0, stage: "dance", at }), "change"],
    ["a piece that hands itself over", pour({ kind: "handed", bodies: 0, piece: "pieceofcast1", count: 2 }), "change"],
    ["bodies for no use", { intent: "hand-over", id: POUR, piece: "pieceofcast1", bodies: 0, of: { ...OVER, uses: [] } }, "of.uses"],
    ["half a body", { intent: "hand-over", id: POUR, piece: "pieceofcast1", bodies: 0, of: { ...OVER, count: 0.5 } }, "of.count"],
    ["a fault larger than any body", { intent: "faults", piece: "pieceofcast1", faults: [{ ...HOLE, widthMm: 9000 }] }, "faults.0.widthMm"],
    ["more than is asked for", { intent: "remove-pour", id: POUR, also: "everything" }, "also"],
  ])("%s is turned away", (_what, ask, path) => {
    const found = read(ask);
    expect(found.ok ? null : found.problem.path).toBe(path);
  });
});

describe("what is said", () => {
  test("of faults: how many, where, and on how many of them", () => {
    expect(sayFault(HOLE, 4)).toBe("3 air holes on the face of 2 of them");
    expect(sayFault({ ...HOLE, each: 1 }, 1)).toBe("an air hole on the face");
    expect(sayFault({ ...HOLE, kind: "uneven-foot", place: "foot", each: 1, bodies: 1 }, 3)).toBe("a foot that rocks, 1 of them");
    for (const kind of FAULT_KINDS) expect(FAULTS[kind].name).toMatch(/^an? /);
  });

  test("of moulds, ratios and units as a person says it", () => {
    expect(
      sayMoulds([
        { name: "Table number", count: 3 },
        { name: "Salt box", count: 1 },
      ]),
    ).toBe("Table number × 3, Salt box");
    expect([sayRatio(38), sayRatio(37.9721)]).toEqual(["38 of water to 100", "38 of water to 100"]);
    expect([weightUnit("mm"), weightUnit("in")]).toEqual(["g", "oz"]);
  });

  const DAY = 86_400_000;
  const START = Date.parse("2026-11-24T09:00:00Z");
  const weighed = (...g: readonly number[]) => g.map((one, k) => ({ at: START + k * DAY, g: one }));
  test("of drying: to weigh, how long yet, that it is dry; never a day that is past, nor tenths of a gram that nobody weighed", () => {
    const now = START + 3 * DAY;
    expect(sayDrying(null, "g", now, true)).toBe("Weigh them now and then: two or three weighings say when they may be painted.");
    expect(sayDrying(weightTold(weighed(840)), "g", now, false)).toBe("Weigh it again a good half day on.");
    expect(sayDrying(weightTold(weighed(840, 800)), "g", now, false)).toBe(
      "40 g lighter by now. One more weighing, a good half day on, says when it may be painted.",
    );
    const open = sayDrying(weightTold(weighed(840, 795, 767, 749), { dryG: 726 }), "g", now, true);
    expect(open).toMatch(/^About \d+ g of water still in them: they may be painted about \w+( \d+ \w+)?(, .+ at the latest)?\.$/);
    expect(sayDrying(weightTold(weighed(840, 795, 767, 749), { dryG: 726 }), "oz", now, true)).toContain("oz of water");
    expect(sayDrying(weightTold(weighed(840, 760, 730, 726, 726, 726)), "g", now, false)).toBe("The weight stays the same: it may be painted.");
    expect(sayDrying(weightTold(weighed(700, 640, 690)), "g", now, false)).toContain("Heavier than before");
    expect(sayDrying(weightTold(weighed(12, 12)), "g", now, false)).toContain("finer scale");
    expect([sayWhenDry({ typical: now + DAY, to: now + DAY }, now), sayWhenDry({ typical: now + DAY, to: now + 3 * DAY }, now)]).toEqual([
      "tomorrow",
      "about tomorrow, Monday at the latest",
    ]);
  });
});
