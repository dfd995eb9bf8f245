/** Paper that templates are printed on, mm. */
export const PAPERS = { a4: { name: "A4", widthMm: 210, heightMm: 297 }, letter: { name: "US Letter", widthMm: 215.9, heightMm: 279.4 } } as const;
export type PaperId = keyof typeof PAPERS;

/** How a line is drawn: to cut along, to draw along, a help only, a mark at true size. */
export type Ink = "cut" | "guide" | "faint" | "mark";

/** A drawing at true size, mm, y downward. Paths are SVG path data of absolute M, L, A, C and Z only. */
export type Shape =
  | { readonly kind: "path"; readonly d: string; readonly ink: Ink; readonly group: string; readonly fill?: string }
  | {
      readonly kind: "text";
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly sizeMm: number;
      readonly anchor: "start" | "middle" | "end";
    };

export interface Drawing {
  readonly title: string;
  /** What to do with it, in a sentence. */
  readonly note: string;
  readonly shapes: readonly Shape[];
  /** Left, top, right, bottom, mm. */
  readonly box: readonly [number, number, number, number];
}

/** A number of a path: to a ten-thousandth of a millimetre. */
export function num(value: number): string {
  return String(Math.round(value * 10_000) / 10_000);
}

export function line(x0: number, y0: number, x1: number, y1: number, ink: Ink, group: string): Shape {
  return { kind: "path", d: `M${num(x0)} ${num(y0)}L${num(x1)} ${num(y1)}`, ink, group };
}

/** A circle of two half arcs. */
export function circlePath(x: number, y: number, radius: number, ink: Ink, group: string, fill?: string): Shape {
  const r = num(radius);
  const d = `M${num(x - radius)} ${num(y)}A${r} ${r} 0 1 1 ${num(x + radius)} ${num(y)}A${r} ${r} 0 1 1 ${num(x - radius)} ${num(y)}Z`;
  return { kind: "path", d, ink, group, ...(fill ? { fill } : {}) };
}

/** An ellipse of two half arcs. */
export function ovalPath(x: number, y: number, halfX: number, halfY: number, ink: Ink, group: string): Shape {
  const [a, b] = [num(halfX), num(halfY)];
  const d = `M${num(x - halfX)} ${num(y)}A${a} ${b} 0 1 1 ${num(x + halfX)} ${num(y)}A${a} ${b} 0 1 1 ${num(x - halfX)} ${num(y)}Z`;
  return { kind: "path", d, ink, group };
}

/** A closed or open line through points. */
export function throughPoints(points: readonly (readonly [number, number])[], closed: boolean, ink: Ink, group: string): Shape {
  const d = points.map(([x, y], k) => `${k === 0 ? "M" : "L"}${num(x)} ${num(y)}`).join("");
  return { kind: "path", d: closed ? `${d}Z` : d, ink, group };
}

/** An arc of a circle about a point, from one angle to another (clockwise from straight up), in parts of a quarter at most. */
export function arcPath(x: number, y: number, radius: number, from: number, to: number): string {
  const at = (angle: number) => `${num(x + radius * Math.sin(angle))} ${num(y - radius * Math.cos(angle))}`;
  const parts = Math.max(1, Math.ceil(Math.abs(to - from) / (Math.PI / 2)));
  const sweep = to > from ? 1 : 0;
  let d = `M${at(from)}`;
  for (let k = 1; k <= parts; k++) d += `A${num(radius)} ${num(radius)} 0 0 ${sweep} ${at(from + ((to - from) * k) / parts)}`;
  return d;
}

export function words(x: number, y: number, text: string, sizeMm = 3.5, anchor: "start" | "middle" | "end" = "middle"): Shape {
  return { kind: "text", x, y, text, sizeMm, anchor };
}

/** A drawing with its box, from the outer measures it needs. */
export function drawing(title: string, note: string, box: Drawing["box"], shapes: readonly Shape[]): Drawing {
  return { title, note, shapes, box };
}
