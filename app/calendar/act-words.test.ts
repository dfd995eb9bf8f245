import { describe, expect, test } from "@jest/globals";
import type { Menu } from "#core/catalogue/menu";
import type { StepId } from "#core/catalogue/ids";
import type { DayAct } from "#core/schedule/together/calendar";
import { actsTold, nextBusy, runsOf } from "#core/schedule/together/runs";
import { actTitle, partsWords, runInBrief, runTitle, shutWords } from "./act-words";
import type { TablePiece } from "./table.client";

const MENU = { products: [{ id: "gesso", name: "Gesso" }], techniques: [], materials: [], uses: [], tools: [], jars: [] } as unknown as Menu;
const step = (role: string, coats: number) => ({ role, product: "gesso", coats }) as never;
const pieces = new Map<string, TablePiece>([
  ["pot", { id: "pot", name: "Herb pot", count: 12, due: "", steps: { prime: step("prime", 2), sign: step("sign", 1) }, places: 2 }],
  ["jar", { id: "jar", name: "Lantern", count: 1, due: "", steps: { prime: step("prime", 2) }, places: 2 }],
]);
const MIN = 60_000;
const part = (piece: string, count: number, of: number) => ({
  piece,
  count,
  of,
  stepId: "prime" as StepId,
  tasks: ["prime:1"],
  starts: [0],
  zones: ["outside" as const],
});
const act = (from: number, to: number, more: Partial<DayAct> = {}): DayAct => ({
  id: `pot/prime/${from}`,
  from: from * MIN,
  to: to * MIN,
  stepId: "prime" as StepId,
  coat: 1,
  parts: [part("pot", 12, 12)],
  ...more,
});

describe("acts as they are told", () => {
  test("what is done, and on which pieces, counted where it is a batch", () => {
    expect(actTitle(act(0, 10), pieces, MENU)).toBe("Prime: gesso, coat 1 of 2");
    expect(partsWords(act(0, 10, { parts: [part("pot", 5, 12), part("jar", 1, 1)] }), pieces)).toBe("5 of 12 × Herb pot and Lantern");
    // Each part says its half where the act is not of one.
    expect(partsWords(act(0, 10, { parts: [{ ...part("pot", 12, 12), half: "first" }, part("jar", 1, 1)] }), pieces)).toMatch(
      /^12 × Herb pot \(.+\) and Lantern$/,
    );
    expect(partsWords(act(0, 10, { half: "first", parts: [{ ...part("pot", 12, 12), half: "first" }] }), pieces)).toBe("12 × Herb pot");
    // A plan that has just changed has no such step.
    expect(actTitle(act(0, 10, { stepId: "gone" as StepId }), pieces, MENU)).toBe("Work that has just changed");
  });

  test("acts on the same pieces with no break between are one run; a break, other pieces or a pin part them", () => {
    const sign = act(10, 12, { stepId: "sign" as StepId });
    expect(runsOf([act(0, 10), sign]).map((run) => run.length)).toEqual([2]);
    expect(runsOf([act(0, 10), act(15, 20)]).map((run) => run.length)).toEqual([1, 1]);
    expect(runsOf([act(0, 10), act(10, 20, { parts: [part("jar", 1, 1)] })])).toHaveLength(2);
    expect(runsOf([act(0, 10), { ...sign, held: true }])).toHaveLength(2);
    expect(runsOf([act(0, 10, { part: 1 }), sign])).toHaveLength(2);
    const [run] = runsOf([act(0, 10), sign]);
    expect(runTitle(run!, pieces, MENU)).toBe("Prime: gesso, coat 1 of 2 and 1 more");
    expect(runInBrief(run!, pieces, MENU)).toBe("prime: gesso, coat 1 of 2, sign and date the underside: 12 × Herb pot");
    const many = [act(0, 10, { parts: [part("pot", 12, 12), part("jar", 1, 1), part("jar", 1, 1)] })] as const;
    expect(runInBrief(many, pieces, MENU)).toBe("prime: gesso, coat 1 of 2: 14 pieces");
  });

  test("colours blended on one load of a batch after another are told once each, on all of its pieces", () => {
    const wet = (from: number, stepId: string, count: number) => act(from, from + 10, { stepId: stepId as StepId, parts: [part("pot", count, 12)] });
    const [run] = runsOf([wet(0, "prime", 8), wet(10, "sign", 8), wet(20, "prime", 4), wet(30, "sign", 4)]);
    expect(actsTold(run!).map(({ stepId, from, to, parts }) => [stepId, from / MIN, to / MIN, parts[0]!.count])).toEqual([
      ["prime", 0, 30, 12],
      ["sign", 10, 40, 12],
    ]);
    expect(runInBrief(run!, pieces, MENU)).toMatch(/: 12 × Herb pot$/);
  });

  test("what to do where it is too late: a mask is scored along, a colour that has set is laid again, a closed coat is scuffed", () => {
    expect(shutWords({ role: "unmask" })).toMatch(/^Score/);
    expect(shutWords({ role: "decorate", while: "wet" })).toMatch(/lay a little/);
    expect(shutWords(undefined)).toMatch(/^Scuff/);
  });

  test("the next day on which anything is done", () => {
    const day = (date: string, acts: readonly DayAct[]) => ({ date, sittings: [{ from: 0, to: 1, busyMin: 0, acts }], due: [], ready: [], cured: [] });
    const days = [day("2026-11-27", [act(0, 1)]), day("2026-11-28", []), day("2026-11-29", [act(0, 1)])];
    expect(nextBusy(days, "2026-11-27")?.date).toBe("2026-11-29");
    expect(nextBusy(days, "2026-11-29")).toBeUndefined();
  });
});
