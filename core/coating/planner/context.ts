import type { Aid } from "../../catalogue/aid";
import type { ProductId } from "../../catalogue/ids";
import type { ProductClass } from "../../catalogue/product-class";
import type { Surface } from "../../catalogue/material";
import type { Route } from "../../catalogue/vocabulary";
import type { Zone } from "../../piece/zones";
import type { LaidStep } from "../model/laid-step";
import { leaves } from "../facts/facts";
import type { PieceFacts } from "../facts/facts";
import type { StepChoice } from "../model/step";
import type { ZoneLayer } from "../facts/layers";

/** All a variable may look at while it lists the alternatives of one zone. */
export interface ZoneContext extends PieceFacts {
  readonly zone: Zone;
  readonly route: Route;
  readonly layers: readonly ZoneLayer[];
  /** Colour of the field here; null leaves the surface itself showing. */
  readonly field: string | null;
  /** The paint named for the field. */
  readonly fieldMedium: ProductId | null;
  /** The field is blended in one go, with no coat of one colour under it. */
  readonly blended: boolean;
  /** Products of the plan that is followed, "role:product" by zone: kept wherever they still hold. */
  readonly followed: ReadonlySet<string> | null;
  readonly surface: Surface;
  /** Steps already on this zone, and steps of the user's that stay whatever else is planned. */
  readonly done: readonly LaidStep[];
  readonly keep: readonly StepChoice[];
}

/** Does this class film in the user's room, as far as cold goes? */
export function warmEnoughFor(product: ProductClass, context: PieceFacts): boolean {
  return product.drying.minC <= context.room.temperatureC;
}

/** Kiln colours only where a kiln comes after, and there nothing else. */
function suitsRoute(product: ProductClass, route: Route): boolean {
  return route === "kiln" ? product.kilnSafe : !product.traits.includes("needs-firing");
}

/** Products the constraints, the room and the route leave, in the order of the catalogue. */
export function allowed(context: ZoneContext): readonly ProductClass[] {
  const { constraints } = context.piece;
  return [...context.catalogue.products.values()].filter(
    (product) => suitsRoute(product, context.route) && leaves(constraints, product) && warmEnoughFor(product, context),
  );
}

export function allowedAid(context: PieceFacts, id: ProductId): Aid | null {
  const aid = context.catalogue.aids.get(id);
  const { avoid, childSafe } = context.piece.constraints;
  return aid && !avoid.includes(id) && (!childSafe || aid.childSafe) ? aid : null;
}

/** Does a film of this class hold on the zone's bare surface, as it comes or baked where this route bakes? */
export function holds(product: ProductClass, context: ZoneContext): boolean {
  return product.grips.includes(context.surface) || (context.route === "bake" && product.gripsBaked.includes(context.surface));
}
