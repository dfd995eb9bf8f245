import type { Catalogue } from "../../catalogue/catalogue";
import type { Role, ZoneId } from "../../catalogue/vocabulary";
import type { Piece } from "../../piece/piece";
import { mainZone } from "../../piece/zones";
import type { Zone } from "../../piece/zones";
import { techniqueWork } from "../facts/layers";
import type { PieceFacts } from "../facts/facts";
import type { Candidate } from "../model/plan";
import type { Recipe, RecipeStack } from "../model/recipe";
import type { StepChoice, ZoneSteps } from "../model/step";
import { choicesOf, factsFor, leastChanged, towards } from "./edited";
import type { PlanOfEdits } from "./edited";
import { withCoatsReckoned } from "./reckoned";

/** What is done to the bare surface: another material asks for other washes. */
const PREPARING: readonly Role[] = ["clean", "sand", "dust-off"];
/** What the piece itself asks for, whatever is laid on it. */
const OF_THE_PIECE: readonly Role[] = ["assemble", "cure", "sign"];
/** Places this much larger or smaller want other marks. */
const OTHER_SIZE = 1.05;

/** The stack of a recipe that belongs on a place: that of the same place, of the main one on the main one, else of one that meets the same. */
function stackFor(zone: Zone, isMain: boolean, stacks: readonly RecipeStack[]): RecipeStack | null {
  const same = stacks.find((one) => one.zone === zone.zone && one.exposure === zone.template.exposure);
  const main = isMain ? stacks.find((one) => one.main) : undefined;
  return same ?? main ?? stacks.find((one) => !one.main && one.exposure === zone.template.exposure) ?? null;
}

/** Marks of another place are set anew for it. */
function forSize(step: StepChoice, stack: RecipeStack, zone: Zone, { catalogue }: PieceFacts): StepChoice {
  const ratio = zone.areaMm2 / Math.max(1, stack.areaMm2);
  const technique = step.marks && step.technique ? catalogue.techniques.get(step.technique) : undefined;
  const product = catalogue.products.get(step.product);
  if (!technique || !product || (ratio < OTHER_SIZE && ratio > 1 / OTHER_SIZE)) return step;
  const { marks } = techniqueWork(technique, zone, product);
  return marks ? { ...step, marks } : step;
}

/** The same coat is on the piece already. */
const isLaid = (step: StepChoice, laid: readonly StepChoice[]) =>
  laid.some((one) => one.role === step.role && one.product === step.product && (one.colour ?? "") === (step.colour ?? ""));

/** The steps of one place by the recipe: what is on it stays, another surface is prepared as it asks for. */
function stackBy(stack: RecipeStack, zone: Zone, own: readonly StepChoice[], sameBody: boolean, facts: PieceFacts): readonly StepChoice[] {
  const laid = own.filter((step) => step.done);
  const steps = stack.steps.map((step) => forSize(step, stack, zone, facts)).filter((step) => !isLaid(step, laid));
  if (sameBody) return [...laid, ...steps];
  const isFilm = (step: StepChoice) => facts.catalogue.products.has(step.product);
  const bare = own.filter((step) => !step.done).findIndex(isFilm);
  const prepared = own.filter((step) => !step.done).slice(0, bare < 0 ? undefined : bare);
  const first = steps.findIndex(isFilm);
  const worked = steps.filter((step, index) => (index >= first || !PREPARING.includes(step.role)) && !OF_THE_PIECE.includes(step.role));
  return [
    ...laid,
    ...prepared.filter(({ role }) => PREPARING.includes(role)),
    ...worked,
    ...own.filter((step) => !step.done && OF_THE_PIECE.includes(step.role)),
  ];
}

/** A recipe on a piece. */
export interface AppliedRecipe extends PlanOfEdits {
  /** Places of the recipe this piece does not have. */
  readonly without: readonly ZoneId[];
}

const sameWords = (one: readonly string[], other: readonly string[]) => [...one].sort().join() === [...other].sort().join();

function appliedTo({ appliesTo, stacks }: Recipe, candidate: Candidate, piece: Piece, catalogue: Catalogue): AppliedRecipe {
  const facts = factsFor(candidate, piece, catalogue);
  const main = mainZone(facts.zones)?.zone ?? null;
  const sameBody = appliesTo.material === facts.piece.material && sameWords(appliesTo.conditions, facts.piece.conditions);
  const used = new Set<ZoneId>();
  const wanted = choicesOf(candidate).map((own): ZoneSteps<StepChoice> => {
    const zone = facts.zones.find((one) => one.zone === own.zone);
    const stack = zone ? stackFor(zone, zone.zone === main, stacks) : null;
    if (!zone || !stack) return own;
    used.add(stack.zone);
    return { ...own, steps: stackBy(stack, zone, own.steps, sameBody, facts) };
  });
  const isFilm = (step: StepChoice) => catalogue.products.has(step.product);
  const without = stacks.filter((one) => !used.has(one.zone) && one.steps.some(isFilm)).map(({ zone }) => zone);
  // On another body a colour takes as many coats as it does over what lies beneath it there.
  const reckoned = sameBody ? wanted : withCoatsReckoned(facts, wanted, new Set());
  return { ...towards(reckoned, candidate, piece, catalogue), without };
}

/**
 * Does a piece by a recipe: amounts, waits and, on another body, coats and preparation are worked out anew; the rules judge what comes out.
 *
 * @param candidates ways the piece can be done, at least one
 * @returns the candidate that the recipe changes least, with the changes
 */
export function applyRecipe(recipe: Recipe, candidates: readonly Candidate[], piece: Piece, catalogue: Catalogue): AppliedRecipe {
  return leastChanged(candidates.map((candidate) => appliedTo(recipe, candidate, piece, catalogue)));
}
