import { colourDifference } from "../../film/colour";
import type { ZoneSteps } from "../../coating/model/step";
import { laysFilm } from "./film-lines";
import type { MadeRecord } from "./record";

/** What was laid then, and what a new plan takes in its place. */
export interface Replaced {
  readonly was: string;
  readonly wasColour: string | null;
  /** The jar that is taken now; null where nothing on the shelf does, and it is to be got. */
  readonly now: string | null;
  readonly nowColour: string | null;
  /** How far the colours are apart, ΔE00; null where one of them has none. */
  readonly apart: number | null;
}

interface ShelfJar {
  readonly id: string;
  readonly name: string;
  readonly colour?: string;
  readonly leftMl?: number;
}

/** Less than this is an empty jar, mL. */
const EMPTY_ML = 0.5;

/**
 * Paints of a record that are no longer on the shelf, and what the new plan takes for them. What is there still is not named.
 *
 * @param steps of the new plan, zone by zone
 * @param shelf jars that are there now, with what is left in them where that is known
 */
export function replacedPaints(record: Pick<MadeRecord, "work">, steps: readonly ZoneSteps[], shelf: readonly ShelfJar[]): readonly Replaced[] {
  const here = new Map(shelf.filter(({ leftMl }) => leftMl === undefined || leftMl > EMPTY_ML).map((jar) => [jar.id, jar]));
  // A jar that was put on the shelf anew under its old name is the same to whoever paints from it.
  const names = new Set([...here.values()].map(({ name }) => name.toLowerCase()));
  const found = new Map<string, Replaced>();
  for (const line of record.work) {
    if (!laysFilm(line) || (line.jar && (here.has(line.jar.id) || names.has(line.jar.name.toLowerCase())))) continue;
    const was = line.jar?.name ?? line.title;
    if (found.has(was)) continue;
    const same = steps
      .filter(({ zone }) => line.zones.includes(zone))
      .flatMap((zone) => zone.steps)
      .find((step) => step.role === line.role && step.product === line.product && (step.colour ?? "").toLowerCase() === (line.colour ?? "").toLowerCase());
    const jar = same?.ownProduct === undefined ? undefined : here.get(same.ownProduct);
    // What came out of no jar of the user's own then, and comes out of none now, was not replaced.
    if (!line.jar && !jar) continue;
    const [before, after] = [line.colour ?? null, jar?.colour ?? null];
    found.set(was, { was, wasColour: before, now: jar?.name ?? null, nowColour: after, apart: before && after ? colourDifference(before, after) : null });
  }
  return [...found.values()];
}
