/** Times marking out: a desk of forty rows and three thousand marks, and how it grows with rows and with marks. Prints, judges nothing. */
import { performance } from "node:perf_hooks";
import { solvePattern } from "../core/marking/solve";
import { surfaceOf } from "../core/marking/surface-of";
import type { Form } from "../core/piece/form";
import type { Row } from "../core/piece/pattern";

const RUNS = 60;
const DISC = (diameterMm: number): Form => ({ kind: "disc", diameterMm, thicknessMm: 10 });

/** Rows of dots, every second one nestled. */
function rowsOf(count: number, diameterMm: number): readonly Row[] {
  return Array.from({ length: count }, (_unused, k) => ({
    id: `r${k}`,
    kind: "dots",
    colours: ["#ffffff"],
    diameterMm,
    ...(k % 2 === 1 ? { seat: "nestle" as const } : {}),
  }));
}

function timed(form: Form, rows: readonly Row[]): string {
  const surface = surfaceOf(form, form.kind === "frustum" ? "outside" : "top")!;
  let marks = 0;
  const times = Array.from({ length: RUNS }, () => {
    const from = performance.now();
    const solved = solvePattern(surface, { rows });
    const took = performance.now() - from;
    marks = solved.rows.reduce((sum, one) => sum + one.count, 0);
    return took;
  }).sort((a, b) => a - b);
  return `${rows.length} rows, ${marks} marks: median ${times[RUNS / 2]!.toFixed(1)} ms, p95 ${times[Math.floor(RUNS * 0.95)]!.toFixed(1)} ms`;
}

console.log(`marking out, a flat round top: ${timed(DISC(260), rowsOf(40, 3.2))} (goal: under 16 ms)`);
console.log(`  a dome: ${timed({ kind: "dome", diameterMm: 250, heightMm: 50 }, rowsOf(40, 3.2))}`);
console.log(`  an oval pebble: ${timed({ kind: "pebble", lengthMm: 250, widthMm: 230, thicknessMm: 40 }, rowsOf(40, 3.2))}`);
console.log(`  a tapered pot: ${timed({ kind: "frustum", topDiameterMm: 110, bottomDiameterMm: 80, heightMm: 180 }, rowsOf(40, 3.2))}`);
for (const rows of [25, 50, 100, 200]) console.log(`  growth with rows: ${timed(DISC(2 * rows * 3.4), rowsOf(rows, 3))}`);
const fixed = (size: number) => rowsOf(20, size).map((row, k): Row => ({ ...row, seat: "free", at: { radiusMm: 10 + 9 * k } }));
for (const size of [8, 4, 2, 1]) console.log(`  growth with marks: ${timed(DISC(400), fixed(size))}`);
