import { clip, endPath, LineCapStyle, PDFDocument, popGraphicsState, pushGraphicsState, rectangle, rgb, StandardFonts } from "pdf-lib";
import type { PDFFont, PDFPage } from "pdf-lib";
import type { Page } from "./pages";
import type { Shape } from "./sheet";
import { INKS } from "./svg";

/** PDF points in a millimetre [published: ISO 32000-1, user space of 1/72 in]. */
const POINTS = 72 / 25.4;

/** The faces every reader has know only Latin letters of the west: what they do not know is left out of the words. */
function plainLatin(text: string): string {
  return [...text].filter((letter) => letter.charCodeAt(0) < 256).join("");
}

interface Where {
  readonly page: PDFPage;
  readonly font: PDFFont;
  /** Of the paper, mm. */
  readonly heightMm: number;
  readonly scale: number;
  readonly shift: readonly [number, number];
}

function drawShape(shape: Shape, { page, font, heightMm, scale, shift: [dx, dy] }: Where): void {
  if (shape.kind === "text") {
    const size = shape.sizeMm * scale * POINTS;
    const text = plainLatin(shape.text);
    const width = font.widthOfTextAtSize(text, size);
    const back = shape.anchor === "middle" ? width / 2 : shape.anchor === "end" ? width : 0;
    page.drawText(text, { x: (shape.x + dx) * scale * POINTS - back, y: (heightMm - (shape.y + dy) * scale) * POINTS, size, font });
    return;
  }
  const { widthMm, dash, grey } = INKS[shape.ink];
  page.drawSvgPath(shape.d, {
    x: dx * scale * POINTS,
    y: (heightMm - dy * scale) * POINTS,
    scale: scale * POINTS,
    borderColor: rgb(grey, grey, grey),
    borderWidth: widthMm / scale,
    borderLineCap: LineCapStyle.Round,
    ...(dash.length > 0 ? { borderDashArray: [...dash] } : {}),
  });
}

/**
 * Pages as one PDF at true size.
 *
 * @param title of the document
 * @returns the bytes of the file
 */
export async function pdfOf(pages: readonly Page[], title: string): Promise<Uint8Array<ArrayBuffer>> {
  const document = await PDFDocument.create();
  document.setTitle(plainLatin(title));
  const font = await document.embedFont(StandardFonts.Helvetica);
  for (const one of pages) {
    const page = document.addPage([one.widthMm * POINTS, one.heightMm * POINTS]);
    const [x, y, w, h] = one.window;
    page.pushOperators(pushGraphicsState(), rectangle(x * POINTS, (one.heightMm - y - h) * POINTS, w * POINTS, h * POINTS), clip(), endPath());
    for (const shape of one.drawing) drawShape(shape, { page, font, heightMm: one.heightMm, scale: one.scale, shift: one.shift });
    page.pushOperators(popGraphicsState());
    for (const shape of one.frame) drawShape(shape, { page, font, heightMm: one.heightMm, scale: 1, shift: [0, 0] });
  }
  return new Uint8Array(await document.save());
}
