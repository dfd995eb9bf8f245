import { CATALOGUE } from "./catalogue/catalogue";
import { planPiece } from "./coating/planner/plan-piece";
import { withPatternLayers } from "./marking/solve-piece";
import type { Piece } from "./piece/piece";
import type { Severity } from "./catalogue/vocabulary";
import { MS_PER_MIN } from "./schedule/free-hours";
import type { FreeHours } from "./schedule/free-hours";
import { overloads } from "./schedule/together/overload";
import { pieceWork } from "./schedule/together/piece-work";
import { isTooLittleRoom, MOST_LOADS } from "./schedule/together/loads";
import type { PieceWork } from "./schedule/together/network";
import { piecesFinished } from "./schedule/together/parts-done";
import { scheduleTo } from "./schedule/together/goals";
import { timeFindings } from "./schedule/together/time-findings";
import type { Goal, Together } from "./schedule/together/schedule-all";

/** What is asked of a schedule in a file; instants in ms. */
export interface ScheduledAsk {
  readonly pieces: readonly { readonly id: string; readonly piece: Piece; readonly due: number | null }[];
  readonly start: number;
  readonly freeHours: FreeHours;
  readonly goal?: Goal;
  readonly careful?: boolean;
  /** Pairs of them. */
  readonly hands?: number;
  /** Wet pieces that may stand at once, and that go into the oven at once. */
  readonly rackPlaces?: number;
  readonly ovenPlaces?: number;
  readonly seed?: number;
  /** How long it may look for a better order, about; the same number gives the same schedule. */
  readonly seconds?: number;
}

interface ScheduleFinding {
  readonly code: string;
  readonly severity: Severity;
  readonly pieces: readonly string[];
  readonly message: string;
}

/** So many orders are tried in what is taken for a second. */
const TRIES_A_SECOND = 60;

const iso = (instant: number) => new Date(instant).toISOString();
const MIN_PER_HOUR = 60;
const tenth = (value: number) => Math.round(value * 10) / 10;
const hoursOf = (min: number) => tenth(min / MIN_PER_HOUR);

function told({ network, sittings, handle, cured, bound, gapMs }: Together) {
  const byPiece = (instants: readonly number[]) => Object.fromEntries(network.pieces.map(({ id }, index) => [id, iso(instants[index]!)]));
  const finished = piecesFinished(
    network,
    sittings.flatMap((one) => one.stints),
  );
  return {
    sittings: sittings.map(({ from, to, stints }) => ({
      from: iso(from),
      to: iso(to),
      tasks: stints.map((stint) => {
        const { piece, task } = network.nodes[stint.node]!;
        return {
          piece: network.pieces[piece]!.id,
          step: task.stepId,
          coat: task.coat,
          ...(task.half ? { half: task.half } : {}),
          count: finished.get(stint)!,
          ...(stint.part ? { part: stint.part } : {}),
          ...(stint.windowShut ? { windowShut: true } : {}),
          ...(stint.hand ? { hand: stint.hand + 1 } : {}),
          from: iso(stint.from),
          to: iso(stint.to),
        };
      }),
    })),
    handle: byPiece(handle),
    cured: byPiece(cured),
    bound: { name: bound.name, value: iso(bound.at), gap: Math.round(gapMs / MS_PER_MIN) },
  };
}

function findingsOf(together: Together, hours: FreeHours, start: number): readonly ScheduleFinding[] {
  const names = together.network.pieces.map(({ id }) => id);
  const each = names.flatMap((id) =>
    timeFindings(together, id).map(({ code, severity, message }): ScheduleFinding => ({ code, severity, pieces: [id], message })),
  );
  // The same of several pieces is one thing.
  const others = [...new Set(each.map(({ code, message }) => `${code} ${message}`))].map((same): ScheduleFinding => {
    const all = each.filter(({ code, message }) => `${code} ${message}` === same);
    return { ...all[0]!, pieces: all.flatMap(({ pieces }) => pieces) };
  });
  const much = overloads(together.network, hours, start, together.hands).map(({ due, workMin, freeMin, pieces }): ScheduleFinding => ({
    code: "too-much",
    severity: "stop",
    pieces: pieces.map((index) => names[index]!),
    message: `${hoursOf(workMin)} hours of work and ${hoursOf(freeMin)} free before ${iso(due)}: leave one out, make it simpler, or find another sitting`,
  }));
  return [...much, ...others];
}

/** No schedule. */
const NOTHING = { sittings: [], handle: {}, cured: {}, bound: null };

/** Plans each piece its first way, and dates all of them together. */
export function scheduled({ pieces, start, freeHours, seconds = 1, goal, careful, seed, hands, rackPlaces, ovenPlaces }: ScheduledAsk): unknown {
  const none: ScheduleFinding[] = [];
  const works = pieces.flatMap(({ id, piece: asked, due }): PieceWork[] => {
    const piece = withPatternLayers(asked, CATALOGUE);
    const [candidate] = planPiece(piece, CATALOGUE).candidates;
    if (candidate) return [pieceWork(id, piece, candidate, CATALOGUE, { due })];
    none.push({ code: "no-plan", severity: "stop", pieces: [id], message: "nothing can be planned for it: ask `plan` why" });
    return [];
  });
  const tries = Math.round(seconds * TRIES_A_SECOND);
  const options = {
    ...(goal ? { goal } : {}),
    ...(careful === undefined ? {} : { careful }),
    ...(seed === undefined ? {} : { seed }),
    ...(hands === undefined ? {} : { hands }),
  };
  const places = { ...(rackPlaces === undefined ? {} : { rack: rackPlaces }), ...(ovenPlaces === undefined ? {} : { oven: ovenPlaces }) };
  if (isTooLittleRoom(works, places)) {
    const message = `with so little room the pieces would go in more than ${MOST_LOADS} loads`;
    return { ...NOTHING, findings: [...none, { code: "no-room", severity: "stop", pieces: works.map(({ id }) => id), message } satisfies ScheduleFinding] };
  }
  const together = scheduleTo({ pieces: works, hours: freeHours, start, tries, places, ...options });
  if (together) return { ...told(together), findings: [...none, ...findingsOf(together, freeHours, start)] };
  const refused: ScheduleFinding = {
    code: "no-hours",
    severity: "stop",
    pieces: works.map(({ id }) => id),
    message: "the free hours do not suffice: there are none, or too few",
  };
  return { ...NOTHING, findings: [...none, refused] };
}
