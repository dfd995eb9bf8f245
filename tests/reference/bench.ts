/** Shorthand for stating pieces and stacks in tests, as a painter would say them. */
import { CATALOGUE } from "#core/catalogue/catalogue";
import { materialId, productId, useId } from "#core/catalogue/ids";
import type { Role, ZoneId } from "#core/catalogue/vocabulary";
import { freeStepId } from "#core/coating/model/apply-changes";
import type { Candidate } from "#core/coating/model/plan";
import type { Step, StepChoice, ZoneSteps } from "#core/coating/model/step";
import { planPiece } from "#core/coating/planner/plan-piece";
import type { Piece } from "#core/piece/piece";
import { PIECE_FORMAT, PIECE_VERSION } from "#core/piece/piece";

/** Facts of a piece with plain words for ids. */
interface Facts extends Partial<Record<Exclude<keyof Piece, "material" | "uses">, unknown>> {
  readonly uses?: readonly string[];
}

/** A piece from what a test cares about; ids are plain words. */
export function piece(facts: Facts & { readonly material: string }): Piece {
  const { material, uses = ["indoor-display"], ...rest } = facts;
  return {
    format: PIECE_FORMAT,
    version: PIECE_VERSION,
    name: "Test piece",
    form: { kind: "pebble", lengthMm: 70, widthMm: 55, thicknessMm: 25 },
    ...rest,
    material: materialId(material),
    uses: uses.map(useId),
  } as Piece;
}

export const pebble = (more: Facts = {}) => piece({ material: "stone-smooth", ...more });
export const rough = (more: Facts = {}) => piece({ material: "stone-rough", ...more });
export const pot = (more: Facts = {}) =>
  piece({ material: "terracotta", object: "pot", form: { kind: "frustum", topDiameterMm: 200, bottomDiameterMm: 140, heightMm: 190 }, ...more });
export const mug = (more: Facts = {}) =>
  piece({ material: "ceramic-glazed", object: "mug", uses: ["drinkware"], form: { kind: "cylinder", diameterMm: 82, heightMm: 95 }, ...more });
export const jar = (more: Facts = {}) => piece({ material: "glass", object: "jar", form: { kind: "cylinder", diameterMm: 90, heightMm: 120 }, ...more });
export const goblet = (more: Facts = {}) =>
  piece({
    material: "glass",
    uses: ["drinkware"],
    form: { kind: "goblet", bowlDiameterMm: 80, bowlHeightMm: 100, stemHeightMm: 80, footDiameterMm: 70 },
    ...more,
  });
export const tray = (more: Facts = {}) =>
  piece({ material: "wood-hardwood", object: "tray", uses: ["serving-tray"], form: { kind: "box", lengthMm: 400, widthMm: 280, heightMm: 45 }, ...more });
export const woodDisc = (more: Facts = {}) =>
  piece({ material: "wood-hardwood", object: "disc", form: { kind: "disc", diameterMm: 200, thicknessMm: 12 }, ...more });

export const gypsum = (more: Facts = {}) => piece({ material: "gypsum-cast", object: "stone", form: { kind: "dome", diameterMm: 70, heightMm: 26 }, ...more });
export const plate = (more: Facts = {}) =>
  piece({
    material: "ceramic-bisque",
    object: "plate",
    uses: ["tableware"],
    form: { kind: "plate", diameterMm: 210, rimWidthMm: 30 },
    constraints: { kiln: true },
    ...more,
  });
export const box = (more: Facts = {}) =>
  piece({ material: "wood-board", object: "box", uses: ["handled"], form: { kind: "box", lengthMm: 160, widthMm: 110, heightMm: 60 }, ...more });

export type Said = Omit<StepChoice, "id" | "origin" | "because" | "checks">;

/** A step; `after` is the wait before it in minutes, left unsaid when absent. */
export function s(role: Role, product: string, more: Partial<Omit<Said, "role" | "product">> & { after?: number } = {}): Said {
  const { after, ...rest } = more;
  return { role, product: productId(product), ...rest, ...(after === undefined ? {} : { waitBefore: { min: after, until: "dry-to-recoat", set: "hers" } }) };
}

export type Stacks = Partial<Record<ZoneId, readonly Said[]>>;

export function stacks(said: Stacks): readonly ZoneSteps<StepChoice>[] {
  return Object.entries(said).map(([zone, steps]) => {
    const taken: StepChoice["id"][] = [];
    return {
      zone: zone as ZoneId,
      areaMm2: 0,
      steps: (steps ?? []).map((step) => {
        const id = freeStepId(zone as ZoneId, step.role, taken);
        taken.push(id);
        return { ...step, id, origin: "hers" as const, because: [], checks: [] };
      }),
    };
  });
}

/** The first plan of a piece; a refusal fails the test with its reason. */
export function firstPlan(of: Piece): Candidate {
  const set = planPiece(of, CATALOGUE);
  const [first] = set.candidates;
  if (!first) throw new Error(`refused: ${JSON.stringify(set.refusal)}`);
  return first;
}

export function stepsOf(candidate: Candidate, zone: ZoneId) {
  return candidate.zones.find((one) => one.zone === zone)?.steps ?? [];
}

/** "role:product" of a zone's steps, in order. */
export function outline(candidate: Candidate, zone: ZoneId): readonly string[] {
  return stepsOf(candidate, zone).map((step) => `${step.role}:${step.product}`);
}

export const DAY = 24 * 60;

/** What is done, in order. */
export const roles = (steps: readonly Step[]) => steps.map((step) => step.role);
/** Whether something is done, and with this where it is named. */
export const has = (steps: readonly Step[], role: Step["role"], product?: string) =>
  steps.some((step) => step.role === role && (product === undefined || step.product === product));
/** Where it stands in the order; −1 when it is not done. */
export const place = (steps: readonly Step[], role: Step["role"]) => roles(steps).indexOf(role);
/** Every way the engine would do it. */
export const candidates = (of: Piece) => planPiece(of, CATALOGUE).candidates;
/** Everything that any of the ways reaches for. */
export const productsIn = (of: Piece) =>
  new Set(candidates(of).flatMap((one) => one.zones.flatMap((zone) => zone.steps.map((step) => step.product as string))));
