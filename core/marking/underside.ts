import { memory } from "../catalogue/provenance";
import type { Form } from "../piece/form";

/** The underside of a piece, where its text goes. mm. */
export interface Underside {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Cornered; else round or oval. */
  readonly square: boolean;
}

/** A plate stands on a foot ring about so wide, of its width; text goes inside it [from memory]. */
const FOOT_RING = memory(0.55).value;

const round = (mm: number): Underside => ({ widthMm: mm, heightMm: mm, square: false });

const across = (one: number, other: number, square: boolean): Underside => ({ widthMm: Math.max(one, other), heightMm: Math.min(one, other), square });

/**
 * The underside of a form, lying with its long side across.
 *
 * @example undersideOf({ kind: "disc", diameterMm: 90, thicknessMm: 8 }) // { widthMm: 90, heightMm: 90, square: false }
 */
export function undersideOf(form: Form): Underside {
  switch (form.kind) {
    case "pebble":
      return across(form.lengthMm, form.widthMm, false);
    case "dome":
    case "disc":
    case "cylinder":
      return round(form.diameterMm);
    case "frustum":
      return round(form.bottomDiameterMm);
    case "box":
      return across(form.lengthMm, form.widthMm, true);
    case "plate":
      return round(form.diameterMm * FOOT_RING);
    case "goblet":
      return round(form.footDiameterMm);
    case "custom": {
      const side = Math.sqrt(form.areaMm2);
      return { widthMm: side, heightMm: side, square: true };
    }
  }
}
