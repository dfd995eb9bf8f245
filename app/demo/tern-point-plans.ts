import { CATALOGUE } from "#core/catalogue/catalogue";
import { withOwnProducts } from "#core/catalogue/own-product";
import { ENGINE_VERSION } from "#core/coating/planner/engine-version";
import { PlanCache } from "#core/coating/planner/plan-cache";
import { planOnBody } from "#core/logbook/plan-on-body";
import { workFor } from "#core/schedule/dates-of";
import { shelfKey } from "#core/shelf/own-products";
import { TERN_POINT } from "./tern-point";
import type { DemoPlans } from "./tern-point";
import { ternPointProducts } from "./tern-point-notebook";

/** Any instant: jars were opened so long before the notebook is, and are the same products whenever that is. */
const ANY_INSTANT = { now: Date.UTC(2027, 0, 1), timeZone: "UTC" } as const;

/** Plans of all that is begun at Tern Point, from what stands on its shelf; the work of several seconds. */
export function ternPointPlans(): DemoPlans {
  const shelf = ternPointProducts(ANY_INSTANT);
  const catalogue = withOwnProducts(CATALOGUE, shelf);
  const cache = new PlanCache(catalogue);
  const plans = TERN_POINT.filter(({ state }) => state !== null).map(({ id, piece }) => {
    const { shown, made, madeFor } = planOnBody(piece, { candidateId: null, school: "", edits: [] }, [], catalogue, cache.first);
    return [id, { shown, made, madeFor, work: shown ? workFor(piece, shown, catalogue) : null }] as const;
  });
  return { engineVersion: ENGINE_VERSION, shelf: shelfKey(shelf), plans: Object.fromEntries(plans) };
}
