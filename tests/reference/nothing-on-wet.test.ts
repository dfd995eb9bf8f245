/** Whatever is planned, rescued, laid unplanned or repaired, in any order: nothing is offered over a film that is not ready, and as long as something is left to do something is offered, or a time is told. */
import { expect, test } from "@jest/globals";
import { repairBody } from "#core/casting/repair/repair-body";
import { repairsOf } from "#core/casting/repair/repair";
import type { Fault } from "#core/casting/repair/fault";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { bodyOf } from "#core/logbook/body-state";
import { benchOf } from "#core/logbook/bench/bench";
import { repairChanges } from "#core/logbook/rescue/repairing";
import { mishapsAt, remediesFor } from "#core/logbook/rescue/rescue";
import { rewritingOf } from "#core/logbook/rescue/rewriting";
import { bandsOn, spotOf, wetnessOf } from "#core/logbook/rescue/spot";
import { doneEvents, touchedEvents } from "#core/logbook/table-events";
import { rolesOf, unplannedCoat } from "#core/logbook/unplanned";
import { coatEvents } from "#core/logbook/coat-events";
import { completePiece } from "#core/piece/complete-piece";
import type { Piece, Room } from "#core/piece/piece";
import type { Task } from "#core/coating/facts/task";
import { usualHours } from "#core/schedule/free-hours";
import { scheduleAll } from "#core/schedule/together/schedule-all";
import { numbersFrom } from "#core/units/seeded";
import { KeptTable, MIN, PIECES, START } from "./kept-table";
import { wetFaults } from "./wet-oracle";

function told(piece: Piece, seed: number): readonly string[] {
  const number = numbersFrom(seed);
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(number() * list.length)];
  const table = new KeptTable(piece);
  const room = completePiece(piece, CATALOGUE).piece.room;
  const story: string[] = [];
  for (let turn = 0; turn < 40; turn += 1) {
    const laid = table.laid;
    if (!laid) return [];
    const { shown, done, work } = laid;
    const bench = benchOf([laid], table.now, "UTC");
    const wrong = bench.now.flatMap((go) => wetFaults(go, table.progress, room, table.now));
    if (wrong.length > 0) return [...story, ...wrong];
    const open = work.tasks.filter((task) => !done.has(task.id));
    if (open.length > 0 && bench.now.length === 0 && bench.alone.every(({ then }) => then === null))
      return [...story, `nothing is offered, and ${open[0]!.id} is left`];
    const chance = number();
    const bands = bandsOn(shown, done);
    if (chance < 0.12 && bands.length > 0) {
      const band = pick(bands)!;
      const spot = spotOf(piece, shown, done, work.tasks, { ...band, wetness: wetnessOf(band.step, band.end, table.now) }, CATALOGUE);
      const mishap = pick(mishapsAt(spot));
      const offered = mishap && pick(remediesFor(mishap, spot).filter(({ later }) => later === null));
      if (!offered) continue;
      const { ruined, tacky, mended, laid: fresh, changes } = rewritingOf(offered.remedy, spot, shown, bodyOf(table.progress), CATALOGUE);
      table.keep();
      table.at("ruined", ruined);
      table.at("tacky", tacky);
      table.at("mended", mended);
      table.at("done", fresh);
      table.edit(changes);
      story.push(`${Math.round((table.now - START) / MIN)} rescue ${offered.remedy.id} of ${band.step.id}`);
    } else if (chance < 0.18) {
      const zone = pick(shown.zones)!.zone;
      const product = pick([...CATALOGUE.products.values()].filter((one) => rolesOf(one.id, CATALOGUE).length > 0 && one.methods[0] === "brush"))!;
      const role = pick(rolesOf(product.id, CATALOGUE))!;
      table.keep();
      table.at("done", [
        unplannedCoat({ zone, role, product: product.id, ...(role === "seal" ? {} : { colour: "#8a3a2a" }) }, bodyOf(table.progress), CATALOGUE),
      ]);
      story.push(`${Math.round((table.now - START) / MIN)} unplanned ${role} ${product.id} on ${zone}`);
    } else if (chance < 0.21) {
      const fault: Fault = {
        kind: pick(["hole", "chip"] as const)!,
        place: pick(["face", "edge", "foot"] as const)!,
        bodies: 1,
        each: 1,
        widthMm: 3,
        depthMm: 1 + 3 * number(),
      };
      const changes = repairChanges(repairsOf([fault], repairBody(piece, CATALOGUE)), shown, CATALOGUE);
      table.keep();
      table.edit(changes);
      story.push(`${Math.round((table.now - START) / MIN)} repair of ${fault.kind} at ${fault.place}: ${changes.length} changes`);
    } else if (chance < 0.27) {
      const waiting = bench.alone.find(({ then }) => then !== null)?.then ?? bench.now[0];
      const touched = waiting ? touchedEvents(shown, waiting.tasks, { work, done, now: table.now }, number() < 0.5 ? "tacky" : "dry") : [];
      const seen = touched[0]?.actual?.look?.seen ?? "tacky";
      if (touched.length > 0) table.at(seen, touched);
    } else if (chance < 0.45 && bench.changes !== null) {
      table.now = Math.max(table.now + MIN, number() < 0.7 ? bench.changes : table.now + (bench.changes - table.now) / 2);
    } else {
      const go = pick(bench.now);
      if (!go) {
        if (bench.changes !== null) table.now = bench.changes;
        continue;
      }
      table.now += Math.max(1, go.handsOnMin) * MIN;
      table.keep();
      table.at("done", doneEvents(shown, go.tasks, null));
      story.push(`${Math.round((table.now - START) / MIN)} done ${go.tasks.map(({ id }) => id).join(" ")}`);
    }
  }
  return [...booked(table, room), ...toItsEnd(table, room)].map((fault) => [...story.slice(-4), fault].join("; "));
}

/** What is wrong with what the calendar books from here on: films it would be laid over too early. */
function booked(table: KeptTable, room: Room): readonly string[] {
  const laid = table.laid;
  if (!laid || laid.work.tasks.every(({ id }) => laid.done.has(id))) return [];
  const { shown, work, done, count } = laid;
  const pieces = [{ id: "it", work, count, likeOf: ({ id }: Task) => id, due: null, done }];
  const together = scheduleAll({ pieces, hours: usualHours("UTC"), start: table.now, lookFor: 0 } as never);
  if (!together) return ["the calendar finds no day for it"];
  let progress = table.progress;
  return together.sittings
    .flatMap(({ stints }) => stints)
    .sort((a, b) => a.from - b.from)
    .flatMap(({ node, from, to }) => {
      const { task } = together.network.nodes[node]!;
      const act = shown.acts.find(({ stepIds }) => stepIds.includes(task.stepId)) ?? { stepIds: [task.stepId] };
      const step = shown.zones.flatMap(({ steps }) => steps).find(({ id }) => id === task.stepId)!;
      const wrong = wetFaults(
        { act: { ...act, step } as never, zones: task.zones, coat: task.coat, ...(task.half ? { half: task.half } : {}) },
        progress,
        room,
        from,
      );
      const at = new Date(to).toISOString();
      progress = [
        ...progress,
        ...coatEvents(shown, task).map((event) => ({ ...event, id: `b${to}`, rev: 1, pieceId: "p", planId: "p", kind: "done", at }) as never),
      ];
      return wrong.map((fault) => `booked ${task.id}: ${fault}`);
    });
}

/** Whether whoever does as the Bench says comes to an end; and that nothing is offered too early on the way. */
function toItsEnd(table: KeptTable, room: Room): readonly string[] {
  for (let turn = 0; turn < 150; turn += 1) {
    const laid = table.laid;
    if (!laid) return [];
    const { shown, done, work } = laid;
    const left = work.tasks.filter(({ id }) => !done.has(id));
    if (left.length === 0) return [];
    const { now, changes, alone } = benchOf([laid], table.now, "UTC");
    const wrong = now.flatMap((go) => wetFaults(go, table.progress, room, table.now));
    if (wrong.length > 0) return wrong;
    const [go] = now;
    if (go) {
      table.now += Math.max(1, go.handsOnMin) * MIN;
      table.keep();
      table.at("done", doneEvents(shown, go.tasks, null));
    } else if (changes !== null && alone.length > 0) table.now = changes;
    else return [`nothing is offered and no time is told, and ${left[0]!.id} is left`];
  }
  return ["it never comes to its end"];
}

test.each(PIECES.map((piece, k) => [k, piece.material, piece] as const))("piece %d, of %s", (k, _material, piece) => {
  for (let seed = 1; seed <= Number(process.env.RUNS ?? 1) * 6; seed += 1) {
    const faults = told(piece, 100 * k + seed);
    expect({ k, seed, faults }).toEqual({ k, seed, faults: [] });
  }
});
