import type { ProductClass } from "../../catalogue/product-class";
import { memory } from "../../catalogue/provenance";
import type { Wear } from "../../catalogue/use";
import type { Role } from "../../catalogue/vocabulary";
import { DARK_BELOW, LIGHT_ABOVE, lightness } from "../../film/colour";
import { addAfter, remove, set, swap } from "./fixes";
import { coversField, films, filmsBelow, has, isClear, isColour, isFilm, isLoose, lastFilm, withRole } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import { stepWord } from "./judge";
import type { Rule } from "./rule";
import { asChange, clears, isBaked, rulesUnder, seals, suitable, under } from "./help";

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

const AT_HOME: readonly Wear[] = ["wipe"];

export const SEALING_RULES: readonly Rule[] = rulesUnder("Locking and sealing", [
  {
    code: "suffered-before",
    severity: "note",
    provenance: { kind: "hers" },
    when: "the user's own pieces have suffered under this film from what this one meets",
    message: "{step} suffered from {wear} on {failed} of {seen} of your own pieces that you looked at",
    why: "what your own records show weighs more than what is usual; it is reckoned to wear less well here",
    fix: "Look at the other ways for one that wears longer, or try another sealer on a scrap first.",
    find: (stack) => {
      const last = lastFilm(stack);
      const learnt = last?.product?.ownWear?.find(({ wear }) => stack.zone.wears.includes(wear));
      if (!last || !learnt) return [];
      return [{ at: last, words: { wear: WEAR_WORDS[learnt.wear], failed: String(learnt.failed), seen: String(learnt.seen) } }];
    },
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
              change: () => asChange(sealerFor(stack), (id) => swap(fact, id, { coats: stack.catalogue.products.get(id)!.coats })),
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
      return [{ at: last, change: () => sealOver(stack, last) }];
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
    code: "lifts-in-the-wash",
    severity: "stop",
    when: "slick ware that is to be washed has a clear film over paint that does not stand washing by itself",
    message: "{step} lets go of the {material} in the wash, whatever lies over it",
    why: "on a slick surface a clear film holds only as far as the paint under it does; hot water and soap get under both",
    fix: "Use a paint made for it: one that is baked, or a ceramic paint.",
    find: (stack) => {
      const last = lastFilm(stack);
      if (!last || !isClear(last) || stack.material.surface !== "slick" || !stack.zone.wears.includes("washing")) return [];
      const weak = films(stack).filter((fact) => isColour(fact) && fact.step.technique !== "crystals" && !standsAlone(stack, fact.product!, "washing"));
      return weak.slice(0, 1).map((fact) => ({
        at: fact,
        culprits: [fact],
        missing: ["heat-set", "fire"] as const,
        change: () =>
          asChange(
            suitable(
              stack,
              (product) =>
                product.standsAlone.washing !== undefined &&
                (fact.step.technique === undefined ? product.jobs.includes("colour") : product.techniques.includes(fact.step.technique)),
            ),
            (id) => swap(fact, id),
          ),
      }));
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
      return dark && !last.product!.standsAlone.rub ? [{ at: last, culprits: [last], missing: CLEAR_ROLES, change: () => sealOver(stack, last) }] : [];
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
    code: "ambers-pale",
    when: "an oil finish goes over white, cream, pale blue or grey",
    message: "{step} turns the pale {under} yellow",
    why: "oil ambers as it hardens and goes on for years; over white and pale blue it is seen at once",
    fix: "Take a waterborne finish, which stays clear.",
    find: (stack) =>
      clears(stack)
        .filter((fact) => fact.product!.traits.includes("ambers"))
        .flatMap((fact) => {
          const pale = filmsBelow(stack, fact).findLast(
            (below) => isColour(below) && !has(below, "stain") && below.step.colour !== undefined && lightness(below.step.colour) > LIGHT_ABOVE,
          );
          const staysClear = (product: ProductClass) =>
            product.jobs.includes("seal") &&
            !product.traits.includes("ambers") &&
            product.methods[0] === fact.product!.methods[0] &&
            stack.zone.wears.every((wear) => product.resists[wear] !== undefined);
          // As hard as the oil one, where there is one.
          const clear = suitable(stack, (product) => staysClear(product) && product.binder === fact.product!.binder) ?? suitable(stack, staysClear);
          return pale
            ? [
                {
                  at: fact,
                  culprits: [fact, pale],
                  words: under(pale, stack),
                  change: () => asChange(clear, (id) => swap(fact, id, { coats: stack.catalogue.products.get(id)!.coats })),
                },
              ]
            : [];
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
]);
