import { memory } from "../catalogue/provenance";

/**
 * Surface of an ellipsoid, mm², by Knud Thomsen's formula S ≈ 4π((aᵖbᵖ + aᵖcᵖ + bᵖcᵖ)/3)^(1/p), p ≈ 1.6075.
 * Source: K. Thomsen, 2004, as given in the trade handbook; stated relative error at most 1.061 %.
 *
 * @param a,b,c semi-axes, mm, each 0 or more
 * @example Math.round(ellipsoidArea(10, 10, 10)) // 1257
 */
export function ellipsoidArea(a: number, b: number, c: number): number {
  const p = 1.6075;
  const mean = ((a * b) ** p + (a * c) ** p + (b * c) ** p) / 3;
  return 4 * Math.PI * mean ** (1 / p);
}

/** Area of a full circle of this diameter, mm². */
export function discArea(diameterMm: number): number {
  return (Math.PI * diameterMm ** 2) / 4;
}

/** Ring between two diameters, mm²; 0 when the inner is not smaller. */
export function annulusArea(outerMm: number, innerMm: number): number {
  return Math.max(0, discArea(outerMm) - discArea(Math.max(0, innerMm)));
}

/**
 * Side of a cone cut square at both ends, mm²: π(r₁ + r₂)s, s the slant.
 *
 * @example Math.round(frustumSideArea(100, 100, 50)) // 15708
 */
export function frustumSideArea(topDiameterMm: number, bottomDiameterMm: number, heightMm: number): number {
  const r1 = topDiameterMm / 2;
  const r2 = bottomDiameterMm / 2;
  return Math.PI * (r1 + r2) * Math.hypot(heightMm, r1 - r2);
}

/** Round top of a dome, mm²: a spherical cap, π(a² + h²), a the radius of its foot. */
export function capArea(diameterMm: number, heightMm: number): number {
  return Math.PI * ((diameterMm / 2) ** 2 + heightMm ** 2);
}

/**
 * Volume of a spherical cap, mm³: a dot of paint, πh(3a² + h²)/6.
 *
 * @param diameterMm of its foot, mm
 * @param heightMm mm
 * @returns mm³
 */
export function capVolume(diameterMm: number, heightMm: number): number {
  const a = diameterMm / 2;
  return (Math.PI * heightMm * (3 * a ** 2 + heightMm ** 2)) / 6;
}

/** Measures nobody tapes, taken as usual until the user gives them. */
export const USUAL_DETAILS = {
  /** Thickness of a thrown or moulded pot's wall, as a share of its top diameter. */
  wallShare: memory(0.04),
  /** Painted strip inside a pot above the soil, mm. */
  innerStripMm: memory(25),
  /** A mug's handle: a strap of this length and girth, mm. */
  handle: memory({ lengthMm: 130, girthMm: 45 }),
  /** A goblet's stem, mm. */
  stemDiameterMm: memory(8),
  /** A saucer's diameter as a share of the pot's top, and its height, mm. */
  saucer: memory({ share: 0.95, heightMm: 25 }),
} as const;
