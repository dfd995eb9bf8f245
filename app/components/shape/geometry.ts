import type { SurfaceName } from "#core/catalogue/object-kind";
import type { Form } from "#core/piece/form";

/** A part of the outline that belongs to a surface; "" belongs to none. */
export interface Patch {
  readonly surface: SurfaceName | "";
  readonly path: string;
  /** A line only: hidden edges, the strip inside a rim. */
  readonly line?: boolean;
}

/** A measure on the drawing: the line with its two ends, and where its number stands. */
export interface Dimension {
  readonly name: string;
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  readonly at: readonly [number, number];
}

export interface Drawing {
  readonly patches: readonly Patch[];
  readonly dimensions: readonly Dimension[];
  /** What nothing stands in, at the head of the view and at its foot alike. */
  readonly spare: number;
}

export const VIEW = { width: 340, height: 270 } as const;
/** The part of the view the piece itself may fill; the rest is for its measures. */
const BOX = { x: 78, y: 46, width: 196, height: 178 } as const;

/** Puts a shape of this size in mm into the middle of the box; lengths keep their proportion. */
function fitted(widthMm: number, heightMm: number) {
  const scale = Math.min(BOX.width / widthMm, BOX.height / heightMm);
  const [w, h] = [widthMm * scale, heightMm * scale];
  const x = BOX.x + (BOX.width - w) / 2;
  const y = BOX.y + (BOX.height - h) / 2;
  return { scale, x, y, w, h, right: x + w, bottom: y + h, middle: x + w / 2, spare: y - BOX.y };
}

function above(name: string, x1: number, x2: number, y: number): Dimension {
  return { name, from: [x1, y - 14], to: [x2, y - 14], at: [(x1 + x2) / 2, y - 28] };
}

function below(name: string, x1: number, x2: number, y: number): Dimension {
  return { name, from: [x1, y + 14], to: [x2, y + 14], at: [(x1 + x2) / 2, y + 28] };
}

function beside(name: string, y1: number, y2: number, x: number, side: "left" | "right" = "right"): Dimension {
  const away = side === "right" ? 16 : -16;
  return { name, from: [x + away, y1], to: [x + away, y2], at: [x + away + (side === "right" ? 32 : -32), (y1 + y2) / 2] };
}

const ellipse = (cx: number, cy: number, rx: number, ry: number) => `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
/** How much of a round top is seen from a little above. */
const TILT = 0.16;

interface Vessel {
  readonly top: number;
  readonly bottom: number;
  readonly height: number;
  readonly names: readonly [string, string | null, string];
}

function vessel({ top, bottom, height, names }: Vessel, lipMm: number, parts: readonly string[]): Drawing {
  const wide = Math.max(top, bottom) * (parts.includes("handle") ? 1.3 : 1);
  const box = fitted(wide, height * 1.06);
  const [rt, rb] = [(top * box.scale) / 2, (bottom * box.scale) / 2];
  const cx = box.x + (Math.max(top, bottom) * box.scale) / 2;
  const [y0, y1] = [box.bottom - height * box.scale, box.bottom];
  const ry = Math.max(4, rt * TILT);
  const lip = Math.min(0.6, lipMm / height) * (y1 - y0);
  const half = (y: number) => rt + ((rb - rt) * (y - y0)) / (y1 - y0);
  const wall = (from: number, to: number) =>
    `M${cx - half(from)} ${from}L${cx - half(to)} ${to}a${half(to)} ${half(to) * TILT} 0 0 0 ${2 * half(to)} 0L${cx + half(from)} ${from}a${half(from)} ${half(from) * TILT} 0 0 1 ${-2 * half(from)} 0z`;
  const strip = y0 + (y1 - y0) * 0.2;
  return {
    spare: box.spare,
    patches: [
      ...(parts.includes("saucer") ? [{ surface: "saucer" as const, path: `M${cx - rt * 0.98} ${y1 - 2}h${rt * 1.96}l-8 16h${-(rt * 1.96 - 16)}z` }] : []),
      ...(parts.includes("handle")
        ? [
            {
              surface: "handle" as const,
              path: `M${cx + half(y0 + (y1 - y0) * 0.22)} ${y0 + (y1 - y0) * 0.22}q${rt * 0.62} 2 ${rt * 0.5} ${(y1 - y0) * 0.3}q-4 ${(y1 - y0) * 0.22} ${-rt * 0.52} ${(y1 - y0) * 0.26}v-9q${rt * 0.32} -4 ${rt * 0.36} ${-(y1 - y0) * 0.19}q4 ${-(y1 - y0) * 0.2} ${-rt * 0.34} ${-(y1 - y0) * 0.25}z`,
            },
          ]
        : []),
      { surface: "foot", path: `M${cx - rb} ${y1}a${rb} ${rb * TILT} 0 0 0 ${2 * rb} 0l-3 5h${-(2 * rb - 6)}z` },
      { surface: "wall", path: wall(y0 + (lipMm > 0 ? lip : 0), y1) },
      ...(lipMm > 0 ? [{ surface: "lip-band" as const, path: wall(y0, y0 + lip) }] : []),
      { surface: "rim", path: ellipse(cx, y0, rt, ry) },
      { surface: "inner", path: ellipse(cx, y0, rt * 0.9, ry * 0.82) },
      { surface: "inner-strip", path: `M${cx - half(strip) * 0.9} ${y0 + 2}V${strip}M${cx + half(strip) * 0.9} ${y0 + 2}V${strip}`, line: true },
    ],
    dimensions: [
      above(names[0], cx - rt, cx + rt, y0 - ry),
      ...(names[1] ? [below(names[1], cx - rb, cx + rb, y1 + (parts.includes("saucer") ? 12 : 4))] : []),
      beside(names[2], y0, y1, cx - Math.max(rt, rb), "left"),
    ],
  };
}

/** Seen from above and from the side, one over the other. */
function twoViews(
  topMm: readonly [number, number],
  sideMm: number,
  round: boolean,
): { top: ReturnType<typeof fitted>; side: { y: number; bottom: number }; scale: number } {
  const gap = 34 / Math.max(0.2, BOX.height / (topMm[1] + sideMm));
  const all = fitted(topMm[0], topMm[1] + sideMm + gap * (round ? 0.8 : 0.6));
  const top = { ...all, h: topMm[1] * all.scale, bottom: all.y + topMm[1] * all.scale };
  return { top, side: { y: all.bottom - sideMm * all.scale, bottom: all.bottom }, scale: all.scale };
}

/**
 * The side view of a form with its measures, to the proportions the user typed.
 *
 * @param lipMm band kept bare under a drinking rim, mm; 0 for none
 * @param parts handle, saucer
 */
export function drawingOf(form: Form, lipMm: number, parts: readonly string[]): Drawing {
  switch (form.kind) {
    case "pebble": {
      const { top, side } = twoViews([form.lengthMm, form.widthMm], form.thicknessMm, true);
      const middle = (side.y + side.bottom) / 2;
      const [rx, ry] = [top.w / 2, (side.bottom - side.y) / 2];
      return {
        spare: top.spare,
        patches: [
          { surface: "front", path: ellipse(top.middle, top.y + top.h / 2, top.w / 2, top.h / 2) },
          { surface: "front", path: `M${top.x} ${middle}a${rx} ${ry} 0 0 1 ${2 * rx} 0z` },
          { surface: "back", path: `M${top.x} ${middle}a${rx} ${ry} 0 0 0 ${2 * rx} 0z` },
        ],
        dimensions: [
          above("lengthMm", top.x, top.right, top.y),
          beside("widthMm", top.y, top.bottom, top.x, "left"),
          beside("thicknessMm", side.y, side.bottom, top.right),
        ],
      };
    }
    case "dome": {
      const box = fitted(form.diameterMm, form.heightMm);
      return {
        spare: box.spare,
        patches: [
          { surface: "front", path: `M${box.x} ${box.bottom}a${box.w / 2} ${box.h} 0 0 1 ${box.w} 0z` },
          { surface: "back", path: `M${box.x} ${box.bottom}h${box.w}v5h${-box.w}z` },
        ],
        dimensions: [below("diameterMm", box.x, box.right, box.bottom + 5), beside("heightMm", box.y, box.bottom, box.right)],
      };
    }
    case "disc": {
      const box = fitted(form.diameterMm, form.diameterMm * 0.5 + form.thicknessMm);
      const [r, ry] = [box.w / 2, box.w * 0.25];
      const t = form.thicknessMm * box.scale;
      const y = box.y + ry;
      return {
        spare: box.spare,
        patches: [
          { surface: "back", path: `M${box.x} ${y + t}a${r} ${ry} 0 0 0 ${box.w} 0v4a${r} ${ry} 0 0 1 ${-box.w} 0z` },
          { surface: "edge", path: `M${box.x} ${y}a${r} ${ry} 0 0 0 ${box.w} 0v${t}a${r} ${ry} 0 0 1 ${-box.w} 0z` },
          { surface: "sides", path: `M${box.x} ${y}a${r} ${ry} 0 0 0 ${box.w} 0v${t}a${r} ${ry} 0 0 1 ${-box.w} 0z` },
          { surface: "front", path: ellipse(box.middle, y, r, ry) },
          { surface: "inner", path: ellipse(box.middle, y, r, ry) },
          { surface: "food-side", path: ellipse(box.middle, y, r, ry) },
        ],
        dimensions: [above("diameterMm", box.x, box.right, box.y), beside("thicknessMm", y, y + t, box.right)],
      };
    }
    case "frustum":
      return vessel(
        { top: form.topDiameterMm, bottom: form.bottomDiameterMm, height: form.heightMm, names: ["topDiameterMm", "bottomDiameterMm", "heightMm"] },
        lipMm,
        parts,
      );
    case "cylinder":
      return vessel({ top: form.diameterMm, bottom: form.diameterMm, height: form.heightMm, names: ["diameterMm", null, "heightMm"] }, lipMm, parts);
    case "box": {
      const { top, side } = twoViews([form.lengthMm, form.widthMm], form.heightMm, false);
      const rect = (x: number, y: number, w: number, h: number) => `M${x} ${y}h${w}v${h}h${-w}z`;
      const inset = Math.min(10, top.h / 6);
      return {
        spare: top.spare,
        patches: [
          { surface: "front", path: rect(top.x, top.y, top.w, top.h) },
          { surface: "lid", path: rect(top.x, top.y, top.w, top.h) },
          { surface: "inner", path: rect(top.x + inset, top.y + inset, top.w - 2 * inset, top.h - 2 * inset) },
          { surface: "sides", path: rect(top.x, side.y, top.w, side.bottom - side.y) },
          { surface: "edge", path: rect(top.x, side.y, top.w, side.bottom - side.y) },
          { surface: "back", path: rect(top.x, side.bottom, top.w, 4) },
        ],
        dimensions: [
          above("lengthMm", top.x, top.right, top.y),
          beside("widthMm", top.y, top.bottom, top.x, "left"),
          beside("heightMm", side.y, side.bottom, top.right),
        ],
      };
    }
    case "plate": {
      const box = fitted(form.diameterMm, form.diameterMm);
      const [cx, cy, r] = [box.middle, box.y + box.h / 2, box.w / 2];
      const well = Math.max(0, form.diameterMm / 2 - form.rimWidthMm) * box.scale;
      return {
        spare: box.spare,
        patches: [
          { surface: "back", path: ellipse(cx, cy + 5, r, r) },
          { surface: "plate-rim", path: ellipse(cx, cy, r, r) },
          { surface: "food-side", path: ellipse(cx, cy, well, well) },
        ],
        dimensions: [above("diameterMm", cx - r, cx + r, cy - r), { name: "rimWidthMm", from: [cx + well, cy], to: [cx + r, cy], at: [cx + r + 34, cy] }],
      };
    }
    case "goblet": {
      const wide = Math.max(form.bowlDiameterMm, form.footDiameterMm);
      const box = fitted(wide, form.bowlHeightMm + form.stemHeightMm + 8);
      const [rb, rf] = [(form.bowlDiameterMm * box.scale) / 2, (form.footDiameterMm * box.scale) / 2];
      const [y0, cx] = [box.y, box.middle];
      const yb = y0 + form.bowlHeightMm * box.scale;
      const yf = yb + form.stemHeightMm * box.scale;
      const lip = Math.min(0.5, lipMm / form.bowlHeightMm) * (yb - y0);
      return {
        spare: box.spare,
        patches: [
          {
            surface: "wall",
            path: `M${cx - rb} ${y0 + lip}V${y0 + (yb - y0) * 0.4}Q${cx - rb} ${yb} ${cx} ${yb}Q${cx + rb} ${yb} ${cx + rb} ${y0 + (yb - y0) * 0.4}V${y0 + lip}z`,
          },
          ...(lipMm > 0 ? [{ surface: "lip-band" as const, path: `M${cx - rb} ${y0}h${2 * rb}v${lip}h${-2 * rb}z` }] : []),
          { surface: "inner", path: ellipse(cx, y0, rb, Math.max(3, rb * TILT)) },
          { surface: "stem", path: `M${cx - 3} ${yb}h6V${yf}h-6z` },
          { surface: "foot", path: ellipse(cx, yf + 3, rf, Math.max(4, rf * TILT)) },
        ],
        dimensions: [
          above("bowlDiameterMm", cx - rb, cx + rb, y0 - rb * TILT),
          beside("bowlHeightMm", y0, yb, cx + Math.max(rb, rf)),
          beside("stemHeightMm", yb, yf, cx - Math.max(rb, rf), "left"),
          below("footDiameterMm", cx - rf, cx + rf, yf + 10),
        ],
      };
    }
    case "custom":
      return {
        spare: 0,
        patches: [{ surface: "", path: "M96 132c-6-52 42-78 86-70s88 24 78 74-58 62-96 60-62-14-68-64z" }],
        dimensions: [{ name: "areaMm2", from: [110, 132], to: [250, 132], at: [178, 132] }],
      };
  }
}
