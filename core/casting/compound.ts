import { FROM_MEMORY, published } from "../catalogue/provenance";
import type { Provenance, Sourced } from "../catalogue/provenance";

export const POWDER_KINDS = ["gypsum", "cement"] as const;
/** A powder that sets with water. */
export type PowderKind = (typeof POWDER_KINDS)[number];

/** What the label of a powder says; what it leaves out is absent. */
export interface PowderLabel {
  /** Grams of water to 100 g of powder. */
  readonly waterPer100?: number;
  /** Density of its grains, g/cm³. */
  readonly densityGPerMl?: number;
  /** It can be poured for so long from the first powder in the water, minutes. */
  readonly openMin?: number;
  /** It has set so long after pouring, minutes. */
  readonly setMin?: number;
}

/** A class of powder: what is typical of it. */
export interface Powder {
  readonly kind: PowderKind;
  readonly name: string;
  /** The material of the catalogue its bodies are of. */
  readonly material: "gypsum-cast" | "concrete-cast";
  readonly typical: Readonly<Record<keyof PowderLabel, Sourced<number>>>;
  /** Water that stays bound, g for a g of powder. */
  readonly binds: Sourced<number>;
}

/** Molar masses, g/mol [published: IUPAC standard atomic weights, 2021]: CaSO₄·½H₂O and H₂O. */
const HEMIHYDRATE_G_PER_MOL = 145.15;
const WATER_G_PER_MOL = 18.015;

/**
 * Water that hemihydrate binds when it sets, g for a g of it: CaSO₄·½H₂O + 1½ H₂O → CaSO₄·2H₂O.
 *
 * @example BOUND_PER_G.toFixed(3) // "0.186"
 */
export const BOUND_PER_G = (1.5 * WATER_G_PER_MOL) / HEMIHYDRATE_G_PER_MOL;

const memory = (value: number): Sourced<number> => ({ value, provenance: FROM_MEMORY });
const of = (value: number, provenance: Provenance): Sourced<number> => ({ value, provenance });

/** Times of setting are those of a room of 20–23 °C. */
export const POWDERS: Readonly<Record<PowderKind, Powder>> = {
  gypsum: {
    kind: "gypsum",
    name: "Casting gypsum",
    material: "gypsum-cast",
    typical: {
      waterPer100: memory(38),
      densityGPerMl: of(2.73, published("CRC Handbook of Chemistry and Physics, calcium sulfate hemihydrate")),
      openMin: memory(12),
      setMin: of(25, { kind: "common-practice" }),
    },
    binds: of(BOUND_PER_G, published("stoichiometry of CaSO₄·½H₂O + 1½ H₂O; IUPAC atomic weights")),
  },
  cement: {
    kind: "cement",
    name: "Cement mix",
    material: "concrete-cast",
    // Bagged mixes of cement and fine sand.
    typical: { waterPer100: memory(16), densityGPerMl: memory(2.7), openMin: memory(30), setMin: memory(24 * 60) },
    binds: memory(0.05),
  },
};

/** Bounds of what a label may say of a powder: beyond them it is a slip of the pen. */
export const LABEL_BOUNDS: Readonly<Record<keyof PowderLabel, { readonly least: number; readonly most: number }>> = {
  waterPer100: { least: 5, most: 200 },
  densityGPerMl: { least: 0.5, most: 5 },
  openMin: { least: 1, most: 240 },
  setMin: { least: 1, most: 2880 },
};

/**
 * A value of a powder: its label's, else what is typical of its kind.
 *
 * @returns the value with its standing
 */
export function powderValue(kind: PowderKind, label: PowderLabel, field: keyof PowderLabel): Sourced<number> {
  const said = label[field];
  return said === undefined ? POWDERS[kind].typical[field] : { value: said, provenance: { kind: "label" } };
}
