/** Film relations and the air against worked examples and published tables. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { dewPointC, evaporationFactor, saturationHpa, wetBulbC } from "#core/drying/air";
import { roomFactor } from "#core/drying/room-factor";
import { earliestRecoatMin, markThroughMin, stagesIn } from "#core/drying/stages";
import { fieldAmount, marksAmount } from "#core/film/amount";
import { dryMicrons, spreadingRate } from "#core/film/build";
import { colourDifference, lightness } from "#core/film/colour";
import type { Room } from "#core/piece/piece";

const room = (temperatureC: number, relativeHumidity: number, airflow: Room["airflow"] = "still"): Room => ({ temperatureC, relativeHumidity, airflow });
const product = (id: string) => CATALOGUE.products.get(productId(id))!;
const STANDARD = room(23, 0.5);

describe("film (volume solids ISO 3233, terms ISO 4618; handbook's worked example)", () => {
  test("35 % solids at 75 µm wet dry to 26 µm and cover 13.3 m² a litre", () => {
    expect(dryMicrons(75, 35)).toBeCloseTo(26.25, 6);
    expect(spreadingRate(35, dryMicrons(75, 35))).toBeCloseTo(13.33, 2);
  });
  test("30 % of the paint as water thins the dry film by the same share", () => expect(dryMicrons(75, 35, 30)).toBeCloseTo(26.25 / 1.3, 6));
  test("what brush and palette keep comes off the rate", () => expect(spreadingRate(35, 26.25, 0.25)).toBeCloseTo(10, 2));
});

describe("amounts", () => {
  const field = { areaMm2: 1_000_000, coverage: 1, wetMicrons: 75, coats: 2, thinnerPercent: 0, uptakeMlPerM2: 0, pieces: 1, sittings: 0 };
  test("one square metre at 75 µm, twice, is 150 mL", () => expect(fieldAmount(field).jarMl).toBeCloseTo(150, 6));
  test("thinned paint takes less from the jar", () => {
    const thinned = fieldAmount({ ...field, thinnerPercent: 25 });
    expect(thinned.volumeMl).toBeCloseTo(150, 6);
    expect(thinned.jarMl).toBeCloseTo(120, 6);
  });
  test("a thirsty surface drinks with the first coat only", () => expect(fieldAmount({ ...field, uptakeMlPerM2: 60 }).jarMl).toBeCloseTo(210, 6));
  test("each sitting keeps its own paint in the brush", () => expect(fieldAmount({ ...field, sittings: 2 }).jarMl).toBeCloseTo(151, 6));
  test("dots go by count, not by area", () => {
    const once = marksAmount({ count: 100, diameterMm: 5, heightMm: 0.6 }, 1, 1, 0);
    const twice = marksAmount({ count: 200, diameterMm: 5, heightMm: 0.6 }, 1, 1, 0);
    expect(twice.jarMl - once.jarMl).toBeCloseTo(once.jarMl - 0.5, 6);
  });
});

describe("the air", () => {
  test("saturation pressure at 300 K is 3.53658941 kPa within 0.4 % (IAPWS-IF97)", () =>
    expect(Math.abs(saturationHpa(26.85) / 35.3658941 - 1)).toBeLessThan(0.004));
  test("the dew point at 23 °C and 50 % is 12.0 °C", () => expect(dewPointC(23, 0.5)).toBeCloseTo(12, 1));
  test("saturated air has one temperature for all three", () => {
    expect(dewPointC(18, 1)).toBeCloseTo(18, 3);
    expect(wetBulbC(18, 1)).toBeCloseTo(18, 3);
  });
  test("the wet bulb lies between dew point and air", () => {
    expect(wetBulbC(23, 0.5)).toBeGreaterThan(dewPointC(23, 0.5));
    expect(wetBulbC(23, 0.5)).toBeLessThan(23);
  });
});

describe("the room's first correction, against the handbook's plausible ranges", () => {
  test.each([
    [12, 0.75, 3, 4.1],
    [10, 0.85, 5, 8],
    [15, 0.6, 1.6, 2.1],
  ])("%p °C and %p takes ×%p to ×%p", (celsius, humidity, from, to) => {
    const factor = evaporationFactor(room(celsius, humidity))!;
    expect(factor.fast).toBeGreaterThanOrEqual(from - 0.1);
    expect(factor.slow).toBeLessThanOrEqual(to);
    expect(factor.fast).toBeLessThan(factor.slow);
  });
  test("the standard atmosphere changes nothing", () => expect(evaporationFactor(STANDARD)).toEqual({ fast: 1, slow: 1 }));
  test("a fan brings one hour to 13–24 minutes", () => {
    const factor = evaporationFactor(room(23, 0.5, "fan"))!;
    expect(60 * factor.fast).toBeGreaterThanOrEqual(13);
    expect(60 * factor.slow).toBeLessThanOrEqual(24.5);
  });
  test("nothing dries in saturated air", () => {
    expect(evaporationFactor(room(20, 1))).toBeNull();
    expect(stagesIn(product("craft-acrylic"), room(20, 1))).toBeNull();
    expect(earliestRecoatMin(product("craft-acrylic"), room(20, 1))).toBeNull();
  });
  test("oil takes about twice as long at 10 °C as at 20 °C", () => {
    expect(roomFactor("oxidation", room(10, 0.5))!.fast / roomFactor("oxidation", room(20, 0.5))!.fast).toBeCloseTo(2, 1);
  });
  test("resin doubles per 10 °C, whatever the damp", () => {
    expect(roomFactor("reaction", room(13, 0.8))!.slow).toBeCloseTo(2, 6);
  });
});

describe("stages of a coat", () => {
  test("come in order, and the careful column is never shorter", () => {
    for (const one of CATALOGUE.products.values()) {
      const range = stagesIn(one, room(17, 0.6));
      if (!range || one.drying.by === "none") continue;
      for (const column of [range.typical, range.cautious]) {
        expect(column.touchDry).toBeLessThanOrEqual(column.recoatFrom);
        expect(column.recoatFrom).toBeLessThanOrEqual(column.dryHard);
        expect(column.dryHard).toBeLessThanOrEqual(column.dryThrough);
      }
      expect(range.cautious.dryThrough).toBeGreaterThanOrEqual(range.typical.dryThrough);
    }
  });
  test("a 6 mm dot is dry right through in about two days, not weeks", () => {
    const through = markThroughMin(660) / 60;
    expect(through).toBeGreaterThan(38);
    expect(through).toBeLessThan(48);
    expect(markThroughMin(75)).toBe(24 * 60);
  });
  test("a fan hurries the touch, not the cure", () => {
    const still = stagesIn(product("craft-acrylic"), STANDARD)!.typical;
    const fan = stagesIn(product("craft-acrylic"), room(23, 0.5, "fan"))!.typical;
    expect(fan.touchDry).toBeLessThan(still.touchDry / 2);
    expect(fan.cureDays).toBeCloseTo(still.cureDays!, 6);
    expect(fan.dryThrough).toBeCloseTo(still.dryThrough, 6);
  });
});

describe("colour difference (Sharma, Wu & Dalal 2005, by culori)", () => {
  test("none to itself, symmetric, and black to white is 100", () => {
    expect(colourDifference("#336699", "#336699")).toBe(0);
    expect(colourDifference("#336699", "#996633")).toBeCloseTo(colourDifference("#996633", "#336699"), 9);
    expect(colourDifference("#000000", "#ffffff")).toBeCloseTo(100, 1);
  });
  test("lightness runs from 0 to 100", () => {
    expect(lightness("#000000")).toBeCloseTo(0, 3);
    expect(lightness("#ffffff")).toBeCloseTo(100, 2);
  });
});
