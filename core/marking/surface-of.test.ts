/** Which surface is measured where, of each form. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "../catalogue/catalogue";
import { materialId, useId } from "../catalogue/ids";
import type { Piece } from "../piece/piece";
import { markingPlaces } from "./solve-piece";
import { boxWall } from "./surface";
import { surfaceOf } from "./surface-of";

describe("surfaces", () => {
  test("each place of each form has the one that is measured; what has none says so", () => {
    expect(surfaceOf({ kind: "frustum", topDiameterMm: 200, bottomDiameterMm: 140, heightMm: 190 }, "outside")!.ring(0).lengthMm).toBeCloseTo(140 * Math.PI, 9);
    expect(surfaceOf({ kind: "plate", diameterMm: 210, rimWidthMm: 30 }, "rim")).toMatchObject({ from: 75, to: 105 });
    expect(surfaceOf({ kind: "cylinder", diameterMm: 82, heightMm: 95 }, "outside", { lipBandMm: 25 })!.to).toBe(70);
    expect(surfaceOf({ kind: "goblet", bowlDiameterMm: 80, bowlHeightMm: 100, stemHeightMm: 80, footDiameterMm: 70 }, "outside")!.ring(0).lengthMm).toBe(0);
    expect(surfaceOf({ kind: "custom", areaMm2: 20_000 }, "top")).toBeNull();
    expect(surfaceOf({ kind: "cylinder", diameterMm: 82, heightMm: 95 }, "handle")).toBeNull();
  });

  test("the drinking band of a mug is no place for rows", () => {
    const mug = {
      format: "nook-coat/piece",
      version: 1,
      name: "Tea mug",
      material: materialId("ceramic-glazed"),
      form: { kind: "cylinder", diameterMm: 82, heightMm: 95 },
      uses: [useId("drinkware")],
      parts: ["handle"],
    } as Piece;
    const places = markingPlaces(mug, CATALOGUE);
    expect(places[0]).toMatchObject({ zone: "outside", stayBare: null });
    expect(places[0]!.surface.to).toBe(70);
    expect(places.find(({ zone }) => zone === "lip-band")!.stayBare).not.toBeNull();
  });
});

test("the sides of a box are one ring of its four walls", () => expect(boxWall(100, 60, 40).ring(10).lengthMm).toBe(320));
