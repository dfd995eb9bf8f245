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

describe("pieces together", () => {
  const EVENING = [{ from: "19:00", to: "21:30" }];
  const freeHours = { weekday: [EVENING, EVENING, EVENING, EVENING, [], [{ from: "10:00", to: "16:00" }], []], exceptions: [], timeZone: "Europe/London" };
  const pieces = [
    { id: "pebbles", piece: { ...piece, count: 120 }, due: "2026-12-19" },
    { id: "mugs", piece: mug({ count: 4 }) },
  ];
  const together = (more: object) => {
    const answer = runVerb("schedule", JSON.stringify({ pieces, start: "2026-11-30", freeHours, ...more }));
    if (!answer.ok) throw new Error(`${answer.problem.path}: ${answer.problem.message}`);
    return answer.value as {
      readonly sittings: readonly {
        readonly from: string;
        readonly tasks: readonly { readonly piece: string; readonly step: string; readonly count: number; readonly part?: number }[];
      }[];
      readonly handle: Readonly<Record<string, string>>;
      readonly bound: { readonly gap: number } | null;
      readonly findings: readonly { readonly code: string; readonly pieces: readonly string[]; readonly message: string }[];
    };
  };

  test("a hundred and twenty pebbles and four mugs for a Saturday three weeks off: dots go over evenings, all of them", () => {
    const { sittings, handle, findings } = together({});
    // They may be handled by then, and harden for weeks.
    expect(findings.map(({ code, pieces: of }) => [code, of])).toEqual([["not-hard-in-time", ["pebbles"]]]);
    expect(Date.parse(handle.pebbles!)).toBeLessThan(Date.parse("2026-12-19T08:00:00Z"));
    const dots = sittings.flatMap(({ tasks }) => tasks).filter((task) => task.piece === "pebbles" && task.step.includes("decorate"));
    expect(dots.length).toBeGreaterThan(1);
    expect(dots.reduce((sum, { count }) => sum + count, 0)).toBe(120);
  });

  test("too much is told before it is begun, with both figures; what is late by how much; no hours at all", () => {
    const due = together({ pieces: pieces.map((one) => ({ ...one, due: "2026-12-03" })) });
    expect([...new Set(due.findings.map(({ code }) => code))]).toEqual(["too-much", "late"]);
    expect(due.findings[0]!.message).toMatch(/^[\d.]+ hours of work and [\d.]+ free before 2026-12-03T08:00/);
    expect(together({ freeHours: { ...freeHours, weekday: [[], [], [], [], [], [], []] } })).toMatchObject({
      sittings: [],
      bound: null,
      findings: [{ code: "no-hours" }],
    });
  });

  test("a helper, a small rack and a small oven: all of it is made, in loads there is room for", () => {
    const form = { kind: "cylinder", diameterMm: 80, heightMm: 120 };
    const jars = {
      ...piece,
      name: "Jar",
      material: "glass",
      form,
      count: 4,
      uses: ["indoor-display"],
      decoration: { techniques: [], baseColour: "#1f3a4d" },
      room: { temperatureC: 15, relativeHumidity: 0.75, airflow: "still" },
    };
    const helped = together({ pieces: [pieces[0], { id: "jars", piece: jars }], hands: 2, rackPlaces: 60, ovenPlaces: 2 });
    const bakes = helped.sittings.flatMap(({ tasks }) => tasks).filter((task) => task.step.includes("oven-bake"));
    expect(bakes.map(({ count }) => count)).toEqual([2, 2]);
    expect(JSON.stringify(helped.sittings)).toContain('"hand":2');
  });

  test("hundreds of loads are refused by what they are for; an oven matters only to what is baked", () => {
    const many = [{ id: "a", piece: { ...piece, count: 1000 } }];
    expect(together({ pieces: many, rackPlaces: 1 }).findings.map(({ code }) => code)).toEqual(["no-room"]);
    expect(together({ pieces: many, ovenPlaces: 1 }).findings.map(({ code }) => code)).toEqual([]);
  });

  test("bad input is told by its place", () => {
    const problem = (document: object) => {
      const answer = runVerb("schedule", JSON.stringify({ pieces, start: "2026-11-30", freeHours, ...document }));
      return answer.ok ? null : answer.problem.path;
    };
    expect(problem({ start: "soon" })).toBe("start");
    expect(problem({ pieces: [pieces[0], pieces[0]] })).toBe("pieces.1");
    expect(problem({ pieces: [{ id: "a", piece: { ...piece, material: "cheese" } }] })).toBe("pieces.0.piece.material");
    expect(problem({ rackPlaces: 0 })).toBe("rackPlaces");
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
