import type { DryingStage } from "../../catalogue/vocabulary";

/** What a film is touched with, the stage it is to have reached in mind [published: ASTM D1640 describes each by what touches it]. */
export const TOUCHES = ["finger", "nail", "cloth"] as const;
export type Touch = (typeof TOUCHES)[number];

/** Stages that may be learnt at the table. Dry-through, cure and what a bake needs are not: a film that is soft inside feels dry. */
export const LEARNT_STAGES = ["set-to-touch", "dry-to-touch", "dry-to-recoat", "dry-hard"] as const satisfies readonly DryingStage[];
export type LearntStage = (typeof LEARNT_STAGES)[number];

/**
 * Whether how long a film takes to a stage may be learnt from looks at it.
 *
 * @example isLearnt("dry-to-recoat") // true
 * @example isLearnt("dry-through") // false
 */
export function isLearnt(stage: DryingStage): stage is LearntStage {
  return (LEARNT_STAGES as readonly DryingStage[]).includes(stage);
}

const TOUCH_OF: Readonly<Partial<Record<DryingStage, Touch>>> = { "dry-hard": "nail", "dry-through": "nail", cured: "cloth" };

/**
 * What a film is touched with to see whether it has reached a stage.
 *
 * @example touchFor("dry-to-recoat") // "finger"
 */
export function touchFor(stage: DryingStage): Touch {
  return TOUCH_OF[stage] ?? "finger";
}
