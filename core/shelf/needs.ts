import type { ProductId } from "../catalogue/ids";
import type { Sheen } from "../catalogue/vocabulary";
import type { Candidate } from "../coating/model/plan";

/** Paint of one kind and colour that a plan still wants. */
export interface Need {
  readonly product: ProductId;
  /** sRGB hex; absent where it has none. */
  readonly colour?: string;
  /** Of what has no colour. */
  readonly sheen?: Sheen;
  /** The user's jar it is taken from; absent where they own none. */
  readonly jar?: string;
  /** Out of the jar, mL. */
  readonly ml: number;
}

/** What is the same paint: two colours of a class are never one. */
export function needKey({ product, colour, sheen, jar }: Omit<Need, "ml">): string {
  return jar ?? [product, colour?.toLowerCase() ?? "", sheen ?? ""].join("/");
}

/**
 * The paint a plan still wants, by jar and colour.
 *
 * @param candidate a plan; what is done in it wants nothing (see `standingPlan`)
 */
export function needsOf({ zones }: Pick<Candidate, "zones">): readonly Need[] {
  const needs = new Map<string, Need>();
  for (const step of zones.flatMap((zone) => zone.steps)) {
    if (step.done || step.jarMl === null || step.jarMl <= 0) continue;
    const { product, colour, sheen, ownProduct } = step;
    const need = { product, ...(colour ? { colour } : {}), ...(sheen && !colour ? { sheen } : {}), ...(ownProduct ? { jar: ownProduct } : {}) };
    const key = needKey(need);
    needs.set(key, { ...need, ml: (needs.get(key)?.ml ?? 0) + step.jarMl });
  }
  return [...needs.values()];
}
