/** Spoilt in the oven, in the kiln and by use. */
import { productId } from "#core/catalogue/ids";
import { at, fresh, hurryAll, inOne, inserted, role, whole, withStep } from "./damage";
import type { Damage } from "./damage";

export const AFTER_PAINT: readonly Damage[] = [
  {
    kind: "baked the same evening",
    spoil: (zones) => whole(zones, (steps) => hurryAll(steps, at(steps, role("decorate", "base")) + 1, at(steps, role("heat-set")))),
  },
  {
    kind: "into a hot oven",
    spoil: (zones) =>
      whole(zones, (steps) => {
        const index = at(steps, role("heat-set"));
        return withStep(steps, index, { heat: { ...steps[index]?.heat, kind: "oven", temperatureC: 163, holdMin: 30, start: "hot", cool: "out" } });
      }),
  },
  {
    kind: "baked with resin on",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) => inserted(steps, at(steps, role("heat-set")), fresh("seal", "coating-resin", { method: "pour" }))),
  },
  {
    kind: "a stone put in the oven",
    spoil: (zones, piece, pick) =>
      ["stone-smooth", "stone-rough", "terracotta", "slate"].includes(piece.material)
        ? inOne(zones, pick, (steps) =>
            inserted(
              steps,
              steps.length - 1,
              fresh("heat-set", "oven-bake", { heat: { kind: "oven", temperatureC: 163, holdMin: 30, start: "cold", cool: "inside" } }),
            ),
          )
        : null,
  },
  {
    kind: "gesso under baked enamel",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) => (steps.some(role("heat-set")) ? inserted(steps, at(steps, role("decorate", "base")), fresh("prime", "gesso")) : null)),
  },
  {
    kind: "the lip band painted",
    spoil: (zones, piece) =>
      piece.uses.includes("drinkware" as never) && !piece.constraints.kiln
        ? [...zones, { zone: "lip-band", areaMm2: 100, steps: [fresh("decorate", "craft-acrylic", { technique: "bands", colour: "#d9822b" })] }]
        : null,
  },
  {
    kind: "paint inside a lantern",
    spoil: (zones, piece) =>
      piece.uses.includes("candle" as never)
        ? [
            ...zones.filter((zone) => zone.zone !== "inside"),
            { zone: "inside", areaMm2: 100, steps: [fresh("decorate", "craft-acrylic", { technique: "freehand-brush", colour: "#d9822b" })] },
          ]
        : null,
  },
  {
    kind: "resin on a tray for hot cups",
    spoil: (zones, piece, pick) =>
      piece.uses.includes("serving-tray" as never)
        ? inOne(zones, pick, (steps, zone) =>
            zone === "inside" ? withStep(steps, at(steps, role("seal")), { product: productId("coating-resin"), coats: 1, method: "pour" }) : null,
          )
        : null,
  },
  {
    kind: "resin outdoors in the sun",
    spoil: (zones, piece, pick) =>
      piece.uses.some((use) => use === "outdoor-exposed")
        ? inOne(zones, pick, (steps) => withStep(steps, at(steps, role("seal")), { product: productId("coating-resin"), coats: 1, method: "pour" }))
        : null,
  },
  {
    kind: "fluorescent colour on a terrace",
    spoil: (zones, piece, pick) =>
      piece.uses.some((use) => use === "outdoor-exposed")
        ? inOne(zones, pick, (steps) => withStep(steps, at(steps, role("decorate")), { product: productId("fluorescent-acrylic") }))
        : null,
  },
  {
    kind: "spray varnish in a child's hands",
    spoil: (zones, piece, pick) =>
      piece.constraints.childSafe
        ? inOne(zones, pick, (steps) => withStep(steps, at(steps, role("seal")), { product: productId("acrylic-spray-clear"), method: "spray" }))
        : null,
  },
  {
    kind: "oil enamel over yesterday's acrylic, varnished next day",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) => {
        const index = at(
          steps,
          (step) => step.role === "decorate" && step.technique !== undefined && ["dots", "bands", "lettering", "freehand-brush"].includes(step.technique),
        );
        const seal = at(steps, role("seal"));
        return index >= 0 && seal > index
          ? steps.map((step, other) =>
              other === index
                ? { ...step, product: productId("solvent-enamel") }
                : step.role === "seal"
                  ? { ...step, waitBefore: { min: 20 * 60, until: "dry-hard", set: "hers" } }
                  : step.role === "unmark"
                    ? { ...step, waitBefore: { min: 60, until: "dry-to-touch", set: "hers" } }
                    : step,
            )
          : null;
      }),
  },
  {
    kind: "thin satin paint for dots on wood",
    spoil: (zones, piece, pick) =>
      piece.material.startsWith("wood")
        ? inOne(zones, pick, (steps) =>
            withStep(
              steps,
              at(steps, (step) => step.technique === "dots"),
              { product: productId("satin-multisurface") },
            ),
          )
        : null,
  },
  {
    kind: "underglaze that is never fired",
    spoil: (zones, piece) =>
      piece.constraints.kiln ? whole(zones, (steps) => (steps.some(role("fire")) ? steps.filter((step) => step.role !== "fire") : null)) : null,
  },
  {
    kind: "craft paint sent to the kiln",
    spoil: (zones, piece, pick) =>
      piece.constraints.kiln
        ? inOne(zones, pick, (steps) =>
            steps.some(role("fire")) ? withStep(steps, at(steps, role("base", "decorate")), { product: productId("craft-acrylic") }) : null,
          )
        : null,
  },
  {
    kind: "a cake plate fired without glaze",
    spoil: (zones, piece) =>
      piece.constraints.kiln
        ? zones.some((zone) => zone.zone === "food-side")
          ? zones.map((zone) => ({ ...zone, steps: zone.steps.filter((step) => step.role !== "seal") }))
          : null
        : null,
  },
  {
    kind: "a part glued on to the varnish",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        steps.some(role("seal")) && !steps.some(role("assemble", "heat-set")) ? inserted(steps, at(steps, role("cure")), fresh("assemble", "glue")) : null,
      ),
  },
  {
    kind: "permanent marker under a pale wash",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        steps.some(role("seal")) && steps.some(role("mark")) && steps.some((step) => step.role === "seal" && step.product.includes("varnish"))
          ? withStep(steps, at(steps, role("mark")), { product: productId("permanent-marker") })
          : null,
      ),
  },
];
