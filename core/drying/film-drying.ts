import { dotMicrons } from "../catalogue/data/techniques";
import type { Absorbency, Material } from "../catalogue/material";
import type { ProductClass } from "../catalogue/product-class";
import { memory } from "../catalogue/provenance";
import type { Room } from "../piece/piece";
import { MIN_PER_DAY } from "../units/duration";
import { airsOf } from "./day-night";
import { HUMID, roomFaults, STALLS_BELOW_C } from "./room-limits";
import type { RoomFault, RoomFaults } from "./room-limits";
import { stagesIn, touchLaw } from "./stages";
import type { StageRange, Stages } from "./stages";

/** What one film is asked about. */
export interface DryingAsk {
  readonly product: ProductClass;
  readonly room: Room;
  /** Of an even coat, µm wet; as the product is usually laid where absent. */
  readonly wetMicrons?: number;
  /** Dots in place of a coat. */
  readonly marks?: { readonly diameterMm: number; /** Of the dots they are set on, mm. */ readonly onDiameterMm?: number };
  /** Per cent of the paint's volume. */
  readonly thinningPercent?: number;
  /** The bare surface it lies on; absent: on paint. */
  readonly material?: Pick<Material, "absorbency">;
}

/** A time as it usually is and as a careful painter waits, minutes. */
export interface Wait {
  readonly typicalMin: number;
  readonly cautiousMin: number;
}

/** Stages as ASTM D1640 has them. */
export interface FilmStages {
  readonly setToTouch: Wait;
  readonly dryToTouch: Wait;
  readonly dryHard: Wait;
  readonly dryThrough: Wait;
  readonly dryToRecoat: Wait;
  /** Fully hard; null of what never sets, and of kiln colours. */
  readonly cured: Wait | null;
}

export interface DryingFinding {
  readonly code: "too-cold" | "too-humid" | "dew" | "too-hot-sun" | "stalls" | "too-thick" | "blooms";
  readonly severity: "note" | "warn" | "stop";
  readonly message: string;
  readonly help: string;
}

export interface DryingAnswer {
  /** Wet thickness that was reckoned with, µm; null of what leaves no film. */
  readonly wetMicrons: number | null;
  /** Null: it will not dry here. */
  readonly stages: FilmStages | null;
  readonly findings: readonly DryingFinding[];
}

/** It no longer flows, long before a finger may rest on it: shares of the time to touch [from memory]. */
const SET_SHARE = memory({ typical: 0.5, cautious: 0.7 }).value;

/** How long a film can be worked into: until it is set, minutes. @param touchMin until it is dry to the touch, minutes */
export function workableMin(touchMin: number): number {
  return touchMin * SET_SHARE.typical;
}

/** A bare thirsty face draws water out of the film, and has to give it off again [from memory]. */
const DRINKS: Readonly<Record<Absorbency, { readonly touch: number; readonly through: number }>> = memory({
  none: { touch: 1, through: 1 },
  low: { touch: 0.95, through: 1.05 },
  medium: { touch: 0.85, through: 1.15 },
  high: { touch: 0.7, through: 1.3 },
  "very-high": { touch: 0.6, through: 1.5 },
}).value;

/** Paint over one spot that has to dry right through: a dot, and the dot it was set on, which takes its water up. */
function throughOf({ marks }: DryingAsk, wet: number | null): number | null {
  return wet === null ? null : wet + (marks?.onDiameterMm === undefined ? 0 : dotMicrons(marks.onDiameterMm));
}

function wetOf({ product, wetMicrons, marks }: DryingAsk): number | null {
  return marks ? dotMicrons(marks.diameterMm) : (wetMicrons ?? product.film.wetMicrons);
}

/** How much more has to leave a thinned film of the same wet thickness: what is not solids. */
function thinned(product: ProductClass, percent: number): number {
  const solids = product.film.volumeSolidsPercent;
  if (solids === null || solids >= 100 || product.drying.by === "reaction" || product.drying.by === "none") return 1;
  const share = solids / 100;
  return (1 - share / (1 + percent / 100)) / (1 - share);
}

/** What a film of another thickness takes, against the usual coat: by A·w + B·w² where water leaves it, in proportion where solvent or air works through it, alike where it sets by itself. */
function thicknessFactor({ drying: { by }, film }: ProductClass, wet: number | null): number {
  const usual = film.wetMicrons;
  if (wet === null || usual === null || usual <= 0) return 1;
  if (by === "evaporation") return touchLaw(wet) / touchLaw(usual);
  return by === "oxidation" || by === "solvent" ? wet / usual : 1;
}

const atMost = (one: Wait, other: Wait): Wait => ({
  typicalMin: Math.min(one.typicalMin, other.typicalMin),
  cautiousMin: Math.min(one.cautiousMin, other.cautiousMin),
});
const atLeast = (one: Wait, other: Wait): Wait => ({
  typicalMin: Math.max(one.typicalMin, other.typicalMin),
  cautiousMin: Math.max(one.cautiousMin, other.cautiousMin),
});

/** One stage of both columns. */
function waitOf({ typical, cautious }: StageRange, pick: (column: Stages) => number, by = 1): Wait {
  return { typicalMin: pick(typical) * by, cautiousMin: pick(cautious) * by };
}

function stagesOf(ask: DryingAsk, wet: number | null): FilmStages | null {
  const { product, room, thinningPercent = 0, material } = ask;
  const usual = product.film.wetMicrons;
  const all = throughOf(ask, wet);
  const thick = all !== null && usual !== null && all > usual ? all : null;
  const plain = stagesIn(product, room);
  const range = stagesIn(product, room, thick);
  if (!plain || !range) return null;
  const drinks = DRINKS[material?.absorbency.value ?? "none"];
  const takes = thinned(product, thinningPercent);
  const early = thicknessFactor(product, wet) * takes;
  // Where water leaves it, deep drying has its own law of thickness, worked out with the stages.
  const deep = (product.drying.by === "evaporation" ? 1 : thicknessFactor(product, thick)) * takes;
  const dryToTouch = waitOf(plain, (one) => one.touchDry, early * drinks.touch);
  const dryToRecoat = atLeast(
    waitOf(plain, (one) => one.recoatFrom, early),
    dryToTouch,
  );
  const dryThrough = atLeast(
    waitOf(range, (one) => one.dryThrough, deep * drinks.through),
    dryToRecoat,
  );
  const dryHard = atLeast(
    waitOf(range, (one) => one.dryHard, takes),
    dryToRecoat,
  );
  const { cureDays } = plain.typical;
  return {
    setToTouch: { typicalMin: dryToTouch.typicalMin * SET_SHARE.typical, cautiousMin: dryToTouch.cautiousMin * SET_SHARE.cautious },
    dryToTouch,
    dryHard: atMost(dryHard, dryThrough),
    dryThrough,
    dryToRecoat,
    cured:
      cureDays === null
        ? null
        : atLeast(
            waitOf(plain, (one) => one.cureDays ?? 0, MIN_PER_DAY),
            dryThrough,
          ),
  };
}

const hereOf = ({ air, byNight }: RoomFault) => `${air.temperatureC} °C${byNight ? " by night" : ""}`;
const dampOf = ({ air, byNight }: RoomFault) => `${Math.round(air.relativeHumidity * 100)} %${byNight ? " by night" : ""}`;

function roomFindings({ cold, humid, dew, hot }: RoomFaults): readonly DryingFinding[] {
  const told: readonly (readonly [RoomFault | null, DryingFinding["code"], (fault: RoomFault) => string, string])[] = [
    [cold, "too-cold", (fault) => `at ${hereOf(fault)} the film does not knit together`, "Warm the room and the piece to about 20 °C."],
    [humid, "too-humid", (fault) => `at ${dampOf(fault)} water hardly leaves it`, "Air, warm or dry the room, or wait for a drier day."],
    [
      dew,
      "dew",
      ({ byNight }) => `the surface may sweat${byNight ? " by night" : ""}: it is nearly at the dew point`,
      "Warm the piece and the room, or dry the air.",
    ],
    [hot, "too-hot-sun", (fault) => `at ${hereOf(fault)} it dries before it can level`, "Work in the shade and in the cool of the day."],
  ];
  return told.flatMap(([fault, code, message, help]) => (fault ? [{ code, severity: fault.severity, message: message(fault), help }] : []));
}

function filmFindings({ product, room, marks }: DryingAsk, wet: number | null): readonly DryingFinding[] {
  const { by } = product.drying;
  const most = product.film.maxWetMicrons;
  const all: readonly (DryingFinding | null)[] = [
    by === "reaction" && airsOf(room).some(({ temperatureC }) => temperatureC < STALLS_BELOW_C)
      ? {
          code: "stalls",
          severity: "stop",
          message: `below about ${STALLS_BELOW_C} °C it may stall and stay sticky`,
          help: "Warm the room, the parts and the piece, for the whole of its setting.",
        }
      : null,
    !marks && wet !== null && most !== null && wet > most && by !== "reaction"
      ? {
          code: "too-thick",
          severity: "warn",
          message: `${Math.round(wet)} µm wet is more than the ${Math.round(most)} it stands`,
          help: "Lay two thin coats, or smaller marks.",
        }
      : null,
    by === "solvent" && airsOf(room).some(({ relativeHumidity }) => relativeHumidity > HUMID.warn)
      ? {
          code: "blooms",
          severity: "warn",
          message: "in damp air a spray may turn cloudy",
          help: "Spray on a drier day: the damp does not slow it, it clouds it.",
        }
      : null,
  ];
  return all.filter((one) => one !== null);
}

/**
 * When one film is dry, stage by stage, in one room: the class's times at 23 °C and 50 % scaled by the room, its thickness, what it was thinned
 * with and what it lies on. A range, never one figure.
 *
 * @returns stages null where it will not dry
 */
export function dryingOf(ask: DryingAsk): DryingAnswer {
  const wet = wetOf(ask);
  return { wetMicrons: wet, stages: stagesOf(ask, wet), findings: [...roomFindings(roomFaults(ask.product.drying, ask.room)), ...filmFindings(ask, wet)] };
}
