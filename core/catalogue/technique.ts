import type { Method, Role, TechniqueId } from "./vocabulary";
import type { Sourced } from "./provenance";

/** From this share of its place on a layer covers it: a field, as against marks set here and there [judgement of this project]. */
export const COVERS_FROM = 0.95;

export interface Technique {
  readonly id: TechniqueId;
  readonly name: string;
  /** What the user does, for a step's title: "set the dots". */
  readonly act: string;
  readonly method: Method;
  readonly role: Extract<Role, "decorate">;
  /** Marks are laid on guides unless the user works by eye. */
  readonly guided: boolean;
  /** Needs tape, film or a stencil, and which. */
  readonly mask?: "tape" | "adhesive-film" | "stencil";
  /** Worked into the layer below while it is wet, or laid on a dry one. */
  readonly while: "wet" | "dry";
  /** Bumps break it up. */
  readonly needsSmooth: boolean;
  /** A mark that must keep its shape: the paint needs body. */
  readonly needsBody: boolean;
  readonly coverage: Sourced<number>;
  readonly marks?: Sourced<{ readonly count: number; readonly diameterMm: number; readonly heightMm: number }>;
  /** Rubbed or stuck on loose, so it needs locking. */
  readonly loose: boolean;
}
