/** Decoration said layer by layer. */
import { expect, test } from "@jest/globals";
import { layered, nextLayer, placesForLayers } from "./layers";
import type { Layer } from "./piece";

const DOTS: Layer = { technique: "dots", colour: "#d9822b", zone: "rim" };
const WORDS: Layer = { technique: "lettering", colour: "#f4efe2", zone: "outside/motif-2" };

test("kinds and colours follow from the layers, each once; what else is said stays", () => {
  expect(layered({ baseColour: "#1f2f4d", techniques: ["bands"], colours: ["#000000"] }, [DOTS, WORDS, DOTS])).toEqual({
    baseColour: "#1f2f4d",
    layers: [DOTS, WORDS, DOTS],
    techniques: ["dots", "lettering"],
    colours: ["#d9822b", "#f4efe2"],
  });
  expect(layered(undefined, [])).toEqual({ layers: [], techniques: [], colours: [] });
});

test("one more goes where the last one is, in its colour, unless a place is pointed at", () => {
  expect(nextLayer([WORDS, DOTS], undefined)).toEqual({ technique: "dots", colour: "#d9822b", zone: "rim" });
  expect(nextLayer([DOTS], "saucer").zone).toBe("saucer");
  expect(nextLayer([], undefined)).not.toHaveProperty("zone");
});

test("each place offers a motif that is not there yet; what is named stays to choose", () => {
  expect(placesForLayers(["outside", "rim"], [WORDS])).toEqual(["outside", "rim", "outside/motif-2", "outside/motif-3", "rim/motif-1"]);
  expect(placesForLayers(["top"], [{ technique: "dots", zone: "saucer" }])).toEqual(["top", "saucer", "top/motif-1"]);
});
