import { memory } from "../../catalogue/provenance";
import type { Heat } from "../model/step";

/** Cone 06, about 1 000 °C [check a pyrometric cone table]; the glaze's label decides. */
export const FIRING = memory<Heat>({ kind: "kiln", temperatureC: 1000, holdMin: 10, start: "cold", cool: "inside" });
