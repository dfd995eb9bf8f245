import type { ProductId } from "./ids";
import type { Provenance } from "./provenance";
import type { Absorbency, Surface } from "./material";
import type { Method, Sheen, TechniqueId } from "./vocabulary";
import type { Wear } from "./use";

export type Job =
  | "ground" // an even coat that colours go on
  | "white-ground" // a pale ground that saves coats of pale colour
  | "bind" // drinks in and binds a dusty or thirsty face
  | "block-stain" // holds tannin and resin back
  | "grip" // holds on slick surfaces
  | "colour" // a field of colour
  | "stain" // colours wood without hiding it
  | "decorate" // lays marks on a field
  | "isolate" // a clear film between field and marks
  | "size" // locks filler or a bare surface
  | "lock" // holds loose particles
  | "seal" // the last film
  | "inside-seal" // keeps water in a pot out of its wall
  | "fill"; // fills pits and levels bumps

export type Binder = "acrylic" | "vinyl" | "alkyd" | "polyurethane" | "epoxy" | "gum" | "shellac" | "mineral" | "none";
export type Carrier = "water" | "solvent" | "none";
/** Body, low to high: what a drop of it does when set down. */
export const BODIES = ["pours", "self-levels", "soft-dot", "domed-dot", "peaks"] as const;
export type Body = (typeof BODIES)[number];

export type ProductTrait =
  | "pale" // white or near white
  | "water-sensitive" // dried film softens again under water: must be locked
  | "milky-wet" // never judge it wet
  | "yellows-in-sun"
  | "ambers" // a clear film that turns pale colours yellow
  | "not-by-flame" // softens, blisters or burns beside a flame
  | "fades-in-sun"
  | "shows-on-dark" // an effect that is strongest over a dark under-colour
  | "shines" // a matte film over it dulls it
  | "carries-over-bumps"
  | "cover-by-area" // flakes and mica: covers by share of area, not by scattering
  | "ink" // can smear under a brushed film
  | "oily-rags" // rags heat themselves
  | "two-part" // weighed by the label's ratio
  | "never-sets" // stays soluble: dusts and washes off
  | "needs-firing" // nothing until it has been in the kiln
  | "stands-alkali" // fresh cement does not eat it
  | "stands-wet" // a filler that neither softens nor swells in the wet
  | "for-outdoors" // smells, or is heavier than anyone wants indoors
  | "for-paper"; // made for paper and canvas: a bare thirsty surface drinks it

/** A stretch of time, minutes: what is usual, and what a careful painter waits. */
export interface Span {
  readonly typical: number;
  readonly cautious: number;
}

export interface FilmValues {
  /** Volume solids, per cent of the paint's volume. */
  readonly volumeSolidsPercent: number | null;
  /** What a brush, spray pass or pour lays, µm wet. */
  readonly wetMicrons: number | null;
  /** Above this it wrinkles, sags or cracks, µm wet. */
  readonly maxWetMicrons: number | null;
  readonly densityKgL: number | null;
  /** Luminance over black ÷ over white of one dry coat of the very colour; null for clears and effects. */
  readonly contrastRatio: number | null;
  /** Share of the area one coat of an effect covers. */
  readonly coversArea: readonly [number, number] | null;
  readonly body: Body | null;
}

export interface DryingValues {
  /** What makes it dry; decides how the room changes the times. */
  readonly by: "evaporation" | "oxidation" | "solvent" | "reaction" | "none";
  readonly touch: Span;
  /** When the next coat may go on; `untilMin` is the moment the window shuts and it must be scuffed. */
  readonly recoat: (Span & { readonly min: number; readonly untilMin: number | null }) | null;
  /** Dry-through, before anything seals it in; null where the class table gives none. */
  readonly through: Span | null;
  /** Days; null for paint that never sets and for kiln colours. */
  readonly cureDays: Span | null;
  /** Stop below this, °C. */
  readonly minC: number;
  /** The label's own upper limit while it dries, °C; absent where it names none. */
  readonly maxC?: number;
}

export interface BakeRange {
  /** Temperatures in use, lower and higher school, °C. The label decides. */
  readonly lowerC: number;
  readonly higherC: number;
  readonly holdMin: number;
  /** Air drying before it may be baked, minutes. */
  readonly afterMin: number;
}

/** What the user's own pieces have shown of a film: so many that met a wear were looked at after about a year, and so many had suffered. */
export interface OwnWear {
  readonly product: ProductId;
  readonly wear: Wear;
  readonly seen: number;
  readonly failed: number;
  /** Grades it is reckoned lower for that wear. */
  readonly lower: 1 | 2;
}

/** One of several jars of a class. */
export interface OwnJar {
  readonly id: string;
  readonly name: string;
  /** sRGB hex; null while unknown: then it is taken to be the colour that is wanted. */
  readonly colour: string | null;
  /** The class as this jar's label has it. */
  readonly product: ProductClass;
}

/** A generic class of product, never a brand. The label of the user's own product wins over every value. */
export interface ProductClass {
  readonly id: ProductId;
  readonly name: string;
  readonly means: string;
  readonly jobs: readonly Job[];
  readonly techniques: readonly TechniqueId[];
  /** First is usual. */
  readonly methods: readonly Method[];
  readonly binder: Binder;
  readonly carrier: Carrier;
  /** Bare surfaces it holds on as it comes. */
  readonly grips: readonly Surface[];
  /** Bare surfaces it holds on once baked. */
  readonly gripsBaked: readonly Surface[];
  /** The thirstiest bare surface it covers without a ground below; null: always wants one. */
  readonly ungroundedUpTo: Absorbency | null;
  readonly film: FilmValues;
  readonly drying: DryingValues;
  /** How well it stands each wear as the last film: 1 fair, 2 good, 3 very good. */
  readonly resists: Partial<Record<Wear, 1 | 2 | 3>>;
  /** A colour that needs no clear film over it for these wears. */
  readonly standsAlone: Partial<Record<Wear, 1 | 2 | 3>>;
  /** As `standsAlone`, once baked. */
  readonly standsAloneBaked: Partial<Record<Wear, 1 | 2 | 3>>;
  readonly sheens: readonly Sheen[];
  readonly rewettable: boolean;
  readonly bakeable: BakeRange | null;
  readonly kilnSafe: boolean;
  readonly weatherproof: boolean;
  readonly foodClaim: boolean;
  /** Hottest it stands once cured, °C. */
  readonly maxTempC: number;
  readonly childSafe: boolean;
  /** Least coats by practice. */
  readonly coats: number;
  /** Water beyond this share of the paint's volume starves the binder, per cent: on thirsty and on slick surfaces. */
  readonly maxWaterPercent: { readonly thirsty: number; readonly slick: number };
  readonly traits: readonly ProductTrait[];
  /** Where the trade reaches for it, and how readily: 0 everyday, 1 for its special purpose, 2 last resort. */
  readonly usual: { readonly on: readonly Surface[]; readonly rank: 0 | 1 | 2 };
  /** Minutes a coat: fixed, and for each dm². */
  readonly handsOn: { readonly fixedMin: number; readonly perDm2Min: number };
  /** How it goes on where it cannot be poured: in thin brushed coats; absent where its first method is the only one. */
  readonly brushed?: { readonly wetMicrons: number; readonly coats: number };
  /** Set where the user's own product stands in the class's place. */
  readonly own?: {
    readonly id: string;
    readonly openedMonths: number | null;
    /** Every jar of the class the user owns, this one first. */
    readonly jars: readonly OwnJar[];
    /** What a millilitre of it cost the user, in their money; null while unknown. */
    readonly pricePerMl: number | null;
  };
  /** What the user's own pieces have shown of it: its grades are lower for that. */
  readonly ownWear?: readonly OwnWear[];
  /** Standing of the values above: `default`, and fields that differ. */
  readonly standing: { readonly default: Provenance } & Partial<Record<string, Provenance>>;
}
