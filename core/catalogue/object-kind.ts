import type { Exposure } from "./use";
import type { ObjectId, Part, ZoneId } from "./vocabulary";
import type { Sourced } from "./provenance";

/** The surfaces a measured form can be asked for; a form answers only those it has. */
export type SurfaceName =
  | "front"
  | "back"
  | "edge"
  | "wall"
  | "lip-band"
  | "rim"
  | "inner"
  | "inner-strip"
  | "foot"
  | "stem"
  | "food-side"
  | "plate-rim"
  | "sides"
  | "lid"
  | "handle"
  | "saucer"
  | "parts" // loose parts coated beside it: measured as a share of the outside
  | "joint"; // where a part is glued on

export interface ZoneTemplate {
  readonly zone: ZoneId;
  readonly surface: SurfaceName;
  readonly exposure: Exposure;
  /** Decoration lands here when the user names no place. */
  readonly decorated: boolean;
  /** The zone exists only with this part. */
  readonly part?: Part;
  /** Left alone unless a use demands something of it or the user decorates it. */
  readonly optional: boolean;
  /** Held while it is painted, so it is coated in two halves. */
  readonly halves: boolean;
  /** Share of a piece measured only as one area. */
  readonly share: Sourced<number>;
}

export interface ObjectKind {
  readonly id: ObjectId;
  readonly name: string;
  readonly forms: readonly string[];
  readonly zones: readonly ZoneTemplate[];
  /** Parts that have no coat of their own and are only taken off. */
  readonly loose: readonly Part[];
  /** A hole it has, or is hung by, that is drilled before the first coat. */
  readonly hole?: "spindle" | "hanging";
  /** Materials it is commonly made of; guessing an object from form and material reads this. */
  readonly commonIn: readonly string[];
  /** Materials of which it is the everyday object, when nothing else is known. */
  readonly everydayIn: readonly string[];
}
