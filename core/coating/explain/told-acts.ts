import type { StepId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { Act, Candidate } from "../model/plan";
import type { Step } from "../model/step";

/** An act of the work as it is told: once, whatever the number of places. */
export interface ToldAct {
  readonly number: number;
  /** The step of its first place, with the coats, paint, minutes, reasons and checks of all of them. */
  readonly step: Step;
  readonly stepIds: readonly StepId[];
  readonly zones: readonly ZoneId[];
  /** Colours worked into one another in one go; one or none for every other act. */
  readonly colours: readonly string[];
  /** The user's jars it is laid from. */
  readonly jars: readonly string[];
  /** Places that get fewer coats than the rest, with how many. */
  readonly fewer: readonly { readonly zone: ZoneId; readonly coats: number }[];
}

function total(steps: readonly Step[], of: "jarMl" | "volumeMl"): number | null {
  const known = steps.flatMap((step) => step[of] ?? []);
  return known.length === 0 ? null : known.reduce((sum, ml) => sum + ml, 0);
}

function once<T>(items: readonly T[], key: (item: T) => string): readonly T[] {
  return [...new Map(items.map((item) => [key(item), item])).values()];
}

function told(act: Act, steps: readonly { readonly step: Step; readonly zone: ZoneId }[]): ToldAct {
  const all = steps.map(({ step }) => step);
  const [first] = all;
  const jars = [...new Set(all.flatMap((step) => step.ownProduct ?? []))];
  // Out of several jars it is called by its kind.
  const { ownProduct: _several, ...plain } = first!;
  const from = all.every((step) => step.ownProduct === first!.ownProduct) ? first! : plain;
  const minutes = first!.group === undefined ? all.reduce((sum, step) => sum + step.handsOnMin, 0) : Math.max(...all.map((step) => step.handsOnMin));
  return {
    number: act.number,
    stepIds: act.stepIds,
    zones: act.zones,
    colours: once(
      all.flatMap((step) => step.colour ?? []),
      (colour) => colour,
    ),
    jars,
    fewer: steps.filter(({ step }) => step.coats < act.coats).map(({ step, zone }) => ({ zone, coats: step.coats })),
    step: {
      ...from,
      coats: act.coats,
      waitBefore: act.waitBefore,
      jarMl: total(all, "jarMl"),
      volumeMl: total(all, "volumeMl"),
      handsOnMin: minutes,
      because: once(
        all.flatMap((step) => step.because),
        (one) => one.text,
      ),
      checks: [...new Set(all.flatMap((step) => step.checks))],
    },
  };
}

/**
 * Tells a plan as it is worked, act by act: what several places get alike is told once, with the paint and the time of all of them.
 *
 * @returns acts in the order of the work; what is on the piece already is in none
 */
export function toldActs({ acts, zones }: Pick<Candidate, "acts" | "zones">): readonly ToldAct[] {
  const steps = new Map(zones.flatMap(({ zone, steps: own }) => own.map((step) => [step.id, { step, zone }] as const)));
  return acts.map((act) =>
    told(
      act,
      act.stepIds.map((id) => steps.get(id)!),
    ),
  );
}

/**
 * The number every step carries wherever it is shown: that of its act.
 *
 * @returns numbers from 1, by step; none for what is on the piece already
 */
export function actNumbers({ acts }: Pick<Candidate, "acts">): ReadonlyMap<string, number> {
  return new Map(acts.flatMap(({ number, stepIds }) => stepIds.map((id) => [id as string, number] as const)));
}
