import type { Catalogue } from "../../catalogue/catalogue";
import type { ProductId, StepId } from "../../catalogue/ids";
import type { Job, ProductClass } from "../../catalogue/product-class";
import type { Role, Severity } from "../../catalogue/vocabulary";
import { whatIf } from "../../drying/what-if";
import type { WhatIf } from "../../drying/what-if";
import { completePiece } from "../../piece/complete-piece";
import type { Piece, Room } from "../../piece/piece";
import { applyChanges } from "../model/apply-changes";
import { makeCandidate } from "../planner/candidate";
import type { Change } from "../model/change";
import { leaves, pieceFacts } from "../facts/facts";
import { pieceOf } from "../model/plan";
import type { Candidate, Finding } from "../model/plan";
import type { Step } from "../model/step";
import { choiceOf } from "../model/step-choice";
import { offTrack } from "../facts/off-track";
import { coatsSetBy, withCoatsReckoned } from "../planner/reckoned";
import { RULES } from "../rules/rules";
import { scoreDifference } from "../facts/trade-offs";
import type { Difference } from "../facts/trade-offs";

/** A colour that takes more or fewer coats because something beneath it has changed. */
export interface CoatsChanged {
  readonly step: StepId;
  readonly product: ProductId;
  readonly from: number;
  readonly to: number;
}

/** What a change of the plan brings: coats worked out anew, faults that were not there before, what it does to the measures and to the paint. */
export interface Consequence {
  /** Other colours that take more or fewer coats with it. */
  readonly others: readonly CoatsChanged[];
  /** Paint out of the jars, mL: with the change less without it. */
  readonly jarMl: number;
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
  /** What would have it dry sooner in this room; none where nothing is worth it. */
  readonly sooner: readonly WhatIf[];
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

function paintIn({ totals }: Candidate): number {
  return Object.values(totals.jarMlByProduct).reduce((sum, ml) => sum + ml, 0);
}

function coatsChanged(before: Candidate, after: Candidate, but: ReadonlySet<StepId>): readonly CoatsChanged[] {
  const was = new Map(before.zones.flatMap((zone) => zone.steps).map((step) => [step.id, step]));
  return after.zones
    .flatMap((zone) => zone.steps)
    .flatMap((step): readonly CoatsChanged[] => {
      const old = was.get(step.id);
      return old && !but.has(step.id) && old.product === step.product && old.coats !== step.coats
        ? [{ step: step.id, product: step.product, from: old.coats, to: step.coats }]
        : [];
    });
}

/** What warmth, a fan or drier air would do for the film of a step. */
function soonerDry({ product: id, marks, wetMicrons, thinning }: Step, catalogue: Catalogue, room: Room): readonly WhatIf[] {
  const product = catalogue.products.get(id as ProductId);
  if (!product || product.drying.by === "none") return [];
  const film = marks ? { marks: { diameterMm: marks.diameterMm } } : wetMicrons ? { wetMicrons } : {};
  return whatIf({ product, room, ...film, ...(thinning ? { thinningPercent: thinning.percent } : {}) });
}

/**
 * Works out what a step is good for: what would be wrong without it, and what else could do its work. Each case is judged
 * anew; nothing of it is stored.
 *
 * @param candidate the plan as it stands, with the user's changes
 * @param edits the user's changes to the plan: coats they set stay as they are
 * @returns null when the plan has no such step
 */
export function explainStep(piece: Piece, candidate: Candidate, stepId: StepId, catalogue: Catalogue, edits: readonly Change[] = []): Explanation | null {
  const step = candidate.zones.flatMap((zone) => zone.steps).find((one) => one.id === stepId);
  if (!step) return null;
  // What several places get alike is changed in all of them.
  const act = candidate.acts.find((one) => one.stepIds.includes(stepId));
  const own = new Set(act?.stepIds ?? [stepId]);
  const inAct = candidate.zones.flatMap((zone) => zone.steps).filter((one) => own.has(one.id));
  const facts = pieceFacts(completePiece(pieceOf(candidate, piece), catalogue).piece, catalogue);
  const choices = candidate.zones.map((zone) => ({ ...zone, steps: zone.steps.map(choiceOf) }));
  const known = new Set(candidate.findings.map((one) => `${one.code}|${one.zone}`));
  const judged = (changes: readonly Change[]): Consequence & { readonly made: Candidate } => {
    const applied = withCoatsReckoned(facts, applyChanges(choices, changes).zones, coatsSetBy(edits));
    const made = makeCandidate(facts, applied, RULES, { title: "", route: candidate.route });
    return {
      made,
      others: coatsChanged(candidate, made, own),
      jarMl: paintIn(made) - paintIn(candidate),
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
      const swap = inAct.flatMap((one) => swapped(one, product));
      const { made, ...brings } = judged(swap);
      const laid = made.zones.flatMap((zone) => zone.steps).filter((one) => own.has(one.id));
      const coats = laid.map((one): Change => ({ op: "set", stepId: one.id, field: "coats", value: one.coats }));
      return { product: product.id, coats: laid.find((one) => one.id === stepId)?.coats ?? step.coats, change: [...swap, ...coats], ...brings };
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
  const { made: _without, ...without } = judged([...own].map((id): Change => ({ op: "remove", stepId: id })));
  const sooner = soonerDry(step, catalogue, facts.piece.room);
  return { stepId, leftOut: { ...without, unserved }, substitutes: substitutes.slice(0, MOST_SUBSTITUTES), sooner };
}
