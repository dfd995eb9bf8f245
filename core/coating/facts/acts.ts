import { ROLES } from "../../catalogue/vocabulary";
import type { Role, ZoneId } from "../../catalogue/vocabulary";
import type { StepId } from "../../catalogue/ids";
import type { Act, OrderedCoat } from "../model/plan";
import type { Step, ZoneSteps } from "../model/step";
import type { PieceFacts } from "./facts";
import { PHASE, phaseOf } from "./phase";

/** Done once for the whole piece at the end. */
const AT_THE_END: readonly Role[] = ["assemble", "heat-set", "fire", "cure"];

/** A step with its place: stage by stage, and within a stage by phase. */
interface Placed {
  readonly step: Step;
  readonly zone: ZoneId;
  /** 0 all that comes before colour, everywhere; 1 undersides; 2 the rest; 3 what the whole piece gets last. */
  readonly stage: number;
  readonly phase: number;
}

function placed({ zone, steps }: ZoneSteps, facts: PieceFacts): readonly Placed[] {
  const underside = facts.zones.find((one) => one.zone === zone)?.template.exposure === "underside";
  let phase = 0;
  let stage = 0;
  return steps
    .filter((step) => !step.done)
    .map((step): Placed => {
      phase = Math.max(phase, phaseOf(step, facts.catalogue));
      const own = AT_THE_END.includes(step.role) || phase === PHASE.uncover ? 3 : phase <= PHASE.ground ? 0 : underside ? 1 : 2;
      stage = Math.max(stage, own);
      return { step, zone, stage, phase };
    });
}

/** What makes two steps of different places one act: the same work with the same stuff. How many coats is each place's own. */
function keyOf({ role, product, colour = "", technique, sheen, method, heat, thinning, group }: Step): string {
  return (
    group ??
    [role, product, colour.toLowerCase(), technique ?? "", sheen ?? "", method, heat?.temperatureC ?? "", thinning?.with ?? "", thinning?.percent ?? ""].join(
      "|",
    )
  );
}

function comesFirst(a: Placed, b: Placed): number {
  return a.phase - b.phase || ROLES.indexOf(a.step.role) - ROLES.indexOf(b.step.role);
}

/** Whether a step the user put in waits for the same work elsewhere, which other work comes before: then both are one act. */
function waitsForItsLike(head: Placed, index: number, queues: readonly (readonly Placed[])[], at: readonly number[]): boolean {
  if (head.step.origin !== "hers") return false;
  const key = keyOf(head.step);
  return queues.some((queue, other) => other !== index && queue.slice(at[other]! + 1).some((one) => one.stage === head.stage && keyOf(one.step) === key));
}

/** Takes the next act of a stage off the queues: the earliest work that waits anywhere, with every place that waits for the same. */
function nextOf(queues: readonly (readonly Placed[])[], at: number[], stage: number): readonly Placed[] {
  const heads = queues.flatMap((queue, index) => {
    const head = queue[at[index]!];
    return head?.stage === stage ? [{ head, index }] : [];
  });
  const sorted = [...heads].sort((a, b) => comesFirst(a.head, b.head));
  const first = sorted.find(({ head, index }) => !waitsForItsLike(head, index, queues, at)) ?? sorted[0];
  if (!first) return [];
  const key = keyOf(first.head.step);
  const joined = heads.filter(({ head }) => keyOf(head.step) === key);
  for (const { index } of joined) at[index]! += 1;
  return joined.map(({ head }) => head);
}

/** Colours worked into one another while they are wet are one act. */
function isSameWetAct(before: readonly Placed[], now: readonly Placed[]): boolean {
  const [one, other] = [before[0]?.step, now[0]?.step];
  return one?.while === "wet" && other?.while === "wet" && one.technique === other.technique && before[0]!.zone === now[0]!.zone;
}

function longestWait(steps: readonly Step[]): Step["waitBefore"] {
  const waits = steps.flatMap((step) => step.waitBefore ?? []);
  return waits.sort((a, b) => b.min - a.min)[0] ?? null;
}

/**
 * The work in the order it is done, joined over places: everything cleaned, filled, sanded and primed first, then what the piece stands on,
 * then the rest by phase, and at the end what the whole piece gets once.
 *
 * @param zones stacks with their numbers
 * @returns acts numbered from 1; each step still to be done is in exactly one of them
 */
export function actsOf(zones: readonly ZoneSteps[], facts: PieceFacts): readonly Act[] {
  const queues = zones.map((zone) => placed(zone, facts));
  const at = queues.map(() => 0);
  const acts: (readonly Placed[])[] = [];
  for (let stage = 0; stage <= 3; stage += 1)
    for (let act = nextOf(queues, at, stage); act.length > 0; act = nextOf(queues, at, stage)) {
      const before = acts.at(-1);
      if (before && isSameWetAct(before, act)) acts[acts.length - 1] = [...before, ...act];
      else acts.push(act);
    }
  return acts.map((act, index): Act => ({
    number: index + 1,
    stepIds: act.map(({ step }) => step.id),
    zones: [...new Set(act.map(({ zone }) => zone))],
    coats: Math.max(...act.map(({ step }) => step.coats)),
    // Of what is worked wet only the first colour waits.
    waitBefore: longestWait(act.map(({ step }) => step)),
  }));
}

function isUpright(zone: ZoneId, facts: PieceFacts): boolean {
  return facts.zones.find((one) => one.zone === zone)?.template.halves ?? false;
}

/** One coat of a step, in halves where the piece is held while it is painted. */
function coat(step: Step, number: number, upright: boolean): readonly OrderedCoat[] {
  const halved = upright && step.wetMicrons !== null && step.role !== "decorate" && step.role !== "top-dot" && step.method !== "spray";
  const whole = { stepId: step.id, coat: number };
  return halved
    ? [
        { ...whole, half: "first" as const },
        { ...whole, half: "second" as const },
      ]
    : [whole];
}

/**
 * The working order over all places, coat by coat: each act in turn, its first coat everywhere, then its second.
 *
 * @param acts as `actsOf` gives them
 * @returns every coat, or half of one, that is still to be done; what the whole piece gets in one go once
 */
export function workingOrder(zones: readonly ZoneSteps[], acts: readonly Act[], facts: PieceFacts): readonly OrderedCoat[] {
  const known = new Map<StepId, { readonly step: Step; readonly zone: ZoneId }>(
    zones.flatMap(({ zone, steps }) => steps.map((step) => [step.id, { step, zone }] as const)),
  );
  const seen = new Set<string>();
  return acts.flatMap(({ stepIds, coats }) => {
    const own = stepIds.map((id) => known.get(id)!).filter(({ step }) => step.group === undefined || (!seen.has(step.group) && seen.add(step.group)));
    return Array.from({ length: coats }, (_unused, index) => index + 1).flatMap((number) =>
      own.flatMap(({ step, zone }) => (step.coats >= number ? coat(step, number, isUpright(zone, facts) && step.group === undefined) : [])),
    );
  });
}
