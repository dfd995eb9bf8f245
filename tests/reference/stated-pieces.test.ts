/** What the user states of a piece and a plan has to answer to: layers, wishes, what is on it already, how many, what the user avoids. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { planPiece } from "#core/coating/planner/plan-piece";
import { completePiece } from "#core/piece/complete-piece";
import { guessObject } from "#core/piece/guess-object";
import type { Piece } from "#core/piece/piece";
import { firstPlan, goblet, gypsum, jar, mug, outline, pebble, pot, rough, stepsOf, tray } from "./bench";

const findings = (of: Piece) => planPiece(of, CATALOGUE).candidates[0]?.findings ?? [];

describe("layers", () => {
  const layer = { technique: "dots", medium: "soft-body-acrylic", colour: "#d9822b", zone: "rim", marks: { count: 24, diameterMm: 4 } };

  test("bind medium, colour, marks and place together", () => {
    const plan = firstPlan(pot({ decoration: { layers: [layer] } }));
    expect(stepsOf(plan, "rim").find((step) => step.role === "decorate")).toMatchObject({
      product: "soft-body-acrylic",
      colour: "#d9822b",
      marks: { count: 24, diameterMm: 4, heightMm: 0.48 },
    });
    expect(stepsOf(plan, "outside").some((step) => step.role === "decorate")).toBe(false);
  });

  test("two in one zone keep the user's order", () => {
    const plan = firstPlan(
      pebble({
        decoration: {
          layers: [
            { technique: "bands", colour: "#f4efe2" },
            { technique: "dots", colour: "#8a1f2b" },
          ],
        },
      }),
    );
    expect(
      stepsOf(plan, "top")
        .filter((step) => step.role === "decorate")
        .map((step) => step.technique),
    ).toEqual(["bands", "dots"]);
  });

  test("on a place that stays bare are not painted, and the user is told why", () => {
    const told = findings(mug({ decoration: { techniques: ["dots"], layers: [{ technique: "dots" }, { technique: "dots", zone: "lip-band" }] } })).find(
      (one) => one.code === "wish-not-kept",
    );
    expect(told?.message).toBe("Nothing is painted on the lip band");
    expect(told?.why).toMatch(/not a food surface/);
  });

  test("of one technique share out several colours, of several media each finds its technique", () => {
    const coloured = firstPlan(pebble({ decoration: { techniques: ["dots"], colours: ["#f4efe2", "#d9822b", "#8a1f2b"] } }));
    expect(
      stepsOf(coloured, "top")
        .filter((step) => step.role === "decorate")
        .map((step) => step.colour),
    ).toEqual(["#f4efe2", "#d9822b", "#8a1f2b"]);
    const mixed = firstPlan(pebble({ decoration: { techniques: ["outline", "freehand-brush"], media: ["oil-paint-marker", "craft-acrylic"] } }));
    expect(outline(mixed, "top")).toEqual(expect.arrayContaining(["decorate:oil-paint-marker", "decorate:craft-acrylic"]));
  });

  test("a medium named alone brings its own technique", () => {
    expect(stepsOf(firstPlan(pebble({ decoration: { media: ["metallic-watercolour"] } })), "top").find((step) => step.role === "decorate")).toMatchObject({
      technique: "metallic-wash",
    });
  });

  test("crystals go on after the last coat, and not at all where they may be shed", () => {
    const roles = stepsOf(firstPlan(pebble({ decoration: { techniques: ["crystals"] } })), "top").map((step) => `${step.role}:${step.product}`);
    expect(roles.indexOf("decorate:glued-crystals")).toBeGreaterThan(roles.indexOf("seal:acrylic-varnish"));
    expect(planPiece(pebble({ uses: ["found-outdoors"], decoration: { techniques: ["crystals"] } }), CATALOGUE).refusal?.code).toBe("sheds-outdoors");
  });
});

describe("wishes", () => {
  test("are kept where they can be", () => {
    const plan = firstPlan(pot({ uses: ["outdoor-exposed"], wishes: { primer: "masonry-primer", base: "masonry-paint", sealer: "acrylic-spray-clear" } }));
    expect(outline(plan, "outside")).toEqual(expect.arrayContaining(["prime:masonry-primer", "base:masonry-paint", "seal:acrylic-spray-clear"]));
  });

  test("are answered where they cannot: gesso under a baked mug, an oven for a stone, decoupage outdoors", () => {
    const told = (of: Piece) =>
      findings(of)
        .filter((one) => one.code === "wish-not-kept")
        .map((one) => one.message);
    expect(told(mug({ decoration: { techniques: ["dots"] }, wishes: { primer: "gesso" } }))[0]).toMatch(/wished for gesso/);
    expect(told(pebble({ wishes: { route: "bake" } }))[0]).toMatch(/bake route/);
    expect(told(pebble({ uses: ["outdoor-exposed"], wishes: { sealer: "decoupage-medium" } }))[0]).toMatch(/decoupage medium/);
  });

  test("a bake the user asks for on a mug is the only route", () => {
    const routes = planPiece(mug({ decoration: { techniques: ["dots"] }, wishes: { route: "bake" } }), CATALOGUE).candidates.map((one) => one.route);
    expect(new Set(routes)).toEqual(new Set(["bake"]));
  });
});

describe("limits", () => {
  test("what the user avoids is in no plan", () => {
    const products = planPiece(
      pebble({ decoration: { techniques: ["dots"] }, constraints: { avoid: ["gesso", "acrylic-varnish", "chalk-pencil"] } }),
      CATALOGUE,
    ).candidates.flatMap((one) => one.zones.flatMap((zone) => zone.steps.map((step) => step.product)));
    for (const out of ["gesso", "acrylic-varnish", "chalk-pencil"]) expect(products).not.toContain(out);
  });

  test("a child's plan has nothing in it that a child may not use", () => {
    for (const of of [
      pebble({ uses: ["child-made"] }),
      tray({ constraints: { childSafe: true } }),
      jar({ uses: ["child-made", "candle"], decoration: { techniques: ["dots"] } }),
    ])
      for (const step of planPiece(of, CATALOGUE).candidates.flatMap((one) => one.zones.flatMap((zone) => zone.steps))) {
        expect(CATALOGUE.products.get(step.product)?.childSafe ?? CATALOGUE.aids.get(step.product)?.childSafe).toBe(true);
      }
  });

  test("bare zones stay bare", () => {
    const plan = firstPlan(pot({ decoration: { bareZones: ["rim", "inner-strip"] } }));
    expect(plan.bare).toEqual(["rim", "inner-strip"]);
    expect(plan.zones.map((zone) => zone.zone)).not.toContain("rim");
  });
});

describe("what is on it already", () => {
  const plan = firstPlan(pebble({ decoration: { techniques: ["dots"] }, done: [{ zone: "top", role: "prime", product: "white-craft-acrylic", coats: 1 }] }));

  test("stands first, as the user's, and is not planned again", () => {
    const top = stepsOf(plan, "top");
    const done = top.filter((step) => step.done);
    expect(top.slice(0, done.length)).toEqual(done);
    expect(done.at(-1)).toMatchObject({ role: "prime", product: "white-craft-acrylic", handsOnMin: 0, jarMl: 0, waitBefore: null });
    expect(top.filter((step) => step.role === "prime")).toHaveLength(1);
    expect(top.some((step) => step.role === "base")).toBe(true);
    expect(plan.totals.products).not.toContain("white-craft-acrylic");
  });

  test("a base that grins through gets the coats it lacks, and nothing goes under it", () => {
    const begun = firstPlan(
      pebble({
        decoration: { baseColour: "#f2c230", techniques: ["dots"] },
        done: [{ zone: "top", role: "base", product: "craft-acrylic", coats: 1, colour: "#f2c230" }],
      }),
    );
    const top = stepsOf(begun, "top");
    const bases = top.filter((step) => step.role === "base");
    expect(bases.map((step) => step.done ?? false)).toEqual([true, false]);
    expect(bases[1]!.product).toBe("craft-acrylic");
    expect(top.some((step) => step.role === "prime")).toBe(false);
  });

  test("painted and dotted: what is left is to seal it; sealed too: only to let it cure", () => {
    const dotted = [
      { zone: "top", role: "base", product: "craft-acrylic", coats: 3 },
      { zone: "top", role: "decorate", product: "craft-acrylic" },
    ];
    const toDo = (done: readonly object[]) =>
      stepsOf(firstPlan(pebble({ decoration: { techniques: ["dots"] }, done })), "top")
        .filter((step) => !step.done)
        .map((step) => step.role);
    expect(toDo(dotted)).toEqual(["seal", "cure"]);
    expect(toDo([...dotted, { zone: "top", role: "seal", product: "acrylic-varnish", coats: 2 }])).toEqual(["cure"]);
  });
});

describe("what the user leaves open", () => {
  test("is assumed, and every default is listed with its path", () => {
    const { assumed } = completePiece(pot(), CATALOGUE);
    expect(assumed.map((one) => one.path)).toEqual(
      expect.arrayContaining([
        "conditions",
        "decoration.baseColour",
        "finish",
        "count",
        "room.temperatureC",
        "room.relativeHumidity",
        "room.airflow",
        "constraints.oven",
      ]),
    );
    for (const one of assumed) expect(one.text.length).toBeGreaterThan(4);
  });

  test("is not listed once the user says it", () => {
    const said = completePiece(pot({ finish: "gloss", count: 3, room: { temperatureC: 18 } }), CATALOGUE).assumed.map((one) => one.path);
    for (const path of ["finish", "count", "room.temperatureC"]) expect(said).not.toContain(path);
    expect(said).toContain("room.relativeHumidity");
  });

  test("the object is guessed from form, material and use", () => {
    const without = ({ object: _object, ...rest }: Piece): Piece => rest;
    expect(guessObject(without(pebble()), CATALOGUE)).toBe("stone");
    expect(guessObject(without(pot()), CATALOGUE)).toBe("pot");
    expect(guessObject(without(mug()), CATALOGUE)).toBe("mug");
    expect(guessObject(without(jar({ uses: ["candle"] })), CATALOGUE)).toBe("jar");
    expect(guessObject(goblet(), CATALOGUE)).toBe("goblet");
    expect(guessObject(without(tray()), CATALOGUE)).toBe("tray");
  });

  test("off-white marks on a dark ground, dark ones on a light one", () => {
    const marks = (of: Piece) => completePiece(of, CATALOGUE).piece.decoration.colours[0];
    expect(marks(pebble({ decoration: { techniques: ["dots"] } }))).toBe("#f4efe2");
    expect(marks(mug({ decoration: { techniques: ["dots"] } }))).toBe("#2f4a5a");
  });
});

test("a refusal says what is wrong with what, in words without a gap", () => {
  for (const stated of [gypsum({ uses: ["planter"] }), rough({ conditions: ["flaking-old-paint"] }), tray({ room: { temperatureC: 1 } })]) {
    const { refusal } = planPiece(stated, CATALOGUE);
    expect(refusal?.why.length).toBeGreaterThan(20);
    expect(`${refusal?.why} ${refusal?.message}`).not.toMatch(/[{}]|undefined|null/);
    expect(refusal?.nearest).not.toBeNull();
  }
});
