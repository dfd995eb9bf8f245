/** What is wrong with a bare body, and how it is mended there: in thin rounds, rubbed down, levelled, or not at all. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { piece } from "../../../tests/reference/bench";
import { FAULT_BOUNDS, FAULT_KINDS, FAULTS, sizeOf } from "./fault";
import type { Fault } from "./fault";
import { repairOf, repairsOf, roundsFor } from "./repair";
import type { RepairBody } from "./repair";
import { castRepairBody, repairBody } from "./repair-body";
import { laddering, sandingWords } from "./sanding";

const BODY: RepairBody = { of: "gypsum", ownPowder: false, wet: false, longestMm: 110, thinnestMm: 30, levels: false, castMin: 12 };
const fault = (more: Partial<Fault> = {}): Fault => ({ kind: "hole", place: "face", bodies: 1, each: 2, widthMm: 2, depthMm: 2, ...more });

describe("a fault", () => {
  test("is filled in thin rounds, by what it is of, where it stands and whether it is still damp", () => {
    const by = (body: Partial<RepairBody>, more: Partial<Fault> = {}) => {
      const { filler, rounds } = repairOf(fault(more), { ...BODY, ...body });
      return [filler, rounds];
    };
    expect(by({}, { depthMm: 3 })).toEqual(["spackle", 1]);
    expect(by({}, { depthMm: 7, widthMm: 8 })).toEqual(["spackle", 3]);
    expect(by({ of: "wood" }, { depthMm: 7, widthMm: 8 })).toEqual(["wood-filler", 2]);
    // Spackle stays indoors and dry.
    expect(by({ wet: true }, { depthMm: 7, widthMm: 8 })).toEqual(["wet-proof-filler", 2]);
    expect(by({ of: "cement", wet: true }, { depthMm: 7, widthMm: 8 })).toEqual(["cement-patch", 1]);
    expect(by({ ownPowder: true }, { depthMm: 7, widthMm: 8 })).toEqual([null, 2]);
    expect(repairOf(fault(), { ...BODY, ownPowder: true })).toMatchObject({ roundWaitMin: 30, instead: expect.stringContaining("once it is dry") as unknown });
    expect(repairOf(fault(), BODY).steps.join(" ")).toContain("turned white");
  });

  test("of what holds on what: every filler grips the body it is named for", () => {
    for (const kind of ["gypsum", "cement", "mineral", "wood"] as const)
      for (const wet of [true, false]) {
        const { filler } = repairOf(fault({ depthMm: 3 }), { ...BODY, of: kind, wet });
        const product = CATALOGUE.products.get(filler!)!;
        expect(product.grips).toContain(kind === "wood" ? "wood" : "porous");
        if (wet) expect(product.traits).toContain("stands-wet");
      }
    // Nothing holds on glass and glaze: a chip is not filled, and a body that is not cast here is not cast anew.
    const chip = repairOf(fault({ kind: "chip", place: "edge" }), { ...BODY, of: "slick", castMin: null });
    expect(chip).toMatchObject({ way: "cast-anew", title: "Take another one", filler: null });
    expect(repairOf(fault({ kind: "uneven-foot", place: "foot" }), { ...BODY, of: "slick", castMin: null }).way).toBe("rub-down");
  });

  test("so fine that the primer closes it is left to the primer; a face full of holes is skimmed", () => {
    expect(repairOf(fault({ widthMm: 0.3, depthMm: 0.3 }), BODY)).toMatchObject({ title: "Leave it to the primer", rounds: 0, filler: null, cautions: [] });
    const many = repairOf(fault({ each: 30 }), { ...BODY, levels: true });
    expect(many.title).toBe("Skim it");
    expect(many.instead).toContain("resin");
    expect(many.handsMin).toBeLessThan(repairOf(fault({ each: 11 }), BODY).handsMin + 3);
  });

  test("that stands out is taken down, coarse paper first; so many of them on a flat top are levelled, indoors", () => {
    const bump = fault({ kind: "bump", each: 2, depthMm: 2 });
    expect(repairOf(bump, BODY)).toMatchObject({ way: "rub-down", rounds: 0 });
    expect(repairOf(bump, BODY).steps.join(" ")).toContain("80, then 120");
    const rough = { ...bump, each: 20 };
    expect(repairOf(rough, { ...BODY, levels: true })).toMatchObject({ way: "level", filler: "coating-resin" });
    expect(repairOf(rough, { ...BODY, levels: true, wet: true }).way).toBe("rub-down");
    expect(repairOf(fault({ kind: "uneven-foot", place: "foot" }), BODY)).toMatchObject({ title: "Rub the foot flush" });
  });

  test("that weakens it, goes through it or is all over it is not mended: it is cast anew", () => {
    expect(repairOf(fault({ kind: "crack", depthMm: 10 }), BODY).way).toBe("cast-anew");
    expect(repairOf(fault({ kind: "soft" }), BODY).why).toContain("never gets hard");
    expect(repairOf(fault({ widthMm: 20, depthMm: 14 }), BODY)).toMatchObject({
      way: "cast-anew",
      why: "It is 14 mm deep in a body of 30 mm: there is too little left behind it.",
    });
    // A chip at the edge is built up all the same.
    expect(repairOf(fault({ kind: "chip", place: "edge", widthMm: 20, depthMm: 14 }), BODY).way).toBe("build-up");
    // Mending that takes longer than pouring two.
    expect(repairOf(fault({ each: 11, depthMm: 9, widthMm: 9 }), { ...BODY, castMin: 5 }).why).toContain("longer than pouring");
    expect(repairOf(fault({ each: 11, depthMm: 9, widthMm: 9 }), { ...BODY, castMin: null }).way).toBe("fill");
  });

  test("whatever it is, on whatever body: one way, with its steps, where it comes from, and no round thicker than its filler bears", () =>
    fc.assert(
      fc.property(
        fc.record({
          kind: fc.constantFrom(...FAULT_KINDS),
          bodies: fc.integer({ min: 1, max: 12 }),
          each: fc.integer({ min: 1, max: 60 }),
          widthMm: fc.double({ min: FAULT_BOUNDS.widthMm.least, max: 100, noNaN: true }),
          depthMm: fc.option(fc.double({ min: FAULT_BOUNDS.depthMm.least, max: 60, noNaN: true }), { nil: undefined }),
        }),
        fc.record({
          of: fc.constantFrom("gypsum" as const, "cement" as const, "mineral" as const, "wood" as const),
          ownPowder: fc.boolean(),
          wet: fc.boolean(),
          levels: fc.boolean(),
          thinnestMm: fc.integer({ min: 3, max: 200 }),
        }),
        ({ depthMm, ...of }, body) => {
          const one: Fault = { ...of, place: FAULTS[of.kind].places[0]!, ...(depthMm === undefined ? {} : { depthMm }) };
          const repair = repairOf(one, { ...BODY, ...body });
          expect(repair.steps.length).toBeGreaterThan(0);
          expect(repair.from).toBe(FAULTS[of.kind].from);
          if (repair.way === "rub-down" || ((repair.way === "fill" || repair.way === "build-up") && repair.rounds > 0))
            expect(repair.cautions.join(" ")).toContain("mask");
          if (repair.way === "fill" && repair.rounds > 0) {
            const bears = body.of === "cement" ? 8 : body.ownPowder || body.wet ? 5 : body.of === "wood" ? 4 : 3;
            expect(sizeOf(one).depthMm / repair.rounds).toBeLessThanOrEqual(bears + 1e-6);
          }
          if (repair.rounds > 0) expect(repair.roundWaitMin).toBeGreaterThan(0);
        },
      ),
      { numRuns: Number(process.env.RUNS ?? 100) },
    ));
});

test("what is rubbed down comes before what is filled, and what is cast anew is told first", () => {
  const ways = repairsOf([fault(), fault({ kind: "bump", each: 1 }), fault({ kind: "crack" }), fault({ kind: "chip", place: "edge", widthMm: 15 })], BODY).map(
    ({ way }) => way,
  );
  expect(ways).toEqual(["cast-anew", "rub-down", "build-up", "fill"]);
  expect([roundsFor(3, 3), roundsFor(3.1, 3), roundsFor(0.1, 3)]).toEqual([1, 2, 1]);
});

test("papers go from coarse to fine at every place; inside edges get about 400, small bodies a nail buffer", () => {
  for (const place of ["face", "edge", "inside-edge", "wall", "foot"] as const)
    expect(laddering(place, 2, 120)).toEqual([...laddering(place, 2, 120)].sort((a, b) => a - b));
  expect(laddering("inside-edge", 0, 120).at(-1)).toBe(400);
  expect(sandingWords("face", 0, 30)).toContain("nail buffer");
  expect(sandingWords("foot", 0, 30)).toContain("flat on a board");
});

test("a piece says what its repair has to know: its material, whether it gets wet, how thin it is", () => {
  const disc = { kind: "disc", diameterMm: 120, thicknessMm: 12 } as const;
  expect(repairBody(piece({ material: "gypsum-cast", form: disc }), CATALOGUE)).toMatchObject({
    of: "gypsum",
    wet: false,
    longestMm: 120,
    thinnestMm: 12,
    levels: true,
    castMin: 12,
  });
  expect(repairBody(piece({ material: "concrete-cast", form: disc, uses: ["planter"] }), CATALOGUE)).toMatchObject({ of: "cement", wet: true });
  expect(repairBody(piece({ material: "stone-smooth", uses: ["outdoor-exposed"] }), CATALOGUE)).toMatchObject({ of: "mineral", wet: true, castMin: null });
  expect(repairBody(piece({ material: "wood-board", uses: ["indoor-display"] }), CATALOGUE)).toMatchObject({ of: "wood", wet: false });
  // Fresh from the mould it is filled with its own powder, until it is dry.
  expect(castRepairBody("gypsum", disc, false)).toMatchObject({ of: "gypsum", ownPowder: true, thinnestMm: 12, levels: true, castMin: 12 });
  expect(castRepairBody("cement", disc, true)).toMatchObject({ of: "cement", ownPowder: false });
  expect(repairBody(piece({ material: "glass", uses: ["indoor-display"] }), CATALOGUE).of).toBe("slick");
});
