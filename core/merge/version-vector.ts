/**
 * What is known of who changed something: of each device, the stamp of its last change that is known of. A version vector (Parker and others,
 * "Detection of mutual inconsistency in distributed systems", 1983).
 */
export type VersionVector = Readonly<Record<string, number>>;

export type Causality = "same" | "before" | "after" | "concurrent";

/**
 * How two states of one thing stand to each other.
 *
 * @returns `before` where the second knows of all the first knows and more, `after` the other way about, `concurrent` where each knows of something
 * the other does not
 * @example causality({ laptop: 2 }, { laptop: 2, phone: 1 }) // "before"
 */
export function causality(one: VersionVector, other: VersionVector): Causality {
  const knowsAll = (a: VersionVector, b: VersionVector) => Object.entries(b).every(([device, stamp]) => (a[device] ?? 0) >= stamp);
  const [first, second] = [knowsAll(one, other), knowsAll(other, one)];
  if (first && second) return "same";
  return first ? "after" : second ? "before" : "concurrent";
}

/**
 * What both know together.
 *
 * @example joined({ laptop: 2 }, { laptop: 1, phone: 1 }) // { laptop: 2, phone: 1 }
 */
export function joined(one: VersionVector, other: VersionVector): VersionVector {
  const all = { ...one };
  for (const [device, stamp] of Object.entries(other)) all[device] = Math.max(all[device] ?? 0, stamp);
  return all;
}

/**
 * The vector after one more change.
 *
 * @param at instant of the change, ms; where the device has stamped one as late already, the next number is taken
 * @example changedBy({ laptop: 7 }, "laptop", 5) // { laptop: 8 }
 */
export function changedBy(vector: VersionVector, device: string, at: number): VersionVector {
  return { ...vector, [device]: Math.max(at, (vector[device] ?? 0) + 1) };
}
