import { motifNumber, plainZone } from "./vocabulary";
import type { PlainZoneId, ZoneId } from "./vocabulary";

const ZONE_NAMES: Record<PlainZoneId, string> = {
  top: "Top",
  back: "Back",
  outside: "Outside",
  rim: "Rim",
  inside: "Inside",
  "inner-strip": "Strip inside the rim",
  base: "Underneath",
  saucer: "Saucer",
  "lip-band": "Lip band",
  foot: "Foot",
  handle: "Handle",
  stem: "Stem",
  "food-side": "Eating side",
  lid: "Lid",
  body: "Body",
  face: "Face",
  edge: "Edge",
  parts: "Parts",
  "glue-spot": "Glue spot",
};

/** A place as the painter calls it. @example zoneName("top/motif-2") // "Motif 2 on the top" */
export function zoneName(zone: ZoneId): string {
  const motif = motifNumber(zone);
  const name = ZONE_NAMES[plainZone(zone)];
  return motif === null ? name : `Motif ${motif} on the ${name.toLowerCase()}`;
}

/** Several zones in one breath: "Rim, saucer and foot". */
export function zoneNames(zones: readonly ZoneId[]): string {
  const names = zones.map((zone, index) => (index === 0 ? zoneName(zone) : zoneName(zone).toLowerCase()));
  return names.length < 2 ? (names[0] ?? "") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;
}
