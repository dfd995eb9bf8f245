/** What may be wrong with a bare body. */
export const FAULT_KINDS = ["hole", "pit", "chip", "short-edge", "bump", "uneven-foot", "hairline", "crack", "soft"] as const;
export type FaultKind = (typeof FAULT_KINDS)[number];

/** Where on a body it is: what the painter calls it. */
export const FAULT_PLACES = ["face", "edge", "inside-edge", "wall", "foot"] as const;
export type FaultPlace = (typeof FAULT_PLACES)[number];

/** One kind of fault at one place of a body, or of several alike. */
export interface Fault {
  readonly kind: FaultKind;
  readonly place: FaultPlace;
  /** Bodies that have it. */
  readonly bodies: number;
  /** How many on each of them. */
  readonly each: number;
  /** Across, mm. */
  readonly widthMm: number;
  /** Deep, or high, mm; unknown where it was not measured. */
  readonly depthMm?: number;
}

export const FAULT_BOUNDS = {
  bodies: { least: 1, most: 1000 },
  each: { least: 1, most: 1000 },
  widthMm: { least: 0.1, most: 300 },
  depthMm: { least: 0.1, most: 100 },
} as const;
/** Faults of one body, at most. */
export const MOST_FAULTS = 40;

export interface FaultSort {
  /** One of it, with its article. */
  readonly name: string;
  /** Several of it. */
  readonly many: string;
  readonly looks: string;
  /** Where it can be. */
  readonly places: readonly FaultPlace[];
  /** Its usual size, mm. */
  readonly usual: { readonly widthMm: number; readonly depthMm: number };
  /** What brings it about, and what to do at the next pour. */
  readonly from: string;
}

/** Every fault, and where it comes from [common practice; sizes from memory]. */
export const FAULTS: Readonly<Record<FaultKind, FaultSort>> = {
  hole: {
    name: "an air hole",
    many: "air holes",
    looks: "round and smooth inside",
    places: ["face", "edge", "inside-edge", "wall", "foot"],
    usual: { widthMm: 2, depthMm: 2 },
    from: "Air that stayed on the mould or was stirred in: soak longer, stir slower, knock the mould, a mist of soapy water.",
  },
  pit: {
    name: "a pit",
    many: "pits",
    looks: "wide and shallow",
    places: ["face", "wall", "foot"],
    usual: { widthMm: 8, depthMm: 1.5 },
    from: "A dent in the mould, or water that stood in it: pour the excess off.",
  },
  chip: {
    name: "a chip",
    many: "chips",
    looks: "broken off an edge",
    places: ["edge", "inside-edge", "foot"],
    usual: { widthMm: 6, depthMm: 3 },
    from: "Taken out while it was warm, or knocked: let it cool, and bend the mould more.",
  },
  "short-edge": {
    name: "an edge that did not fill",
    many: "edges that did not fill",
    looks: "rounded off, or missing",
    places: ["edge", "foot"],
    usual: { widthMm: 20, depthMm: 3 },
    from: "Air under a lip, or too little in the mould: tilt it, knock it, top up.",
  },
  bump: {
    name: "a bump",
    many: "bumps",
    looks: "a bead that stands out",
    places: ["face", "edge", "wall", "foot"],
    usual: { widthMm: 3, depthMm: 1.5 },
    from: "A hole or a tear in the mould: it comes again until the mould is mended.",
  },
  "uneven-foot": {
    name: "a foot that rocks",
    many: "feet that rock",
    looks: "it does not stand flat",
    places: ["foot"],
    usual: { widthMm: 60, depthMm: 1 },
    from: "The mould did not stand level, or was overfilled: level it, and strike the top off while it is soft.",
  },
  hairline: {
    name: "a hairline",
    many: "hairlines",
    looks: "a fine line that does not go through",
    places: ["face", "edge", "wall"],
    usual: { widthMm: 30, depthMm: 0.5 },
    from: "Bent while it was young, or dried too fast: no heat, no sun.",
  },
  crack: {
    name: "a crack right through",
    many: "cracks right through",
    looks: "it goes through, or moves",
    places: ["face", "wall"],
    usual: { widthMm: 40, depthMm: 10 },
    from: "Moved while it set, or taken out too early.",
  },
  soft: {
    name: "a soft, powdery place",
    many: "soft, powdery places",
    looks: "a fingernail goes in when it is dry",
    places: ["face", "foot"],
    usual: { widthMm: 50, depthMm: 2 },
    from: "Too much water, or powder that has been damp: weigh it, keep the bag shut.",
  },
};

/** Size of a fault across and deep, mm, with what is usual where it was not measured. */
export function sizeOf({ kind, widthMm, depthMm }: Fault): { readonly widthMm: number; readonly depthMm: number } {
  return { widthMm, depthMm: depthMm ?? Math.min(FAULTS[kind].usual.depthMm, widthMm) };
}
