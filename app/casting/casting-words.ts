import { FAULTS } from "#core/casting/repair/fault";
import type { Fault, FaultPlace } from "#core/casting/repair/fault";
import { sayMass } from "#core/units/mass";
import type { Between, Doubt, WeightTold } from "#core/drying/constant-weight";
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
  const sort = FAULTS[kind];
  const many = each > 1 ? `${each} ${sort.many}` : sort.name;
  const where = sort.places.length > 1 ? ` ${PLACE_WORDS[place]}` : "";
  return `${many}${where}${of > 1 ? `${where === "" ? "," : " of"} ${bodies} of them` : ""}`;
}

/** When a body is dry: "Friday", "about Friday, Sunday at the latest". */
export function sayWhenDry({ typical, to }: Pick<Between, "typical" | "to">, now: number): string {
  const [about, latest] = [sayDay(typical, now), sayDay(to, now)];
  return about === latest ? about : `about ${about}, ${latest} at the latest`;
}

/** Moulds of a pour, as its heading: "Table number × 4, Gull stone". */
export function sayMoulds(moulds: readonly { readonly name: string; readonly count: number }[]): string {
  return moulds.map(({ name, count }) => (count > 1 ? `${name} × ${count}` : name)).join(", ");
}

/** A ratio as it is said: "38 of water to 100". */
export function sayRatio(waterPer100: number): string {
  return `${Math.round(waterPer100 * 10) / 10} of water to 100`;
}

/** A weight that is only about right: no tenths of a gram. */
function sayAbout(g: number, unit: WeightUnit): string {
  return unit === "g" ? `${Math.max(1, Math.round(g))} g` : sayMass(g, unit);
}

/** Weighings that cannot be of this body, with what it can weigh. */
function sayDoubts(doubts: readonly Doubt[], unit: WeightUnit, many: boolean): string {
  const said = doubts.map(({ g }) => sayMass(g, unit)).join(", ");
  const { g, by, leastG, mostG } = doubts.at(-1)!;
  const bound = g > mostG ? `${sayMass(Math.round(mostG), unit)} at the most` : `${sayMass(Math.round(leastG), unit)} at the least`;
  const how = by === "others" ? "by the other weighings" : "by what was poured";
  return `${said} cannot be right: ${how} ${many ? "they weigh" : "it weighs"} ${bound}. It is left out; take it off, or weigh again.`;
}

/** How far a body's drying has come, in a line. */
export function sayDrying(told: WeightTold | null, unit: WeightUnit, now: number, many: boolean): string {
  const [it, weighs] = many ? ["they", "them"] : ["it", "it"];
  if (!told) return `Weigh ${weighs} now and then: two or three weighings say when ${it} may be painted.`;
  if (told.doubts.length > 0) return sayDoubts(told.doubts, unit, many);
  if (told.constant) return `The weight stays the same: ${it} may be painted.`;
  if (told.gained) return "Heavier than before: water was taken up, or something else lay on the scale.";
  if (told.constantAt) {
    const { from, typical, to } = told.leftG!;
    if (!told.unsure) return `About ${sayAbout(typical, unit)} of water still in ${weighs}: ${it} may be painted ${sayWhenDry(told.constantAt, now)}.`;
    const between = `Between ${sayAbout(from, unit)} and ${sayAbout(to, unit)} of water still in ${weighs}`;
    const slowly = told.slow ? `, though ${it} hardly ${many ? "lose" : "loses"} any in a day` : "";
    return `${between}${slowly}. It cannot be told well yet: not before ${sayDay(told.constantAt.from, now)}, perhaps about ${sayDay(told.constantAt.typical, now)}; each weighing narrows it down.`;
  }
  if (told.againAt !== null)
    return `The same weight, but in the cold or a bag it would hardly change: the same again on ${sayDay(told.againAt, now)}, and ${it} may be painted.`;
  if (told.slow) return `The weight hardly changes, yet ${it} ${many ? "are" : "is"} heavier than what was poured weighs dry: there is water in ${weighs}.`;
  if (told.coarse) return "So light a body wants a finer scale, or more of them weighed together.";
  return told.lostG > 0
    ? `${sayMass(told.lostG, unit)} lighter by now. One more weighing, a good half day on, says when ${it} may be painted.`
    : `Weigh ${weighs} again a good half day on.`;
}

export const COMPOUND_KIND_WORDS: Readonly<Record<string, string>> = { gypsum: "casting gypsum", cement: "cement mix", resin: "two-part resin" };
