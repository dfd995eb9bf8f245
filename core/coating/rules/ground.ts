import { BODIES } from "../../catalogue/product-class";
import type { ProductClass } from "../../catalogue/product-class";
import { productId } from "../../catalogue/ids";
import { memory } from "../../catalogue/provenance";
import { coatsToHide, grinning, GRINS_FROM, MOST_COATS, seen } from "../../film/hiding";
import type { HidingFilm } from "../../film/hiding";
import type { Spectrum } from "../../film/spectrum";
import { colourDifference, DARK_BELOW, lightness, LIGHT_ABOVE } from "../../film/colour";
import type { Change } from "../change";
import { addBefore, remove, set, swap, waitFix } from "../fixes";
import {
  colourBeneath,
  coversField,
  films,
  hidingFilm,
  isFineLine,
  PALE_GROUND,
  spectrumBeneath,
  filmsBelow,
  has,
  isClear,
  isColour,
  isFilm,
  isLoose,
  isWaterborne,
  withRole,
} from "../facts";
import type { StackFacts, StepFact } from "../facts";
import { crossesOilAndWater, leastWaitMin } from "../waits";
import type { Rule } from "../rule";
import { asChange, isBaked, onBare, rulesUnder, shortWait, suitable, under } from "./help";

/** ΔE00 a mark needs against its ground, and |ΔL*| for lettering [from memory]. */
const MARK_CONTRAST = memory(10);
const LETTER_CONTRAST = memory(20);

/** Another class that does the same work with the same technique on this surface. */
function another(stack: StackFacts, fact: StepFact, fits: (product: ProductClass) => boolean): ProductClass | null {
  const { technique, role } = fact.step;
  return suitable(
    stack,
    (product) =>
      product.id !== fact.step.product &&
      product.grips.includes(stack.material.surface === "slick" ? "slick" : stack.material.surface) &&
      fits(product) &&
      (technique === undefined
        ? product.jobs.includes(role === "base" ? "colour" : "decorate")
        : product.techniques.includes(technique) && product.jobs.includes("decorate")),
  );
}

/** Nobody goes over a motif, nor over a drawn line, more often than this [judgement of this project]. */
const MOTIF_COATS = 4;
const LINE_COATS = 2;

/** A white ground that holds here. */
function whiteGround(stack: StackFacts): ProductClass | null {
  return suitable(
    stack,
    (product) => product.jobs.includes("white-ground") && product.grips.includes(stack.material.surface) && product.film.contrastRatio !== null,
  );
}

/** A white coat under a colour and the coats it then takes, where that is fewer in all. */
function underlaid(stack: StackFacts, fact: StepFact, film: HidingFilm, beneath: Spectrum, enough: number): readonly Change[] | null {
  const white = whiteGround(stack);
  if (!white || !coversField(fact) || filmsBelow(stack, fact).some((below) => below.product!.traits.includes("pale"))) return null;
  const ground = seen({ colour: PALE_GROUND, contrastRatio: white.film.contrastRatio!, coats: 1 }, beneath);
  const coats = Math.max(fact.product!.coats, coatsToHide(film.colour, film.contrastRatio, ground));
  return coats + 1 < enough ? [...addBefore(stack, fact, { role: "prime", product: white.id, coats: 1 }), ...set(fact, "coats", coats)] : null;
}

const holdsDot = (product: ProductClass) => product.film.body !== null && BODIES.indexOf(product.film.body) >= BODIES.indexOf("soft-dot");

/** Binder crossings, in one direction or the other. */
function crossing(stack: StackFacts, oilOnTop: boolean) {
  return films(stack).flatMap((upper) =>
    filmsBelow(stack, upper)
      .filter((lower) => crossesOilAndWater(upper, lower) && (upper.product!.drying.by === "oxidation") === oilOnTop)
      .slice(-1)
      .flatMap((lower) =>
        shortWait(stack, lower, upper, leastWaitMin(upper, lower, stack) ?? 0, (short) => ({
          words: under(lower, stack),
          change: waitFix(upper, short, "dry-through"),
        })),
      ),
  );
}

export const GROUND_RULES: readonly Rule[] = rulesUnder("Ground and colour", [
  {
    code: "thin-on-thirsty",
    severity: "stop",
    when: "thin art paint goes on a bare porous surface",
    message: "{step} is made for paper; the bare {zone} will drink it",
    why: "its little binder sinks in with the water and leaves powder",
    fix: "Prime first, or use a paint made for porous surfaces.",
    find: (stack) =>
      onBare(stack)
        .filter((fact) => fact.product!.traits.includes("for-paper") && stack.material.absorbency.value !== "none")
        .map((fact) => ({
          at: fact,
          change: asChange(
            suitable(stack, (product) => product.jobs.includes("ground") && product.grips.includes(stack.material.surface)),
            (id) => addBefore(stack, fact, { role: "prime", product: id, coats: 1 }),
          ),
        })),
  },
  {
    code: "stain-over-film",
    severity: "stop",
    when: "a stain goes over a primer or a paint",
    message: "{step} goes over {under} and cannot sink in",
    why: "a stain colours by soaking into bare wood; on a film it only smears",
    fix: "Leave out what lies under it.",
    find: (stack) =>
      films(stack)
        .filter((fact) => has(fact, "stain"))
        .flatMap((fact) => {
          const below = filmsBelow(stack, fact).find((lower) => !has(lower, "fill") && !has(lower, "stain"));
          return below ? [{ at: fact, culprits: [fact, below], words: under(below, stack), change: remove(below) }] : [];
        }),
  },
  {
    code: "not-durable-paint",
    severity: "stop",
    when: "poster paint is used on anything kept or handled",
    message: "{step} on the {zone} never sets",
    why: "it dusts off on hands and washes off with the first drop",
    fix: "Use another paint.",
    find: (stack) =>
      stack.uses.some((use) => use.kept)
        ? films(stack)
            .filter((fact) => fact.product!.traits.includes("never-sets"))
            .map((fact) => ({
              at: fact,
              culprits: [fact],
              change: asChange(
                another(stack, fact, (product) => !product.traits.includes("never-sets") && !product.rewettable),
                (id) => swap(fact, id),
              ),
            }))
        : [],
  },
  {
    code: "primer-on-bake-route",
    when: "a ground lies under paint that is baked on glass or glaze",
    message: "{step} keeps the baked paint from the {material}",
    why: "baked paint grips the glaze itself; a ground in between is the weak layer",
    fix: "Leave it out.",
    find: (stack) =>
      isBaked(stack) && stack.material.surface === "slick"
        ? withRole(stack, "prime", "size")
            .filter(isFilm)
            .map((fact) => ({ at: fact, change: remove(fact) }))
        : [],
  },
  {
    code: "dots-run-in-grain",
    when: "thin paint is used for dots on wood",
    message: "{step} is too thin for dots on wood",
    why: "it slumps even over a base coat, and runs along bare grain",
    fix: "Take a thicker paint, loosened with a fluid medium, not with water.",
    find: (stack) =>
      stack.material.surface !== "wood"
        ? []
        : films(stack)
            .filter((fact) => fact.technique?.needsBody && fact.product!.film.body !== null && !holdsDot(fact.product!))
            .map((fact) => ({ at: fact, culprits: [fact], change: asChange(another(stack, fact, holdsDot), (id) => swap(fact, id)) })),
  },
  {
    code: "coats-do-not-hide",
    when: "a field of colour has fewer coats than it needs over what is beneath",
    message: "{coats} of {step} will let the ground grin through: it takes {enough}",
    why: "the colour is not opaque enough to cover what lies under it in so few coats",
    fix: "Give it the coats it takes, or a white underlay first, whichever is fewer.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const { coats, colour } = fact.step;
        const film = hidingFilm(fact);
        if (coats === undefined || colour === undefined || !film || !isColour(fact) || fact.step.marks || fact.technique?.while === "wet") return [];
        const beneath = spectrumBeneath(stack, fact);
        const drawn = fact.product!.methods[0] === "pen" || fact.product!.methods[0] === "tool";
        const enough = coatsToHide(colour, film.contrastRatio, beneath, drawn ? "mean" : "thin-spot");
        const field = coversField(fact);
        if (!field && fact.product!.traits.includes("needs-firing")) return [];
        if (coats >= enough || (!field && coats >= (drawn || isFineLine(fact) ? LINE_COATS : MOTIF_COATS))) return [];
        const words = { coats: coats === 1 ? "one coat" : `${coats} coats`, enough: enough >= MOST_COATS ? "more than she will lay" : String(enough) };
        const change =
          underlaid(stack, fact, film, beneath, enough) ??
          set(fact, "coats", field ? enough : Math.min(drawn || isFineLine(fact) ? LINE_COATS : MOTIF_COATS, enough));
        const plain = field && grinning({ ...film, coats }, beneath) >= GRINS_FROM.value;
        return [{ at: fact, words, change, severity: plain ? ("warn" as const) : ("note" as const) }];
      }),
  },
  {
    code: "underlay-saves",
    severity: "note",
    when: "a white underlay would save coats of a colour",
    message: "{step} takes {coats} coats here; over a white underlay it takes {fewer}",
    why: "a pale ground throws back the light that a weak colour lets through",
    fix: "Lay one coat of white first.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const film = hidingFilm(fact);
        const { coats, colour } = fact.step;
        if (!film || !colour || coats === undefined || !isColour(fact) || !coversField(fact) || fact.step.marks) return [];
        const beneath = spectrumBeneath(stack, fact);
        const enough = coatsToHide(colour, film.contrastRatio, beneath);
        const white = whiteGround(stack);
        if (!white || coats < enough || enough < 4) return [];
        const fewer = coatsToHide(colour, film.contrastRatio, seen({ colour: PALE_GROUND, contrastRatio: white.film.contrastRatio!, coats: 1 }, beneath));
        const change = underlaid(stack, fact, film, beneath, enough);
        return change && fewer + 1 < coats ? [{ at: fact, words: { coats: String(coats), fewer: String(fewer) }, change }] : [];
      }),
  },
  {
    code: "over-thinned",
    when: "water goes beyond what the paint carries",
    message: "{step} is thinned with too much water",
    why: "the binder gets lean: the film chalks and lifts",
    fix: "Thin with a fluid medium instead.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const thinning = fact.step.thinning;
        if (!thinning || thinning.with !== "water") return [];
        const limit = fact.product!.maxWaterPercent[stack.material.surface === "slick" ? "slick" : "thirsty"];
        return thinning.percent > limit
          ? [{ at: fact, change: set(fact, "thinning", { with: productId("gloss-fluid-medium"), percent: thinning.percent }) }]
          : [];
      }),
  },
  {
    code: "wet-effect-on-dry",
    when: "blending or swirling is asked over a dry coat",
    message: "{step} is to be blended, but the coat is left to dry first",
    why: "colours only run into one another while they are wet",
    fix: "Lay it and blend it in one go, while it is wet.",
    find: (stack) =>
      films(stack)
        .filter((fact) => fact.technique?.while === "wet" && fact.step.while === "dry")
        .map((fact) => ({ at: fact, change: set(fact, "while", "wet") })),
  },
  {
    code: "layer-on-wet",
    when: "a layer is laid on one that is not dry",
    message: "{step} goes on before {under} has dried",
    why: "the wet coat drags, and the solvent in the new one is shut in",
    fix: "Wait until it can be coated again.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const lower = filmsBelow(stack, fact)
          .filter((below) => !isLoose(below))
          .at(-1);
        if (!lower || fact.step.while === "wet" || has(lower, "fill") || fact.step.role === "seal" || crossesOilAndWater(fact, lower)) return [];
        return shortWait(stack, lower, fact, leastWaitMin(fact, lower, stack) ?? 0, (short) => ({
          words: under(lower, stack),
          change: waitFix(fact, short, "dry-to-recoat"),
        }));
      }),
  },
  {
    code: "water-over-oil-early",
    when: "a waterborne film goes over an oil one that is not dry through",
    message: "{step} goes over {under} too early",
    why: "the hard new skin cracks as the oil beneath still moves",
    fix: "Wait until the oil is dry right through.",
    find: (stack) => crossing(stack, false),
  },
  {
    code: "oil-over-water-early",
    when: "an oil film goes over a waterborne one that is not dry through",
    message: "{step} goes over {under} too early",
    why: "water still leaving lifts the oil film in blisters",
    fix: "Wait until the coat beneath is dry right through.",
    find: (stack) => crossing(stack, true),
  },
  {
    code: "marker-bleeds",
    when: "permanent marker lies under light waterborne paint or a clear film",
    message: "{step} will bleed through what goes over it",
    why: "its dye dissolves in the next wet coat and comes up as a stain",
    fix: "Draw with a pencil, or put a barrier coat over it.",
    find: (stack) =>
      stack.steps
        .filter((fact) => fact.aid?.guide?.bleeds)
        .flatMap((fact) => {
          const over = stack.steps
            .slice(fact.index + 1)
            .find(
              (film) => isFilm(film) && isWaterborne(film) && (isClear(film) || film.step.colour === undefined || lightness(film.step.colour) > LIGHT_ABOVE),
            );
          const change = swap(fact, stack.material.surface === "slick" ? "dry-erase-marker" : "graphite-pencil");
          return over ? [{ at: fact, culprits: [fact, over], change }] : [];
        }),
  },
  {
    code: "fluorescent-outdoors",
    when: "a fluorescent colour stands in sun",
    message: "{step} will fade in the sun",
    why: "its dyes break down in daylight within months; a UV varnish only slows it",
    fix: "Use an ordinary bright colour, or accept the fading.",
    find: (stack) =>
      stack.uses.some((use) => use.sun)
        ? films(stack)
            .filter((fact) => fact.product!.traits.includes("fades-in-sun"))
            .map((fact) => ({
              at: fact,
              culprits: [fact],
              change: asChange(
                another(stack, fact, (product) => !product.traits.includes("fades-in-sun") && product.weatherproof),
                (id) => swap(fact, id),
              ),
            }))
        : [],
  },
  {
    code: "film-too-thick",
    when: "an oil film or mark is thicker than it can dry",
    message: "{step} is laid too thick here",
    why: "oil dries from the skin inwards; a thick film wrinkles and stays soft",
    fix: "Use a waterborne paint for thick marks.",
    find: (stack) =>
      films(stack)
        .filter(
          (fact) =>
            fact.product!.drying.by === "oxidation" && fact.step.marks !== undefined && (fact.wetMicrons ?? 0) > (fact.product!.film.maxWetMicrons ?? Infinity),
        )
        .map((fact) => ({
          at: fact,
          culprits: [fact],
          change: asChange(
            another(stack, fact, (product) => product.drying.by === "evaporation" && holdsDot(product)),
            (id) => swap(fact, id),
          ),
        })),
  },
  {
    code: "interference-on-light",
    severity: "note",
    when: "a colour-shift colour lies on white or pale",
    message: "{step} hardly shows over a pale ground",
    why: "the shift comes from light thrown back by the mica; pale ground drowns it",
    fix: "Set a dark dot under it first.",
    find: (stack) =>
      films(stack)
        .filter((fact) => fact.product!.traits.includes("shows-on-dark") && lightness(colourBeneath(stack, fact)) > LIGHT_ABOVE)
        .map((at) => ({ at })),
  },
  {
    code: "no-contrast",
    severity: "note",
    when: "marks are too near their ground in colour",
    message: "{step} is close to the colour beneath it and will not read",
    why: "at arm's length the eye loses marks that differ so little",
    fix: "Choose a lighter or darker colour, or outline the marks.",
    find: (stack) =>
      films(stack)
        .filter((fact) => {
          const { colour, technique } = fact.step;
          if (colour === undefined || technique === undefined || coversField(fact) || !isColour(fact)) return false;
          // Flakes, mica and glitter read by their shine, not by their colour.
          if (isLoose(fact) || fact.product!.traits.includes("shines")) return false;
          const beneath = colourBeneath(stack, fact);
          if (technique === "lettering") return Math.abs(lightness(colour) - lightness(beneath)) < LETTER_CONTRAST.value;
          return colourDifference(colour, beneath) < MARK_CONTRAST.value;
        })
        .map((at) => ({ at })),
  },
  {
    code: "matte-stack",
    severity: "note",
    when: "more than two matte clear coats lie on a dark colour",
    message: "{coats} matte clear coats will cloud the dark {zone}",
    why: "the matting powder scatters light; each coat adds to the haze",
    fix: "Build with gloss, and finish with one matte coat.",
    find: (stack) => {
      const matte = films(stack).filter((fact) => isClear(fact) && fact.step.sheen === "matte");
      const coats = matte.reduce((sum, fact) => sum + (fact.step.coats ?? 1), 0);
      const last = matte.at(-1);
      if (!last || coats <= 2 || lightness(colourBeneath(stack, last)) >= DARK_BELOW) return [];
      return [{ at: last, words: { coats: String(coats) }, change: set(last, "coats", 2) }];
    },
  },
]);
