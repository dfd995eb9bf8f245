import { MAX_CAPTION } from "#core/formats/stores/photos";
import { instantSchema } from "#core/formats/hours-schema";
import { recordIdSchema } from "#core/formats/stores/definition";
import { perform } from "~/actions/perform";
import type { PhotoAsk, PhotosOutcome } from "~/photos/photo-ask";
import type { Route } from "./+types/route";

/** Photographs of a piece: added, said something of, taken off. */
export async function clientAction({ request, params }: Route.ClientActionArgs) {
  const { photoCommands } = await import("~/photos/photo-commands.client");
  return perform<PhotoAsk, PhotosOutcome | null>(
    request,
    {
      add: (joi) => ({ files: recordIdSchema(joi).required() }),
      say: (joi) => ({ id: recordIdSchema(joi).required(), caption: joi.string().max(MAX_CAPTION).allow(""), at: instantSchema(joi) }),
      remove: (joi) => ({ id: recordIdSchema(joi).required() }),
    },
    photoCommands(params.id),
  );
}
