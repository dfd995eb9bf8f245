import type { ProductId } from "./ids";
import type { Provenance } from "./provenance";
import type { Surface } from "./material";
import type { Role } from "./vocabulary";

export type Soil = "grease" | "dust" | "salts" | "shore-salt" | "release-agent";
export type GuideGround = Surface | "paint";

/** A product of a step without a paint film: a wash, an abrasive, a guide, a mask, an oven, a wait. */
export interface Aid {
  readonly id: ProductId;
  readonly name: string;
  readonly roles: readonly Role[];
  /** What it takes off. */
  readonly removes: readonly Soil[];
  /** How wet it leaves the piece: soaked through, or damp on the face. */
  readonly wets: "soaks" | "damp" | "no";
  /** It ends when the body's weight stays the same: weighings of the very body say how long. */
  readonly weighs?: true;
  readonly makesDust: boolean;
  readonly givesKey: boolean;
  /** Vapour that must be gone before heat. */
  readonly vapour: boolean;
  readonly childSafe: boolean;
  /** For guides: what they mark on, what takes them off, and whether they may stay. */
  readonly guide?: {
    /** What it shows on: a light line on dark, a dark one on light. */
    readonly tone: "light" | "dark" | "any";
    /** Rubs grey into a pale ground. */
    readonly smears?: true;
    readonly marksOn: readonly GuideGround[];
    readonly takenOffBy: ProductId | null;
    readonly hiddenByPaint: boolean;
    readonly bleeds: boolean;
  };
  /** For masks. Where it sticks the film below must be dry-hard to take the glue; where it lies flat on it, sprayed paint must be dry right through. */
  readonly mask?: { readonly sticks: boolean; readonly lies: boolean };
  readonly heat?: { readonly kind: "oven" | "kiln" };
  readonly handsOnMin: number;
  readonly provenance: Provenance;
}
