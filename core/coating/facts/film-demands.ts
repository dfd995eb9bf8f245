import type { StepId } from "../../catalogue/ids";
import type { DryingStage } from "../../catalogue/vocabulary";
import type { StackFacts } from "./facts";
import { isFilm } from "./facts";
import { demand } from "./waits";

/** What one step asks of one film on its place, if it is laid over it. */
export interface FilmDemand {
  readonly upper: StepId;
  readonly lower: StepId;
  readonly typicalMin: number;
  readonly cautiousMin: number;
  readonly until: DryingStage;
  /** By the plan the film lies beneath; else it may lie there all the same, as it was laid already. */
  readonly beneath: boolean;
  /** Steps between that bake or fire it: what has been through one since it was laid is dry. */
  readonly heats: readonly StepId[];
}

/**
 * What every step of a plan asks of every film on its place: of those it is to be laid over, and of those it would be laid over because they are on
 * already, whatever laid them. This is the one place that says when something may be done over a film.
 *
 * @param stacks of the plan, as `stackFacts` gives them
 * @returns none for what is taken as long dry, and for colours worked into one another
 */
export function filmDemands(stacks: readonly StackFacts[]): readonly FilmDemand[] {
  return stacks.flatMap((stack) =>
    stack.steps.flatMap((upper) =>
      upper.step.done === true || upper.step.role === "cure"
        ? []
        : stack.steps.flatMap((lower): readonly FilmDemand[] => {
            if (lower === upper || !isFilm(lower)) return [];
            const beneath = lower.index < upper.index;
            // The user has said themselves how long it waits.
            if (beneath && upper.step.waitBefore?.set === "hers") return [];
            const heats = stack.steps.filter(
              ({ step, index }) => step.heat !== undefined && step !== upper.step && (!beneath || (index > lower.index && index < upper.index)),
            );
            const [usual, careful] = [demand(upper, lower, stack, "typical"), demand(upper, lower, stack, "cautious")];
            if (usual.min <= 0 && careful.min <= 0) return [];
            const typicalMin = Math.ceil(usual.min);
            return [
              {
                upper: upper.step.id,
                lower: lower.step.id,
                typicalMin,
                cautiousMin: Math.max(typicalMin, Math.ceil(careful.min)),
                until: usual.min > 0 ? usual.until : careful.until,
                beneath,
                heats: heats.map(({ step }) => step.id),
              },
            ];
          }),
    ),
  );
}
