import type { Catalogue } from "../../catalogue/catalogue";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { pieceFacts, stackFacts } from "../facts/facts";
import { judge } from "./judge";
import type { Finding } from "../model/plan";
import type { StepChoice, ZoneSteps } from "../model/step";
import type { Rule } from "./rule";
import { RULES } from "./rules";

/**
 * Judges steps as they stand, planned or already done. Waits and coats that are not given are unknown: a rule that needs
 * them says a note with "if", or nothing.
 *
 * @param zones stacks by zone; zones the piece does not have are ignored
 */
export function checkSteps(piece: Piece, zones: readonly ZoneSteps<StepChoice>[], catalogue: Catalogue, rules: readonly Rule[] = RULES): readonly Finding[] {
  return judge(stackFacts(pieceFacts(completePiece(piece, catalogue).piece, catalogue), zones), rules);
}
