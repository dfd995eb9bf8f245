import type { SolvedPattern, SolvedRow } from "../solved";
import type { MarkingSurface } from "../surface";
import { rowName } from "../working-order";
import { plainMm } from "../words";
import { developWall, wallEdge } from "./develop";
import type { Developed } from "./develop";
import { circlePath, drawing, line, num, ovalPath, throughPoints, words } from "./sheet";
import type { Drawing, Shape } from "./sheet";

export const TEMPLATE_KINDS = ["wrap", "bands", "height-gauge", "slices", "rings", "oval", "dial", "s-curve", "marks", "practice"] as const;
export type TemplateKind = (typeof TEMPLATE_KINDS)[number];

/** What a template is drawn for. */
export interface TemplateAsk {
  readonly surface: MarkingSurface;
  /** Rows it shows; null of a bare place. */
  readonly solved: SolvedPattern | null;
  /** Parts of the round; of a dial 12 or 60. */
  readonly slices: number;
  readonly title: string;
}

interface Template {
  readonly id: TemplateKind;
  readonly name: string;
  readonly fits: (surface: MarkingSurface) => boolean;
  readonly draw: (ask: TemplateAsk) => Drawing;
}

const PAD = 4;
const TURN = 2 * Math.PI;
/** Rings that are drawn where no rows say which: so far apart, mm. */
const USUAL_STEP_MM = 10;

/** Diameters at foot and rim of a straight wall, mm. */
function ends(surface: MarkingSurface): readonly [number, number] {
  return [surface.ring(surface.from).lengthMm / Math.PI, surface.ring(surface.to).lengthMm / Math.PI];
}

const isTop = ({ shape }: MarkingSurface) => shape === "top";
const isStraightWall = ({ shape, straight }: MarkingSurface) => shape === "wall" && straight;

function laidRows(solved: SolvedPattern | null): readonly SolvedRow[] {
  return solved?.rows.filter(({ refused, row }) => !refused && row.kind !== "top-dots") ?? [];
}

/** Levels rows lie at, once each; where there are none, steps from the middle or the foot. */
function levelsOf({ surface, solved }: TemplateAsk): readonly number[] {
  const set = [...new Set(laidRows(solved).flatMap(({ level }) => (level !== null && level > 1e-6 ? [Math.round(level * 1000) / 1000] : [])))];
  if (set.length > 0) return set.sort((a, b) => a - b);
  const count = Math.max(1, Math.floor((surface.to - surface.from) / USUAL_STEP_MM - 1e-9));
  return Array.from({ length: count }, (_unused, k) => surface.from + USUAL_STEP_MM * (k + 1));
}

function stripeEdges({ level, row }: SolvedRow): readonly number[] {
  return row.kind === "band" || row.kind === "line" ? [level! - row.diameterMm / 2, level! + row.diameterMm / 2] : [];
}

function flatWall(surface: MarkingSurface): Developed {
  const [foot, rim] = ends(surface);
  return developWall(foot, rim, surface.to - surface.from);
}

function wrapShapes(ask: TemplateAsk, bandsOnly: boolean): readonly Shape[] {
  const { surface, solved, slices } = ask;
  const wall = flatWall(surface);
  const up = (level: number) => level - surface.from;
  const shapes: Shape[] = [...wallEdge(wall)];
  const rows = laidRows(solved);
  for (const row of rows) for (const edge of stripeEdges(row)) shapes.push(wall.round(up(edge), 0, 1, "cut", "bands"));
  if (bandsOnly) return shapes;
  for (const level of levelsOf(ask)) shapes.push(wall.round(up(level), 0, 1, "faint", "rows"));
  for (let k = 1; k < slices; k++) shapes.push(line(...wall.at(k / slices, 0), ...wall.at(k / slices, wall.slantMm), "guide", "slices"));
  for (const { marks } of rows)
    for (const { spots } of marks)
      for (const { flat, diameterMm } of spots) {
        const round = surface.ring(flat[1]).lengthMm;
        const [x, y] = wall.at(round > 0 ? flat[0] / round : 0, up(flat[1]));
        shapes.push(circlePath(x, y, diameterMm / 2, "mark", "marks"));
      }
  return shapes;
}

/** Space round a drawing, so that no line runs into its window. */
function padded([left, top, right, bottom]: Drawing["box"]): Drawing["box"] {
  return [left - PAD, top - PAD, right + PAD, bottom + PAD];
}

function wrap(ask: TemplateAsk): Drawing {
  const wall = flatWall(ask.surface);
  const note = "Cut along the black edge, wrap it round from foot to rim: the two short sides meet.";
  return drawing(`${ask.title}: wrap`, note, padded(wall.box), wrapShapes(ask, false));
}

function bands(ask: TemplateAsk): Drawing {
  const wall = flatWall(ask.surface);
  const shapes = wrapShapes(ask, true);
  const note = "Cut the strips out; what is left shields the wall on both sides of each band.";
  return drawing(`${ask.title}: band stencil`, note, padded(wall.box), shapes);
}

function heightGauge(ask: TemplateAsk): Drawing {
  const { surface } = ask;
  const width = 40;
  const tall = surface.say(surface.to).heightMm!;
  const marked = [...new Set([...levelsOf(ask), ...laidRows(ask.solved).flatMap(stripeEdges)])].sort((a, b) => a - b);
  const shapes: Shape[] = [
    throughPoints(
      [
        [0, -tall],
        [width, -tall],
        [width, 0],
        [0, 0],
      ],
      true,
      "cut",
      "edge",
    ),
  ];
  let last = Infinity;
  for (const level of marked) {
    const height = surface.say(level).heightMm!;
    shapes.push(line(0, -height, width, -height, "guide", "heights"));
    if (Math.abs(last - height) >= 3.5) shapes.push(words(width / 2, -height - 0.8, `${plainMm(height)} mm`, 2.8));
    last = height;
  }
  return drawing(
    `${ask.title}: height gauge`,
    "Fold it upright, stand it on the table beside the piece, and turn the piece.",
    padded([0, -tall, width, 0]),
    shapes,
  );
}

/** The edge of a top as a line to cut along. */
function edgeOf(surface: MarkingSurface): Shape {
  return outlineAt(surface, surface.to, "cut", "edge");
}

/** A line of a top, exactly where it is a circle or an oval. */
function outlineAt(surface: MarkingSurface, level: number, ink: "cut" | "guide" | "faint", group: string): Shape {
  const ring = surface.ring(level);
  if (ring.circleMm !== null) return circlePath(0, 0, ring.circleMm, ink, group);
  const [right, up] = [ring.at(0.25).flat, ring.at(0).flat];
  const mid = ring.at(0.125).flat;
  const isOval = Math.abs((mid[0] / right[0]) ** 2 + (mid[1] / up[1]) ** 2 - 1) < 1e-6;
  if (isOval) return ovalPath(0, 0, right[0], up[1], ink, group);
  const points = Array.from({ length: 240 }, (_unused, k) => ring.at(k / 240).flat).map(([x, y]) => [x, -y] as const);
  return throughPoints(points, true, ink, group);
}

function topBox({ widthMm, heightMm }: MarkingSurface): Drawing["box"] {
  return padded([-widthMm / 2, -heightMm / 2, widthMm / 2, heightMm / 2]);
}

const cross = (): readonly Shape[] => [line(-4, 0, 4, 0, "guide", "centre"), line(0, -4, 0, 4, "guide", "centre")];

/** A notch at twelve: a template that slipped goes back to where it was. */
function notch(surface: MarkingSurface): Shape {
  const [x, y] = surface.ring(surface.to).at(0).flat;
  return throughPoints(
    [
      [x - 2.5, -y],
      [x, -y + 4],
      [x + 2.5, -y],
    ],
    false,
    "cut",
    "notch",
  );
}

/** Lines from the middle that part the round evenly by length along the edge. */
function spokes(surface: MarkingSurface, slices: number): readonly Shape[] {
  const edge = surface.ring(surface.to);
  const inner = surface.ring(surface.from);
  return Array.from({ length: slices }, (_unused, k) => {
    const [x0, y0] = inner.at(k / slices).flat;
    const [x1, y1] = edge.at(k / slices).flat;
    return line(x0, -y0, x1, -y1, "guide", "slices");
  });
}

function slicesOf(ask: TemplateAsk): Drawing {
  const { surface, slices, title } = ask;
  const shapes = [edgeOf(surface), notch(surface), ...cross(), ...spokes(surface, slices)];
  return drawing(
    `${title}: ${slices} slices`,
    "Cut it out, pin the cross on the middle, mark the edge at every line, join the marks through the middle.",
    topBox(surface),
    shapes,
  );
}

function ringsOf(ask: TemplateAsk): Drawing {
  const { surface, title } = ask;
  const levels = levelsOf(ask);
  const shapes: Shape[] = [edgeOf(surface), notch(surface), ...cross()];
  let last = -Infinity;
  for (const level of levels) {
    shapes.push(outlineAt(surface, level, "guide", "rings"));
    const [x] = surface.ring(level).at(0.25).flat;
    if (x - last >= 4) shapes.push(words(x, -0.8, plainMm(surface.say(level).radiusMm ?? x), 2.4));
    last = x;
  }
  const note = surface.straight
    ? "Numbers are the radius in mm."
    : "Seen straight from above: on a dome set the rings with the compass numbers of the instructions.";
  return drawing(`${title}: rings`, note, topBox(surface), shapes);
}

/** Nested ovals to cut one after the other, from the largest in. */
function ovalOf(ask: TemplateAsk): Drawing {
  const { surface, title } = ask;
  const shapes: Shape[] = [edgeOf(surface), notch(surface), ...cross(), ...levelsOf(ask).map((level) => outlineAt(surface, level, "cut", "ovals"))];
  return drawing(`${title}: oval guides`, "Cut the largest and draw round it, then cut the next one out of it.", topBox(surface), shapes);
}

function dial(ask: TemplateAsk): Drawing {
  const { surface, slices, title } = ask;
  const ticks = slices === 60 ? 60 : 12;
  const edge = surface.ring(surface.to);
  const shapes: Shape[] = [edgeOf(surface), ...cross()];
  for (let k = 0; k < ticks; k++) {
    const hour = (k * 12) % ticks === 0;
    const turn = (TURN * k) / ticks;
    // By angle, as a clock has it, whatever the outline.
    const out = reach(edge, turn);
    const inner = out * (hour ? 0.86 : 0.93);
    const at = (way: number): readonly [number, number] => [way * Math.sin(turn), -way * Math.cos(turn)];
    shapes.push(line(...at(inner), ...at(out), hour ? "cut" : "guide", hour ? "hours" : "minutes"));
    if (hour) {
      const [x, y] = at(out * 0.76);
      shapes.push(words(x, y + out * 0.035, String((k * 12) / ticks || 12), out * 0.1));
    }
  }
  return drawing(`${title}: dial`, "Twelve stands at the notch of the piece; keep the middle clear for the works and the hands.", topBox(surface), shapes);
}

/** From the middle to a line in a direction, mm. */
function reach(ring: ReturnType<MarkingSurface["ring"]>, turn: number): number {
  if (ring.circleMm !== null) return ring.circleMm;
  let [best, nearest] = [0, Infinity];
  for (let k = 0; k < 720; k++) {
    const [x, y] = ring.at(k / 720).flat;
    const off = Math.abs(Math.atan2(Math.sin(Math.atan2(x, y) - turn), Math.cos(Math.atan2(x, y) - turn)));
    if (off < nearest) [best, nearest] = [Math.hypot(x, y), off];
  }
  return best;
}

/** Two half circles, one each side of the middle: they part a round top in two alike halves. */
function sCurve({ surface, title }: TemplateAsk): Drawing {
  const [, up] = surface.ring(surface.to).at(0).flat;
  const r = num(up / 2);
  const d = `M0 ${num(-up)}A${r} ${r} 0 0 1 0 0A${r} ${r} 0 0 0 0 ${num(up)}`;
  const shapes: Shape[] = [edgeOf(surface), notch(surface), ...cross(), { kind: "path", d, ink: "cut", group: "s-curve" }];
  return drawing(`${title}: S curve`, `By compass: a quarter of the height, ${plainMm(up / 2)} mm, from the middle of each half.`, topBox(surface), shapes);
}

/** Everything at true size, as it lies on a flat top. */
function marksOf(ask: TemplateAsk): Drawing {
  const { surface, solved, title } = ask;
  const shapes: Shape[] = [edgeOf(surface), notch(surface), ...cross()];
  for (const { row, marks, level } of solved?.rows.filter(({ refused }) => !refused) ?? []) {
    if (level !== null && marks.length === 0)
      for (const edge of [level - row.diameterMm / 2, level + row.diameterMm / 2]) shapes.push(outlineAt(surface, edge, "guide", "bands"));
    for (const { spots } of marks)
      for (const { flat, diameterMm } of spots) shapes.push(circlePath(flat[0], -flat[1], diameterMm / 2, "mark", `row-${row.id}`));
  }
  return drawing(`${title}: all marks`, "Seen straight from above, at true size.", topBox(surface), shapes);
}

/** So much of a row is practised, mm. */
const PRACTICE_MM = 170;

/** Each row once straight on, at true size, to be set on the paper itself or through it. */
function practice({ solved, title }: TemplateAsk): Drawing {
  const shapes: Shape[] = [];
  let y = 0;
  for (const { row, marks, gapMm, places } of laidRows(solved)) {
    const first = marks.filter(({ place }) => place === 0).flatMap(({ spots }) => spots);
    if (first.length === 0) continue;
    const [fx, fy] = first[0]!.flat;
    const spread = Math.max(...first.map(({ flat, diameterMm }) => Math.abs(flat[0] - fx) + diameterMm / 2));
    const tall = Math.max(...first.map(({ flat, diameterMm }) => Math.abs(flat[1] - fy) + diameterMm / 2));
    const pitch = Math.max(1, 2 * spread + (gapMm ?? 2));
    const count = Math.max(1, Math.min(places, Math.floor((PRACTICE_MM - 2 * spread) / pitch) + 1));
    shapes.push(words(0, y + 3, `${rowName(row)}: ${places} in the row, set ${count} here`, 3, "start"));
    y += 5 + tall;
    for (let k = 0; k < count; k++)
      for (const { flat, diameterMm } of first)
        shapes.push(circlePath(spread + k * pitch + flat[0] - fx, y - (flat[1] - fy), diameterMm / 2, "mark", `row-${row.id}`));
    y += tall + 6;
  }
  return drawing(
    `${title}: practice sheet`,
    "Set each row on this paper, under film or on it, until they stand as drawn.",
    padded([0, 0, PRACTICE_MM, Math.max(20, y)]),
    shapes,
  );
}

/** Every template, in the order they are offered. */
export const TEMPLATES: readonly Template[] = [
  { id: "wrap", name: "Wrap for the wall", fits: isStraightWall, draw: wrap },
  { id: "bands", name: "Band stencil", fits: isStraightWall, draw: bands },
  { id: "height-gauge", name: "Height gauge", fits: ({ shape }) => shape === "wall", draw: heightGauge },
  { id: "slices", name: "Slices", fits: isTop, draw: slicesOf },
  { id: "rings", name: "Rings", fits: isTop, draw: ringsOf },
  { id: "oval", name: "Oval guides", fits: (surface) => isTop(surface) && !surface.round, draw: ovalOf },
  { id: "dial", name: "Dial", fits: isTop, draw: dial },
  { id: "s-curve", name: "S curve", fits: isTop, draw: sCurve },
  { id: "marks", name: "All marks from above", fits: isTop, draw: marksOf },
  { id: "practice", name: "Practice sheet", fits: () => true, draw: practice },
];

export function templateOf(kind: TemplateKind): Template {
  return TEMPLATES.find(({ id }) => id === kind)!;
}
