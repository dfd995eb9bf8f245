import type { StepId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { Change, NewStep, Place } from "./change";
import type { StepChoice, ZoneSteps } from "./step";

type Zones = readonly ZoneSteps<StepChoice>[];

/** The step a step would change places with in its zone; none where it is the first or the last, or where the other is on the piece already. */
function neighbour({ steps }: ZoneSteps<StepChoice>, id: StepId, by: -1 | 1): StepChoice | null {
  const at = steps.findIndex((step) => step.id === id);
  const other = at < 0 ? undefined : steps[at + by];
  return other && !other.done && !steps[at]!.done ? other : null;
}

/**
 * One act done a place earlier or later, in each of its zones where that can be.
 *
 * @param stepIds the act's steps, one or more
 * @param by -1 for earlier, 1 for later
 * @returns moves; none where it stands at the end already
 */
export function moveBy(zones: Zones, stepIds: readonly StepId[], by: -1 | 1): readonly Change[] {
  return stepIds.flatMap((stepId): readonly Change[] => {
    const zone = zones.find((one) => one.steps.some((step) => step.id === stepId));
    const other = zone && neighbour(zone, stepId, by);
    return other ? [{ op: "move", stepId, at: by < 0 ? { before: other.id } : { after: other.id } }] : [];
  });
}

/** Where a step that comes after some steps stands among others: behind the last of them, and behind all that is on the piece already. */
function behind(others: readonly StepChoice[], before: ReadonlySet<StepId>): { readonly index: number; readonly at: Place } {
  const last = others.findLastIndex((one) => one.done || before.has(one.id));
  return { index: last + 1, at: last < 0 ? { start: true } : { after: others[last]!.id } };
}

/**
 * One act done elsewhere in the order: in each of its zones behind whatever comes before its new place.
 *
 * @param stepIds the act's steps, one or more
 * @param before steps of the acts that come before the new place
 * @returns moves; none where nothing of the same zone lies between
 */
export function moveBehind(zones: Zones, stepIds: readonly StepId[], before: ReadonlySet<StepId>): readonly Change[] {
  return zones.flatMap(({ steps }) =>
    steps.flatMap((step, index): readonly Change[] => {
      if (step.done || !stepIds.includes(step.id)) return [];
      const place = behind(
        steps.filter((one) => one !== step),
        before,
      );
      return place.index === index ? [] : [{ op: "move", stepId: step.id, at: place.at }];
    }),
  );
}

/**
 * An act done in one zone more.
 *
 * @param step of the act, as it is done elsewhere
 * @param before steps of the acts that come before it
 * @returns nothing where the piece has no such zone
 */
export function alsoIn(zones: Zones, step: StepChoice, zone: ZoneId, before: ReadonlySet<StepId>): readonly Change[] {
  const there = zones.find((one) => one.zone === zone);
  if (!there) return [];
  const { role, product, jar, sheen, colour, technique, method, coats, thinning, heat, while: worked } = step;
  // Marks are as many and as large as suit the other place.
  const coverage = step.marks ? undefined : step.coverage;
  const own = {
    role,
    product,
    jar,
    sheen,
    colour,
    technique,
    method,
    coats,
    coverage,
    thinning: thinning && { with: thinning.with, percent: thinning.percent },
    heat,
    while: worked,
  };
  const said = Object.fromEntries(Object.entries(own).filter(([, value]) => value !== undefined)) as unknown as NewStep;
  return [{ op: "add", zone, at: behind(there.steps, before).at, step: said }];
}

/**
 * A step of the user's own after an act, in each of its zones.
 *
 * @param step without an id: each zone gives it one
 */
export function putAfter(zones: Zones, stepIds: readonly StepId[], step: NewStep): readonly Change[] {
  return zones.flatMap(({ zone, steps }) => {
    const last = steps.findLast((one) => stepIds.includes(one.id));
    return last ? [{ op: "add", zone, at: { after: last.id }, step } as const] : [];
  });
}

/**
 * An act laid from a jar of the user's, in the colour of that jar; or, without one, from the jar of its colour again.
 *
 * @param step the act's own, of its first zone
 * @param jar null to let the colour choose
 */
export function takeFrom(
  stepIds: readonly StepId[],
  step: Pick<StepChoice, "colour">,
  jar: { readonly id: string; readonly colour?: string } | null,
): readonly Change[] {
  const colour = step.colour === undefined ? undefined : jar?.colour;
  return stepIds.flatMap((stepId): readonly Change[] => [
    { op: "set", stepId, field: "jar", value: jar?.id },
    ...(colour === undefined ? [] : [{ op: "set", stepId, field: "colour", value: colour } as const]),
  ]);
}
