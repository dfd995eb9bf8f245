import { plainZone } from "../catalogue/vocabulary";
import type { PlainZoneId, ZoneId } from "../catalogue/vocabulary";
import { USUAL_DETAILS } from "../piece/areas";
import type { Form } from "../piece/form";
import { boxWall, bowlWall, discTop, domeTop, pebbleTop, squareTop, taperedWall, unevenTop } from "./surface";
import type { MarkingSurface } from "./surface";

/** What else decides a surface. */
export interface SurfaceMore {
  /** Band kept apart under a drinking rim, mm. */
  readonly lipBandMm?: number;
  /** Of an uneven stone. */
  readonly radiiMm?: readonly number[];
}

const FLAT_FACES: readonly PlainZoneId[] = ["top", "face", "lid", "back", "inside", "food-side", "base", "foot"];
const WALLS: readonly PlainZoneId[] = ["outside", "body", "edge"];

function round(zone: PlainZoneId, topMm: number, footMm: number, heightMm: number, lipMm: number): MarkingSurface | null {
  const wallMm = topMm * USUAL_DETAILS.wallShare.value;
  switch (zone) {
    case "rim":
      return discTop(topMm / 2, Math.max(0, topMm / 2 - wallMm));
    case "inner-strip": {
      const strip = Math.min(USUAL_DETAILS.innerStripMm.value, heightMm);
      const inner = Math.max(1, topMm - 2 * wallMm);
      return taperedWall(inner, inner, strip);
    }
    case "lip-band":
      return lipMm > 0 ? taperedWall(topMm, topMm, Math.min(lipMm, heightMm)) : null;
    case "saucer":
      return discTop((topMm * USUAL_DETAILS.saucer.value.share) / 2);
    case "lid":
    case "top":
    case "face":
      return discTop(topMm / 2);
    case "base":
    case "foot":
    case "back":
    case "inside":
      return discTop(footMm / 2);
    default:
      return WALLS.includes(zone) ? taperedWall(footMm, topMm, heightMm, Math.min(lipMm, heightMm)) : null;
  }
}

/**
 * The surface of a place, as measured.
 *
 * @param form of the piece, outside measures, mm
 * @param zone a motif lies on the surface of its place
 * @returns null where rows cannot be set out: loose parts, handles, glued spots, and a form known only by its area
 */
export function surfaceOf(form: Form, zone: ZoneId, { lipBandMm = 0, radiiMm }: SurfaceMore = {}): MarkingSurface | null {
  const place = plainZone(zone);
  switch (form.kind) {
    case "pebble":
      if (place !== "top" && place !== "back" && place !== "face" && place !== "outside") return null;
      return radiiMm ? unevenTop(radiiMm, form.thicknessMm) : pebbleTop(form.lengthMm, form.widthMm, form.thicknessMm);
    case "dome":
      if (place === "back") return discTop(form.diameterMm / 2);
      return place === "top" || place === "face" || place === "outside" ? domeTop(form.diameterMm / 2, form.heightMm) : null;
    case "disc":
      if (place === "edge" || place === "body") return taperedWall(form.diameterMm, form.diameterMm, form.thicknessMm);
      return FLAT_FACES.includes(place) || place === "outside" ? discTop(form.diameterMm / 2) : null;
    case "frustum":
      return round(place, form.topDiameterMm, form.bottomDiameterMm, form.heightMm, lipBandMm);
    case "cylinder":
      return round(place, form.diameterMm, form.diameterMm, form.heightMm, lipBandMm);
    case "box":
      if (WALLS.includes(place)) return boxWall(form.lengthMm, form.widthMm, form.heightMm);
      return FLAT_FACES.includes(place) ? squareTop(form.lengthMm, form.widthMm) : null;
    case "plate":
      if (place === "rim") return discTop(form.diameterMm / 2, Math.max(0, form.diameterMm / 2 - form.rimWidthMm));
      if (place === "food-side") return discTop(Math.max(0.25, form.diameterMm / 2 - form.rimWidthMm));
      return place === "back" ? discTop(form.diameterMm / 2) : null;
    case "goblet":
      if (place === "outside") return bowlWall(form.bowlDiameterMm, form.bowlHeightMm, Math.min(lipBandMm, form.bowlHeightMm));
      if (place === "foot") return discTop(form.footDiameterMm / 2, USUAL_DETAILS.stemDiameterMm.value / 2);
      return null;
    case "custom":
      return null;
  }
}
