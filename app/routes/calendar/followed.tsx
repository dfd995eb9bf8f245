import { useState } from "react";
import { X } from "lucide-react";
import { whatFollows } from "#core/schedule/together/what-follows";
import type { CalendarView } from "~/calendar/table.client";
import { useAppContext } from "~/components/app-context";
import { sayDay } from "~/components/time-words";
import { ToolButton } from "~/components/tool-button";
import { sayLate } from "./cures";

interface Props {
  /** What was done: "Moved". */
  readonly title: string;
  /** The piece it was done for: told first. */
  readonly about?: string;
  readonly moved: { readonly before: CalendarView; readonly tasks: ReadonlySet<string> };
  readonly after: CalendarView;
  readonly close: () => void;
  readonly now: number;
}

/** Pieces told by name. */
const MOST_NAMED = 3;

/** What came of moving work, or of a cure: what went along, what is ready when, what is late for it. */
export function Followed({ title, about, moved: { before, tasks }, after, close, now }: Props) {
  const { history, step } = useAppContext();
  // What would be taken back is this only as long as nothing was done after it.
  const [own] = useState(history.undo);
  if (!before.calendar || !after.calendar) return null;
  const { acts, ready, late, inTime } = whatFollows(before.calendar, after.calendar, tasks);
  const nameOf = (id: string) => after.pieces.get(id)?.name ?? "";
  const isAbout = (piece: string) => (piece === about ? 0 : 1);
  // Hours of the same day are nothing to tell of.
  const told = ready.filter(({ from, to }) => sayDay(from, now) !== sayDay(to, now)).sort((a, b) => isAbout(a.piece) - isAbout(b.piece));
  const more = told.length - MOST_NAMED;
  const still = after.calendar.tracks.find(({ piece }) => piece === about)?.lateMs ?? 0;
  const said = [
    ...(about === undefined ? [] : [`${nameOf(about)} is ${still > 0 ? `still ${sayLate(still)} late` : "in time now"}.`]),
    acts === 0 ? "Nothing else moves." : acts === 1 ? "One other act goes to another day." : `${acts} other acts go to other days.`,
    ...told.slice(0, MOST_NAMED).map(({ piece, from, to }) => `${nameOf(piece)}: ready ${sayDay(to, now)} instead of ${sayDay(from, now)}.`),
    ...(more > 0 ? [more === 1 ? "One more is ready on another day." : `${more} more are ready on other days.`] : []),
    ...late.map((piece) => `${nameOf(piece)} is too late now.`),
    ...inTime.filter((piece) => piece !== about).map((piece) => `${nameOf(piece)} is in time now.`),
  ];
  return (
    <div role="status" className="notice mt-3 flex flex-wrap items-start gap-3 bg-note-tint" data-followed>
      <p className="min-w-0 flex-1 basis-72">
        <strong>{title}.</strong> {said.join(" ")}
      </p>
      {own && history.undo === own && (
        <button type="button" className="button shrink-0" aria-label="Take this back" title={own} onClick={() => (step("undo"), close())}>
          Take back
        </button>
      )}
      <ToolButton icon={X} label="Close" onClick={close} />
    </div>
  );
}
