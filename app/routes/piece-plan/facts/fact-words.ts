import type { Menu } from "#core/catalogue/menu";
import type { Change } from "#core/coating/model/change";
import type { Piece } from "#core/piece/piece";
import { set } from "./fact-props";
import type { FactKey } from "./sentences";

/** Something that can be said of a piece in a word. */
export interface Sayable {
  readonly fact: FactKey;
  readonly name: string;
  /** What else people call it. */
  readonly alsoCalled: string;
  /** It is said already: saying it again takes it back. */
  readonly on: boolean;
  readonly changes: readonly Change[];
}

/** What else people call things, by id. */
export const ALSO: Readonly<Record<string, string>> = {
  dusty: "dirt, dust, dirty",
  greasy: "grease, oil, fat, finger marks",
  damp: "wet, moist, soaked",
  pitted: "pits, holes, pores",
  bumpy: "rough, uneven, lumps",
  "air-holes": "bubbles, pinholes, voids",
  chipped: "crack, cracked, broken, knock, dent",
  efflorescence: "salt, white bloom, lime, chalky",
  knots: "resin, knot",
  "previously-painted": "old paint, repaint, second hand",
  "glossy-coating": "varnished, shiny, lacquer, old varnish",
  "flaking-old-paint": "peeling, loose paint, flakes",
  "beach-found": "sea, beach, shore, salt water",
  "release-agent": "mold, soap, oil from the mould, casting",
  "green-wood": "fresh, undried, sappy",
  "outdoor-exposed": "rain, sun, garden, weather, outside",
  "outdoor-sheltered": "porch, balcony, outside",
  planter: "soil, plant, flowers, pot for plants",
  drinkware: "mug, tea, coffee, cup, drink",
  tableware: "plate, food, eat",
  "gift-or-sale": "sell, customer, present, shop",
  "child-made": "children, kids, school",
  candle: "tea light, flame, lantern",
};

/** Those of a list, each put in or taken out. */
function toggles(
  fact: FactKey,
  path: string,
  list: readonly string[],
  choices: readonly { readonly id: string; readonly name: string }[],
  least = 0,
): readonly Sayable[] {
  return choices.flatMap(({ id, name }): readonly Sayable[] => {
    const on = list.includes(id);
    if (on && list.length <= least) return [];
    return [{ fact, name, alsoCalled: ALSO[id] ?? "", on, changes: [set(path, on ? list.filter((one) => one !== id) : [...list, id])] }];
  });
}

/** One of a list, set where it is not the one already. */
function settings(
  fact: FactKey,
  path: string,
  value: string | undefined,
  choices: readonly { readonly id: string; readonly name: string }[],
  also: Readonly<Record<string, string>> = ALSO,
): readonly Sayable[] {
  return choices.filter(({ id }) => id !== value).map(({ id, name }) => ({ fact, name, alsoCalled: also[id] ?? "", on: false, changes: [set(path, id)] }));
}

const FINISHES = [
  { id: "matte", name: "Matt in the end" },
  { id: "satin", name: "Satin in the end" },
  { id: "gloss", name: "Gloss in the end" },
] as const;

const LIMITS = [
  { path: "constraints.oven", value: false, name: "No oven", alsoCalled: "cannot bake" },
  { path: "constraints.kiln", value: true, name: "A kiln can be had", alsoCalled: "fire, firing, glaze" },
  { path: "constraints.childSafe", value: true, name: "Safe for a child to do", alsoCalled: "kids, class, school" },
] as const;

/**
 * Everything that can be said of a piece in a word or two.
 *
 * @returns what is not said yet, and what can be taken back
 */
export function sayable(piece: Piece, menu: Menu): readonly Sayable[] {
  const { constraints } = piece;
  const limits = LIMITS.map(({ path, value, name, alsoCalled }): Sayable => {
    const on = constraints?.[path.split(".")[1] as "oven" | "kiln" | "childSafe"] === value;
    return { fact: "limits", name, alsoCalled, on, changes: [set(path, on ? !value : value)] };
  });
  return [
    ...toggles("conditions", "conditions", piece.conditions ?? [], menu.conditions),
    ...toggles("uses", "uses", piece.uses, menu.uses, 1),
    ...toggles("techniques", "decoration.techniques", piece.decoration?.techniques ?? [], menu.techniques),
    ...settings("finish", "finish", piece.finish, FINISHES, { matte: "dull, flat, mat", gloss: "shiny, glossy" }),
    ...settings("object", "object", piece.object, menu.objects),
    ...settings("material", "material", piece.material, menu.materials),
    ...limits,
  ];
}

/**
 * What is meant by a few letters: names that begin with them first, then names that have them inside, then what is also called so.
 *
 * @param typed empty means nothing
 */
export function meantBy(typed: string, things: readonly Sayable[]): readonly Sayable[] {
  const wanted = typed.trim().toLowerCase();
  if (wanted === "") return [];
  const ranked = things.flatMap((thing) => {
    const name = thing.name.toLowerCase();
    const rank = name.startsWith(wanted) ? 0 : name.includes(wanted) ? 1 : thing.alsoCalled.includes(wanted) ? 2 : null;
    return rank === null ? [] : [{ thing, rank }];
  });
  return [0, 1, 2].flatMap((wave) => ranked.filter(({ rank }) => rank === wave).map(({ thing }) => thing));
}
