/**
 * FNV-1a, 32 bit, twice with two seeds: a short, stable name for a text (Fowler, Noll & Vo, 1991).
 *
 * @returns sixteen hexadecimal digits
 * @example fingerprint("") // "811c9dc51b873593"
 */
export function fingerprint(text: string): string {
  const one = (seed: number) => {
    let value = seed;
    for (let index = 0; index < text.length; index += 1) value = Math.imul(value ^ text.charCodeAt(index), 0x01000193) >>> 0;
    return value.toString(16).padStart(8, "0");
  };
  return one(0x811c9dc5) + one(0x1b873593);
}
