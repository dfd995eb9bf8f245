import type { Catalogue } from "../catalogue/catalogue";
import { stepId } from "../catalogue/ids";
import type { ProductId } from "../catalogue/ids";
import type { Role, ZoneId } from "../catalogue/vocabulary";
import type { Job } from "../catalogue/product-class";
import { actKey, coatsOn } from "./body-state";
import type { LaidAct } from "./body-state";
import type { CoatEvent, RecordedAct } from "./progress";

/** What a coat of a product is laid as, by what the product is for. */
const ROLE_OF: Partial<Readonly<Record<Job, Role>>> = {
  fill: "fill",
  size: "size",
  ground: "prime",
  "white-ground": "prime",
  colour: "base",
  stain: "base",
  decorate: "decorate",
  isolate: "isolate",
  lock: "lock",
  seal: "seal",
  "inside-seal": "seal",
};

/** Every role a product can be laid in, in the order of the work. */
export function rolesOf(product: ProductId, catalogue: Catalogue): readonly Role[] {
  const found = (catalogue.products.get(product)?.jobs ?? []).flatMap((job) => ROLE_OF[job] ?? []);
  return [...new Set(found)];
}

/** A coat nobody planned. */
export interface Unplanned {
  readonly zone: ZoneId;
  readonly role: Role;
  readonly product: ProductId;
  /** The user's jar. */
  readonly ownProduct?: string;
  /** sRGB hex. */
  readonly colour?: string;
}

/**
 * A coat that was laid though no plan asked for it, as it is noted: it is on the body from then on, and every plan goes on from it.
 *
 * @param body what is on the piece by now
 * @returns the event; a second coat of the same is its second
 */
export function unplannedCoat({ zone, role, product, ownProduct, colour }: Unplanned, body: readonly LaidAct[], catalogue: Catalogue): CoatEvent {
  const method = catalogue.products.get(product)?.methods[0];
  const act: RecordedAct = {
    role,
    product,
    ...(ownProduct === undefined ? {} : { ownProduct }),
    ...(colour === undefined ? {} : { colour }),
    ...(method === undefined ? {} : { method }),
  };
  const id = stepId(`${zone}.${role}.${product}.unplanned`);
  const before = body.find((laid) => laid.zone === zone && laid.stepId === id && actKey(laid.act) === actKey(act));
  return { zone, stepId: id, act, coat: before ? coatsOn(before) + 1 : 1 };
}
