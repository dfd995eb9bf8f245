import { Link } from "react-router";
import { CalendarPlus, Eye } from "lucide-react";
import type { RecordChange } from "#core/logbook/record/record-changes";
import type { Reminder } from "#core/logbook/record/reminders";
import { useOpenForm } from "~/components/use-draft";
import { LookForm } from "~/logbook/look-form";
import { sayLogDay } from "~/logbook/logbook-words";

/** Shown at once; the rest waits its turn. */
const MOST_SHOWN = 4;

interface Props {
  readonly due: readonly Reminder[];
  readonly change: (record: string, change: RecordChange) => void;
}

const WHEN = { month: "a month old", year: "a year old" } as const;

/** Finished pieces whose month or year is up: how have they held? */
export function LookAgain({ due, change }: Props) {
  const [open, setOpen] = useOpenForm<string | null>("look", null);
  if (due.length === 0) return null;
  return (
    <section aria-labelledby="look-again" className="rounded-lg border-2 border-act p-3">
      <h2 id="look-again" className="flex items-center gap-2 text-lg">
        <CalendarPlus aria-hidden size={20} /> How have they held?
      </h2>
      <ul className="mt-1 grid gap-2">
        {due.slice(0, MOST_SHOWN).map(({ record, kind, on }) => (
          <li key={record.id}>
            <div className="flex flex-wrap items-center justify-between gap-2">
              <span className="min-w-0 [overflow-wrap:anywhere]">
                <Link to={`/logbook/records/${record.id}`} className="font-semibold text-ink underline">
                  {record.name}
                </Link>
                <span className="text-soft">
                  , {WHEN[kind]} since {sayLogDay(on)}
                </span>
              </span>
              <button
                type="button"
                className="button"
                aria-expanded={open === record.id}
                aria-label={`Say how ${record.name} has held`}
                onClick={() => setOpen(open === record.id ? null : record.id)}
              >
                <Eye aria-hidden size={20} /> I looked
              </button>
            </div>
            {open === record.id && (
              <LookForm
                record={record}
                note={(look) => {
                  change(record.id, { kind: "look", look });
                  setOpen(null);
                }}
                leave={() => setOpen(null)}
              />
            )}
          </li>
        ))}
      </ul>
      {due.length > MOST_SHOWN && <p className="mt-1 text-soft">and {due.length - MOST_SHOWN} more after these.</p>}
    </section>
  );
}
