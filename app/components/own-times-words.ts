import { roomKey } from "#core/logbook/learning/room-key";
import type { LearntStage } from "#core/logbook/learning/stages";
import type { OwnFactor, OwnTimes } from "#core/logbook/learning/own-times";
import type { Menu } from "#core/catalogue/menu";
import type { RoomRecord } from "#core/formats/stores/rooms";
import { nameIn } from "./use-menu";

/** To the nearest so many per cent: more is not known. */
const GRAIN = 5;
const percentOf = (factor: number) => Math.round((100 * (factor - 1)) / GRAIN) * GRAIN;

/** How far a time is from what is reckoned, and how sure that is. */
export interface FactorText {
  readonly said: string;
  readonly sure: string;
}

/**
 * A factor in words.
 *
 * @example factorText({ factor: 1.31, from: 1.1, to: 1.52, seen: 4, … }) // { said: "about 30 % longer", sure: "between 10 % longer and 50 % longer; seen 4 times" }
 */
export function factorText({ factor, from, to, seen }: OwnFactor): FactorText {
  const end = (percent: number) => (percent === 0 ? "as reckoned" : `${Math.abs(percent)}\u00a0% ${percent > 0 ? "longer" : "shorter"}`);
  const [middle, least, most] = [percentOf(factor), percentOf(from), percentOf(to)];
  const times = seen === 1 ? "seen once" : `seen ${seen} times`;
  return {
    said: middle === 0 ? "about as long as reckoned" : `about ${end(middle)}`,
    sure: least === most ? times : `between ${end(least)} and ${end(most)}; ${times}`,
  };
}

const KIND_WORDS: Readonly<Record<string, string>> = {
  clean: "Cleaning",
  fill: "Filling",
  sand: "Sanding",
  "dust-off": "Dusting off",
  size: "Sizing",
  prime: "Priming",
  base: "The base colour",
  isolate: "An isolating coat",
  mark: "Marking out",
  mask: "Masking",
  unmask: "Lifting masks",
  unmark: "Taking guides off",
  decorate: "Decorating",
  "top-dot": "Setting top dots",
  lock: "Locking",
  seal: "Sealing",
  sign: "Signing",
  "heat-set": "Baking",
};

/** A kind of work in a few words: "Dots", "Priming". */
export function kindText(kind: string, menu: Menu): string {
  const [role = "", technique] = kind.split("/");
  return technique === undefined ? (KIND_WORDS[role] ?? "Other work") : nameIn(menu.techniques, technique);
}

/** A room by its name, where there is one of that air. */
export function roomText(key: string, rooms: readonly RoomRecord[]): string {
  const known = rooms.find(({ room }) => roomKey(room) === key);
  if (known) return known.name;
  const [celsius, share] = key.split("/");
  return `a room at ${celsius} °C, ${Math.round(100 * Number(share))} %`;
}

const STAGE_WORDS: Readonly<Record<LearntStage, string>> = {
  "set-to-touch": "until it has set",
  "dry-to-touch": "until it is dry to the touch",
  "dry-to-recoat": "until it takes a coat",
  "dry-hard": "until it is hard",
};

/** What was learnt, line by line. */
export function timesTold(
  { films, rooms: own, hands }: OwnTimes,
  menu: Menu,
  rooms: readonly RoomRecord[],
): readonly (FactorText & { readonly what: string })[] {
  return [
    ...films.map((one) => ({ what: `${nameIn(menu.products, one.key)}, ${STAGE_WORDS[one.stage]}:`, ...factorText(one) })),
    ...own.map((one) => ({ what: `Any film in ${roomText(one.key, rooms)}, ${STAGE_WORDS[one.stage]}:`, ...factorText(one) })),
    ...hands.map((one) => ({ what: `${kindText(one.key, menu)} takes you`, ...factorText(one) })),
  ];
}
