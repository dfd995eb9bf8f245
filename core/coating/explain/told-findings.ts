import type { ZoneId } from "../../catalogue/vocabulary";
import type { Change } from "../model/change";
import type { Finding } from "../model/plan";

/** What is found in several places, told once. */
export interface ToldFinding {
  readonly finding: Finding;
  /** Where it is found; none where it is of the whole piece. */
  readonly zones: readonly ZoneId[];
  /** What mends it everywhere; null where nothing does by itself. */
  readonly change: readonly Change[] | null;
}

const wordsOf = ({ code, severity, message, why, fix }: Finding) => [code, severity, message, why, fix.text, fix.change === undefined].join("|");

/**
 * Findings that say the same of several places, each said once, in the order they come.
 *
 * @param findings of one plan
 */
export function toldFindings(findings: readonly Finding[]): readonly ToldFinding[] {
  const groups = new Map<string, Finding[]>();
  for (const one of findings) groups.set(wordsOf(one), [...(groups.get(wordsOf(one)) ?? []), one]);
  return [...groups.values()].map((same) => {
    const changes = same.flatMap(({ fix }) => fix.change ?? []);
    const each = [...new Map(changes.map((change) => [JSON.stringify(change), change])).values()];
    return { finding: same[0]!, zones: [...new Set(same.flatMap(({ zone }) => zone ?? []))], change: same[0]!.fix.change === undefined ? null : each };
  });
}
