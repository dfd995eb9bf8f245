import type { Repair } from "#core/coating/planner/repair";

/** What came of making the rest of a plan right around what is kept. */
export type RepairAnswer = { readonly done: true; readonly changes: number } | Extract<Repair, { readonly done: false }>;

/** An answer, and which of all it was. */
export interface RepairAnswered {
  readonly at: number;
  readonly answer: RepairAnswer;
}

let asked = 0;
const answers = new Map<string, RepairAnswered>();

/** The last answer for a piece, and which of all it was. */
export function repairOf(pieceId: string): RepairAnswered | null {
  return answers.get(pieceId) ?? null;
}

export function noteRepair(pieceId: string, answer: RepairAnswer): void {
  asked += 1;
  answers.set(pieceId, { at: asked, answer });
}
