import { expect, test } from "@jest/globals";
import { differenceInWords, isOfColour, nearestInColour } from "./jars";

test("of her jars the one nearest to a colour, how far off, and in which way", () => {
  const jars = [{ name: "Varnish" }, { name: "Chalk cream", colour: "#f4efe2" }, { name: "Harbour navy", colour: "#1f3a4d" }];
  const near = nearestInColour(jars, "#234051")!;
  expect([near.name, isOfColour(near)]).toEqual(["Harbour navy", true]);
  const off = nearestInColour(jars, "#4f7f9d")!;
  expect([off.name, isOfColour(off), differenceInWords(off.colour, "#4f7f9d")]).toEqual(["Harbour navy", false, "much darker"]);
  expect(nearestInColour(jars.slice(0, 1), "#ffffff")).toBeNull();
});
