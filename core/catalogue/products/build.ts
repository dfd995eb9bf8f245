import { productId } from "../ids";
import { COMMON_PRACTICE, FROM_MEMORY } from "../provenance";
import type { Provenance } from "../provenance";
import { days, hours } from "../../units/duration";
import type { Surface } from "../material";
import type { DryingValues, FilmValues, ProductClass, Span } from "../product-class";

/** The cautious wait is half as long again as the usual one [from memory]. */
const CAUTIOUS = 1.5;
/** The fast end of a recoat window, as a share of the usual wait [from memory]. */
const QUICKEST = 0.75;

export function span(typical: number, cautious = typical * CAUTIOUS): Span {
  return { typical, cautious };
}

export function recoat(typical: number, more: { min?: number; cautious?: number; untilMin?: number } = {}): DryingValues["recoat"] {
  return { min: more.min ?? typical * QUICKEST, typical, cautious: more.cautious ?? typical * CAUTIOUS, untilMin: more.untilMin ?? null };
}

/** A wait of one full day or two before a sealer [common practice]. */
export const A_DAY_OR_TWO = span(hours(24), hours(48));
export const TWO_DAYS = span(hours(48), hours(72));

export function cureDays(from: number, to = from * CAUTIOUS): Span {
  return span(days(from), days(to));
}

const NO_FILM: FilmValues = {
  volumeSolidsPercent: null,
  wetMicrons: null,
  maxWetMicrons: null,
  densityKgL: null,
  contrastRatio: null,
  coversArea: null,
  body: null,
};

const NO_DRYING: DryingValues = { by: "none", touch: span(0, 0), recoat: null, through: null, cureDays: null, minC: 5 };

/** A waterborne film's wet limit, as a multiple of one brushed coat [from memory]. */
const WATERBORNE_LIMIT = 2;

const WATERBORNE: Omit<ProductClass, "id" | "name" | "means" | "jobs"> = {
  techniques: [],
  methods: ["brush"],
  binder: "acrylic",
  carrier: "water",
  grips: ["porous", "wood"],
  gripsBaked: [],
  ungroundedUpTo: null,
  film: NO_FILM,
  drying: { ...NO_DRYING, by: "evaporation" },
  resists: {},
  standsAlone: {},
  standsAloneBaked: {},
  sheens: [],
  rewettable: false,
  bakeable: null,
  kilnSafe: false,
  weatherproof: false,
  foodClaim: false,
  maxTempC: 60,
  childSafe: true,
  coats: 2,
  maxWaterPercent: { thirsty: 30, slick: 20 },
  traits: [],
  usual: { on: [], rank: 0 },
  handsOn: { fixedMin: 6, perDm2Min: 1 },
  standing: { default: FROM_MEMORY },
};

type Given = Partial<Omit<ProductClass, "id" | "name" | "means" | "jobs" | "film" | "drying" | "standing" | "usual">> &
  Pick<ProductClass, "name" | "means" | "jobs"> & {
    id: string;
    /** Defaults to every surface it grips. */
    usualOn?: readonly Surface[];
    rank?: 0 | 1 | 2;
    film?: Partial<FilmValues>;
    drying?: Partial<DryingValues>;
    practice?: readonly string[];
    standing?: Partial<Record<string, Provenance>>;
  };

/**
 * One product class from what differs from an ordinary waterborne film.
 * `practice` lists the fields whose value is common practice; everything else is from memory.
 */
export function productClass(given: Given): ProductClass {
  const { id, film, drying, practice: byPractice = [], standing, usualOn, rank = 0, ...rest } = given;
  const grips = [...(rest.grips ?? WATERBORNE.grips), ...(rest.gripsBaked ?? [])];
  const wet = film?.wetMicrons ?? null;
  return {
    ...WATERBORNE,
    ...rest,
    id: productId(id),
    usual: { on: usualOn ?? grips, rank },
    film: { ...NO_FILM, maxWetMicrons: wet === null ? null : wet * WATERBORNE_LIMIT, ...film },
    drying: { ...WATERBORNE.drying, ...drying },
    standing: { default: FROM_MEMORY, ...Object.fromEntries(byPractice.map((field) => [field, COMMON_PRACTICE])), ...standing },
  };
}
