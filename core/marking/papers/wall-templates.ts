import type { MarkingSurface } from "../surface";
import { plainMm } from "../words";
import { developWall, wallEdge } from "./develop";
import type { Developed } from "./develop";
import { drawing, line, throughPoints, words } from "./sheet";
import type { Drawing, Shape } from "./sheet";
import { keptShapes, laidRows, levelsOf, markShape, padded, stripeEdges } from "./template-ask";
import type { TemplateAsk } from "./template-ask";

/** Diameters at foot and rim of a straight wall, mm. */
function ends(surface: MarkingSurface): readonly [number, number] {
  return [surface.ring(surface.from).lengthMm / Math.PI, surface.ring(surface.to).lengthMm / Math.PI];
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
  const onWall = ([x, level]: readonly [number, number]) => {
    const round = surface.ring(level).lengthMm;
    return wall.at(round > 0 ? x / round : 0, up(level));
  };
  for (const { marks, row } of rows) for (const { spots } of marks) shapes.push(markShape(spots, onWall, `row-${row.id}`));
  return [...shapes, ...keptShapes(ask, onWall)];
}

/** The whole wall laid flat. */
export function wrap(ask: TemplateAsk): Drawing {
  const wall = flatWall(ask.surface);
  const note = "Cut along the black edge, wrap it round from foot to rim: the two short sides meet.";
  return drawing(`${ask.title}: wrap`, note, padded(wall.box), wrapShapes(ask, false));
}

/** The wall with its bands to cut out. */
export function bands(ask: TemplateAsk): Drawing {
  const wall = flatWall(ask.surface);
  const shapes = wrapShapes(ask, true);
  const note = "Cut the strips out; what is left shields the wall on both sides of each band.";
  return drawing(`${ask.title}: band stencil`, note, padded(wall.box), shapes);
}

/** A strip that stands beside the piece. */
export function heightGauge(ask: TemplateAsk): Drawing {
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
