/**
 * Perimeter of an ellipse, mm: 4aE(m), m = 1 − b²/a², the complete integral by the arithmetic-geometric mean.
 * Source: Abramowitz & Stegun, Handbook of Mathematical Functions, 17.3 and 17.6 (1964).
 *
 * @param a,b half axes, mm, each 0 or more
 * @example Math.round(ellipsePerimeter(10, 10) * 1000) // 62832
 */
export function ellipsePerimeter(a: number, b: number): number {
  const [long, short] = a >= b ? [a, b] : [b, a];
  if (long === 0) return 0;
  if (short === 0) return 4 * long;
  let x = 1;
  let y = short / long;
  let c = Math.sqrt(1 - y * y);
  let sum = 0;
  let weight = 0.5;
  while (Math.abs(c) > 1e-16) {
    sum += weight * c * c;
    weight *= 2;
    [x, y, c] = [(x + y) / 2, Math.sqrt(x * y), (x - y) / 2];
  }
  return 2 * long * (Math.PI / x) * (1 - sum);
}

/**
 * Along a quarter of an ellipse from the end of one half axis, mm.
 *
 * @param across half axis the arc begins square to: at turn 0 the point stands on `up`
 * @param up the other half axis
 * @param turn parametric angle reached, 0–π/2
 */
export function ellipseArc(across: number, up: number, turn: number): number {
  // Gauss–Legendre, 5 points [published: Abramowitz & Stegun, table 25.4], in eighths of the turn.
  const nodes = [0, 0.5384693101056831, -0.5384693101056831, 0.906179845938664, -0.906179845938664];
  const weights = [0.5688888888888889, 0.47862867049936647, 0.47862867049936647, 0.23692688505618908, 0.23692688505618908];
  const pieces = 16;
  const half = turn / pieces / 2;
  let sum = 0;
  for (let piece = 0; piece < pieces; piece++)
    for (let k = 0; k < nodes.length; k++) {
      const angle = (2 * piece + 1 + nodes[k]!) * half;
      sum += weights[k]! * half * Math.hypot(across * Math.cos(angle), up * Math.sin(angle));
    }
  return sum;
}
