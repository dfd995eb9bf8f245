import { stepId } from "../../catalogue/ids";
import type { StepId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { Change, NewStep, Place } from "./change";
import type { StepChoice, ZoneSteps } from "./step";

type Zones = readonly ZoneSteps<StepChoice>[];

export interface Applied {
  readonly zones: Zones;
  /** Changes that name a step which is no longer there; the rest were applied. */
  readonly lost: readonly Change[];
}

/**
 * An id not yet used in the zone: zone, role and the next number.
 *
 * @param taken ids of the zone so far
 * @returns an id that is not among them
 */
export function freeStepId(zone: ZoneId, role: string, taken: Iterable<StepId>): StepId {
  const used = new Set<string>(taken);
  for (let n = 1; ; n += 1) {
    const id = `${zone}.${role}.${n}`;
    if (!used.has(id)) return stepId(id);
  }
}

function placed(steps: readonly StepChoice[], at: Place, step: StepChoice): readonly StepChoice[] | null {
  if ("start" in at) return [step, ...steps];
  const anchor = "before" in at ? at.before : at.after;
  const index = steps.findIndex((one) => one.id === anchor);
  if (index < 0) return null;
  const cut = "before" in at ? index : index + 1;
  return [...steps.slice(0, cut), step, ...steps.slice(cut)];
}

function born(zone: ZoneSteps<StepChoice>, fresh: NewStep): StepChoice {
  return {
    ...fresh,
    id:
      fresh.id ??
      freeStepId(
        zone.zone,
        fresh.role,
        zone.steps.map((one) => one.id),
      ),
    origin: fresh.origin ?? "hers",
    because: fresh.because ?? [],
    checks: fresh.checks ?? [],
  };
}

function inZone(zone: ZoneSteps<StepChoice>, change: Exclude<Change, { op: "setPiece" }>): readonly StepChoice[] | null {
  switch (change.op) {
    case "add":
      return change.zone === zone.zone ? placed(zone.steps, change.at, born(zone, change.step)) : null;
    case "remove":
      return zone.steps.some((one) => one.id === change.stepId) ? zone.steps.filter((one) => one.id !== change.stepId) : null;
    case "move": {
      const moving = zone.steps.find((one) => one.id === change.stepId);
      return moving
        ? placed(
            zone.steps.filter((one) => one !== moving),
            change.at,
            moving,
          )
        : null;
    }
    case "set":
      if (!zone.steps.some((one) => one.id === change.stepId)) return null;
      return zone.steps.map((one) => (one.id === change.stepId ? { ...one, [change.field]: change.value } : one));
  }
}

/**
 * Applies changes to the steps of a plan. Changes to the piece are left to `changePiece`.
 *
 * @returns the new stacks and the changes that found nothing to act on
 */
export function applyChanges(zones: Zones, changes: readonly Change[]): Applied {
  const lost: Change[] = [];
  let current = zones;
  for (const change of changes) {
    if (change.op === "setPiece") continue;
    let hit = false;
    current = current.map((zone) => {
      const steps = inZone(zone, change);
      if (!steps) return zone;
      hit = true;
      return { ...zone, steps };
    });
    if (!hit) lost.push(change);
  }
  return { zones: current, lost };
}

function setAt(target: unknown, path: readonly string[], value: unknown): unknown {
  const [head, ...rest] = path;
  if (head === undefined) return value;
  const record = (typeof target === "object" && target !== null ? target : {}) as Record<string, unknown>;
  const { [head]: inside, ...others } = record;
  if (rest.length === 0 && value === undefined) return others;
  return { ...record, [head]: setAt(inside, rest, value) };
}

/**
 * Applies the `setPiece` changes to a piece; an undefined value takes the field away.
 *
 * @param piece any piece-like record; it is not touched
 * @param changes others than `setPiece` are passed over
 * @returns the changed record
 * @example changePiece({ count: 1 }, [{ op: "setPiece", path: "count", value: 2 }]) // { count: 2 }
 */
export function changePiece<P extends object>(piece: P, changes: readonly Change[]): P {
  return changes.reduce<P>((current, change) => (change.op === "setPiece" ? (setAt(current, change.path.split("."), change.value) as P) : current), piece);
}

/**
 * Changes with others after them. A setting that is set anew needs its earlier values no longer: stepping a number does not fill a plan. Settings from
 * before something was put in, moved or taken out stay, as they may be of what was there then.
 *
 * @param before changes that are made already
 * @param after changes that come after them
 */
export function changesWith(before: readonly Change[], after: readonly Change[]): readonly Change[] {
  const isSetAnew = (old: Change) => old.op === "set" && after.some((one) => one.op === "set" && one.stepId === old.stepId && one.field === old.field);
  const last = before.findLastIndex((one) => one.op !== "set");
  return [...before.slice(0, last + 1), ...before.slice(last + 1).filter((one) => !isSetAnew(one)), ...after];
}
