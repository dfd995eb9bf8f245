/** What fits into a wait; what an evening amounts to; a coat nobody planned; and sheets to practise on. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../../catalogue/catalogue";
import { productId } from "../../catalogue/ids";
import { practiceOf, PRACTISED_TECHNIQUES, SHEET_MM, sheetMarks } from "../../marking/practice";
import { workFor } from "../../schedule/dates-of";
import { Bench as Half, missing } from "../../../tests/reference/half-painted";
import { pebble, pot } from "../../../tests/reference/bench";
import { bodyOf } from "../body-state";
import { rolesOf, unplannedCoat } from "../unplanned";
import { benchOf } from "./bench";
import type { BenchPiece } from "./bench-piece";
import { benchChecks } from "./checks";
import { clearingUp, doneSince, eveningOf, lastTime } from "./evening";
import { meanwhile, nextFree } from "./meanwhile";

const DOTS = { techniques: ["dots"], baseColour: "#1f3a4d", colours: ["#f4efe2"] };
const HOUR = 3_600_000;

function onBench(id: string, half: Half, more: Partial<BenchPiece> = {}): BenchPiece {
  const { shown, done } = half.view;
  return { id, name: id, count: 1, due: null, shown: shown!, work: workFor(half.piece, shown!, CATALOGUE), done, progress: half.progress, ...more };
}

describe("within a wait", () => {
  const primed = new Half(pebble({ uses: ["handled"], decoration: DOTS })).workUpTo("base").work(1);
  const waiting = onBench("waiting", primed);
  const now = Math.max(...waiting.done.values()) + 60_000;
  const quick = onBench("quick", new Half(pebble({ decoration: DOTS })));

  test("it offers coats of others that are done before it is over, and the desk work of what comes", () => {
    const bench = benchOf([waiting, quick], now, "UTC");
    expect(nextFree(bench, now)).toBeGreaterThan(now);
    const fillers = meanwhile(
      bench,
      [waiting, quick],
      now,
      () => false,
      () => true,
    );
    expect(fillers.map(({ kind }) => kind)).toEqual(expect.arrayContaining(["go", "practice"]));
    for (const one of fillers) if (one.kind === "go") expect(one.go.handsOnMin * 60_000).toBeLessThanOrEqual(nextFree(bench, now)! - now);
    expect(
      meanwhile(
        bench,
        [waiting, quick],
        now,
        (jar) => jar !== "",
        () => true,
      ).some(({ kind }) => kind === "mix"),
    ).toBe(false);
  });

  test("a coat that would not be done in time is not offered, nor anything where nothing is waited for", () => {
    const slow = { ...quick, work: { ...quick.work, tasks: quick.work.tasks.map((task) => ({ ...task, handsOnMin: 9999 })) } };
    expect(
      meanwhile(
        benchOf([waiting, slow], now, "UTC"),
        [waiting, slow],
        now,
        () => false,
        () => true,
      ).some(({ kind }) => kind === "go"),
    ).toBe(false);
    expect(
      meanwhile(
        benchOf([quick], now, "UTC"),
        [quick],
        now,
        () => false,
        () => true,
      ),
    ).toEqual([]);
  });
});

describe("an evening's end", () => {
  test("tells what was done since it began, once for all places, and what came off again", () => {
    const half = new Half(pot({ decoration: DOTS })).work(2);
    const before = Date.parse(half.progress.at(-1)!.at) + HOUR / 2;
    half.work(2);
    const [{ laid }] = doneSince([onBench("pot", half)], before) as [ReturnType<typeof doneSince>[number]];
    expect(laid).toHaveLength(2);
    expect(laid.every(({ off }) => !off)).toBe(true);
    half.ruin();
    expect(doneSince([onBench("pot", half)], before)[0]!.laid.at(-1)?.off).toBe(true);
    expect(doneSince([onBench("pot", half)], Infinity)).toEqual([]);
  });

  test("belongs to the day it began on, also after midnight and over the change of clocks", () => {
    const at = (text: string) => Date.parse(text);
    expect(eveningOf(at("2026-11-27T21:00:00Z"), "Europe/London")).toEqual({ since: at("2026-11-27T04:00:00Z"), morning: at("2026-11-28T08:00:00Z") });
    expect(eveningOf(at("2026-11-28T01:30:00Z"), "Europe/London")).toEqual({ since: at("2026-11-27T04:00:00Z"), morning: at("2026-11-28T08:00:00Z") });
    // The clocks go back in this night.
    expect(eveningOf(at("2026-10-24T21:00:00Z"), "Europe/London").morning).toBe(at("2026-10-25T08:00:00Z"));
  });

  test("a time that is said is the last time clocks showed it; what is no time is none", () => {
    const now = Date.parse("2026-11-27T00:30:00Z");
    const iso = (typed: string) => new Date(lastTime(typed, now, "Europe/London") ?? 0).toISOString();
    expect([iso("00:10"), iso("23:50"), iso("00:30")]).toEqual(["2026-11-27T00:10:00.000Z", "2026-11-26T23:50:00.000Z", "2026-11-27T00:30:00.000Z"]);
    for (const typed of ["", "25:00", "7", "19:60"]) expect(lastTime(typed, now, "Europe/London")).toBeNull();
  });

  test("rags that heat themselves are named where something oily was laid, and nowhere else", () => {
    const laid = (product: string) =>
      [{ piece: "p", laid: [{ act: { role: "seal", product: productId(product), method: "brush" }, coat: 1, zones: ["top"], at: 0, off: false }] }] as const;
    expect(clearingUp(laid("oil-polyurethane"), CATALOGUE)).toMatchObject({ oilyRags: true, spirit: true, water: false });
    expect(clearingUp(laid("acrylic-varnish"), CATALOGUE)).toMatchObject({ oilyRags: false, spirit: false, water: true });
    expect(clearingUp(laid("coating-resin"), CATALOGUE).resin).toBe(true);
  });
});

describe("a coat nobody planned", () => {
  test("is on the piece from then on, whatever way is chosen afterwards, and its second is its second", () => {
    const half = new Half(pebble({ uses: ["handled"], decoration: DOTS })).workUpTo("prime");
    const sealed = { zone: "top", role: "isolate", product: productId("acrylic-varnish") } as const;
    const first = unplannedCoat(sealed, bodyOf(half.progress), CATALOGUE);
    half.record("done", [first]);
    const second = unplannedCoat(sealed, bodyOf(half.progress), CATALOGUE);
    expect([first.coat, second.coat]).toEqual([1, 2]);
    half.record("done", [second]);
    expect(missing(half)).toEqual([]);
    for (let way = 0; way < 3; way += 1) {
      half.chooseWay(way);
      expect(missing(half)).toEqual([]);
      expect(half.open().map(({ role }) => role)).not.toContain("clean");
    }
  });

  test("whatever was laid, wherever and whenever: it is on the body, and what was done before stays done", () => {
    const products = ["gesso", "craft-acrylic", "acrylic-varnish", "metallic-acrylic", "decoupage-medium", "satin-multisurface"] as const;
    fc.assert(
      fc.property(fc.nat(9), fc.constantFrom(...products), fc.nat(3), fc.constantFrom("top", "back"), (acts, id, which, zone) => {
        const half = new Half(pebble({ uses: ["handled"], decoration: DOTS })).work(acts);
        const product = productId(id);
        const roles = rolesOf(product, CATALOGUE);
        const before = bodyOf(half.progress).length;
        half.record("done", [
          unplannedCoat({ zone: zone as "top", role: roles[which % roles.length]!, product, colour: "#b0413e" }, bodyOf(half.progress), CATALOGUE),
        ]);
        expect(bodyOf(half.progress)).toHaveLength(before + 1);
        expect(missing(half)).toEqual([]);
        // It goes on from there to its end.
        for (let n = 0; n < 60 && half.open().length > 0; n += 1) half.work(1);
        expect(half.open()).toEqual([]);
        expect(missing(half)).toEqual([]);
      }),
      { numRuns: 25, seed: 5 },
    );
  });

  test("is laid as what its product is for", () => {
    expect(rolesOf(productId("gesso"), CATALOGUE)).toEqual(["prime", "size"]);
    expect(rolesOf(productId("craft-acrylic"), CATALOGUE)).toEqual(["base", "decorate"]);
    expect(rolesOf(productId("acrylic-varnish"), CATALOGUE)).toContain("seal");
  });
});

test("before a seal shuts guides in they are asked for; marks are looked at for spikes, filler for its colour", () => {
  const half = new Half(pebble({ uses: ["handled"], conditions: ["pitted"], decoration: DOTS }));
  const { shown } = half.view;
  const steps = shown!.zones.flatMap((zone) => zone.steps);
  const of = (role: string) =>
    benchChecks(
      steps.find((step) => step.role === role)!,
      shown!,
    );
  const guided = { zones: [{ ...shown!.zones[0]!, steps: [...steps, { ...steps[0]!, role: "mark", product: productId("chalk-pencil") }] }] } as never;
  expect(
    benchChecks(
      steps.find((step) => step.role === "seal")!,
      guided,
    ),
  ).toContain("Guides off everywhere?");
  expect(of("decorate")).toContain("Spikes swirled flat, bubbles popped?");
  expect(of("fill")).toContain("Turned one colour, and hard?");
});

describe("practice", () => {
  test("has a page for every stroke it names, and a plain one for all others", () => {
    for (const technique of PRACTISED_TECHNIQUES) expect(practiceOf(technique).technique).toBe(technique);
    expect(practiceOf("crystals").technique).toBe("solid");
  });

  test.each([0.5, 2, 6, 14, 60])("marks of %d mm lie on the sheet, and none on another; walked ones shrink", (mm) => {
    for (const walk of [false, true]) {
      const marks = sheetMarks(mm, walk);
      expect(marks.length).toBeGreaterThan(1);
      for (const { x, y, r } of marks) expect([x - r >= -1e-9, x + r <= SHEET_MM.width, y + r <= SHEET_MM.height]).toEqual([true, true, true]);
      for (const [k, one] of marks.slice(0, 60).entries())
        for (const other of marks.slice(k + 1, 60)) expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThan(one.r + other.r);
      if (walk) expect(marks[1]!.r).toBeLessThan(marks[0]!.r);
    }
  });
});
