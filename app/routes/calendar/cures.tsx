import { Check } from "lucide-react";
import { instantOf, MS_PER_MIN } from "#core/schedule/free-hours";
import { MIN_PER_DAY, sayDuration } from "#core/units/duration";
import { askOf } from "~/actions/use-ask";
import type { Cure, Cured } from "~/calendar/cures.client";
import { namesOf } from "~/calendar/act-words";
import type { TablePiece } from "~/calendar/table.client";
import { useLastAnswer } from "~/components/awaited";
import { sayDay, sayTimes } from "~/components/time-words";
import { timeZoneHere } from "~/components/time-zone";

type Pieces = ReadonlyMap<string, TablePiece>;

const MS_PER_DAY = MIN_PER_DAY * MS_PER_MIN;

/** How late something is: in hours where it is little, in whole days where it is more. */
export function sayLate(lateMs: number): string {
  return lateMs < 2 * MS_PER_DAY ? sayDuration(lateMs / MS_PER_MIN) : `${Math.ceil(lateMs / MS_PER_DAY)} days`;
}

/** What is done about it. */
export function cureText(what: Cure["what"], now: number): string {
  switch (what.kind) {
    case "anew":
      return "Lay all the dates anew";
    case "helper":
      return "A second pair of hands";
    case "warmer":
      return "Into a warm room (22 °C)";
    case "fan":
      return "A fan on it";
    case "evening": {
      const { date, span } = what.extra;
      const at = (time: string) => instantOf(date, time, timeZoneHere());
      return `${sayDay(at(span.from), now)} ${sayTimes(at(span.from), at(span.to))} too`;
    }
    case "way":
      return `Another way: ${what.title}`;
    case "fewer":
      return `${what.count} of them instead of ${what.of}`;
  }
}

/** What it buys. */
export function buysText({ lateMs, late }: Pick<Cure, "lateMs" | "late">, pieces: Pieces): string {
  const own = lateMs === 0 ? "in time" : `still ${sayLate(lateMs)} late`;
  return late.length === 0 ? own : `${own}, and ${namesOf(late, pieces)} too late for it`;
}

interface Props {
  readonly cures: Promise<readonly Cured[]>;
  readonly piece: string;
  readonly pieces: Pieces;
  readonly now: number;
  readonly pressed: (text: string) => void;
}

/** What would help a piece that is late: one press each, with what it buys. */
export function CuresOf({ cures, piece, pieces, now, pressed }: Props) {
  const { value, isOlder } = useLastAnswer(cures);
  const own = isOlder ? undefined : value?.find((one) => one.piece === piece);
  if (value === null || isOlder) return <p className="mt-1 text-soft">Trying what would help…</p>;
  if (!own) return null;
  if (own.cures.length === 0)
    return (
      <p className="mt-1">
        No helper, warmth, fan, one more evening, other way or smaller number has it ready any sooner: give it a later day, or put another piece off.
      </p>
    );
  return (
    <ul className="mt-1 flex flex-wrap gap-2" aria-label={`What would help ${pieces.get(piece)?.name ?? ""}`}>
      {own.cures.map((cure) => (
        <li key={cure.what.kind}>
          <button
            type="button"
            className="button h-auto flex-col items-start gap-0 py-1 text-left"
            onClick={() => {
              pressed(cureText(cure.what, now));
              askOf(cure.action, cure.ask);
            }}
          >
            <span className="first-letter:uppercase">{cureText(cure.what, now)}</span>
            <span className={`font-normal ${cure.lateMs === 0 ? "text-ready" : "text-soft"}`}>
              {cure.lateMs === 0 && <Check aria-hidden size={16} className="mr-1 inline" />}
              {buysText(cure, pieces)}
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}
