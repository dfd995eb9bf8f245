import type { Catalogue } from "../catalogue/catalogue";
import { stepId } from "../catalogue/ids";
import { applyChanges } from "../coating/model/apply-changes";
import type { Change } from "../coating/model/change";
import type { StepChoice, ZoneSteps } from "../coating/model/step";
import { choiceOf } from "../coating/model/step-choice";
import { planWithEdits } from "../coating/planner/plan-with-edits";
import { actOf } from "../logbook/progress";
import type { Piece } from "../piece/piece";
import { parsePiece } from "./parse-piece";
import type { StepTranslator, TranslatedStep } from "./step-translation";

interface OldPlan {
  readonly pieceId?: string;
  readonly candidateId?: string;
  readonly school?: string;
  readonly edits?: readonly Change[];
}

/** A plan's stacks with the ids the first engine gave: zone, role and a number. */
function numbered(zones: readonly ZoneSteps<StepChoice>[]): { readonly zones: readonly ZoneSteps<StepChoice>[]; readonly nowOf: ReadonlyMap<string, string> } {
  const nowOf = new Map<string, string>();
  const old = zones.map((zone) => {
    const counts = new Map<string, number>();
    const steps = zone.steps.map((step) => {
      const n = (counts.get(step.role) ?? 0) + 1;
      counts.set(step.role, n);
      const id = stepId(`${zone.zone}.${step.role}.${n}`);
      nowOf.set(id, step.id);
      return { ...step, id };
    });
    return { ...zone, steps };
  });
  return { zones: old, nowOf };
}

/** Works the plan out as it was kept, and tells its steps by their old ids; steps the user added keep theirs. */
function stepsOfPlan(piece: Piece, { candidateId, school = "", edits = [] }: OldPlan, catalogue: Catalogue): ReadonlyMap<string, TranslatedStep> {
  const { shown } = planWithEdits(piece, { candidateId: (candidateId ?? null) as never, school, edits: [] }, catalogue);
  if (!shown) return new Map();
  const { zones, nowOf } = numbered(shown.zones.map((zone) => ({ ...zone, steps: zone.steps.map(choiceOf) })));
  const films = new Map(shown.zones.flatMap((zone) => zone.steps.map((step) => [step.id as string, step.wetMicrons] as const)));
  const edited = applyChanges(zones, edits).zones;
  const all = [...zones, ...edited].flatMap(({ zone, steps }) =>
    steps.map((step): readonly [string, TranslatedStep] => {
      const id = nowOf.get(step.id) ?? step.id;
      return [step.id, { id, zone, act: actOf({ ...step, wetMicrons: films.get(id) ?? null }) }];
    }),
  );
  return new Map(all);
}

/**
 * Tells the steps of plans kept by the first engine, whose steps were numbered.
 *
 * @returns a translator that works each plan out once; of a plan whose piece cannot be read it knows no step
 */
export function legacySteps(catalogue: Catalogue): StepTranslator {
  const known = new Map<unknown, ReadonlyMap<string, TranslatedStep>>();
  return (parts, plan) => {
    const found = known.get(plan.id);
    if (found) return found;
    const record = parts.pieces?.find((one) => one.id === plan.pieceId);
    const piece = parsePiece(record?.piece, catalogue);
    const steps = piece.ok ? stepsOfPlan(piece.value, plan as OldPlan, catalogue) : new Map<string, TranslatedStep>();
    known.set(plan.id, steps);
    return steps;
  };
}
