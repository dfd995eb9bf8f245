/** Two finished pieces side by side, and the same design in other colours. */
import { expect, test } from "@jest/globals";
import { productId } from "../../catalogue/ids";
import { pebble } from "../../../tests/reference/bench";
import { line, record, sealed } from "../../../tests/reference/records";
import { besideRows, sameDesign } from "./beside";

const dots = (colour: string) => line({ title: "Dots: craft acrylic", role: "decorate", technique: "dots", colour });
const prime = line({ title: "Prime: gesso", role: "prime", product: productId("gesso") });
const base = (colour: string) => line({ title: "Base colour: craft acrylic", colour });

test("the same kinds of work stand beside each other; what only one has stands alone; what is alike says so", () => {
  const one = record({ work: [prime, base("#8b8f91"), dots("#f4efe2"), sealed("matt varnish")] });
  const other = record({ work: [base("#8b8f91"), dots("#d9822b"), dots("#c8402f"), sealed("matt varnish")] });
  const rows = besideRows(one, other, "mm");
  expect(rows.map(({ of, one: a, other: b, same }) => [of, a?.split(";")[0] ?? null, b?.split(";")[0] ?? null, same])).toEqual([
    ["Body", "Smooth pebble, 70 × 55 × 25 mm", "Smooth pebble, 70 × 55 × 25 mm", true],
    ["Top", "Prime: gesso", null, false],
    ["Top", "Base colour: craft acrylic", "Base colour: craft acrylic", true],
    ["Top", "Dots: craft acrylic", "Dots: craft acrylic", false],
    ["Top", null, "Dots: craft acrylic", false],
    ["Top", "Seal: matt varnish", "Seal: matt varnish", true],
  ]);
  expect(rows[3]!.colours).toEqual(["#f4efe2", "#d9822b"]);
  // From the other side it is the same table, turned round.
  expect(
    besideRows(other, one, "mm")
      .map(({ same }) => same)
      .sort(),
  ).toEqual(rows.map(({ same }) => same).sort());
});

test("of what is told the words stand beside each other", () => {
  const one = record({ origin: "told", told: { colours: "red", sealer: "spray" } });
  const other = record({ origin: "told", told: { colours: "red", note: "no primer" } });
  expect(
    besideRows(one, other, "mm")
      .filter(({ same }) => !same)
      .map(({ of }) => of),
  ).toEqual(["sealer", "note"]);
});

test("colourways are of the same rows, or of the same decoration in the same places, whatever the colours and sizes", () => {
  const rows = (colour: string, diameterMm: number) => [{ zone: "top" as const, rows: [{ id: "r1", kind: "dots" as const, colours: [colour], diameterMm }] }];
  const ringed = (name: string, colour: string, mm: number) =>
    record({ name, work: [dots(colour)], piece: pebble({ decoration: { patterns: rows(colour, mm) } }) });
  const [grey, green] = [ringed("Grey", "#8b8f91", 4), ringed("Green", "#3f7f7a", 6)];
  const lines = record({ name: "Lines", work: [line({ title: "Lettering", role: "decorate", technique: "lettering" })] });
  const plain = record({ name: "Plain", work: [base("#8b8f91")] });
  const stripes = [1, 2].map((n) =>
    record({ name: `Stripes ${n}`, work: [line({ title: "Bands", role: "decorate", technique: "bands", colour: n === 1 ? "#111111" : "#eeeeee" })] }),
  );
  const all = [grey, green, lines, plain, ...stripes];
  const names = (of: (typeof all)[number]) => sameDesign(of, all).map(({ name }) => name);
  expect(names(grey)).toEqual(["Green"]);
  expect(names(stripes[0]!)).toEqual(["Stripes 2"]);
  expect([names(lines), names(plain)]).toEqual([[], []]);
});
