/** A notebook's file, damaged in every way a disk, a hand or a script can, and read, planned and dated all the same. */
import { readFileSync } from "node:fs";
import { strFromU8, unzipSync } from "fflate";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { readBundle } from "#core/formats/bundle";
import type { ReadBundle } from "#core/formats/bundle";
import { keepingOf } from "#core/formats/keeping-of";
import { STORE_NAMES } from "#core/formats/stores/stores";
import { fileOf } from "#core/formats/write-bundle";
import { withOwnProducts } from "#core/catalogue/own-product";
import { needsOf } from "#core/shelf/needs";
import { ownProductsOf } from "#core/shelf/own-products";
import type { Wanting } from "#core/shelf/promises";
import { shoppingFor } from "#core/shelf/shopping";
import { stockOf } from "#core/shelf/stock";
import { overviewOf } from "#core/logbook/overview";
import { planOnBody } from "#core/logbook/plan-on-body";
import { dateWork } from "#core/schedule/date-work";
import { workFor } from "#core/schedule/dates-of";
import { usualHours } from "#core/schedule/free-hours";

/** Numbers between 0 and 1, the same for the same seed (mulberry32). */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

export type Random = () => number;

export const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** What may come to stand where something else stood. */
const STRANGE: readonly unknown[] = [
  null,
  [],
  {},
  "",
  " ",
  "x".repeat(5000),
  "2026-99-99",
  "99999-01-01T00:00:00Z",
  "<script>alert(1)</script>",
  "__proto__",
  0,
  -1,
  0.5,
  1e9,
  1e308,
  true,
  [null],
  { id: { id: 1 } },
  Array.from({ length: 2000 }, () => "a"),
];

interface Spot {
  readonly holder: Record<string, unknown> | unknown[];
  readonly key: string;
}

function spotsIn(value: unknown): readonly Spot[] {
  if (typeof value !== "object" || value === null) return [];
  const holder = value as Record<string, unknown>;
  return Object.keys(holder).flatMap((key) => [{ holder, key }, ...spotsIn(holder[key])]);
}

/** A document with one to four things in it that should not be. */
export function damaged(document: object, random: Random): object {
  const copy = structuredClone(document) as Record<string, unknown>;
  for (let wound = Math.floor(random() * 4); wound >= 0; wound -= 1) {
    const { holder, key } = pick(random, spotsIn(copy));
    const kind = random();
    const inside = holder as Record<string, unknown>;
    if (kind < 0.2) Reflect.deleteProperty(inside, key);
    else if (kind < 0.3) inside[`${key}x`] = inside[key];
    else if (kind < 0.4 && Array.isArray(inside[key])) (inside[key] as unknown[]).push(structuredClone((inside[key] as unknown[])[0]));
    else if (kind < 0.5 && typeof inside[key] === "number") inside[key] = (inside[key] as number) * pick(random, [-1, 0, 1000, 1e-6]);
    else inside[key] = structuredClone(pick(random, STRANGE));
  }
  return copy;
}

const HOURS = usualHours("Europe/London");
const START = Date.parse("2026-11-26T09:00:00Z");

/** Plans, dates and lists every piece that was let in, out of the jars that were; then goes shopping for all of them. */
function useAll({ bundle }: ReadBundle): void {
  const stock = stockOf(bundle.shelf, bundle.progress);
  const catalogue = withOwnProducts(CATALOGUE, ownProductsOf(bundle.shelf, stock, CATALOGUE, "2026-11-26"));
  const wanting: Wanting[] = [];
  for (const record of bundle.pieces) {
    const plan = bundle.plans.find((one) => one.id === record.planId) ?? null;
    const progress = bundle.progress.filter((one) => one.pieceId === record.id);
    const view = planOnBody(record.piece, keepingOf(plan), progress, catalogue);
    const work = view.shown && workFor(record.piece, view.shown, catalogue);
    if (work) dateWork(work, bundle.hours[0]?.hours ?? HOURS, START, { done: view.done });
    overviewOf({ shown: view.shown, work, done: view.done }, START);
    if (view.shown) wanting.push({ id: record.id, name: record.piece.name, needs: needsOf(view.shown) });
  }
  const { buy } = shoppingFor(wanting, bundle.shelf, stock, CATALOGUE);
  if (buy.some((one) => !(one.jars >= 1 && one.overMl >= -1e-3))) throw new Error("a shopping list that is none");
}

/** What came of an attack. */
export interface Attack {
  readonly files: number;
  /** Refused as a whole. */
  readonly refused: number;
  /** Records let in, and set aside. */
  readonly taken: number;
  readonly aside: number;
  /** What no file may bring about; none is wanted. */
  readonly faults: readonly string[];
}

/** The notebooks that are damaged. */
export function soundFiles(): readonly object[] {
  const texts = ["bundle-1.json", "bundle-2.json", "bundle-4.json", "bundle-5.json"].map((name) => readFileSync(`tests/fixtures/${name}`, "utf8"));
  const packed = unzipSync(new Uint8Array(readFileSync("tests/fixtures/notebook-6.zip")))["notebook.json"]!;
  return [...texts, strFromU8(packed)].map((text) => JSON.parse(text) as object);
}

/**
 * Reads damaged files and works with all that is let in.
 *
 * @param count how many files
 */
export function attack(seed: number, count: number): Attack {
  const random = seeded(seed);
  const sources = soundFiles();
  const tally = { refused: 0, taken: 0, aside: 0 };
  const faults: string[] = [];
  for (let at = 0; at < count; at += 1) {
    const text = JSON.stringify(damaged(pick(random, sources), random));
    try {
      const read = readBundle(text, CATALOGUE);
      if (!read.ok) {
        tally.refused += 1;
        continue;
      }
      tally.taken += STORE_NAMES.reduce((sum, name) => sum + read.value.bundle[name].length, 0);
      tally.aside += read.value.aside.length;
      useAll(read.value);
      const again = readBundle(JSON.stringify(fileOf(read.value.bundle)), CATALOGUE);
      if (!again.ok || again.value.aside.length > 0 || again.value.altered) faults.push(`file ${at}: what was let in is not let in again`);
    } catch (error) {
      faults.push(`file ${at}: ${error instanceof Error ? (error.stack ?? error.message).split("\n").slice(0, 4).join(" | ") : String(error)}`);
    }
  }
  return { files: count, ...tally, faults };
}
