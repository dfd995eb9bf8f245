/** Shelves and palettes out of files, and into them. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { CATALOGUE } from "../catalogue/catalogue";
import { jarId, productId } from "../catalogue/ids";
import type { Jar } from "../catalogue/jar";
import { OPACITIES } from "../catalogue/jar";
import { SHEENS } from "../catalogue/vocabulary";
import { readAse, writeAse } from "./palettes/ase";
import { readCss, writeCss } from "./palettes/css";
import { readGpl, writeGpl } from "./palettes/gpl";
import { readShelfCsv, writeShelfCsv } from "./shelf-csv";

const hex = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, "0")}`);
const name = fc
  .string({ unit: "grapheme", minLength: 1, maxLength: 40 })
  .map((text) => text.replace(/\p{Cc}|\uFEFF/gu, " ").trim())
  .filter((text) => text !== "" && text.length <= 120);
const half = (min: number, max: number) => fc.integer({ min: min * 2, max: max * 2 }).map((value) => value / 2);
const KINDS = [...CATALOGUE.products.keys()];
const jars = fc.uniqueArray(
  fc.record(
    {
      id: fc.stringMatching(/^[0-9a-z]{8,12}$/).map(jarId),
      classId: fc.constantFrom(...KINDS),
      name,
      colour: hex,
      label: fc.record(
        {
          opacity: fc.constantFrom(...OPACITIES),
          sheen: fc.constantFrom(...SHEENS),
          touchMin: half(1, 600),
          minC: half(-20, 10),
          maxC: half(11, 60),
          coats: fc.integer({ min: 1, max: 20 }),
          weatherproof: fc.boolean(),
          foodClaim: fc.boolean(),
          bake: fc.option(fc.record({ atC: half(60, 300), holdMin: half(1, 600) })),
        },
        { requiredKeys: [] },
      ),
      openedOn: fc.constantFrom("2024-02-29", "2026-11-01"),
      sizeMl: half(1, 1000),
      tareG: half(0, 900),
      paid: half(0, 90),
    },
    { requiredKeys: ["id", "classId", "name", "label"] },
  ),
  { selector: (jar) => jar.id, minLength: 1, maxLength: 8 },
) as unknown as fc.Arbitrary<readonly Jar[]>;

const problemOf = (text: string) => {
  const read = readShelfCsv(text, CATALOGUE);
  return read.ok ? "read" : `${read.problem.path}: ${read.problem.message}`;
};

describe("a shelf as a table", () => {
  test("comes back as it went", () => {
    fc.assert(
      fc.property(jars, half(0, 500), (shelf, ml) => {
        const left = new Map([[shelf[0]!.id as string, ml]]);
        const read = readShelfCsv(writeShelfCsv(shelf, left, CATALOGUE), CATALOGUE);
        expect(read).toEqual({ ok: true, value: shelf.map((jar) => ({ ...jar, ...(left.has(jar.id) ? { leftMl: ml } : {}) })) });
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  test("is read in any order of columns, with semicolons, decimal commas, quotes, a byte order mark and blank lines", () => {
    const text = '\uFEFFSize (ml);Kind;Name;Color;Recoat (min)\r\n\r\n59,5;craft acrylic;"Navy; ""deep""";1F3A4D;90\r\n;Gesso;Gesso;;\r\n';
    expect(readShelfCsv(text, CATALOGUE)).toEqual({
      ok: true,
      value: [
        { name: 'Navy; "deep"', classId: productId("craft-acrylic"), colour: "#1f3a4d", sizeMl: 59.5, label: { recoatMin: 90 } },
        { name: "Gesso", classId: productId("gesso"), label: {} },
      ],
    });
  });

  test("names the line and the column of the first fault, and then nothing is read", () => {
    expect(problemOf("")).toMatch(/^line 1/);
    expect(problemOf("name,kind\n")).toMatch(/^line 1/);
    expect(problemOf("name,weight\nA,1\n")).toMatch(/^line 1, column "weight": this column is not known/);
    expect(problemOf("name,name,kind\nA,A,Gesso\n")).toMatch(/twice/);
    expect(problemOf('name,kind\n"two\nlines",Gesso\nB,Milk\n')).toMatch(/^line 4, column "kind": "Milk" is no kind/);
    expect(problemOf("name,kind\n,Gesso\n")).toMatch(/^line 2, column "name"/);
    expect(problemOf("name,kind,coats\nA,Gesso,1.5\n")).toMatch(/^line 2, column "coats": "1.5" is not a whole number/);
    expect(problemOf("name,kind,bake (°C)\nA,Craft acrylic,160\n")).toMatch(/^line 2, column "bake \(°C\)": baking needs both/);
    expect(problemOf("name,kind,opened\nA,Gesso,yesterday\n")).toMatch(/^line 2, column "opened"/);
    expect(problemOf("name,kind\nA,Gesso,extra\n")).toMatch(/^line 2: more cells/);
    expect(problemOf('name,kind\n"A,Gesso\n')).toMatch(/^line 2/);
    expect(problemOf("name,kind,id\nA,Gesso,aaaaaaaa1\nB,Gesso,aaaaaaaa1\n")).toMatch(/^line 3, column "id"/);
  });

  test("that was damaged is read whole or not at all, and nothing breaks", () => {
    fc.assert(
      fc.property(jars, fc.nat(), fc.string({ maxLength: 3 }), (shelf, at, patch) => {
        const text = writeShelfCsv(shelf, new Map(), CATALOGUE);
        const cut = at % text.length;
        const read = readShelfCsv(text.slice(0, cut) + patch + text.slice(cut + 1), CATALOGUE);
        if (!read.ok) expect(read.problem.message.length).toBeGreaterThan(3);
      }),
      { seed: 12, numRuns: 300 },
    );
  });

  test("does not hand a table program something to work out", () => {
    const text = writeShelfCsv([{ id: jarId("aaaaaaaa1"), classId: productId("gesso"), name: "=1+1", label: {} }], new Map(), CATALOGUE);
    expect(text).toMatch(/\n'=1\+1,/);
  });
});

describe("palettes", () => {
  const swatches = fc.array(fc.record({ name: name.map((text) => text.replace(/\s+/g, " ")), colour: hex }), { minLength: 1, maxLength: 12 });

  test("come back as they went", () => {
    fc.assert(
      fc.property(swatches, (palette) => {
        expect(readGpl(writeGpl("Shelf", palette))).toEqual({ ok: true, value: palette });
        expect(readAse(writeAse(palette))).toEqual({ ok: true, value: palette });
        const css = readCss(writeCss(palette));
        expect(css.ok && css.value.map((one) => one.colour)).toEqual(palette.map((one) => one.colour));
      }),
      { seed: 11, numRuns: 200 },
    );
  });

  test("of other programs are read: groups, other models, any notation of a colour", () => {
    expect(readGpl("GIMP Palette\r\nName: Sea\r\n# a comment\r\n 31  58  77 Navy\r\n255 255 255\r\n")).toMatchObject({
      value: [{ name: "Navy", colour: "#1f3a4d" }, { name: "#ffffff" }],
    });
    expect(readCss(":root { --sea: hsl(180 50% 50%); --gap: 4px; --ink: rgb(31 58 77 / 1) }")).toMatchObject({
      value: [
        { name: "sea", colour: "#40bfbf" },
        { name: "ink", colour: "#1f3a4d" },
      ],
    });
    const grey = writeAse([{ name: "G", colour: "#000000" }]).slice();
    grey.set([0x47, 0x72, 0x61, 0x79, 0x3f, 0, 0, 0], grey.length - 18);
    expect(readAse(grey)).toMatchObject({ value: [{ name: "G", colour: "#808080" }] });
  });

  test("that are none say so, and where; damaged ones never break the reader", () => {
    expect(readGpl("Palette")).toMatchObject({ problem: { path: "line 1" } });
    expect(readGpl("GIMP Palette\n1 2 999 x")).toMatchObject({ problem: { path: "line 2" } });
    expect(readCss("a { color: red }")).toMatchObject({ ok: false });
    expect(readAse(new Uint8Array(4))).toMatchObject({ ok: false });
    const whole = writeAse([{ name: "Navy", colour: "#1f3a4d" }]);
    fc.assert(
      fc.property(fc.nat({ max: whole.length - 1 }), fc.nat({ max: 255 }), fc.nat({ max: whole.length }), (at, value, length) => {
        const damaged = whole.slice(0, length);
        if (at < length) damaged[at] = value;
        const read = readAse(damaged);
        if (read.ok) for (const { colour } of read.value) expect(colour).toMatch(/^#[0-9a-f]{6}$/);
      }),
      { seed: 13, numRuns: 400 },
    );
  });
});
