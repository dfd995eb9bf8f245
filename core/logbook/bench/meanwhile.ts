import type { StepId } from "../../catalogue/ids";
import type { TechniqueId } from "../../catalogue/vocabulary";
import { MS_PER_MIN } from "../../schedule/free-hours";
import type { Bench } from "./bench";
import type { BenchPiece } from "./bench-piece";
import type { Go } from "./go";

/** Something that fits into a wait. */
export type Filler =
  /** A coat elsewhere that is done before the wait is over. */
  | { readonly kind: "go"; readonly go: Go }
  /** The card for the one who receives it. */
  | { readonly kind: "card"; readonly piece: string }
  /** Guides and papers of a step that comes soon. */
  | { readonly kind: "papers"; readonly piece: string; readonly stepId: StepId }
  /** A colour that comes soon and is still to be mixed. */
  | { readonly kind: "mix"; readonly piece: string; readonly stepId: StepId }
  /** The stroke of a step that comes soon, on paper first. */
  | { readonly kind: "practice"; readonly piece: string; readonly technique: TechniqueId };

/** Nobody sits down to something for less, ms. */
const LEAST_WAIT_MS = 3 * MS_PER_MIN;
/** Steps that are looked ahead. */
const AHEAD = 4;

/** Steps of a piece that come next, with what is still to be done. */
function comingOf({ shown, work, done }: BenchPiece) {
  const open = new Set(work.tasks.filter((task) => !done.has(task.id)).map((task) => task.stepId));
  const steps = new Map(shown.zones.flatMap((zone) => zone.steps).map((step) => [step.id, step]));
  return [...open].slice(0, AHEAD).flatMap((id) => steps.get(id) ?? []);
}

/** When the next wait ends after which something may be done, ms; null where none does. */
export function nextFree({ alone }: Pick<Bench, "alone">, now: number): number | null {
  const ends = alone.filter((one) => one.then !== null && one.until > now).map(({ until }) => until);
  return ends.length > 0 ? Math.min(...ends) : null;
}

/**
 * What fits before the next wait is over: coats of other pieces first, then what is done at the desk for those that wait.
 *
 * @param isMixed whether the jar of a step is to be mixed first
 * @param isPractised whether there is a sheet to practise a stroke on
 * @param most of each kind
 * @returns none where nothing is waited for
 */
export function meanwhile(
  bench: Bench,
  pieces: readonly BenchPiece[],
  now: number,
  isMixed: (ownProduct: string) => boolean,
  isPractised: (technique: TechniqueId) => boolean,
  most = 2,
): readonly Filler[] {
  const until = nextFree(bench, now);
  if (until === null || until - now < LEAST_WAIT_MS) return [];
  const goes = bench.now.filter((go) => go.handsOnMin * MS_PER_MIN <= until - now).map((go): Filler => ({ kind: "go", go }));
  const waiting = bench.alone.flatMap(({ piece }) => pieces.find(({ id }) => id === piece) ?? []);
  const coming = waiting.flatMap((piece) => comingOf(piece).map((step) => ({ piece: piece.id, step })));
  const once = <T>(list: readonly T[], key: (one: T) => string): readonly T[] => [...new Map(list.map((one) => [key(one), one])).values()];
  const papers = coming
    .filter(({ step }) => step.role === "mark" || step.rows !== undefined)
    .map(({ piece, step }): Filler => ({ kind: "papers", piece, stepId: step.id }));
  const mixes = coming
    .filter(({ step }) => step.ownProduct !== undefined && isMixed(step.ownProduct))
    .map(({ piece, step }): Filler => ({ kind: "mix", piece, stepId: step.id }));
  const strokes = coming.flatMap(({ piece, step }): Filler[] =>
    step.technique !== undefined && isPractised(step.technique) ? [{ kind: "practice", piece, technique: step.technique }] : [],
  );
  const cards = bench.hardening.map(({ piece }): Filler => ({ kind: "card", piece }));
  const first = (list: readonly Filler[]) =>
    once(list, (one) => JSON.stringify("go" in one ? one.go.id : "technique" in one ? one.technique : one.piece)).slice(0, most);
  return [...first(goes), ...first(mixes), ...first(papers), ...first(strokes).slice(0, 1), ...first(cards)];
}
