import type { Pour } from "./pour";
import { powderUsedG } from "./pour";
import { mixOfBody } from "./pour-state";
import { ratioOf } from "./mix";
import { POWDERS } from "./compound";
import { PREPARATIONS } from "./stages";

/** Bodies that were poured in one way, and the holes they have. */
export interface Tally {
  readonly bodies: number;
  readonly holes: number;
}

/** What the records of pours say of one thing that was done otherwise. */
export interface Saying {
  readonly id: "soap" | "water" | "new-mould" | "warm";
  readonly text: string;
  readonly one: Tally;
  readonly other: Tally;
  /** How likely so great a difference would be by chance alone, 0–1. */
  readonly chance: number;
}

/** Fewer bodies than this on a side say nothing. */
const LEAST_BODIES = 2;
/** Up to so likely by chance it is told as more than chance [convention of the trade of statistics]. */
export const BEYOND_CHANCE = 0.05;
/** A difference that is told at all: so many times as many. */
const WORTH_TELLING = 1.5;

const perBody = ({ bodies, holes }: Tally) => holes / bodies;

/** ln n!, by its sum: counts of holes are small. */
function logFactorial(n: number): number {
  let sum = 0;
  for (let k = 2; k <= n; k += 1) sum += Math.log(k);
  return sum;
}

/**
 * How likely two counts differ so much by chance alone: the conditional test of two Poisson rates (Przyborowski & Wilenski, Biometrika 31, 1940), two-sided.
 *
 * @returns 0–1; 1 where nothing was counted
 * @example chanceOf({ bodies: 2, holes: 6 }, { bodies: 4, holes: 4 }).toFixed(2) // "0.09"
 */
export function chanceOf(one: Tally, other: Tally): number {
  const n = one.holes + other.holes;
  if (n === 0) return 1;
  const p = one.bodies / (one.bodies + other.bodies);
  const at = (k: number) => Math.exp(logFactorial(n) - logFactorial(k) - logFactorial(n - k) + k * Math.log(p) + (n - k) * Math.log(1 - p));
  const seen = at(one.holes) * (1 + 1e-9);
  let sum = 0;
  for (let k = 0; k <= n; k += 1) if (at(k) <= seen) sum += at(k);
  return Math.min(1, sum);
}

interface Split {
  readonly id: Saying["id"];
  readonly of: (pour: Pour, mould: number) => boolean | null;
  readonly one: string;
  readonly other: string;
}

/** Warmer water than this sets too fast for its bubbles [from memory]. */
const WARM_C = 28;

const SPLITS: readonly Split[] = [
  { id: "soap", of: ({ preparation }) => (preparation === "soap" ? false : true), one: "without soap on the mould", other: "with it" },
  { id: "new-mould", of: ({ moulds }, mould) => moulds[mould]?.stiff === true, one: "out of a new, stiff mould", other: "out of the others" },
  { id: "warm", of: ({ conditions: { waterC } }) => (waterC === undefined ? null : waterC >= WARM_C), one: "of warm water", other: "of cool water" },
];

function tally(pours: readonly Pour[], split: Split, side: boolean): Tally {
  let [bodies, holes] = [0, 0];
  for (const pour of pours)
    for (const { mould, count, faults } of pour.bodies) {
      if (split.of(pour, mould) !== side) continue;
      bodies += count;
      holes += faults.filter(({ kind }) => kind === "hole").reduce((sum, one) => sum + one.bodies * one.each, 0);
    }
  return { bodies, holes };
}

const times = (ratio: number) =>
  ratio >= 9.5
    ? "ten times and more"
    : ["", "", "twice", "three times", "four times", "five times", "six times", "seven times", "eight times", "nine times"][Math.round(ratio)] ||
      "half as many again";
const counted = (n: number) => (n === 1 ? "The one" : `The ${n}`);

function saying(pours: readonly Pour[], split: Split): readonly Saying[] {
  const [one, other] = [tally(pours, split, true), tally(pours, split, false)];
  if (Math.min(one.bodies, other.bodies) < LEAST_BODIES) return [];
  const chance = chanceOf(one, other);
  const sure = chance <= BEYOND_CHANCE ? "" : " So few bodies may still be chance.";
  if (perBody(one) < WORTH_TELLING * perBody(other) || perBody(one) === 0) return [];
  const has = one.bodies === 1 ? "has" : "have";
  const text =
    other.holes === 0
      ? `${counted(one.bodies)} ${split.one} ${has} all the holes; those ${split.other} have none.${sure}`
      : `${counted(one.bodies)} ${split.one} ${has} ${times(perBody(one) / perBody(other))} the holes of those ${split.other}.${sure}`.replace(
          "half as many again the holes of",
          "half as many holes again as",
        );
  return [{ id: split.id, text, one, other, chance }];
}

/** What the records of pours say: what was done otherwise, and what came of it. Nothing is told that the counts do not show. */
export function recordsSay(pours: readonly Pour[]): readonly Saying[] {
  return SPLITS.flatMap((split) => saying(pours, split));
}

/** What the records say of one mould. */
export interface MouldRecord {
  /** Bodies that came out of it. */
  readonly used: number;
  /** Faults by place, the most frequent first. */
  readonly faults: readonly { readonly kind: string; readonly place: string; readonly count: number }[];
}

/** How often a mould was used, and where its bodies have faults. */
export function mouldRecord(mould: string, pours: readonly Pour[]): MouldRecord {
  const own = pours.flatMap((pour) => pour.bodies.filter(({ mould: at }) => pour.moulds[at]?.mould === mould));
  const by = new Map<string, { kind: string; place: string; count: number }>();
  for (const { kind, place, bodies, each } of own.flatMap(({ faults }) => faults)) {
    const key = `${kind}/${place}`;
    by.set(key, { kind, place, count: (by.get(key)?.count ?? 0) + bodies * each });
  }
  return { used: own.reduce((sum, { count }) => sum + count, 0), faults: [...by.values()].sort((a, b) => b.count - a.count) };
}

/** What a body of a pour cost in powder, in the user's money; null where no price is known. */
export function costPerBody(pour: Pour, mould: number): number | null {
  const { paidPerG } = pour.powder;
  if (paidPerG === undefined) return null;
  const bodies = pour.moulds.reduce((sum, one) => sum + one.count * one.ml, 0);
  const used = powderUsedG(pour) || mixOfBody(pour, pour.moulds[mould]!).powderG * (bodies / pour.moulds[mould]!.ml);
  // Waste is shared by volume.
  return (used * paidPerG * pour.moulds[mould]!.ml) / bodies;
}

/** The ratio a pour came to, against its label's, as words; null where nothing was weighed. */
export function ratioSaid(pour: Pour): { readonly waterPer100: number; readonly off: boolean } | null {
  const [water, powder] = pour.bowls.reduce(([w, p], { run }) => [w + (run.waterG ?? 0), p + (run.powderG ?? 0)], [0, 0]);
  if (water === 0 || powder === 0) return null;
  const waterPer100 = ratioOf({ waterG: water, powderG: powder });
  const label = pour.powder.label.waterPer100 ?? POWDERS[pour.powder.kind].typical.waterPer100.value;
  return { waterPer100, off: Math.abs(waterPer100 / label - 1) > 0.05 };
}

/** What was sprayed on the moulds, in words. */
export function preparationName({ preparation }: Pick<Pour, "preparation">): string {
  return PREPARATIONS.find(({ id }) => id === preparation)!.said;
}
