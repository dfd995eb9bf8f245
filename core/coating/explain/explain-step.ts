import type { Catalogue } from "../../catalogue/catalogue";
import type { ProductId, StepId } from "../../catalogue/ids";
import type { Job, ProductClass } from "../../catalogue/product-class";
import type { Role, Severity } from "../../catalogue/vocabulary";
import { completePiece } from "../../piece/complete-piece";
import type { Piece } from "../../piece/piece";
import { applyChanges } from "../model/apply-changes";
import { makeCandidate } from "../planner/candidate";
import type { Change } from "../model/change";
import { leaves, pieceFacts } from "../facts/facts";
import { pieceOf } from "../model/plan";
import type { Candidate, Finding } from "../model/plan";
import type { Step } from "../model/step";
import { choiceOf } from "../model/step-choice";
import { offTrack } from "../facts/off-track";
import { RULES } from "../rules/rules";
import { scoreDifference } from "../facts/trade-offs";
import type { Difference } from "../facts/trade-offs";

/** What a change of the plan brings: faults that were not there before, and what it does to the measures. */
export interface Consequence {
  readonly faults: readonly Finding[];
  /** Scores with the change less scores without it. */
  readonly by: Difference;
}

export interface Substitute extends Consequence {
  readonly product: ProductId;
  readonly coats: number;
  readonly change: readonly Change[];
}

export interface Explanation {
  readonly stepId: StepId;
  /** Without it; `unserved` is what no other step in its zone is there for. */
  readonly leftOut: Consequence & { readonly unserved: readonly string[] };
  /** Products that would do the step's work without a stop, best first. */
  readonly substitutes: readonly Substitute[];
}

const JOBS: Partial<Record<Role, readonly Job[]>> = {
  fill: ["fill"],
  size: ["size"],
  prime: ["ground"],
  base: ["colour", "stain"],
  isolate: ["isolate"],
  decorate: ["decorate"],
  "top-dot": ["decorate"],
  lock: ["lock"],
  seal: ["seal", "inside-seal"],
};

const GRAVE: readonly Severity[] = ["stop", "warn"];
const MOST_SUBSTITUTES = 8;

function doesWorkOf(product: ProductClass, step: Step): boolean {
  const jobs = JOBS[step.role] ?? [];
  if (product.id === step.product || !product.jobs.some((job) => jobs.includes(job))) return false;
  return step.technique === undefined || product.techniques.includes(step.technique);
}

function swapped(step: Step, product: ProductClass): readonly Change[] {
  const set = (field: string, value: unknown): Change => ({ op: "set", stepId: step.id, field, value });
  const sheen = step.sheen && product.sheens.includes(step.sheen) ? step.sheen : product.sheens[0];
  return [
    set("product", product.id),
    set("method", product.methods[0]),
    set("thinning", undefined),
    set("coats", step.marks ? step.coats : product.coats),
    ...(step.sheen || sheen ? [set("sheen", sheen)] : []),
  ];
}

/**
 * Works out what a step is good for: what would be wrong without it, and what else could do its work. Each case is judged
 * anew; nothing of it is stored.
 *
 * @param candidate the plan as it stands, with the user's changes
 * @returns null when the plan has no such step
 */
export function explainStep(piece: Piece, candidate: Candidate, stepId: StepId, catalogue: Catalogue): Explanation | null {
  const step = candidate.zones.flatMap((zone) => zone.steps).find((one) => one.id === stepId);
  if (!step) return null;
  const facts = pieceFacts(completePiece(pieceOf(candidate, piece), catalogue).piece, catalogue);
  const choices = candidate.zones.map((zone) => ({ ...zone, steps: zone.steps.map(choiceOf) }));
  const known = new Set(candidate.findings.map((one) => `${one.code}|${one.zone}`));
  const judged = (changes: readonly Change[]): Consequence => {
    const made = makeCandidate(facts, applyChanges(choices, changes).zones, RULES, { title: "", route: candidate.route });
    return {
      faults: made.findings.filter((one) => GRAVE.includes(one.severity) && !known.has(`${one.code}|${one.zone}`)),
      by: scoreDifference(made.scores, candidate.scores),
    };
  };
  const { constraints } = facts.piece;
  /** How far off usual practice it is to take this here. */
  const unusual = (id: ProductId) => offTrack(catalogue.products.get(id)!, facts);
  const substitutes = [...catalogue.products.values()]
    .filter((product) => doesWorkOf(product, step) && leaves(constraints, product))
    .map((product): Substitute => {
      const hides = swapped(step, product);
      const first = judged(hides);
      const enough = first.faults.find((one) => one.code === "coats-do-not-hide" && one.stepId === stepId)?.fix.change ?? [];
      const change = [...hides, ...enough];
      const coats = change.reduce((count, one) => (one.op === "set" && one.field === "coats" ? Number(one.value) : count), step.coats);
      return { product: product.id, coats, change, ...(enough.length > 0 ? judged(change) : first) };
    })
    .filter((one) => one.faults.every((fault) => fault.severity !== "stop"))
    .sort(
      (a, b) =>
        a.faults.length - b.faults.length ||
        unusual(a.product) - unusual(b.product) ||
        (b.by.durability ?? 0) - (a.by.durability ?? 0) ||
        (a.by.readyDays ?? 0) - (b.by.readyDays ?? 0),
    );
  const rest = candidate.zones.flatMap((zone) => (zone.steps.includes(step) ? zone.steps.filter((one) => one !== step) : []));
  const served = new Set(rest.flatMap((one) => one.because.map((reason) => reason.requirement)));
  const unserved = step.because.filter((reason) => !served.has(reason.requirement)).map((reason) => reason.text);
  return { stepId, leftOut: { ...judged([{ op: "remove", stepId }]), unserved }, substitutes: substitutes.slice(0, MOST_SUBSTITUTES) };
}
