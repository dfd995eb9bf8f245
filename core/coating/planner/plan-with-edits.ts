import type { Catalogue } from "../../catalogue/catalogue";
import type { CandidateId } from "../../catalogue/ids";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { applyChanges } from "../model/apply-changes";
import { makeCandidate } from "./candidate";
import type { Change } from "../model/change";
import { pieceFacts } from "../facts/facts";
import type { Candidate, PlanSet } from "../model/plan";
import type { Step, StepChoice, ZoneSteps } from "../model/step";
import { planPiece } from "./plan-piece";
import { RULES } from "../rules/rules";

/** What the user has kept of a plan: which candidate, and their changes to it. */
export interface Keeping {
  readonly candidateId: CandidateId | null;
  readonly school: string;
  readonly edits: readonly Change[];
}

export interface PlanView {
  readonly set: PlanSet;
  /** The candidate the user follows, with their changes; null when the piece is refused. */
  readonly shown: Candidate | null;
  /** The user's changes that no longer find their step. */
  readonly lost: readonly Change[];
}

/** A step without the numbers that follow from it; a wait stays only where the user set it. */
export function choiceOf(step: Step): StepChoice {
  const {
    wetMicrons: _wet,
    dryMicrons: _dry,
    jarMl: _jar,
    volumeMl: _ml,
    handsOnMin: _hands,
    typical: _typical,
    cautious: _cautious,
    waitBefore,
    ...choice
  } = step;
  return waitBefore?.set === "hers" ? { ...choice, waitBefore } : choice;
}

function followed(set: PlanSet, keeping: Keeping): Candidate | null {
  return (
    set.candidates.find((one) => one.id === keeping.candidateId) ?? set.candidates.find((one) => one.school === keeping.school) ?? set.candidates[0] ?? null
  );
}

/** The changes that touch steps; those that touch the piece are kept in the piece. */
function withEdits(candidate: Candidate, piece: Piece, edits: readonly Change[], catalogue: Catalogue): { candidate: Candidate; lost: readonly Change[] } {
  const choices: readonly ZoneSteps<StepChoice>[] = candidate.zones.map((zone) => ({ ...zone, steps: zone.steps.map(choiceOf) }));
  const { zones, lost } = applyChanges(choices, edits);
  const facts = pieceFacts(completePiece(piece, catalogue).piece, catalogue);
  const extra = candidate.findings.filter((one) => one.code === "wish-not-kept");
  const made = makeCandidate(facts, zones, RULES, { title: candidate.title, route: candidate.route, id: candidate.id });
  return { candidate: { ...made, findings: [...made.findings, ...extra] }, lost };
}

/**
 * Plans a piece and shows the candidate the user follows with their changes on it. Numbers are always worked out anew.
 *
 * @param keeping what is kept of their plan; a candidate that is gone gives way to one of the same school, then to the first
 */
export function planWithEdits(piece: Piece, keeping: Keeping, catalogue: Catalogue): PlanView {
  const set = planPiece(piece, catalogue);
  const base = followed(set, keeping);
  if (!base || keeping.edits.length === 0) return { set, shown: base, lost: [] };
  const { candidate, lost } = withEdits(base, piece, keeping.edits, catalogue);
  return { set, shown: candidate, lost };
}
