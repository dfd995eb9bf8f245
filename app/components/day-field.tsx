import { lazy, Suspense, useState } from "react";
import { Popover } from "radix-ui";
import { CalendarSearch } from "lucide-react";
import { format, parseISO } from "date-fns";
import { isDay } from "#core/formats/hours-schema";
import { readDay } from "#core/schedule/read-day";
import { TypedBox } from "./typed-box";
import { useTyped } from "./use-typed";

/** The sheet of days, fetched when it is opened. */
const DayPick = lazy(() => import("./day-pick"));

interface Props {
  readonly label: string;
  /** "YYYY-MM-DD"; "" for none. */
  readonly value: string;
  readonly today: string;
  /** No day before it is offered to be picked. */
  readonly min?: string;
  readonly save: (day: string) => void;
}

const sayDay = (day: string) => (day === "" ? "" : format(parseISO(day), "EEE d MMM yyyy"));

/** Whether the month is said first here, as the browser's locale has it. */
function monthFirst(): boolean {
  const [first] = new Intl.DateTimeFormat(undefined, { day: "numeric", month: "numeric" }).formatToParts(new Date(0));
  return first?.type === "month";
}

/** A day, written as people write days, or picked from a sheet of them. What is no day yet takes nothing away. */
export function DayField({ label, value, today, min, save }: Props) {
  const [isOpen, setOpen] = useState(false);
  const field = useTyped({
    value,
    text: sayDay,
    read: (text) => {
      if (text.trim() === "") return { value: "" };
      const day = readDay(text, today, monthFirst());
      return day !== null && isDay(day) ? { value: day } : { wrong: "not a day yet: 12 Dec, Saturday, in 3 weeks" };
    },
    save,
  });
  const pick = (day: string) => {
    field.forget();
    save(day);
    setOpen(false);
  };
  return (
    <div className="flex items-start gap-1">
      <TypedBox field={field} label={label} placeholder="12 Dec, Saturday…" />
      <Popover.Root open={isOpen} onOpenChange={setOpen}>
        <Popover.Trigger className="tool mt-6" aria-label={`${label}: pick a day`} title="Pick a day">
          <CalendarSearch aria-hidden size={20} />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content align="end" sideOffset={4} collisionPadding={8} className="note z-30 p-2" aria-label={`${label}: pick a day`}>
            <Suspense fallback={<p role="status">Laying the days out…</p>}>
              <DayPick value={value} today={today} {...(min === undefined ? {} : { min })} pick={pick} />
            </Suspense>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </div>
  );
}
