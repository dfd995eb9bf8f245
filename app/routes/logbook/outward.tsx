import { useState } from "react";
import { BookOpenText, CalendarPlus, Table2 } from "lucide-react";
import type { TrialRecord } from "#core/formats/stores/trials";
import type { LogRecord } from "#core/logbook/record/record";
import { remindersOf } from "#core/logbook/record/reminders";
import { useAppContext } from "~/components/app-context";
import { download } from "~/components/download";

interface Props {
  readonly records: readonly LogRecord[];
  readonly trials: readonly TrialRecord[];
  readonly today: string;
}

/** The logbook out of the app: a page for ever, a table, the days to look again. */
export function Outward({ records, trials, today }: Props) {
  const { settings } = useAppContext();
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const again = records.flatMap((record) => remindersOf(record, today)).filter(({ on }) => on >= today);
  const asPage = () => {
    setBusy(true);
    setWrong(null);
    void import("~/logbook/logbook-page.client")
      .then(({ logbookPage }) => logbookPage({ records, trials, unit: settings.units, on: today, signature: settings.signature }))
      .then((text) => download({ name: `nook-coat-logbook-${today}.html`, text, type: "text/html" }))
      .catch((error: unknown) => setWrong(error instanceof Error ? error.message : "the browser does not say why"))
      .finally(() => setBusy(false));
  };
  return (
    <section aria-labelledby="outward">
      <h2 id="outward" className="text-xl">
        To keep outside
      </h2>
      <p className="max-w-prose text-soft">The notebook’s own file, with everything in it, is saved in Settings.</p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="button" disabled={busy} onClick={asPage}>
          <BookOpenText aria-hidden size={20} /> As one page, with pictures
        </button>
        <button
          type="button"
          className="button"
          onClick={() =>
            void import("#core/formats/logbook-csv").then(({ writeLogbookCsv }) =>
              download({ name: `nook-coat-logbook-${today}.csv`, text: writeLogbookCsv(records, settings, settings.units), type: "text/csv" }),
            )
          }
        >
          <Table2 aria-hidden size={20} /> As a table
        </button>
        {again.length > 0 && (
          <button
            type="button"
            className="button"
            onClick={() =>
              void import("#core/formats/calendar-files").then(({ writeIcs }) =>
                download({
                  name: `nook-coat-look-again-${today}.ics`,
                  text: writeIcs({
                    sittings: [],
                    waits: [],
                    dues: [],
                    looks: again.map(({ record, kind, on }) => ({ record: record.id, kind, name: record.name, date: on })),
                  }),
                  type: "text/calendar",
                }),
              )
            }
          >
            <CalendarPlus aria-hidden size={20} /> Days to look again, for your calendar
          </button>
        )}
      </div>
      {busy && <p role="status">Putting the page together…</p>}
      {wrong !== null && (
        <p role="alert" className="text-stop">
          The page could not be made: {wrong}.
        </p>
      )}
    </section>
  );
}
