import type { Catalogue } from "../../catalogue/catalogue";
import type { Piece } from "../../piece/piece";
import { dryingSince } from "../body-state";
import type { LaidAct } from "../body-state";

/** Whether what is painted on a body may be sanded back, so that it begins again. */
export type SandBack =
  /** Nothing is painted on it. */
  | { readonly kind: "bare" }
  /** Hard through and through. */
  | { readonly kind: "now" }
  /** Not before an instant, ms: paper rolls up what is soft inside. */
  | { readonly kind: "later"; readonly from: number; readonly product: string }
  /** Not at all. */
  | { readonly kind: "never"; readonly why: "old-paint" | "fired" | "not-waterborne"; readonly product: string | null };

const MS_PER_MIN = 60_000;

/**
 * Sanding back is for a cured waterborne film only: solvent and resin films clog or give off what nobody should breathe, old paint may hold lead, and
 * what was fired stays [common practice].
 *
 * @param body what is on the piece, as `bodyOf` folds it
 * @param now instant, ms
 */
export function sandBackOf({ conditions = [] }: Pick<Piece, "conditions">, body: readonly LaidAct[], now: number, catalogue: Catalogue): SandBack {
  if (conditions.some((one) => one === "previously-painted" || one === "flaking-old-paint")) return { kind: "never", why: "old-paint", product: null };
  const films = body.flatMap((laid) => {
    const product = catalogue.products.get(laid.act.product);
    return product && laid.act.role !== "fill" ? [{ laid, product }] : [];
  });
  if (films.length === 0) return { kind: "bare" };
  if (body.some(({ act }) => act.role === "fire")) return { kind: "never", why: "fired", product: null };
  const other = films.find(({ product }) => product.carrier !== "water");
  if (other) return { kind: "never", why: "not-waterborne", product: other.product.name };
  const cured = films.map(({ laid, product }) => ({
    name: product.name,
    at: Math.max(...laid.coats.map((coat) => Date.parse(dryingSince(coat)))) + (product.drying.cureDays?.cautious ?? 0) * MS_PER_MIN,
  }));
  const last = cured.reduce((latest, one) => (one.at > latest.at ? one : latest));
  return last.at <= now ? { kind: "now" } : { kind: "later", from: last.at, product: last.name };
}
