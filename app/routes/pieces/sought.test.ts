import { expect, test } from "@jest/globals";
import type { NamedPiece } from "~/store/listing";
import { setsOf, soughtIn } from "./sought";
import type { Sought } from "./sought";

const PIECES: readonly NamedPiece[] = [
  { id: "a", name: "Bell pot", set: "Terrace", due: "2026-12-20" },
  { id: "b", name: "Clock", due: "2026-12-01" },
  { id: "c", name: "Door wedge", set: "Terrace" },
  { id: "d", name: "Old sign", away: true, set: "Shed" },
  { id: "e", name: "Tray" },
];
const BEGUN = { ids: ["b", "e", "c"], table: ["e", "b"] };
const ANY: Sought = { text: "", order: "name", only: "all", set: "" };
const found = (sought: Partial<Sought>) =>
  soughtIn(PIECES, { ...ANY, ...sought }, BEGUN)
    .map(({ id }) => id)
    .join("");

test("what is put away is shown only when it is asked for", () => {
  expect([found({}), found({ only: "away" }), found({ only: "begun" }), found({ only: "new" })]).toEqual(["abce", "d", "bce", "a"]);
});

test("a few letters find a name or a set; a set shows what is made together", () => {
  expect([found({ text: " CLO " }), found({ text: "terr" }), found({ set: "Terrace" }), found({ text: "zebra" })]).toEqual(["b", "ac", "ac", ""]);
  expect(setsOf(PIECES)).toEqual(["Terrace"]);
});

test("needed first: by day, what has none last; what is next: the table's order, then begun, then the rest by day", () => {
  expect([found({ order: "due" }), found({ order: "next" })]).toEqual(["bace", "ebca"]);
});
