/** What a record says, in the words of whoever reads it: lines, rows, thinning, bodies and rooms, in their own units. */
import { describe, expect, test } from "@jest/globals";
import { productId } from "../../catalogue/ids";
import { sizeWords } from "../../piece/size-words";
import { pebble } from "../../../tests/reference/bench";
import { line, look, record, sealed, told } from "../../../tests/reference/records";
import { coloursOf, holdersOf, lineDetails, recordText, sayBody, sayLine, sayRoom, sayRow, sayThinned, sealersOf } from "./say-record";

const dots = line({ title: "Dots: Moon pearl", role: "decorate", technique: "dots", product: productId("pearl-acrylic"), coats: 1 });
const thinned = (thinner: string, percent: number) => sayThinned({ thinning: { with: productId(thinner), percent } });

describe("a line of work", () => {
  test.each([
    [line({ title: "Base", coats: 2 }), ["two coats"]],
    [line({ title: "Spray", coats: 3, method: "spray" }), ["three passes"]],
    [line({ title: "Wash", role: "clean" }), []],
    [{ ...dots, marks: { count: 24, diameterMm: 4, heightMm: 1 } }, ["24 of 4 mm"]],
    [{ ...dots, coverage: 0.3 }, ["one coat", "over about 30 in 100 of its place"]],
    [{ ...dots, coverage: 1, mix: "2 parts cream, 1 part amber" }, ["one coat", "mixed from 2 parts cream, 1 part amber"]],
  ])("%# says its coats, marks, share and mixture", (of, details) => expect(lineDetails(of, "mm")).toEqual(details));

  test("names its places and, in inches, its sizes", () => {
    expect(sayLine({ ...dots, zones: ["top", "back"] }, "mm")).toBe("Dots: Moon pearl (top and back); one coat");
    expect(lineDetails({ ...dots, marks: { count: 8, diameterMm: 25.4, heightMm: 1 } }, "in")).toEqual(["8 of 1 in"]);
  });

  test("says how the paint was thinned, and nothing where nobody knows", () => {
    expect(thinned("water", 15)).toBe("thinned with water, about 15 parts to 100");
    expect(thinned("gloss-fluid-medium", 12.4)).toBe("thinned with fluid medium, about 12 parts to 100");
    expect([thinned("water", 0), thinned("unthinned", 0), sayThinned({})]).toEqual(["as it came", "as it came", null]);
  });
});

test("a row says its number, its count, its tool, and which way its dots look", () => {
  const row = { id: "r1", name: "Dots of 4 mm", count: 1, diameterMm: 4 };
  expect(sayRow(row)).toBe("dots of 4 mm");
  expect(sayRow({ ...row, count: 16, number: 3, tool: "ball 4", towards: "left", everySecond: true })).toBe(
    "row 3: dots of 4 mm, 16 of them, with ball 4, set to the left, on every second one",
  );
});

test("the body has its measures in the user's units; told in words it has none; a room says only what was said of it", () => {
  expect([sayBody(record(), "mm"), sayBody(told({ told: {} }), "mm")]).toEqual(["Smooth pebble, 70 × 55 × 25 mm", "Smooth pebble"]);
  expect(sizeWords({ kind: "disc", diameterMm: 101.6, thicknessMm: 12.7 }, "in")).toBe("4 in × 0.5 in");
  expect(sizeWords({ kind: "custom", areaMm2: 12_300 }, "mm")).toBe("123 cm²");
  const roomOf = (room: object) => sayRoom({ piece: pebble({ room }) });
  expect(roomOf({ temperatureC: 16, relativeHumidity: 0.62, airflow: "still" })).toBe("16 °C, 62 % damp, still air");
  expect([roomOf({ airflow: "fan" }), roomOf({}), sayRoom(told({ told: {} }))]).toEqual(["a fan on it", null, null]);
});

test("sealers by the user's names, each once; colours in the order of the work; who has it, each once", () => {
  const jar = { id: "jar000000001", name: "Quiet varnish" };
  const of = record({
    work: [
      line({ title: "Base", colour: "#1F3A4D" }),
      { ...dots, colour: "#e9e4da" },
      { ...dots, colour: "#1f3a4d" },
      { ...sealed("matt acrylic varnish"), jar },
      { ...sealed("matt acrylic varnish"), jar, zones: ["back"] },
      sealed("clear spray"),
    ],
    moves: ["Ida", "Marn", "Ida"].map((to, n) => ({ id: `move0000000${n}`, on: "2026-04-01", kind: "given" as const, count: 1, to })),
  });
  expect(sealersOf(of)).toEqual(["Quiet varnish", "clear spray"]);
  expect(coloursOf(of)).toEqual(["#1f3a4d", "#e9e4da"]);
  expect(holdersOf(of)).toEqual(["Ida", "Marn"]);
  // Of marks nobody noted a colour of, the rows that were marked out tell it.
  const patterned = pebble({ decoration: { patterns: [{ zone: "top", rows: [{ id: "r1", kind: "dots", colours: ["#AA0000"], diameterMm: 4 }] }] } });
  expect(coloursOf(record({ piece: patterned }))).toEqual(["#aa0000"]);
});

test("everything that was ever said of it is in its text: name first, then the body, then the work", () => {
  const of = told({
    name: "Gull",
    told: { colours: "white", paints: "craft acrylic", sealer: "spray", note: "on the step" },
    paint: [{ name: "White", ml: 2 }],
    mishaps: [{ at: "2026-03-08T10:00:00.000Z", kind: "ruined", zones: ["top"], title: "Base" }],
    additions: [{ id: "added0000001", at: "2026-03-11T10:00:00.000Z", text: "no primer" }],
    looks: [{ ...look(30, "faded", "chipped"), note: "at the beak" }],
    moves: [{ id: "move00000001", on: "2026-04-01", kind: "left-out", count: 1, to: "by the pier" }],
  });
  expect(recordText(of, "mm")).toEqual([
    "Gull",
    "Smooth pebble",
    "white",
    "craft acrylic",
    "spray",
    "on the step",
    "White",
    "went wrong: Base",
    "no primer",
    "faded, chipped: at the beak",
    "left to be found by the pier",
  ]);
});
