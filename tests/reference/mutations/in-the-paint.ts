/** Spoilt between the first colour and the last varnish. */
import { productId } from "#core/catalogue/ids";
import { at, dark, hurry, hurryAll, inOne, product, role, withStep, without } from "./damage";
import type { Damage } from "./damage";

export const IN_THE_PAINT: readonly Damage[] = [
  {
    kind: "the next coat on a wet one",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        steps.some(role("prime")) && steps.some(role("base")) ? hurryAll(steps, at(steps, role("prime")) + 1, at(steps, role("base"))) : null,
      ),
  },
  {
    kind: "poster paint from the school box",
    spoil: (zones, _piece, pick) => inOne(zones, pick, (steps) => withStep(steps, at(steps, role("decorate", "base")), { product: productId("poster-paint") })),
  },
  {
    kind: "thin paper paint on bare stone",
    spoil: (zones, piece, pick) =>
      ["stone-smooth", "stone-rough", "slate"].includes(piece.material)
        ? inOne(zones, pick, (steps) => {
            const index = at(steps, role("base"));
            return index < 0
              ? null
              : steps
                  .filter((step) => step.role !== "prime" && step.role !== "size")
                  .map((step) => (step.role === "base" ? { ...step, product: productId("thin-art-paint") } : step));
          })
        : null,
  },
  {
    kind: "half water in the paint",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) => withStep(steps, at(steps, role("base", "decorate")), { thinning: { with: productId("water"), percent: 50 } })),
  },
  {
    kind: "sealed the same evening as the dots",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) => {
        const seal = at(steps, role("seal"));
        const dots = at(steps, (step) => step.marks !== undefined);
        return seal > dots && dots >= 0
          ? steps
              .filter((step) => step.role !== "unmark")
              .map((step) => (step.role === "seal" ? { ...step, waitBefore: { min: 60, until: "dry-to-recoat", set: "hers" } } : step))
          : null;
      }),
  },
  {
    kind: "guides varnished in",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        steps.some(role("seal", "heat-set")) && steps.some(product("chalk-pencil", "charcoal-pencil", "dry-erase-marker"))
          ? without(steps, at(steps, role("unmark")))
          : null,
      ),
  },
  { kind: "guides wiped before the dots are through", spoil: (zones, _piece, pick) => inOne(zones, pick, (steps) => hurry(steps, at(steps, role("unmark")))) },
  {
    kind: "guides wiped after the varnish",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) => {
        const off = at(steps, role("unmark"));
        const seal = at(steps, role("seal"));
        const wipes = steps.some(product("chalk-pencil", "charcoal-pencil", "graphite-pencil"));
        if (off < 0 || seal < off || !wipes) return null;
        const moved = steps.filter((_step, index) => index !== off);
        moved.splice(seal, 0, steps[off]!);
        return moved;
      }),
  },
  {
    kind: "tape on paint of an hour",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) => {
        const index = at(steps, (step) => step.role === "mask" && ["tape", "adhesive-film"].includes(step.product));
        return index > 0 && steps.slice(0, index).some(role("base", "prime", "isolate")) ? hurry(steps, index) : null;
      }),
  },
  {
    kind: "tape varnished in",
    spoil: (zones, _piece, pick) => inOne(zones, pick, (steps) => (steps.some(role("seal")) ? without(steps, at(steps, role("unmask"))) : null)),
  },
  {
    kind: "powder not locked",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        steps.some(product("loose-glitter", "effect-powder")) && steps.filter(role("seal")).length < 2 ? without(steps, at(steps, role("lock"))) : null,
      ),
  },
  {
    kind: "varnish brushed over shimmer watercolour",
    spoil: (zones, _piece, pick) =>
      inOne(zones, pick, (steps) =>
        steps.some(product("metallic-watercolour")) && !steps.some(role("lock"))
          ? withStep(steps, at(steps, role("seal")), { product: productId("acrylic-varnish"), method: "brush" })
          : null,
      ),
  },
  {
    kind: "no sealer on what is handled",
    spoil: (zones, piece, pick) =>
      piece.uses.some((use) => ["handled", "gift-or-sale", "planter", "outdoor-exposed", "serving-tray"].includes(use))
        ? inOne(zones, pick, (steps, zone) => {
            const alone = ["masonry-paint", "house-emulsion", "coating-resin"];
            return steps.some((step) => alone.includes(step.product) || step.role === "lock") || ["back", "base", "inside"].includes(zone)
              ? null
              : without(steps, at(steps, role("seal")));
          })
        : null,
  },
  {
    kind: "decoupage medium as the last coat outdoors",
    spoil: (zones, piece, pick) =>
      piece.uses.some((use) => use === "outdoor-exposed" || use === "planter" || use === "found-outdoors")
        ? inOne(zones, pick, (steps, zone) => (zone === "inside" ? null : withStep(steps, at(steps, role("seal")), { product: productId("decoupage-medium") })))
        : null,
  },
  {
    kind: "planter sealed outside, left bare inside",
    spoil: (zones, piece) =>
      piece.uses.includes("planter" as never) && piece.material === "terracotta" && zones.some((zone) => zone.zone === "inside")
        ? zones.map((zone) => (zone.zone === "inside" ? { ...zone, steps: zone.steps.filter((step) => step.role === "clean") } : zone))
        : null,
  },
  {
    kind: "dark back left unsealed on a gift",
    spoil: (zones, piece) => {
      const back = zones.find(
        (zone) =>
          (zone.zone === "back" || zone.zone === "base") &&
          zone.steps.some(role("seal")) &&
          zone.steps.some((step) => step.role === "base" && dark(step.colour)),
      );
      return back && piece.uses.includes("gift-or-sale" as never)
        ? zones.map((zone) => (zone === back ? { ...zone, steps: zone.steps.filter((step) => step.role !== "seal") } : zone))
        : null;
    },
  },
];
