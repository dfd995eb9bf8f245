/** A matrix of pieces that a painter might state, and what must be true of every answer. */
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { TechniqueId } from "#core/catalogue/vocabulary";
import { changePiece } from "#core/coating/model/apply-changes";
import { pieceFacts } from "#core/coating/facts/facts";
import { pieceOf } from "#core/coating/model/plan";
import type { Candidate, Finding, PlanSet } from "#core/coating/model/plan";
import { isLiquid } from "#core/film/purposes";
import { completePiece } from "#core/piece/complete-piece";
import type { Step } from "#core/coating/model/step";
import { planWithEdits } from "#core/coating/planner/plan-with-edits";
import { canPlan } from "#core/coating/planner/piece-search";
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

/** Techniques whose marks are set beside each other in one sitting. */
const IN_ONE_SITTING: readonly TechniqueId[] = ["dots", "walked-dots", "swipes", "lettering", "raised-line"];
const CLEARS = ["lock", "isolate", "seal"];
const product = (step: Step) => CATALOGUE.products.get(step.product);

/** Guides under a clear film or under a field, marks of one kind that wait for each other, a coat that does not say how it is thinned. */
function orderFaults(steps: readonly Step[]): readonly string[] {
  const from = steps.findIndex((step) => step.role === "mark");
  const off = steps.findIndex((step) => step.role === "unmark");
  const under = from < 0 || off < 0 ? [] : steps.slice(from, off);
  const fired = steps.some((step) => step.role === "fire");
  const marks = steps.filter((step) => step.role === "decorate" && step.technique && IN_ONE_SITTING.includes(step.technique));
  return [
    ...under.filter((step) => CLEARS.includes(step.role)).map((step) => `guides lie under the ${step.role}`),
    ...under
      .filter((step) => step.role === "base" || step.while === "wet" || step.role === "mask")
      .map((step) => `guides are laid before the ${step.role} they should lie on`),
    ...marks
      .slice(1)
      .flatMap((step, at) => (step.technique === marks[at]!.technique && step.waitBefore && !fired ? ["dots of two colours wait for each other"] : [])),
    ...steps
      .filter((step) => !step.done && product(step) && isLiquid(product(step)!, step.method) && step.thinning === null)
      .map((step) => `${step.product} does not say how it is thinned`),
  ];
}

function zoneFaults(steps: readonly Step[]): readonly string[] {
  const sealed = steps.findIndex((step) => step.role === "seal");
  const doubled = ONE_PRODUCT.filter((role) => new Set(steps.filter((step) => step.role === role).map((step) => step.product)).size > 1);
  return [
    ...(sealed >= 0 && steps.slice(sealed).some((step) => step.role === "sand") ? ["sanded after it is sealed"] : []),
    ...orphans(steps, "mark", "unmark"),
    ...orphans(steps, "mask", "unmask"),
    ...doubled.map((role) => `two products ${role} one zone`),
    ...orderFaults(steps),
    ...steps.filter((step) => step.because.length === 0).map((step) => `${step.product} serves nothing`),
  ];
}

/** A face of worked wood, or the back of what goes to someone, that is neither finished nor left bare on purpose. */
function rawFaults(piece: Piece, candidate: Candidate): readonly string[] {
  const { material, piece: complete, zones } = pieceFacts(completePiece(pieceOf(candidate, piece), CATALOGUE).piece, CATALOGUE);
  const worked = candidate.zones.length > 0;
  const sold = complete.uses.some((use) => CATALOGUE.uses.get(use)?.finishedUnderside);
  return zones
    .filter((zone) => zone.mustStayBare === null && zone.template.exposure !== "joint" && zone.motifGround === undefined && worked)
    .filter(
      (zone) => material.surface === "wood" || (sold && zone.template.exposure === "underside" && material.surface !== "slick" && candidate.route !== "kiln"),
    )
    .filter((zone) => !candidate.zones.some((one) => one.zone === zone.zone && one.steps.some((step) => step.wetMicrons !== null)))
    .map((zone) => `the ${zone.zone} stays raw`);
}

/** A paint the user named that is neither in the first plan nor said to be left out. */
function namedFaults(piece: Piece, first: Candidate): readonly string[] {
  const said = first.findings.filter((one) => one.code === "wish-not-kept").map((one) => one.message.toLowerCase());
  return (piece.decoration?.media ?? [])
    .filter((medium) => !first.zones.some((zone) => zone.steps.some((step) => step.product === medium)))
    .filter((medium) => !said.some((message) => message.includes(CATALOGUE.products.get(medium)!.name.toLowerCase())))
    .map((medium) => `${medium} is dropped without a word`);
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

/** "Ready soonest" is soonest in the hand and soonest through its cure. */
function titleFaults(candidates: readonly Candidate[]): readonly string[] {
  const soonest = candidates.find((one) => one.title === "Ready soonest");
  if (!soonest) return [];
  const sooner = (one: Candidate) => one.scores.readyDays < soonest.scores.readyDays || one.totals.handleAfterMin < soonest.totals.handleAfterMin;
  return candidates.filter(sooner).map((one) => `"Ready soonest" is ready later than "${one.title}"`);
}

/** What is wrong with an answer: empty without a reason, a refusal whose way out does not plan, a silly candidate. */
export function answerFaults(set: PlanSet): readonly string[] {
  const [first] = set.candidates;
  if (first)
    return [
      ...set.candidates.flatMap((one) => [...senseFaults(one), ...rawFaults(set.piece, one)]),
      ...namedFaults(set.piece, first),
      ...titleFaults(set.candidates),
    ];
  if (!set.refusal) return ["an empty answer without a reason"];
  if (!set.refusal.nearest) return [`refused by ${set.refusal.code} without a way out`];
  return canPlan(changePiece(set.piece, set.refusal.nearest.changes), CATALOGUE) ? [] : [`the way out of ${set.refusal.code} does not plan`];
}
