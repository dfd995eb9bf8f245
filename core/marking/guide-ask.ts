import type { ObjectId, Part } from "../catalogue/vocabulary";
import type { Form } from "../piece/form";
import type { Pattern } from "../piece/pattern";
import type { LengthUnit } from "../units/length";
import type { SolvedPattern } from "./solved";
import type { MarkingSurface } from "./surface";

export const INSTRUMENTS = ["compass", "tape", "ruler", "template", "stack", "tool", "pencil", "eye"] as const;
export type Instrument = (typeof INSTRUMENTS)[number];

/** One thing to do before the first dot is set. */
export interface GuideStep {
  readonly id: string;
  readonly instrument: Instrument;
  readonly title: string;
  readonly text: string;
}

/** What decides the guides of a place. */
export interface GuideAsk {
  readonly form: Form;
  readonly object: ObjectId;
  readonly parts: readonly Part[];
  readonly surface: MarkingSurface;
  readonly pattern: Pattern;
  readonly solved: SolvedPattern;
  readonly unit: LengthUnit;
  /** What the plan draws guides with and takes them off with, as they are called; null where it has none. */
  readonly pencil: { readonly draw: string; readonly takeOff: string | null; readonly pressed: boolean } | null;
}
