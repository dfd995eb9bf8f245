/** Casting against what is known outside this project: the trade's own weights, stoichiometry, unit factors, maturity, published statistics. */
import { describe, expect, test } from "@jest/globals";
import { runVerb } from "#core/cli-verbs";
import { bodyWater } from "#core/casting/body-water";
import { cast } from "#core/casting/cast";
import { BOUND_PER_G, POWDERS } from "#core/casting/compound";
import { degreeHours, MATURE_DEGREE_HOURS } from "#core/casting/maturity";
import { mixFor, ratioOf, slurryMl } from "#core/casting/mix";
import { chanceOf } from "#core/casting/records-say";
import { fromG, readMass, sayMass, toG } from "#core/units/mass";

/** Two small moulds [common practice of the trade]. */
const TRADE = { waterG: 232, powderG: 612 };

function answer(document: object): Record<string, unknown> {
  const told = runVerb("cast", JSON.stringify(document));
  if (!told.ok) throw new Error(told.problem.message);
  return told.value as Record<string, unknown>;
}

describe("the trade's own weights", () => {
  test("232 g of water with 612 g of powder are between 37 and 39 to 100, and come back from what their moulds hold", () => {
    const waterPer100 = ratioOf(TRADE);
    expect(waterPer100).toBeGreaterThan(37);
    expect(waterPer100).toBeLessThan(39);
    const each = slurryMl(TRADE) / 2;
    const back = answer({ mix: { waterPer100 }, moulds: [{ waterG: each, count: 2 }], reservePercent: 0 });
    expect(back.waterG as number).toBeCloseTo(TRADE.waterG, 6);
    expect(back.powderG as number).toBeCloseTo(TRADE.powderG, 6);
    // By the typical ratio of the handbook, 38 to 100, within a per cent of it.
    expect(mixFor(each * 2, { waterPer100: 38 }).powderG).toBeCloseTo(TRADE.powderG, -1);
  });

  test("seven batches of 612 g out of a bag of 10 lb leave about 252 g", () => {
    const ratio = { waterPer100: ratioOf(TRADE) };
    const { pours, leftG } = cast({ ratio, moulds: [{ mould: "two", ml: slurryMl(TRADE), count: 1 }], reservePercent: 0, bagG: toG(10, "lb") });
    expect(pours).toBe(7);
    expect(leftG!).toBeCloseTo(252, 0);
  });

  test("a cast of 38 to 100 loses about 14 % of its poured mass, since about 18.6 parts stay bound (handbook, gypsum cast)", () => {
    const { toLoseG, boundG } = bodyWater({ waterG: 38, powderG: 100 });
    expect(boundG).toBeCloseTo(18.6, 1);
    expect((toLoseG / 138) * 100).toBeCloseTo(14, 0);
  });
});

describe("published values", () => {
  test("CaSO4·½H2O binds one and a half waters: by standard atomic weights (IUPAC 2021 abridged)", () => {
    const [ca, s, o, h] = [40.078, 32.06, 15.999, 1.008];
    const water = 2 * h + o;
    const hemihydrate = ca + s + 4 * o + water / 2;
    expect(BOUND_PER_G).toBeCloseTo((1.5 * water) / hemihydrate, 4);
    expect(BOUND_PER_G).toBeCloseTo(0.186, 3);
  });

  test("density of hemihydrate is that of the CRC Handbook, and says so", () => {
    const { value, provenance } = POWDERS.gypsum.typical.densityGPerMl;
    expect(value).toBe(2.73);
    expect(provenance).toMatchObject({ kind: "published", source: expect.stringContaining("CRC Handbook") as unknown });
  });

  test("unit factors are those of NIST SP 811, appendix B.8: lb 4.535 924 E-01 kg, oz 2.834 952 E-02 kg", () => {
    expect(toG(1, "lb") / 1000).toBeCloseTo(0.4535924, 7);
    expect(toG(1, "oz") / 1000).toBeCloseTo(0.02834952, 8);
    for (const unit of ["g", "kg", "oz", "lb"] as const) expect(fromG(toG(3.7, unit), unit)).toBeCloseTo(3.7, 12);
    expect([sayMass(612.4, "g"), sayMass(4535.92, "g"), sayMass(226.8, "oz"), sayMass(4535.92, "oz"), sayMass(3.26, "g")]).toEqual([
      "612 g",
      "4.54 kg",
      "8 oz",
      "10 lb",
      "3.3 g",
    ]);
    expect([readMass("10 lb", "g"), readMass("4,5 kg", "oz"), readMass("8", "oz"), readMass("a cup", "g"), readMass("", "g"), readMass("-3", "g")]).toEqual([
      toG(10, "lb"),
      4500,
      toG(8, "oz"),
      null,
      null,
      null,
    ]);
  });

  test("maturity by Nurse and Saul (ASTM C1074), worked by hand over a week of an unheated room", () => {
    // M(t) = Σ (Ta − T0) Δt with T0 = 0 °C: half-days of 18 and 10 °C for five days, then two days of frost.
    const days = [...Array.from({ length: 5 }, () => [18, 10]).flat(), -2, -3, -2, -4];
    expect(degreeHours(days.map((temperatureC) => ({ hours: 12, temperatureC })))).toBe(5 * 12 * (18 + 10));
    expect(MATURE_DEGREE_HOURS).toBe(28 * 24 * 20);
    // The same maturity at 10 °C takes 56 days: the equal-maturity rule.
    expect(degreeHours([{ hours: 56 * 24, temperatureC: 10 }])).toBe(MATURE_DEGREE_HOURS);
  });

  test("two counts compared as Przyborowski and Wilenski do: the sign test where both sides are alike", () => {
    // Nine against one on as many bodies: 2 (1 + 10) / 2^10, by any table of the binomial.
    expect(chanceOf({ bodies: 5, holes: 9 }, { bodies: 5, holes: 1 })).toBeCloseTo(22 / 1024, 12);
    expect(chanceOf({ bodies: 5, holes: 5 }, { bodies: 5, holes: 5 })).toBeCloseTo(1, 12);
  });
});

describe("the verb", () => {
  test("too much water in the bowl gives the powder that brings it right, and the reserve it makes; mass adds up", () => {
    const wanted = { waterG: 232, powderG: 611 };
    const { powderG, extraG } = answer({ mix: { waterPer100: 38 }, overshoot: { waterG: 250, wanted } }) as { powderG: number; extraG: number };
    expect(powderG).toBeCloseTo(657.9, 1);
    expect(250 + powderG).toBeCloseTo(wanted.waterG + wanted.powderG + extraG, 6);
    const other = answer({ mix: { waterPer100: 38 }, overshoot: { powderG: 700, wanted } }) as { waterG: number; extraG: number };
    expect(other.waterG).toBeCloseTo(266, 6);
  });

  test("weighings of a body that dries: what has to leave, what has left, and from when to when it may be painted", () => {
    const weighed = (day: number, g: number) => ({ at: new Date(Date.parse("2026-11-20T08:00:00Z") + day * 86_400_000).toISOString(), g });
    const open = answer({ drying: { ...TRADE, weighings: [weighed(0, 840), weighed(1, 795), weighed(2, 767), weighed(3, 749)] } });
    expect(open).toMatchObject({ lostG: 91, constant: false });
    expect(open.toLoseG as number).toBeCloseTo(232 - 612 * BOUND_PER_G, 6);
    expect(Date.parse(open.constantFrom as string)).toBeLessThan(Date.parse(open.constantTo as string));
    const dry = answer({ drying: { ...TRADE, weighings: [weighed(0, 840), weighed(4, 728), weighed(6, 726), weighed(7, 726)] } });
    expect(dry).toMatchObject({ constant: true, constantFrom: null, constantTo: null });
  });

  test.each([
    [{}, "mix"],
    [{ mix: { waterPer100: 38 }, moulds: [] }, "moulds"],
    [{ mix: { waterPer100: 38 }, moulds: [{ waterG: -1 }] }, "moulds.0.waterG"],
    [{ mix: { waterPer100: 0 }, moulds: [{ waterG: 1 }] }, "mix.waterPer100"],
    [{ mix: { waterPer100: 38 }, moulds: [{ waterG: 90, count: 1.5 }] }, "moulds.0.count"],
    [{ mix: { waterPer100: 38 }, moulds: [{ waterG: 90 }], bowl: 3 }, "bowl"],
    [{ mix: { waterPer100: 38 }, moulds: Array.from({ length: 20 }, () => ({ waterG: 90, count: 200 })) }, "moulds"],
    [{ mix: { waterPer100: 38 }, overshoot: { wanted: { waterG: 1, powderG: 2 } } }, "overshoot"],
    [{ mix: { waterPer100: 38 }, overshoot: { waterG: 3, wanted: { waterG: 1 } } }, "overshoot.wanted.powderG"],
    [{ drying: { waterG: 1, powderG: 2, weighings: [{ at: "soon", g: 3 }] } }, "drying.weighings.0.at"],
    [{ drying: { waterG: 1, powderG: 2, weighings: [] } }, "drying.weighings"],
  ])("%j is turned away, at the very place", (document, path) => {
    const told = runVerb("cast", JSON.stringify(document));
    expect(told.ok ? null : told.problem.path).toBe(path);
  });
});
