import type { Option, Slot } from "./draft";
import type { ZoneSearch } from "./zone-search";

/** Further off usual practice than this, a way is no school. */
const MOST_STRAIN = 2.5;

/** Where practitioners differ: one way of one decision in the main zone. */
export interface School {
  readonly slot: string;
  readonly option: string;
}

/** Ways that are worked differently first (brush, spray, pour), then more of the same. */
function byMethod(options: readonly Option[]): readonly Option[] {
  const methods = new Set<string>();
  const fresh = options.filter((option) => {
    const method = option.steps[0]?.method ?? "none";
    return !methods.has(method) && methods.add(method);
  });
  return [...fresh, ...options.filter((option) => !fresh.includes(option))];
}

/**
 * The ways practitioners differ by in the main zone of a piece, one of each decision in turn; what is shown already is none, nor what the trade does not
 * reach for here.
 */
export function schoolsOf(main: ZoneSearch, shown: (slot: string, option: string) => boolean): readonly School[] {
  const { catalogue, surface } = main.context;
  const usual = (option: Option) =>
    (option.strain ?? 0) <= MOST_STRAIN &&
    option.steps.every(({ product }) => {
      const known = catalogue.products.get(product);
      return !known || (known.usual.rank < 2 && known.usual.on.includes(surface));
    });
  // Which pencil it is makes no school; guides or none does, and comes last.
  const options = ({ name, options: all }: Slot) => (name === "guides" ? all.filter((option) => option.steps.length === 0) : all);
  const fresh = main.slots
    .filter((slot) => slot.school && slot.options.length > 1)
    .sort((a, b) => Number(a.name === "guides") - Number(b.name === "guides"))
    .map((slot) => byMethod(options(slot).filter(usual)).flatMap((option) => (shown(slot.name, option.key) ? [] : [{ slot: slot.name, option: option.key }])));
  const longest = Math.max(0, ...fresh.map((ways) => ways.length));
  return Array.from({ length: longest }, (_unused, round) => round).flatMap((round) => fresh.flatMap((ways) => ways[round] ?? []));
}
