import type { Use } from "../../catalogue/use";

/** What a piece is not, as the one who receives it should know. */
export interface NotFor {
  readonly id: "food" | "flame" | "toy" | "outdoors" | "washing";
  readonly text: string;
}

type Meant = Pick<Use, "id" | "flame" | "outdoors" | "childMade" | "wears">;

const meets = (uses: readonly Meant[], wear: string) => uses.some(({ wears }) => Object.values(wears).some((own) => own.some((one) => one === wear)));

/**
 * What a piece is not made for: whatever its uses do not name [common practice]. A drinking vessel stays off food where it is painted.
 *
 * @param uses what it is made for
 * @param fired its colours are fired in a kiln under a food-safe glaze
 */
export function notFor(uses: readonly Meant[], fired: boolean): readonly NotFor[] {
  const named = (id: string) => uses.some((use) => use.id === id);
  const food = named("tableware") || named("drinkware");
  return [
    ...(food && fired
      ? []
      : [{ id: "food" as const, text: food ? "No food or drink on the painted places: hobby paint is not a food surface." : "Not for food or drink." }]),
    ...(uses.some(({ flame }) => flame) ? [] : [{ id: "flame" as const, text: "Not for candles or hot things: keep it from flame and oven." }]),
    ...(uses.some(({ outdoors }) => outdoors) ? [] : [{ id: "outdoors" as const, text: "Not for outdoors: rain, sun and frost take its coats off." }]),
    ...(meets(uses, "washing") ? [] : [{ id: "washing" as const, text: "Do not wash it: wipe it with a dry or barely damp cloth." }]),
    { id: "toy", text: "Not a toy: keep it from small children who put things in their mouths." },
  ];
}

/** What is said wherever something is sold: it is not decided here. */
export const SELLING_RULES =
  "Toys, food ware and candle holders are sold under rules of their own, which differ from place to place: tests, labels, who answers for them. Nook Coat does not decide them; ask the authority where you sell.";
