import { line, PAPERS, words } from "./sheet";
import type { Drawing, PaperId, Shape } from "./sheet";

/** What every home printer leaves white, and a little more, mm. */
export const MARGIN_MM = 12;
/** Height kept at the foot for the bar and the words, mm. */
const FOOT_MM = 18;
const HEAD_MM = 12;
/** Pages of one drawing lie over one another by so much where they are joined, mm. */
const OVERLAP_MM = 8;
/** The bar that is measured after printing, mm. */
export const BAR_MM = 100;
/** More pages than this are no template. */
export const MOST_PAGES = 40;

/** How far off a print may be and still be put right by the next. */
export const SCALE_BOUNDS = { least: 0.8, most: 1.25 } as const;

/** One page: its own words and bar, and the part of the drawing it shows. */
export interface Page {
  readonly widthMm: number;
  readonly heightMm: number;
  /** What is drawn larger by, because the printer draws smaller: 1 where it was never measured. */
  readonly scale: number;
  /** Part of the page the drawing is seen in, mm: left, top, width, height. */
  readonly window: readonly [number, number, number, number];
  /** Added to a point of the drawing to have it on the page, mm. */
  readonly shift: readonly [number, number];
  readonly drawing: readonly Shape[];
  /** Head, bar and join marks: in mm of the page. */
  readonly frame: readonly Shape[];
}

/**
 * What the next print is enlarged by.
 *
 * @param measuredMm what the bar of 100 mm measured on paper
 * @param before what that print was enlarged by
 * @returns null where it cannot be: nobody's printer is a fifth off
 * @example nextScale(97) // 1.0309
 */
export function nextScale(measuredMm: number, before = 1): number | null {
  const scale = Math.round(((before * BAR_MM) / measuredMm) * 10_000) / 10_000;
  return scale >= SCALE_BOUNDS.least && scale <= SCALE_BOUNDS.most ? scale : null;
}

/** Where pages of one row or column begin, mm of the drawing. */
function starts(from: number, to: number, seen: number): readonly number[] {
  const whole = to - from;
  if (whole <= seen + 1e-6) return [from - (seen - whole) / 2];
  const count = Math.ceil((whole - OVERLAP_MM) / (seen - OVERLAP_MM) - 1e-9);
  // Evenly over the whole, so that the overlap is never under what was promised.
  const step = (whole - seen) / (count - 1);
  return Array.from({ length: count }, (_unused, k) => from + k * step);
}

function bar(heightMm: number, scale: number): readonly Shape[] {
  const [x, y, length] = [MARGIN_MM, heightMm - MARGIN_MM - 4, BAR_MM * scale];
  return [
    line(x, y, x + length, y, "cut", "bar"),
    line(x, y - 2, x, y + 2, "cut", "bar"),
    line(x + length, y - 2, x + length, y + 2, "cut", "bar"),
    words(x + length + 3, y + 1.2, "100 mm. Measure it before you cut. Print at 100 %.", 2.8, "start"),
  ];
}

/** Crosses at the sides where the next page joins, named alike on both. */
function joins(window: Page["window"], column: number, row: number, columns: number, rows: number): readonly Shape[] {
  const [x, y, w, h] = window;
  const out: Shape[] = [];
  const cross = (cx: number, cy: number, name: string) => {
    out.push(line(cx - 3, cy, cx + 3, cy, "faint", "joins"), line(cx, cy - 3, cx, cy + 3, "faint", "joins"), words(cx + 4, cy - 1, name, 2.8, "start"));
  };
  const half = OVERLAP_MM / 2;
  if (column > 0) cross(x + half, y + h / 2, `${row + 1}${column}`);
  if (column < columns - 1) cross(x + w - half, y + h / 2, `${row + 1}${column + 1}`);
  if (row > 0) cross(x + w / 2, y + half, `${"ABCDEFGH"[row - 1] ?? row}${column + 1}`);
  if (row < rows - 1) cross(x + w / 2, y + h - half, `${"ABCDEFGH"[row] ?? row + 1}${column + 1}`);
  return out;
}

/**
 * Lays a drawing out over pages at true size.
 *
 * @param scale what it is enlarged by, from `nextScale`
 * @returns null where it would take more than `MOST_PAGES`
 */
export function pagesOf(one: Drawing, paper: PaperId, scale = 1): readonly Page[] | null {
  const { widthMm, heightMm } = PAPERS[paper];
  const window: Page["window"] = [MARGIN_MM, MARGIN_MM + HEAD_MM, widthMm - 2 * MARGIN_MM, heightMm - 2 * MARGIN_MM - HEAD_MM - FOOT_MM];
  const [left, top, right, bottom] = one.box;
  const across = starts(left, right, window[2] / scale);
  const down = starts(top, bottom, window[3] / scale);
  if (across.length * down.length > MOST_PAGES) return null;
  const many = across.length * down.length;
  return down.flatMap((y0, row) =>
    across.map((x0, column): Page => {
      const number = row * across.length + column + 1;
      return {
        widthMm,
        heightMm,
        scale,
        window,
        shift: [window[0] / scale - x0, window[1] / scale - y0],
        drawing: one.shapes,
        frame: [
          words(MARGIN_MM, MARGIN_MM + 4, many > 1 ? `${one.title}: sheet ${number} of ${many}` : one.title, 4.5, "start"),
          words(MARGIN_MM, MARGIN_MM + 9, one.note, 2.8, "start"),
          ...bar(heightMm, scale),
          ...joins(window, column, row, across.length, down.length),
        ],
      };
    }),
  );
}
