import { lightness } from "./colour";
import { mixedColour } from "./mix";
import type { MixPaint } from "./mix";

/** One rung of a ladder of shades. */
export interface Rung {
  /** Share of the second paint, 0–1. */
  readonly share: number;
  /** sRGB hex. */
  readonly colour: string;
}

const HALVINGS = 40;

const between = (from: MixPaint, to: MixPaint, share: number) =>
  share <= 0
    ? from.colour
    : share >= 1
      ? to.colour
      : mixedColour([
          { ...from, parts: 1 - share },
          { ...to, parts: share },
        ]);

/** A step of tint in a mixture: where lightness hardly changes between the two ends, steps of volume are as good. */
const FLAT = 6;

/**
 * Shades between two paints or mixtures, even to the eye: by lightness, or by volume where the two are about as light.
 *
 * @param steps rungs, both ends among them, from 2
 * @returns rungs from the first paint to the second; lightness goes one way only
 */
export function shadeLadder(from: MixPaint, to: MixPaint, steps: number): readonly Rung[] {
  const [first, last] = [lightness(from.colour), lightness(to.colour)];
  const flat = Math.abs(last - first) < FLAT;
  return Array.from({ length: steps }, (_unused, at): Rung => {
    const along = at / (steps - 1);
    const share = flat || at === 0 || at === steps - 1 ? along : shareAt(from, to, first + along * (last - first), last > first);
    return { share, colour: between(from, to, share) };
  });
}

function shareAt(from: MixPaint, to: MixPaint, wanted: number, rising: boolean): number {
  let [low, high] = [0, 1];
  for (let round = 0; round < HALVINGS; round += 1) {
    const middle = (low + high) / 2;
    if (lightness(between(from, to, middle)) < wanted === rising) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** What is done with one puddle at one shade. */
export interface PuddleStep extends Rung {
  /** What the puddle holds at this shade, mL. */
  readonly puddleMl: number;
  /** Laid now, mL. */
  readonly useMl: number;
  /** Set aside for the second coat, which comes when the puddle is darker already, mL. */
  readonly keepMl: number;
  /** Of the second paint added for the next shade, mL; 0 at the last. */
  readonly addMl: number;
}

/**
 * One puddle taken from shade to shade: how much to begin with, what to lay and what to keep of each, what to add for the next. Reckoned from the last
 * shade back, so that nothing is over.
 *
 * @param ladder rungs of rising share; the last may be the second paint itself only where it is the only one
 * @param firstCoatMl laid of each shade, mL, in the order of the rungs
 * @param secondCoatMl wanted of each shade afterwards, mL
 */
export function onePuddle(ladder: readonly Rung[], firstCoatMl: readonly number[], secondCoatMl: readonly number[]): readonly PuddleStep[] {
  const steps: PuddleStep[] = [];
  let after = 0;
  let add = 0;
  for (let at = ladder.length - 1; at >= 0; at -= 1) {
    const rung = ladder[at]!;
    const next = ladder[at + 1];
    if (next) {
      // What is left over of this shade is what the next is made from.
      const puddle = after;
      const left = rung.share >= 1 ? 0 : (puddle * (1 - next.share)) / (1 - rung.share);
      add = puddle - left;
      after = left;
    }
    const [useMl, keepMl] = [firstCoatMl[at]!, secondCoatMl[at]!];
    after += useMl + keepMl;
    steps.unshift({ ...rung, puddleMl: after, useMl, keepMl, addMl: next ? add : 0 });
  }
  return steps;
}
