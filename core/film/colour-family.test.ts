/** Every plain name of a colour belongs to one family, and colours are found in the family people look for them in. */
import { expect, test } from "@jest/globals";
import { COLOUR_FAMILIES, FAMILY_IDS, familyOf, familyOfName } from "./colour-family";
import { COLOUR_NAMES } from "./colour-names";

test("no name is without a family, and none is in two", () => {
  const all = FAMILY_IDS.flatMap((family) => COLOUR_FAMILIES[family] as readonly string[]);
  expect([...all].sort()).toEqual(Object.keys(COLOUR_NAMES).sort());
  expect(familyOfName("no colour")).toBeNull();
});

test.each([
  ["#1f3a4d", "blue"],
  ["#c8402f", "red"],
  ["#3f7f7a", "green"],
  ["#f4efe2", "white"],
  ["#101010", "black"],
  ["#7a4a2a", "brown"],
])("%s is %s", (hex, family) => expect(familyOf(hex)).toBe(family));
