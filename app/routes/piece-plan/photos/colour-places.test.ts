import { expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { menuOf } from "#core/catalogue/menu";
import { changePiece } from "#core/coating/model/apply-changes";
import type { Piece } from "#core/piece/piece";
import { parsePiece } from "#core/formats/parse-piece";
import { pebble } from "../../../../tests/reference/bench";
import { colourPlaces } from "./colour-places";

const MENU = menuOf(CATALOGUE);
const HEX = "#7a1f3d";
const used = (piece: Piece, name: string) => {
  const place = colourPlaces(piece, [], MENU).find((one) => one.name === name)!;
  const next = changePiece(piece, place.changes(HEX));
  expect(parsePiece(next, CATALOGUE).ok).toBe(true);
  return next.decoration!;
};

test("a colour goes all over, in the marks it is meant for, or is one colour more", () => {
  const piece = pebble({ decoration: { baseColour: "#1f3a4d", techniques: ["dots"], colours: ["#f4efe2", "#d98a2b"] } });
  expect(colourPlaces(piece, [], MENU).map(({ name, now }) => [name, now])).toEqual([
    ["Base", "#1f3a4d"],
    ["Marks 1", "#f4efe2"],
    ["Marks 2", "#d98a2b"],
    ["One colour more", null],
  ]);
  expect(used(piece, "Base").baseColour).toBe(HEX);
  expect(used(piece, "Marks 2").colours).toEqual(["#f4efe2", HEX]);
  expect(used(piece, "One colour more").colours).toEqual(["#f4efe2", "#d98a2b", HEX]);
});

test("where she says what goes where, it goes into that layer alone", () => {
  const piece = pebble({
    decoration: {
      layers: [
        { technique: "dots", colour: "#f4efe2", zone: "top" },
        { technique: "bands", colour: "#d98a2b" },
      ],
    },
  });
  expect(colourPlaces(piece, [], MENU).map(({ name }) => name)).toEqual(["Base", "Dots, top", "Bands"]);
  expect(used(piece, "Dots, top").layers).toEqual([
    { technique: "dots", colour: HEX, zone: "top" },
    { technique: "bands", colour: "#d98a2b" },
  ]);
});
