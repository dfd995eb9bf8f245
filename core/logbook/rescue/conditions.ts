import type { Spot, Wetness } from "./spot";

/** Standings of remedies. */
export const PRACTICE = { kind: "common-practice" } as const;
export const MEMORY = { kind: "memory" } as const;

/** A colour that is not fired yet, or is by now: no water near it. */
export const isKiln = ({ binder, body }: Spot): boolean => binder === "mineral" && body.traits.includes("bisque");
/** Two parts that harden by themselves. */
export const isResin = ({ binder }: Spot): boolean => binder === "epoxy";
/** Water, or what takes it off, may come near it. */
export const mayWipe = (spot: Spot): boolean => !spot.groundMoves && !isKiln(spot) && !isResin(spot);
/** Nothing is drawn into it. */
export const isSlick = ({ body }: Spot): boolean => body.surface === "slick";
/** Paper may go over it: a film that is sound, and nothing beneath that may hold lead. */
export const maySand = (spot: Spot): boolean => !spot.suspect && !isKiln(spot) && !(isSlick(spot) && spot.bare);
/** Unfired paint is never laid over what was in the kiln. */
export const mayPaintOver = (spot: Spot): boolean => !(spot.wetness === "heated" && isKiln(spot));
/** Stains rise through paint from it. */
export const isWood = ({ body }: Spot): boolean => body.surface === "wood";
/** Water that moves in it carries salts to its face. */
export const bringsSalts = ({ body }: Spot): boolean => body.traits.some((trait) => trait === "water-moves-through" || trait === "alkaline");
/** Dry to the touch, and hard right through. */
export const DRY: readonly Wetness[] = ["dry", "hard"];
/** Only a film that is hard right through is sanded. */
export const SANDED: readonly Wetness[] = ["hard"];

/** Nothing lies on it yet: what goes over it goes on top. */
export const isTopmost = ({ above }: Spot): boolean => above.length === 0;
/** One coat more of it may go over. */
export const takesCoat = (spot: Spot): boolean => mayPaintOver(spot) && isTopmost(spot);
