import type { DryingValues } from "../catalogue/product-class";
import type { DryingStage } from "../catalogue/vocabulary";

/**
 * What a label itself says of a stage, at 23 °C and 50 %.
 *
 * @param drying of the class, or of the user's own jar where its label says otherwise
 * @returns minutes; undefined where labels say nothing of that stage
 */
export function labelMin({ touch, recoat, through }: Pick<DryingValues, "touch" | "recoat" | "through">, stage: DryingStage): number | undefined {
  if (stage === "set-to-touch" || stage === "dry-to-touch") return touch.typical;
  if (stage === "dry-to-recoat" || stage === "dry-hard") return (recoat ?? touch).typical;
  return stage === "dry-through" ? through?.typical : undefined;
}
