import type { ProductClass } from "../../catalogue/product-class";
import { memory } from "../../catalogue/provenance";
import { SHEEN_WORDS } from "../../catalogue/vocabulary";
import { coatsWanted } from "../facts/coats-wanted";
import { coatsToHide, grinning, GRINS_FROM, MOST_COATS, seen } from "../../film/hiding";
import type { HidingFilm } from "../../film/hiding";
import type { Spectrum } from "../../film/spectrum";
import { colourDifference, DARK_BELOW, lightness, LIGHT_ABOVE, PALE_GROUND } from "../../film/colour";
import type { Change } from "../model/change";
import { addBefore, set, swap } from "./fixes";
import { colourBeneath, coversField, films, hidingFilm, spectrumBeneath, filmsBelow, isClear, isColour, isFilm, isLoose, isWaterborne } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import { differenceInWords, jarFor, nearestJar } from "../facts/jars";
import type { Rule } from "./rule";
import { another, asChange, rulesUnder, suitable } from "./help";

/** ΔE00 a mark needs against its ground, and |ΔL*| for lettering [from memory]. */
const MARK_CONTRAST = memory(10);
const LETTER_CONTRAST = memory(20);

/** A white ground that holds here. */
function whiteGround(stack: StackFacts): ProductClass | null {
  return suitable(
    stack,
    (product) => product.jobs.includes("white-ground") && product.grips.includes(stack.material.surface) && product.film.contrastRatio !== null,
  );
}

/** A white coat under a field of colour, and the coats the colour then takes; null where that is not fewer in all. */
function underlay(
  stack: StackFacts,
  fact: StepFact,
  film: HidingFilm,
  beneath: Spectrum,
  enough: number,
): { readonly coats: number; readonly change: readonly Change[] } | null {
  const white = whiteGround(stack);
  if (!white || !coversField(fact) || filmsBelow(stack, fact).some((below) => below.product!.traits.includes("pale"))) return null;
  const ground = seen({ colour: PALE_GROUND, contrastRatio: white.film.contrastRatio!, coats: 1 }, beneath);
  const coats = Math.max(fact.product!.coats, coatsToHide(film.colour, film.contrastRatio, ground));
  if (coats + 1 >= enough) return null;
  return { coats, change: [...addBefore(stack, fact, { role: "prime", product: white.id, coats: 1 }), ...set(fact, "coats", coats)] };
}

/** Whether a colour hides, shows, lasts and reads. */
export const COLOUR_RULES: readonly Rule[] = rulesUnder("Ground and colour", [
  {
    code: "coats-do-not-hide",
    metByPlanning: true,
    when: "a field of colour has fewer coats than it needs over what is beneath",
    message: "{coats} of {step} will let the ground grin through: it takes {enough}",
    why: "the colour is not opaque enough to cover what lies under it in so few coats",
    fix: "Give it the coats it takes, or a white underlay first, whichever is fewer.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const { coats } = fact.step;
        const wanted = coatsWanted(stack, fact);
        if (coats === undefined || !wanted || coats >= wanted.laid) return [];
        const film = { ...hidingFilm(fact)!, coats };
        const beneath = spectrumBeneath(stack, fact);
        const { enough, laid } = wanted;
        const words = {
          coats: coats === 1 ? "one coat" : `${coats} coats`,
          enough: enough >= MOST_COATS && laid === enough ? "more than anyone lays" : String(laid),
        };
        const plain = coversField(fact) && grinning(film, beneath) >= GRINS_FROM.value;
        const change = underlay(stack, fact, film, beneath, enough)?.change ?? set(fact, "coats", laid);
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
        const { coats } = fact.step;
        const wanted = coatsWanted(stack, fact);
        if (coats === undefined || !wanted || coats < wanted.enough) return [];
        const saved = underlay(stack, fact, hidingFilm(fact)!, spectrumBeneath(stack, fact), wanted.enough);
        return saved ? [{ at: fact, words: { coats: String(coats), fewer: String(saved.coats) }, change: saved.change }] : [];
      }),
  },
  {
    code: "colour-not-owned",
    severity: "note",
    when: "the user owns paint of this class, but none in this colour or sheen",
    message: "you own no {step} in this {what}: it is missing from your shelf",
    why: "the nearest you have is {jar}, which is {difference}",
    fix: "Buy it, mix it, or take {jar} and see on a scrap if you like it.",
    find: (stack) =>
      films(stack).flatMap((fact) => {
        const { colour, sheen, done } = fact.step;
        const { own } = fact.product!;
        if (!own || done || jarFor(fact.product!, fact.step)) return [];
        const severity = stack.piece.constraints.shelfOnly ? ("warn" as const) : ("note" as const);
        const near = nearestJar(fact.product!, fact.step);
        if (near && colour !== undefined && near.jar.colour !== null) {
          const words = { what: "colour", jar: near.jar.name, difference: differenceInWords(near.jar.colour, colour) };
          return [{ at: fact, words, severity, change: set(fact, "colour", near.jar.colour) }];
        }
        const [jar] = own.jars;
        const other = jar?.product.sheens[0];
        if (near || !jar || other === undefined || sheen === undefined) return [];
        return [{ at: fact, words: { what: "sheen", jar: jar.name, difference: SHEEN_WORDS[other] }, severity, change: set(fact, "sheen", other) }];
      }),
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
              change: () =>
                asChange(
                  another(stack, fact, (product) => !product.traits.includes("fades-in-sun") && product.weatherproof),
                  (id) => swap(fact, id),
                ),
            }))
        : [],
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
          // Through clear glass the mark is seen against whatever stands behind it.
          if (stack.material.traits.includes("see-through") && !filmsBelow(stack, fact).some(coversField)) return false;
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
