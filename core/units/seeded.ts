/**
 * Numbers from a seed, 0–1: the same whenever it is asked.
 * Source: mulberry32 by Tommy Ettinger, public domain.
 *
 * @param seed any whole number; its last 32 bits count
 * @example numbersFrom(1)() === numbersFrom(1)() // true
 */
export function numbersFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
