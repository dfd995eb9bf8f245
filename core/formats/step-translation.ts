import type { RecordedAct } from "../logbook/progress";

type Raw = Readonly<Record<string, unknown>>;

/** Records of all stores as they were found, before anything is known of them. */
export type RawParts = Readonly<Record<string, readonly Record<string, unknown>[]>>;

/** A step of the first engine's plans under its id of now. */
export interface TranslatedStep {
  readonly id: string;
  readonly zone: string;
  readonly act: RecordedAct;
}

/** The steps of a kept plan by the numbered ids they had under the first engine. */
export type StepTranslator = (parts: RawParts, plan: Raw) => ReadonlyMap<string, TranslatedStep>;

const isRaw = (value: unknown): value is Raw => typeof value === "object" && value !== null && !Array.isArray(value);

/** Numbered ids were zone, role and a number. */
function parsed(stepId: string): { readonly zone: string; readonly role: string } {
  const [zone = "", role = ""] = stepId.split(".");
  return { zone, role };
}

/** A plan whose changes and pinned steps name steps by what they are; ids of steps the user added stay. */
export function translatedEdits(plan: Raw, steps: ReadonlyMap<string, TranslatedStep>): Record<string, unknown> {
  const now = (id: unknown) => (typeof id === "string" ? (steps.get(id)?.id ?? id) : id);
  const place = (at: unknown) => (isRaw(at) ? Object.fromEntries(Object.entries(at).map(([key, id]) => [key, now(id)])) : at);
  const edit = (one: unknown) =>
    isRaw(one) ? { ...one, ...("stepId" in one ? { stepId: now(one.stepId) } : {}), ...("at" in one ? { at: place(one.at) } : {}) } : one;
  const { edits, pinned } = plan;
  return { ...plan, ...(Array.isArray(edits) ? { edits: edits.map(edit) } : {}), ...(Array.isArray(pinned) ? { pinned: pinned.map(now) } : {}) };
}

/**
 * A progress record that says itself what was done. Of a step its plan no longer has, only zone and role are known: its product is "unknown".
 *
 * @param parts every store as it was
 */
export function translatedProgress(record: Raw, parts: RawParts, stepsOf: StepTranslator): Record<string, unknown> {
  if ("act" in record || typeof record.stepId !== "string") return { ...record };
  const plan = parts.plans?.find((one) => one.id === record.planId);
  if (!plan) return { ...record };
  const step = stepsOf(parts, plan).get(record.stepId);
  const { zone, role } = parsed(record.stepId);
  const known = step ? { stepId: step.id, zone: step.zone, act: step.act } : { zone, act: { role, product: "unknown" } };
  return { ...record, pieceId: plan.pieceId, ...known };
}
