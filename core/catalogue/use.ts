import type { UseId } from "./ids";
import type { Provenance, Sourced } from "./provenance";

export const WEARS = ["wipe", "rub", "weather", "wet-soil", "washing", "wet-rings"] as const;
/** What a finished surface must stand. */
export type Wear = (typeof WEARS)[number];

/**
 * What a zone meets in use. `seen`: looked at and handled; `underside`: stands on a table; `contents`: what is put
 * inside touches it; `carrying`: things are set down on it; `lip`: drunk from; `food`: eaten from; `mouth`: above a flame
 * or an opening; `joint`: glued.
 */
export const EXPOSURES = ["seen", "underside", "contents", "carrying", "lip", "food", "mouth", "joint"] as const;
export type Exposure = (typeof EXPOSURES)[number];

export interface Use {
  readonly id: UseId;
  readonly name: string;
  readonly wears: Partial<Record<Exposure, readonly Wear[]>>;
  /** Zones that must stay bare, and why. */
  readonly bare: Partial<Record<Exposure, { readonly code: string; readonly why: string }>>;
  /** Width of the band kept bare under a drinking rim, mm. */
  readonly lipBandMm?: Sourced<number>;
  readonly finishedUnderside: boolean;
  readonly outdoors: boolean;
  readonly sun: boolean;
  readonly flame: boolean;
  readonly hotThings: boolean;
  readonly childMade: boolean;
  /** Left where animals and water are: nothing may come off it. */
  readonly wild: boolean;
  /** Kept, given or handled: paint that never sets is out. */
  readonly kept: boolean;
  /** Lines for whoever receives the piece. */
  readonly care: readonly string[];
  readonly provenance: Provenance;
}
