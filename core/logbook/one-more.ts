import type { ZoneId } from "../catalogue/vocabulary";
import type { Change, NewStep } from "../coating/model/change";
import type { Step } from "../coating/model/step";

/** The same stuff as a step of its own, one coat. */
export function again({ role, product, colour, sheen, technique, method, jar, thinning }: Step): NewStep {
  return {
    role,
    product,
    coats: 1,
    method,
    ...(colour === undefined ? {} : { colour }),
    ...(sheen === undefined ? {} : { sheen }),
    ...(technique === undefined ? {} : { technique }),
    ...(jar === undefined ? {} : { jar }),
    ...(thinning ? { thinning: { with: thinning.with, percent: thinning.percent } } : {}),
  };
}

/**
 * One coat more of a step: of what is on the piece already, or lies beneath something, a step of its own on top.
 *
 * @param top the last band that is on the same place; the step itself where nothing lies on it
 */
export function oneMore(zone: ZoneId, step: Step, top: Step = step): Change {
  if (step.done || top.id !== step.id) return { op: "add", zone, at: { after: top.id }, step: again(step) };
  return { op: "set", stepId: step.id, field: "coats", value: step.coats + 1 };
}
