import { memory, published } from "../catalogue/provenance";
import { MIN_PER_DAY, MIN_PER_HOUR } from "../units/duration";

/** Hydration of cement stands still below this, °C [published: ASTM C1074-19, datum temperature of the Nurse–Saul function, 0 °C for Type I without admixtures]. */
export const DATUM_C = 0;
export const DATUM_STANDING = published("ASTM C1074, Nurse–Saul maturity function");
/** Ordinary paint goes on cement that has had this at 20 °C [common practice of the trade: 28 days]. */
const MATURE_DAYS = 28;
const STANDARD_C = 20;
const HOURS_PER_DAY = MIN_PER_DAY / MIN_PER_HOUR;
/** °C·h of 28 days at 20 °C. */
export const MATURE_DEGREE_HOURS = MATURE_DAYS * HOURS_PER_DAY * (STANDARD_C - DATUM_C);

/** A stretch of time at a temperature. */
export interface Stretch {
  readonly hours: number;
  /** °C, on average. */
  readonly temperatureC: number;
}

/**
 * Maturity by the Nurse–Saul function: Σ (T − T₀)·Δt, what is below T₀ counts nothing. ASTM C1074.
 *
 * @returns °C·h
 * @example degreeHours([{ hours: 24, temperatureC: 20 }, { hours: 24, temperatureC: 10 }]) // 720
 */
export function degreeHours(stretches: readonly Stretch[]): number {
  return stretches.reduce((sum, { hours, temperatureC }) => sum + Math.max(0, temperatureC - DATUM_C) * hours, 0);
}

/** How far a cement body has come. */
export interface Maturity {
  readonly degreeHours: number;
  /** Of 28 days at 20 °C, 0–1. */
  readonly share: number;
  /** Its age in days at 20 °C. */
  readonly equivalentDays: number;
  /** Still to go in such a room, hours; null: it stands still there. */
  readonly leftHours: number | null;
}

/**
 * Maturity of a cement body, and how long it needs yet.
 *
 * @param stretches since it was poured
 * @param aheadC °C from now on
 */
export function maturityOf(stretches: readonly Stretch[], aheadC: number): Maturity {
  const had = degreeHours(stretches);
  const left = Math.max(0, MATURE_DEGREE_HOURS - had);
  return {
    degreeHours: had,
    share: Math.min(1, had / MATURE_DEGREE_HOURS),
    equivalentDays: had / (STANDARD_C - DATUM_C) / HOURS_PER_DAY,
    leftHours: left === 0 ? 0 : aheadC > DATUM_C ? left / (aheadC - DATUM_C) : null,
  };
}

/** It is kept damp under film for so long, days at 20 °C: what dries out early never gets hard. */
export const KEPT_DAMP_DAYS = memory(7);

/** How caustic a cement body still is. */
export function causticity({ share, equivalentDays }: Pick<Maturity, "share" | "equivalentDays">): "wet" | "young" | "mature" {
  if (equivalentDays < 1) return "wet";
  return share < 1 ? "young" : "mature";
}
