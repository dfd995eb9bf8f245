import type { Provenance } from "../../catalogue/provenance";
import type { TechniqueId } from "../../catalogue/vocabulary";
import type { Spot, Wetness } from "./spot";

/** What of the plan is written anew once a remedy is done. */
export type Effect =
  /** Put right where it is: the coat stands. */
  | { readonly kind: "none" }
  /** It is left alone for longer. */
  | { readonly kind: "wait" }
  /** Its last coat has to be laid again. */
  | { readonly kind: "relay" }
  /** It has come off, with all that was on it, and is laid again on the ground as that is. */
  | { readonly kind: "take-off" }
  /** The same, and the ground beneath has got one more coat. */
  | { readonly kind: "refill-ground" }
  /** One coat more of it has gone over. */
  | { readonly kind: "one-more" }
  /** A stain blocker has gone over it; one coat more of it goes over that. */
  | { readonly kind: "block" }
  /** Something has been added over it, so that it looks meant. */
  | { readonly kind: "accent"; readonly technique: TechniqueId }
  /** Everything comes off this place: it begins again on the bare body. */
  | { readonly kind: "start-again" };

/** What a remedy may do to the one who carries it out. */
export type Hazard = "dust" | "blade" | "solvent";

/** One way to put something right. */
export interface Remedy {
  readonly id: string;
  readonly name: string;
  /** How wet the film may be for it. */
  readonly at: readonly Wetness[];
  /** What the hands do; `{swab}` stands for what takes this paint off. */
  readonly steps: readonly string[];
  /** What would make it worse. */
  readonly worse: readonly string[];
  /** Hands on it, minutes: quick and slow. */
  readonly min: readonly [number, number];
  /** What hands and lungs are to be kept from. */
  readonly hazards?: readonly Hazard[];
  readonly effect: Effect;
  /** Films that get fresh paint, or are moved while they are wet, by this itself: they dry anew from then on. What the effect has laid is told by it. */
  readonly lays: readonly ("own" | "ground")[];
  /** Painters differ in it: what this way trades. */
  readonly school?: string;
  readonly fits?: (spot: Spot) => boolean;
  readonly provenance: Provenance;
}
