import { productName } from "../../catalogue/catalogue";
import { ROLES } from "../../catalogue/vocabulary";
import type { Role, Severity } from "../../catalogue/vocabulary";
import { isClear, isFilm, lastFilm } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import { jarFor } from "../facts/jars";
import type { Finding } from "../model/plan";
import type { Hit, Rule } from "./rule";
import { lowerFirst } from "../../units/letter-case";

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

/** A step as a painter says it: "craft acrylic", "oven baking"; what comes out of a jar of theirs by its own name. */
export function stepWord(fact: StepFact, stack: StackFacts): string {
  const name = productName(stack.catalogue, fact.step.product);
  const jar = fact.product && jarFor(fact.product, fact.step);
  if (jar && jar.name !== name) return jar.name;
  return lowerFirst(name);
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
    between: "",
    how: "",
    ...(hit.at ? { step: stepWord(hit.at, stack) } : {}),
    ...hit.words,
  };
  const severity: Severity = hit.unknown === undefined ? (hit.severity ?? rule.severity) : "note";
  const message = filledIn(rule.message, words);
  const change = typeof hit.change === "function" ? hit.change() : hit.change;
  return {
    code: rule.code,
    severity,
    zone: rule.ofPiece ? null : stack.zone.zone,
    stepId: rule.ofPiece ? null : (hit.at?.step.id ?? null),
    message: hit.unknown === undefined ? message : `${hit.unknown}: ${lowerFirst(message)}`,
    why: filledIn(rule.why, words),
    fix: { text: filledIn(rule.fix, words), ...(change && change.length > 0 ? { change } : {}) },
    provenance: rule.provenance,
  };
}

/** Whether a coat of this role can still be laid over what is on the piece: the roles stand in the usual order of the work. */
function canStillBeLaid(role: Role, stack: StackFacts): boolean {
  const topmost = stack.steps.findLast((fact) => fact.step.done && isFilm(fact));
  if (!topmost) return true;
  // Over a clear film another may go; a second ground or field mends nothing that lies under the first.
  return ROLES.indexOf(role) > ROLES.indexOf(topmost.step.role) || (role === topmost.step.role && isClear(topmost));
}

/** Whether a fault lies in what is on the piece already and no further coat mends it. */
function isPast({ at, culprits, missing = [] }: Hit, rule: Rule, stack: StackFacts): boolean {
  const blamed = culprits && culprits.length > 0 ? culprits : at ? [at] : [];
  if (blamed.length === 0 || !blamed.every((fact) => fact.step.done)) return false;
  if (at && !at.step.done) return false;
  if (missing.some((role) => canStillBeLaid(role, stack))) return false;
  // What the last film is not made for, another one over it may be.
  return !(rule.heading === "Locking and sealing" && at !== null && at === lastFilm(stack));
}

/**
 * Where a rule bites in a stack. Faults of coats that are on the piece and can no longer be mended are left out; what may hurt
 * someone stays, as a word to know.
 *
 * @param rule one row
 * @param stack one zone with its neighbours
 * @returns where it bites; empty where it does not
 */
export function hitsOf(rule: Rule, stack: StackFacts): readonly Hit[] {
  const hits = rule.find(stack);
  if (hits.length === 0 || !stack.steps.some((fact) => fact.step.done)) return hits;
  return hits.flatMap((hit): readonly Hit[] => {
    if (!isPast(hit, rule, stack)) return [hit];
    if (rule.heading !== "People and food") return [];
    const { change: _change, ...said } = hit;
    return [{ ...said, severity: rule.severity === "safety" ? "safety" : "note" }];
  });
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
      for (const hit of hitsOf(rule, stack)) {
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

/**
 * True as soon as any rule would stop one of these stacks. Cheaper than judging in full.
 *
 * @returns the code of the first rule that stops one of them; null where none does
 */
export function firstStop(stacks: readonly StackFacts[], rules: readonly Rule[]): string | null {
  for (const rule of rules) {
    for (const stack of stacks) {
      if (hitsOf(rule, stack).some((hit) => hit.unknown === undefined && (hit.severity ?? rule.severity) === "stop")) return rule.code;
    }
  }
  return null;
}
