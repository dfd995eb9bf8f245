import { stepId } from "../../catalogue/ids";
import type { ProductId, StepId } from "../../catalogue/ids";
import type { Role } from "../../catalogue/vocabulary";
import type { StepChoice } from "./step";

/** Roles a zone may have several times: what lies beneath tells them apart. */
const ON_SOMETHING: readonly Role[] = ["sand", "dust-off", "mark", "unmark", "mask", "unmask", "lock"];
/** Roles whose colour tells one layer from the next. */
const COLOURED: readonly Role[] = ["decorate", "top-dot"];

/**
 * Names a step by what it is: zone, role, product, for marks technique, colour and first row, for acts in between the film they are done on. The same step
 * has the same id whatever else is planned around it.
 *
 * @param zone the zone's id, or a motif region
 * @param beneath product of the film directly beneath; null on the bare surface
 * @param taken ids already given in this zone; the new one is added to them
 * @returns the name, with `~2`, `~3` … where the very same step comes again
 * @example stepIdOf("top", { role: "sand", product: "sanding" }, "gesso", new Set()) // "top.sand.sanding.on-gesso"
 */
export function stepIdOf(
  zone: string,
  { role, product, technique, colour, rows }: Pick<StepChoice, "role" | "product" | "technique" | "colour" | "rows">,
  beneath: ProductId | null,
  taken: Set<string>,
): StepId {
  let name = `${zone}.${role}.${product}`;
  if (COLOURED.includes(role))
    name += `${technique ? `.${technique}` : ""}${colour ? `.${colour.slice(1).toLowerCase()}` : ""}${rows?.[0] ? `.${rows[0].id}` : ""}`;
  else if (beneath !== null && ON_SOMETHING.includes(role)) name += `.on-${beneath}`;
  let id = name;
  for (let n = 2; taken.has(id); n += 1) id = `${name}~${n}`;
  taken.add(id);
  return stepId(id);
}
