/** Writes the plans of the begun Tern Point pieces beside the built app, so that a first visit need not wait for nine plans. Part of the build. */
import { writeFileSync } from "node:fs";
import { isDeepStrictEqual } from "node:util";
import { TERN_POINT } from "../app/demo/tern-point";
import { ternPointShelf } from "../app/demo/tern-point-shelf";
import type { DemoPlans } from "../app/demo/tern-point";
import { CATALOGUE } from "../core/catalogue/catalogue";
import { withOwnProducts } from "../core/catalogue/own-product";
import { ENGINE_VERSION } from "../core/coating/planner/engine-version";
import { PlanCache } from "../core/coating/planner/plan-cache";
import { planOnBody } from "../core/logbook/plan-on-body";
import { ownProductsOf, shelfKey } from "../core/shelf/own-products";
import { workFor } from "../core/schedule/dates-of";

const [to] = process.argv.slice(2);
if (to === undefined) throw new Error("say which file to write");
const TODAY = new Date().toISOString().slice(0, 10);
const shelf = ownProductsOf(ternPointShelf(TODAY, new Date(0).toISOString()), new Map(), CATALOGUE, TODAY);
const catalogue = withOwnProducts(CATALOGUE, shelf);
const cache = new PlanCache(catalogue);
const begun = TERN_POINT.filter((one) => one.begunDaysAgo !== null);
const plans = Object.fromEntries(
  begun.map(({ id, piece }) => {
    const { shown, made, madeFor } = planOnBody(piece, { candidateId: null, school: "", edits: [] }, [], catalogue, cache.first);
    return [id, { shown, made, madeFor, work: shown ? workFor(piece, shown, catalogue) : null }];
  }),
);
const written: DemoPlans = { engineVersion: ENGINE_VERSION, shelf: shelfKey(shelf), plans };
const text = JSON.stringify(written);
if (!isDeepStrictEqual(JSON.parse(text), written)) throw new Error("a plan does not come back from its file as it went");
writeFileSync(to, text);
