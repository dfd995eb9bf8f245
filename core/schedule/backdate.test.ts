/** Work that is done is dated backwards: its end stands, waits and windows are kept, and the hands are at one thing at a time. */
import { expect, test } from "@jest/globals";
import { stepId } from "../catalogue/ids";
import type { Edge, Task } from "../coating/facts/task";
import { backdated } from "./backdate";
import { MS_PER_MIN, usualHours } from "./free-hours";

const HOURS = usualHours("Europe/London");
/** A Tuesday at half past nine in the evening. */
const END = Date.parse("2027-01-12T21:30:00Z");

const wait = (task: string, typicalMin: number, more: Partial<Edge> = {}): Edge => ({
  task,
  typicalMin,
  cautiousMin: 2 * typicalMin,
  until: "dry-to-recoat",
  ...more,
});
const task = (id: string, handsOnMin: number, ...after: readonly Edge[]): Task => ({ id, stepId: stepId(id), coat: 1, zones: ["top"], handsOnMin, after });
const said = (tasks: readonly Task[], taken: Parameters<typeof backdated>[3] = []) =>
  Object.fromEntries(
    [...backdated(tasks, END, HOURS, taken)].map(([id, { from, to }]) => [
      id,
      `${new Date(from).toISOString().slice(5, 16)}/${new Date(to).toISOString().slice(11, 16)}`,
    ]),
  );

test("what can still be done the same evening is; what takes longer was done the evening before, or on Saturday", () => {
  expect(said([task("wash", 10), task("prime", 20, wait("wash", 60 * 24)), task("coat", 15, wait("prime", 60)), task("last", 10, wait("coat", 30))])).toEqual({
    last: "01-12T21:20/21:30",
    coat: "01-12T20:35/20:50",
    prime: "01-12T19:15/19:35",
    wash: "01-11T19:05/19:15",
  });
  // Longer than any evening: on the Saturday before.
  expect(said([task("long", 300), task("last", 10, wait("long", 10))]).long).toBe("01-09T12:00/17:00");
});

test("a window that shuts is kept, though no hour was free then; what is longer than any stretch of the week is done all the same", () => {
  const early = Date.parse("2027-01-13T06:00:00Z");
  const tasks = [task("paint", 10), task("peel", 5, wait("paint", 30, { closesMin: 120 }))];
  const { from, to } = backdated(tasks, early, HOURS, []).get("paint")!;
  expect([to - from, early - 5 * MS_PER_MIN - to]).toEqual([10 * MS_PER_MIN, 30 * MS_PER_MIN]);
  expect(said([task("week", 600), task("last", 10, wait("week", 0))]).week).toBe("01-12T11:20/21:20");
});

test("what the hands were at elsewhere is gone round", () => {
  const at = (from: string, to: string) => ({ from: Date.parse(`2027-01-12T${from}Z`), to: Date.parse(`2027-01-12T${to}Z`) });
  const tasks = [task("first", 20), task("last", 10, wait("first", 0))];
  expect(said(tasks, [at("20:45", "21:15"), at("20:20", "20:30")]).first).toBe("01-12T20:00/20:20");
  expect(said(tasks, [at("19:00", "21:20")]).first).toBe("01-11T21:40/22:00");
});
