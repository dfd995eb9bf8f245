import { TriangleAlert } from "lucide-react";
import { Link } from "react-router";
import type { Calendar } from "#core/schedule/together/calendar";
import { sayHours } from "#core/units/duration";
import { namesOf } from "~/calendar/act-words";
import type { Cured } from "~/calendar/cures.client";
import type { TablePiece } from "~/calendar/table.client";
import { sayDay } from "~/components/time-words";
import { CuresOf, sayLate } from "./cures";

interface Props {
  readonly calendar: Calendar;
  readonly pieces: ReadonlyMap<string, TablePiece>;
  readonly without: readonly string[];
  readonly tooLittleRoom: boolean;
  readonly now: number;
  /** Agrees on the dates as they are now; null where none stand. */
  readonly keep: (() => void) | null;
  readonly cures: Promise<readonly Cured[]>;
  /** A cure was taken: what it is, in words, and for which piece. */
  readonly pressed: (text: string, piece: string) => void;
}

/** What does not come out: too much for the hours, too late for a date, slipped from its evening; each with what would help. */
export function Troubles({ calendar, pieces, without, tooLittleRoom, now, keep, cures, pressed }: Props) {
  const late = calendar.tracks.filter(({ lateMs }) => lateMs > 0).sort((a, b) => b.lateMs - a.lateMs);
  const { moved } = calendar;
  if (calendar.overloads.length === 0 && late.length === 0 && moved === 0 && without.length === 0 && !tooLittleRoom) return null;
  return (
    <ul className="mt-3 grid gap-2" aria-label="What does not come out">
      {calendar.overloads.map(({ due, workMin, freeMin, pieces: ids }) => (
        <li key={due} className="notice bg-stop-tint">
          <strong>
            {sayHours(workMin)} of work, {sayHours(freeMin)} free before {sayDay(due, now)}
          </strong>{" "}
          for {namesOf(ids, pieces)}. Leave one out or give it a later day, take a plan with less work under its Ways, or{" "}
          <Link to="/settings#hours" className="underline">
            find {sayHours(workMin - freeMin)} more
          </Link>
          .
        </li>
      ))}
      {late.length > 0 && (
        <li className="notice bg-warn-tint">
          <TriangleAlert aria-hidden size={20} className="mr-2 inline" />
          Too late for its day:
          <ul>
            {late.map(({ piece, lateMs }) => (
              <li key={piece} className="mt-1">
                <Link to={`/pieces/${piece}/dates`} className="font-semibold underline">
                  {pieces.get(piece)?.name}
                </Link>{" "}
                by {sayLate(lateMs)}
                <CuresOf cures={cures} piece={piece} pieces={pieces} now={now} pressed={(text) => pressed(text, piece)} />
              </li>
            ))}
          </ul>
        </li>
      )}
      {moved > 0 && (
        <li className="notice flex flex-wrap items-center gap-3 bg-note-tint">
          <span className="grow">
            {moved === 1 ? "One thing could not be done when it was planned" : `${moved} things could not be done when they were planned`}, and{" "}
            {moved === 1 ? "has" : "have"} gone where there is room. All the rest stands as it was.
          </span>
          {keep && (
            <button type="button" className="button" onClick={() => keep()}>
              Keep it so
            </button>
          )}
        </li>
      )}
      {tooLittleRoom && (
        <li className="notice bg-warn-tint">With so little room the pieces would go in hundreds of loads: the rack and the oven are left out of account.</li>
      )}
      {without.length > 0 && <li className="notice bg-warn-tint">Without a plan, and on no day: {without.join(", ")}.</li>}
    </ul>
  );
}
