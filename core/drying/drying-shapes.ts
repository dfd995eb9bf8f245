/**
 * How a wet body loses water, in the ways that are known of porous bodies: a film of water on its face that evaporates steadily before the rate falls
 * (constant-rate and falling-rate periods, Incropera & DeWitt; Coussot, "Scaling approach of the convective drying of a porous medium", 2000), a rate in
 * proportion to what is left (air that carries it away slowly: a shed, a bag), diffusion out of its depth (Crank, The Mathematics of Diffusion, 2nd ed.,
 * eq. 4.18), and two stores that empty side by side, a thin part before a thick one.
 */
export const DRYING_KINDS = ["even", "steady-first", "from-depth", "two-stores", "two-far-stores"] as const;
export type DryingKind = (typeof DRYING_KINDS)[number];

/** One way to dry. */
export interface DryingShape {
  readonly kind: DryingKind;
  /** Time constant at which the last of the water leaves, hours; of two stores that of the quicker. */
  readonly tauHours: number;
  /**
   * How far it is bent that way, 0–1. Steady first: share of the water at the start below which the rate falls; from the depth: share that has to diffuse;
   * two stores: share in the slower.
   */
  readonly bend: number;
}

/** The slower store empties so many times as slowly [from memory]. */
const TIMES_SLOWER = { "two-stores": 4, "two-far-stores": 16 } as const;
/** Terms of the series for a slab; before so much of its time constant the law of the half space is as good. */
const SLAB = { terms: 5, early: 0.05 } as const;

/** Share of the water left in a slab that dries by diffusion, with the slowest term's time constant as unit of time. */
function slabLeft(time: number): number {
  // Dt/l² = 4t / (π²τ) for half the thickness l; lost is 2·√(Dt/πl²) while the middle is wet.
  if (time < SLAB.early) return 1 - (4 / Math.PI ** 1.5) * Math.sqrt(time);
  let sum = 0;
  for (let k = 0; k < SLAB.terms; k += 1) sum += Math.exp(-((2 * k + 1) ** 2) * time) / (2 * k + 1) ** 2;
  return (8 / Math.PI ** 2) * sum;
}

/**
 * Share of the water that is still in after a time.
 *
 * @param hours since the start, from 0
 * @returns 1 at the start, falling to 0
 * @example waterLeft({ kind: "even", tauHours: 24, bend: 1 }, 24).toFixed(3) // "0.368"
 */
export function waterLeft({ kind, tauHours, bend }: DryingShape, hours: number): number {
  const even = () => Math.exp(-hours / tauHours);
  switch (kind) {
    case "even":
      return even();
    case "steady-first": {
      const steady = (tauHours * (1 - bend)) / bend;
      return hours <= steady ? 1 - (bend * hours) / tauHours : bend * Math.exp(-(hours - steady) / tauHours);
    }
    case "from-depth":
      return bend * slabLeft(hours / tauHours) + (1 - bend) * even();
    case "two-stores":
    case "two-far-stores":
      return (1 - bend) * even() + bend * Math.exp(-hours / (tauHours * TIMES_SLOWER[kind]));
  }
}

/** Values spread evenly over a range. */
const spread = ([from, to]: readonly [number, number], steps: number) =>
  from === to ? [from] : Array.from({ length: steps }, (_unused, k) => from + ((to - from) * k) / (steps - 1));

/** A range of shapes of one kind: the logarithm of the time constant, and the bend. */
export interface ShapeRange {
  readonly kind: DryingKind;
  readonly logTau: readonly [number, number];
  readonly bend: readonly [number, number];
}

/** Time constants of bodies in rooms, sheds and bags, hours: half a day's sun to half a year [from memory]. */
const TAUS = [Math.log(2), Math.log(4300)] as const;
const BENDS: Readonly<Record<DryingKind, readonly [number, number]>> = {
  even: [1, 1],
  "steady-first": [0.15, 1],
  "from-depth": [0.3, 1],
  "two-stores": [0.05, 0.8],
  "two-far-stores": [0.03, 0.5],
};
const STEPS = { logTau: 24, bend: 5 } as const;

/** All shapes of a kind. */
export function allOf(kind: DryingKind): ShapeRange {
  return { kind, logTau: TAUS, bend: BENDS[kind] };
}

/** Half the way from one shape of a range to the next. */
export function halfStep({ logTau, bend }: ShapeRange): { readonly logTau: number; readonly bend: number } {
  return { logTau: (logTau[1] - logTau[0]) / (STEPS.logTau - 1) / 2, bend: (bend[1] - bend[0]) / (STEPS.bend - 1) / 2 };
}

/** Shapes spread over a range. */
export function shapesOf({ kind, logTau, bend }: ShapeRange): readonly DryingShape[] {
  const taus = spread(logTau, STEPS.logTau).map(Math.exp);
  return spread(bend, STEPS.bend).flatMap((one) => taus.map((tauHours) => ({ kind, tauHours, bend: one })));
}

/** The range about some shapes, a step wider each way, within a range. */
export function rangeAbout(shapes: readonly DryingShape[], within: ShapeRange): ShapeRange {
  const step = halfStep(within);
  const about = (values: readonly number[], half: number, [least, most]: readonly [number, number]): readonly [number, number] => [
    Math.max(least, Math.min(...values) - 2 * half),
    Math.min(most, Math.max(...values) + 2 * half),
  ];
  return {
    kind: within.kind,
    logTau: about(
      shapes.map(({ tauHours }) => Math.log(tauHours)),
      step.logTau,
      within.logTau,
    ),
    bend: about(
      shapes.map(({ bend }) => bend),
      step.bend,
      within.bend,
    ),
  };
}
