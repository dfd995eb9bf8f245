import { rowName } from "../working-order";
import { drawing, words } from "./sheet";
import type { Drawing, Shape } from "./sheet";
import { laidRows, markShape, padded } from "./template-ask";
import type { TemplateAsk } from "./template-ask";

/** So much of a row is practised, mm. */
const PRACTICE_MM = 170;

/** Each row once straight on, at true size, to be set on the paper itself or through it. */
export function practice({ solved, title }: TemplateAsk): Drawing {
  const shapes: Shape[] = [];
  let y = 0;
  for (const { row, marks, gapMm, places } of laidRows(solved)) {
    const units = marks.filter(({ place }) => place === 0);
    const first = units.flatMap(({ spots }) => spots);
    if (first.length === 0) continue;
    const [fx, fy] = first[0]!.flat;
    const spread = Math.max(...first.map(({ flat, diameterMm }) => Math.abs(flat[0] - fx) + diameterMm / 2));
    const tall = Math.max(...first.map(({ flat, diameterMm }) => Math.abs(flat[1] - fy) + diameterMm / 2));
    const pitch = Math.max(1, 2 * spread + (gapMm ?? 2));
    const count = Math.max(1, Math.min(places, Math.floor((PRACTICE_MM - 2 * spread) / pitch) + 1));
    shapes.push(words(0, y + 3, `${rowName(row)}: ${places} in the row, set ${count} here`, 3, "start"));
    y += 5 + tall;
    const middle = y;
    for (let k = 0; k < count; k++)
      for (const { spots } of units) shapes.push(markShape(spots, (flat) => [spread + k * pitch + flat[0] - fx, middle - (flat[1] - fy)], `row-${row.id}`));
    y += tall + 6;
  }
  return drawing(
    `${title}: practice sheet`,
    "Set each row on this paper, under film or on it, until they stand as drawn.",
    padded([0, 0, PRACTICE_MM, Math.max(20, y)]),
    shapes,
  );
}
