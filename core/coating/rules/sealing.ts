import type { ProductClass } from "../../catalogue/product-class";
import { memory } from "../../catalogue/provenance";
import type { Wear } from "../../catalogue/use";
import type { Role } from "../../catalogue/vocabulary";
import { DARK_BELOW, lightness } from "../../film/colour";
import { MIN_PER_DAY } from "../../units/duration";
import { addAfter, addBefore, aidStep, remove, set, setPiece, swap, waitFix } from "../fixes";
import { coversField, films, filmsBelow, has, isClear, isColour, isFilm, isLoose, isWorkedWet, lastFilm, withRole } from "../facts";
import type { StackFacts, StepFact } from "../facts";
import { stepWord } from "../judge";
import type { Rule } from "../rule";
import { bodyDryMin, leastWaitMin, waitedBetween } from "../waits";
import { asChange, clears, isBaked, isOutdoors, onBare, rulesUnder, seals, shortWait, suitable, under } from "./help";

const WEAR_WORDS: Record<Wear, string> = {
  wipe: "wiping",
  rub: "rubbing",
  weather: "rain and sun",
  "wet-soil": "wet soil",
  washing: "washing up",
  "wet-rings": "wet rings",
};

/** Wears this stack's colours and last film do not stand, in the order of the use. */
function unmetWears(stack: StackFacts): readonly Wear[] {
  const last = lastFilm(stack);
  if (!last) return [];
  if (isClear(last)) return stack.zone.wears.filter((wear) => last.product!.resists[wear] === undefined);
  const colours = films(stack).filter((fact) => isColour(fact) && fact.step.technique !== "crystals");
  return stack.zone.wears.filter((wear) => !colours.every((fact) => standsAlone(stack, fact.product!, wear)));
}

function standsAlone(stack: StackFacts, product: ProductClass, wear: Wear): boolean {
  // What stands washing up does so on glaze and glass; on a ground, the ground is the weak layer.
  if (wear === "washing" && stack.material.surface !== "slick") return false;
  return (isBaked(stack) && product.bakeable ? product.standsAloneBaked[wear] : product.standsAlone[wear]) !== undefined;
}

/** Steps that could stand between a colour and its wear. */
const CLEAR_ROLES: readonly Role[] = ["isolate", "lock", "seal", "heat-set", "fire"];

/** A sealer for everything this zone meets; a spray where water would lift what is below. */
function sealerFor(stack: StackFacts): ProductClass | null {
  const lifts = films(stack).some((fact) => fact.product!.rewettable || fact.product!.traits.includes("ink"));
  return suitable(
    stack,
    (product) =>
      (product.jobs.includes("seal") || product.jobs.includes("inside-seal")) &&
      stack.zone.wears.every((wear) => product.resists[wear] !== undefined) &&
      (!lifts || product.methods[0] === "spray") &&
      !product.traits.includes("two-part"),
  );
}

function sealOver(stack: StackFacts, last: StepFact) {
  // A clear film over marks alone would lie on the bare glaze between them, and lift.
  if (stack.material.surface === "slick" && !films(stack).some(coversField)) return [];
  return asChange(sealerFor(stack), (id) => {
    const product = stack.catalogue.products.get(id)!;
    if (isClear(last) && last.step.role === "seal")
      return swap(last, id, { coats: product.coats, sheen: product.sheens.includes(stack.piece.finish) ? stack.piece.finish : product.sheens[0] });
    // After whatever is still to come off, never over it.
    const anchor = [...withRole(stack, "unmark", "unmask", "sign"), last].sort((a, b) => a.index - b.index).at(-1)!;
    return addAfter(stack, anchor, {
      role: "seal",
      product: id,
      coats: product.coats,
      ...(product.sheens[0] ? { sheen: product.sheens.includes(stack.piece.finish) ? stack.piece.finish : product.sheens[0] } : {}),
    });
  });
}

/** Months a clear sealer keeps once it is open. */
const CLEARS_KEEP = memory(24);
/** Dry film, µm, that the seat of an ordinary lid takes on both sides together. */
const SEAT_TAKES = memory(200);

const AT_HOME: readonly Wear[] = ["wipe"];

export const SEALING_RULES: readonly Rule[] = rulesUnder("Locking and sealing", [
  {
    code: "brush-over-rewettable",
    severity: "stop",
    when: "anything wet is brushed over a layer that stays water-soluble",
    message: "{step} brushed over {under} takes it off",
    why: "the layer below dissolves again in water and comes away with the brush",
    fix: "Mist a solvent-borne clear spray over it first, or instead.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const below = [...filmsBelow(stack, fact)].reverse();
        const stopAt = below.findIndex((lower) => has(lower, "lock") && lower.product!.methods[0] === "spray");
        const bare = (stopAt < 0 ? below : below.slice(0, stopAt)).find((lower) => lower.product!.rewettable || lower.product!.traits.includes("ink"));
        if (!bare || !isWorkedWet(fact) || fact.product!.rewettable) return [];
        const severity = bare.product!.rewettable ? ("stop" as const) : ("warn" as const);
        const spray = suitable(
          stack,
          (product) =>
            product.jobs.includes("lock") &&
            product.methods[0] === "spray" &&
            (!isClear(fact) || stack.zone.wears.every((wear) => product.resists[wear] !== undefined)),
        );
        return [
          {
            at: fact,
            culprits: [fact, bare],
            words: under(bare, stack),
            severity,
            change: asChange(spray, (id) => (isClear(fact) ? swap(fact, id, { coats: 3 }) : addBefore(stack, fact, { role: "lock", product: id, coats: 2 }))),
          },
        ];
      }),
  },
  {
    code: "solvent-lifts",
    when: "a solvent spray or resin goes over pens before they are dry through",
    message: "{step} may dissolve {under}",
    why: "a wet pass of solvent moves ink and crazes young acrylic",
    fix: "Wait a day; then two or three dry, misty passes from a distance; test on a scrap.",
    find: (stack) =>
      films(stack)
        .filter((fact) => isClear(fact) && fact.product!.carrier !== "water" && !isLoose(fact))
        .flatMap((fact) =>
          filmsBelow(stack, fact)
            .filter((lower) => lower.product!.methods[0] === "pen")
            .slice(-1)
            .flatMap((lower) =>
              shortWait(stack, lower, fact, lower.product!.drying.through?.typical ?? MIN_PER_DAY, (short) => ({
                words: under(lower, stack),
                change: waitFix(fact, short, "dry-through"),
              })),
            ),
        ),
  },
  {
    code: "window-shut",
    when: "the next coat comes after the product's recoat window has shut",
    message: "{step} comes too late over {under}",
    why: "it has hardened past the point where the next coat bites into it",
    fix: "Wash it and scuff it dull first.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const lower = filmsBelow(stack, fact).at(-1);
        const until = lower?.product?.drying.recoat?.untilMin ?? null;
        if (
          !lower ||
          until === null ||
          (has(lower, "fill") && lower.step.role === "fill" && stack.steps.slice(lower.index, fact.index).some((one) => one.aid?.givesKey))
        )
          return [];
        const waited = waitedBetween(stack, lower, fact);
        if (waited === undefined || waited <= until) return [];
        const reopens = lower.product!.drying.through?.typical ?? Infinity;
        const scuffed = stack.steps.slice(lower.index, fact.index).some((one) => one.aid?.givesKey);
        if (scuffed || waited >= reopens * 0.75) return [];
        return [
          {
            at: fact,
            culprits: [lower, fact],
            missing: ["sand", "isolate", "mark", "lock"],
            words: under(lower, stack),
            change: [...addBefore(stack, fact, aidStep("sand", "scuffing")), ...addBefore(stack, fact, aidStep("dust-off", "dry-brush"))],
          },
        ];
      }),
  },
  {
    code: "late-coat-unsealed",
    when: "a coat added after the seal meets wear or wet",
    message: "{step} is added after the seal on the {zone} and has none of its own",
    why: "it is the one place left that rubs and wets off",
    fix: "Give it its own seal.",
    find: (stack) => {
      const seal = seals(stack).at(-1);
      const late = films(stack)
        .filter((fact) => seal && fact.index > seal.index && isColour(fact) && !isLoose(fact))
        .at(-1);
      if (!seal || !late || stack.zone.wears.length === 0) return [];
      return [
        {
          at: late,
          change: addAfter(stack, late, {
            role: "seal",
            product: seal.step.product,
            ...(seal.step.sheen ? { sheen: seal.step.sheen } : {}),
            coats: seal.step.coats ?? seal.product!.coats,
          }),
        },
      ];
    },
  },
  {
    code: "loose-not-locked",
    severity: "stop",
    when: "glitter or powder is not locked before the last seal",
    message: "{step} on the {zone} is not locked before the last seal",
    why: "the sealer's brush or spray carries loose particles all over the piece",
    fix: "Lay a thin size coat over it and let it dry; crystals go on after the last coat.",
    find: (stack) =>
      films(stack)
        .filter((fact) => isLoose(fact) && fact.step.technique !== "crystals")
        .flatMap((fact) => {
          const above = clears(stack).filter((over) => over.index > fact.index);
          const locked = above.some((over) => over.step.role !== "seal") || above.length > 1;
          if (locked) return [];
          const wetBelow = filmsBelow(stack, fact).some((below) => below.product!.rewettable);
          // With no seal above it the lock is the last film, and has to stand what the zone meets.
          const isLast = !seals(stack).some((seal) => seal.index > fact.index);
          const stands = (product: ProductClass) => !isLast || stack.zone.wears.every((wear) => product.resists[wear] !== undefined);
          const lock = suitable(stack, (product) => product.jobs.includes("lock") && (!wetBelow || product.methods[0] === "spray") && stands(product));
          return [{ at: fact, change: asChange(lock, (id) => addAfter(stack, fact, { role: "lock", product: id, coats: 1 })) }];
        }),
  },
  {
    code: "seal-too-early",
    when: "a sealer goes on before the thickest mark is dry through",
    message: "{step} goes on before {under} is dry right through",
    why: "water and solvent shut in under a clear film cloud it and keep it soft",
    fix: "Wait a full day or two; the thickest mark decides.",
    find: (stack) =>
      seals(stack).flatMap((seal) => {
        const outstanding = (lower: StepFact) => (leastWaitMin(seal, lower, stack) ?? 0) - (waitedBetween(stack, lower, seal) ?? 0);
        const [slowest] = filmsBelow(stack, seal)
          .filter((lower) => isColour(lower) && !isLoose(lower))
          .sort((a, b) => outstanding(b) - outstanding(a));
        if (!slowest) return [];
        return shortWait(stack, slowest, seal, leastWaitMin(seal, slowest, stack) ?? 0, (short) => ({
          words: under(slowest, stack),
          change: waitFix(seal, short, "dry-through"),
        }));
      }),
  },
  {
    code: "resin-darkens-bare",
    when: "resin or gloss lies on bare stone that is to stay light",
    message: "{step} will darken the bare {material}",
    why: "any clear film fills the pores, as water does, and the stone looks wet",
    fix: "Size it first, which keeps it lighter (test on the back), or lay an opaque ground under the motif.",
    provenance: { kind: "published", source: "Lekner & Dorf, Why some things are darker when wet, 1988; the size as a remedy is common practice" },
    find: (stack) => {
      if (!stack.material.traits.includes("darkens-under-film")) return [];
      const bare = onBare(stack).find(
        (fact) =>
          isClear(fact) &&
          fact.step.role !== "size" &&
          !films(stack).some((above) => above.index > fact.index && coversField(above) && (isColour(above) || above.product!.traits.includes("pale"))),
      );
      const sized = onBare(stack).find((fact) => fact.step.role === "size" && !fact.product!.traits.includes("pale"));
      const shiny = (fact: StepFact) => fact.step.sheen === "gloss" || fact.product!.traits.includes("two-part");
      const over = sized && stack.piece.decoration.baseColour === null ? seals(stack).filter(shiny).at(-1) : undefined;
      if (!bare) return over ? [{ at: over, severity: "note" as const }] : [];
      const glossy = shiny(bare);
      const anchor = films(stack)[0]!;
      const size = suitable(stack, (product) => product.jobs.includes("size") && !product.traits.includes("pale"));
      return [
        {
          at: bare,
          severity: glossy ? ("warn" as const) : ("note" as const),
          change: asChange(size, (id) => addBefore(stack, anchor, { role: "size", product: id, coats: 1 })),
        },
      ];
    },
  },
  {
    code: "resin-over-damp",
    severity: "stop",
    when: "resin goes over a piece that is not dry",
    message: "{step} goes over the {zone} while it is still damp",
    why: "resin turns milky on damp, and water under it lifts it off",
    fix: "Let it dry right through first.",
    find: (stack) =>
      films(stack)
        .filter((fact) => fact.product!.traits.includes("two-part"))
        .flatMap((fact) => {
          const wetted = stack.steps
            .slice(0, fact.index)
            .filter((lower) => lower.aid && lower.aid.wets !== "no")
            .at(-1);
          if (!wetted) return [];
          const needed = bodyDryMin(stack, wetted, "typical");
          return shortWait(stack, wetted, fact, needed / 2, () => ({ change: waitFix(fact, needed, "dry-body") }));
        }),
  },
  {
    code: "resin-in-sun",
    when: "resin stands outdoors or in the sun",
    message: "{step} will yellow in the sun",
    why: "daylight breaks the resin down; a UV varnish over it only slows it",
    fix: "Use an outdoor varnish instead.",
    find: (stack) =>
      stack.uses.some((use) => use.sun)
        ? films(stack)
            .filter((fact) => fact.product!.traits.includes("yellows-in-sun"))
            .map((fact) => ({
              at: fact,
              culprits: [fact],
              change: asChange(sealerFor(stack), (id) => swap(fact, id, { coats: stack.catalogue.products.get(id)!.coats })),
            }))
        : [],
  },
  {
    code: "not-weatherproof",
    severity: "stop",
    when: "decoupage medium or an indoor varnish is the last coat outdoors or on a planter",
    message: "{step} is the last coat on the {zone}, and it does not stand the wet",
    why: "it whitens, softens and peels in rain or over damp soil",
    fix: "Finish with an outdoor varnish or a clear spray.",
    find: (stack) => {
      const last = lastFilm(stack);
      if (!last || !isClear(last) || !stack.zone.wears.includes("weather") || last.product!.weatherproof) return [];
      return [{ at: last, change: sealOver(stack, last) }];
    },
  },
  {
    code: "unsealed-wear",
    when: "a zone that is handled, washed or outdoors has no film made for it",
    message: "{step} is the last coat on the {zone} and is not made for {wear}",
    why: "colour on its own wears through where it is touched or wetted",
    fix: "Put a sealer over it that is made for it.",
    find: (stack) => {
      const last = lastFilm(stack);
      const unmet = unmetWears(stack).filter((wear) => !AT_HOME.includes(wear));
      const wear = unmet[0];
      if (!last || !wear || (stack.zone.template.exposure === "underside" && !isClear(last) && wear === "rub")) return [];
      if (wear === "weather" && isClear(last) && !last.product!.weatherproof) return [];
      const sealable = isClear(last) || !unmet.includes("washing");
      const weak = isClear(last)
        ? [last]
        : films(stack)
            .filter((fact) => isColour(fact) && !standsAlone(stack, fact.product!, wear))
            .slice(0, 1);
      return [
        {
          at: last,
          ...(isClear(last) && last.step.role !== "seal" ? {} : { culprits: weak, missing: isClear(last) ? [] : CLEAR_ROLES }),
          words: { wear: WEAR_WORDS[wear] },
          severity: unmet.includes("washing") ? ("stop" as const) : ("warn" as const),
          change: sealable ? sealOver(stack, last) : [],
        },
      ];
    },
  },
  {
    code: "back-rubs-off",
    when: "a dark, unsealed underside stands on a table or goes to someone",
    message: "the dark {zone} is not sealed",
    why: "dark paint rubs off on tables and hands",
    fix: "Seal the back first, before the top is begun.",
    find: (stack) => {
      const last = lastFilm(stack);
      if (!last || stack.zone.template.exposure !== "underside" || isClear(last)) return [];
      const dark = films(stack).some((fact) => coversField(fact) && fact.step.colour !== undefined && lightness(fact.step.colour) < DARK_BELOW);
      return dark && !last.product!.standsAlone.rub ? [{ at: last, culprits: [last], missing: CLEAR_ROLES, change: sealOver(stack, last) }] : [];
    },
  },
  {
    code: "sheen-fights-ground",
    severity: "note",
    when: "a matte film lies over metallics or glitter",
    message: "matte {step} will dull {under}",
    why: "matte scatters the light that makes flakes and mica shine",
    fix: "Finish in satin or gloss.",
    find: (stack) =>
      seals(stack)
        .filter((seal) => seal.step.sheen === "matte")
        .flatMap((seal) => {
          const shine = filmsBelow(stack, seal).find((lower) => lower.product!.traits.includes("shines"));
          const sheen = (["satin", "gloss"] as const).find((one) => seal.product!.sheens.includes(one));
          return shine ? [{ at: seal, words: under(shine, stack), change: sheen ? set(seal, "sheen", sheen) : [] }] : [];
        }),
  },
  {
    code: "sealed-pot-inside-bare",
    severity: "stop",
    when: "a planter is sealed outside and bare inside",
    message: "the {zone} is sealed and the inside is bare",
    why: "water from the soil moves through the wall and pushes the outside film off",
    fix: "Seal the inside too, or stand the plant in a liner pot.",
    find: (stack) => {
      const contents = stack.zones.find((zone) => zone.template.exposure === "contents" && zone.wears.includes("wet-soil"));
      const last = lastFilm(stack);
      if (
        !contents ||
        !last ||
        !stack.material.traits.includes("water-moves-through") ||
        stack.zone.template.exposure !== "seen" ||
        !stack.zone.template.decorated
      )
        return [];
      const inside = stack.others.find((other) => other.zone.zone === contents.zone);
      const wanted = stack.piece.decoration.bareZones.includes(contents.zone);
      if (!inside) return wanted ? [{ at: last, change: setPiece("decoration.bareZones", []) }] : [{ at: last, unknown: "If the inside is left bare" }];
      if (films(inside).some((fact) => fact.product!.resists["wet-soil"])) return [];
      const sealer = suitable(stack, (product) => product.resists["wet-soil"] !== undefined && product.grips.includes(stack.material.surface));
      const inFilm = lastFilm(inside);
      return [
        {
          at: last,
          change: asChange(sealer, (id) => [
            { op: "add", zone: contents.zone, at: inFilm ? { after: inFilm.step.id } : { start: true }, step: { role: "seal", product: id, coats: 2 } },
          ]),
        },
      ];
    },
  },
  {
    code: "freeze-thaw",
    ofPiece: true,
    when: "terracotta stands out in frost",
    message: "frost can split {piece}, whatever is on it",
    why: "water in the wall swells as it freezes; no coating keeps it all out",
    fix: "Bring it in before the first frost.",
    find: (stack) => (stack.material.traits.includes("frost-shatters") && isOutdoors(stack) && lastFilm(stack) ? [{ at: null }] : []),
  },
  {
    code: "glue-on-film",
    when: "a part is glued on paint or varnish",
    message: "{step} goes on {under}, not on the bare {material}",
    why: "the joint is only as strong as the film under the glue",
    fix: "Keep a flat spot bare for the glue, and glue after sealing.",
    find: (stack) =>
      withRole(stack, "assemble").flatMap((fact) => {
        const below = filmsBelow(stack, fact).at(-1);
        // An act of the whole piece is done on the spot that was kept bare, not on this zone.
        if (fact.step.group !== undefined && stack.zone.template.exposure !== "joint") return [];
        return fact.aid && below ? [{ at: fact, words: under(below, stack), change: remove(fact) }] : [];
      }),
  },
  {
    code: "coat-over-coat-unused",
    severity: "note",
    when: "two different sealers of the same kind are brushed one over the other",
    message: "{step} goes over {under}, which already does its work",
    why: "a second product adds work and shopping, and the two may not like each other",
    fix: "Leave one of them out.",
    find: (stack) => {
      const sealed = seals(stack).filter((fact) => isFilm(fact) && !isLoose(fact));
      const [lower, upper] = [sealed.at(-2), sealed.at(-1)];
      if (!lower || !upper || lower.step.product === upper.step.product || lower.product!.methods[0] !== upper.product!.methods[0]) return [];
      return upper.index === lower.index + 1 ? [{ at: upper, words: { under: stepWord(lower, stack) }, change: remove(lower) }] : [];
    },
  },
  {
    code: "gypsum-wet-use",
    severity: "stop",
    ofPiece: true,
    when: "gypsum stands in wet soil, outdoors, or is washed",
    message: "{material} does not stand water: {piece} would soften and crumble",
    why: "gypsum dissolves in water, about 2 g in a litre, and no film keeps all of it out",
    fix: "Cast it in cement, or keep it dry and indoors.",
    provenance: { kind: "published", source: "solubility of CaSO4·2H2O, about 2 g/L: CRC Handbook of Chemistry and Physics" },
    find: (stack) => {
      const wet = stack.zones.some((zone) => zone.wears.some((wear) => wear === "weather" || wear === "wet-soil" || wear === "washing"));
      return wet && stack.material.traits.includes("dissolves") && lastFilm(stack)
        ? [{ at: null, culprits: [], change: setPiece("material", "concrete-cast") }]
        : [];
    },
  },
  {
    code: "old-sealer",
    severity: "note",
    when: "a clear sealer was opened longer ago than it keeps",
    message: "{step} has been open for {months} months",
    why: "an old clear sealer may look yellow wet and still dry clear, or may not",
    fix: "Try it on a light scrap and let it dry before you judge it.",
    find: (stack) =>
      clears(stack)
        .filter((fact) => (fact.product!.own?.openedMonths ?? 0) > CLEARS_KEEP.value)
        .map((fact) => ({ at: fact, words: { months: String(fact.product!.own!.openedMonths) } })),
  },
  {
    code: "lid-seat-tight",
    severity: "note",
    when: "a lid and its box are both coated thickly where they meet",
    message: "coats on lid and box build up where the lid sits",
    why: "two films meet in the seat; a tight lid sticks, and pulls paint off when it is opened",
    fix: "Keep the seat bare, or thin there; wax it when all is hard.",
    find: (stack) => {
      const box = stack.others.find((other) => other.zone.zone === "body");
      if (stack.zone.zone !== "lid" || !box) return [];
      const build = (one: StackFacts) =>
        films(one).reduce(
          (sum, fact) => sum + ((fact.product!.film.wetMicrons ?? 0) * (fact.product!.film.volumeSolidsPercent ?? 0) * (fact.step.coats ?? 1)) / 100,
          0,
        );
      return build(stack) + build(box) > SEAT_TAKES.value ? [{ at: lastFilm(stack) }] : [];
    },
  },
]);
