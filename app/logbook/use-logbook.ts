import { useMemo } from "react";
import type { RecordChange } from "#core/logbook/record/record-changes";
import { useAsk, useAsked } from "~/actions/use-ask";
import { LOGBOOK } from "./logbook-asks";
import type { LogbookAsk } from "./logbook-asks";
import type { LogbookLoaded } from "./logbook-loaded.client";
import { shownAfter } from "./shown-after";
import type { Shown } from "./shown-after";

/** The logbook of a page, and what may be asked of it. */
export interface Logbook extends Shown {
  /** @returns the ask's key */
  readonly ask: (ask: LogbookAsk) => string;
  readonly change: (record: string, change: RecordChange) => void;
}

export function useLogbook({ records, trials }: Pick<LogbookLoaded, "records" | "trials">): Logbook {
  const send = useAsk<LogbookAsk>(LOGBOOK);
  const asked = useAsked<LogbookAsk>(LOGBOOK);
  return useMemo(() => {
    const shown = asked.reduce(shownAfter, { records, trials });
    return { ...shown, ask: (ask) => send(ask), change: (id, change) => void send({ intent: "change", id, change }) };
  }, [records, trials, asked, send]);
}
