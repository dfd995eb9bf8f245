import { powderUsedG } from "../casting/pour";
import type { Pour } from "../casting/pour";

/** A bag, as far as its stock goes. */
export interface Bag {
  readonly id: string;
  /** What was seen in it, g, and when, ISO 8601. */
  readonly left?: { readonly g: number; readonly at: string };
}

/**
 * What is left in a bag now: what the user saw in it, less what was weighed out of it since.
 *
 * @returns g, from 0; null where it was never said
 */
export function powderLeftG({ id, left }: Bag, pours: readonly Pick<Pour, "powder" | "bowls" | "at">[]): number | null {
  if (!left) return null;
  const used = pours.filter(({ powder, at }) => powder.compound === id && at > left.at).reduce((sum, pour) => sum + powderUsedG(pour), 0);
  return Math.max(0, left.g - used);
}
