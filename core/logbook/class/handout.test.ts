/** A plan as a class does it: nobody waits in class for what takes days, nothing is lost between before and after, and what is dangerous is an adult's. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { toldActs } from "../../coating/explain/told-acts";
import { planPiece } from "../../coating/planner/plan-piece";
import type { Piece } from "../../piece/piece";
import { jar, mug, pebble, piece, pot } from "../../../tests/reference/bench";
import { adultReason, beginBefore, classHandout } from "./handout";
import type { ClassAsk } from "./handout";
import { standInFor } from "./stand-ins";

const planned = (one: Piece, people: number) => planPiece({ ...one, count: people }, CATALOGUE).candidates[0]!;
const ask = (more: Partial<ClassAsk> = {}): ClassAsk => ({ people: 8, sessionMin: 120, level: "sketch", ...more });
const handout = (one: Piece, more: Partial<ClassAsk> = {}) => classHandout(planned(one, ask(more).people), ask(more), CATALOGUE);
const dotted = pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2", "#d9822b"] } });
const striped = pot({ uses: ["planter", "outdoor-exposed"], decoration: { techniques: ["bands"], baseColour: "#1f3a4d", colours: ["#f4efe2"] } });
const PIECES = [
  dotted,
  striped,
  jar({ uses: ["candle"], decoration: { techniques: ["freehand-brush"], colours: ["#1f3a4d"] } }),
  mug({ decoration: { techniques: ["dots"], colours: ["#c8402f"] }, wishes: { route: "bake" } }),
];
const roles = (steps: ReturnType<typeof handout>["session"]) => steps.map(({ act }) => act.step.role);

describe("a class", () => {
  test.each(PIECES.map((one) => [one.object ?? one.material, one] as const))(
    "%s: every step is once before, together or after, in the plan's order",
    (_what, one) => {
      for (const sessionMin of [45, 120, 300]) {
        const { before, session, after } = handout(one, { sessionMin });
        const numbers = [...before, ...session, ...after].map(({ act }) => act.number);
        const told = toldActs(planned(one, 8))
          .filter(({ step }) => step.role !== "cure")
          .map(({ number }) => number);
        expect(numbers).toEqual(told);
      }
    },
  );

  test("decorates together; no wait in it is longer than it is, and it fits its time or says by how much not", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PIECES),
        fc.integer({ min: 30, max: 400 }),
        fc.integer({ min: 1, max: 20 }),
        fc.constantFrom("sketch" as const, "direct" as const),
        (one, sessionMin, people, level) => {
          const { session, usedMin, overMin } = handout(one, { sessionMin, people, level });
          expect(roles(session)).toEqual(expect.arrayContaining(["decorate"]));
          expect(session.slice(1).every(({ waitMin }) => waitMin < Math.max(sessionMin, usedMin))).toBe(true);
          expect(overMin).toBe(Math.max(0, usedMin - sessionMin));
        },
      ),
      { numRuns: 40, seed: 9 },
    );
  });

  test("longer together, more of it is done together", () => {
    const done = [60, 180, 600].map((sessionMin) => handout(dotted, { sessionMin }).session.length);
    expect(done[0]! <= done[1]! && done[1]! <= done[2]!).toBe(true);
    const shares = [35, 60, 600].map((sessionMin) => handout(dotted, { sessionMin }).decoratingShare);
    expect(shares[0]! <= shares[1]! && shares[1]! <= shares[2]! && shares[0]! > 0 && shares[2] === 1).toBe(true);
  });

  test("amounts and hands are for all; whoever leads begins as long before as waits and hands come to", () => {
    const eight = handout(striped);
    const { usual, careful } = beginBefore(eight);
    const waits = eight.before.slice(1).reduce((sum, { waitMin }) => sum + waitMin, 0) + eight.leadMin.usual;
    expect(usual).toBeGreaterThan(waits);
    expect(careful).toBeGreaterThanOrEqual(usual);
    expect(eight.stations.find(({ id }) => id === "paint")!.places).toBe(8);
    const jarMl = (people: number) => planned(striped, people).totals.paints.reduce((sum, one) => sum + one.jarMl, 0);
    expect(jarMl(16)).toBeGreaterThan(jarMl(8) * 1.3);
  });

  test("drawn on first, guides are set, or a sketch is asked for; straight on, neither", () => {
    const [sketch, direct] = [handout(dotted), handout(dotted, { level: "direct" })];
    expect(sketch.sketched || [...sketch.before, ...sketch.session].some(({ act }) => act.step.role === "mark")).toBe(true);
    expect(direct.sketched).toBe(false);
    expect([...direct.before, ...direct.session, ...direct.after].map(({ act }) => act.step.role)).not.toContain("mark");
  });
});

describe("what only adults do", () => {
  const reasons = (one: Piece) => {
    const { before, session, after } = handout(one);
    return new Set([...before, ...session, ...after].flatMap(({ adult }) => adult ?? []));
  };
  test("heat, spray, solvent, powder, resin and dust are theirs; a brush is everybody's", () => {
    expect(reasons(PIECES[3]!)).toContain("heat");
    expect(
      reasons(
        piece({
          material: "ceramic-bisque",
          object: "plate",
          form: { kind: "plate", diameterMm: 210, rimWidthMm: 30 },
          uses: ["tableware"],
          decoration: { techniques: ["dots"] },
          constraints: { kiln: true },
        }),
      ),
    ).toContain("heat");
    const powdered = pebble({ uses: ["indoor-display"], decoration: { techniques: ["effect-powder"], baseColour: "#1f3a4d" } });
    expect(reasons(powdered)).toContain("powder");
    const step = toldActs(planned(dotted, 1))[0]!.step;
    const of = (more: Partial<typeof step>) => adultReason({ ...step, ...more }, CATALOGUE);
    expect([
      of({ method: "spray" }),
      of({ product: "coating-resin" as never }),
      of({ product: "solvent-enamel" as never }),
      of({ role: "sand" }),
      of({}),
    ]).toEqual(["spray", "resin", "solvent", "dust", null]);
  });
});

test("what stands in for a tool grows with the mark; very large marks are painted", () => {
  const sizes = [0.8, 1.5, 2.5, 4, 5, 6, 9, 20];
  expect(new Set(sizes.map(standInFor)).size).toBe(sizes.length);
  expect(standInFor(40)).toContain("brush");
  const { standIns } = handout(dotted);
  expect(standIns.length).toBeGreaterThan(0);
});

describe("the room", () => {
  test("has a place to paint and one to dry for each, basins to share, and a table for adults only where they are needed", () => {
    const places = (one: Piece, people: number) =>
      Object.fromEntries(handout(one, { people, sessionMin: 600 }).stations.map(({ id, places: many }) => [id, many]));
    expect(places(dotted, 12)).toMatchObject({ paint: 12, dry: 12, wash: 3 });
    expect(places(dotted, 1)).toMatchObject({ paint: 1, wash: 1 });
    const baked = handout(PIECES[3]!, { sessionMin: 600 });
    expect(baked.stations.some(({ id }) => id === "adults")).toBe(baked.session.some(({ adult }) => adult !== null));
  });

  test("an adult works for all of them, one after another; the others each on their own", () => {
    const { before, session, after } = handout(PIECES[3]!, { people: 10 });
    for (const { act, eachMin, adult } of [...before, ...session, ...after])
      expect(adult === null ? eachMin < act.step.handsOnMin : eachMin === act.step.handsOnMin).toBe(act.step.handsOnMin > 0 || adult !== null);
  });
});
