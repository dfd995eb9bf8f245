import type { InSitting } from "#core/formats/stores/calendar";
import type { TimerRecord } from "#core/formats/stores/timers";
import type { BenchPiece } from "#core/logbook/bench/bench-piece";
import { instantOf } from "#core/schedule/free-hours";
import { timeZoneHere } from "~/components/time-zone";
import { planOf } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import { keyOf } from "~/piece/worked-out.client";
import { calendarIn } from "~/store/calendar";
import type { Database } from "~/store/database";
import { hoursIn } from "~/store/preferences";
import { timersIn } from "~/store/timers";
import type { AtTable } from "~/workers/plan-worker-api";
import { atTable } from "~/workers/planner.client";
import type { Common } from "./hands";

/** Begun, or wanted by a day. */
export function isOn({ record, progress }: KeptPiece): boolean {
  return record.putAway === undefined && (record.planId !== null || progress.length > 0 || Boolean(record.dates?.due) || Boolean(record.dates?.start));
}

/** What is known of a piece on the table, as long as nothing about it changes. */
const known = new Map<string, { readonly key: string; readonly table: Promise<AtTable | null> }>();

/**
 * A piece as it stands on the table; null where nothing can be planned for it.
 *
 * @param beside another piece is looked at: this one may wait
 */
export function tableOf(kept: KeptPiece, beside: boolean): Promise<AtTable | null> {
  const { id } = kept.record;
  const key = keyOf(kept);
  const before = known.get(id);
  if (before?.key === key) return before.table;
  const table = atTable(id, planOf(kept), beside);
  known.set(id, { key, table });
  // What went wrong is asked again the next time.
  table.catch(() => {
    if (known.get(id)?.table === table) known.delete(id);
  });
  return table;
}

/** What all pieces on the table have in common. */
export async function commonIn(db: Database): Promise<Common> {
  const [hours, record, timers] = await Promise.all([hoursIn(db, timeZoneHere()), calendarIn(db), timersIn(db)]);
  return { hours, record, timers };
}

const sittingsOf = (list: readonly InSitting[], id: string) => new Map(list.filter(({ piece }) => piece === id).map(({ task, at }) => [task, Date.parse(at)]));

/** When a piece is held because it is to be put right first. */
function spoiltOf(id: string, timers: readonly TimerRecord[]): Pick<BenchPiece, "spoilt"> {
  const held = timers.find((timer) => timer.rescue !== undefined && timer.piece === id);
  return held ? { spoilt: Date.parse(held.until) } : {};
}

/** A piece on the table with all that its order and its dates go by: the Bench and the calendar ask the same. */
export function onTable({ record: piece, progress }: KeptPiece, { shown, work, likes, done }: AtTable, { hours, record, timers }: Common): BenchPiece {
  const { start, due } = piece.dates ?? {};
  const instantOfDay = (day: string) => instantOf(day, "00:00", hours.timeZone);
  return {
    id: piece.id,
    name: piece.piece.name,
    count: piece.piece.count ?? 1,
    due: due ? instantOfDay(due) : null,
    ...(start ? { from: instantOfDay(start) } : {}),
    shown,
    work,
    likes,
    done,
    progress,
    agreed: sittingsOf(record.agreed, piece.id),
    held: sittingsOf(record.held, piece.id),
    ...spoiltOf(piece.id, timers),
  };
}
