import { weightTold } from "../drying/constant-weight";
import type { WeightTold } from "../drying/constant-weight";
import type { KnownBody } from "../drying/drying-curve";
import { bodyWater } from "./body-water";
import { POWDERS, powderValue } from "./compound";
import { mixFor } from "./mix";
import type { Mix, Ratio } from "./mix";
import { weighingsOf } from "./pour";
import type { Bowl, CastBodies, Pour, PouredMould } from "./pour";
import { openMinOf, stagesOfCast } from "./stages";
import type { CastStage, StagePlan } from "./stages";
import { partOf } from "./weighing-run";

const MS_PER_MIN = 60_000;

/** The ratio a pour is weighed in. */
export function ratioOfPour({ powder: { kind, label } }: Pick<Pour, "powder">): Ratio {
  return { waterPer100: powderValue(kind, label, "waterPer100").value, densityGPerMl: powderValue(kind, label, "densityGPerMl").value };
}

/** What a bowl asks for next. */
export type BowlNext =
  | { readonly kind: "weigh" }
  /** A stage is to be begun. */
  | { readonly kind: "stage"; readonly stage: StagePlan }
  /** A stage runs by itself until an instant, ms. */
  | { readonly kind: "wait"; readonly stage: StagePlan; readonly from: number; readonly until: number; readonly longest: number }
  | { readonly kind: "over" };

/** Where a bowl stands. */
export interface BowlState {
  readonly next: BowlNext;
  /** It has to be poured by then, ms; null before there is powder in the water, and after the pour. */
  readonly pourBy: number | null;
}

const begun = (bowl: Bowl, stage: CastStage) => {
  const at = bowl.stages[stage];
  return at === undefined ? null : Date.parse(at);
};

/**
 * Where a bowl stands: what its hands do next, or what is waited for.
 *
 * @param now instant, ms
 */
export function bowlState(bowl: Bowl, pour: Pick<Pour, "powder" | "conditions">, now: number): BowlState {
  const { kind, label } = pour.powder;
  if (partOf(bowl.run, ratioOfPour(pour)) !== "done") return { next: { kind: "weigh" }, pourBy: null };
  const stages = stagesOfCast(kind, label, pour.conditions);
  const last = stages.findLastIndex(({ id }) => bowl.stages[id] !== undefined);
  const sprinkled = begun(bowl, "sprinkle");
  const pourBy = sprinkled === null || begun(bowl, "pour") !== null ? null : sprinkled + openMinOf(kind, label, pour.conditions) * MS_PER_MIN;
  const following = stages[last + 1];
  const running = stages[last];
  if (!following) return { next: { kind: "over" }, pourBy };
  const from = running && begun(bowl, running.id);
  if (running?.waits && from !== null && from !== undefined) {
    const until = from + running.fromMin * MS_PER_MIN;
    if (until > now) return { next: { kind: "wait", stage: running, from, until, longest: from + running.toMin * MS_PER_MIN }, pourBy };
  }
  return { next: { kind: "stage", stage: following }, pourBy };
}

/**
 * The bowl to turn to: one whose hands are due in mid-work first, then one that is weighed, then the one that is waited for the shortest.
 *
 * @returns its place; null where all are over
 */
export function bowlToTurnTo(pour: Pour, now: number): number | null {
  const states = pour.bowls.map((bowl) => bowlState(bowl, pour, now));
  const rank = ({ next, pourBy }: BowlState) =>
    next.kind === "over" ? 4 : pourBy !== null ? 0 : next.kind === "stage" && next.stage.id !== "sprinkle" ? 1 : next.kind === "wait" ? 3 : 2;
  const order = states.map((state, at) => ({ state, at })).filter(({ state }) => state.next.kind !== "over");
  order.sort((a, b) => rank(a.state) - rank(b.state) || endOf(a.state) - endOf(b.state) || a.at - b.at);
  return order[0]?.at ?? null;
}

const endOf = ({ next }: BowlState) => (next.kind === "wait" ? next.until : 0);

/** Bodies after a bowl is taken out: those of one mould lie together. */
export function takenOut(bodies: readonly CastBodies[], { fills, beside }: Pick<Bowl, "fills" | "beside">, at: string): readonly CastBodies[] {
  if (beside) return bodies;
  return fills.reduce((all, { mould, count }) => {
    const here = all.find((one) => one.mould === mould && one.weighings.length === 0 && one.faults.length === 0 && one.pieces.length === 0);
    if (!here) return [...all, { mould, count, outAt: at, onScale: count, weighings: [], faults: [], pieces: [] }];
    return all.map((one) => (one === here ? { ...one, count: one.count + count, onScale: one.onScale + count, outAt: at } : one));
  }, bodies);
}

/** Water and powder in one body, as the pour was weighed; waste is in no body. */
export function mixOfBody(pour: Pick<Pour, "bowls" | "powder">, { ml }: Pick<PouredMould, "ml">): Mix {
  const [water, powder] = pour.bowls.reduce(([w, p], { run }) => [w + (run.waterG ?? 0), p + (run.powderG ?? 0)], [0, 0]);
  const ratio = ratioOfPour(pour);
  return mixFor(ml, water > 0 && powder > 0 ? { ...ratio, waterPer100: (water / powder) * 100 } : ratio);
}

/** What is known of bodies on the scale beside their weighings: of gypsum what they weigh dry and wet, by what was poured. */
export function knownOf(pour: Pick<Pour, "bowls" | "powder" | "moulds">, bodies: Pick<CastBodies, "mould" | "onScale">): KnownBody {
  if (pour.powder.kind !== "gypsum") return {};
  const { dryG, toLoseG } = dryOf(pour, bodies);
  return { dryG, wetG: dryG + toLoseG };
}

/** What the weighings of bodies say; null where there are none. */
export function toldOf(pour: Pick<Pour, "bowls" | "powder" | "moulds">, bodies: CastBodies): WeightTold | null {
  return bodies.weighings.length === 0 ? null : weightTold(weighingsOf(bodies), knownOf(pour, bodies));
}

/** What bodies on the scale together weigh once they are dry, and what has to leave them, g. */
export function dryOf(pour: Pick<Pour, "bowls" | "powder" | "moulds">, { mould, onScale }: Pick<CastBodies, "mould" | "onScale">) {
  const one = bodyWater(mixOfBody(pour, pour.moulds[mould]!), POWDERS[pour.powder.kind].binds.value);
  return { dryG: one.dryG * onScale, toLoseG: one.toLoseG * onScale };
}
