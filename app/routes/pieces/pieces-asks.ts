import { daySchema } from "#core/formats/hours-schema";
import { recordIdSchema } from "#core/formats/stores/definition";
import { setNameSchema } from "#core/formats/stores/pieces";
import type { Intents } from "~/actions/perform";

/** What the list of pieces may ask. */
export type PiecesAsk =
  { readonly intent: "open-demo" } | { readonly intent: "keep-with"; readonly ids: readonly string[]; readonly set?: string; readonly putAway?: string };

/** Pieces that are chosen at once, at most. */
const MOST_CHOSEN = 10_000;

export const PIECES_INTENTS: Intents<PiecesAsk> = {
  "open-demo": () => ({}),
  "keep-with": (joi) => ({
    ids: joi.array().items(recordIdSchema(joi)).min(1).max(MOST_CHOSEN).required(),
    set: setNameSchema(joi).allow(""),
    putAway: daySchema(joi).allow(""),
  }),
};
