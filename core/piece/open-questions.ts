import type { Menu } from "../catalogue/menu";
import type { Piece } from "./piece";

/** Something the user has not said that would change the plan: a condition of the piece, or what it is for. */
export interface OpenQuestion {
  readonly kind: "condition" | "use";
  readonly id: string;
}

/** Uses worth a question where nothing says so yet [judgement of this project]. */
const ASKED_USES = ["outdoor-exposed", "gift-or-sale"] as const;
const MOST = 5;

/**
 * What is worth asking of a piece: its material's own conditions while the user has said nothing of its state, and uses that change
 * the coats most.
 *
 * @returns at most five, conditions first
 */
export function openQuestions(piece: Piece, menu: Menu): readonly OpenQuestion[] {
  const asks = piece.conditions === undefined ? (menu.materials.find((one) => one.id === piece.material)?.asks ?? []) : [];
  const outdoors = piece.uses.some((use) => menu.uses.find((one) => one.id === use)?.outdoors);
  const uses = ASKED_USES.filter((id) => !(piece.uses as readonly string[]).includes(id) && !(outdoors && id === "outdoor-exposed"));
  return [...asks.map((id) => ({ kind: "condition" as const, id })), ...uses.map((id) => ({ kind: "use" as const, id }))].slice(0, MOST);
}
