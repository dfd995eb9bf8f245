import type { ToolId } from "../../catalogue/ids";
import type { MarkTool } from "../../marking/tool";
import { TIPS } from "../../marking/tool";
import { defineStore, recordIdSchema, revSchema } from "./definition";
import type { JoiRoot } from "./definition";

/** A tool the user sets marks with. */
export interface ToolRecord extends MarkTool {
  readonly id: ToolId;
  readonly rev: number;
}

/** Tools of one notebook, at most. */
export const MOST_TOOLS = 300;
/** Across a tip, mm. */
export const TIP_BOUNDS = { least: 0.1, most: 80 } as const;

/** What is said of a tool. */
export function toolFields(joi: JoiRoot) {
  return {
    set: joi.string().trim().min(1).max(40),
    label: joi.string().trim().min(1).max(60).required(),
    tip: joi
      .string()
      .valid(...TIPS)
      .required(),
    mm: joi.number().min(TIP_BOUNDS.least).max(TIP_BOUNDS.most).required(),
    leaves: joi.number().min(0.2).max(5),
  };
}

export const TOOLS_STORE = defineStore<ToolRecord>({
  name: "tools",
  called: "a tool",
  counted: ["tool", "tools"],
  gone: { told: "Taken away" },
  says: { set: "its set", label: "its name", tip: "its tip", mm: "its size", leaves: "what it leaves" },
  since: 10,
  indexes: {},
  schema: (joi) => joi.object({ id: recordIdSchema(joi).required(), rev: revSchema(joi).required(), ...toolFields(joi) }),
  meets: {},
  lists: [],
  migrations: [],
});
