import { isZone, ZONES } from "../catalogue/vocabulary";
import type { JoiRoot } from "./stores/definition";

/** A place on a piece, or a motif region inside one. */
export function zoneSchema(joi: JoiRoot) {
  return joi
    .string()
    .custom((value: string, helpers) => (isZone(value) ? value : helpers.error("any.only", { valids: [...ZONES, "place/motif-1"] })))
    .messages({ "any.only": `{{#label}} must be one of ${ZONES.join(", ")}, or a motif in one of them, such as "top/motif-1"` });
}
