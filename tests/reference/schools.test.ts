/** The user's own school: what they name stays, what cannot be had is given up alone, what they follow stays as it is. */
import { describe, expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { productId } from "#core/catalogue/ids";
import { withOwnProducts } from "#core/catalogue/own-product";
import { explainStep } from "#core/coating/explain/explain-step";
import { planPiece } from "#core/coating/planner/plan-piece";
import { planWithEdits } from "#core/coating/planner/plan-with-edits";
import type { Keeping } from "#core/coating/planner/plan-with-edits";
import { ENGINE_VERSION } from "#core/coating/planner/engine-version";
import { checkSteps } from "#core/coating/rules/check-steps";
import { candidates, firstPlan, has, jar, mug, outline, pebble, piece, place, pot, productsIn, rough, s, stacks, stepsOf, tray, woodDisc } from "./bench";

const codes = (plan: { findings: readonly { code: string }[] }) => plan.findings.map((one) => one.code);

describe("a named paint", () => {
  test("house emulsion does the field and the brushwork of a garden stone", () => {
    const plan = firstPlan(
      rough({
        uses: ["outdoor-exposed"],
        decoration: { techniques: ["solid", "freehand-brush"], media: ["house-emulsion"], baseColour: "#5b7f95", colours: ["#f4efe2"] },
      }),
    );
    const top = stepsOf(plan, "top");
    expect(top.filter((step) => step.role === "base" || step.role === "decorate").map((step) => step.product)).toEqual(["house-emulsion", "house-emulsion"]);
    expect(top.filter((step) => step.technique === "solid")).toEqual([]);
    expect(codes(plan)).not.toContain("wish-not-kept");
  });
  test("ordinary acrylic on a mug is baked, for gentle use, and the enamel stands beside it as the harder way", () => {
    const ways = candidates(mug({ decoration: { techniques: ["dots"], media: ["craft-acrylic"] }, wishes: { route: "bake" } }));
    expect(outline(ways[0]!, "outside")).toEqual(expect.arrayContaining(["decorate:craft-acrylic", "heat-set:oven-bake"]));
    const harder = ways.find((one) => one.totals.products.includes(productId("gloss-enamel-acrylic")))!;
    expect(harder.scores.durability).toBeGreaterThan(ways[0]!.scores.durability);
    expect(harder.findings.find((one) => one.code === "wish-not-kept")?.message).toMatch(/craft acrylic/);
  });
  test("unbaked it does not hold on glaze or glass", () => {
    const plain = s("decorate", "craft-acrylic", { technique: "dots" });
    const degreased = [s("clean", "soap-wash", { after: 0 }), s("clean", "isopropyl-alcohol", { after: 90 })];
    expect(codes({ findings: checkSteps(jar(), stacks({ outside: [...degreased, plain] }), CATALOGUE) })).toContain("no-key");
  });
  test("enamel left to harden without an oven is a school for show", () => {
    const plan = firstPlan(jar({ decoration: { techniques: ["freehand-brush"], media: ["gloss-enamel-acrylic"] }, wishes: { route: "air" } }));
    expect(outline(plan, "outside")).toContain("decorate:gloss-enamel-acrylic");
    expect(has(stepsOf(plan, "outside"), "heat-set")).toBe(false);
  });
  test("poster paint is given up, and the plan says why", () => {
    const plan = firstPlan(pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["dots"], media: ["poster-paint"] } }));
    expect(plan.findings.find((one) => one.code === "wish-not-kept")).toMatchObject({ why: expect.stringMatching(/dusts off/) });
  });
});

describe("four wishes on an oak tray", () => {
  const decoration = {
    baseColour: null,
    layers: [
      { zone: "outside", technique: "solid", medium: "wood-stain", colour: "#4a3324" },
      { zone: "inside", technique: "solid", colour: "#f4efe2" },
      { zone: "inside", technique: "outline", medium: "oil-paint-marker", colour: "#2b2b2b" },
      { zone: "inside", technique: "freehand-brush", medium: "craft-acrylic", colour: "#2f6f7a" },
    ],
  };
  const plan = firstPlan(tray({ decoration, finish: "gloss", wishes: { primer: "gesso", sealer: "coating-resin" } }));
  test("are all kept: stain outside, blocker and gesso and cream inside, marker, brushwork, resin", () => {
    expect(outline(plan, "outside")).toContain("base:wood-stain");
    expect(has(stepsOf(plan, "outside"), "prime")).toBe(false);
    const inside = outline(plan, "inside");
    expect(inside.filter((step) => step.startsWith("prime:"))).toEqual(["prime:stain-blocking-primer", "prime:gesso"]);
    expect(inside).toEqual(expect.arrayContaining(["base:craft-acrylic", "decorate:oil-paint-marker", "decorate:craft-acrylic", "seal:coating-resin"]));
    expect(codes(plan)).not.toContain("wish-not-kept");
    expect(codes(plan)).not.toContain("tannin-bleed");
    expect(codes(plan)).toContain("hot-cup");
  });
  test("one that cannot be had is given up alone, with its own reason", () => {
    const outdoors = firstPlan(
      pebble({ uses: ["outdoor-exposed"], decoration: { techniques: ["dots"] }, wishes: { primer: "white-craft-acrylic", sealer: "decoupage-medium" } }),
    );
    expect(has(stepsOf(outdoors, "top"), "prime", "white-craft-acrylic")).toBe(true);
    expect(outdoors.findings.filter((one) => one.code === "wish-not-kept").map((one) => one.message)).toEqual([
      "You wished for decoupage medium; this plan does without",
    ]);
  });
});

describe("resin", () => {
  test("is poured on a flat top, brushed thin on a wall, and never laid on an underside", () => {
    const stone = firstPlan(pebble({ uses: ["gift-or-sale"], decoration: { techniques: ["dots"] }, wishes: { sealer: "coating-resin" } }));
    expect(stepsOf(stone, "top").find((step) => step.role === "seal")).toMatchObject({ product: "coating-resin", method: "pour" });
    expect(stepsOf(stone, "back").find((step) => step.role === "seal")?.product).not.toBe("coating-resin");
    const wall = firstPlan(pot({ decoration: { techniques: ["dots"] }, wishes: { sealer: "coating-resin" } }));
    expect(stepsOf(wall, "outside").find((step) => step.role === "seal")).toMatchObject({ method: "brush", coats: 2, wetMicrons: 250 });
    expect(wall.findings.find((one) => one.code === "resin-runs")).toMatchObject({ severity: "note", message: expect.stringMatching(/brushed on thin/) });
  });
});

describe("what nobody decorates", () => {
  test("wood is finished all round, and pale dots on it lie on a clear blocker", () => {
    const plan = firstPlan(woodDisc({ uses: ["serving-tray"], decoration: { techniques: ["dots"], baseColour: null, colours: ["#f4efe2"] } }));
    for (const zone of ["top", "edge", "back"] as const) expect(has(stepsOf(plan, zone), "seal")).toBe(true);
    expect(place(stepsOf(plan, "top"), "size")).toBeLessThan(place(stepsOf(plan, "top"), "decorate"));
    expect(codes(plan)).not.toContain("tannin-bleed");
  });
  test("a kiln mug has its handle glazed with the rest", () => {
    const kiln = firstPlan(
      piece({
        material: "ceramic-bisque",
        object: "mug",
        uses: ["drinkware"],
        form: { kind: "cylinder", diameterMm: 82, heightMm: 95 },
        parts: ["handle"],
        decoration: { techniques: ["dots"], baseColour: "#2f4a5a" },
        constraints: { kiln: true },
      }),
    );
    expect(has(stepsOf(kiln, "handle"), "seal", "clear-glaze")).toBe(true);
  });
  test("rim and strip of a candle pot stay bare beside the flame", () => {
    const plan = firstPlan(pot({ uses: ["candle"], decoration: { techniques: ["bands"], baseColour: "#d9d2c3" } }));
    expect(plan.zones.map((zone) => zone.zone)).toEqual(["outside"]);
  });
});

describe("the shelf", () => {
  const shelf = [
    { id: "a", classId: productId("craft-acrylic"), name: "Blue craft", colour: "#2f4a5a" },
    { id: "b", classId: productId("craft-acrylic"), name: "White craft", colour: "#f4efe2" },
    { id: "c", classId: productId("decoupage-medium"), name: "Glue varnish" },
  ];
  const stone = pebble({
    uses: ["gift-or-sale"],
    decoration: { techniques: ["dots"], baseColour: "#2f4a5a", colours: ["#f4efe2"] },
    constraints: { shelfOnly: true },
  });
  test("each layer takes the jar of its colour", () => {
    const top = stepsOf(planPiece(stone, withOwnProducts(CATALOGUE, shelf)).candidates[0]!, "top");
    expect(top.flatMap((step) => (step.ownProduct ? [`${step.role} ${step.ownProduct}`] : []))).toEqual(["base a", "decorate b", "seal c"]);
  });
  test("a colour that is missing is said, with the nearest jar in words", () => {
    const [plan] = planPiece(stone, withOwnProducts(CATALOGUE, [shelf[0]!, shelf[2]!])).candidates;
    const said = plan!.findings.find((one) => one.code === "colour-not-owned")!;
    expect(said.why).toMatch(/Blue craft, which is much darker/);
    expect(stepsOf(plan!, "top").find((step) => step.role === "decorate")?.ownProduct).toBeUndefined();
  });
});

describe("what if", () => {
  const stone = pebble({ uses: ["handled"], decoration: { techniques: ["dots"], baseColour: "#f4efe2", colours: ["#1d1d1d"] } });
  const plan = firstPlan(stone);
  const step = (role: string) => stepsOf(plan, "top").find((one) => one.role === role)!;
  test("the ground that saves coats is left out: the colour takes more, and its paint and days follow", () => {
    const { leftOut } = explainStep(stone, plan, step("prime").id, CATALOGUE)!;
    expect(leftOut.others).toEqual([expect.objectContaining({ step: step("base").id, from: step("base").coats })]);
    expect(leftOut.others[0]!.to).toBeGreaterThan(leftOut.others[0]!.from);
    expect(leftOut.jarMl).not.toBe(0);
  });
  test("left out in the plan itself, the coats are there as it was said; coats the user set stay", () => {
    const { leftOut } = explainStep(stone, plan, step("prime").id, CATALOGUE)!;
    const keep = (edits: Keeping["edits"]): Keeping => ({ candidateId: plan.id, school: plan.school, edits });
    const without = [{ op: "remove", stepId: step("prime").id }] as const;
    const coats = (edits: Keeping["edits"]) => planWithEdits(stone, keep(edits), CATALOGUE).shown!.zones[0]!.steps.find((one) => one.role === "base")!.coats;
    expect(coats(without)).toBe(leftOut.others[0]!.to);
    expect(coats([...without, { op: "set", stepId: step("base").id, field: "coats", value: 1 }])).toBe(1);
  });
  test("a weaker paint in its place says the coats it takes", () => {
    const substitutes = explainStep(stone, plan, step("base").id, CATALOGUE)!.substitutes;
    expect(new Set(substitutes.map((one) => one.coats)).size).toBeGreaterThan(1);
  });
});

describe("a plan that is followed", () => {
  const stone = pebble({ uses: ["handled"], decoration: { techniques: ["dots"], baseColour: "#f4efe2", colours: ["#1d1d1d"] } });
  const fresh = planWithEdits(stone, { candidateId: null, school: "", edits: [] }, CATALOGUE);
  /** Followed with another paint and varnish than the engine's own choice. */
  const made = fresh.made.map((zone) => ({
    ...zone,
    steps: zone.steps.map((step) =>
      step.product === "craft-acrylic"
        ? { ...step, product: productId("soft-body-acrylic") }
        : step.role === "seal"
          ? { ...step, product: productId("decoupage-medium") }
          : step,
    ),
  }));
  const keeping: Keeping = {
    candidateId: fresh.shown!.id,
    school: fresh.shown!.school,
    edits: [],
    kept: { engineVersion: ENGINE_VERSION, made, madeFor: fresh.madeFor },
  };
  const films = (view: typeof fresh) => view.shown!.zones[0]!.steps.filter((step) => step.wetMicrons !== null).map((step) => `${step.role}:${step.product}`);
  test("keeps its products and its order over another base colour, and what has changed is listed", () => {
    const dark = planWithEdits({ ...stone, decoration: { ...stone.decoration, baseColour: "#16324f", colours: ["#f4efe2"] } }, keeping, CATALOGUE);
    expect(films(dark)).toEqual(["prime:gesso", "base:soft-body-acrylic", "decorate:soft-body-acrylic", "seal:decoupage-medium"]);
    expect(dark.changed!.length).toBeGreaterThan(0);
    expect(planWithEdits(stone, keeping, CATALOGUE).changed).toBeNull();
  });
  test("gives up only what no longer holds", () => {
    const outdoors = planWithEdits({ ...stone, uses: ["outdoor-exposed"] as never }, keeping, CATALOGUE);
    expect(films(outdoors).slice(0, 3)).toEqual(["prime:gesso", "base:soft-body-acrylic", "decorate:soft-body-acrylic"]);
    expect(films(outdoors).at(-1)).not.toBe("seal:decoupage-medium");
  });
});

describe("what a step leaves out is read from the piece", () => {
  const found = (stated: Parameters<typeof checkSteps>[0], said: Parameters<typeof stacks>[0]) =>
    codes({ findings: checkSteps(stated, stacks(said), CATALOGUE) });
  test("white on oak, a black back, paint where the glue goes", () => {
    expect(found(tray({ decoration: { baseColour: "#ffffff" } }), { inside: [s("base", "craft-acrylic", { coats: 2 })] })).toContain("tannin-bleed");
    expect(found(pebble({ uses: ["gift-or-sale"], decoration: { baseColour: "#111111" } }), { back: [s("base", "craft-acrylic", { coats: 2 })] })).toContain(
      "back-rubs-off",
    );
    const clock = woodDisc({ object: "clock", parts: ["numerals"] });
    expect(found(clock, { "glue-spot": [s("base", "craft-acrylic", { coats: 2 })] })).toContain("glue-on-film");
  });
  test("a damp pot whose waits are not said is asked about", () => {
    const damp = checkSteps(pot({ conditions: ["damp"] }), stacks({ outside: [s("prime", "gesso")] }), CATALOGUE).find((one) => one.code === "surface-damp");
    expect(damp).toMatchObject({ severity: "note", message: expect.stringMatching(/^If it has not dried out/) });
  });
  test("the fix for a glued part clears its spot and keeps the gluing", () => {
    const clock = woodDisc({ object: "clock", parts: ["numerals"] });
    const [fix] = checkSteps(clock, stacks({ face: [s("base", "craft-acrylic"), s("seal", "acrylic-varnish"), s("assemble", "glue")] }), CATALOGUE).filter(
      (one) => one.code === "glue-on-film",
    );
    expect(fix!.fix.change!.map((one) => one.op)).toEqual(["add", "add"]);
  });
});

test("old gloss is answered by scuffing, or by a primer that grips by itself", () => {
  expect(productsIn(tray({ conditions: ["glossy-coating"], decoration: { techniques: ["dots"], baseColour: "#2f4a5a" } }))).toEqual(
    expect.objectContaining(new Set(["adhesion-primer"])),
  );
});
