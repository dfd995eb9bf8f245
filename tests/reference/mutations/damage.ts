/** Ways in which sound plans go wrong at the table. Written from what people do, not from what the rules look for. */
import { productId } from "#core/catalogue/ids";
import type { Role, ZoneId } from "#core/catalogue/vocabulary";
import type { StepChoice, ZoneSteps } from "#core/coating/model/step";
import type { CompletePiece } from "#core/piece/piece";

export type Zones = readonly ZoneSteps<StepChoice>[];

export interface Damage {
  readonly kind: string;
  /** Null where this plan offers no chance for it. `pick` draws a number below a count. */
  readonly spoil: (zones: Zones, piece: CompletePiece, pick: (count: number) => number) => Zones | null;
}

export type Steps = readonly StepChoice[];

/** Spoils one zone in which it can happen. */
export function inOne(zones: Zones, pick: (count: number) => number, change: (steps: Steps, zone: ZoneId) => Steps | null): Zones | null {
  const open = zones.flatMap((zone) => {
    const steps = change(zone.steps, zone.zone);
    return steps ? [{ zone: zone.zone, steps }] : [];
  });
  const chosen = open[pick(Math.max(1, open.length))];
  return chosen ? zones.map((zone) => (zone.zone === chosen.zone ? { ...zone, steps: chosen.steps } : zone)) : null;
}

export const at = (steps: Steps, fits: (step: StepChoice) => boolean) => steps.findIndex(fits);
export const without = (steps: Steps, index: number) => (index < 0 ? null : steps.filter((_step, other) => other !== index));
export const withStep = (steps: Steps, index: number, more: Partial<StepChoice>) =>
  index < 0 ? null : steps.map((step, other) => (other === index ? { ...step, ...more } : step));
export const inserted = (steps: Steps, index: number, step: StepChoice) => (index < 0 ? null : [...steps.slice(0, index), step, ...steps.slice(index)]);
export const role =
  (...roles: Role[]) =>
  (step: StepChoice) =>
    roles.includes(step.role);
export const product =
  (...ids: string[]) =>
  (step: StepChoice) =>
    ids.includes(step.product);

let made = 0;
export function fresh(role: Role, id: string, more: Partial<StepChoice> = {}): StepChoice {
  made += 1;
  return {
    id: `spoilt.${made}` as StepChoice["id"],
    role,
    product: productId(id),
    coats: 1,
    origin: "hers",
    because: [],
    checks: [],
    waitBefore: { min: 24 * 60, until: "dry-through", set: "hers" },
    ...more,
  };
}

export const HURRIED = { min: 2, until: "dry-to-recoat", set: "hers" } as const;
export const hurry = (steps: Steps, index: number) => withStep(steps, index, { waitBefore: HURRIED });
/** No wait at all from one step to another. */
export function hurryAll(steps: Steps, from: number, to: number): Steps | null {
  return to < 0 || from > to ? null : steps.map((step, index) => (index >= from && index <= to ? { ...step, waitBefore: HURRIED } : step));
}
export const SOLVENT: readonly string[] = ["spray-paint", "solvent-enamel"];
export const FILMS: Role[] = ["size", "prime", "base", "isolate", "decorate", "lock", "seal"];
export const damp = (id: string) => ["water-wash", "soap-wash", "fresh-water-soak", "constant-weight"].includes(id);

export function dark(colour: string | undefined): boolean {
  return colour !== undefined && [1, 3, 5].reduce((sum, from) => sum + parseInt(colour.slice(from, from + 2), 16), 0) < 260;
}

/** Spoils every zone alike: what is done to the whole piece. */
export function whole(zones: Zones, change: (steps: Steps) => Steps | null): Zones | null {
  const spoilt = zones.map((zone) => {
    const steps = change(zone.steps);
    return steps && steps !== zone.steps ? { ...zone, steps } : zone;
  });
  return spoilt.some(
    (zone, index) =>
      zone !== zones[index] && zone.steps.length + zones[index]!.steps.length > 0 && JSON.stringify(zone.steps) !== JSON.stringify(zones[index]!.steps),
  )
    ? spoilt
    : null;
}
