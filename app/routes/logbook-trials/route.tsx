import { FlaskConical } from "lucide-react";
import { LogbookRooms } from "~/components/logbook-rooms";
import { RoomError } from "~/components/room-error";
import { useLogbook } from "~/logbook/use-logbook";
import type { Route } from "./+types/route";
import { NewTrial } from "./new-trial";
import { TrialCard } from "./trial-card";
import { useOpenForm } from "~/components/use-draft";

export async function clientLoader() {
  return (await import("~/logbook/logbook-loaded.client")).logbookLoaded();
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Laying out the trials…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** Trials: things laid beside each other on one body, to see which holds. */
export default function TrialsRoom({ loaderData }: Route.ComponentProps) {
  const { trials, ask } = useLogbook(loaderData);
  const [open, setOpen] = useOpenForm("trial", false);
  return (
    <>
      <title>Trials – Logbook – Nook Coat</title>
      <LogbookRooms />
      <p className="mt-3 max-w-prose">
        Two sealers, two primers, sized against bare: lay them side by side on one tile, put it where it will be used, and look at it again. The tile answers
        what no label does.
      </p>
      {open ? (
        <NewTrial
          today={loaderData.today}
          begin={(trial) => {
            ask({ intent: "begin-trial", trial });
            setOpen(false);
          }}
          leave={() => setOpen(false)}
        />
      ) : (
        <p className="mt-3">
          <button type="button" className="button button-act" onClick={() => setOpen(true)}>
            <FlaskConical aria-hidden size={20} /> Begin a trial
          </button>
        </p>
      )}
      <div className="mt-5 grid gap-6 lg:grid-cols-2">
        {trials.map((trial) => (
          <TrialCard key={trial.id} trial={trial} ask={ask} />
        ))}
      </div>
    </>
  );
}
