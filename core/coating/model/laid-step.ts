import type { StepId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { StepChoice } from "./step";

/** A step that is on the piece already: stated by the user, or, with its instant, recorded at the bench. */
export interface LaidStep extends Omit<StepChoice, "id" | "origin" | "because" | "checks" | "done"> {
  readonly zone: ZoneId;
  readonly id?: StepId;
}

/** Recorded at the bench: what exactly was laid is known, and when. */
export function isRecorded({ laidAt }: Pick<LaidStep, "laidAt">): boolean {
  return laidAt !== undefined;
}
