import type { Catalogue } from "../../catalogue/catalogue";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { pieceFacts } from "../facts/facts";
import type { PieceFacts } from "../facts/facts";
import { applyChanges } from "../model/apply-changes";
import type { Change } from "../model/change";
import { changesBetween } from "../model/changes-between";
import { pieceOf } from "../model/plan";
import type { Candidate } from "../model/plan";
import type { StepChoice, ZoneSteps } from "../model/step";
import { choiceOf } from "../model/step-choice";
import { RULES } from "../rules/rules";
import { makeCandidate } from "./candidate";
import { coatsSetBy, withCoatsReckoned } from "./reckoned";
import { withTechniquesWorked } from "./renamed-technique";

type Stacks = readonly ZoneSteps<StepChoice>[];

/** The stacks of a candidate as they are chosen, without the numbers that follow. */
export function choicesOf(candidate: Candidate): Stacks {
  return candidate.zones.map((zone) => ({ ...zone, steps: zone.steps.map(choiceOf) }));
}

/** A piece looked up as one of its candidates takes it. */
export function factsFor(candidate: Candidate, piece: Piece, catalogue: Catalogue): PieceFacts {
  return pieceFacts(completePiece(pieceOf(candidate, piece), catalogue).piece, catalogue);
}

/**
 * A candidate with other steps: numbers and findings are worked out anew.
 *
 * @param zones the stacks as they are to be
 */
export function remade(candidate: Candidate, zones: Stacks, piece: Piece, catalogue: Catalogue): Candidate {
  const extra = candidate.findings.filter((one) => ["wish-not-kept", "for-show-only"].includes(one.code));
  const made = makeCandidate(factsFor(candidate, piece, catalogue), zones, RULES, { title: candidate.title, route: candidate.route, id: candidate.id });
  return { ...made, ...(candidate.uses ? { uses: candidate.uses } : {}), findings: [...made.findings, ...extra] };
}

/** A candidate with the user's changes in it. */
export interface Edited {
  readonly plan: Candidate;
  /** Changes that found no step to act on. */
  readonly lost: readonly Change[];
}

/**
 * Puts the user's changes into a candidate: what follows from a technique they named, and coats over what is beneath by now, are worked out anew.
 *
 * @param made the stacks the changes are of
 */
export function withEdits(candidate: Candidate, made: Stacks, edits: readonly Change[], piece: Piece, catalogue: Catalogue): Edited {
  if (edits.length === 0) return { plan: remade(candidate, made, piece, catalogue), lost: [] };
  const { zones, lost } = applyChanges(made, edits);
  const facts = factsFor(candidate, piece, catalogue);
  const worked = withCoatsReckoned(facts, withTechniquesWorked(facts, zones, edits), coatsSetBy(edits));
  return { plan: remade(candidate, worked, piece, catalogue), lost };
}

/** A plan that is a candidate with changes in it. */
export interface PlanOfEdits {
  /** The candidate it differs least from, the changes, and what comes out when it is followed with them. */
  readonly on: Candidate;
  readonly edits: readonly Change[];
  readonly plan: Candidate;
}

/** The changes that make a candidate's stacks as they are wanted, and the plan that comes of it. */
export function towards(wanted: Stacks, candidate: Candidate, piece: Piece, catalogue: Catalogue): PlanOfEdits {
  const made = choicesOf(candidate);
  const edits = changesBetween(made, wanted);
  return { on: candidate, edits, plan: edits.length === 0 ? candidate : withEdits(candidate, made, edits, piece, catalogue).plan };
}

/** Of the same plan made of several candidates, the one that changes its candidate least. @param all at least one */
export function leastChanged<P extends PlanOfEdits>(all: readonly P[]): P {
  return [...all].sort((a, b) => a.edits.length - b.edits.length)[0]!;
}
