import { STANDARD_DROPS_PER_ML } from "#core/film/drops";
import type { Step } from "#core/coating/model/step";
import { NO_THINNER, thinnerName } from "#core/film/thinner-names";

export { thinnerName };

/** What waterborne paint is loosened with, as painters differ in it. */
export const THINNER_CHOICES = [
  { id: "none", name: "nothing: as it comes" },
  { id: "water", name: "water" },
  { id: "gloss-fluid-medium", name: "fluid medium: keeps its binder" },
  { id: "pouring-medium", name: "pouring medium: flows and levels" },
  { id: "fluid-white", name: "fluid white: a tint as well" },
] as const;

function dropsText({ from, to }: { readonly from: number; readonly to: number }): string {
  const [low, high] = [Math.round(from), Math.round(to)];
  return low === high ? `${high} ${high === 1 ? "drop" : "drops"}` : `${low}–${high} drops`;
}

/** From this share of the paint on drops are no longer counted. */
const AS_MUCH = 100;

/** What is to stand ready for thinning: "water to thin with". */
export function thinnersIn(steps: readonly Pick<Step, "thinning" | "done">[]): readonly string[] {
  const used = steps.flatMap(({ thinning, done }) => (thinning && !done && thinning.dropsPerMlOfPaint.to > 0 ? [thinnerName(thinning.with)] : []));
  return [...new Set(used)].filter((name) => name !== NO_THINNER).map((name) => `${name} to thin with`);
}

/**
 * How a coat is thinned, as it is done at the table; null for what is not poured out.
 *
 * @param dropsPerMl the user's own drops to a ml
 */
export function thinningText({ thinning }: Pick<Step, "thinning">, dropsPerMl: number): string | null {
  if (!thinning) return null;
  const { with: thinner, percent, dropsPerMlOfPaint: standard, look, why } = thinning;
  const own = (drops: number) => (drops * dropsPerMl) / STANDARD_DROPS_PER_ML;
  const drops = { from: own(standard.from), to: own(standard.to) };
  const name = thinnerName(thinner);
  if (name === NO_THINNER) return `As it comes: ${why}.`;
  if (percent >= AS_MUCH) return `As much ${name} as paint, or a little more: ${look}.`;
  if (percent === 0)
    return drops.to > 0
      ? `As it comes, or up to ${dropsText({ from: drops.to, to: drops.to })} of ${name} to a thumbnail of paint (1 ml): ${look}.`
      : `As it comes: ${look}.`;
  return `${dropsText(drops)} of ${name} to a thumbnail of paint (1 ml): ${look}.`;
}
