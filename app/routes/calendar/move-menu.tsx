import { DropdownMenu } from "radix-ui";
import { CalendarClock } from "lucide-react";
import type { CalendarDay } from "#core/schedule/together/calendar";
import { sayClock } from "~/components/time-words";

/** Days that are offered by name. */
const MOST_OFFERED = 14;

interface Props {
  /** What is moved, in words. */
  readonly what: string;
  readonly label?: string;
  /** The day it is on: "YYYY-MM-DD". */
  readonly date: string;
  readonly days: readonly CalendarDay[];
  readonly now: number;
  readonly put: (to: CalendarDay) => void;
}

/** Moves work to another day on which hands are free: the days by name. */
export function MoveMenu({ what, label, date, days, now, put }: Props) {
  const others = days.filter((day) => day.date !== date && day.sittings.length > 0).slice(0, MOST_OFFERED);
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        className={label === undefined ? "tool shrink-0 print:hidden" : "button print:hidden"}
        aria-label={`Move to another day: ${what}`}
        title="Move to another day"
      >
        <CalendarClock aria-hidden size={20} /> {label}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="note z-30 max-h-80 min-w-48 overflow-y-auto p-1">
          <DropdownMenu.Label className="px-3 py-1 text-soft">Move to</DropdownMenu.Label>
          {others.map((day) => (
            <DropdownMenu.Item key={day.date} className="option" onSelect={() => put(day)}>
              <span className="first-letter:uppercase">{sayClock(day.sittings[0]!.from, now)}</span>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
