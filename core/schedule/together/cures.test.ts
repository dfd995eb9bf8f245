/** What would help a piece that is late: each cure taken, the calendar comes out as it was told. */
import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { edge, EVENINGS, HOUR, piece, START, task, workOf } from "../../../tests/reference/made-up-tables";
import { instantOf, spansOf } from "../free-hours";
import { bestExtra, boughtBy, extraSittings, inTimeOf, withSitting } from "./cures";
import type { PieceWork } from "./network";
import { scheduleAll } from "./schedule-all";
import type { Together, TogetherAsk } from "./schedule-all";

const at = (date: string, time = "00:00") => instantOf(date, time, "Europe/London");
const ask = (pieces: readonly PieceWork[]): TogetherAsk => ({ pieces, hours: EVENINGS, start: START, ruled: true });
const lateIn = ({ network, late }: Together) => new Map(network.pieces.map(({ id }, index) => [id, late[index]!]));
const busy = (id: string, due: number | null, min = 60) =>
  piece(id, workOf([task("base", min), task("dots", min, [edge("base", 90)]), task("seal", 20, [edge("dots", 20 * HOUR)])], 12 * HOUR), { due });

test("what a helper and one more evening buy is never better than what the calendar then comes to", () => {
  let told = 0;
  const tables = fc.array(fc.record({ min: fc.integer({ min: 20, max: 120 }), days: fc.integer({ min: 2, max: 6 }) }), { minLength: 2, maxLength: 5 });
  fc.assert(
    fc.property(tables, (list) => {
      const pieces = list.map(({ min, days }, k) => busy(`p${k}`, at(`2026-12-0${days}`), min));
      const asked = ask(pieces);
      const was = lateIn(scheduleAll(asked)!);
      const [id, late] = [...was].sort((a, b) => b[1] - a[1])[0]!;
      if (late === 0) return;
      const extra = bestExtra(asked, id, pieces.find((one) => one.id === id)!.due!);
      const others = [{ ...asked, hands: 2 }, ...(extra ? [{ ...asked, hours: withSitting(EVENINGS, extra) }] : [])];
      for (const other of others) {
        const bought = boughtBy(was, other, id);
        if (!bought) continue;
        told += 1;
        expect(bought.lateMs).toBeLessThan(late);
        const short = scheduleAll({ ...other, tries: 20 })!;
        expect(lateIn(short).get(id)).toBe(bought.lateMs);
        expect(bought.late.every((one) => was.get(one) === 0 && lateIn(short).get(one)! > 0)).toBe(true);
        const sum = (of: Together) => of.late.reduce((all, ms) => all + ms, 0);
        expect(sum(scheduleAll(other)!)).toBeLessThanOrEqual(sum(short));
      }
    }),
    { numRuns: 25, seed: 34 },
  );
  expect(told).toBeGreaterThan(10);
});

test("one more stretch is where none is: an evening, or by day at the weekend, before it is needed; what is free stays", () => {
  const found = extraSittings(EVENINGS, START, at("2026-12-08"));
  expect(found.map(({ date, span }) => [date, span.from])).toEqual([
    ["2026-12-05", "19:00"],
    ["2026-12-06", "19:00"],
  ]);
  const hours = withSitting(EVENINGS, found[0]!);
  expect(spansOf(hours, "2026-12-05")).toEqual([
    { from: "10:00", to: "16:00" },
    { from: "19:00", to: "22:00" },
  ]);
  expect(spansOf(hours, "2026-12-12")).toEqual([{ from: "10:00", to: "16:00" }]);
  expect(extraSittings(EVENINGS, START, at("2026-12-05"))).toEqual([]);
});

test("of a batch as many as are in time, and one more is not; none where the waits alone are too long", () => {
  const batch = (count: number, due = "2026-12-05") => ({ ...busy("b", at(due), count * 12), count });
  const most = inTimeOf(ask([batch(40)]), "b")!;
  expect(most).toBeGreaterThan(1);
  const lateOf = (count: number) => scheduleAll({ ...ask([batch(count)]), tries: 0 })!.late[0]!;
  expect([lateOf(most), lateOf(most + 1) > 0]).toEqual([0, true]);
  expect(inTimeOf(ask([batch(40, "2026-12-01")]), "b")).toBeNull();
  expect(inTimeOf(ask([busy("b", at("2026-12-01"))]), "b")).toBeNull();
});
