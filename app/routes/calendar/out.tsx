import { CalendarPlus, Download, Printer } from "lucide-react";
import { format } from "date-fns";
import type { CalendarFile } from "#core/formats/calendar-files";
import { dateOf, dayLater } from "#core/schedule/free-hours";
import type { CalendarDay } from "#core/schedule/together/calendar";
import { actsToldIn } from "#core/schedule/together/runs";
import { actTitle, namesOf, partsWords, shutWords, stepOf } from "~/calendar/act-words";
import type { CalendarShown } from "~/calendar/act-words";
import { download } from "~/components/download";
import { Choice } from "~/components/fields";
import { sayTimes } from "~/components/time-words";
import { timeZoneHere } from "~/components/time-zone";
import { useDraft } from "~/components/use-draft";

/** Reminders of a calendar file, by the minutes they stand before a sitting. */
const REMINDERS = [
  { id: "", name: "no reminders", says: "The file has no reminders" },
  { id: "15", name: "a quarter of an hour before", says: "Each sitting has a reminder a quarter of an hour before; waits and days have none" },
  { id: "60", name: "an hour before", says: "Each sitting has a reminder an hour before; waits and days have none" },
  { id: "180", name: "three hours before", says: "Each sitting has a reminder three hours before; waits and days have none" },
] as const;

/** The calendar with its words, as a file has it. */
function fileOf({ calendar: { days, tracks }, pieces, menu }: CalendarShown, remind: string): CalendarFile {
  const nameOf = (id: string) => pieces.get(id)?.name ?? "";
  return {
    sittings: days.flatMap(({ sittings }) =>
      sittings.map(({ acts }) => ({
        acts: actsToldIn(acts).map((act) => ({ id: act.id, from: act.from, to: act.to, act: actTitle(act, pieces, menu), pieces: partsWords(act, pieces) })),
      })),
    ),
    waits: tracks.flatMap(({ piece, drying }) => drying.map(({ from, to }) => ({ piece, name: nameOf(piece), from, to }))),
    dues: days.flatMap(({ date, due }) => due.map((piece) => ({ piece, name: nameOf(piece), date }))),
    ...(remind === "" ? {} : { remindMin: Number(remind) }),
  };
}

/** The calendar for other calendars, as a table, and on paper. */
export function Out(props: CalendarShown) {
  const { calendar, now } = props;
  const name = `nook-coat-${dateOf(now, timeZoneHere())}`;
  const files = () => import("#core/formats/calendar-files");
  const [remind, setRemind] = useDraft<string>("remind", "");
  const reminder = REMINDERS.find(({ id }) => id === remind) ?? REMINDERS[0];
  const asIcs = async () => download({ name: `${name}.ics`, text: (await files()).writeIcs(fileOf(props, reminder.id)), type: "text/calendar" });
  const asCsv = async () => {
    const local = (instant: number) => [format(instant, "yyyy-MM-dd"), format(instant, "HH:mm")] as const;
    download({ name: `${name}.csv`, text: (await files()).writeCalendarCsv(fileOf(props, ""), local), type: "text/csv" });
  };
  return (
    <>
      <div className="mt-6 flex flex-wrap items-end gap-2 print:hidden">
        <div className="w-60">
          <Choice label="Reminders in the file" value={reminder.id} choices={REMINDERS} onChange={setRemind} />
        </div>
        <button type="button" className="button" onClick={() => void asIcs()}>
          <CalendarPlus aria-hidden size={18} /> For your own calendar (.ics)
        </button>
        <button type="button" className="button" onClick={() => void asCsv()}>
          <Download aria-hidden size={18} /> As a table (.csv)
        </button>
        <button type="button" className="button" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> Print the week
        </button>
      </div>
      <p className="mt-1 text-soft print:hidden">{reminder.says}. Read in again, it moves what has moved.</p>
      <PrintedWeek {...props} days={calendar.days.slice(0, DAYS_PRINTED)} />
    </>
  );
}

const DAYS_PRINTED = 7;

/** The week that comes, on paper: days with boxes to tick. */
function PrintedWeek({ days, pieces, menu, calendar, now }: CalendarShown & { readonly days: readonly CalendarDay[] }) {
  const later = calendar.days.filter(({ date, due }) => date > dayLater(dateOf(now, timeZoneHere()), DAYS_PRINTED - 1) && due.length > 0);
  return (
    <section className="hidden print:block" data-printed-week>
      <ol>
        {days.map(({ date, sittings, due, ready }) => (
          <li key={date} className="mb-3 break-inside-avoid border-b border-line pb-2">
            <p className="font-display text-lg">{format(new Date(`${date}T12:00`), "EEEE d MMMM")}</p>
            {due.length > 0 && <p className="font-bold">Due: {namesOf(due, pieces)}</p>}
            <ul>
              {sittings.flatMap(({ acts }) =>
                actsToldIn(acts).map((act) => (
                  <li key={act.id} className="grid grid-cols-[1.2rem_7rem_1fr] gap-2">
                    <span aria-hidden className="mt-1 size-3.5 border border-ink" />
                    <span className="tabular-nums">{sayTimes(act.from, act.to)}</span>
                    <span>
                      {actTitle(act, pieces, menu)}: {partsWords(act, pieces)}
                      {act.windowShut && <strong> {shutWords(stepOf(act, pieces))}</strong>}
                    </span>
                  </li>
                )),
              )}
            </ul>
            {sittings.every(({ acts }) => acts.length === 0) && <p>Nothing; leave everything alone.</p>}
            {ready.length > 0 && <p>May be handled: {namesOf(ready, pieces)}</p>}
          </li>
        ))}
      </ol>
      {later.length > 0 && (
        <p>Due later: {later.map(({ date, due }) => `${namesOf(due, pieces)} (${format(new Date(`${date}T12:00`), "d MMM")})`).join("; ")}</p>
      )}
    </section>
  );
}
