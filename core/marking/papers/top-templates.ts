import type { MarkingSurface } from "../surface";
import { reachOf } from "../outline";
import { plainMm } from "../words";
import { circlePath, drawing, line, num, ovalPath, throughPoints, words } from "./sheet";
import type { Drawing, Shape } from "./sheet";
import { downward, keptShapes, levelsOf, markShape, padded } from "./template-ask";
import type { TemplateAsk } from "./template-ask";

const TURN = 2 * Math.PI;

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

/** Lines from the middle to the edge. */
export function slicesOf(ask: TemplateAsk): Drawing {
  const { surface, slices, title } = ask;
  const shapes = [edgeOf(surface), notch(surface), ...cross(), ...spokes(surface, slices), ...keptShapes(ask)];
  return drawing(
    `${title}: ${slices} slices`,
    "Cut it out, pin the cross on the middle, mark the edge at every line, join the marks through the middle.",
    topBox(surface),
    shapes,
  );
}

/** Every ring of the rows, or one each 10 mm. */
export function ringsOf(ask: TemplateAsk): Drawing {
  const { surface, title } = ask;
  const levels = levelsOf(ask);
  const shapes: Shape[] = [edgeOf(surface), notch(surface), ...cross(), ...keptShapes(ask)];
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
export function ovalOf(ask: TemplateAsk): Drawing {
  const { surface, title } = ask;
  const shapes: Shape[] = [edgeOf(surface), notch(surface), ...cross(), ...levelsOf(ask).map((level) => outlineAt(surface, level, "cut", "ovals"))];
  return drawing(`${title}: oval guides`, "Cut the largest and draw round it, then cut the next one out of it.", topBox(surface), shapes);
}

/** Twelve hours, or sixty minutes. */
export function dial(ask: TemplateAsk): Drawing {
  const { surface, slices, title } = ask;
  const ticks = slices === 60 ? 60 : 12;
  const shapes: Shape[] = [edgeOf(surface), ...cross(), ...keptShapes(ask)];
  for (let k = 0; k < ticks; k++) {
    const hour = (k * 12) % ticks === 0;
    const turn = (TURN * k) / ticks;
    // By angle, as a clock has it, whatever the outline.
    const out = reachOf(surface.outline!, turn);
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

/** Two half circles, one each side of the middle: they part a round top in two alike halves. */
export function sCurve({ surface, title }: TemplateAsk): Drawing {
  const [, up] = surface.ring(surface.to).at(0).flat;
  const r = num(up / 2);
  const d = `M0 ${num(-up)}A${r} ${r} 0 0 1 0 0A${r} ${r} 0 0 0 0 ${num(up)}`;
  const shapes: Shape[] = [edgeOf(surface), notch(surface), ...cross(), { kind: "path", d, ink: "cut", group: "s-curve" }];
  return drawing(`${title}: S curve`, `By compass: a quarter of the height, ${plainMm(up / 2)} mm, from the middle of each half.`, topBox(surface), shapes);
}

/** Everything at true size, as it lies on a flat top. */
export function marksOf(ask: TemplateAsk): Drawing {
  const { surface, solved, title } = ask;
  const shapes: Shape[] = [edgeOf(surface), notch(surface), ...cross(), ...keptShapes(ask)];
  for (const { row, marks, level } of solved?.rows.filter(({ refused }) => !refused) ?? []) {
    if (level !== null && marks.length === 0)
      for (const edge of [level - row.diameterMm / 2, level + row.diameterMm / 2]) shapes.push(outlineAt(surface, edge, "guide", "bands"));
    for (const { spots } of marks) shapes.push(markShape(spots, downward, `row-${row.id}`));
  }
  return drawing(`${title}: all marks`, "Seen straight from above, at true size.", topBox(surface), shapes);
}
