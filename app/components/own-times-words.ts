import { roomKey } from "#core/logbook/own-times";
import type { OwnFactor, OwnTimes } from "#core/logbook/own-times";
import type { Menu } from "#core/catalogue/menu";
import type { RoomRecord } from "#core/formats/stores/rooms";
import { nameIn } from "./use-menu";

/** To the nearest so many per cent: more is not known. */
const GRAIN = 5;
const percentOf = (factor: number) => Math.round((100 * (factor - 1)) / GRAIN) * GRAIN;

/**
 * How far a time is from what is reckoned, and how sure that is.
 *
 * @example factorText({ factor: 1.31, from: 1.1, to: 1.52, … }) // "about 30 % longer (10 to 50 % longer; seen 4 times)"
 */
export function factorText({ factor, from, to, seen }: OwnFactor): string {
  const percent = percentOf(factor);
  const times = seen === 1 ? "seen once" : `seen ${seen} times`;
  const said = percent === 0 ? "about as long as reckoned" : `about ${Math.abs(percent)}\u00a0% ${percent > 0 ? "longer" : "shorter"}`;
  const [least, most] = [percentOf(from), percentOf(to)];
  const end = (value: number) => (value === 0 ? "as reckoned" : `${Math.abs(value)}\u00a0% ${value > 0 ? "longer" : "shorter"}`);
  return `${said} (${least === most ? "" : `between ${end(least)} and ${end(most)}; `}${times})`;
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

/** What was learnt, line by line. */
export function timesTold(
  { films, rooms: own, hands }: OwnTimes,
  menu: Menu,
  rooms: readonly RoomRecord[],
): readonly { readonly what: string; readonly said: string }[] {
  return [
    ...films.map((one) => ({ what: `${nameIn(menu.products, one.key)} dries`, said: factorText(one) })),
    ...own.map((one) => ({ what: `In ${roomText(one.key, rooms)} things dry`, said: factorText(one) })),
    ...hands.map((one) => ({ what: `${kindText(one.key, menu)} takes you`, said: factorText(one) })),
  ];
}
