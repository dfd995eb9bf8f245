import type { Menu } from "#core/catalogue/menu";
import type { Step } from "#core/coating/model/step";
import type { ActPart, Calendar, DayAct } from "#core/schedule/together/calendar";
import { actsTold } from "#core/schedule/together/runs";
import type { Run } from "#core/schedule/together/runs";
import { lowerFirst } from "#core/units/letter-case";
import { coatWords, stepTitle } from "~/components/words";
import type { TablePiece } from "./table.client";

/** What each look of the calendar is drawn from. */
export interface CalendarShown {
  readonly calendar: Calendar;
  readonly pieces: Pieces;
  readonly menu: Menu;
  /** Instant, ms. */
  readonly now: number;
}

type Pieces = ReadonlyMap<string, TablePiece>;

/** Pieces by their names: "Herb pot, Storm lantern". */
export const namesOf = (ids: readonly string[], pieces: Pieces): string => ids.map((id) => pieces.get(id)?.name ?? "").join(", ");

/** The step an act is told by; undefined where its plan has just changed. */
export function stepOf(act: Pick<DayAct, "parts" | "stepId">, pieces: Pieces): Step | undefined {
  return pieces.get(act.parts[0]?.piece ?? "")?.steps[act.stepId];
}

/** What is done, in the painter's words: "Base colour: craft acrylic, coat 2". */
export function actTitle(act: DayAct, pieces: Pieces, menu: Menu): string {
  const step = stepOf(act, pieces);
  if (!step) return "Work that has just changed";
  const detail = coatWords(act.coat, act.half, step.coats);
  return [stepTitle(step, menu, false), detail].filter(Boolean).join(", ");
}

/** What is to be done where a coat comes later than it should. */
export function shutWords(step: Pick<Step, "role" | "while"> | undefined): string {
  if (step?.role === "unmask") return "Score along the edge first: the paint has hardened.";
  return step?.while === "wet" ? "The last colour has set: lay a little of it again, and work into that." : "Scuff it dull first: the last coat has closed.";
}

/** A part of an act: "6 of 12 × Herb pot", "Storm lantern"; which half, where the act is not of one. */
export function partWords({ piece, count, of, half }: ActPart, act: DayAct, pieces: Pieces): string {
  const name = pieces.get(piece)?.name ?? "a piece";
  const counted = of === 1 ? name : count === of ? `${of} × ${name}` : `${count} of ${of} × ${name}`;
  return half && act.half === undefined ? `${counted} (${coatWords(1, half, 1)})` : counted;
}

/** All pieces of an act: "12 × Herb pot and Storm lantern". */
export function partsWords(act: DayAct, pieces: Pieces): string {
  const words = act.parts.map((part) => partWords(part, act, pieces));
  return words.length < 2 ? (words[0] ?? "") : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;
}

/** A run in a few words: "Prime: gesso" or "Brush off dry and 2 more". */
export function runTitle(run: Run, pieces: Pieces, menu: Menu): string {
  const acts = actsTold(run);
  const title = actTitle(acts[0]!, pieces, menu);
  return acts.length === 1 ? title : `${title} and ${acts.length - 1} more`;
}

/** A run inside a sentence: "brush off dry, wipe with a damp cloth: Tide clock face". */
export function runInBrief(run: Run, pieces: Pieces, menu: Menu): string {
  const acts = actsTold(run);
  const [{ parts }] = acts as [DayAct];
  const names = parts.length > 2 ? `${parts.reduce((sum, { count }) => sum + count, 0)} pieces` : partsWords(acts[0]!, pieces);
  return `${acts.map((act) => lowerFirst(actTitle(act, pieces, menu))).join(", ")}: ${names}`;
}
