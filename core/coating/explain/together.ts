import { ROLES } from "../../catalogue/vocabulary";
import { toldActs } from "./told-acts";
import type { ToldAct } from "./told-acts";
import type { Candidate } from "../model/plan";
import type { Step } from "../model/step";

/** A piece that is made with others, by its plan. */
export interface OneOfSet {
  readonly id: string;
  readonly name: string;
  readonly plan: Candidate;
}

/** What is done of an act to one of them. */
export interface TogetherPart {
  readonly id: string;
  readonly act: ToldAct;
}

/** An act of the work on several pieces, done to all of them in one go. */
export interface TogetherAct {
  readonly step: Step;
  readonly parts: readonly TogetherPart[];
}

/**
 * What acts on several pieces come to.
 *
 * @returns mL out of the jar, null where nothing is poured; minutes at the bench
 */
export function sumOf(parts: readonly TogetherPart[]): { readonly jarMl: number | null; readonly handsOnMin: number } {
  const poured = parts.flatMap(({ act }) => act.step.jarMl ?? []);
  return {
    jarMl: poured.length === 0 ? null : poured.reduce((sum, ml) => sum + ml, 0),
    handsOnMin: parts.reduce((sum, { act }) => sum + act.step.handsOnMin, 0),
  };
}

/** What makes acts on different pieces one: the same work with the same stuff. Coats, places and waits are each piece's own. */
export function togetherKey({ role, product, colour, technique, sheen, method, heat, thinning }: Step): string {
  return [role, product, colour?.toLowerCase(), technique, sheen, method, heat?.temperatureC, thinning?.with, thinning?.percent].join("|");
}

interface Queue {
  readonly id: string;
  readonly acts: readonly ToldAct[];
}

/** The heads that are done next: the earliest kind of work of which no piece has more waiting behind other work. */
function nextOf(queues: readonly Queue[], at: readonly number[]): readonly number[] {
  const open = queues.flatMap(({ acts }, index) => (acts[at[index]!] ? [index] : []));
  const key = (index: number) => togetherKey(queues[index]!.acts[at[index]!]!.step);
  const rank = (index: number) => ROLES.indexOf(queues[index]!.acts[at[index]!]!.step.role);
  const waits = (index: number) =>
    open.some((other) => key(other) !== key(index) && queues[other]!.acts.slice(at[other]! + 1).some(({ step }) => togetherKey(step) === key(index)));
  const sorted = [...open].sort((a, b) => rank(a) - rank(b));
  const first = sorted.find((index) => !waits(index)) ?? sorted[0]!;
  return open.filter((index) => key(index) === key(first));
}

/**
 * The work on several pieces as one table: what is the same for several is done to all of them in one go, and each piece's own order is kept.
 *
 * @param pieces with their plans, in any order
 * @returns acts in working order; each act of each piece is in exactly one of them
 */
export function togetherActs(pieces: readonly OneOfSet[]): readonly TogetherAct[] {
  const queues = pieces.map(({ id, plan }): Queue => ({ id, acts: toldActs(plan) }));
  const at = queues.map(() => 0);
  const rows: TogetherAct[] = [];
  while (queues.some(({ acts }, index) => at[index]! < acts.length)) {
    const parts = nextOf(queues, at).map((index): TogetherPart => {
      const act = queues[index]!.acts[at[index]!]!;
      at[index]! += 1;
      return { id: queues[index]!.id, act };
    });
    rows.push({ step: parts[0]!.act.step, parts });
  }
  return rows;
}
