import type { StepId } from "../catalogue/ids";
import type { ZoneId } from "../catalogue/vocabulary";
import type { LaidStep } from "../coating/model/laid-step";
import type { ProgressRecord, RecordedAct } from "./progress";

/** One coat, or half of one. */
export interface LaidCoat {
  readonly coat: number;
  readonly half?: "first" | "second";
  /** Instant, ISO 8601. */
  readonly at: string;
  /** Paint was laid on it anew, in places, last at this instant: it dries from then on. */
  readonly mendedAt?: string;
  /** It was found tacky since, last at this instant. */
  readonly tackyAt?: string;
}

/** The coats of one act that are on one zone. */
export interface LaidAct {
  readonly zone: ZoneId;
  readonly stepId: StepId;
  readonly act: RecordedAct;
  readonly coats: readonly LaidCoat[];
}

type Happened = Pick<ProgressRecord, "stepId" | "zone" | "act" | "coat" | "half" | "kind" | "at">;

/** What makes two recorded acts the same work: not the film, which varies from hand to hand. */
export function actKey({ role, product, technique, colour = "", heat }: Pick<RecordedAct, "role" | "product" | "technique" | "colour" | "heat">): string {
  return [role, product, technique ?? "", colour.toLowerCase(), heat?.temperatureC ?? ""].join("|");
}

const coatKey = ({ coat, half }: Pick<LaidCoat, "coat" | "half">) => `${coat}:${half ?? "whole"}`;

function inOrder(a: Happened, b: Happened): number {
  return a.at.localeCompare(b.at) || a.coat - b.coat || (a.half ?? "").localeCompare(b.half ?? "");
}

/** A coat after it was touched or mended. What is dry now was tacky before, and what is fresh is neither; all of it still has its own wait. */
function touched({ tackyAt: _before, ...laid }: LaidCoat, kind: "tacky" | "dry" | "mended", at: string): LaidCoat {
  return { ...laid, ...(kind === "tacky" ? { tackyAt: at } : {}), ...(kind === "mended" ? { mendedAt: at } : {}) };
}

/** Since when a coat dries, ISO 8601. */
export function dryingSince({ at, mendedAt }: LaidCoat): string {
  return mendedAt ?? at;
}

/**
 * What is on the body, folded from what happened at the bench and from nothing else.
 *
 * @param progress records of one piece, in any order
 * @returns acts in the order they were begun, each with the coats that are on; what was ruined or removed is gone
 */
export function bodyOf(progress: readonly Happened[]): readonly LaidAct[] {
  const acts = new Map<string, { readonly of: Omit<LaidAct, "coats">; readonly coats: Map<string, LaidCoat> }>();
  for (const { zone, stepId, act, coat, half, kind, at } of [...progress].sort(inOrder)) {
    const key = `${zone}|${stepId}|${actKey(act)}`;
    if (kind === "done") {
      const known = acts.get(key) ?? { of: { zone, stepId, act }, coats: new Map<string, LaidCoat>() };
      known.coats.set(coatKey({ coat, ...(half ? { half } : {}) }), { coat, at, ...(half ? { half } : {}) });
      acts.set(key, known);
    }
    if (kind === "tacky" || kind === "dry" || kind === "mended") {
      const known = acts.get(key)?.coats;
      const laid = known?.get(coatKey({ coat, ...(half ? { half } : {}) }));
      if (laid) known!.set(coatKey(laid), touched(laid, kind, at));
    }
    if (kind === "ruined" || kind === "removed") {
      const known = acts.get(key);
      known?.coats.delete(coatKey({ coat, ...(half ? { half } : {}) }));
      if (known?.coats.size === 0) acts.delete(key);
    }
  }
  return [...acts.values()].map(({ of, coats }) => ({ ...of, coats: [...coats.values()] }));
}

/** Coats of an act, a half begun counted as one. */
export function coatsOn({ coats }: Pick<LaidAct, "coats">): number {
  return new Set(coats.map((one) => one.coat)).size;
}

/** Instant of its last coat, ISO 8601. */
export function lastAt({ coats }: Pick<LaidAct, "coats">): string {
  return coats.reduce((last, one) => (one.at > last ? one.at : last), "");
}

/** A step as the planner takes it, and the coats it stands for. */
export interface LaidGroup {
  readonly step: LaidStep;
  readonly coats: readonly LaidCoat[];
}

/** The steps of `laidSteps`, each with its coats. */
export function laidGroups(body: readonly LaidAct[]): readonly LaidGroup[] {
  const groups: LaidGroup[] = [];
  const top = new Map<ZoneId, number>();
  const taken = new Set<string>();
  for (const laid of body) {
    const { mix: _mix, wetMicrons: _film, thinning: _thinning, rows: _rows, ...act } = laid.act;
    const at = top.get(laid.zone);
    const below = at === undefined ? undefined : groups[at]!;
    if (below && actKey(below.step) === actKey(laid.act) && !act.marks) {
      const step = { ...below.step, coats: (below.step.coats ?? 1) + coatsOn(laid), laidAt: lastAt(laid) };
      groups[at!] = { step, coats: [...below.coats, ...laid.coats] };
      continue;
    }
    let id = laid.stepId as string;
    for (let n = 2; taken.has(id); n += 1) id = `${laid.stepId}~${n}`;
    taken.add(id);
    top.set(laid.zone, groups.length);
    groups.push({ step: { ...act, zone: laid.zone, id: id as StepId, coats: coatsOn(laid), laidAt: lastAt(laid) }, coats: laid.coats });
  }
  return groups;
}

/**
 * The body as the planner takes it: steps that are on each zone, in the order they were laid; coats of the same work laid one
 * after another are one step.
 */
export function laidSteps(body: readonly LaidAct[]): readonly LaidStep[] {
  return laidGroups(body).map(({ step }) => step);
}

/**
 * What is on the body now beyond what was on it before.
 *
 * @returns acts with only their later coats; null when something that was on it before is no longer there
 */
export function laidSince(before: readonly LaidAct[], now: readonly LaidAct[]): readonly LaidAct[] | null {
  const keyOf = ({ zone, stepId, act }: LaidAct) => `${zone}|${stepId}|${actKey(act)}`;
  const left = new Map(now.map((laid) => [keyOf(laid), new Map(laid.coats.map((coat) => [coatKey(coat), coat]))]));
  for (const laid of before)
    for (const coat of laid.coats) {
      const found = left.get(keyOf(laid))?.get(coatKey(coat));
      if (found?.at !== coat.at) return null;
      left.get(keyOf(laid))!.delete(coatKey(coat));
    }
  return now.flatMap((laid) => {
    const coats = [...left.get(keyOf(laid))!.values()];
    return coats.length > 0 ? [{ ...laid, coats }] : [];
  });
}
