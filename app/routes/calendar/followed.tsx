import { X } from "lucide-react";
import { whatFollows } from "#core/schedule/together/what-follows";
import type { CalendarView } from "~/calendar/table.client";
import { sayDay } from "~/components/time-words";
import { ToolButton } from "~/components/tool-button";

interface Props {
  readonly moved: { readonly before: CalendarView; readonly tasks: ReadonlySet<string> };
  readonly after: CalendarView;
  readonly close: () => void;
  readonly now: number;
}

/** Pieces told by name. */
const MOST_NAMED = 3;

/** What came of moving work: what went along, what is ready when, what is late for it. */
export function Followed({ moved: { before, tasks }, after, close, now }: Props) {
  if (!before.calendar || !after.calendar) return null;
  const { acts, ready, late, inTime } = whatFollows(before.calendar, after.calendar, tasks);
  const nameOf = (id: string) => after.pieces.get(id)?.name ?? "";
  const said = [
    acts === 0 ? "Nothing else moves." : acts === 1 ? "One other act goes to another day." : `${acts} other acts go to other days.`,
    ...ready.slice(0, MOST_NAMED).map(({ piece, from, to }) => `${nameOf(piece)}: ready ${sayDay(to, now)} instead of ${sayDay(from, now)}.`),
    ...(ready.length > MOST_NAMED ? [`${ready.length - MOST_NAMED} more are ready on other days.`] : []),
    ...late.map((piece) => `${nameOf(piece)} is too late now.`),
    ...inTime.map((piece) => `${nameOf(piece)} is in time now.`),
  ];
  return (
    <div role="status" className="notice mt-3 flex items-start gap-3 bg-note-tint" data-followed>
      <p className="grow">
        <strong>Moved.</strong> {said.join(" ")}
      </p>
      <ToolButton icon={X} label="Close" onClick={close} />
    </div>
  );
}
