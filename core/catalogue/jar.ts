import type { JarId, ProductId } from "./ids";
import type { LabelValues, OwnProduct } from "./own-product";
import type { ProductClass } from "./product-class";
import { MIN_PER_DAY } from "../units/duration";
import { memory } from "./provenance";
import type { Sheen } from "./vocabulary";

export const OPACITIES = ["opaque", "semi-opaque", "translucent", "transparent"] as const;
export type Opacity = (typeof OPACITIES)[number];

/** What the label of a jar says, in the label's own terms; what it leaves out is absent. */
export interface JarLabel {
  readonly opacity?: Opacity;
  readonly sheen?: Sheen;
  /** Dry to the touch after, minutes. */
  readonly touchMin?: number;
  /** Takes the next coat after, minutes. */
  readonly recoatMin?: number;
  /** Not to be used below, °C. */
  readonly minC?: number;
  /** Not to be used above, °C. */
  readonly maxC?: number;
  readonly coats?: number;
  /** Water it bears at most, per cent of the paint's volume. */
  readonly thinnerPercent?: number;
  /** What a litre covers, m². */
  readonly spreadM2PerL?: number;
  readonly weatherproof?: boolean;
  readonly foodClaim?: boolean;
  /** How it is baked; null where the label says it is not. */
  readonly bake?: { readonly atC: number; readonly holdMin: number } | null;
}

/** How much is left in a jar, and since when that is known. */
export interface Left {
  readonly ml: number;
  readonly by: "eye" | "volume" | "weight";
  /** Instant, ISO 8601. */
  readonly at: string;
}

/** How one coat of a jar hides, as a swatch of it shows or as its mixture is reckoned. */
export interface JarHiding {
  /** Luminance over black ÷ over white of one coat, 0–1. */
  readonly ratio: number;
  /** It lies between the two; `to` is 1 where it hides too well to be told. */
  readonly from: number;
  readonly to: number;
  readonly by: "swatch" | "mixture";
}

/** One paint of a mixture, complete in itself: the jar may be gone by the time it is mixed again. */
export interface MixedFrom {
  readonly jar: JarId;
  readonly name: string;
  /** sRGB hex. */
  readonly colour: string;
  /** Of the mixture's volume; all of them are 1. */
  readonly share: number;
}

/** A jar, tube, can or pen the user owns, or a pot of what they mixed from them. */
export interface Jar {
  readonly id: JarId;
  readonly classId: ProductId;
  readonly name: string;
  /** sRGB hex; unknown, or of no colour, when absent. */
  readonly colour?: string;
  readonly label: JarLabel;
  /** Local date "YYYY-MM-DD". */
  readonly openedOn?: string;
  /** What it holds when full, mL. */
  readonly sizeMl?: number;
  /** What it weighs empty, with its lid, g. */
  readonly tareG?: number;
  /** What a full one cost, in the user's money. */
  readonly paid?: number;
  readonly left?: Left;
  readonly hiding?: JarHiding;
  /** What it is mixed from; absent for what came out of a shop. */
  readonly mix?: readonly MixedFrom[];
  /** Drops of it to 1 mL, as the user counted them. */
  readonly dropsPerMl?: number;
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === "object" && value !== null;
const isAbsentOr = (type: "number" | "string", value: unknown) => value === undefined || (typeof value === type && !Number.isNaN(value));

/**
 * Whether something stored can be worked with as a jar: a damaged one costs itself, and no plan.
 *
 * @param value anything
 */
export function isReadableJar(value: unknown): value is Jar {
  if (!isObject(value) || !isObject(value.label)) return false;
  const { id, classId, name, colour, openedOn, sizeMl, tareG, paid, left, label, hiding, mix, dropsPerMl } = value;
  const { bake, opacity, sheen, weatherproof: _outdoors, foodClaim: _food, ...numbers } = label;
  return (
    [id, classId, name].every((one) => typeof one === "string") &&
    [colour, openedOn, opacity, sheen].every((one) => isAbsentOr("string", one)) &&
    [sizeMl, tareG, paid, dropsPerMl, ...Object.values(numbers)].every((one) => isAbsentOr("number", one)) &&
    (colour === undefined || /^#[0-9a-f]{6}$/.test(String(colour))) &&
    (bake === undefined || bake === null || (isObject(bake) && typeof bake.atC === "number" && typeof bake.holdMin === "number")) &&
    (hiding === undefined || (isObject(hiding) && typeof hiding.ratio === "number")) &&
    (mix === undefined || (Array.isArray(mix) && mix.every((part) => isObject(part) && typeof part.jar === "string" && typeof part.share === "number"))) &&
    (left === undefined || (isObject(left) && typeof left.ml === "number" && typeof left.at === "string"))
  );
}

/**
 * Luminance over black ÷ over white of one dry coat, by the label's word: opaque 0.90–0.95, semi-opaque 0.75–0.80, translucent 0.50, transparent 0.25
 * [from memory].
 */
export const CONTRAST_OF: Readonly<Record<Opacity, number>> = { opaque: 0.93, "semi-opaque": 0.78, translucent: 0.5, transparent: 0.25 };

/** The careful wait is half as long again as the label's [from memory]. */
const CAUTIOUS = memory(1.5);
/** A label that gives a bake but no wait before it: a full day in the air [common practice]. */
const AIR_BEFORE_BAKE_MIN = MIN_PER_DAY;
/** Micrometres of wet film a litre lays on so many square metres: 1 L over 1 m² is 1 mm. */
const MICRONS_M2_PER_L = 1000;
const DAYS_PER_MONTH = 30.4;
const DAY_MS = 86_400_000;

const spanOf = (min: number) => ({ typical: min, cautious: min * CAUTIOUS.value });

function filmOf({ opacity, spreadM2PerL }: JarLabel, { film }: ProductClass): LabelValues["film"] {
  const wetMicrons = spreadM2PerL === undefined ? null : MICRONS_M2_PER_L / spreadM2PerL;
  const most = film.maxWetMicrons;
  return {
    ...(opacity === undefined || film.contrastRatio === null ? {} : { contrastRatio: CONTRAST_OF[opacity] }),
    ...(wetMicrons === null ? {} : { wetMicrons, ...(most !== null && wetMicrons > most ? { maxWetMicrons: wetMicrons } : {}) }),
  };
}

function dryingOf({ touchMin, recoatMin, minC, maxC }: JarLabel, { drying }: ProductClass): LabelValues["drying"] {
  return {
    ...(touchMin === undefined ? {} : { touch: spanOf(touchMin) }),
    ...(recoatMin === undefined ? {} : { recoat: { ...spanOf(recoatMin), min: recoatMin, untilMin: drying.recoat?.untilMin ?? null } }),
    ...(minC === undefined ? {} : { minC }),
    ...(maxC === undefined ? {} : { maxC }),
  };
}

const some = <T extends object>(values: T | undefined) => (values && Object.keys(values).length > 0 ? values : undefined);

/** What a swatch shows of a jar wins over what its label says of it. */
function measured(values: LabelValues, hiding: JarHiding | undefined, { film }: ProductClass): LabelValues {
  return hiding === undefined || film.contrastRatio === null ? values : { ...values, film: { ...values.film, contrastRatio: hiding.ratio } };
}

/** What a label says as values of its class. Times on a label are for the room of a label: about 23 °C and half damp. */
export function labelValues(label: JarLabel, product: ProductClass): LabelValues {
  const { sheen, coats, thinnerPercent, weatherproof, foodClaim, bake } = label;
  const film = some(filmOf(label, product));
  const drying = some(dryingOf(label, product));
  return {
    ...(film ? { film } : {}),
    ...(drying ? { drying } : {}),
    ...(sheen === undefined ? {} : { sheens: [sheen] }),
    ...(coats === undefined ? {} : { coats }),
    ...(thinnerPercent === undefined ? {} : { maxWaterPercent: { thirsty: thinnerPercent, slick: thinnerPercent } }),
    ...(weatherproof === undefined ? {} : { weatherproof }),
    ...(foodClaim === undefined ? {} : { foodClaim }),
    ...(bake === undefined
      ? {}
      : { bakeable: bake && { lowerC: bake.atC, higherC: bake.atC, holdMin: bake.holdMin, afterMin: product.bakeable?.afterMin ?? AIR_BEFORE_BAKE_MIN } }),
  };
}

/**
 * Whole months between two local dates.
 *
 * @param from "YYYY-MM-DD"
 * @param to "YYYY-MM-DD"
 * @returns months, from 0
 * @example monthsBetween("2026-01-15", "2026-11-26") // 10
 */
export function monthsBetween(from: string, to: string): number {
  return Math.max(0, Math.floor((Date.parse(to) - Date.parse(from)) / DAY_MS / DAYS_PER_MONTH));
}

/**
 * A jar as the planner knows it. What is left in it is not part of it: a plan is the same with a full jar and with an empty one.
 *
 * @param today local date "YYYY-MM-DD"
 */
export function ownProductOf({ id, classId, name, colour, label, openedOn, sizeMl, paid, hiding }: Jar, product: ProductClass, today: string): OwnProduct {
  const values = some(measured(labelValues(label, product), hiding, product));
  return {
    id,
    classId,
    name,
    ...(values ? { label: values } : {}),
    ...(hiding === undefined || product.film.contrastRatio === null ? {} : { measured: ["film.contrastRatio"] }),
    ...(colour === undefined ? {} : { colour }),
    ...(openedOn === undefined ? {} : { openedMonths: monthsBetween(openedOn, today) }),
    ...(paid === undefined || sizeMl === undefined ? {} : { price: { paid, ml: sizeMl } }),
  };
}
