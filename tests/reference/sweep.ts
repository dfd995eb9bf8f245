/** A matrix of pieces that a painter might state, and what must be true of every answer. */
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { TechniqueId } from "#core/catalogue/vocabulary";
import { changePiece } from "#core/coating/model/apply-changes";
import type { Candidate, Finding, PlanSet } from "#core/coating/model/plan";
import type { Step } from "#core/coating/model/step";
import { planWithEdits } from "#core/coating/planner/plan-with-edits";
import { canPlan } from "#core/coating/planner/plan-piece";
import { RULES } from "#core/coating/rules/rules";
import { pieceFrom } from "#core/piece/new-piece";
import type { Piece } from "#core/piece/piece";
import { productId } from "#core/catalogue/ids";

const SETS: readonly { readonly techniques: readonly TechniqueId[]; readonly media?: readonly string[] }[] = [
  { techniques: [] },
  { techniques: ["dots"] },
  { techniques: ["bands", "stencil"] },
  { techniques: ["lettering", "outline"], media: ["oil-paint-marker", "acrylic-paint-pen"] },
  { techniques: ["blended", "effect-powder"] },
  { techniques: ["metallic-wash", "raised-line"], media: ["metallic-watercolour", "dimensional-acrylic"] },
];
/** The user's room and what the user allows; everything else stays as it is usually assumed. */
const SETTINGS: readonly Pick<Piece, "room" | "constraints">[] = [
  {},
  { constraints: { oven: false } },
  { constraints: { childSafe: true } },
  { room: { temperatureC: 16, relativeHumidity: 0.68 } },
  { room: { temperatureC: 28, relativeHumidity: 0.4, airflow: "drafty" } },
  { room: { airflow: "fan" }, constraints: { kiln: true, avoid: [productId("gesso"), productId("acrylic-varnish")] } },
];

/** Every material in every use, decorated six ways, in six settings: 5 184 pieces. */
export function* sweepPieces(): Generator<Piece> {
  for (const material of CATALOGUE.materials.keys())
    for (const use of CATALOGUE.uses.keys())
      for (const { techniques, media } of SETS)
        for (const setting of SETTINGS) {
          const piece = pieceFrom({ material, uses: [use], techniques }, CATALOGUE);
          yield { ...piece, ...setting, ...(media ? { decoration: { ...piece.decoration, media: media.map(productId) } } : {}) };
        }
}

const PLANNED = new Set(RULES.filter((rule) => rule.metByPlanning).map((rule) => rule.code));
/** Roles of which a zone has one product. */
const ONE_PRODUCT = ["size", "prime", "base", "isolate", "seal"] as const;

function orphans(steps: readonly Step[], on: "mark" | "mask", off: "unmark" | "unmask"): readonly string[] {
  let standing = 0;
  for (const step of steps) {
    const stays = step.role === "mark" && CATALOGUE.aids.get(step.product)?.guide?.takenOffBy === null;
    if (step.role === on && !stays) standing += 1;
    if (step.role === off) standing -= 1;
    if (standing < 0) return [`an ${off} without a ${on}`];
  }
  const fired = steps.some((step) => step.role === "fire");
  return standing > 0 && !fired ? [`a ${on} that is never taken off`] : [];
}

function zoneFaults(steps: readonly Step[]): readonly string[] {
  const sealed = steps.findIndex((step) => step.role === "seal");
  const doubled = ONE_PRODUCT.filter((role) => new Set(steps.filter((step) => step.role === role).map((step) => step.product)).size > 1);
  return [
    ...(sealed >= 0 && steps.slice(sealed).some((step) => step.role === "sand") ? ["sanded after it is sealed"] : []),
    ...orphans(steps, "mark", "unmark"),
    ...orphans(steps, "mask", "unmask"),
    ...doubled.map((role) => `two products ${role} one zone`),
    ...steps.filter((step) => step.because.length === 0).map((step) => `${step.product} serves nothing`),
  ];
}

/** What is silly about a plan, if anything. */
export function senseFaults(candidate: Candidate): readonly string[] {
  const stops = candidate.findings.filter((one) => one.severity === "stop").map((one) => `stopped by ${one.code}`);
  // A note or a likely fault of a wait or a coat the planner set itself.
  const unmet = candidate.findings.filter((one) => PLANNED.has(one.code) && one.severity === "warn").map((one) => `its own waits or coats break ${one.code}`);
  return [...stops, ...unmet, ...candidate.zones.flatMap((zone) => zoneFaults(zone.steps).map((fault) => `${zone.zone}: ${fault}`))];
}

/** Whether the fix of a finding clears it and stops nothing. */
export function fixFault(piece: Piece, candidate: Candidate, finding: Finding): string | null {
  const { change } = finding.fix;
  if (!change) return null;
  const edits = change.filter((one) => one.op !== "setPiece");
  const changed = changePiece(piece, change);
  if (changed !== piece && !canPlan(changed, CATALOGUE)) return `the fix of ${finding.code} leaves no plan`;
  const { shown } = planWithEdits(changed, { candidateId: candidate.id, school: candidate.school, edits }, CATALOGUE);
  if (!shown) return `the fix of ${finding.code} leaves no plan`;
  const same = shown.findings.some((one) => one.code === finding.code && one.stepId === finding.stepId && one.zone === finding.zone);
  if (same) return `the fix of ${finding.code} does not clear it`;
  const stop = shown.findings.find((one) => one.severity === "stop");
  return stop ? `the fix of ${finding.code} brings ${stop.code}` : null;
}

/** What is wrong with an answer: empty without a reason, a refusal whose way out does not plan, a silly candidate. */
export function answerFaults(set: PlanSet): readonly string[] {
  if (set.candidates.length > 0) return set.candidates.flatMap(senseFaults);
  if (!set.refusal) return ["an empty answer without a reason"];
  if (!set.refusal.nearest) return [`refused by ${set.refusal.code} without a way out`];
  return canPlan(changePiece(set.piece, set.refusal.nearest.changes), CATALOGUE) ? [] : [`the way out of ${set.refusal.code} does not plan`];
}
