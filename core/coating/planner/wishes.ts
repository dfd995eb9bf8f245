import { productName } from "../../catalogue/catalogue";
import { COMMON_PRACTICE } from "../../catalogue/provenance";
import type { PieceFacts } from "../facts";
import { zoneWord } from "../judge";
import type { Candidate, Finding } from "../plan";

/**
 * Wishes a plan does not keep, each with why: they are honoured or explained, never dropped in silence.
 *
 * @param obstacle what stopped every plan that kept them, when they had to be given up
 */
export function wishFindings(facts: PieceFacts, candidate: Candidate, obstacle: string | null = null): readonly Finding[] {
  const { wishes, decoration } = facts.piece;
  const steps = candidate.zones.flatMap((zone) => zone.steps);
  const unkept: { message: string; why: string }[] = [];
  const uses = (id: string | undefined) => id === undefined || steps.some((step) => step.product === id);
  for (const key of ["primer", "base", "sealer", "guide"] as const) {
    const id = wishes[key];
    if (id !== undefined && !uses(id)) {
      unkept.push({
        message: `You wished for ${productName(facts.catalogue, id).toLowerCase()}; this plan does without`,
        why: obstacle ?? `it does not suit ${facts.material.name.toLowerCase()} in this use`,
      });
    }
  }
  if (wishes.route && wishes.route !== candidate.route) {
    unkept.push({
      message: `You wished for the ${wishes.route} route; this plan takes the ${candidate.route} route`,
      why: obstacle ?? (facts.material.bakeWhy || "nothing in your plan can be set that way"),
    });
  }
  for (const layer of decoration.layers) {
    const zone = facts.zones.find((one) => one.zone === layer.zone);
    if (layer.zone && zone?.treatment !== "paint") {
      unkept.push({
        message: `Nothing is painted on the ${zoneWord(layer.zone)}`,
        why: zone?.mustStayBare?.why ?? (zone ? "you left it bare" : "the piece has no such place"),
      });
    }
  }
  return unkept.map(({ message, why }) => ({
    code: "wish-not-kept",
    severity: "note",
    zone: null,
    stepId: null,
    message,
    why,
    fix: { text: "Take the wish back, or change the piece." },
    provenance: COMMON_PRACTICE,
  }));
}
