import { useRouteLoaderData } from "react-router";
import { changePiece } from "#core/coating/model/apply-changes";
import type { Change } from "#core/coating/model/change";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { Piece } from "#core/piece/piece";
import { useAsk, useAsked } from "~/actions/use-ask";
import type { KeptPiece } from "./kept-piece";

/** What the rooms of a piece may ask of it. */
export type PieceAsk =
  { readonly intent: "change"; readonly seen: Piece; readonly changes: readonly Change[] } | { readonly intent: "take-theirs" } | { readonly intent: "remove" };

/** Another tab changed the same fields: what the user wanted is kept until they have decided. */
export interface Clash {
  readonly paths: readonly string[];
  readonly changes: readonly Change[];
  readonly theirs: PieceRecord;
}

/** How changes to a piece are saved. */
export interface Saving {
  /** The piece as the user saw it when they began; as it is shown now where it is left out. */
  readonly seen?: Piece;
  /** They are still typing: it is saved when they rest. */
  readonly typed?: boolean;
}

export type SaveChanges = (changes: readonly Change[], how?: Saving) => void;

/** The piece of the layout route, as its loader gave it. */
export function useKept(): KeptPiece & { readonly clash: Clash | null } {
  const data = useRouteLoaderData("routes/piece/route") as { readonly kept: KeptPiece; readonly clash: Clash | null } | undefined;
  if (!data) throw new Error("this room stands outside a piece");
  return { ...data.kept, clash: data.clash };
}

/** The piece with what is being saved already in it, and how to change it. */
export function useRecord() {
  const { record: kept, clash } = useKept();
  const action = `/pieces/${kept.id}`;
  const ask = useAsk<PieceAsk>(action);
  const asked = useAsked<PieceAsk>(action);
  const piece = asked.reduce((current, one) => (one.intent === "change" ? changePiece(current, one.changes) : current), kept.piece);
  const record: PieceRecord = asked.length > 0 ? { ...kept, piece } : kept;
  return {
    record,
    clash,
    save: (changes: readonly Change[], { seen = record.piece, typed = false }: Saving = {}) => {
      if (!typed) return void ask({ intent: "change", seen, changes });
      const paths = changes.map((one) => (one.op === "setPiece" ? one.path : "")).join();
      // What the user knew when they began is known still: strokes in between were never saved.
      const over = (earlier: PieceAsk): PieceAsk => ({ intent: "change", seen: earlier.intent === "change" ? earlier.seen : seen, changes });
      ask({ intent: "change", seen, changes }, { about: `${kept.id}/${paths}`, over });
    },
    remove: () => ask({ intent: "remove" }),
    takeTheirs: () => ask({ intent: "take-theirs" }),
    keepMine: () => {
      if (clash) ask({ intent: "change", seen: clash.theirs.piece, changes: clash.changes });
    },
  };
}
