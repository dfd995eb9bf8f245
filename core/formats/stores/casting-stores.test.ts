/** What casting keeps, in a file: what is sound comes in, what is not is set aside by name, and takes nothing else with it; older files have none of it. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { readBundle } from "../bundle";
import { parsePiece } from "../parse-piece";
import { BUNDLE_VERSION } from "../released";
import { checksumOf, fileOf, writeBundle } from "../write-bundle";
import { pebble } from "../../../tests/reference/bench";

const at = "2026-11-28T18:00:00.000Z";
const FORM = { kind: "disc", diameterMm: 90, thicknessMm: 14 };
const MOULD = { id: "mouldnumber1", rev: 1, name: "Table number", form: FORM, waterG: 88, count: 4, stiff: true, traps: ["groove"] };
const BAG = { id: "bagofgypsum1", rev: 1, kind: "gypsum", name: "Casting gypsum", label: { waterPer100: 38 }, bagG: 4536, paid: 14, left: { g: 4000, at } };
const RESIN = { hardenerPer100: 50, by: "volume", resinGPerMl: 1.1, hardenerGPerMl: 1, potMin: 40, potG: 150, potC: 23 };
const KIT = { id: "kitofresin01", rev: 1, kind: "resin", name: "Tray resin", resin: RESIN };
const HOLE = { id: "hole00000001", kind: "hole", place: "face", bodies: 2, each: 3, widthMm: 2, roundsDone: 1 };
const BODIES = { mould: 0, count: 4, outAt: at, onScale: 4, weighings: [{ at, g: 640 }], faults: [HOLE], pieces: [{ piece: "pieceofcast1", count: 2 }] };
const BOWL = {
  fills: [{ mould: 0, count: 4 }],
  waterG: 140,
  powderG: 370,
  run: { tared: false, waterG: 140, powderG: 370 },
  stages: { sprinkle: at, release: at },
};
const POUR = {
  id: "pour00000001",
  rev: 3,
  at,
  powder: { kind: "gypsum", name: "Casting gypsum", label: { waterPer100: 38 }, compound: BAG.id, paidPerG: 0.003 },
  reservePercent: 5,
  bowlG: 900,
  preparation: "soap",
  conditions: { roomC: 16, waterC: 20 },
  moulds: [{ mould: MOULD.id, name: MOULD.name, form: FORM, count: 4, ml: 88 }],
  bowls: [BOWL],
  bodies: [BODIES],
};
const PIECE = { id: "doorwedge0001", rev: 1, piece: pebble(), planId: null };

function read(parts: object) {
  const found = readBundle(JSON.stringify(fileOf({ ...writeBundle({}), ...parts } as never)), CATALOGUE);
  if (!found.ok) throw new Error(found.problem.message);
  return found.value;
}
const aside = (parts: object) => read(parts).aside.map(({ problem }) => problem.path);

describe("a file with what casting keeps", () => {
  test("comes back as it went", () => {
    const parts = {
      moulds: [MOULD],
      compounds: [BAG, KIT],
      pours: [POUR],
      timers: [{ id: "timer00000001", rev: 1, label: "It sets", from: at, until: at, pour: POUR.id }],
    };
    const { bundle, aside: none } = read(parts);
    expect(none).toEqual([]);
    expect([bundle.moulds, bundle.compounds, bundle.pours, bundle.timers]).toEqual([parts.moulds, parts.compounds, parts.pours, parts.timers]);
  });

  test.each([
    ["a mould without a name", { moulds: [{ ...MOULD, name: " " }] }, "moulds.0.name"],
    ["a mould of a shape that lacks a measure", { moulds: [{ ...MOULD, form: { kind: "disc", diameterMm: 90 } }] }, "moulds.0.form.thicknessMm"],
    ["a mould of no shape", { moulds: [{ ...MOULD, form: { kind: "star" } }] }, "moulds.0.form.kind"],
    ["a mould that holds nothing", { moulds: [{ ...MOULD, waterG: 0 }] }, "moulds.0.waterG"],
    ["half a mould", { moulds: [{ ...MOULD, count: 2.5 }] }, "moulds.0.count"],
    ["a mould that traps dreams", { moulds: [{ ...MOULD, traps: ["dreams"] }] }, "moulds.0.traps.0"],
    ["a powder that is all water", { compounds: [{ ...BAG, label: { waterPer100: 900 } }] }, "compounds.0.label.waterPer100"],
    ["a powder with a resin's label", { compounds: [{ ...BAG, resin: RESIN }] }, "compounds.0.resin"],
    ["a resin with a powder's label", { compounds: [{ ...KIT, label: {} }] }, "compounds.0.label"],
    ["a resin without its ratio", { compounds: [{ ...KIT, resin: { ...RESIN, hardenerPer100: undefined } }] }, "compounds.0.resin.hardenerPer100"],
    ["a pour into no mould", { pours: [{ ...POUR, moulds: [] }] }, "pours.0.moulds"],
    ["a bowl for a mould that is not there", { pours: [{ ...POUR, bowls: [{ ...BOWL, fills: [{ mould: 3, count: 1 }] }] }] }, "pours.0.bowls.0"],
    ["bodies out of a mould that is not there", { pours: [{ ...POUR, bodies: [{ ...BODIES, mould: 2 }] }] }, "pours.0.bodies.0"],
    ["more bodies gone than there were", { pours: [{ ...POUR, bodies: [{ ...BODIES, count: 1, onScale: 1 }] }] }, "pours.0.bodies.0.pieces"],
    ["a stage nobody knows", { pours: [{ ...POUR, bowls: [{ ...BOWL, stages: { dance: at } }] }] }, "pours.0.bowls.0.stages.dance"],
    [
      "two weighings at once",
      { pours: [{ ...POUR, bodies: [{ ...BODIES, weighings: [BODIES.weighings[0], BODIES.weighings[0]] }] }] },
      "pours.0.bodies.0.weighings.1",
    ],
    ["a fault at no place", { pours: [{ ...POUR, bodies: [{ ...BODIES, faults: [{ ...HOLE, place: "soul" }] }] }] }, "pours.0.bodies.0.faults.0.place"],
    ["a countdown that was kept", { pours: [{ ...POUR, leftMs: 5 }] }, "pours.0.leftMs"],
    [
      "a fault of a piece without a size",
      { pieces: [{ ...PIECE, faults: [{ kind: "hole", place: "face", bodies: 1, each: 1 }] }] },
      "pieces.0.faults.0.widthMm",
    ],
  ])("%s is set aside by name, and it alone", (_what, parts, path) => {
    expect(aside({ moulds: [{ ...MOULD, id: "mouldsound01" }], ...parts })).toEqual([path]);
  });

  test("one of the version before has none of it, and is whole", () => {
    const { moulds: _moulds, compounds: _compounds, pours: _pours, ...old } = { ...writeBundle({ pieces: [PIECE as never] }), version: BUNDLE_VERSION - 1 };
    const found = readBundle(JSON.stringify({ ...old, checksum: checksumOf(old) }), CATALOGUE);
    if (!found.ok) throw new Error(found.problem.message);
    expect(found.value).toMatchObject({ altered: false, aside: [], bundle: { version: BUNDLE_VERSION, moulds: [], pours: [] } });
    expect(found.value.bundle.pieces).toEqual([PIECE]);
  });

  test("what is known of a piece's very body is kept with it, within reason", () => {
    const of = (body: object) => parsePiece({ ...pebble(), body }, CATALOGUE);
    expect(of({ weightG: 160, driesMin: { typical: 4000, cautious: 6000 }, matured: true }).ok).toBe(true);
    for (const [body, path] of [
      [{ driesMin: { typical: 10, cautious: 5 } }, "body.driesMin.cautious"],
      [{ driesMin: { typical: -1, cautious: 5 } }, "body.driesMin.typical"],
      [{ weightG: 0 }, "body.weightG"],
      [{ matured: false }, "body.matured"],
      [{ mood: "damp" }, "body.mood"],
    ] as const) {
      const read = of(body);
      expect(read.ok ? null : read.problem.path).toBe(path);
    }
  });
});
