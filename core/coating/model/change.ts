import type { StepId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { StepChoice } from "./step";

/** Where a step goes; `start` is the foot of the zone's stack, for a zone that has no steps yet. */
export type Place = { readonly before: StepId } | { readonly after: StepId } | { readonly start: true };

/** A new step in a change; its id is worked out where it lands. */
export type NewStep = Omit<StepChoice, "id" | "origin" | "because" | "checks"> & Partial<Pick<StepChoice, "id" | "origin" | "because" | "checks">>;

/** The one union for fixes, edits, undo, merging two tabs, and the nearest plan of a refusal. */
export type Change =
  | { readonly op: "add"; readonly zone: ZoneId; readonly at: Place; readonly step: NewStep }
  | { readonly op: "remove"; readonly stepId: StepId }
  | { readonly op: "move"; readonly stepId: StepId; readonly at: Place }
  | { readonly op: "set"; readonly stepId: StepId; readonly field: string; readonly value: unknown }
  | { readonly op: "setPiece"; readonly path: string; readonly value: unknown };
