import { instantSchema } from "#core/formats/hours-schema";
import { recordIdSchema } from "#core/formats/stores/definition";
import type { Intents } from "~/actions/perform";
import { coatsField, followedField, whatField } from "~/piece/change-asks";
import type { DoneOn } from "~/store/progress";

/** What the page of a set may ask. */
export interface SetAsk {
  readonly intent: "done-together";
  readonly parts: readonly DoneOn[];
  readonly at: string;
  readonly what?: string;
}

/** Pieces of one set whose work is told together, at most. */
export const MOST_TOGETHER = 60;

export const SET_INTENTS: Intents<SetAsk> = {
  "done-together": (joi) => ({
    parts: joi
      .array()
      .items(joi.object({ piece: recordIdSchema(joi).required(), followed: followedField(joi), coats: coatsField(joi) }))
      .min(1)
      .max(MOST_TOGETHER)
      .required(),
    at: instantSchema(joi).required(),
    what: whatField(joi),
  }),
};
