/**
 * Reflectance of a film over a ground, R = (1 − Rg(a − b coth bSX)) / (a − Rg + b coth bSX).
 * [published: P. Kubelka, New contributions to the optics of intensely light-scattering materials, part I, JOSA 38, 1948]
 *
 * @param infinite reflectance of the paint laid so thick that nothing shows through, 0 < R∞ < 1
 * @param ground reflectance of what is beneath, 0–1
 * @param scatter S·X, scattering power of the film, 0 or more; 0 leaves the ground as it is
 * @example overGround(0.5, 0.2, 0) // 0.2
 */
export function overGround(infinite: number, ground: number, scatter: number): number {
  if (scatter <= 0) return ground;
  const a = (1 / infinite + infinite) / 2;
  const b = Math.sqrt(a * a - 1);
  const arc = b * scatter;
  // Past this the film is as good as endless.
  if (arc > 18) return infinite;
  const coth = arc < 1e-9 ? 1 / Math.max(arc, 1e-300) : 1 / Math.tanh(arc);
  return (1 - ground * (a - b * coth)) / (a - ground + b * coth);
}

/**
 * Absorption over scattering of a paint laid so thick that nothing shows through, K/S = (1 − R∞)² / 2R∞.
 * [published: P. Kubelka & F. Munk, Ein Beitrag zur Optik der Farbanstriche, Z. tech. Phys. 12, 1931]
 *
 * @param infinite reflectance R∞, 0 < R∞ ≤ 1
 * @example absorptionOverScatter(0.5) // 0.25
 */
export function absorptionOverScatter(infinite: number): number {
  return (1 - infinite) ** 2 / (2 * infinite);
}

/**
 * Reflectance of a paint laid so thick that nothing shows through; the inverse of `absorptionOverScatter`.
 *
 * @param ratio K/S, 0 or more
 * @example infiniteReflectance(0.25) // 0.5
 */
export function infiniteReflectance(ratio: number): number {
  return 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio);
}

/** What a film is over two grounds. */
export interface OverTwoGrounds {
  readonly dark: { readonly ground: number; readonly film: number };
  readonly pale: { readonly ground: number; readonly film: number };
}

/**
 * Reflectance laid thick, and scattering power, of a film measured over two grounds. Written with c = b coth bSX the film's equation is linear in a and c,
 * so that two grounds give both. [published: from Kubelka 1948]
 *
 * @param film reflectances, 0–1, the grounds apart from one another
 * @returns null where no film of one paint could look so
 */
export function fromTwoGrounds({ dark, pale }: OverTwoGrounds): { readonly infinite: number; readonly scatter: number } | null {
  const row = ({ ground, film }: { readonly ground: number; readonly film: number }) => [film + ground, film - ground, 1 + film * ground] as const;
  const [[a1, c1, r1], [a2, c2, r2]] = [row(dark), row(pale)];
  const whole = a1 * c2 - a2 * c1;
  if (Math.abs(whole) < 1e-12) return null;
  const a = (r1 * c2 - r2 * c1) / whole;
  const c = (a1 * r2 - a2 * r1) / whole;
  if (!(a > 1)) return null;
  const b = Math.sqrt(a * a - 1);
  if (!(c > b)) return null;
  return { infinite: a - b, scatter: Math.atanh(b / c) / b };
}
