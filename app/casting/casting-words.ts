import { BEYOND_CHANCE } from "#core/casting/records-say";
import { FAULTS } from "#core/casting/repair/fault";
import type { Fault, FaultPlace } from "#core/casting/repair/fault";
import { sayMass } from "#core/units/mass";
import type { WeightTold } from "#core/drying/constant-weight";
import { sayDay } from "~/components/time-words";

/** What the user weighs in. */
export type WeightUnit = "g" | "oz";

/** Ounces where lengths are in inches. */
export const weightUnit = (unit: "mm" | "in"): WeightUnit => (unit === "in" ? "oz" : "g");

export const PLACE_WORDS: Readonly<Record<FaultPlace, string>> = {
  face: "on the face",
  edge: "at the edge",
  "inside-edge": "at an inside edge",
  wall: "on the wall",
  foot: "on the foot",
};

export const PART_WORDS: Readonly<Record<string, string>> = {
  "": "a whole piece",
  body: "a body without its lid",
  lid: "a lid",
  handle: "a handle",
  saucer: "a saucer",
  numerals: "numerals",
  stem: "a stem",
};

/** "6 air holes on the face of 2" */
export function sayFault({ kind, place, bodies, each }: Fault, of: number): string {
  const { name } = FAULTS[kind];
  const many = each > 1 && !name.startsWith("a ") && !name.startsWith("an ") ? `${each} ${name}` : each > 1 ? `${name}, ${each} times` : name;
  return `${many} ${PLACE_WORDS[place]}${of > 1 ? ` of ${bodies} of them` : ""}`;
}

/** Two days as one stretch: "Friday", "Friday to Sunday". */
export function sayDays(from: number, to: number, now: number): string {
  const [first, last] = [sayDay(from, now), sayDay(to, now)];
  return first === last ? first : `${first} to ${last}`;
}

/** How far a body's drying has come, in a line. */
export function sayDrying(told: WeightTold | null, unit: WeightUnit, now: number): string {
  if (!told) return "Weigh it now and then: two or three weighings say when it may be painted.";
  if (told.constant) return "Its weight stays the same: it may be painted.";
  if (told.gained) return "It has grown heavier: it took up water, or something else lay on the scale.";
  if (told.constantAt) {
    const { from, typical, to } = told.constantAt;
    const far = to - typical > FAR_MS;
    return `${sayMass(told.leftG!.typical, unit)} of water still in it. It may be painted ${far ? `about ${sayDay(typical, now)}, ${sayDay(to, now)} at the latest` : sayDays(from, to, now)}.`;
  }
  if (told.coarse) return "So light a body wants a finer scale, or more of them weighed together.";
  return told.lostG > 0
    ? `It has lost ${sayMass(told.lostG, unit)}. One more weighing, a good half day on, says when it is dry.`
    : "Weigh it again a good half day on.";
}

const FAR_MS = 4 * 24 * 60 * 60_000;

/** How sure a saying of the records is. */
export function saySure(chance: number): string {
  return chance <= BEYOND_CHANCE ? "more than chance" : "may be chance";
}

export const COMPOUND_KIND_WORDS: Readonly<Record<string, string>> = { gypsum: "casting gypsum", cement: "cement mix", resin: "two-part resin" };
