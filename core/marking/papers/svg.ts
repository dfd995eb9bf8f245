import type { Page } from "./pages";
import { num } from "./sheet";
import type { Drawing, Ink, Shape } from "./sheet";

/** Line widths on paper, mm, and dashes. */
export const INKS: Readonly<Record<Ink, { readonly widthMm: number; readonly dash: readonly number[]; readonly grey: number }>> = {
  cut: { widthMm: 0.35, dash: [], grey: 0 },
  guide: { widthMm: 0.25, dash: [], grey: 0.15 },
  faint: { widthMm: 0.18, dash: [1.5, 1.5], grey: 0.45 },
  mark: { widthMm: 0.2, dash: [], grey: 0.3 },
};

function escaped(text: string): string {
  return text.replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;").replace(/"/g, "&quot;");
}

function greyHex(grey: number): string {
  const part = Math.round(grey * 255)
    .toString(16)
    .padStart(2, "0");
  return `#${part}${part}${part}`;
}

function shapeSvg(shape: Shape): string {
  if (shape.kind === "text")
    return `<text x="${num(shape.x)}" y="${num(shape.y)}" font-size="${num(shape.sizeMm)}" text-anchor="${shape.anchor}" font-family="sans-serif">${escaped(shape.text)}</text>`;
  const { widthMm, dash, grey } = INKS[shape.ink];
  const dashed = dash.length > 0 ? ` stroke-dasharray="${dash.join(" ")}"` : "";
  return `<path d="${shape.d}" fill="${shape.fill ?? "none"}" stroke="${greyHex(grey)}" stroke-width="${widthMm}"${dashed}/>`;
}

/** Shapes in named groups, in the order the groups first come. */
export function groupedSvg(shapes: readonly Shape[]): string {
  const groups = new Map<string, Shape[]>();
  for (const shape of shapes) {
    const name = shape.kind === "text" ? "words" : shape.group;
    const here = groups.get(name);
    if (here) here.push(shape);
    else groups.set(name, [shape]);
  }
  return [...groups].map(([name, inside]) => `<g id="${escaped(name)}">${inside.map(shapeSvg).join("")}</g>`).join("");
}

/** A whole drawing as one SVG document at true size, whatever paper it would take: each row in a group of its own name. */
export function drawingSvg({ box: [left, top, right, bottom], shapes, title }: Drawing): string {
  const [w, h] = [num(right - left), num(bottom - top)];
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="${num(left)} ${num(top)} ${w} ${h}">` +
    `<title>${escaped(title)}</title>${groupedSvg(shapes)}</svg>`
  );
}

/** One page as an SVG document at true size. */
export function pageSvg(page: Page): string {
  const [x, y, w, h] = page.window;
  const [dx, dy] = page.shift;
  const box = `0 0 ${num(page.widthMm)} ${num(page.heightMm)}`;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${num(page.widthMm)}mm" height="${num(page.heightMm)}mm" viewBox="${box}">` +
    `<defs><clipPath id="window"><rect x="${num(x)}" y="${num(y)}" width="${num(w)}" height="${num(h)}"/></clipPath></defs>` +
    `<g clip-path="url(#window)"><g id="template" transform="scale(${num(page.scale)}) translate(${num(dx)} ${num(dy)})">${groupedSvg(page.drawing)}</g></g>` +
    `<g id="frame">${groupedSvg(page.frame)}</g></svg>`
  );
}
