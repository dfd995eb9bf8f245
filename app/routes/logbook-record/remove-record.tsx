import { AlertDialog } from "radix-ui";
import { Trash2 } from "lucide-react";
import type { LogRecord } from "#core/logbook/record/record";
import type { LogbookAsk } from "~/logbook/logbook-asks";

/** Takes a record out of the logbook, after asking once: it can be taken back. */
export function RemoveRecord({ record, ask }: { record: LogRecord; ask: (ask: LogbookAsk) => string }) {
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger className="button">
        <Trash2 aria-hidden size={18} /> Out of the logbook
      </AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
        <AlertDialog.Content className="note fixed left-1/2 top-1/2 z-20 w-[min(92vw,30rem)] -translate-x-1/2 -translate-y-1/2 p-5">
          <AlertDialog.Title className="text-2xl">Take {record.name} out of the logbook?</AlertDialog.Title>
          <AlertDialog.Description className="mt-2">
            What was written down of it, how it held and where it went go with it. It can be taken back for a while.
          </AlertDialog.Description>
          <div className="mt-4 flex flex-wrap gap-2">
            <AlertDialog.Action className="button button-act" onClick={() => ask({ intent: "remove", id: record.id, name: record.name })}>
              Take it out
            </AlertDialog.Action>
            <AlertDialog.Cancel className="button">Leave it</AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
