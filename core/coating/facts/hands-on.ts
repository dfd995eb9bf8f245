import { memory } from "../../catalogue/provenance";
import type { TechniqueId } from "../../catalogue/vocabulary";
import { MM2_PER_DM2 } from "../../units/volume";
import type { StackFacts, StepFact } from "./facts";

/** Seconds a mark takes to set: a dot 3–6, a small one faster, a walked one 1–2, a swipe 6 [trade handbook §16]. */
const SECONDS_PER_MARK = memory<Partial<Record<TechniqueId, number>>>({ dots: 4.5, "walked-dots": 1.5, swipes: 6 });
/** Of any other mark. */
const SECONDS_OTHERWISE = memory(6);
const SECONDS_PER_SMALL_DOT = memory(3);
const SMALL_DOT_MM = 3;
/** A top dot. */
const SECONDS_PER_TOP_DOT = memory(4);
/** To take a piece up, turn it and put it down again, minutes a coat. */
const PER_PIECE_MIN = memory(1 / 3);
/** Letters: seconds each, how much of the field one inks, and as many as anyone writes when nothing is said. */
const LETTERING = memory({ secondsEach: 30, inkMm2: 30, most: 60 });
/** Lines: width of an ordinary one, mm, and minutes for 200 mm. */
const LINES = memory({ widthMm: 1.5, perMm: 1 / 200 });

function perMark({ step }: StepFact): number {
  if (step.role === "top-dot") return SECONDS_PER_TOP_DOT.value;
  if (step.technique === "dots" && step.marks!.diameterMm <= SMALL_DOT_MM) return SECONDS_PER_SMALL_DOT.value;
  return (step.technique && SECONDS_PER_MARK.value[step.technique]) ?? SECONDS_OTHERWISE.value;
}

/** Minutes for one piece and one coat, without setting up. */
function workMin(fact: StepFact, areaMm2: number): number {
  const { marks, technique, coverage = 1 } = fact.step;
  if (marks) return PER_PIECE_MIN.value + (marks.count * perMark(fact)) / 60;
  const inked = areaMm2 * coverage;
  if (technique === "lettering")
    return PER_PIECE_MIN.value + (Math.min(LETTERING.value.most, Math.ceil(inked / LETTERING.value.inkMm2)) * LETTERING.value.secondsEach) / 60;
  if (technique === "outline" || technique === "raised-line") return PER_PIECE_MIN.value + (inked / LINES.value.widthMm) * LINES.value.perMm;
  return PER_PIECE_MIN.value + (fact.product!.handsOn.perDm2Min * inked) / MM2_PER_DM2;
}

/**
 * Minutes of setting up and cleaning for a step: once a sitting and colour, whatever the number of pieces.
 *
 * @returns minutes, from 0; all coats
 */
export function setUpMin({ step, product }: StepFact): number {
  if (step.done || !product) return 0;
  return product.handsOn.fixedMin * (step.marks ? 1 : (step.coats ?? 1));
}

/**
 * Minutes at the bench for a step in a zone of this size, all pieces and coats. Acts that zones share are counted by whoever sums.
 *
 * @returns minutes, from 0
 */
export function handsOnMin(fact: StepFact, stack: Pick<StackFacts, "piece" | "zone">): number {
  const { count } = stack.piece;
  if (fact.step.done) return 0;
  if (fact.aid) return fact.aid.handsOnMin * (fact.aid.heat ? 1 : count);
  if (!fact.product) return 0;
  return setUpMin(fact) + workMin(fact, stack.zone.areaMm2) * count * (fact.step.coats ?? 1);
}
