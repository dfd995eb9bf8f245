/** Drying stage by stage: the air against a psychrometrics library, films against their classes, common practice and one another. */
import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import psychrolib from "psychrolib";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { materialId, productId, useId } from "#core/catalogue/ids";
import { dewPointC, saturationHpa, STANDARD_ROOM, wetBulbC } from "#core/drying/air";
import { dryingOf } from "#core/drying/film-drying";
import type { DryingAsk, FilmStages } from "#core/drying/film-drying";
import { releasesFor, releasesOf } from "#core/drying/releases";
import { roomFactor } from "#core/drying/room-factor";
import { stagesIn } from "#core/drying/stages";
import { warmedTo, whatIf } from "#core/drying/what-if";
import type { Room } from "#core/piece/piece";
import { firstPlan, pebble, plate } from "./bench";

psychrolib.SetUnitSystem(psychrolib.SI);
const SEA_LEVEL_PA = 101_325;
const room = (temperatureC: number, relativeHumidity: number, airflow: Room["airflow"] = "still"): Room => ({ temperatureC, relativeHumidity, airflow });
const product = (id: string) => CATALOGUE.products.get(productId(id))!;
const PAINT = product("craft-acrylic");
const stages = (ask: Partial<DryingAsk>): FilmStages => dryingOf({ product: PAINT, room: STANDARD_ROOM, ...ask }).stages!;
const HOUR = 60;

describe("the air, against a psychrometrics library", () => {
  const AIR = [5, 12, 18, 23, 30, 38].flatMap((celsius) => [0.2, 0.5, 0.75, 0.95].map((humidity) => [celsius, humidity] as const));
  test.each(AIR)("%p °C at %p", (celsius, humidity) => {
    expect(Math.abs((saturationHpa(celsius) * 100) / psychrolib.GetSatVapPres(celsius) - 1)).toBeLessThan(0.004);
    // Below freezing the library tells of frost and ice.
    const [dew, wet] = [dewPointC(celsius, humidity), wetBulbC(celsius, humidity)];
    if (dew > 0) expect(Math.abs(dew - psychrolib.GetTDewPointFromRelHum(celsius, humidity))).toBeLessThan(0.1);
    if (wet > 0) expect(Math.abs(wet - psychrolib.GetTWetBulbFromRelHum(celsius, humidity, SEA_LEVEL_PA))).toBeLessThan(0.35);
  });
});

describe("what goes into a kiln or an oven", () => {
  /** What a free surface of water gives off, g per m² and minute: pressures by the library, Carrier's function for the air's speed. */
  function freeWater({ temperatureC, relativeHumidity }: Room): number {
    const pa = psychrolib.GetSatVapPres(temperatureC) * (1 - relativeHumidity);
    return ((0.089 + 0.0782 * 0.1) * pa * 60) / 2.45e3;
  }
  const WAYS = [...CATALOGUE.products.values()].filter(
    ({ traits, bakeable, drying }) => drying.by === "evaporation" && (traits.includes("needs-firing") || bakeable),
  );

  test("has given off no less water than a free surface of it could, however thick it was laid and whatever the room", () => {
    expect(WAYS.length).toBeGreaterThan(4);
    fc.assert(
      fc.property(
        fc.constantFrom(...WAYS),
        fc.double({ min: 12, max: 32, noNaN: true }),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        fc.constantFrom("still" as const, "drafty" as const, "fan" as const),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (one, celsius, humidity, airflow, heightMm) => {
          const here = room(celsius, humidity, airflow);
          const least = (heightMm * 1000 * (1 - one.film.volumeSolidsPercent! / 100)) / freeWater(here);
          const told = stagesIn(one, here, heightMm * 1000);
          if (!told) return;
          expect(told.typical.dryThrough).toBeGreaterThanOrEqual(least * 0.99);
          expect(told.cautious.dryThrough).toBeGreaterThanOrEqual(told.typical.dryThrough);
        },
      ),
    );
  });

  test("raised letters of slip 1.5 mm high wait for their water, in the plan as in the reckoning", () => {
    const line = product("kiln-raised-line");
    const letters = { technique: "raised-line", zone: "rim", colour: "#27406b", marks: { count: 6, diameterMm: 3, heightMm: 1.5 } } as const;
    const plan = firstPlan(plate({ decoration: { layers: [letters] } }));
    const steps = plan.zones.flatMap(({ steps: all }) => all);
    const at = steps.findIndex(({ technique }) => technique === "raised-line");
    const fire = steps.findIndex(({ role }, k) => k > at && role === "fire");
    expect(steps[at]!.product).toBe(line.id);
    const waited = steps.slice(at + 1, fire + 1).reduce((sum, { waitBefore }) => sum + (waitBefore?.min ?? 0), 0);
    expect(waited).toBeGreaterThanOrEqual((1500 * (1 - line.film.volumeSolidsPercent! / 100)) / freeWater(STANDARD_ROOM));
  });
});

describe("films in the standard atmosphere", () => {
  test("every class has its own times back", () => {
    for (const one of CATALOGUE.products.values()) {
      const { touch, recoat, cureDays } = one.drying;
      const { dryToTouch, dryToRecoat, cured } = stages({ product: one });
      expect([dryToTouch.typicalMin, dryToTouch.cautiousMin]).toEqual([touch.typical, touch.cautious].map((min) => expect.closeTo(min, 6) as unknown));
      if (recoat) expect(dryToRecoat.typicalMin).toBeCloseTo(Math.max(recoat.typical, touch.typical), 6);
      if (cureDays) expect(cured!.typicalMin).toBeGreaterThanOrEqual(cureDays.typical - 1e-6);
      else expect(cured).toBeNull();
    }
  });

  test("common practice: a coat is set in well under half an hour, a dot before it is sealed takes a day or two, a day before it is baked", () => {
    expect(stages({}).setToTouch.typicalMin).toBeLessThan(25);
    for (const diameterMm of [3, 4.5, 6]) {
      const { dryThrough } = stages({ marks: { diameterMm } });
      expect(dryThrough.typicalMin).toBeGreaterThanOrEqual(24 * HOUR);
      expect(dryThrough.cautiousMin).toBeLessThanOrEqual(2.5 * 24 * HOUR);
    }
    for (const one of CATALOGUE.products.values()) if (one.bakeable) expect(one.bakeable.afterMin).toBeGreaterThanOrEqual(20 * HOUR);
  });

  test("a dot on a dot is dry through later than one by itself, to the touch no later; it is handled before it is washed or planted", () => {
    const [one, onDot] = [stages({ marks: { diameterMm: 3 } }), stages({ marks: { diameterMm: 3, onDiameterMm: 6 } })];
    expect(onDot.dryThrough.typicalMin).toBeGreaterThan(stages({ marks: { diameterMm: 6 } }).dryThrough.typicalMin);
    expect(onDot.dryToTouch).toEqual(one.dryToTouch);
    const { handled, washed, planted, posted } = releasesOf(onDot);
    expect(handled!.typicalMin).toBeLessThan(washed!.typicalMin);
    expect([planted, posted]).toEqual([washed, washed]);
    expect(releasesOf(stages({ product: product("poster-paint") })).washed).toBeNull();
    expect(releasesFor([useId("planter"), useId("drinkware"), useId("tableware")])).toEqual(["planted", "washed", "stacked", "posted"]);
  });

  test("thinned paint of the same thickness has more to give off: by what is not solids", () => {
    const solids = PAINT.film.volumeSolidsPercent! / 100;
    const ratio = stages({ thinningPercent: 50 }).dryToTouch.typicalMin / stages({}).dryToTouch.typicalMin;
    expect(ratio).toBeCloseTo((1 - solids / 1.5) / (1 - solids), 9);
  });

  test("a bare thirsty face is dry to the touch sooner and dry through later", () => {
    const material = CATALOGUE.materials.get(materialId("terracotta"))!;
    expect(stages({ material }).dryToTouch.typicalMin).toBeLessThan(stages({}).dryToTouch.typicalMin);
    expect(stages({ material }).dryThrough.typicalMin).toBeGreaterThan(stages({}).dryThrough.typicalMin);
  });

  test("a thick oil film is slower, poured resin is not", () => {
    const thicker = (id: string) => {
      const one = product(id);
      return stages({ product: one, wetMicrons: one.film.wetMicrons! * 2 }).dryThrough.typicalMin / stages({ product: one }).dryThrough.typicalMin;
    };
    expect(thicker("solvent-enamel")).toBeCloseTo(2, 6);
    expect(thicker("coating-resin")).toBeCloseTo(1, 6);
  });
});

describe("whatever is asked", () => {
  const rooms = fc.record({
    temperatureC: fc.integer({ min: 5, max: 34 }),
    relativeHumidity: fc.integer({ min: 10, max: 92 }).map((percent) => percent / 100),
    airflow: fc.constantFrom("still" as const, "drafty" as const, "fan" as const),
  });
  const products = fc.constantFrom(...[...CATALOGUE.products.values()].filter(({ drying }) => drying.by !== "none"));
  const order = ({ setToTouch, dryToTouch, dryToRecoat, dryHard, dryThrough, cured }: FilmStages) => [
    setToTouch,
    dryToTouch,
    dryToRecoat,
    dryHard,
    dryThrough,
    ...(cured ? [cured] : []),
  ];

  test("stages follow one another, and the careful column is never the shorter", () => {
    fc.assert(
      fc.property(products, rooms, fc.integer({ min: 20, max: 1500 }), fc.integer({ min: 0, max: 80 }), (one, here, wetMicrons, thinningPercent) => {
        const { stages: found } = dryingOf({ product: one, room: here, wetMicrons, thinningPercent });
        if (!found) return;
        const all = order(found);
        for (const [k, { typicalMin, cautiousMin }] of all.entries()) {
          expect(cautiousMin).toBeGreaterThanOrEqual(typicalMin - 1e-9);
          if (k > 0) {
            expect(typicalMin).toBeGreaterThanOrEqual(all[k - 1]!.typicalMin - 1e-9);
            expect(cautiousMin).toBeGreaterThanOrEqual(all[k - 1]!.cautiousMin - 1e-9);
          }
        }
      }),
      { numRuns: 300 },
    );
  });

  test("no air makes a film dry through or hard sooner than its label says, of whatever class: a fan, warmth and dry air only take the water out", () => {
    fc.assert(
      fc.property(rooms, fc.constantFrom("still" as const, "drafty" as const, "fan" as const), (here, airflow) => {
        for (const product of CATALOGUE.products.values()) {
          const { stages } = dryingOf({ product, room: { ...here, airflow } });
          if (!stages || product.drying.by === "none") continue;
          const { through, cureDays } = product.drying;
          if (through) expect([product.id, stages.dryThrough.typicalMin >= through.typical]).toEqual([product.id, true]);
          if (cureDays && stages.cured) expect([product.id, stages.cured.typicalMin >= cureDays.typical]).toEqual([product.id, true]);
        }
      }),
      { numRuns: 60 },
    );
    const warm: Room = { temperatureC: 27, relativeHumidity: 0.3, airflow: "drafty" };
    const [varnish, paint] = ["acrylic-varnish", "craft-acrylic"].map((id) => dryingOf({ product: CATALOGUE.products.get(id as never)!, room: warm }).stages!);
    expect(varnish!.cured!.typicalMin / 1440).toBeGreaterThanOrEqual(14);
    expect(paint!.dryThrough.typicalMin / 60).toBeGreaterThanOrEqual(24);
  });

  test("colder, damper or thicker is never sooner; water films know the damp", () => {
    fc.assert(
      fc.property(rooms, fc.integer({ min: 20, max: 900 }), (here, wetMicrons) => {
        const at = (more: Partial<Room>, wet = wetMicrons) => dryingOf({ product: PAINT, room: { ...here, ...more }, wetMicrons: wet }).stages;
        const { dryToTouch: touch, dryThrough: through } = at({})!;
        for (const more of [{ temperatureC: here.temperatureC - 3 }, { relativeHumidity: here.relativeHumidity + 0.06 }]) {
          expect(at(more)?.dryToTouch.typicalMin ?? Infinity).toBeGreaterThan(touch.typicalMin);
          expect(at(more)?.dryThrough.typicalMin ?? Infinity).toBeGreaterThanOrEqual(through.typicalMin);
        }
        expect(at({}, wetMicrons * 1.5)!.dryThrough.typicalMin).toBeGreaterThanOrEqual(through.typicalMin);
      }),
      { numRuns: 200 },
    );
  });
});

describe("a room that is another by night", () => {
  const night = { temperatureC: 8, relativeHumidity: 0.8 };
  const day = room(19, 0.5);
  const both: Room = { ...day, night };

  test("dries at the mean of both rates, by the hours each lasts", () => {
    for (const by of ["evaporation", "oxidation", "solvent", "reaction"] as const) {
      const [one, other, mean] = [roomFactor(by, day)!, roomFactor(by, { ...night, airflow: "still" })!, roomFactor(by, both)!];
      for (const pick of ["fast", "slow"] as const) expect(1 / mean[pick]).toBeCloseTo((15 / one[pick] + 9 / other[pick]) / 24, 9);
    }
    expect(roomFactor("evaporation", { ...day, night: { temperatureC: 8, relativeHumidity: 1 } })!.fast).toBeCloseTo(
      (roomFactor("evaporation", day)!.fast * 24) / 15,
      9,
    );
    expect(roomFactor("evaporation", { ...room(8, 1), night: { temperatureC: 6, relativeHumidity: 1 } })).toBeNull();
  });

  test("what is wrong with it by night is a caution that says so, and warmth is given to the night too", () => {
    expect(dryingOf({ product: PAINT, room: both }).findings.map(({ code, severity, message }) => [code, severity, message.includes("by night")])).toEqual([
      ["too-cold", "warn", true],
      ["too-humid", "warn", true],
    ]);
    expect(dryingOf({ product: PAINT, room: { ...room(8, 0.4), night } }).findings[0]!.message).not.toMatch(/by night/);
    const warmer = whatIf({ product: PAINT, room: both }).find(({ remedy }) => remedy === "warmer")!;
    expect(warmer.room.night!.temperatureC).toBe(22);
  });

  test("is planned in, cautioned and not refused", () => {
    const plan = firstPlan(pebble({ uses: ["handled"], decoration: { techniques: ["dots"] }, room: both }));
    expect(plan.findings.filter(({ code }) => code === "too-cold").map(({ severity, message }) => [severity, message.includes("8 °C by night")])).toEqual([
      ["warn", true],
    ]);
  });
});

describe("what would help", () => {
  test("warmed air holds the water it held, so it is drier", () => {
    const warm = warmedTo(room(10, 0.85), 22);
    expect(saturationHpa(22) * warm.relativeHumidity).toBeCloseTo(saturationHpa(10) * 0.85, 9);
    expect(warm.relativeHumidity).toBeLessThan(0.45);
  });

  test("where nothing dries, it is told with what makes it dry; a fan alone is no help there", () => {
    const ask = { product: PAINT, room: room(10, 1) };
    expect(dryingOf(ask)).toMatchObject({ stages: null, findings: [{ code: "too-humid", severity: "stop" }, { code: "dew" }] });
    expect(whatIf(ask).map(({ remedy, saves }) => [remedy, saves])).toEqual([
      ["warmer", null],
      ["drier", null],
    ]);
  });

  test("in a cool damp back room each is worth something, and what is said is what comes of it", () => {
    const ask = { product: PAINT, room: room(12, 0.75) };
    const helps = whatIf(ask);
    expect(helps.map(({ remedy }) => remedy).sort()).toEqual(["drier", "fan", "warmer"]);
    for (const { room: changed, takes, saves } of helps) {
      expect(dryingOf({ ...ask, room: changed }).stages!.dryToRecoat).toEqual(takes);
      expect(saves!.typicalMin).toBeGreaterThan(5);
    }
    expect(whatIf({ product: PAINT, room: room(23, 0.45, "fan") })).toEqual([]);
    // A fan dries the skin of a dot, not what is under it.
    expect(whatIf({ ...ask, marks: { diameterMm: 5 } }).map(({ remedy }) => remedy)).toEqual(["warmer", "drier"]);
  });

  test("each limit speaks for itself: cold, hot, resin that stalls, a spray that clouds, a coat too thick", () => {
    const codes = (ask: Partial<DryingAsk>) =>
      dryingOf({ product: PAINT, room: STANDARD_ROOM, ...ask }).findings.map(({ code, severity }) => `${code} ${severity}`);
    expect(codes({})).toEqual([]);
    expect(codes({ room: room(8, 0.4) })).toEqual([`too-cold ${PAINT.drying.minC > 8 ? "stop" : "warn"}`]);
    expect(codes({ room: room(33, 0.3) })).toEqual(["too-hot-sun warn"]);
    expect(codes({ product: product("coating-resin"), room: room(13, 0.5) })).toContain("stalls stop");
    expect(codes({ wetMicrons: 400 })).toEqual(["too-thick warn"]);
    expect(codes({ marks: { diameterMm: 6 } })).toEqual([]);
  });
});
