/**
 * How a wet body loses water: at a steady rate while its face is wet, then the slower the less is left (constant-rate and falling-rate periods of drying,
 * Incropera & DeWitt; Coussot, "Scaling approach of the convective drying of a porous medium", 2000, for where one passes into the other).
 */
export interface DryingShape {
  /** Time constant of the falling rate, hours. */
  readonly tauHours: number;
  /** Share of the water at the start below which the rate falls; 1: from the start. */
  readonly falls: number;
}

/** Hours of steady drying before the rate falls. */
const steadyHours = ({ tauHours, falls }: DryingShape) => (tauHours * (1 - falls)) / falls;

/**
 * Share of the water that is still in after a time.
 *
 * @param hours since the start, from 0
 * @returns 1 at the start, falling to 0
 * @example waterLeft({ tauHours: 24, falls: 1 }, 24).toFixed(3) // "0.368"
 */
export function waterLeft(shape: DryingShape, hours: number): number {
  const { tauHours, falls } = shape;
  const steady = steadyHours(shape);
  return hours <= steady ? 1 - (falls * hours) / tauHours : falls * Math.exp(-(hours - steady) / tauHours);
}

/** Values spread evenly over a range. */
const spread = (from: number, to: number, steps: number) => Array.from({ length: steps }, (_unused, k) => from + ((to - from) * k) / (steps - 1));

/** A range of shapes: the logarithm of the time constant, and where the rate begins to fall. */
export interface ShapeRange {
  readonly logTau: readonly [number, number];
  readonly falls: readonly [number, number];
}

/** Every body of the trade dries within this [from memory]. */
export const ALL_SHAPES: ShapeRange = { logTau: [Math.log(2), Math.log(600)], falls: [0.2, 1] };
const STEPS = { logTau: 40, falls: 9 } as const;

/** Half the way from one shape of a range to the next. */
export function halfStep({ logTau, falls }: ShapeRange): { readonly logTau: number; readonly falls: number } {
  return { logTau: (logTau[1] - logTau[0]) / (STEPS.logTau - 1) / 2, falls: (falls[1] - falls[0]) / (STEPS.falls - 1) / 2 };
}

/** Shapes spread over a range. */
export function shapesOf({ logTau, falls }: ShapeRange): readonly DryingShape[] {
  const taus = spread(...logTau, STEPS.logTau).map(Math.exp);
  return spread(...falls, STEPS.falls).flatMap((one) => taus.map((tauHours) => ({ tauHours, falls: one })));
}

/** The range about some shapes, a step wider each way, within a range. */
export function rangeAbout(shapes: readonly DryingShape[], within: ShapeRange): ShapeRange {
  const step = halfStep(within);
  const about = (values: readonly number[], half: number, [least, most]: readonly [number, number]): readonly [number, number] => [
    Math.max(least, Math.min(...values) - 2 * half),
    Math.min(most, Math.max(...values) + 2 * half),
  ];
  return {
    logTau: about(
      shapes.map(({ tauHours }) => Math.log(tauHours)),
      step.logTau,
      within.logTau,
    ),
    falls: about(
      shapes.map(({ falls }) => falls),
      step.falls,
      within.falls,
    ),
  };
}
