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
    ownProduct,
    waitBefore,
    thinning,
    ...rest
  } = step;
  // From which jar what is done was laid stays known; what is to do is taken from the jar of its colour then.
  const choice = {
    ...rest,
    ...(step.done && ownProduct !== undefined ? { ownProduct } : {}),
    thinning: thinning && { with: thinning.with, percent: thinning.percent },
  };
  return waitBefore?.set === "hers" ? { ...choice, waitBefore } : choice;
}
