import { capVolume, discArea } from "./areas";
import type { Form } from "./form";

const MM3_PER_ML = 1000;
const SIXTH = 1 / 6;

function volumeMm3(form: Form): number | null {
  switch (form.kind) {
    case "pebble":
      return Math.PI * SIXTH * form.lengthMm * form.widthMm * form.thicknessMm;
    case "dome":
      return capVolume(form.diameterMm, form.heightMm);
    case "disc":
      return discArea(form.diameterMm) * form.thicknessMm;
    case "cylinder":
      return discArea(form.diameterMm) * form.heightMm;
    case "frustum": {
      const [r, s] = [form.topDiameterMm / 2, form.bottomDiameterMm / 2];
      return ((Math.PI * form.heightMm) / 3) * (r ** 2 + r * s + s ** 2);
    }
    case "box":
      return form.lengthMm * form.widthMm * form.heightMm;
    case "plate":
    case "goblet":
    case "custom":
      return null;
  }
}

/**
 * Volume of a solid body by its outer measures, mL: an ellipsoid for a pebble, a spherical cap for a dome, else the shape itself.
 *
 * @returns null for shapes whose measures do not tell how thick they are
 * @example Math.round(formVolumeMl({ kind: "disc", diameterMm: 100, thicknessMm: 12 })) // 94
 */
export function formVolumeMl(form: Form): number | null {
  const mm3 = volumeMm3(form);
  return mm3 === null ? null : mm3 / MM3_PER_ML;
}
