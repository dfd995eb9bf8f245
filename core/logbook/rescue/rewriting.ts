import type { Catalogue } from "../../catalogue/catalogue";
import { productId } from "../../catalogue/ids";
import type { ProductId } from "../../catalogue/ids";
import type { TechniqueId, ZoneId } from "../../catalogue/vocabulary";
import type { Change, NewStep } from "../../coating/model/change";
import type { Candidate } from "../../coating/model/plan";
import type { Step } from "../../coating/model/step";
import { actKey } from "../body-state";
import { again, oneMore } from "../one-more";
import type { LaidAct } from "../body-state";
import type { CoatEvent } from "../progress";
import type { Effect } from "./remedy";
import type { Spot } from "./spot";

/** What a remedy makes of the records and of the plan. */
export interface Rewriting {
  /** Coats that are no longer on the piece: they are laid again. */
  readonly ruined: readonly CoatEvent[];
  /** Coats that are left for longer. */
  readonly tacky: readonly CoatEvent[];
  /** Changes of the plan that is followed. */
  readonly changes: readonly Change[];
}

const NOTHING: Rewriting = { ruined: [], tacky: [], changes: [] };
const STAIN_BLOCKER = productId("stain-blocking-primer-alcohol");
const PLAIN_PAINT = productId("craft-acrylic");
/** An accent where a plan has only one colour: near black. */
const INK = "#23282c";

const eventsOf = ({ zone, stepId, act, coats }: LaidAct, which: (coat: number) => boolean = () => true): readonly CoatEvent[] =>
  coats.filter(({ coat }) => which(coat)).map(({ coat, half }) => ({ zone, stepId, act, coat, ...(half ? { half } : {}) }));

/** The records of a band, and of all that was done on the same place after it. */
function fromBand(body: readonly LaidAct[], zone: ZoneId, step: Step): readonly LaidAct[] {
  const here = body.filter((one) => one.zone === zone);
  const key = actKey(step);
  const same = (one: LaidAct) => actKey(one.act) === key;
  const at = here.findIndex((one) => one.stepId === step.id && same(one));
  const place = at >= 0 ? at : here.findLastIndex(same);
  return place < 0 ? [] : here.slice(place);
}

/** Paint an accent is set with: one the plan decorates with, in another colour than the band's. */
function accentOf(shown: Candidate, spot: Spot, technique: TechniqueId, catalogue: Catalogue): NewStep {
  const steps = shown.zones.flatMap((zone) => zone.steps).filter((step) => step.role === "decorate" || step.role === "base");
  const may = (product: ProductId) => catalogue.products.get(product)?.techniques.includes(technique) === true;
  const product = steps.find((step) => step.role === "decorate" && may(step.product))?.product ?? (may(spot.step.product) ? spot.step.product : PLAIN_PAINT);
  const ground = spot.below[0]?.colour;
  const colour = steps.find((step) => step.colour !== undefined && step.colour !== spot.step.colour && step.colour !== ground)?.colour ?? INK;
  return { role: "decorate", product, technique, colour, coats: 1 };
}

/**
 * What becomes of records and plan when a remedy has been carried out.
 *
 * @param spot where
 * @param body what is on the piece, as `bodyOf` folds it
 * @returns ruined coats leave the body, so that the plan asks for them again
 */
export function rewritingOf(effect: Effect, spot: Spot, shown: Candidate, body: readonly LaidAct[], catalogue: Catalogue): Rewriting {
  const { zone, step } = spot;
  const laid = fromBand(body, zone, step);
  const [own, ...later] = laid;
  const all = laid.flatMap((one) => eventsOf(one));
  const top = spot.above.at(-1) ?? step;
  switch (effect.kind) {
    case "none":
      return NOTHING;
    case "wait": {
      const last = Math.max(0, ...(own?.coats ?? []).map(({ coat }) => coat));
      return { ...NOTHING, tacky: own ? eventsOf(own, (coat) => coat === last) : [] };
    }
    case "relay": {
      const last = Math.max(0, ...(own?.coats ?? []).map(({ coat }) => coat));
      return { ...NOTHING, ruined: own ? [...eventsOf(own, (coat) => coat === last), ...later.flatMap((one) => eventsOf(one))] : [] };
    }
    case "take-off":
      return { ...NOTHING, ruined: all };
    case "refill-ground": {
      const [ground] = spot.below;
      return { ...NOTHING, ruined: all, changes: ground ? [oneMore(zone, ground, ground)] : [] };
    }
    case "one-more":
      return { ...NOTHING, changes: [oneMore(zone, step, top)] };
    case "block":
      return {
        ...NOTHING,
        changes: [
          { op: "add", zone, at: { after: step.id }, step: again(step) },
          { op: "add", zone, at: { after: step.id }, step: { role: "prime", product: STAIN_BLOCKER, coats: 1 } },
        ],
      };
    case "accent":
      return { ...NOTHING, changes: [{ op: "add", zone, at: { after: top.id }, step: accentOf(shown, spot, effect.technique, catalogue) }] };
    case "start-again":
      return { ...NOTHING, ruined: body.filter((one) => one.zone === zone).flatMap((one) => eventsOf(one)) };
  }
}

/** What a remedy costs in time, as far as it can be told, minutes: quick and slow. */
export interface Cost {
  readonly hands: readonly [number, number];
  /** Drying of what is laid again. */
  readonly waits: readonly [number, number];
}

/** What putting it right costs: the hands on it, the coats that are laid again, and their drying. */
export function costOf(min: readonly [number, number], { ruined, changes }: Rewriting, shown: Candidate): Cost {
  const steps = new Map(shown.zones.flatMap((zone) => zone.steps).map((step) => [step.id as string, step]));
  const relaid = ruined.flatMap(({ stepId }) => steps.get(stepId) ?? []);
  const more = changes.flatMap((change) =>
    change.op === "set" ? (steps.get(change.stepId) ?? []) : change.op === "add" && "after" in change.at ? (steps.get(change.at.after) ?? []) : [],
  );
  const coats = [...relaid, ...more].filter((step) => step.typical !== null);
  const hands = [...relaid, ...more].reduce((sum, step) => sum + step.handsOnMin / Math.max(1, step.coats), 0);
  const wait = (pick: "typical" | "cautious") => coats.reduce((sum, step) => sum + (step[pick]?.recoatFrom ?? 0), 0);
  return { hands: [min[0] + hands, min[1] + hands], waits: [wait("typical"), wait("cautious")] };
}
