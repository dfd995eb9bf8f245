/** Two-sided 95 %. */
const Z95 = 1.959963984540054;

/** A share of what was counted, and between what it may lie, 0–1. */
export interface ShareInterval {
  readonly share: number;
  readonly from: number;
  readonly to: number;
}

/**
 * The score interval of a share. Source: Wilson, Probable Inference, the Law of Succession, and Statistical Inference, JASA 22, 1927.
 *
 * @param hits how many of them, 0–`of`
 * @param of how many were counted, from 1
 * @param z two-sided quantile of the normal distribution; 95 % without it
 * @throws RangeError where nothing was counted, or more hits than that
 * @example wilson(0, 10).to.toFixed(3) // "0.278"
 */
export function wilson(hits: number, of: number, z = Z95): ShareInterval {
  if (!(of > 0 && hits >= 0 && hits <= of)) throw new RangeError("a share is of something that was counted");
  const p = hits / of;
  const z2 = z * z;
  const middle = (p + z2 / (2 * of)) / (1 + z2 / of);
  const half = (z / (1 + z2 / of)) * Math.sqrt((p * (1 - p)) / of + z2 / (4 * of * of));
  return { share: p, from: hits === 0 ? 0 : Math.max(0, middle - half), to: hits === of ? 1 : Math.min(1, middle + half) };
}

/** ln n!, by its sum: what is counted at a table is few. */
function logFactorial(n: number): number {
  let sum = 0;
  for (let k = 2; k <= n; k += 1) sum += Math.log(k);
  return sum;
}

const logChoose = (n: number, k: number) => logFactorial(n) - logFactorial(k) - logFactorial(n - k);

/** Some that were counted, and how many of them it happened to. */
export interface Counted {
  readonly hits: number;
  readonly of: number;
}

/**
 * How likely two shares differ so much by chance alone: the exact test of a two by two table, two-sided. Source: Fisher, The Design of Experiments, 1935.
 *
 * @returns 0–1
 * @example exactChance({ hits: 3, of: 4 }, { hits: 1, of: 4 }).toFixed(3) // "0.486"
 */
export function exactChance(one: Counted, other: Counted): number {
  const all = one.of + other.of;
  const hits = one.hits + other.hits;
  const at = (k: number) => Math.exp(logChoose(one.of, k) + logChoose(other.of, hits - k) - logChoose(all, hits));
  const seen = at(one.hits) * (1 + 1e-9);
  let sum = 0;
  for (let k = Math.max(0, hits - other.of); k <= Math.min(one.of, hits); k += 1) if (at(k) <= seen) sum += at(k);
  return Math.min(1, sum);
}
