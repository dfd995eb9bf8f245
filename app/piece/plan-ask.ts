import type { StepId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import { inspectionFields } from "#core/formats/stores/inspections";
import type { InspectionRecord } from "#core/formats/stores/inspections";
import type { CoatEvent } from "#core/logbook/progress";
import type { Rewriting } from "#core/logbook/rescue/rewriting";
import type { Intents } from "~/actions/perform";
import { instantSchema } from "#core/formats/hours-schema";
import { changesField, coatsField, followedField, whatField } from "~/piece/change-asks";
import { recordIdSchema } from "#core/formats/stores/definition";
import type { Followed } from "~/store/plans";

/** What the plan's screen may ask of its action. */
export type PlanAsk =
  | { readonly intent: "edit"; readonly followed: Followed; readonly edits: readonly Change[]; readonly known?: readonly Change[] | null }
  | { readonly intent: "pin"; readonly followed: Followed; readonly stepIds: readonly StepId[]; readonly kept: boolean }
  | { readonly intent: "plain" }
  | { readonly intent: "keep"; readonly followed: Followed }
  | {
      readonly intent: "done";
      readonly followed: Followed;
      readonly coats: readonly CoatEvent[];
      readonly at: string;
      readonly said?: true;
      readonly what?: string;
    }
  | { readonly intent: "started"; readonly followed: Followed; readonly coats: readonly CoatEvent[]; readonly at: string }
  | {
      readonly intent: "put-right";
      readonly followed: Followed;
      readonly rewriting: Rewriting;
      readonly timer: string | null;
      readonly at: string;
      readonly what?: string;
    }
  | ({ readonly intent: "inspected" } & Omit<InspectionRecord, "id" | "rev" | "pieceId">)
  | { readonly intent: "tacky" | "dry"; readonly coats: readonly CoatEvent[]; readonly at: string; readonly what?: string }
  | { readonly intent: "undone"; readonly coats: readonly CoatEvent[]; readonly at: string }
  | { readonly intent: "clock-right"; readonly at: string }
  | { readonly intent: "repair"; readonly followed: Followed; readonly pinned: readonly StepId[] }
  | { readonly intent: "engine"; readonly take: "newer" | "kept" }
  | { readonly intent: "version"; readonly id: string };

export const PLAN_INTENTS: Intents<PlanAsk> = {
  edit: (joi) => ({ followed: followedField(joi), edits: changesField(joi), known: changesField(joi).allow(null).optional() }),
  pin: (joi) => ({ followed: followedField(joi), stepIds: joi.array().items(joi.string().max(120)).min(1).max(60).required(), kept: joi.boolean().required() }),
  plain: () => ({}),
  keep: (joi) => ({ followed: followedField(joi) }),
  done: (joi) => ({
    followed: followedField(joi),
    coats: coatsField(joi),
    at: instantSchema(joi).required(),
    said: joi.boolean().valid(true),
    what: whatField(joi),
  }),
  started: (joi) => ({ followed: followedField(joi), coats: coatsField(joi), at: instantSchema(joi).required() }),
  "put-right": (joi) => ({
    followed: followedField(joi),
    // A page from before what is laid by a remedy was noted says nothing of it.
    rewriting: joi
      .object({
        ruined: coatsField(joi).min(0),
        tacky: coatsField(joi).min(0),
        mended: coatsField(joi).min(0).optional(),
        laid: coatsField(joi).min(0).optional(),
        changes: changesField(joi),
      })
      .required(),
    timer: recordIdSchema(joi).allow(null).required(),
    at: instantSchema(joi).required(),
    what: whatField(joi),
  }),
  inspected: (joi) => inspectionFields(joi),
  dry: (joi) => ({ coats: coatsField(joi), at: instantSchema(joi).required(), what: whatField(joi) }),
  tacky: (joi) => ({ coats: coatsField(joi), at: instantSchema(joi).required(), what: whatField(joi) }),
  undone: (joi) => ({ coats: coatsField(joi), at: instantSchema(joi).required() }),
  "clock-right": (joi) => ({ at: instantSchema(joi).required() }),
  repair: (joi) => ({ followed: followedField(joi), pinned: joi.array().items(joi.string().max(120)).max(200).required() }),
  version: (joi) => ({ id: recordIdSchema(joi).required() }),
  engine: (joi) => ({ take: joi.string().valid("newer", "kept").required() }),
};
