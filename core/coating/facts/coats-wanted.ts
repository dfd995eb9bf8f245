import type { ProductTrait } from "../../catalogue/product-class";
import { memory, practice } from "../../catalogue/provenance";
import { coatsToHide, grinning } from "../../film/hiding";
import type { Spectrum } from "../../film/spectrum";
import { coversField, hidingFilm, isColour, spectrumBeneath } from "./facts";
import type { StackFacts, StepFact } from "./facts";

/** Share of the area below which a technique draws lines rather than fills: letters and outlines. */
const LINES_COVER = 0.15;
/** Nobody goes over a motif more often than this, nor over a drawn line. */
const MOST_MOTIF_COATS = practice(4);
const MOST_LINE_COATS = practice(2);

/** Made to be looked through, or seen by their shine or glow. */
const TRANSLUCENT: readonly ProductTrait[] = ["for-paper", "shines", "fades-in-sun", "cover-by-area"];

/** Below this ΔE00 to its full colour one stroke of a line reads. */
const LINE_READS = memory(10);

/** What a colour wants over what is really beneath it. */
export interface CoatsWanted {
  /** Coats until it looks solid, 12 where it never does. */
  readonly enough: number;
  /** Coats the user lays: never more than practice lets a line or a motif have. */
  readonly laid: number;
}

/** A line from a nozzle or a pen is even; a brushed film has its thin spots. */
function isEven(fact: StepFact): boolean {
  return fact.product!.methods[0] === "pen" || fact.product!.methods[0] === "tool";
}

function isFineLine(fact: StepFact): boolean {
  return fact.technique !== null && (fact.step.coverage ?? fact.technique.coverage.value) < LINES_COVER;
}

/**
 * Coats a colour wants where it stands in a stack; the planner lays them and the rules judge by them.
 *
 * @returns null where hiding does not decide: clears, stains and effects, dots (thick enough as they are), what is blended wet,
 *   and accents in kiln colour, which are judged fired
 */
export function coatsWanted(stack: StackFacts, fact: StepFact): CoatsWanted | null {
  return asksForCoats(fact) ? coatsOver(fact, spectrumBeneath(stack, fact)) : null;
}

/** Whether hiding decides how many coats a step wants. */
export function asksForCoats(fact: StepFact): boolean {
  if (fact.step.role === "prime") return false;
  if (!hidingFilm(fact) || fact.step.colour === undefined || !isColour(fact) || fact.step.marks || fact.technique?.while === "wet") return false;
  // Nobody wants a wash, a shimmer or an effect to cover.
  if (fact.technique?.id === "metallic-wash" || TRANSLUCENT.some((trait) => fact.product!.traits.includes(trait))) return false;
  return coversField(fact) || !fact.product!.traits.includes("needs-firing");
}

/**
 * Coats a colour that asks for them wants over what is seen beneath it.
 *
 * @param fact a step that asks for coats
 * @param beneath light thrown back by what lies beneath, 31 bands, 0–1
 * @returns coats from 1
 */
export function coatsOver(fact: StepFact, beneath: Spectrum): CoatsWanted {
  const film = hidingFilm(fact)!;
  const field = coversField(fact);
  const enough = coatsToHide(film.colour, film.contrastRatio, beneath, isEven(fact) ? "mean" : "thin-spot", film.thinnedPercent);
  // A line is read as a line: one stroke does where the ground hardly grins through it.
  if (!field && isFineLine(fact) && grinning({ ...film, coats: 1 }, beneath, "mean") < LINE_READS.value) return { enough: 1, laid: 1 };
  const most = field ? enough : isEven(fact) || isFineLine(fact) ? MOST_LINE_COATS.value : MOST_MOTIF_COATS.value;
  return { enough, laid: Math.min(enough, most) };
}
