import type { MaterialId, ProductId } from "./ids";
import type { Condition } from "./vocabulary";
import type { Sourced } from "./provenance";

export const SURFACES = ["porous", "slick", "wood"] as const;
/** How a bare surface takes a film: it drinks, it offers no hold, or it has grain. */
export type Surface = (typeof SURFACES)[number];

export const ABSORBENCIES = ["none", "low", "medium", "high", "very-high"] as const;
export type Absorbency = (typeof ABSORBENCIES)[number];

export type MaterialTrait =
  | "see-through" // what is behind it shows while painting
  | "tannin" // stains light waterborne coats brown
  | "bumpy" // its surface is uneven as found
  | "water-moves-through" // water in the wall lifts films on the other side
  | "darkens-under-film" // any clear film fills the pores and darkens it
  | "raises-grain" // a waterborne first coat raises it
  | "frost-shatters" // no coating saves it from frost
  | "silica-dust" // its sanding dust harms lungs
  | "dissolves" // water takes it away: never outdoors, in wet soil or washed
  | "alkaline" // fresh, it attacks ordinary acrylic
  | "bisque" // may go to the kiln under kiln colours and glaze
  | "thirsty-edges"; // cut edges drink a second coat

export interface Material {
  readonly id: MaterialId;
  readonly name: string;
  readonly means: string;
  readonly surface: Surface;
  readonly absorbency: Sourced<Absorbency>;
  /** What the first coat loses into the surface, mL per m². */
  readonly uptakeMlPerM2: Sourced<number>;
  readonly traits: readonly MaterialTrait[];
  /** Hottest oven the body itself stands, °C; null when it never goes in. */
  readonly bakeMaxC: Sourced<number | null>;
  readonly bakeWhy: string;
  /** Cleaning in order, before the condition's own. */
  readonly cleaning: readonly ProductId[];
  readonly dustOff: ProductId;
  /** Drying of the body after a wash or a soak, minutes. */
  readonly bodyDryMin: Sourced<{ readonly typical: number; readonly cautious: number }>;
  /** What is usual when no base colour is named: a coated ground, or the material's own face. */
  readonly ground: "coated" | "own";
  readonly bodyColour: string;
  readonly texture: "pores" | "pitted" | "grain" | "glaze" | "glass" | "dense" | "slate" | "chalk" | "ply";
  /** Conditions worth asking about for this material. */
  readonly asks: readonly Condition[];
}
