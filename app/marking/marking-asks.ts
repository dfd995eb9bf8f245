import type Joi from "joi";
import { recordIdSchema } from "#core/formats/stores/definition";
import type { JoiRoot } from "#core/formats/stores/definition";
import { keptPatternFields, MAX_PATTERN_NAME } from "#core/formats/stores/patterns";
import { toolFields } from "#core/formats/stores/tools";
import { rowIdSchema } from "#core/formats/pattern-schema";
import { zoneSchema } from "#core/formats/zone-schema";
import type { KeptPattern } from "#core/marking/kept-pattern";
import type { MarkTool } from "#core/marking/tool";

/** What marking out may be asked. */
export type MarkingAsk =
  | { readonly intent: "keep-tool"; readonly tool: MarkTool; readonly seen?: MarkTool }
  | { readonly intent: "remove-tool"; readonly id: string; readonly label: string }
  | { readonly intent: "keep-pattern"; readonly id: string; readonly pattern: KeptPattern }
  | { readonly intent: "remove-pattern"; readonly id: string; readonly name: string }
  | { readonly intent: "marked"; readonly piece: string; readonly zone: string; readonly row: string; readonly count: number };

const toolSchema = (joi: JoiRoot) => joi.object({ id: recordIdSchema(joi).required(), ...toolFields(joi) });

export const MARKING_FIELDS: { readonly [I in MarkingAsk["intent"]]: (joi: JoiRoot) => Readonly<Record<string, Joi.Schema>> } = {
  "keep-tool": (joi) => ({ tool: toolSchema(joi).required(), seen: toolSchema(joi) }),
  "remove-tool": (joi) => ({ id: recordIdSchema(joi).required(), label: joi.string().max(60).required() }),
  "keep-pattern": (joi) => ({ id: recordIdSchema(joi).required(), pattern: joi.object(keptPatternFields(joi)).required() }),
  "remove-pattern": (joi) => ({ id: recordIdSchema(joi).required(), name: joi.string().max(MAX_PATTERN_NAME).required() }),
  marked: (joi) => ({
    piece: recordIdSchema(joi).required(),
    zone: zoneSchema(joi).required(),
    row: rowIdSchema(joi).required(),
    count: joi.number().integer().min(0).max(100_000).required(),
  }),
};
