import type { TrialRecord } from "#core/formats/stores/trials";
import type { LogRecord } from "#core/logbook/record/record";
import { recordAfter } from "#core/logbook/record/record-changes";
import type { RecordChange } from "#core/logbook/record/record-changes";
import type { LogbookAsk } from "./logbook-asks";

/** Records and trials, as a page shows them. */
export interface Shown {
  readonly records: readonly LogRecord[];
  readonly trials: readonly TrialRecord[];
}

/** The logbook with what is being saved in it. What came to nothing, as where none is left to sell, changes nothing. */
export function shownAfter(shown: Shown, ask: LogbookAsk): Shown {
  switch (ask.intent) {
    case "change":
      return { ...shown, records: shown.records.map((one) => (one.id === ask.id ? changed(one, ask.change) : one)) };
    case "remove":
      return { ...shown, records: shown.records.filter(({ id }) => id !== ask.id) };
    case "begin-trial":
      return shown.trials.some(({ id }) => id === ask.trial.id) ? shown : { ...shown, trials: [{ ...ask.trial, rev: 0 } as TrialRecord, ...shown.trials] };
    case "look-trial":
      return {
        ...shown,
        trials: shown.trials.map((trial) =>
          trial.id !== ask.id
            ? trial
            : {
                ...trial,
                spots: trial.spots.map((spot) => ({
                  ...spot,
                  looks: [
                    ...spot.looks,
                    ...ask.looks.filter((one) => one.spot === spot.id && !spot.looks.some(({ id }) => id === one.look.id)).map(({ look }) => look),
                  ],
                })),
              },
        ),
      };
    case "remove-trial":
      return { ...shown, trials: shown.trials.filter(({ id }) => id !== ask.id) };
    case "write-down":
    case "tell":
    case "again":
      return shown;
  }
}

function changed(record: LogRecord, change: RecordChange): LogRecord {
  try {
    return recordAfter(record, change);
  } catch {
    return record;
  }
}
