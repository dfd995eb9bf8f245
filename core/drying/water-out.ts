import type { ProductClass } from "../catalogue/product-class";
import { memory } from "../catalogue/provenance";
import type { Room } from "../piece/piece";
import { inStillAir, waterFlux } from "./air";
import type { WaterFlux } from "./air";
import { dayAndNight, NIGHT_SHARE } from "./day-night";

/** How readily water comes up through drying clay or paint, µm² a minute: 1e-9 m²/s [from memory; half as readily for the careful]. */
const DIFFUSES = memory({ typical: 60_000, cautious: 30_000 }).value;

/** Minutes, as it usually is and as a careful painter waits. */
export interface WaterOut {
  readonly typical: number;
  readonly cautious: number;
}

/**
 * The soonest the water of a film can be out of it: what a free surface of water would give off in this room, and the way up through its thickness. What
 * goes into a kiln or an oven with water in it bursts or blisters.
 *
 * @param wetMicrons thickness, µm wet; null of what leaves no film
 * @returns 0 of what water does not leave; null where nothing evaporates
 */
export function waterOutMin({ drying, film }: Pick<ProductClass, "drying" | "film">, wetMicrons: number | null, room: Room): WaterOut | null {
  if (drying.by !== "evaporation" || wetMicrons === null) return { typical: 0, cautious: 0 };
  const { day, night } = dayAndNight(inStillAir(room));
  const mean = (pick: (flux: WaterFlux) => number) =>
    night ? (1 - NIGHT_SHARE) * pick(waterFlux(day)) + NIGHT_SHARE * pick(waterFlux(night)) : pick(waterFlux(day));
  const [most, least] = [mean((flux) => flux.most), mean((flux) => flux.least)];
  if (least <= 0) return null;
  // A micrometre of water is a gram on a square metre.
  const water = wetMicrons * (1 - (film.volumeSolidsPercent ?? 0) / 100);
  return { typical: water / most + wetMicrons ** 2 / DIFFUSES.typical, cautious: water / least + wetMicrons ** 2 / DIFFUSES.cautious };
}
