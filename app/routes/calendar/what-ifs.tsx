import type { WhatIfAll } from "#core/schedule/together/what-if-all";
import { namesOf } from "~/calendar/act-words";
import type { TablePiece } from "~/calendar/table.client";
import { useLastAnswer } from "~/components/awaited";
import { sayClock, sayDay } from "~/components/time-words";
import type { AllIfs } from "~/workers/schedule-worker-api";

type Pieces = ReadonlyMap<string, TablePiece>;

const WHAT_WORDS: Readonly<Record<WhatIfAll["what"], string>> = {
  warmer: "A warm room (22 °C), by day and by night",
  fan: "A fan on what dries",
  drier: "Drier air (50 %)",
  tomorrow: "Beginning tomorrow instead",
  helper: "A second pair of hands",
};

/** Pieces by their names where they are few, else by their number. */
const MOST_NAMED = 3;
const named = (ids: readonly string[], pieces: Pieces) => (ids.length <= MOST_NAMED ? namesOf(ids, pieces) : `${ids.length} pieces`);

/** What comes of it, in one sentence. */
export function whatIfText({ what, last, sooner, later, inTime, late }: WhatIfAll, pieces: Pieces, now: number): string {
  const moved = sayDay(last.to, now) !== sayDay(last.from, now);
  const said = [
    ...(moved ? [`the last piece may be handled ${sayDay(last.to, now)} instead of ${sayDay(last.from, now)}`] : []),
    ...(sooner.length > 0 ? [`${named(sooner, pieces)} sooner`] : []),
    ...(later.length > 0 ? [`${named(later, pieces)} later`] : []),
    ...(inTime.length > 0 ? [`${named(inTime, pieces)} in time after all`] : []),
    ...(late.length > 0 ? [`${named(late, pieces)} too late for ${late.length === 1 ? "its" : "their"} day`] : []),
  ];
  return `${WHAT_WORDS[what]}: ${said.length > 0 ? said.join("; ") : "nothing is ready any later"}.`;
}

/** What warmth, a fan, a helper or another day would do to all of it, and by when it has to be begun. */
export function WhatIfs({ ifs, pieces, now }: { ifs: Promise<AllIfs>; pieces: Pieces; now: number }) {
  const { value: answer, isOlder } = useLastAnswer(ifs);
  return (
    <details className="mt-4 print:hidden" data-what-ifs={answer && !isOlder ? "told" : "waiting"}>
      <summary className="w-fit py-2 underline">
        What would it buy: warmth, a fan, a helper, tomorrow?{isOlder && <span className="text-soft"> (being worked out anew)</span>}
      </summary>
      {answer === null ? (
        <p className="mt-1 text-soft">Trying it…</p>
      ) : (
        <ul className="mt-1 grid max-w-4xl gap-1">
          {answer.latest !== null && (
            <li>
              Nothing has to be begun before <strong>{sayClock(answer.latest, now)}</strong>, and all of it is in time still.
            </li>
          )}
          {answer.ifs.map((one) => (
            <li key={one.what}>{whatIfText(one, pieces, now)}</li>
          ))}
        </ul>
      )}
    </details>
  );
}
