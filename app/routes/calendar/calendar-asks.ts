import { calendarFields, inSittingsSchema } from "#core/formats/stores/calendar";
import type { CalendarRecord, InSitting } from "#core/formats/stores/calendar";
import { recordIdSchema } from "#core/formats/stores/definition";
import type { Intents } from "~/actions/perform";

/** What the calendar may ask of its action. */
export type CalendarAsk =
  | { readonly intent: "manner"; readonly chosen: Partial<Pick<CalendarRecord, "goal" | "hands" | "rackPlaces" | "ovenPlaces">> }
  | { readonly intent: "agree"; readonly agreed: readonly InSitting[] }
  | { readonly intent: "anew" }
  | { readonly intent: "move"; readonly moves: readonly InSitting[]; readonly standing: readonly InSitting[] }
  | { readonly intent: "let-go"; readonly tasks: readonly Pick<InSitting, "piece" | "task">[] };

export const CALENDAR_INTENTS: Intents<CalendarAsk> = {
  manner: (joi) => ({ chosen: joi.object(calendarFields(joi)).required() }),
  agree: (joi) => ({ agreed: inSittingsSchema(joi).required() }),
  anew: () => ({}),
  move: (joi) => ({ moves: inSittingsSchema(joi).min(1).required(), standing: inSittingsSchema(joi).required() }),
  "let-go": (joi) => ({
    tasks: joi
      .array()
      .items(joi.object({ piece: recordIdSchema(joi).required(), task: joi.string().max(160).required() }))
      .min(1)
      .max(400)
      .required(),
  }),
};
