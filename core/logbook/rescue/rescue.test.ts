/** Whatever goes wrong, on which band, how wet and on what body: there is an answer, and the plan goes on from what is left. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { applyChanges } from "../../coating/model/apply-changes";
import { workFor } from "../../schedule/dates-of";
import { Bench, missing } from "../../../tests/reference/half-painted";
import { jar, mug, pebble, piece, pot, tray } from "../../../tests/reference/bench";
import { bodyOf } from "../body-state";
import { ANYWAY, MISHAPS } from "./mishap";
import { REMEDIES, remedyById } from "./remedies";
import { mishapsAt, remediesFor } from "./rescue";
import { costOf, rewritingOf } from "./rewriting";
import { bandsOn, spotOf, wetnessOf, WETNESSES } from "./spot";
import type { Spot, Wetness } from "./spot";

const DOTS = { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2", "#d9822b"] };
const BODIES = [
  pebble({ uses: ["handled"], decoration: DOTS }),
  piece({ material: "stone-rough", decoration: DOTS }),
  piece({ material: "slate", decoration: { techniques: ["lettering"], colours: ["#f4efe2"] } }),
  piece({ material: "gypsum-cast", decoration: DOTS }),
  piece({ material: "concrete-cast", decoration: DOTS }),
  pot({ uses: ["planter"], conditions: ["dusty"], decoration: DOTS }),
  pot({ uses: ["indoor-display"], conditions: ["previously-painted"], decoration: DOTS }),
  mug({ decoration: { techniques: ["freehand-brush"], colours: ["#1f3a4d"] } }),
  piece({
    material: "ceramic-bisque",
    object: "plate",
    form: { kind: "plate", diameterMm: 220, rimWidthMm: 30 },
    uses: ["food-contact"],
    decoration: DOTS,
    constraints: { kiln: true },
  }),
  jar({ uses: ["indoor-display"], decoration: { techniques: ["dots"], colours: ["#f4efe2"] } }),
  tray({ decoration: { techniques: ["stencil"], baseColour: "#f4efe2", colours: ["#1f3a4d"] } }),
  piece({ material: "wood-softwood", object: "sign", form: { kind: "box", lengthMm: 300, widthMm: 120, heightMm: 18 }, decoration: DOTS }),
  piece({ material: "wood-board", object: "sign", form: { kind: "box", lengthMm: 300, widthMm: 120, heightMm: 6 }, decoration: DOTS }),
];

/** Every band of the piece all done, at every wetness. */
function* spots(): Generator<{ readonly bench: Bench; readonly spot: Spot }> {
  for (const body of BODIES) {
    const bench = new Bench(body).work(80);
    const { shown, done } = bench.view;
    const { tasks } = workFor(body, shown!, CATALOGUE);
    for (const band of bandsOn(shown!, done))
      for (const wetness of WETNESSES) yield { bench, spot: spotOf(body, shown!, done, tasks, { ...band, wetness }, CATALOGUE) };
  }
}

describe("for every body, every band and every wetness", () => {
  const all = [...spots()];

  test("each thing that may go wrong there has something that can be done now, or is said when", () => {
    expect(all.length).toBeGreaterThan(250);
    for (const { spot } of all)
      for (const mishap of mishapsAt(spot)) {
        const offered = remediesFor(mishap, spot);
        const where = `${mishap.id} on ${spot.step.product}, ${spot.wetness}, ${spot.body.traits.join("+")}`;
        expect([where, offered.length > 0]).toEqual([where, true]);
        for (const { remedy, later, steps } of offered) {
          expect(remedy.at).toContain(later ?? spot.wetness);
          expect(steps.join(" ")).not.toContain("{");
        }
      }
  });

  test("some mishap is known for every band", () => {
    for (const { spot } of all) expect(mishapsAt(spot).length).toBeGreaterThan(0);
  });

  test("nobody is sent to wet unfired bisque or a ground that moves, nor to sand what may hold lead", () => {
    for (const { spot } of all)
      for (const mishap of mishapsAt(spot))
        for (const { remedy, steps } of remediesFor(mishap, spot)) {
          const text = steps.join(" ");
          if (spot.body.traits.includes("bisque") && spot.binder === "mineral" && remedy.id !== "wash-bisque") expect(text).not.toMatch(/swab|damp/);
          if (spot.suspect) expect(["sand-back", "rub-down", "start-again", "scrape", "refill"]).not.toContain(remedy.id);
          if (spot.groundMoves) expect(remedy.id).not.toMatch(/^(lift|wipe-all|to-mask)$/);
        }
  });
});

test("every remedy that a row names is there, and every remedy is named by a row", () => {
  const named = new Set([...MISHAPS.flatMap(({ remedies }) => remedies), ...ANYWAY]);
  for (const id of named) expect(remedyById(id).id).toBe(id);
  expect(REMEDIES.filter(({ id }) => !named.has(id)).map(({ id }) => id)).toEqual([]);
  expect(new Set(MISHAPS.map(({ id }) => id)).size).toBe(MISHAPS.length);
  expect(() => remedyById("prayer")).toThrow("prayer");
});

test("what a remedy lays is on the piece at once, or is asked for again: for every remedy, by what it is and by what it says", () => {
  const laying =
    /\b(Touch (the|it|up)|Lay|One (thin|coat)|Set (it|them|one|a|small|the)|Load|Paint the|Draw (a line|the edge)|small drop|push paint|Put a leaf)\b/;
  for (const { id, steps, lays, effect } of REMEDIES) {
    const again = ["relay", "take-off", "start-again"].includes(effect.kind);
    const lay = ["accent", "one-more", "refill-ground", "block"].includes(effect.kind);
    if (steps.some((text) => laying.test(text)) && effect.kind !== "wait") expect([id, again || lay || lays.length > 0]).toEqual([id, true]);
  }
  const bench = new Bench(pebble({ uses: ["handled"], decoration: DOTS })).workUpTo("seal");
  const { shown, done } = bench.view;
  const body = bodyOf(bench.progress);
  const band = bandsOn(shown!, done).findLast(({ step }) => step.role === "decorate")!;
  const spot = spotOf(bench.piece, shown!, done, [], { ...band, wetness: "dry" }, CATALOGUE);
  for (const remedy of REMEDIES) {
    const { mended, laid, ruined } = rewritingOf(remedy, spot, shown!, body, CATALOGUE);
    const own = mended.some(({ stepId }) => stepId === band.step.id);
    const ground = mended.some(({ stepId }) => stepId === spot.below[0]!.id);
    expect([remedy.id, own, ground]).toEqual([remedy.id, remedy.lays.includes("own"), remedy.lays.includes("ground")]);
    expect([remedy.id, laid.length > 0]).toEqual([remedy.id, ["accent", "one-more", "refill-ground", "block"].includes(remedy.effect.kind)]);
    expect([remedy.id, ruined.length > 0]).toEqual([remedy.id, ["relay", "take-off", "refill-ground", "start-again"].includes(remedy.effect.kind)]);
  }
});

test("painters differ about a wet dot: over a clear coat it is wiped now, over a ground that moves it is left to dry", () => {
  const found = [...spots()].find(
    ({ spot: one }) => one.wetness === "wet" && one.step.marks !== undefined && one.carrier === "water" && !one.bare && !one.groundMoves,
  );
  const { spot } = found!;
  const dot = MISHAPS.find(({ id }) => id === "dot-misplaced")!;
  const isolated: Spot = { ...spot, below: [{ ...spot.below[0]!, role: "isolate" }, ...spot.below] };
  const [first] = remediesFor(dot, isolated);
  expect([first?.remedy.id, first?.whyHere]).toEqual(["lift", expect.stringContaining("does not harm it")]);
  expect(remediesFor(dot, isolated).map(({ remedy }) => remedy.id)).toContain("let-dry");
  expect(remediesFor(dot, { ...spot, groundMoves: true })[0]?.remedy.id).toBe("let-dry");
});

test.each([
  ["wet", 2],
  ["tacky", 14],
  ["dry", 60],
  ["hard", 60 * 24 * 9],
] as const)("a film is %s after %d minutes", (wetness, min) => {
  const typical = { touchDry: 20, dryHard: 120, dryThrough: 1440, recoatFrom: 60, cureDays: 14 } as never;
  expect(wetnessOf({ typical }, 0, min * 60_000)).toBe(wetness);
});

describe("what a remedy makes of the plan", () => {
  const begun = () => new Bench(pebble({ uses: ["handled"], decoration: DOTS })).workUpTo("seal");
  const last = (bench: Bench, role: string) => bandsOn(bench.view.shown!, bench.view.done).findLast(({ step }) => step.role === role)!;
  const at = (bench: Bench, role: string, wetness: Wetness = "hard") => {
    const { shown, done } = bench.view;
    return spotOf(bench.piece, shown!, done, workFor(bench.piece, shown!, CATALOGUE).tasks, { ...last(bench, role), wetness }, CATALOGUE);
  };
  const rewritten = (bench: Bench, role: string, kind: "take-off" | "refill-ground" | "relay" | "one-more" | "start-again") =>
    rewritingOf({ effect: { kind }, lays: [] }, at(bench, role), bench.view.shown!, bodyOf(bench.progress), CATALOGUE);

  test("sanded back, the band and all that was on it is asked for again, and nothing beneath", () => {
    const bench = begun();
    const { ruined } = rewritten(bench, "base", "take-off");
    bench.record("ruined", ruined);
    expect(bench.open()[0]?.role).toBe("base");
    expect(bench.open().map(({ role }) => role)).not.toContain("prime");
    expect(missing(bench)).toEqual([]);
  });

  test("the ground refilled is on it and wet, one coat more of it, and the marks are asked for again", () => {
    const bench = begun();
    const band = at(bench, "decorate");
    const { ruined, laid, changes } = rewritten(bench, "decorate", "refill-ground");
    expect(laid).toMatchObject([{ stepId: band.below[0]!.id, coat: band.below[0]!.coats + 1 }]);
    expect(changes).toEqual([{ op: "set", stepId: band.below[0]!.id, field: "coats", value: band.below[0]!.coats + 1 }]);
    bench.record("ruined", ruined);
    bench.keeping = { ...bench.keeping, edits: [...bench.keeping.edits, ...changes] };
    bench.record("done", laid);
    expect(bench.open()[0]?.role).toBe("decorate");
    expect(missing(bench)).toEqual([]);
  });

  test("only the last coat is laid again where only that went wrong", () => {
    const bench = new Bench(pebble({ uses: ["handled"], decoration: DOTS })).workUpTo("base").work(2);
    const { ruined } = rewritten(bench, "base", "relay");
    expect(ruined.map(({ coat }) => coat)).toEqual([2]);
  });

  test("it costs the hands on it, the coats that are laid again, and their drying", () => {
    const bench = begun();
    const { shown } = bench.view;
    const nothing = costOf([2, 6], { ruined: [], tacky: [], mended: [], laid: [], changes: [] }, shown!);
    expect(nothing).toEqual({ hands: [2, 6], waits: [0, 0] });
    const much = costOf([5, 20], rewritten(bench, "base", "take-off"), shown!);
    expect(much.hands[0]).toBeGreaterThan(5);
    expect(much.waits[1]).toBeGreaterThan(much.waits[0]);
    // What it lays itself is in its own minutes, and still has to dry.
    const more = costOf([2, 8], rewritten(bench, "decorate", "one-more"), shown!);
    expect(more.hands).toEqual([2, 8]);
    expect(more.waits[0]).toBeGreaterThan(0);
  });

  test("whatever is taken off by whichever remedy, the body is what the records say, and its changes fit the plan", () => {
    const kinds = ["none", "wait", "relay", "take-off", "refill-ground", "one-more", "block", "start-again"] as const;
    fc.assert(
      fc.property(fc.nat(12), fc.nat(40), fc.constantFrom(...kinds), fc.nat(20), (which, tasks, kind, pick) => {
        const bench = new Bench(BODIES[which % BODIES.length]!).work(tasks);
        const { shown, done } = bench.view;
        const bands = shown ? bandsOn(shown, done) : [];
        if (!shown || bands.length === 0) return;
        const band = bands[pick % bands.length]!;
        const spot = spotOf(bench.piece, shown, done, workFor(bench.piece, shown, CATALOGUE).tasks, { ...band, wetness: "hard" }, CATALOGUE);
        const { ruined, mended, laid, changes } = rewritingOf({ effect: { kind }, lays: [] }, spot, shown, bodyOf(bench.progress), CATALOGUE);
        for (const change of changes) expect(() => applyChanges(shown.zones as never, [change])).not.toThrow();
        bench.record("ruined", ruined);
        bench.record("mended", mended);
        bench.record("done", laid);
        bench.keeping = { ...bench.keeping, edits: [...bench.keeping.edits, ...changes] };
        expect(missing(bench)).toEqual([]);
        const on = bodyOf(bench.progress).filter(({ zone }) => zone === band.zone);
        if (kind === "start-again") expect(on).toEqual([]);
        if (kind === "take-off") expect(on.some(({ stepId, act }) => stepId === band.step.id && act.role === band.step.role)).toBe(false);
      }),
      { numRuns: 40, seed: 13 },
    );
  });
});
