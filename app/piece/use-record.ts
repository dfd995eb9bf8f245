import { useRouteLoaderData } from "react-router";
import { changePiece } from "#core/coating/model/apply-changes";
import type { Change } from "#core/coating/model/change";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { Piece } from "#core/piece/piece";
import { askOf, useAsk, useAsked } from "~/actions/use-ask";
import type { Clash } from "~/store/clashes.client";
import { freshId } from "~/store/fresh-id";
import type { KeptPiece } from "./kept-piece";

/** What the rooms of a piece may ask of it. */
export type PieceAsk =
  | { readonly intent: "change"; readonly seen: Piece; readonly changes: readonly Change[] }
  | { readonly intent: "take-theirs"; readonly key: string }
  | { readonly intent: "keep-with"; readonly set?: string; readonly putAway?: string; readonly standsAt?: string }
  | { readonly intent: "copy"; readonly copy: string }
  | { readonly intent: "set-apart"; readonly copy: string; readonly many: number }
  | { readonly intent: "remove" };

/** How changes to a piece are saved. */
export interface Saving {
  /** The piece as the user saw it when they began; as it is shown now where it is left out. */
  readonly seen?: Piece;
  /** They are still typing: it is saved when they rest. */
  readonly typed?: boolean;
}

export type SaveChanges = (changes: readonly Change[], how?: Saving) => void;

/** The piece of the layout route, as its loader gave it. */
export function useKept(): KeptPiece & { readonly clashes: readonly Clash[] } {
  const data = useRouteLoaderData("routes/piece/route") as { readonly kept: KeptPiece; readonly clashes: readonly Clash[] } | undefined;
  if (!data) throw new Error("this room stands outside a piece");
  return { ...data.kept, clashes: data.clashes };
}

/** The piece with what is being saved already in it, and how to change it. */
export function useRecord() {
  const { record: kept, clashes } = useKept();
  const action = `/pieces/${kept.id}`;
  const ask = useAsk<PieceAsk>(action);
  const asked = useAsked<PieceAsk>(action);
  const piece = asked.reduce((current, one) => (one.intent === "change" ? changePiece(current, one.changes) : current), kept.piece);
  const record: PieceRecord = asked.length > 0 ? { ...kept, piece } : kept;
  return {
    record,
    clashes,
    save: (changes: readonly Change[], { seen = record.piece, typed = false }: Saving = {}) => {
      if (!typed) return void ask({ intent: "change", seen, changes });
      const paths = changes.map((one) => (one.op === "setPiece" ? one.path : "")).join();
      // What the user knew when they began is known still: strokes in between were never saved.
      const over = (earlier: PieceAsk): PieceAsk => ({ intent: "change", seen: earlier.intent === "change" ? earlier.seen : seen, changes });
      ask({ intent: "change", seen, changes }, { about: `${kept.id}/${paths}`, over });
    },
    remove: () => ask({ intent: "remove" }),
    putInSet: (set: string) => void ask({ intent: "keep-with", set }),
    putAway: (day: string) => void ask({ intent: "keep-with", putAway: day }),
    copy: () => void ask({ intent: "copy", copy: freshId() }),
    takeTheirs: ({ key }: Clash) => void ask({ intent: "take-theirs", key }),
    keepMine: ({ key, again }: Clash) => {
      ask({ intent: "take-theirs", key });
      askOf(again.action, again.ask);
    },
  };
}
