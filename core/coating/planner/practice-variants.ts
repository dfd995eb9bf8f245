import type { Alternative, DecisionVariable } from "./draft";
import { offTrack } from "../facts/off-track";
import type { ZoneSearch } from "./zone-search";

/** Further off usual practice than this, an alternative is no school. */
const MOST_STRAIN = 2.5;

/** Where practitioners differ: one alternative of one decision in the main zone. */
export interface PracticeVariant {
  readonly variable: string;
  readonly alternative: string;
}

/** Ways that are worked differently first (brush, spray, pour), then more of the same. */
function byMethod(alternatives: readonly Alternative[]): readonly Alternative[] {
  const methods = new Set<string>();
  const fresh = alternatives.filter((alternative) => {
    const method = alternative.steps[0]?.method ?? "none";
    return !methods.has(method) && methods.add(method);
  });
  return [...fresh, ...alternatives.filter((alternative) => !fresh.includes(alternative))];
}

/**
 * The alternatives practitioners differ by in the main zone of a piece, one of each decision in turn; what is shown already is none, nor what the trade does not
 * reach for here.
 */
export function practiceVariants(main: ZoneSearch, shown: (variable: string, alternative: string) => boolean): readonly PracticeVariant[] {
  const { catalogue } = main.context;
  const usual = (alternative: Alternative) =>
    (alternative.strain ?? 0) <= MOST_STRAIN &&
    alternative.steps.every(({ product }) => {
      const known = catalogue.products.get(product);
      return !known || offTrack(known, main.context) < 2;
    });
  // Which pencil it is makes no school; guides or none does, and comes last.
  const alternatives = ({ name, alternatives: all }: DecisionVariable) =>
    name === "guides" ? all.filter((alternative) => alternative.steps.length === 0) : all;
  const fresh = main.variables
    .filter((variable) => variable.school && variable.alternatives.length > 1)
    .sort((a, b) => Number(a.name === "guides") - Number(b.name === "guides"))
    .map((variable) =>
      byMethod(alternatives(variable).filter(usual)).flatMap((alternative) =>
        shown(variable.name, alternative.key) ? [] : [{ variable: variable.name, alternative: alternative.key }],
      ),
    );
  const longest = Math.max(0, ...fresh.map((alternatives) => alternatives.length));
  return Array.from({ length: longest }, (_unused, round) => round).flatMap((round) => fresh.flatMap((alternatives) => alternatives[round] ?? []));
}
