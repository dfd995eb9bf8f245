/** What `plan` takes besides a piece: the user's shelf, steps the user keeps, what is on it already, free hours and a start. */
import { describe, expect, test } from "@jest/globals";
import type { PlanSet } from "./coating/model/plan";
import { runVerb } from "./cli-verbs";
import type { DatedCandidate } from "./schedule/dates-of";
import { mug, pebble } from "../tests/reference/bench";

type Answer = PlanSet & { readonly dates?: readonly DatedCandidate[] };

const piece = pebble({ uses: ["handled"], decoration: { techniques: ["dots"] } });
const SHELF = [
  { id: "blue", classId: "craft-acrylic", name: "Harbour blue", price: { paid: 3, ml: 60 } },
  { id: "satin", classId: "acrylic-varnish", name: "Satin", price: { paid: 9, ml: 240 } },
];
const ask = (document: object) => runVerb("plan", JSON.stringify(document));
function plan(document: object): Answer {
  const answer = ask(document);
  if (!answer.ok) throw new Error(answer.problem.message);
  return answer.value as Answer;
}
const products = (set: Answer) => new Set(set.candidates.flatMap((one) => one.totals.products as readonly string[]));

describe("the user's shelf", () => {
  test("what the user owns need not be bought, and its price tells what the paint costs", () => {
    const [first] = plan({ piece: { ...piece, constraints: { shelfOnly: true } }, shelf: SHELF }).candidates;
    expect(first!.scores.products).toBe(0);
    const { jarMlByProduct: used } = first!.totals;
    expect(first!.scores.cost).toBeCloseTo((used["craft-acrylic"]! * 3) / 60 + (used["acrylic-varnish"]! * 9) / 240, 9);
    expect(plan({ piece }).candidates[0]!.scores.cost).toBeNull();
  });

  test("only from the shelf is kept to, or refused with a way out that plans", () => {
    const only = { ...piece, constraints: { shelfOnly: true } };
    expect([...products(plan({ piece: only, shelf: SHELF }))].every((id) => SHELF.some((own) => own.classId === id))).toBe(true);
    expect(plan({ piece: only }).refusal).toMatchObject({ code: "shelf-empty", nearest: { changes: [{ path: "constraints.shelfOnly", value: false }] } });
    expect(plan({ piece: only, shelf: SHELF.slice(1) }).refusal).toMatchObject({ code: "not-on-shelf" });
  });

  test("a plan wholly from it is called so beside plans that are not", () => {
    const titles = plan({ piece, shelf: [...SHELF, { id: "white", classId: "gesso", name: "White ground" }] }).candidates;
    const bought = titles.filter((one) => one.scores.products > 0);
    expect(bought.every((one) => one.title !== "From what you own")).toBe(true);
    expect(titles[0]!.scores.products).toBe(0);
  });
});

describe("a piece that comes with rows", () => {
  test("is planned with their marks, in the number that closes", () => {
    const rows = [{ id: "a", kind: "dots", diameterMm: 4, at: { radiusMm: 20 }, count: 24, colours: ["#f4efe2"] }];
    const { candidates } = plan({ piece: { ...piece, decoration: { ...piece.decoration, patterns: [{ zone: "top", rows }] } } });
    const steps = candidates[0]!.zones.find(({ zone }) => zone === "top")!.steps;
    expect(steps.filter((step) => step.rows)).toMatchObject([{ marks: { count: 24, diameterMm: 4 }, rows: [{ id: "a", count: 24 }] }]);
  });
});

describe("what the user wants kept", () => {
  test("stays in every plan, with the user's coats", () => {
    const { candidates } = plan({ piece, keep: [{ zone: "top", role: "prime", product: "white-craft-acrylic", coats: 3 }] });
    expect(candidates.length).toBeGreaterThan(0);
    for (const one of candidates) {
      const primes = one.zones.find((zone) => zone.zone === "top")!.steps.filter((step) => step.role === "prime");
      expect(primes).toMatchObject([{ product: "white-craft-acrylic", coats: 3, origin: "hers" }]);
    }
  });

  test("a medium the user named and forbade at once is left to the plan, which says so", () => {
    const { candidates, refusal } = plan({ piece: { ...piece, uses: ["child-made"], decoration: { techniques: ["outline"], media: ["oil-paint-marker"] } } });
    expect(refusal).toBeNull();
    expect(candidates[0]!.findings).toContainEqual(expect.objectContaining({ code: "wish-not-kept", why: "it is nothing for a child" }));
    expect(products({ candidates } as Answer)).not.toContain("oil-paint-marker");
  });

  test("paints of which none does the work here are left to the plan, which says so; so is one that never sets", () => {
    const lettered = { techniques: ["lettering"], media: ["oil-paint-marker"] };
    const { candidates, refusal } = plan({ piece: mug({ decoration: lettered }) });
    expect(refusal).toBeNull();
    expect(candidates[0]!.findings.find((one) => one.code === "wish-not-kept")?.message).toMatch(/^You named oil paint marker/);
    const dusty = { techniques: ["dots"], media: ["poster-paint"] };
    const kept = plan({ piece: { ...piece, uses: ["gift-or-sale"], decoration: dusty } });
    expect(kept.candidates[0]!.findings).toContainEqual(expect.objectContaining({ code: "wish-not-kept", why: expect.stringMatching(/dusts off/) }));
    expect(products(kept)).not.toContain("poster-paint");
  });

  test("a wish that cannot be had is given up, and what stood in the way is named", () => {
    const { candidates } = plan({ piece: { ...piece, uses: ["outdoor-exposed"], wishes: { sealer: "decoupage-medium" } } });
    expect(candidates[0]!.findings.find((one) => one.code === "wish-not-kept")?.why).toMatch(/does not stand the wet/);
  });
});

describe("a start", () => {
  test("dates every candidate, as usual and carefully, inside the user's hours", () => {
    const set = plan({ piece, start: "2026-05-01" });
    expect(set.dates!.map((one) => one.candidateId)).toEqual(set.candidates.map((one) => one.id));
    const { usual, careful } = set.dates![0]!;
    expect(usual!.tasks[0]!.from).toBe("2026-05-01T19:00:00.000Z");
    expect(careful!.cured >= usual!.cured).toBe(true);
    expect(plan({ piece }).dates).toBeUndefined();
  });

  test.each([
    [{ piece, start: "soon" }, "start"],
    [{ piece, freeHours: { weekday: [[], [], [], [], [], [], []], exceptions: [], timeZone: "Europe/London" } }, ""],
    [{ piece, start: "2026-05-01", freeHours: { weekday: [[], [], [], [], [], [], []], exceptions: [], timeZone: "Nowhere/Land" } }, "freeHours.timeZone"],
    [{ piece, shelf: [{ id: "a", classId: "moon-paint", name: "Moon" }] }, "shelf.0.classId"],
    [{ piece, shelf: [SHELF[0], SHELF[0]] }, "shelf.1"],
    [{ piece, keep: [{ zone: "top", role: "prime", product: "moon-paint" }] }, "keep.0.product"],
    [{ piece, dueDate: "2026-06-01" }, "dueDate"],
  ])("what cannot be read is told with its place: %j", (document, path) => {
    const answer = ask(document);
    expect(answer).toMatchObject({ ok: false, problem: { path } });
  });
});
