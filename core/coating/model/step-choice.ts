import type { Step, StepChoice } from "./step";

/** A step without the numbers that follow from it; a wait stays only where the user set it. */
export function choiceOf(step: Step): StepChoice {
  const {
    wetMicrons: _wet,
    dryMicrons: _dry,
    jarMl: _jar,
    volumeMl: _ml,
    handsOnMin: _hands,
    typical: _typical,
    cautious: _cautious,
    waitBefore,
    thinning,
    ...rest
  } = step;
  const choice = { ...rest, thinning: thinning && { with: thinning.with, percent: thinning.percent } };
  return waitBefore?.set === "hers" ? { ...choice, waitBefore } : choice;
}
