import { Eye } from "lucide-react";
import { format } from "date-fns";
import { zoneName } from "#core/catalogue/zone-words";
import type { LogRecord } from "#core/logbook/record/record";
import type { RecordChange } from "#core/logbook/record/record-changes";
import type { Reminder } from "#core/logbook/record/reminders";
import { LookForm } from "~/logbook/look-form";
import { sayLogDay, sayLook } from "~/logbook/logbook-words";
import { NotedLine } from "./noted-line";
import { useOpenForm } from "~/components/use-draft";

/** How it has held, look by look, and when it is looked at next. */
export function Looks({ record, next, change }: { record: LogRecord; next: Reminder | null; change: (change: RecordChange) => void }) {
  const [open, setOpen] = useOpenForm("look", false);
  return (
    <section aria-labelledby="held">
      <h2 id="held" className="text-xl">
        How it held
      </h2>
      <ul className="grid gap-1">
        {record.looks.map((look) => (
          <NotedLine
            key={look.id}
            when={format(new Date(look.at), "d MMM yyyy")}
            off={`Take the look of ${format(new Date(look.at), "d MMM")} off`}
            takeOff={() => change({ kind: "off", of: "looks", id: look.id })}
          >
            <strong>{sayLook(look)}</strong>
            {look.zone && <span className="text-soft"> ({zoneName(look.zone).toLowerCase()})</span>}
          </NotedLine>
        ))}
      </ul>
      {record.looks.length === 0 && <p className="text-soft">Not looked at yet{next ? `: a look on ${sayLogDay(next.on)} tells most` : ""}.</p>}
      {record.looks.length > 0 && next && <p className="text-soft">Again on {sayLogDay(next.on)}.</p>}
      {open ? (
        <LookForm
          record={record}
          note={(look) => {
            change({ kind: "look", look });
            setOpen(false);
          }}
          leave={() => setOpen(false)}
        />
      ) : (
        <button type="button" className="button mt-2 print:hidden" onClick={() => setOpen(true)}>
          <Eye aria-hidden size={20} /> I looked at it
        </button>
      )}
    </section>
  );
}
