import type { Pattern } from "../piece/pattern";

/** A pattern with some of what is said of it said anew, and some no longer said. */
export function changedPattern(pattern: Pattern, set: Partial<Pattern>, clear: readonly (keyof Pattern)[] = []): Pattern {
  return Object.fromEntries(Object.entries({ ...pattern, ...set }).filter(([key]) => !clear.includes(key as keyof Pattern))) as unknown as Pattern;
}

/** A piece's patterns with one of them as it is now: what is said of a place stays without rows too; of which nothing is said any more it is none. */
export function patternsWith(patterns: readonly Pattern[], now: Pattern): readonly Pattern[] {
  const { zone, rows, ...said } = now;
  const others = patterns.filter((one) => one.zone !== zone);
  return rows.length > 0 || Object.keys(said).length > 0 ? [...others, now] : others;
}
