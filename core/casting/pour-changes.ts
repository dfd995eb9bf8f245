import type { Run } from "./weighing-run";
import { bodiesLeft } from "./pour";
import type { Bowl, CastBodies, FoundFault, Pour } from "./pour";
import { takenOut } from "./pour-state";
import type { CastStage } from "./stages";

/** One thing that happens to a pour. */
export type PourChange =
  /** A weight was taken down, or the bowl begun anew. */
  | { readonly kind: "run"; readonly bowl: number; readonly run: Run }
  /** A stage was begun, at an instant, ISO 8601. */
  | { readonly kind: "stage"; readonly bowl: number; readonly stage: CastStage; readonly at: string }
  | { readonly kind: "weigh"; readonly bodies: number; readonly at: string; readonly g: number }
  | { readonly kind: "weigh-off"; readonly bodies: number; readonly at: string }
  /** So many of them lie on the scale together from now on; what was weighed otherwise no longer counts. */
  | { readonly kind: "on-scale"; readonly bodies: number; readonly count: number }
  | { readonly kind: "fault"; readonly bodies: number; readonly fault: FoundFault }
  | { readonly kind: "fault-off"; readonly bodies: number; readonly id: string }
  /** Water of the pour, °C. */
  | { readonly kind: "water"; readonly waterC: number }
  | { readonly kind: "handed"; readonly bodies: number; readonly piece: string; readonly count: number };

const replaced = <T>(list: readonly T[], at: number, by: (one: T) => T): readonly T[] => list.map((one, k) => (k === at ? by(one) : one));

function bowlAfter(bowl: Bowl, change: Extract<PourChange, { readonly bowl: number }>): Bowl {
  switch (change.kind) {
    case "run":
      // What has powder in it already sets: it is weighed no more.
      return bowl.stages.sprinkle !== undefined ? bowl : { ...bowl, run: change.run };
    case "stage":
      return bowl.stages[change.stage] === undefined ? { ...bowl, stages: { ...bowl.stages, [change.stage]: change.at } } : bowl;
  }
}

function bodiesAfter(bodies: CastBodies, change: Extract<PourChange, { readonly bodies: number }>): CastBodies {
  switch (change.kind) {
    case "weigh": {
      const { at, g } = change;
      const others = bodies.weighings.filter((one) => one.at !== at);
      return { ...bodies, weighings: [...others, { at, g }].sort((a, b) => a.at.localeCompare(b.at)) };
    }
    case "weigh-off":
      return { ...bodies, weighings: bodies.weighings.filter(({ at }) => at !== change.at) };
    case "on-scale": {
      const onScale = Math.min(change.count, bodies.count);
      return onScale === bodies.onScale ? bodies : { ...bodies, onScale, weighings: [] };
    }
    case "fault":
      return { ...bodies, faults: [...bodies.faults.filter(({ id }) => id !== change.fault.id), change.fault] };
    case "fault-off":
      return { ...bodies, faults: bodies.faults.filter(({ id }) => id !== change.id) };
    case "handed": {
      if (bodies.pieces.some(({ piece }) => piece === change.piece)) return bodies;
      const count = Math.min(change.count, bodiesLeft(bodies));
      return count > 0 ? { ...bodies, pieces: [...bodies.pieces, { piece: change.piece, count }] } : bodies;
    }
  }
}

/**
 * A pour after something has happened to it; what does not fit it changes nothing, so that the same thing may come twice.
 */
export function pourAfter<P extends Pour>(pour: P, change: PourChange): P {
  if (change.kind === "water") return { ...pour, conditions: { ...pour.conditions, waterC: change.waterC } };
  if ("bodies" in change) return { ...pour, bodies: replaced(pour.bodies, change.bodies, (one) => bodiesAfter(one, change)) };
  const bowls = replaced(pour.bowls, change.bowl, (one) => bowlAfter(one, change));
  const [before, after] = [pour.bowls[change.bowl], bowls[change.bowl]];
  const isOut = before && after && before.stages.release === undefined && after.stages.release !== undefined;
  return { ...pour, bowls, ...(isOut ? { bodies: takenOut(pour.bodies, after, after.stages.release!) } : {}) };
}
