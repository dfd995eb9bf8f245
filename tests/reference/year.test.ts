/** Days of obeying the Bench to the minute, a year of them with DAYS=365: nothing is ever laid on a film that was not ready, every piece comes to its end, and what is learnt stays true. */
import { expect, test } from "@jest/globals";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { benchOf } from "#core/logbook/bench/bench";
import { ownTimesOf } from "#core/logbook/learning/own-times";
import { doneEvents, touchedEvents } from "#core/logbook/table-events";
import { completePiece } from "#core/piece/complete-piece";
import { KeptTable, MIN, PIECES, START } from "./kept-table";
import { wetFaults } from "./wet-oracle";

const DAY = 24 * 60 * MIN;
const DAYS = Number(process.env["DAYS"] ?? 12);
/** Pieces that are on the table at once. */
const AT_ONCE = 3;

test("whoever does what stands first, touches what it waits for and says what she finds, lays nothing on a wet film, and her paints stay as they are", () => {
  const all: KeptTable[] = [];
  const begin = (at: number) => {
    const table = new KeptTable(PIECES[all.length % PIECES.length]!, `p${all.length}`);
    table.now = at;
    all.push(table);
    return table;
  };
  const on = Array.from({ length: AT_ONCE }, () => begin(START));
  let [now, laid, touched] = [START, 0, 0];
  while (now < START + DAYS * DAY) {
    const own = ownTimesOf(
      all.flatMap((table, k) => table.progress.map((one) => ({ ...one, pieceId: `p${k}` as never }))).sort((a, b) => a.at.localeCompare(b.at)),
    );
    for (const table of on) table.own = own;
    const pieces = on.map((table) => table.laid!);
    for (const [k, { work, done }] of pieces.entries())
      if (work.tasks.every(({ id }) => done.has(id))) {
        on[k] = begin(now);
        pieces[k] = on[k].laid!;
      }
    const bench = benchOf(pieces, now, "UTC");
    const [go] = bench.now;
    if (!go) {
      // As long as something is left a time is told.
      expect(bench.changes).not.toBeNull();
      now = bench.changes!;
      continue;
    }
    const at = pieces.findIndex(({ id }) => id === go.piece);
    const table = on[at]!;
    table.now = now;
    const room = completePiece(table.piece, CATALOGUE).piece.room;
    expect([go.id, new Date(now).toISOString(), wetFaults(go, table.progress, room, now)]).toEqual([go.id, new Date(now).toISOString(), []]);
    const { shown, work, done } = pieces[at]!;
    table.keep();
    const felt = touchedEvents(shown, go.tasks, { work, done, now }, "dry");
    if (felt.length > 0) table.at("dry", felt);
    now += Math.max(1, Math.ceil(go.handsOnMin)) * MIN;
    table.now = Math.max(table.now, now - 1);
    table.at("done", doneEvents(shown, go.tasks, null));
    now = table.now;
    [laid, touched] = [laid + 1, touched + felt.length];
  }
  expect([laid > DAYS / 3, touched > DAYS / 6]).toEqual([true, true]);
  const { films } = ownTimesOf(
    all.flatMap((table, k) => table.progress.map((one) => ({ ...one, pieceId: `p${k}` as never }))).sort((a, b) => a.at.localeCompare(b.at)),
  );
  for (const { key, factor } of films) expect([key, Math.abs(factor - 1) < 0.1]).toEqual([key, true]);
  if (process.env["TELL"]) console.log(`${DAYS} days: ${all.length} pieces begun, ${laid} goes, ${touched} films touched, ${films.length} paints known`);
});
