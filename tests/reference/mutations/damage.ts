/** Ways in which sound plans go wrong at the table. Written from what people do, not from what the rules look for. */
import { productId } from "#core/catalogue/ids";
import type { Role, ZoneId } from "#core/catalogue/vocabulary";
import type { StepChoice, ZoneSteps } from "#core/coating/plan";
import type { CompletePiece } from "#core/piece/piece";

export type Zones = readonly ZoneSteps<StepChoice>[];

export interface Damage {
  readonly kind: string;
  /** Null where this plan offers no chance for it. `pick` draws a number below a count. */
  readonly spoil: (zones: Zones, piece: CompletePiece, pick: (count: number) => number) => Zones | null;
}

type Steps = readonly StepChoice[];

/** Spoils one zone in which it can happen. */
function inOne(zones: Zones, pick: (count: number) => number, change: (steps: Steps, zone: ZoneId) => Steps | null): Zones | null {
  const open = zones.flatMap((zone) => {
    const steps = change(zone.steps, zone.zone);
    return steps ? [{ zone: zone.zone, steps }] : [];
  });
  const chosen = open[pick(Math.max(1, open.length))];
  return chosen ? zones.map((zone) => (zone.zone === chosen.zone ? { ...zone, steps: chosen.steps } : zone)) : null;
}

const at = (steps: Steps, fits: (step: StepChoice) => boolean) => steps.findIndex(fits);
const without = (steps: Steps, index: number) => (index < 0 ? null : steps.filter((_step, other) => other !== index));
const withStep = (steps: Steps, index: number, more: Partial<StepChoice>) =>
  index < 0 ? null : steps.map((step, other) => (other === index ? { ...step, ...more } : step));
const inserted = (steps: Steps, index: number, step: StepChoice) => (index < 0 ? null : [...steps.slice(0, index), step, ...steps.slice(index)]);
const role =
  (...roles: Role[]) =>
  (step: StepChoice) =>
    roles.includes(step.role);
const product =
  (...ids: string[]) =>
  (step: StepChoice) =>
    ids.includes(step.product);

let made = 0;
function fresh(role: Role, id: string, more: Partial<StepChoice> = {}): StepChoice {
  made += 1;
  return {
    id: `spoilt.${made}` as StepChoice["id"],
    role,
    product: productId(id),
    coats: 1,
    origin: "hers",
    because: [],
    checks: [],
    waitBefore: { min: 24 * 60, until: "dry-through", set: "hers" },
    ...more,
  };
}

const HURRIED = { min: 2, until: "dry-to-recoat", set: "hers" } as const;
const hurry = (steps: Steps, index: number) => withStep(steps, index, { waitBefore: HURRIED });
/** No wait at all from one step to another. */
function hurryAll(steps: Steps, from: number, to: number): Steps | null {
  return to < 0 || from > to ? null : steps.map((step, index) => (index >= from && index <= to ? { ...step, waitBefore: HURRIED } : step));
}
const SOLVENT: readonly string[] = ["spray-paint", "solvent-enamel"];
const FILMS: Role[] = ["size", "prime", "base", "isolate", "decorate", "lock", "seal"];
const damp = (id: string) => ["water-wash", "soap-wash", "fresh-water-soak", "constant-weight"].includes(id);

export const DAMAGES: readonly Damage[] = [
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
        steps.some(role("fill")) && steps.some((step) => step.role === "base" && !SOLVENT.includes(step.product))
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
            steps.some(product("scuffing"))
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
        const chalk = steps.some(product("chalk-pencil", "charcoal-pencil"));
        if (off < 0 || seal < off || !chalk) return null;
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
        steps.some(product("metallic-watercolour"))
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

function dark(colour: string | undefined): boolean {
  return colour !== undefined && [1, 3, 5].reduce((sum, from) => sum + parseInt(colour.slice(from, from + 2), 16), 0) < 260;
}

/** Spoils every zone alike: what is done to the whole piece. */
function whole(zones: Zones, change: (steps: Steps) => Steps | null): Zones | null {
  const spoilt = zones.map((zone) => {
    const steps = change(zone.steps);
    return steps && steps !== zone.steps ? { ...zone, steps } : zone;
  });
  return spoilt.some(
    (zone, index) =>
      zone !== zones[index] && zone.steps.length + zones[index]!.steps.length > 0 && JSON.stringify(zone.steps) !== JSON.stringify(zones[index]!.steps),
  )
    ? spoilt
    : null;
}
