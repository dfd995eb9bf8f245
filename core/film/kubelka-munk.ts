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
  const coth = arc < 1e-9 ? 1 / Math.max(arc, 1e-300) : Math.cosh(arc) / Math.sinh(arc);
  return (1 - ground * (a - b * coth)) / (a - ground + b * coth);
}
