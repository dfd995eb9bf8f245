/** Tern Point stands as it is stated to on any day, at any hour, anywhere; nothing of it is dated before it could be, and all of it fits. */
import { beforeAll, expect, test } from "@jest/globals";
import { instantOf } from "#core/schedule/free-hours";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { readBundle } from "#core/formats/bundle";
import { fileOf, writeBundle } from "#core/formats/write-bundle";
import { benchOf } from "#core/logbook/bench/bench";
import type { Bench } from "#core/logbook/bench/bench";
import type { BenchPiece } from "#core/logbook/bench/bench-piece";
import { usedSince } from "#core/logbook/paint-used";
import { shelfKey } from "#core/shelf/own-products";
import type { StoreName } from "#core/formats/stores/stores";
import { assertFits } from "~/store/check-record";
import { TERN_POINT } from "./tern-point";
import type { DemoPiece, DemoStanding } from "./tern-point";
import { ternPointNotebook, ternPointProducts } from "./tern-point-notebook";
import type { DemoInstant } from "./tern-point-notebook";
import { ternPointPlans } from "./tern-point-plans";
import type { DemoWork } from "./tern-point-work";

const MIN_MS = 60_000;
const HOUR_MS = 60 * MIN_MS;
const DAY_MS = 24 * HOUR_MS;
const built = ternPointPlans();
const VIEWS = new Map(Object.entries(built.plans));

const ZONES = ["Europe/London", "America/Los_Angeles", "Australia/Lord_Howe", "Pacific/Kiritimati"] as const;
/** Days that end with one. */
const until = (date: string, days: number) =>
  Array.from({ length: days }, (_unused, day) => new Date(Date.parse(date) - day * DAY_MS).toISOString().slice(0, 10));
const HOURS = ["00:10", "01:30", "02:30", "06:45", "10:05", "14:00", "19:20", "23:55"] as const;
const at = (timeZone: string, dates: readonly string[]) => dates.flatMap((date) => HOURS.map((hour) => ({ timeZone, now: instantOf(date, hour, timeZone) })));
/** A fortnight, a leap day and the turn of a year everywhere; where clocks change, the nights on which they go on and back and the days after. */
const INSTANTS: readonly DemoInstant[] = [
  ...ZONES.flatMap((timeZone) => at(timeZone, [...until("2026-12-08", 14), "2028-02-29", "2026-12-31", "2027-01-01"])),
  ...at("Europe/London", [...until("2027-03-29", 2), ...until("2026-10-26", 2)]),
  ...at("America/Los_Angeles", [...until("2027-03-15", 2), ...until("2026-11-02", 2)]),
  ...at("Australia/Lord_Howe", [...until("2027-04-05", 2), ...until("2026-10-05", 2)]),
];

const sayInstant = ({ now, timeZone }: DemoInstant) => `${new Date(now).toLocaleString("en-GB", { timeZone, weekday: "short" })} ${timeZone}`;

function onBench(one: DemoPiece, { progress, done }: DemoWork): BenchPiece {
  const { shown, work } = VIEWS.get(one.id)!;
  return { id: one.id, name: one.piece.name, count: one.piece.count ?? 1, due: null, shown: shown!, work: work!, done, progress };
}

/** What each standing comes to on the Bench. */
const SHOWS: Readonly<Record<DemoStanding, (id: string, bench: Bench, now: number) => boolean>> = {
  "to-do": (id, { now, alone }) => now.some((go) => go.piece === id && go.begun === null) && !alone.some(({ piece }) => piece === id),
  "under-way": (id, { now }) => now.some(({ piece, begun }) => piece === id && begun !== null && begun.ends.length > 0),
  "wet-by-minutes": (id, bench, now) => isWetFor(id, bench, now, 5 * MIN_MS, HOUR_MS),
  "wet-by-hours": (id, bench, now) => isWetFor(id, bench, now, 2 * HOUR_MS, 12 * HOUR_MS),
  "wet-by-a-day": (id, bench, now) => isWetFor(id, bench, now, 18 * HOUR_MS, 48 * HOUR_MS),
  "drying-through": (id, { alone }, now) => alone.some(({ piece, wet, until, partly }) => piece === id && wet.length === 0 && until > now && !partly),
  hardening: (id, { hardening }, now) => hardening.some(({ piece, cured }) => piece === id && cured > now),
};

function isWetFor(id: string, { alone, now: goes }: Bench, now: number, from: number, to: number): boolean {
  const it = alone.find(({ piece }) => piece === id);
  const left = (it?.until ?? now) - now;
  return it !== undefined && it.wet.length > 0 && left >= from && left <= to && !goes.some(({ piece }) => piece === id);
}

/** What is looked at in any record. */
interface Kept {
  readonly id: string;
  readonly at?: string;
  readonly dates?: object;
}

/** The notebook at each of the instants; laid out once for all tests. */
let notebooks: readonly { readonly at: DemoInstant; readonly notebook: ReturnType<typeof ternPointNotebook> }[];
beforeAll(() => {
  notebooks = INSTANTS.map((instant) => ({ at: instant, notebook: ternPointNotebook(VIEWS, instant) }));
});

test("every piece stands as it is stated to, and every standing is there, at each of many instants", () => {
  const begun = TERN_POINT.filter(({ state }) => state !== null);
  const otherwise = notebooks.flatMap(({ at, notebook: { worked } }) => {
    const bench = benchOf(
      begun.map((one) => onBench(one, worked.get(one.id)!)),
      at.now,
      at.timeZone,
    );
    return begun.filter(({ id, state }) => !SHOWS[state!.stands](id, bench, at.now)).map(({ id, state }) => `${sayInstant(at)}: ${id} is not ${state!.stands}`);
  });
  expect(otherwise).toEqual([]);
  expect(new Set(begun.map(({ state }) => state!.stands))).toEqual(new Set(Object.keys(SHOWS)));
  expect(TERN_POINT.some(({ dueInDays = Infinity }) => dueInDays <= 14)).toBe(true);
  expect(TERN_POINT.some(({ state, dueInDays }) => state === null && dueInDays === undefined)).toBe(true);
});

/** What is wrong with the times at which a piece was worked at. */
function mistimed({ id }: DemoPiece, { done, hands }: DemoWork, now: number): readonly string[] {
  const { tasks } = VIEWS.get(id)!.work!;
  const lengths = new Map(hands.map(({ from, to }) => [to, to - from]));
  return tasks.flatMap((task) => {
    const end = done.get(task.id);
    if (end === undefined) return [];
    const from = end - lengths.get(end)!;
    const late = end > now ? [`${task.id} ends in the future`] : [];
    return [
      ...late,
      ...task.after.flatMap(({ task: beneath, typicalMin, closesMin }) => {
        const waited = (from - (done.get(beneath) ?? Infinity)) / MIN_MS;
        if (!(waited >= typicalMin)) return [`${task.id} was begun ${waited} min after ${beneath}, which takes ${typicalMin}`];
        return closesMin !== undefined && waited > closesMin ? [`${task.id} was begun ${waited} min after ${beneath}: too late`] : [];
      }),
    ];
  });
}

test("no coat is dated before what lies beneath was dry, nor twice over for one pair of hands, nor in the future", () => {
  const faults = notebooks.flatMap(({ at, notebook: { worked, parts } }) => {
    const own = TERN_POINT.flatMap((one) => (worked.has(one.id) ? mistimed(one, worked.get(one.id)!, at.now) : []));
    const hands = [...worked.values()].flatMap((one) => one.hands).sort((a, b) => a.from - b.from);
    const twice = hands.flatMap(({ from }, index) =>
      index > 0 && from < hands[index - 1]!.to ? [`hands at two things at ${new Date(from).toISOString()}`] : [],
    );
    const instants = JSON.stringify(parts).match(/\d{4}-\d\d-\d\dT[0-9:.]+Z/g)!;
    const future = instants.filter((instant) => Date.parse(instant) > at.now);
    const early = parts.progress!.filter(({ at: noted }) => Date.parse(noted) < Date.parse(parts.shelf![0]!.left!.at));
    return [...own, ...twice, ...future, ...early.map(({ id }) => `${id} is older than what is known of the jars`)].map(
      (fault) => `${sayInstant(at)}: ${fault}`,
    );
  });
  expect(faults).toEqual([]);
});

test("no jar has given more than was in it", () => {
  const { parts } = notebooks[0]!.notebook;
  const known = parts.shelf!.flatMap(({ id, left }) => (left ? [[id, left] as const] : []));
  const used = usedSince(parts.progress!, new Map(known.map(([id, { at: seen }]) => [id, seen])));
  expect(known.filter(([id, { ml }]) => (used.get(id) ?? 0) > ml).map(([id]) => id)).toEqual([]);
  expect(used.size).toBeGreaterThan(4);
});

/** An instant as it is written in a record. */
const ISO = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/;

test("every record fits its schema at each of the instants", () => {
  // A plan is the same at all of them, a piece but for its day, and a coat but for its time: what is the same is looked at once.
  const seen = new Set<string>();
  const known = (store: string, record: Kept): boolean => {
    const { id, dates, at } = record;
    if (store !== "plans" && store !== "pieces" && !(store === "progress" && ISO.test(at ?? ""))) return false;
    const key = store === "progress" ? JSON.stringify({ ...record, at: "" }) : `${store}/${id}/${JSON.stringify(dates)}`;
    return seen.size === seen.add(key).size;
  };
  for (const { notebook } of notebooks)
    for (const [store, records] of Object.entries(notebook.parts) as readonly [StoreName, readonly Kept[]][])
      for (const record of records) if (!known(store, record)) assertFits(store, record);
  expect(seen.size).toBeGreaterThan(200);
});

test("the whole notebook is read as it was written, and its jars are the products its plans were made from", () => {
  for (const { at, notebook } of notebooks.filter((_one, index) => index % 144 === 0)) {
    const read = readBundle(JSON.stringify(fileOf(writeBundle(notebook.parts))), CATALOGUE);
    expect([sayInstant(at), read.ok && read.value.aside]).toEqual([sayInstant(at), []]);
  }
  expect(new Set(INSTANTS.map((at) => shelfKey(ternPointProducts(at))))).toEqual(new Set([built.shelf]));
});
