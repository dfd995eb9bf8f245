/** The section as a reading of the plan: nothing missing, nothing over another, in the order it is laid. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { menuOf } from "#core/catalogue/menu";
import { alikeZones } from "#core/coating/explain/alike-zones";
import type { Piece } from "#core/piece/piece";
import { firstPlan, jar, mug, pebble, plate, pot, rough, tray } from "../../../tests/reference/bench";
import { bandHeight, CLEAR, columnOf, fillOf, kindOf } from "./bands";
import { laidPlace } from "./laid-place";
import { widthOf } from "./label-layout";
import { labelOf, stateText } from "./labels";
import { HEAD_SIZE, rowsOf, TAIL_SIZE, WORDS } from "./layout";

const menu = menuOf(CATALOGUE);
const columns = (piece: Piece) => alikeZones(firstPlan(piece).zones).map((group) => columnOf(group, menu));
const PIECES: readonly (readonly [string, Piece])[] = [
  ["a dotted pebble, signed", pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["dots"] } })],
  ["a bumpy stone with powder", rough({ conditions: ["bumpy"], decoration: { techniques: ["effect-powder", "outline"] } })],
  ["a banded planter", pot({ uses: ["planter"], decoration: { techniques: ["bands"] } })],
  ["a baked mug", mug({ decoration: { techniques: ["dots"] }, wishes: { route: "bake" } })],
  ["a lantern", jar({ uses: ["candle"] })],
  ["a tray", tray()],
  ["a plate for the kiln", plate()],
];

describe.each(PIECES)("%s", (_name, piece) => {
  test("every film is a band, in the order of the work, none over another", () => {
    for (const { bands, group, height } of columns(piece)) {
      const films = group.steps.filter((step) => kindOf(step, menu) === "film").map((step) => step.id);
      expect(bands.filter((band) => band.kind === "film").map((band) => band.step.id)).toEqual(films);
      for (const [index, band] of bands.entries()) {
        expect(band.y + band.height).toBeLessThanOrEqual(index === 0 ? 0 : bands[index - 1]!.y);
        expect(band.height).toBeGreaterThan(0);
        expect(-band.y).toBeLessThanOrEqual(height);
      }
    }
  });
  test("every band has its number, its name uncut, and its place beside the bands, over no other's", () => {
    for (const column of columns(piece)) {
      const numbers = new Map(column.group.steps.map((step, index) => [step.id as string, index + 1]));
      for (const width of [214, 260, 330]) {
        const { beside, above, below } = laidPlace(column, { menu, numbers, states: null }, width, new Set());
        expect(beside.filter(({ kind }) => kind !== "night").map(({ step }) => step.id)).toEqual([
          ...column.bands.map(({ step }) => step.id).reverse(),
          ...column.acts.map((step) => step.id),
        ]);
        for (const [index, { label, y }] of beside.entries()) {
          const next = beside[index + 1];
          if (next) expect(next.y - next.label.height / 2).toBeGreaterThanOrEqual(y + label.height / 2 - 1e-6);
          expect([y - label.height / 2 >= -above, y + label.height / 2 <= below]).toEqual([true, true]);
          for (const line of label.head) expect(widthOf(line, HEAD_SIZE)).toBeLessThanOrEqual(width - WORDS);
          for (const line of label.tail) expect(widthOf(line, TAIL_SIZE)).toBeLessThanOrEqual(width - WORDS);
        }
        for (const band of column.bands.filter(({ kind }) => kind !== "cap")) {
          const own = beside.find(({ step, kind }) => kind === "band" && step.id === band.step.id)!;
          const { head, tail } = labelOf(band, menu, numbers.get(band.step.id));
          expect(head).toMatch(/^\d+ · \S/);
          expect([own.label.head.join(""), own.label.tail.join("")].map(unspaced)).toEqual([head, tail].map(unspaced));
        }
      }
    }
  });
});

const unspaced = (text: string) => text.replaceAll(" ", "");

test("places stand side by side where there is room, in rows filled evenly", () => {
  expect(rowsOf(1, 720)).toEqual({ perRow: 1, each: 330 });
  expect(rowsOf(3, 720).perRow).toBe(3);
  expect(rowsOf(4, 720).perRow).toBe(2);
  expect(rowsOf(3, 320)).toEqual({ perRow: 1, each: 320 });
});

describe("heights", () => {
  test("grow with the film, and stay between what can be read and what fits the page", () => {
    const heights = [0, 5, 20, 60, 200, 1000, 20_000].map(bandHeight);
    expect([...heights].sort((a, b) => a - b)).toEqual(heights);
    expect(heights[0]).toBeGreaterThanOrEqual(19);
    expect(heights.at(-1)).toBeLessThanOrEqual(46);
  });
  test("a raised dot stands out over the paint it is set on", () => {
    const [column] = columns(pebble({ decoration: { techniques: ["dots"] } }));
    const height = (role: string) => column!.bands.find((band) => band.step.role === role)!.height;
    expect(height("decorate")).toBeGreaterThan(height("base"));
    expect(height("decorate")).toBeGreaterThan(height("seal"));
  });
});

test("a colour is shown as it is, a clear coat as clear, a white ground as pale", () => {
  const steps = firstPlan(pebble({ decoration: { techniques: ["dots"], baseColour: "#1f3a4d" } })).zones[0]!.steps;
  const of = (role: string) =>
    fillOf(
      steps.find((step) => step.role === role)!,
      menu,
    );
  expect(of("base")).toBe("#1f3a4d");
  expect(of("seal")).toBe(CLEAR);
  expect([CLEAR, "#1f3a4d"]).not.toContain(of("prime"));
});

test("nights are gaps that say how long; hardening at the end is none", () => {
  const bands = columns(pebble({ decoration: { techniques: ["dots"] } })).flatMap((column) => column.bands);
  for (const band of bands) if (band.gapMin > 0) expect(band.gapMin).toBeGreaterThanOrEqual(8 * 60);
  expect(bands.some((band) => band.gapMin > 0)).toBe(true);
  expect(bands.find((band) => band.step.role === "cure")?.gapMin).toBe(0);
});

test("where a band stands is said in words, never by its look alone", () => {
  const until = new Date(2026, 10, 24, 20, 5).getTime();
  const of = { of: 2, untilCareful: null };
  expect(stateText(undefined)).toBe("");
  expect(stateText({ state: "ready", done: 0, until: null, ...of })).toBe("may be done now");
  expect(stateText({ state: "waiting", done: 1, until, ...of })).toMatch(/^waiting until about .*(?:20:05|8:05 pm), 1 of 2 done$/);
  expect(stateText({ state: "to-come", done: 0, until: null, ...of })).toBe("to come");
  expect(stateText({ state: "done", done: 2, until: null, ...of })).toBe("done");
});
