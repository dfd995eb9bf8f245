import type { Role } from "../../catalogue/vocabulary";
import type { StackFacts, StepFact } from "../facts/facts";
import { hitsOf } from "../rules/judge";
import type { Hit, Rule } from "../rules/rule";

export interface Violation {
  readonly code: string;
  readonly severity: "stop" | "warn";
  readonly culprits: readonly StepFact[] | null;
  readonly missing: readonly Role[];
  readonly rule: Rule;
  readonly hit: Hit;
}

/** Rules a choice of steps can answer to; the room and the piece itself count against every stack alike. */
export function avoidableCodes(rules: readonly Rule[]): ReadonlySet<string> {
  return new Set(rules.filter((rule) => !rule.ofPiece && rule.heading !== "Time and room").map((rule) => rule.code));
}

/**
 * Judges one zone's stack for the search: every stop and every avoidable likely fault, so that one stack teaches all it can;
 * writes no messages.
 */
export function violationsOf(stack: StackFacts, rules: readonly Rule[], avoidable: ReadonlySet<string>): readonly Violation[] {
  const faults: Violation[] = [];
  for (const rule of rules) {
    if (rule.metByPlanning) continue;
    // A rule may lower its severity, never raise it: these two can neither stop a stack nor count against it.
    if (rule.severity === "safety" || rule.severity === "note") continue;
    for (const hit of hitsOf(rule, stack)) {
      const severity = hit.severity ?? rule.severity;
      if (hit.unknown !== undefined || (severity !== "stop" && severity !== "warn")) continue;
      const fault = { code: rule.code, severity, culprits: hit.culprits ?? null, missing: hit.missing ?? [], rule, hit };
      if (severity === "stop" || avoidable.has(rule.code)) faults.push(fault);
    }
  }
  return faults;
}
