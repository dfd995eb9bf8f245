/** Colours as colour-blind eyes see them, against the published matrices. */
import { expect, test } from "@jest/globals";
import { seenBy, SIGHTS } from "#core/film/choosing";
import type { Sight } from "#core/film/choosing";

/** G. M. Machado, M. M. Oliveira & L. A. F. Fernandes, A physiologically-based model for simulation of color vision deficiency, IEEE TVCG 15, 2009: severity 1.0. */
const MACHADO: Readonly<Record<Sight, readonly (readonly number[])[]>> = {
  "red-blind": [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  "green-blind": [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  "blue-blind": [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
};
const COLOURS = ["#c5281f", "#2f8a46", "#1f5fae", "#f5c518", "#8b8f91", "#b0543c"];
const channels = (hex: string) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255);

test.each(SIGHTS)("%s eyes see by the published matrix", (sight) => {
  for (const colour of COLOURS) {
    const wanted = MACHADO[sight].map((row) =>
      Math.min(
        1,
        Math.max(
          0,
          row.reduce((sum, weight, at) => sum + weight * channels(colour)[at]!, 0),
        ),
      ),
    );
    for (const [at, seen] of channels(seenBy(sight, colour)).entries()) expect(Math.abs(seen - wanted[at]!)).toBeLessThan(0.006);
  }
});

test("greys stay grey to all of them", () => {
  for (const sight of SIGHTS)
    for (const grey of ["#000000", "#777777", "#ffffff"]) {
      const [r, g, b] = channels(seenBy(sight, grey)) as [number, number, number];
      expect(Math.max(r, g, b) - Math.min(r, g, b)).toBeLessThan(0.02);
    }
});
