/** What goes on the back of a piece, what it is not for, and how much of the text finds room. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../../catalogue/catalogue";
import { useId } from "../../catalogue/ids";
import { faceOf, textBudget, textSpace } from "../../marking/lettering";
import { undersideOf } from "../../marking/underside";
import { FORM_MEASURES } from "../../piece/form";
import type { Form } from "../../piece/form";
import { backText } from "./back-text";
import { notFor } from "./not-for";

const facts = { signature: "Ada", day: "2027-03-09", name: "Grey pebble", found: false } as const;

describe("the text on the back", () => {
  test("begins with who made it, and when; a number only where there are several; empty lines stay away", () => {
    expect(backText({ ...facts, edition: { number: 3, of: 20 }, also: ["for Ida", " "] })).toEqual(["Ada", "March 2027", "3/20", "for Ida", "Grey pebble"]);
    expect(backText({ ...facts, signature: " ", edition: { number: 1, of: 1 } })).toEqual(["March 2027", "Grey pebble"]);
  });

  test("of one that is left to be found it begins with what the finder is to do, and where to tell of it", () => {
    expect(backText({ ...facts, found: true, tellAt: "the tea room at Tern Point" })).toEqual([
      "Keep or hide again",
      "Tell of it: the tea room at Tern Point",
      "Grey pebble",
      "March 2027",
      "Ada",
    ]);
    expect(backText({ ...facts, found: true })[1]).toBe("Grey pebble");
  });

  test("a coarser pen leaves out the least important, and never the first while anything fits", () => {
    const lines = backText({ ...facts, edition: { number: 3, of: 20 }, also: ["for Ida"] });
    const under = undersideOf({ kind: "pebble", lengthMm: 62, widthMm: 48, thicknessMm: 24 });
    const { widthMm, heightMm } = textSpace(under.widthMm, under.heightMm, under.square);
    const kept = [0.4, 0.7, 1, 1.5, 2.5].map((pen) => textBudget(lines, widthMm, heightMm, pen, faceOf("source-sans")).fits);
    for (const [index, fits] of kept.entries()) {
      expect(fits).toEqual(lines.slice(0, fits.length));
      if (index > 0) expect(fits.length).toBeLessThanOrEqual(kept[index - 1]!.length);
    }
    expect(kept[0]).toEqual(lines);
    expect(kept.at(-1)!.length).toBeLessThan(lines.length);
  });

  test("every form has an underside no larger than the piece", () => {
    for (const [kind, names] of Object.entries(FORM_MEASURES)) {
      const form = { kind, ...Object.fromEntries(names.map((name, index) => [name, kind === "custom" ? 4900 : 60 + index])) } as unknown as Form;
      const { widthMm, heightMm } = undersideOf(form);
      expect(widthMm >= heightMm && heightMm > 0 && widthMm <= 70).toBe(true);
    }
  });
});

describe("what it is not for", () => {
  const ids = (uses: readonly string[], fired = false) =>
    notFor(
      uses.map((one) => CATALOGUE.uses.get(useId(one))!),
      fired,
    ).map(({ id }) => id);
  test.each([
    [["indoor-display"], false, ["food", "flame", "outdoors", "washing", "toy"]],
    [["outdoor-exposed"], false, ["food", "flame", "washing", "toy"]],
    [["candle"], false, ["food", "outdoors", "washing", "toy"]],
    [["drinkware"], false, ["food", "flame", "outdoors", "toy"]],
    [["tableware"], true, ["flame", "outdoors", "toy"]],
  ] as const)("%j, fired %s: %j", (uses, fired, wanted) => expect(ids(uses, fired)).toEqual(wanted));

  test("painted drinkware keeps food off its painted places whatever it is for", () => {
    expect(notFor([CATALOGUE.uses.get(useId("drinkware"))!], false)[0]!.text).toContain("painted places");
    expect(ids(["drinkware", "tableware"])).toContain("food");
  });
});
