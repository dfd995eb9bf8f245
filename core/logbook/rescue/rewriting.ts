import type { Catalogue } from "../../catalogue/catalogue";
import { productId } from "../../catalogue/ids";
import type { ProductId } from "../../catalogue/ids";
import type { TechniqueId, ZoneId } from "../../catalogue/vocabulary";
import type { Change, NewStep } from "../../coating/model/change";
import type { Candidate } from "../../coating/model/plan";
import type { Step } from "../../coating/model/step";
import { actKey } from "../body-state";
import { again } from "../one-more";
import type { LaidAct } from "../body-state";
import type { CoatEvent } from "../progress";
import { freeStepId } from "../../coating/model/apply-changes";
import type { StepChoice } from "../../coating/model/step";
import type { StepId } from "../../catalogue/ids";
import { actOf } from "../progress";
import type { Remedy } from "./remedy";
import type { Spot } from "./spot";

/** What a remedy makes of the records and of the plan. */
export interface Rewriting {
  /** Coats that are no longer on the piece: they are laid again. */
  readonly ruined: readonly CoatEvent[];
  /** Coats that are left for longer. */
  readonly tacky: readonly CoatEvent[];
  /** Coats that got fresh paint in places: they dry anew. */
  readonly mended: readonly CoatEvent[];
  /** Coats that were laid over it. */
  readonly laid: readonly CoatEvent[];
  /** Changes of the plan that is followed. */
  readonly changes: readonly Change[];
}

const NOTHING: Rewriting = { ruined: [], tacky: [], mended: [], laid: [], changes: [] };
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

/** The last coat of an act that is on the piece. */
function lastCoat(laid: LaidAct | undefined): readonly CoatEvent[] {
  const last = Math.max(0, ...(laid?.coats ?? []).map(({ coat }) => coat));
  return laid ? eventsOf(laid, (coat) => coat === last) : [];
}

/** A step that is put into the plan, and on the piece at once. */
function laidStep(zone: ZoneId, step: NewStep, after: StepId, taken: ReadonlySet<StepId>): Pick<Rewriting, "laid" | "changes"> {
  const id = step.id ?? freeStepId(zone, `${step.role}.mend`, taken);
  const fresh: NewStep = { ...step, id };
  const { coats: _coats, because: _because, checks: _checks, origin: _origin, id: _id, ...act } = fresh;
  return { laid: [{ zone, stepId: id, act: actOf({ ...act } as StepChoice), coat: 1 }], changes: [{ op: "add", zone, at: { after }, step: fresh }] };
}

/** One coat more of a step, on the piece at once: as its next coat where nothing lies on it and it has all of them, else as a step of its own. */
function laidMore(
  zone: ZoneId,
  step: Step,
  top: Step,
  anchor: StepId,
  taken: ReadonlySet<StepId>,
  body: readonly LaidAct[],
): Pick<Rewriting, "laid" | "changes"> {
  const own = body.find((one) => one.zone === zone && one.stepId === step.id && actKey(one.act) === actKey(step));
  if (step.done || top.id !== step.id || anchor !== step.id || !own || own.coats.some(({ half }) => half !== undefined))
    return laidStep(zone, again(step), anchor, taken);
  const coat = Math.max(...own.coats.map((one) => one.coat)) + 1;
  // A coat that was still to come is laid by this; else the step gets one more.
  const changes: readonly Change[] = coat > step.coats ? [{ op: "set", stepId: step.id, field: "coats", value: coat }] : [];
  return { laid: [{ zone, stepId: step.id, act: own.act, coat }], changes };
}

/**
 * What becomes of records and plan when a remedy has been carried out: what it laid is on the piece from then on, and wet.
 *
 * @param remedy what was done
 * @param spot where
 * @param body what is on the piece, as `bodyOf` folds it
 * @returns ruined coats leave the body, so that the plan asks for them again
 */
export function rewritingOf(
  { effect, lays }: Pick<Remedy, "effect" | "lays">,
  spot: Spot,
  shown: Candidate,
  body: readonly LaidAct[],
  catalogue: Catalogue,
): Rewriting {
  const { zone, step } = spot;
  const laid = fromBand(body, zone, step);
  const [own, ...later] = laid;
  const all = laid.flatMap((one) => eventsOf(one));
  const top = spot.above.at(-1) ?? step;
  const steps = shown.zones.find((one) => one.zone === zone)?.steps ?? [];
  const on = new Set(body.filter((one) => one.zone === zone).map(({ stepId }) => stepId as string));
  // Coats of one work are told as one step: the names they were laid under are taken still.
  const taken = new Set([...steps.map(({ id }) => id), ...body.filter((one) => one.zone === zone).map(({ stepId }) => stepId)]);
  // What is laid now lies on all that is on the place, baked or not.
  const anchor = steps.findLast(({ id, done }) => done === true || on.has(id) || id === top.id)?.id ?? top.id;
  const [ground] = spot.below;
  const groundLaid = ground && fromBand(body, zone, ground)[0];
  const mended = [...(lays.includes("own") ? lastCoat(own) : []), ...(lays.includes("ground") ? lastCoat(groundLaid) : [])];
  switch (effect.kind) {
    case "none":
      return { ...NOTHING, mended };
    case "wait":
      return { ...NOTHING, tacky: lastCoat(own) };
    case "relay":
      return { ...NOTHING, ruined: own ? [...lastCoat(own), ...later.flatMap((one) => eventsOf(one))] : [] };
    case "take-off":
      return { ...NOTHING, ruined: all };
    case "refill-ground": {
      const left = body.flatMap((one) => (laid.includes(one) ? [] : [one]));
      return { ...NOTHING, ruined: all, ...(ground ? laidMore(zone, ground, ground, ground.id, taken, left) : {}) };
    }
    case "one-more":
      return { ...NOTHING, ...laidMore(zone, step, top, anchor, taken, body) };
    case "block": {
      const blocker = laidStep(zone, { role: "prime", product: STAIN_BLOCKER, coats: 1 }, anchor, taken);
      const [added] = blocker.changes;
      const under = added?.op === "add" ? added.step.id! : anchor;
      return { ...NOTHING, laid: blocker.laid, changes: [...blocker.changes, { op: "add", zone, at: { after: under }, step: again(step) }] };
    }
    case "accent":
      return { ...NOTHING, ...laidStep(zone, accentOf(shown, spot, effect.technique, catalogue), anchor, taken) };
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
export function costOf(min: readonly [number, number], { ruined, mended, laid, changes }: Rewriting, shown: Candidate): Cost {
  const steps = new Map(shown.zones.flatMap((zone) => zone.steps).map((step) => [step.id as string, step]));
  const stepsOf = (coats: readonly CoatEvent[]) => coats.flatMap(({ stepId }) => steps.get(stepId) ?? []);
  // What is put in is reckoned like work of its own kind where the plan has some, else like what it lies on.
  const likeOf = (change: Change) => {
    if (change.op === "set") return steps.get(change.stepId) ?? [];
    if (change.op !== "add") return [];
    const { product, technique } = change.step;
    const same = [...steps.values()].filter((step) => step.product === product);
    return same.find((step) => step.technique === technique) ?? same[0] ?? ("after" in change.at ? (steps.get(change.at.after) ?? []) : []);
  };
  const coats = [...stepsOf(ruined), ...changes.flatMap(likeOf)];
  // The hands on what the remedy itself lays are told with it.
  const isLaid = (change: Change) => laid.some(({ stepId }) => stepId === (change.op === "add" ? change.step.id : change.op === "set" ? change.stepId : null));
  const still = [...stepsOf(ruined), ...changes.filter((change) => !isLaid(change)).flatMap(likeOf)];
  const hands = still.reduce((sum, step) => sum + step.handsOnMin / Math.max(1, step.coats), 0);
  // What is laid again dries coat after coat; fresh paint in places all at once.
  const wait = (pick: "typical" | "cautious") => {
    const recoat = (step: Step) => step[pick]?.recoatFrom ?? 0;
    return coats.reduce((sum, step) => sum + recoat(step), 0) + Math.max(0, ...stepsOf(mended).map(recoat));
  };
  return { hands: [min[0] + hands, min[1] + hands], waits: [wait("typical"), wait("cautious")] };
}
