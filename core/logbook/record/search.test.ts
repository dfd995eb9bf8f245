/** The logbook answers: by words, by what a piece is, and with the very line that was asked for. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { productId } from "../../catalogue/ids";
import { after, line, look, record, sealed } from "../../../tests/reference/records";
import { ANY_RECORD, choicesIn, indexed, searchRecords } from "./search";
import type { SoughtRecord } from "./search";

const grey = record({
  name: "Grey pebble",
  work: [
    line({ title: "Base colour: Rain grey", colour: "#8b8f91", zones: ["top", "back"] }),
    line({
      title: "Dots: Moon pearl",
      role: "decorate",
      product: productId("pearl-acrylic"),
      technique: "dots",
      colour: "#e9e4da",
      rows: [{ id: "r2", name: "Dots of 4 mm", count: 16, diameterMm: 4, tool: "ball 4", number: 2 }],
    }),
    sealed("matt Quiet varnish", "acrylic-varnish"),
  ],
  paint: [{ name: "Moon pearl", ml: 0.3 }],
  moves: [{ id: "move00000001", on: "2026-03-12", kind: "given", count: 1, to: "Ida" }],
});
const pot = record({
  name: "Herb pot",
  body: "Terracotta",
  finishedOn: "2025-07-02",
  work: [line({ title: "Base colour: Harbour navy", colour: "#1f3a4d", zones: ["outside"] }), sealed("satin outdoor varnish")],
  looks: [{ ...look(40, "chipped"), note: "at the rim, where the hose lies" }],
});
const told = record({
  origin: "told",
  name: "First stone",
  body: "Slate",
  finishedOn: "2019-05-01",
  told: { colours: "signal red and cream", sealer: "spray", note: "on the step" },
  additions: [{ id: "added0000001", at: after(3), text: "no primer under it" }],
});
const all = [grey, pot, told].map(indexed);
const named = (part: Partial<SoughtRecord>) => searchRecords(all, { ...ANY_RECORD, ...part }).map(({ record: { name } }) => name);
const answers = (text: string) => searchRecords(all, { ...ANY_RECORD, text })[0]?.answers ?? [];

describe("in words", () => {
  test.each([
    ["grey pebble", ["Grey pebble"]],
    ["what did I put on the grey pebble?", ["Grey pebble"]],
    ["pebbles", ["Grey pebble"]],
    ["shimmer", ["Grey pebble"]],
    ["second ring", ["Grey pebble"]],
    ["varnish", ["Grey pebble", "Herb pot"]],
    ["quiet varnish", ["Grey pebble"]],
    ["hose", ["Herb pot"]],
    ["primer", ["First stone"]],
    ["Ida", ["Grey pebble"]],
    ["July 2025", ["Herb pot"]],
    ["blue", ["Herb pot"]],
    ["ball 4", ["Grey pebble"]],
    ["chipped", ["Herb pot"]],
    ["glitter", []],
    ["", ["Grey pebble", "Herb pot", "First stone"]],
  ])("“%s” finds %j", (text, names) => expect(named({ text })).toEqual(names));

  test("what answers is the line that was asked for, and not the name of the piece", () => {
    expect(answers("where is the shimmer on the grey pebble")).toEqual([expect.stringContaining("row 2: dots of 4 mm, 16 of them, with ball 4")]);
    expect(answers("sealer of the herb pot")).toEqual([expect.stringContaining("outdoor varnish")]);
    expect(answers("")).toEqual([]);
  });

  test("no text breaks it, and every piece is found by its own name", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        expect(searchRecords(all, { ...ANY_RECORD, text }).length).toBeLessThanOrEqual(all.length);
        const own = indexed(record({ name: text.trim() === "" ? "x" : text }));
        expect(searchRecords([own], { ...ANY_RECORD, text: own.record.name })).toHaveLength(1);
      }),
      { numRuns: 300, seed: 5 },
    );
  });
});

describe("by what it is", () => {
  test("colour, body, sealer, month and year, who has it; all of it has to hold", () => {
    expect(named({ family: "blue" })).toEqual(["Herb pot"]);
    expect(named({ family: "red" })).toEqual(["First stone"]);
    expect(named({ body: "Terracotta" })).toEqual(["Herb pot"]);
    expect(named({ sealer: "spray" })).toEqual(["First stone"]);
    expect(named({ month: "2026-03" })).toEqual(["Grey pebble"]);
    expect(named({ month: "2025" })).toEqual(["Herb pot"]);
    expect(named({ paint: "Moon pearl" })).toEqual(["Grey pebble"]);
    expect(named({ who: "Ida" })).toEqual(["Grey pebble"]);
    expect(named({ family: "blue", who: "Ida" })).toEqual([]);
    expect(named({ text: "varnish", body: "Terracotta" })).toEqual(["Herb pot"]);
  });

  test("only what some record has can be chosen, the latest month first", () => {
    expect(choicesIn(all)).toMatchObject({
      bodies: ["Slate", "Smooth pebble", "Terracotta"],
      sealers: ["matt Quiet varnish", "satin outdoor varnish", "spray"],
      paints: ["Moon pearl"],
      months: ["2026-03", "2025-07", "2019-05"],
      holders: ["Ida"],
    });
    expect(choicesIn([]).families).toEqual([]);
  });
});
