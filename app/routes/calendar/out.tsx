import { CalendarPlus, Download, Printer } from "lucide-react";
import { format } from "date-fns";
import type { CalendarFile } from "#core/formats/calendar-files";
import { dateOf, dayLater } from "#core/schedule/free-hours";
import type { CalendarDay } from "#core/schedule/together/calendar";
import { actsToldIn } from "#core/schedule/together/runs";
import { actTitle, namesOf, partsWords, shutWords, stepOf } from "~/calendar/act-words";
import type { CalendarShown } from "~/calendar/act-words";
import { download } from "~/components/download";
import { sayTimes } from "~/components/time-words";
import { timeZoneHere } from "~/components/time-zone";

/** The calendar with its words, as a file has it. */
function fileOf({ calendar: { days, tracks }, pieces, menu }: CalendarShown): CalendarFile {
  const nameOf = (id: string) => pieces.get(id)?.name ?? "";
  return {
    sittings: days.flatMap(({ sittings }) =>
      sittings.map(({ acts }) => ({
        acts: actsToldIn(acts).map((act) => ({ id: act.id, from: act.from, to: act.to, act: actTitle(act, pieces, menu), pieces: partsWords(act, pieces) })),
      })),
    ),
    waits: tracks.flatMap(({ piece, drying }) => drying.map(({ from, to }) => ({ piece, name: nameOf(piece), from, to }))),
    dues: days.flatMap(({ date, due }) => due.map((piece) => ({ piece, name: nameOf(piece), date }))),
  };
}

/** The calendar for other calendars, as a table, and on paper. */
export function Out(props: CalendarShown) {
  const { calendar, now } = props;
  const name = `nook-coat-${dateOf(now, timeZoneHere())}`;
  const files = () => import("#core/formats/calendar-files");
  const asIcs = async () => download({ name: `${name}.ics`, text: (await files()).writeIcs(fileOf(props)), type: "text/calendar" });
  const asCsv = async () => {
    const local = (instant: number) => [format(instant, "yyyy-MM-dd"), format(instant, "HH:mm")] as const;
    download({ name: `${name}.csv`, text: (await files()).writeCalendarCsv(fileOf(props), local), type: "text/csv" });
  };
  return (
    <>
      <p className="mt-6 flex flex-wrap gap-2 print:hidden">
        <button type="button" className="button" onClick={() => void asIcs()}>
          <CalendarPlus aria-hidden size={18} /> For your own calendar (.ics)
        </button>
        <button type="button" className="button" onClick={() => void asCsv()}>
          <Download aria-hidden size={18} /> As a table (.csv)
        </button>
        <button type="button" className="button" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> Print the week
        </button>
      </p>
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
