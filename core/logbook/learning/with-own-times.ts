import type { Edge, Task, Work } from "../../coating/facts/task";
import type { Candidate } from "../../coating/model/plan";
import { kindOfWork } from "./kind-of-work";
import { learntWait } from "./learnt-wait";
import { dryingStretch } from "./own-times";
import type { OwnTimes } from "./own-times";
import { isLearnt } from "./stages";

/** How much sooner than reckoned a task may be begun at most, since waits before it were shortened, minutes. */
type Sooner = Map<string, number>;

/**
 * Work with waits and hands as the table has taught them. What was reckoned before is kept beside, to be learnt from again. Only the stages that were
 * looked at move: what has to dry through, to cure or to be dry for a bake waits as long after what lies under it as it did before.
 *
 * @param candidate the plan the work is of
 */
export function withOwnTimes(work: Work, candidate: Pick<Candidate, "zones">, own: OwnTimes): Work {
  const steps = new Map(candidate.zones.flatMap((zone) => zone.steps.map((step) => [step.id, step] as const)));
  const hands = new Map(own.hands.map(({ key, factor }) => [key, factor]));
  const sooner: Sooner = new Map();
  const edge = (one: Edge): Edge => {
    const before = sooner.get(one.task) ?? 0;
    // A deep wait counts what has passed since what lies further down: that is no shorter for a table that is quick above it.
    if (!isLearnt(one.until)) return before === 0 || one.typicalMin <= 0 ? one : { ...one, ...later(one, before) };
    const stretch = dryingStretch(own, one.film, work.room, one.until);
    if (one.typicalMin <= 0 || (stretch.typical === 1 && stretch.cautious === 1)) return one;
    const learnt = learntWait(one, one.labelMin, stretch);
    return {
      ...one,
      ...learnt,
      reckonedMin: one.typicalMin,
      ...(one.closesMin === undefined ? {} : { closesMin: Math.max(learnt.typicalMin, one.closesMin) }),
      ...(one.reopensMin === undefined ? {} : { reopensMin: Math.max(learnt.typicalMin, one.reopensMin) }),
    };
  };
  const task = (one: Task): Task => {
    const step = steps.get(one.stepId);
    const by = (step && hands.get(kindOfWork(step))) ?? 1;
    const after = one.after.map(edge);
    // Where a deep wait lies between, nothing of it is left.
    const saved = one.after.map((was, k) => (isLearnt(was.until) ? (sooner.get(was.task) ?? 0) + Math.max(0, was.typicalMin - after[k]!.typicalMin) : 0));
    sooner.set(one.id, Math.max(0, ...saved));
    const over = one.over?.map((film) => (isLearnt(film.until) ? { ...film, ...edge(film) } : film));
    const touch = one.touch && learntWait(one.touch, one.touch.labelMin, dryingStretch(own, one.touch.film, work.room, "dry-to-touch"));
    return {
      ...one,
      after,
      ...(over ? { over } : {}),
      ...(touch ? { touch: { ...one.touch!, ...touch } } : {}),
      ...(by === 1 ? {} : { handsOnMin: one.handsOnMin * by, reckonedMin: one.handsOnMin }),
    };
  };
  return { ...work, tasks: work.tasks.map(task) };
}

function later({ typicalMin, cautiousMin }: Edge, min: number): Pick<Edge, "typicalMin" | "cautiousMin"> {
  return { typicalMin: typicalMin + min, cautiousMin: cautiousMin + min };
}
