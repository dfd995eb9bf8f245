import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { colourDifference } from "./colour";
import { mainColours } from "./main-colours";

const NAVY = [0x1f, 0x3a, 0x4d] as const;
const CREAM = [0xf4, 0xef, 0xe2] as const;
const AMBER = [0xd9, 0x8a, 0x2b] as const;

/** Pixels in these parts of a hundred, each a little off, as a camera has them. */
function picture(parts: readonly (readonly [readonly number[], number])[], noise: (index: number) => number): readonly (readonly number[])[] {
  return parts.flatMap(([colour, share], part) =>
    Array.from({ length: share * 10 }, (_one, index) => [...colour.map((byte) => Math.min(255, Math.max(0, byte + noise(index * 7 + part)))), 255]),
  );
}

test("a painted plate is of its three colours, the commonest first, whatever the grain of the picture", () => {
  const pixels = picture(
    [
      [NAVY, 60],
      [CREAM, 30],
      [AMBER, 10],
    ],
    (index) => ((index * 2654435761) % 9) - 4,
  );
  const found = mainColours(pixels.flat());
  expect(found).toHaveLength(3);
  for (const [index, hex] of ["#1f3a4d", "#f4efe2", "#d98a2b"].entries()) expect(colourDifference(found[index]!.colour, hex)).toBeLessThan(2);
  expect(found.map(({ share }) => Math.round(share * 100))).toEqual([60, 30, 10]);
});

test("the same whatever the order of its pixels; shares make up the whole where all are told; what is clear is left out; nothing is of no colour", () => {
  const byte = fc.integer({ min: 0, max: 255 });
  fc.assert(
    fc.property(fc.array(fc.tuple(byte, byte, byte), { minLength: 1, maxLength: 60 }), (colours) => {
      const forth = mainColours(colours.flatMap((one) => [...one, 255]));
      const back = mainColours([...colours].reverse().flatMap((one) => [...one, 255]));
      expect(forth.map(({ share }) => share)).toEqual(back.map(({ share }) => share));
      expect(forth.reduce((sum, { share }) => sum + share, 0)).toBeLessThan(1 + 1e-9);
      expect(forth.map(({ share }) => share)).toEqual(forth.map(({ share }) => share).sort((a, b) => b - a));
      expect(
        mainColours(
          colours.flatMap((one) => [...one, 255]),
          60,
        ).reduce((sum, { share }) => sum + share, 0),
      ).toBeCloseTo(1, 1);
      expect(mainColours([...colours.flatMap((one) => [...one, 255]), 9, 9, 9, 0])).toEqual(forth);
    }),
    { numRuns: 60 },
  );
  expect(mainColours([])).toEqual([]);
  expect(mainColours([1, 2, 3, 0])).toEqual([]);
});
