import { published } from "../../catalogue/provenance";
import { remove, swap } from "./fixes";
import { films, has, isFilm, isLoose, lastFilm } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import type { Hit, Rule } from "./rule";
import { filmsWhereBare } from "./heat";
import { asChange, heatSteps, isFired, rulesUnder, suitable, withoutOven } from "./help";

/** Another class for the same job that a child may use, put in its place; without one the step goes. */
function forChildren(stack: StackFacts, fact: StepFact): Hit {
  const jobs = fact.product?.jobs ?? [];
  const fits = suitable(
    stack,
    (product) =>
      product.childSafe &&
      product.jobs.some((job) => jobs.includes(job)) &&
      product.methods[0] === fact.product?.methods[0] &&
      (fact.step.technique === undefined || product.techniques.includes(fact.step.technique)),
  );
  return { at: fact, culprits: [fact], change: fact.product ? asChange(fits, (id) => swap(fact, id)) : remove(fact) };
}

function caution(
  code: string,
  when: string,
  message: string,
  why: string,
  fix: string,
  fires: (stack: StackFacts) => boolean,
): Omit<Rule, "heading" | "provenance"> {
  return { code, severity: "safety", ofPiece: true, when, message, why, fix, find: (stack) => (fires(stack) ? [{ at: null }] : []) };
}

const any = (stack: StackFacts, fits: (fact: StepFact) => boolean) => stack.steps.some(fits);

export const PEOPLE_RULES: readonly Rule[] = rulesUnder("People and food", [
  {
    code: "food-on-paint",
    severity: "stop",
    ofPiece: true,
    when: "something is to be eaten or drunk from that has no side to keep bare for it",
    message: "food or drink would lie on the paint of {piece}",
    why: "hobby paint and varnish are no food surface, whatever the jar says, and this has no eating side or rim that stays bare",
    fix: "Say what it is (a plate, a mug), or keep it for show.",
    find: (stack) => {
      const kept = stack.uses.flatMap((use) => Object.keys(use.bare)).filter((exposure) => exposure === "food" || exposure === "lip");
      const has = stack.zones.some((zone) => zone.template.exposure === "food" || zone.template.exposure === "lip");
      return kept.length > 0 && !has && lastFilm(stack) ? [{ at: null, culprits: [] }] : [];
    },
  },
  {
    code: "lip-zone",
    severity: "stop",
    when: "paint comes within 25 mm of a drinking rim, or inside a cup",
    message: "{step} is where lips or drink touch: the {zone}",
    why: "{because}; standards test the top 20 mm of a rim, the trade keeps 25 mm clear",
    fix: "Keep the band under the rim and the inside bare.",
    provenance: published("ISO 6486-1 and ASTM C927 test the top 20 mm; 25 mm is common practice"),
    find: filmsWhereBare("lip-zone"),
  },
  {
    code: "food-side",
    severity: "stop",
    when: "a hobby coating is where food lies",
    message: "{step} is where food lies: the {zone}",
    why: "{because}; food-contact coatings are regulated",
    fix: "Leave that side bare, or take the kiln route with a food-safe glaze.",
    find: filmsWhereBare("food-side"),
  },
  {
    code: "sheds-outdoors",
    severity: "stop",
    when: "loose glitter or crystals are on a piece left outdoors for others to find",
    message: "{step} comes off in time, and lies where animals and water are",
    why: "plastic glitter and stones are swallowed and washed into streams",
    fix: "Leave it out, or use a paint that shines.",
    find: (stack) =>
      stack.uses.some((use) => use.wild)
        ? films(stack)
            .filter(isLoose)
            .map((fact) => ({ at: fact, culprits: [fact], change: remove(fact) }))
        : [],
  },
  {
    code: "hand-wash",
    severity: "note",
    ofPiece: true,
    when: "painted things are washed up",
    message: "{piece} is to be washed by hand",
    why: "a dishwasher's heat and soda strip hobby paint",
    fix: "Say so on the care card.",
    find: (stack) => (stack.zone.wears.includes("washing") && films(stack).length > 0 && !isFired(stack) ? [{ at: null }] : []),
  },
  {
    code: "child-solvent",
    severity: "stop",
    when: "a child's plan has a solvent or a spray in it",
    message: "{step} is not for a child to use or breathe",
    why: "solvent vapour harms children first",
    fix: "Use a waterborne one.",
    find: (stack) =>
      stack.piece.constraints.childSafe
        ? stack.steps
            .filter((fact) => fact.aid?.vapour || (fact.product && !fact.product.childSafe && !fact.product.traits.includes("two-part")))
            .map((fact) => forChildren(stack, fact))
        : [],
  },
  {
    code: "child-heat",
    severity: "stop",
    when: "a child's plan has an oven or a kiln in it",
    message: "{step} is for an adult",
    why: "the oven burns, and paint fumes come off",
    fix: "Take the air route, or an adult does this step.",
    find: (stack) =>
      stack.piece.constraints.childSafe ? heatSteps(stack).map((fact) => ({ at: fact, change: [...remove(fact), ...withoutOven(stack)] })) : [],
  },
  {
    code: "child-resin",
    severity: "stop",
    when: "a child's plan has resin in it",
    message: "{step} must never touch a child's skin",
    why: "uncured resin makes people allergic to it for life",
    fix: "Use a waterborne varnish.",
    find: (stack) =>
      stack.piece.constraints.childSafe
        ? films(stack)
            .filter((fact) => fact.product!.traits.includes("two-part"))
            .map((fact) => ({
              at: fact,
              change: () =>
                asChange(
                  suitable(stack, (product) => product.jobs.includes("seal") && stack.zone.wears.every((wear) => product.resists[wear])),
                  (id) => swap(fact, id, { coats: 2 }),
                ),
            }))
        : [],
  },
  caution(
    "dust",
    "sanding raises harmful dust",
    "Sanding dust of {material} and filler harms lungs",
    "stone and clay hold silica, and hardwood dust is a carcinogen",
    "Wear a particle mask (FFP2 or FFP3, N95 or P100), wet-sand where the surface allows it, and vacuum.",
    (stack) => any(stack, (fact) => fact.aid?.makesDust === true) && (stack.material.traits.includes("silica-dust") || any(stack, (fact) => has(fact, "fill"))),
  ),
  caution(
    "resin-off-ratio",
    "resin is mixed",
    "Resin off its ratio never cures",
    "both parts have to meet in the label's proportion",
    "Weigh both parts by the label, pour thin, work at 20–25 °C.",
    (stack) => any(stack, (fact) => fact.product?.traits.includes("two-part") === true),
  ),
  caution(
    "resin-skin",
    "resin is mixed",
    "Resin must not touch skin",
    "uncured resin makes people allergic to it",
    "Wear gloves, cover your arms, air the room; wash off with soap, not solvent.",
    (stack) => any(stack, (fact) => fact.product?.traits.includes("two-part") === true),
  ),
  caution(
    "spray-air",
    "a spray or a solvent is used",
    "Sprays, solvents and alcohol need moving air and no flame",
    "the vapour harms, and it burns",
    "Work outdoors or well ventilated with an organic-vapour mask; no flames; children away.",
    (stack) => any(stack, (fact) => (fact.product?.carrier === "solvent" && fact.product.methods[0] !== "pen") || fact.aid?.vapour === true),
  ),
  caution(
    "oily-rags",
    "an oil finish is used",
    "Oily rags can set themselves alight",
    "the oil heats as it hardens, and a heap keeps the heat",
    "Dry rags flat outdoors, or keep them under water.",
    (stack) => any(stack, (fact) => fact.product?.traits.includes("oily-rags") === true),
  ),
  caution(
    "oven-fumes",
    "paint is baked",
    "Paint gives off fumes in the oven",
    "what leaves the film is in your kitchen",
    "Food out, window open, adults only; the paint's label decides heat and time.",
    (stack) => heatSteps(stack).some((fact) => fact.aid?.heat?.kind === "oven"),
  ),
  caution(
    "lead-suspect",
    "old paint is on the piece",
    "Old paint may hold lead",
    "lead poisons, children most of all",
    "Test before you disturb it; local rules and professionals come first.",
    (stack) => stack.conditions.some((condition) => condition.oldFilm) && any(stack, isFilm),
  ),
  caution(
    "candle-fire",
    "a candle burns in the piece",
    "Candle holders are a fire risk",
    "glass can crack and films can burn",
    "Tea light in its metal cup, nothing painted inside or above it, never left alone; standards such as EN 15494 and ASTM F2601 apply to what is sold.",
    (stack) => stack.uses.some((use) => use.flame) && any(stack, isFilm),
  ),
  caution(
    "kiln-trained",
    "a kiln is fired",
    "Kiln firing is for trained people",
    "heat, fumes and wrong cones do harm",
    "Have it fired by a studio.",
    (stack) => stack.steps.some((fact) => fact.step.role === "fire"),
  ),
  caution(
    "toy-mouth",
    "a piece made with or for a child",
    "A small child puts things in its mouth",
    "paint, glitter and stuck-on parts are not food, and small parts choke",
    "For a small child: paints to EN 71-3, nothing small stuck on; EN 71-1 and ASTM F963 tell what a toy must stand.",
    (stack) => stack.uses.some((use) => use.childMade) && any(stack, isFilm),
  ),
  caution(
    "plaster-heat",
    "gypsum is mixed and poured",
    "Wet gypsum grows hot as it sets",
    "it burns skin that it encloses, and dries hands out",
    "Never encase a hand; wear gloves and a dust mask; children only look on.",
    (stack) => any(stack, (fact) => fact.step.role === "cast"),
  ),
  caution(
    "plaster-drain",
    "gypsum is poured, sanded or rinsed",
    "Gypsum sets in drains",
    "it hardens under water and blocks the pipe for good",
    "Let leftovers set and bin them; rinse tools and sponges in a bucket.",
    (stack) =>
      stack.material.traits.includes("dissolves") &&
      any(stack, (fact) => fact.step.role === "cast" || fact.aid?.makesDust === true || fact.aid?.wets === "soaks"),
  ),
]);
