import { Flag, PackageCheck } from "lucide-react";
import { format, parseISO } from "date-fns";
import { Link } from "react-router";
import { dayLater, instantOf } from "#core/schedule/free-hours";
import type { PieceTrack } from "#core/schedule/together/tracks";
import type { CalendarShown } from "~/calendar/act-words";
import { sayDay } from "~/components/time-words";
import { timeZoneHere } from "~/components/time-zone";
import { useWidth } from "~/components/use-width";
import { Load } from "./load";

/** Days side by side on a wide page, and on a narrow one. */
const DAYS_WIDE = 21;
const DAYS_NARROW = 7;
const NARROW_PX = 700;

/** Each piece against the days: hands on it, left alone, ready, due. */
export function Tracks({ calendar, pieces, now }: CalendarShown) {
  const [ref, width] = useWidth<HTMLDivElement>(1000);
  const count = width < NARROW_PX ? DAYS_NARROW : DAYS_WIDE;
  const first = calendar.days[0]!.date;
  const dates = Array.from({ length: count }, (_unused, k) => dayLater(first, k));
  const zone = timeZoneHere();
  const [from, to] = [instantOf(first, "00:00", zone), instantOf(dayLater(first, count), "00:00", zone)];
  const share = (instant: number) => (100 * (Math.min(to, Math.max(from, instant)) - from)) / (to - from);
  return (
    <div ref={ref} className="grid gap-6">
      <div role="table" aria-label="Pieces against the days" className="grid gap-1">
        <div role="row" className="grid grid-cols-[6.5rem_minmax(0,1fr)] sm:grid-cols-[11rem_minmax(0,1fr)] gap-2">
          <span role="columnheader" className="text-soft">
            Piece
          </span>
          <span role="columnheader" className="grid" style={{ gridTemplateColumns: `repeat(${count}, minmax(0, 1fr))` }}>
            <span className="sr-only">Days from {format(parseISO(first), "d MMMM")}</span>
            {dates.map((date) => (
              <span key={date} aria-hidden className="truncate border-l border-line pl-0.5 text-sm text-soft">
                {format(parseISO(date), "EEEEE d")}
              </span>
            ))}
          </span>
        </div>
        {calendar.tracks.map((track) => (
          <div key={track.piece} role="row" className="grid grid-cols-[6.5rem_minmax(0,1fr)] sm:grid-cols-[11rem_minmax(0,1fr)] items-center gap-2">
            <span role="rowheader" className="min-w-0 leading-tight sm:truncate">
              <Link to={`/pieces/${track.piece}/dates`} className="underline underline-offset-4">
                {pieces.get(track.piece)?.name}
              </Link>
            </span>
            <span role="cell" className="block">
              <Track track={track} count={count} share={share} until={to} now={now} />
            </span>
          </div>
        ))}
      </div>
      <p className="flex flex-wrap gap-x-5 gap-y-1 text-sm text-soft" aria-hidden>
        <span>
          <span className="mr-1 inline-block h-4 w-2 rounded-sm bg-act align-middle" /> your hands on it
        </span>
        <span>
          <span className="drying-bar mr-1 inline-block h-3 w-6 rounded-sm border border-soft align-middle" /> leave it alone
        </span>
        <span>
          <PackageCheck size={16} className="mr-1 inline text-ready" /> may be handled
        </span>
        <span>
          <Flag size={16} className="mr-1 inline text-stop" /> due
        </span>
      </p>
      <Load weeks={calendar.weeks} />
    </div>
  );
}

function said({ touched, handle, due }: PieceTrack, now: number): string {
  const days = [...new Set(touched.map(({ from }) => sayDay(from, now)))];
  const worked = days.length === 0 ? "no more work" : `worked at ${days.join(", ")}`;
  return `${worked}; may be handled from ${sayDay(handle, now)}${due === null ? "" : `; due ${sayDay(due, now)}`}`;
}

/** One piece over the days that are shown. */
function Track({ track, count, share, until, now }: { track: PieceTrack; count: number; share: (instant: number) => number; until: number; now: number }) {
  const { touched, drying, handle, due, lateMs } = track;
  const span = (from: number, to: number) => ({ left: `${share(from)}%`, width: `${share(to) - share(from)}%` });
  return (
    <span
      role="img"
      aria-label={said(track, now)}
      title={said(track, now)}
      className="relative block h-9 overflow-hidden rounded border border-line bg-sheet"
      style={{ backgroundImage: `linear-gradient(to right, var(--line) 1px, transparent 1px)`, backgroundSize: `${100 / count}% 100%` }}
    >
      {drying.map(({ from, to }) => (
        <span key={from} className="drying-bar absolute top-2.5 h-4 rounded-sm border border-soft" style={span(from, to)} />
      ))}
      {touched.map(({ from, to }) => (
        <span key={from} className="absolute top-1 h-7 min-w-1 rounded-sm bg-act" style={span(from, to)} />
      ))}
      {handle < until && (
        <span className="absolute top-1.5" style={{ left: `${share(handle)}%` }}>
          <PackageCheck size={20} className="text-ready" />
        </span>
      )}
      {due !== null && due < until && (
        <span className={`absolute top-0 h-full border-l-2 ${lateMs > 0 ? "border-stop" : "border-ink"}`} style={{ left: `${share(due)}%` }}>
          <Flag size={18} className={lateMs > 0 ? "text-stop" : ""} />
        </span>
      )}
    </span>
  );
}
