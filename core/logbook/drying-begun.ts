import type { Catalogue } from "../catalogue/catalogue";
import type { Candidate } from "../coating/model/plan";
import { actOf } from "./progress";
import type { CoatEvent } from "./progress";

/** The weighing of a body as it is noted: one that was cast has been drying since it was taken out, in every place of it. */
export function dryingBegun(shown: Candidate, catalogue: Catalogue): readonly CoatEvent[] {
  return shown.zones.flatMap(({ zone, steps }) =>
    steps
      .filter(({ product, role }) => role === "clean" && catalogue.aids.get(product)?.weighs === true)
      .map((step) => ({ zone, stepId: step.id, act: actOf(step), coat: 1 })),
  );
}
