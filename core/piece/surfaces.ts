import type { SurfaceName } from "../catalogue/object-kind";
import { annulusArea, capArea, discArea, ellipsoidArea, frustumSideArea, USUAL_DETAILS } from "./areas";
import type { Form } from "./form";

export type Surfaces = Partial<Record<SurfaceName, number>>;

/** A wall from rim to foot with its inside; a cylinder is one with equal ends. */
function vessel(topMm: number, bottomMm: number, heightMm: number, lipMm: number): Surfaces {
  const band = Math.min(lipMm, heightMm);
  const atBand = topMm + ((bottomMm - topMm) * band) / heightMm;
  const wall = topMm * USUAL_DETAILS.wallShare.value;
  const strip = Math.min(USUAL_DETAILS.innerStripMm.value, heightMm);
  const innerTop = Math.max(0, topMm - 2 * wall);
  const innerBottom = Math.max(0, bottomMm - 2 * wall);
  const atStrip = innerTop + ((innerBottom - innerTop) * strip) / heightMm;
  const { share, heightMm: saucerHeight } = USUAL_DETAILS.saucer.value;
  const saucer = topMm * share;
  const { lengthMm, girthMm } = USUAL_DETAILS.handle.value;
  return {
    wall: frustumSideArea(atBand, bottomMm, heightMm - band),
    "lip-band": frustumSideArea(topMm, atBand, band),
    rim: annulusArea(topMm, innerTop),
    "inner-strip": frustumSideArea(innerTop, atStrip, strip),
    inner: frustumSideArea(atStrip, innerBottom, heightMm - strip) + discArea(innerBottom),
    foot: discArea(bottomMm),
    saucer: 2 * discArea(saucer) + 2 * Math.PI * (saucer / 2) * saucerHeight,
    handle: lengthMm * girthMm,
  };
}

/**
 * The surfaces a measured form has, mm² each.
 *
 * @param form measured outside, mm
 * @param lipBandMm width of the band kept apart under a drinking rim, mm; 0 for none
 * @returns only the surfaces the form has; `custom` has none, its one area is shared out by the zones
 */
export function surfacesOf(form: Form, lipBandMm: number): Surfaces {
  switch (form.kind) {
    case "pebble": {
      const half = ellipsoidArea(form.lengthMm / 2, form.widthMm / 2, form.thicknessMm / 2) / 2;
      return { front: half, back: half };
    }
    case "dome":
      return { front: capArea(form.diameterMm, form.heightMm), back: discArea(form.diameterMm) };
    case "disc": {
      const face = discArea(form.diameterMm);
      const edge = Math.PI * form.diameterMm * form.thicknessMm;
      return { front: face, back: face, edge, inner: face, sides: edge, "food-side": face };
    }
    case "frustum":
      return vessel(form.topDiameterMm, form.bottomDiameterMm, form.heightMm, lipBandMm);
    case "cylinder": {
      const round = vessel(form.diameterMm, form.diameterMm, form.heightMm, lipBandMm);
      const end = discArea(form.diameterMm);
      return { ...round, lid: end, sides: frustumSideArea(form.diameterMm, form.diameterMm, form.heightMm), back: end };
    }
    case "box": {
      const face = form.lengthMm * form.widthMm;
      const sides = 2 * (form.lengthMm + form.widthMm) * form.heightMm;
      return { front: face, lid: face, back: face, sides, edge: sides, inner: face + sides };
    }
    case "plate": {
      const well = Math.max(0, form.diameterMm - 2 * form.rimWidthMm);
      return { "food-side": discArea(well), "plate-rim": annulusArea(form.diameterMm, well), back: discArea(form.diameterMm) };
    }
    case "goblet": {
      const { bowlDiameterMm: bowl, bowlHeightMm: height } = form;
      const band = Math.min(lipBandMm, height);
      // The bowl is taken as half an ellipsoid standing on its stem, its upper band as a straight wall.
      const outer = ellipsoidArea(bowl / 2, bowl / 2, height) / 2;
      const lip = Math.min(outer, Math.PI * bowl * band);
      return {
        wall: outer - lip,
        "lip-band": lip,
        inner: outer,
        stem: Math.PI * USUAL_DETAILS.stemDiameterMm.value * form.stemHeightMm,
        foot: 2 * discArea(form.footDiameterMm),
      };
    }
    case "custom":
      return {};
  }
}

/** The whole outside of a form, mm²: what an object with one zone is painted over. */
export function outsideArea(form: Form): number {
  if (form.kind === "custom") return form.areaMm2;
  const { inner: _inner, "inner-strip": _strip, handle: _handle, saucer: _saucer, sides, edge, front, lid, "food-side": food, ...rest } = surfacesOf(form, 0);
  const face = front ?? food ?? lid ?? 0;
  return Object.values(rest).reduce((sum, area) => sum + area, 0) + face + (rest.wall === undefined ? (edge ?? sides ?? 0) : 0);
}
