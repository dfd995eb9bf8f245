import type { CalendarRecord } from "#core/formats/stores/calendar";
import type { TimerRecord } from "#core/formats/stores/timers";
import type { BenchPiece } from "#core/logbook/bench/bench-piece";
import type { Hands } from "#core/logbook/bench/order";
import type { FreeHours } from "#core/schedule/free-hours";
import { isTooLittleRoom } from "#core/schedule/together/loads";
import type { Places } from "#core/schedule/together/loads";

/** What all pieces on the table have in common: the hours, what was agreed on and put into sittings, what runs. */
export interface Common {
  readonly hours: FreeHours;
  readonly record: CalendarRecord;
  readonly timers: readonly TimerRecord[];
}

/** The hands there are, and the room; with so little of it that the pieces would go in hundreds of loads it is left out of account. */
export function handsFor(
  pieces: readonly Pick<BenchPiece, "count" | "work">[],
  { hours, record }: Common,
): Required<Hands> & { readonly tooLittleRoom: boolean } {
  const { hands, rackPlaces, ovenPlaces } = record;
  const places: Places = { ...(rackPlaces === null ? {} : { rack: rackPlaces }), ...(ovenPlaces === null ? {} : { oven: ovenPlaces }) };
  const tooLittleRoom = isTooLittleRoom(pieces, places);
  return { hours, hands, places: tooLittleRoom ? {} : places, tooLittleRoom };
}
