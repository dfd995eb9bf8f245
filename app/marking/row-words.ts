import type { Row } from "#core/piece/pattern";
import { rowKind } from "#core/marking/row-kinds";
import type { MarkingFinding, SolvedRow } from "#core/marking/solved";
import { closingWith } from "#core/marking/suggestions";
import { gapWords, plainMm } from "#core/marking/words";
import { nearestTool, shrinks } from "#core/marking/tool";
import type { Hand, MarkTool } from "#core/marking/tool";

/** What a row is called in the list. @example rowTitle({ kind: "dots", diameterMm: 4 }) // "Dots, 4 mm" */
export function rowTitle({ kind, diameterMm }: Pick<Row, "kind" | "diameterMm">): string {
  return `${rowKind(kind).name}, ${plainMm(diameterMm)} mm`;
}

/** How a row closes, in words. */
export function closesText({ row, places, inEach, count, gapMm, refused }: SolvedRow, finding: MarkingFinding | undefined): string {
  if (refused) return finding ? `Not laid: ${finding.message}` : "Not laid";
  if (row.kind === "band" || row.kind === "line") return "all round";
  if (row.kind === "centre") return "one";
  if (row.kind === "scatter" || row.kind === "top-dots" || gapMm === null) return String(count);
  const each = inEach > 1 ? `${places} × ${inEach}` : String(places);
  return `${each} close, ${gapWords(gapMm)}`;
}

/** The gap of a count beside the one taken. @example closingText({ count: 24, gapMm: 0.2 }) // "24: a hair between" */
export function closingText({ count, gapMm }: { readonly count: number; readonly gapMm: number }): string {
  return `${count}: ${gapWords(gapMm)}`;
}

/** A tool as its owner calls it. @example toolName({ label: "4", set: "the blue set" }) // "4 (the blue set)" */
export function toolName({ label, set }: Pick<MarkTool, "label" | "set">): string {
  return `${label}${set ? ` (${set})` : ""}`;
}

/** What a row is set with, where the user has tools; and, where none of them leaves its dot, the nearest and what it would change. */
export interface ToolWords {
  readonly text: string;
  /** Taking it sets the dot it really leaves. */
  readonly take: Pick<Row, "tool" | "toolName" | "diameterMm"> | null;
}

/** Of a row, what it is set with; null where it needs none, or where the user has said no tool. */
export function toolWords(solved: SolvedRow, tools: readonly MarkTool[], hand: Hand): ToolWords | null {
  const { tool, diameterMm, kind } = solved.row;
  if (kind === "band" || kind === "line") return null;
  const said = (text: string): ToolWords => ({ text, take: null });
  const named = tools.find(({ id }) => id === tool);
  const series = kind === "walk" || kind === "petals" || kind === "pendants";
  if (named && series && !shrinks(named.tip)) return said(`with ${toolName(named)}: its flat end does not shrink the dots, load a ball for a series`);
  if (named) return said(`with ${toolName(named)}`);
  const nearest = nearestTool(diameterMm, tools, hand);
  if (!nearest) return null;
  const { tool: best, leavesMm, exact } = nearest;
  if (exact) return said(`with ${toolName(best)}`);
  const closing = closingWith(solved, leavesMm);
  const then = closing === null || closing === solved.places ? "" : `: ${closing} would close`;
  return {
    text: `no tool of yours leaves ${plainMm(diameterMm)} mm; ${best.label} is nearest, it leaves ${plainMm(leavesMm)} mm${then}`,
    take: { tool: best.id, toolName: toolName(best), diameterMm: leavesMm },
  };
}

/** A wider side, in words. */
export function wideText({ wide, row }: SolvedRow): string | null {
  if (!wide) return null;
  return `Towards ${wide.towards} o'clock the space to the row before grows to ${plainMm(wide.gapMm)} mm: dots there may be up to ${plainMm(row.diameterMm + wide.largerMm)} mm.`;
}
