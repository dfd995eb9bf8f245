/** A notebook to try things on: what a screen would ask of the store. */
import { productId, stepId } from "#core/catalogue/ids";
import type { CandidateId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import type { CoatEvent } from "#core/logbook/progress";
import type { Followed } from "~/store/plans";

/** A plan as a screen shows it. */
export function follow(id: CandidateId, school: string): Followed {
  return { candidateId: id, school, basis: null, made: [], madeFor: "facts" };
}

/** A coat of the base colour on the top. */
export function coat(n: number): CoatEvent {
  return { zone: "top", stepId: stepId("top.base.craft-acrylic"), act: { role: "base", product: productId("craft-acrylic"), colour: "#1f3a4d" }, coat: n };
}

/** A fact of a piece, said anew. */
export function set(path: string, value: unknown): Change {
  return { op: "setPiece", path, value };
}
