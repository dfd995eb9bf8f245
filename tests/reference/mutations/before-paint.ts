/** Spoilt before there is colour: washing, filling, priming. */
import { productId } from "#core/catalogue/ids";
import { FILMS, SOLVENT, at, damp, hurry, hurryAll, inOne, product, role, whole, withStep, without } from "./damage";
import type { Damage } from "./damage";

/** Fillers that water does nothing to. */
const WET_PROOF: readonly string[] = ["wet-proof-filler", "cement-patch"];

export const BEFORE_PAINT: readonly Damage[] = [
  {
    kind: "glass or glaze not degreased",
    spoil: (zones) =>
      whole(zones, (steps) =>
        steps.some(product("isopropyl-alcohol")) ? steps.filter((step) => !["soap-wash", "isopropyl-alcohol"].includes(step.product)) : null,
      ),
  },
  {
    kind: "the first coat goes on the wet, washed piece",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        steps.some((step) => damp(step.product))
          ? hurryAll(
              steps,
              0,
              at(steps, (step) => FILMS.includes(step.role) || step.role === "fill"),
            )
          : null,
      ),
  },
  {
    kind: "sanding dust left on",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        without(
          steps,
          steps.findIndex((step, index) => step.role === "dust-off" && [...FILMS, "fill"].includes(steps[index + 1]?.role ?? "cure")),
        ),
      ),
  },
  {
    kind: "filler sanded while soft",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        steps.some(role("fill"))
          ? hurry(
              steps,
              at(steps, (step) => step.role === "sand" && steps.indexOf(step) > at(steps, role("fill"))),
            )
          : null,
      ),
  },
  {
    kind: "filler never locked under a waterborne colour",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        steps.some((step) => step.role === "fill" && !WET_PROOF.includes(step.product)) &&
        steps.some((step) => step.role === "base" && !SOLVENT.includes(step.product))
          ? steps.filter((step) => step.role !== "size" && step.role !== "prime")
          : null,
      ),
  },
  {
    kind: "primer left off thirsty clay or stone",
    spoil: (zones, piece, pick) =>
      ["terracotta", "concrete-cast"].includes(piece.material)
        ? inOne(zones, pick, (steps) => (steps.some(role("base")) ? without(steps, at(steps, role("prime"))) : null))
        : null,
  },
  {
    kind: "shore stone painted unsoaked",
    spoil: (zones, piece) =>
      piece.conditions.includes("beach-found") ? whole(zones, (steps) => steps.filter((step) => step.product !== "fresh-water-soak")) : null,
  },
  {
    kind: "white salts painted over",
    spoil: (zones, piece) =>
      piece.conditions.includes("efflorescence")
        ? whole(zones, (steps) => steps.filter((step) => step.product !== "fresh-water-soak" && step.product !== "salt-brush"))
        : null,
  },
  {
    kind: "old gloss not scuffed",
    spoil: (zones, piece, pick) =>
      piece.conditions.some((one) => one === "glossy-coating" || one === "previously-painted")
        ? inOne(zones, pick, (steps) =>
            // An adhesion primer grips old gloss by itself.
            steps.some(product("scuffing")) && !steps.some(product("adhesion-primer"))
              ? steps.filter((step) => step.product !== "scuffing" && step.role !== "dust-off" && step.product !== "sanding")
              : null,
          )
        : null,
  },
  {
    kind: "stain-blocker left off under a pale colour",
    spoil: (zones, piece, pick) =>
      piece.material === "wood-hardwood" || piece.conditions.includes("knots")
        ? inOne(zones, pick, (steps) =>
            withStep(
              steps,
              at(steps, (step) => step.role === "prime" && step.product.startsWith("stain")),
              { product: productId("gesso") },
            ),
          )
        : null,
  },
  {
    kind: "a base of one coat where it takes three",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        withStep(
          steps,
          at(steps, (step) => step.role === "base" && (step.coats ?? 1) >= 3 && !SOLVENT.includes(step.product)),
          { coats: 1 },
        ),
      ),
  },
];
