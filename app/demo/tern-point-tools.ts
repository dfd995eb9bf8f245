import { toolId } from "#core/catalogue/ids";
import type { ToolRecord } from "#core/formats/stores/tools";
import type { Tip } from "#core/marking/tool";

function tool(number: number, label: string, tip: Tip, mm: number, more: Partial<ToolRecord> = {}): ToolRecord {
  return { id: toolId(`ternpointtool${String(number).padStart(2, "0")}`), rev: 1, label, tip, mm, ...more };
}

const SET = "the tin from the harbour";

/** What marks are set with at Tern Point; made up. */
export const TERN_POINT_TOOLS: readonly ToolRecord[] = [
  tool(1, "Thin red", "ball", 1, { set: SET }),
  tool(2, "Thick red", "ball", 1.5, { set: SET, leaves: 1.12 }),
  tool(3, "Thin blue", "ball", 2, { set: SET }),
  tool(4, "Thick blue", "ball", 3, { set: SET, leaves: 1.08 }),
  tool(5, "Driftwood peg", "flat", 4.5),
  tool(6, "Eraser of a pencil", "flat", 6.5),
];
