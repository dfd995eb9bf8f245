import { expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { completePiece } from "../../piece/complete-piece";
import type { Layer } from "../../piece/piece";
import { pebble } from "../../../tests/reference/bench";
import { pieceFacts } from "./facts";
import { layersTaken } from "./layers";

const taken = (...layers: readonly object[]) => {
  const piece = pebble({ decoration: { layers: layers as readonly Layer[] } });
  return layersTaken(pieceFacts(completePiece(piece, CATALOGUE).piece, CATALOGUE));
};

test("what is taken for a layer is the same whether she has said its number and share or not, and the others keep theirs", () => {
  const [open] = taken({ technique: "dots", colour: "#ffffff" });
  const [said] = taken({ technique: "dots", colour: "#ffffff", marks: { count: 7, diameterMm: 20 }, coverage: 0.9 });
  expect(said).toEqual(open);
  expect(open?.marks).toMatchObject({ count: expect.any(Number), diameterMm: expect.any(Number) });
  const [first, second] = taken({ technique: "dots", colour: "#ffffff" }, { technique: "dots", colour: "#000000" });
  expect([first, second]).toEqual([first, first]);
  expect(first!.marks!.count).toBeLessThan(open!.marks!.count);
  const [beside] = taken({ technique: "dots", colour: "#ffffff" }, { technique: "dots", colour: "#000000", marks: { count: 5, diameterMm: 3 } });
  expect(beside).toEqual(open);
});

test("what has no marks has its share; what is nowhere on the piece, or is a whole ground, has neither", () => {
  expect(taken({ technique: "bands", colour: "#ffffff" })).toEqual([{ marks: null, coverage: 0.3 }]);
  expect(taken({ technique: "dots", colour: "#ffffff", zone: "saucer" }, { technique: "solid", colour: "#ffffff" })).toEqual([null, null]);
});
