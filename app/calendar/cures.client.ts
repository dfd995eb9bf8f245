import type { Change } from "#core/coating/model/change";
import { changePiece } from "#core/coating/model/apply-changes";
import { ENGINE_VERSION } from "#core/coating/planner/engine-version";
import { remedied } from "#core/drying/what-if";
import type { Remedy } from "#core/drying/what-if";
import { workLeft } from "#core/logbook/bench/work-left";
import type { Room } from "#core/piece/piece";
import { MS_PER_MIN } from "#core/schedule/free-hours";
import type { Calendar } from "#core/schedule/together/calendar";
import { withSitting } from "#core/schedule/together/cures";
import type { ExtraSitting } from "#core/schedule/together/cures";
import type { Ask } from "~/actions/perform";
import { followedAs } from "~/piece/followed";
import { planOf } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import { atTable, waysView } from "~/workers/planner.client";
import type { PlanOf } from "~/workers/plan-worker-api";
import { curesFor, inTimeFor } from "~/workers/schedule.client";
import type { ScheduleQuestion, Tried, Variant } from "~/workers/schedule-worker-api";
import type { Common } from "./hands";
import { onTable } from "./on-table.client";

/** What is done about the room of a piece. */
type CureOfRoom = Extract<Remedy, "warmer" | "fan">;

/** What is done about a piece that is late. */
export type CureWhat =
  | { readonly kind: "anew" | "helper" | CureOfRoom }
  | { readonly kind: "evening"; readonly extra: ExtraSitting }
  | { readonly kind: "way"; readonly title: string }
  | { readonly kind: "fewer"; readonly count: number; readonly of: number };

/** One thing that would help, with what it buys and the ask that does it. */
export interface Cure {
  readonly what: CureWhat;
  /** How late the piece is then, ms; 0: in time. */
  readonly lateMs: number;
  /** Pieces that are late then and are not now. */
  readonly late: readonly string[];
  readonly action: string;
  readonly ask: Ask;
}

/** A piece that is late, with what would help, what helps most first. */
export interface Cured {
  readonly piece: string;
  readonly cures: readonly Cure[];
}

/** All that is asked of the table, with the pieces on it. */
export interface Cures {
  readonly question: ScheduleQuestion;
  readonly kept: readonly KeptPiece[];
  readonly common: Common;
}

/** Late pieces for which cures are looked for: those that are latest. */
const MOST_LATE = 3;
/** Other ways that are tried of each. */
const MOST_WAYS = 3;
/** Work of a batch is a little more than in proportion to its number: one is set up once. */
const FEWER = [1, 0.9, 0.75] as const;

/** A variant of a piece, and the ask that makes it one. */
interface Option extends Variant {
  readonly what: CureWhat;
  readonly action: string;
  readonly ask: Ask;
}

/** Fields of a room that another has otherwise, as changes of a piece. */
function roomChanges(from: Room, to: Room): readonly Change[] {
  const fields = ["temperatureC", "relativeHumidity", "airflow", "night"] as const;
  return fields
    .filter((field) => JSON.stringify(from[field]) !== JSON.stringify(to[field]))
    .map((field) => ({ op: "setPiece", path: `room.${field}`, value: to[field] }));
}

/** A piece planned and laid on the table as it would be. */
async function optionOf(kept: KeptPiece, of: PlanOf, common: Common, key: string, rest: Omit<Option, "key" | "piece">): Promise<Option | null> {
  const table = await atTable(`${kept.record.id}#${key}`, of, true).catch(() => null);
  const record = { ...kept.record, piece: of.piece };
  return table && { ...rest, key, piece: workLeft(onTable({ ...kept, record }, table, common)) };
}

async function changedOptions(kept: KeptPiece, common: Common, room: Room): Promise<readonly (Option | null)[]> {
  const { id, piece } = kept.record;
  const changed = (kind: CureOfRoom) => {
    const other = remedied(room, kind);
    if (!other) return null;
    const changes = roomChanges(room, other);
    const of = { ...planOf(kept), piece: changePiece(piece, changes) };
    return optionOf(kept, of, common, kind, { what: { kind }, action: `/pieces/${id}`, ask: { intent: "change", seen: piece, changes } as Ask });
  };
  return [await changed("warmer"), await changed("fan")];
}

async function wayOptions(kept: KeptPiece, common: Common): Promise<readonly (Option | null)[]> {
  const of = planOf(kept);
  const { id, piece } = kept.record;
  const { candidates, basis, yours } = await waysView(id, of);
  if (!yours) return [];
  const quicker = candidates
    .filter((one) => one.id !== yours.id && (one.totals.elapsedMin < yours.totals.elapsedMin || one.totals.handsOnMin < yours.totals.handsOnMin))
    .sort((a, b) => a.totals.elapsedMin - b.totals.elapsedMin)
    .slice(0, MOST_WAYS);
  const options: (Option | null)[] = [];
  for (const [k, one] of quicker.entries()) {
    const followed = followedAs(one, basis, piece);
    const { candidateId, school, made, madeFor } = followed;
    const keeping = { candidateId, school, edits: [], basis, kept: { engineVersion: ENGINE_VERSION, made, madeFor } };
    const ask = { intent: "follow", followed } as Ask;
    options.push(await optionOf(kept, { ...of, keeping }, common, `way${k}`, { what: { kind: "way", title: one.title }, action: `/pieces/${id}/ways`, ask }));
  }
  return options;
}

/** Fewer of a batch that nobody has begun: the most of it that is in time. */
async function fewerOptions(kept: KeptPiece, { common, question }: Cures): Promise<readonly (Option | null)[]> {
  const { id, piece } = kept.record;
  const count = piece.count ?? 1;
  if (count < 2 || kept.progress.length > 0) return [];
  const most = await inTimeFor(question, id);
  if (most === null) return [];
  const counts = [...new Set(FEWER.map((share) => Math.floor(most * share)))].filter((one) => one > 0);
  const options: (Option | null)[] = [];
  for (const fewer of counts) {
    const changes: readonly Change[] = [{ op: "setPiece", path: "count", value: fewer }];
    const ask = { intent: "change", seen: piece, changes } as Ask;
    const what = { kind: "fewer", count: fewer, of: count } as const;
    options.push(
      await optionOf(kept, { ...planOf(kept), piece: changePiece(piece, changes) }, common, `fewer${fewer}`, { what, action: `/pieces/${id}`, ask }),
    );
  }
  return options;
}

/** What is done about all of it: its words and its ask. */
function aboutAll({ key, extra }: Tried, { hours }: Common): Pick<Cure, "what" | "action" | "ask"> | null {
  if (key === "anew") return { what: { kind: key }, action: "/calendar", ask: { intent: "anew" } };
  if (key === "helper") return { what: { kind: key }, action: "/calendar", ask: { intent: "manner", chosen: { hands: 2 } } as Ask };
  if (key === "evening" && extra)
    return { what: { kind: key, extra }, action: "/settings", ask: { intent: "hours", seen: hours, hours: withSitting(hours, extra) } as Ask };
  return null;
}

/** The best of each kind: the quickest way, the most of a batch that is in time. */
function bestOfKind(cures: readonly Cure[]): readonly Cure[] {
  const best = new Map<string, Cure>();
  for (const cure of cures) {
    const { kind } = cure.what;
    const known = best.get(kind);
    if (kind === "fewer" ? cure.lateMs === 0 && !known : !known || cure.lateMs < known.lateMs) best.set(kind, cure);
  }
  return [...best.values()].sort((a, b) => a.lateMs - b.lateMs || a.late.length - b.late.length);
}

async function curesOf(id: string, of: Cures, late: ReadonlyMap<string, number>): Promise<readonly Cure[]> {
  const { common, question } = of;
  const kept = of.kept.find(({ record }) => record.id === id);
  const room = question.pieces.find((one) => one.id === id)?.work.room;
  if (!kept) return [];
  const options = [...(room ? await changedOptions(kept, common, room) : []), ...(await wayOptions(kept, common)), ...(await fewerOptions(kept, of))].filter(
    (one) => one !== null,
  );
  const tried = await curesFor(
    question,
    id,
    late,
    options.map(({ key, piece }) => ({ key, piece })),
  );
  return bestOfKind(
    tried.flatMap((one): Cure[] => {
      const made = options.find(({ key }) => key === one.key) ?? aboutAll(one, common);
      return made ? [{ what: made.what, action: made.action, ask: made.ask, lateMs: one.lateMs, late: one.late }] : [];
    }),
  );
}

/** Late by less than this is told as it is, without cures, ms. */
const HARDLY_LATE_MS = 60 * MS_PER_MIN;

/** What would help the pieces that are latest; none where all of it is in time. */
export async function curesLookedFor(calendar: Calendar | null, of: Promise<Cures>): Promise<readonly Cured[]> {
  const all = calendar?.tracks ?? [];
  const lateness = new Map(all.map(({ piece, lateMs }) => [piece, lateMs]));
  const late = all.filter(({ lateMs }) => lateMs > HARDLY_LATE_MS).sort((a, b) => b.lateMs - a.lateMs);
  const found: Cured[] = [];
  for (const { piece } of late.slice(0, MOST_LATE)) found.push({ piece, cures: await curesOf(piece, await of, lateness) });
  return found;
}
