import type { Candidate } from "../../coating/model/plan";
import type { Step } from "../../coating/model/step";

/**
 * What is looked at before a go is ticked off, or before it is begun where it shuts something in.
 *
 * @param step what is laid
 * @param shown the plan it is of
 * @returns questions the eye or a fingertip answers with yes; those of the step itself first
 */
export function benchChecks(step: Step, shown: Pick<Candidate, "zones">): readonly string[] {
  const steps = shown.zones.flatMap((zone) => zone.steps);
  const hasGuides = steps.some(({ role, product }) => role === "mark" && product !== "scored-line" && product !== "graphite-pencil");
  const own: string[] = [...step.checks];
  const isResin = step.product === "coating-resin";
  if (step.role === "fill" && !isResin) own.push("Turned one colour, and hard?");
  if (isResin || (step.role === "seal" && step.method === "pour")) own.push("Bubbles popped, ten minutes after?");
  if (step.marks && step.role !== "mark") own.push("Spikes swirled flat, bubbles popped?");
  if (step.role === "seal" && hasGuides) own.push("Guides off everywhere?");
  if (step.role === "clean" && step.product === "isopropyl-alcohol") own.push("No finger on it since?");
  if (step.role === "sand") own.push("No high spot under a fingertip?");
  if (step.role === "mask") own.push("Edge pressed down all round?");
  return [...new Set(own)];
}
