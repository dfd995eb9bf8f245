/** Times the logbook: two thousand records worked out for the search, and asked questions. Prints, judges nothing. */
import { performance } from "node:perf_hooks";
import { ternPointRecords } from "../app/demo/tern-point-logbook";
import { logRecordId } from "../core/catalogue/ids";
import type { LogRecord } from "../core/logbook/record/record";
import { ANY_RECORD, choicesIn, indexed, searchRecords } from "../core/logbook/record/search";
import type { SoughtRecord } from "../core/logbook/record/search";
import { numbersFrom } from "../core/units/seeded";

const MANY = 2000;
const RUNS = 200;

const random = numbersFrom(17);
const made = ternPointRecords("2026-11-28", "UTC");
const records = Array.from({ length: MANY }, (_unused, index): LogRecord => {
  const one = made[Math.floor(random() * made.length)]!;
  return { ...one, id: logRecordId(`bench${String(index).padStart(6, "0")}`), name: `${one.name} ${index}` };
});

const from = performance.now();
const all = records.map(indexed);
const builtMs = performance.now() - from;

const QUESTIONS: readonly Partial<SoughtRecord>[] = [
  { text: "where is the shimmer on the grey pebble" },
  { text: "matt varnish yellowed" },
  { text: "pebble 1234" },
  { family: "blue", sealer: "Quiet varnish" },
  { text: "nothing at all like this" },
];
console.log(`the logbook, ${MANY} records: made ready once in ${builtMs.toFixed(0)} ms`);
for (const question of QUESTIONS) {
  const times = Array.from({ length: RUNS }, () => {
    const begun = performance.now();
    searchRecords(all, { ...ANY_RECORD, ...question });
    return performance.now() - begun;
  }).sort((a, b) => a - b);
  const found = searchRecords(all, { ...ANY_RECORD, ...question }).length;
  console.log(
    `  ${JSON.stringify(question)}: ${found} found, median ${times[RUNS / 2]!.toFixed(1)} ms, p95 ${times[Math.floor(RUNS * 0.95)]!.toFixed(1)} ms (goal: under 50 ms)`,
  );
}
const begun = performance.now();
choicesIn(all);
console.log(`  what can be chosen: ${(performance.now() - begun).toFixed(1)} ms`);
