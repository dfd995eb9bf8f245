import { productName } from "../../catalogue/catalogue";
import type { Severity } from "../../catalogue/vocabulary";
import type { StackFacts, StepFact } from "../facts/facts";
import type { Finding } from "../model/plan";
import type { Hit, Rule } from "./rule";

const ZONE_WORDS: Partial<Record<string, string>> = {
  "lip-band": "lip band",
  "food-side": "eating side",
  "inner-strip": "strip inside the rim",
  "glue-spot": "glue spot",
};

/** A zone as a painter says it. */
export function zoneWord(zone: string): string {
  const [place, motif] = zone.split("/motif-");
  if (motif !== undefined) return `motif ${motif} on the ${zoneWord(place!)}`;
  return ZONE_WORDS[zone] ?? zone;
}

/** A step as a painter says it: "craft acrylic", "oven baking". */
export function stepWord(fact: StepFact, stack: StackFacts): string {
  const name = productName(stack.catalogue, fact.step.product);
  return name.charAt(0).toLowerCase() + name.slice(1);
}

function filledIn(text: string, words: Readonly<Record<string, string>>): string {
  const said = text.replace(/\{(\w+)\}/g, (_whole, word: string) => words[word] ?? word);
  return said.charAt(0).toUpperCase() + said.slice(1);
}

/** Says one hit of a rule in the painter's words. */
export function findingOf(rule: Rule, hit: Hit, stack: StackFacts): Finding {
  const words: Record<string, string> = {
    zone: zoneWord(stack.zone.zone),
    material: stack.material.name.toLowerCase(),
    piece: stack.piece.name,
    ...(hit.at ? { step: stepWord(hit.at, stack) } : {}),
    ...hit.words,
  };
  const severity: Severity = hit.unknown === undefined ? (hit.severity ?? rule.severity) : "note";
  const message = filledIn(rule.message, words);
  return {
    code: rule.code,
    severity,
    zone: rule.ofPiece ? null : stack.zone.zone,
    stepId: rule.ofPiece ? null : (hit.at?.step.id ?? null),
    message: hit.unknown === undefined ? message : `${hit.unknown}: ${message.charAt(0).toLowerCase()}${message.slice(1)}`,
    why: filledIn(rule.why, words),
    fix: { text: filledIn(rule.fix, words), ...(hit.change && hit.change.length > 0 ? { change: hit.change } : {}) },
    provenance: rule.provenance,
  };
}

const WEIGHT: Record<Severity, number> = { stop: 0, warn: 1, note: 2, safety: 3 };

/**
 * Judges the stacks of a plan by every rule.
 *
 * @returns findings, gravest first; a caution of the whole piece is said once
 */
export function judge(stacks: readonly StackFacts[], rules: readonly Rule[]): readonly Finding[] {
  const found: Finding[] = [];
  const said = new Set<string>();
  for (const rule of rules) {
    for (const stack of stacks) {
      for (const hit of rule.find(stack)) {
        const one = findingOf(rule, hit, stack);
        const key = rule.ofPiece ? rule.code : `${one.code}|${one.zone}|${one.stepId}|${one.message}`;
        if (said.has(key)) continue;
        said.add(key);
        found.push(one);
      }
    }
  }
  return found.sort((a, b) => WEIGHT[a.severity] - WEIGHT[b.severity]);
}

/** True as soon as any rule would stop one of these stacks. Cheaper than judging in full. */
export function firstStop(stacks: readonly StackFacts[], rules: readonly Rule[]): string | null {
  for (const rule of rules) {
    for (const stack of stacks) {
      if (rule.find(stack).some((hit) => hit.unknown === undefined && (hit.severity ?? rule.severity) === "stop")) return rule.code;
    }
  }
  return null;
}
