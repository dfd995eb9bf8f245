import type { Catalogue } from "../../catalogue/catalogue";
import type { Material, MaterialTrait } from "../../catalogue/material";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { StepId } from "../../catalogue/ids";
import type { Candidate } from "../../coating/model/plan";
import type { Step } from "../../coating/model/step";
import type { Task } from "../../coating/facts/task";
import { workableMin } from "../../drying/film-drying";
import type { Piece } from "../../piece/piece";
import { MS_PER_MIN } from "../../schedule/free-hours";

export const WETNESSES = ["wet", "tacky", "dry", "hard", "heated"] as const;
/** `wet`: it flows; `tacky`: it has set, and a finger sticks; `dry`: to the touch; `hard`: right through; `heated`: baked or fired. */
export type Wetness = (typeof WETNESSES)[number];

/** Where something went wrong, and all that says what helps there. */
export interface Spot {
  readonly zone: ZoneId;
  /** The band. */
  readonly step: Step;
  readonly wetness: Wetness;
  /** The films beneath it on the same place, the nearest first. */
  readonly below: readonly Step[];
  /** Bands on it that are on the piece, the nearest first. */
  readonly above: readonly Step[];
  /** What the film is let go by while it is wet. */
  readonly carrier: "water" | "solvent" | "none";
  readonly binder: string;
  /** What lies beneath moves when it is wetted again, or is a body that water softens. */
  readonly groundMoves: boolean;
  readonly bare: boolean;
  /** What the piece is made of. */
  readonly body: Pick<Material, "surface" | "traits">;
  /** Old paint that may hold lead is beneath it. */
  readonly suspect: boolean;
}

/** Bodies that take harm from water while nothing is on them. */
const SOFTENS: ReadonlySet<MaterialTrait> = new Set(["dissolves", "bisque"]);

/**
 * How wet a film is by its times.
 *
 * @param end when its last coat was laid, ms; null where nobody knows
 * @param now instant, ms
 */
export function wetnessOf({ typical }: Pick<Step, "typical">, end: number | null, now: number): Wetness {
  if (!typical || end === null) return "hard";
  const min = (now - end) / MS_PER_MIN;
  if (min < workableMin(typical.touchDry)) return "wet";
  if (min < typical.touchDry) return "tacky";
  return min < typical.dryThrough ? "dry" : "hard";
}

/** Whether some coat of a step is on the piece. */
export function isLaid({ id, done: before }: Pick<Step, "id" | "done">, done: ReadonlyMap<string, number>): boolean {
  return before === true || [...done.keys()].some((task) => task.startsWith(`${id}:`));
}

/**
 * When a film will be as dry as that, ms; null where it has no times.
 *
 * @param end when its last coat was laid, ms
 */
export function wetnessFrom({ typical }: Pick<Step, "typical">, end: number, wetness: Exclude<Wetness, "heated">): number | null {
  if (!typical) return null;
  const min = { wet: 0, tacky: workableMin(typical.touchDry), dry: typical.touchDry, hard: typical.dryThrough }[wetness];
  return end + min * MS_PER_MIN;
}

/** A band something may have gone wrong in. */
export interface Band {
  readonly zone: ZoneId;
  readonly step: Step;
  /** Instant of its last coat, ms; null while it is being laid. */
  readonly end: number | null;
}

/** Bands of a plan that are on the piece, and where: a mishap is told of one of them. */
export function bandsOn(shown: Candidate, done: ReadonlyMap<string, number>): readonly { readonly zone: ZoneId; readonly step: Step; readonly end: number }[] {
  const endOf = (id: string) => Math.max(...[...done].flatMap(([task, end]) => (task.startsWith(`${id}:`) ? [end] : [])));
  return shown.zones.flatMap(({ zone, steps }) =>
    steps.flatMap((step) => {
      const own = step.done && step.laidAt !== undefined ? Date.parse(step.laidAt) : endOf(step.id);
      return Number.isFinite(own) && step.wetMicrons !== null ? [{ zone, step, end: own }] : [];
    }),
  );
}

/**
 * Bands that are on, the one laid last first; before them the one that is being laid, where it is that.
 *
 * @param laying the step hands are on; null where nobody says
 */
export function bandsToMend(shown: Candidate, done: ReadonlyMap<string, number>, laying: string | null): readonly Band[] {
  const on = [...bandsOn(shown, done)].sort((a, b) => b.end - a.end);
  const stack = shown.zones.find(({ steps }) => steps.some(({ id }) => id === laying));
  const step = stack?.steps.find(({ id }) => id === laying);
  const isOn = on.some((band) => band.step.id === laying);
  return stack && step && !isOn && step.wetMicrons !== null ? [{ zone: stack.zone, step, end: null }, ...on] : on;
}

/** The last step that is on a place beneath another, and where; null where nothing is. */
export function laidBeneath(
  { zones }: Pick<Candidate, "zones">,
  done: ReadonlyMap<string, number>,
  zone: ZoneId,
  stepIds: readonly StepId[],
): { readonly zone: ZoneId; readonly step: Step } | null {
  const steps = zones.find((one) => one.zone === zone)?.steps ?? [];
  const upTo = steps.findIndex(({ id }) => stepIds.includes(id));
  const step = steps.slice(0, upTo < 0 ? undefined : upTo).findLast((one) => isLaid(one, done));
  return step ? { zone, step } : null;
}

/**
 * A spot of a plan, with what lies beneath and on it.
 *
 * @param wetness as the user says it is
 * @param heated it has been baked or fired since
 */
export function spotOf(
  piece: Piece,
  shown: Candidate,
  done: ReadonlyMap<string, number>,
  tasks: readonly Task[],
  at: { readonly zone: ZoneId; readonly step: Step; readonly wetness: Wetness },
  catalogue: Catalogue,
): Spot {
  const steps = shown.zones.find(({ zone }) => zone === at.zone)?.steps ?? [];
  const place = steps.findIndex(({ id }) => id === at.step.id);
  const product = catalogue.products.get(at.step.product);
  const isFilm = (step: Step) => catalogue.products.has(step.product) && step.wetMicrons !== null;
  const isOn = (step: Step) => isLaid(step, done);
  const below = steps
    .slice(0, Math.max(0, place))
    .filter((step) => isFilm(step) && isOn(step))
    .reverse();
  const heats = new Set(tasks.filter((task) => task.oven !== undefined && done.has(task.id)).map((task) => task.stepId));
  const heated = steps.slice(place + 1).some((step) => heats.has(step.id) || (step.heat !== undefined && isOn(step)));
  const bare = below.length === 0;
  const body = catalogue.materials.get(piece.material)!;
  return {
    zone: at.zone,
    step: at.step,
    wetness: heated ? "heated" : at.wetness,
    below,
    above: steps.slice(place + 1).filter((step) => isFilm(step) && isOn(step)),
    carrier: product?.carrier ?? "water",
    binder: product?.binder ?? "acrylic",
    groundMoves: bare ? body.traits.some((trait) => SOFTENS.has(trait)) : catalogue.products.get(below[0]!.product)?.rewettable === true,
    bare,
    body,
    suspect: (piece.conditions ?? []).some((one) => catalogue.conditions.get(one)?.oldFilm === true),
  };
}
