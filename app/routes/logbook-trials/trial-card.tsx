import { Eye, Trash2 } from "lucide-react";
import type { TrialRecord } from "#core/formats/stores/trials";
import { trialDays, trialSays } from "#core/logbook/record/trial";
import type { Saw } from "#core/logbook/record/record";
import { Chips } from "~/components/fields";
import { ToolButton } from "~/components/tool-button";
import { nameIn, useMenu } from "~/components/use-menu";
import type { LogbookAsk } from "~/logbook/logbook-asks";
import { SAW_CHOICES, sawAfter, sayLogDay, saySaw } from "~/logbook/logbook-words";
import { freshId } from "~/store/fresh-id";
import { NoteOrNot } from "~/logbook/note-or-not";
import { useDraft, useOpenForm } from "~/components/use-draft";

/** One trial: its fields side by side, day by day, and what it says by now. */
export function TrialCard({ trial, ask }: { trial: TrialRecord; ask: (ask: LogbookAsk) => string }) {
  const menu = useMenu();
  const [looking, setLooking] = useOpenForm(`looking-${trial.id}`, false);
  const days = trialDays(trial);
  const says = trialSays(trial);
  return (
    <section className="sheet min-w-0 p-4" aria-label={trial.name}>
      <div className="flex items-start justify-between gap-2">
        <div className="min-w-0">
          <h2 className="text-xl">{trial.name}</h2>
          <p className="text-soft">
            {trial.material && `${nameIn(menu.materials, trial.material)}, `}begun {sayLogDay(trial.begunOn)}
            {trial.lies && `, ${trial.lies}`}
          </p>
        </div>
        <ToolButton icon={Trash2} label={`Let go of the trial ${trial.name}`} onClick={() => ask({ intent: "remove-trial", id: trial.id, name: trial.name })} />
      </div>
      <div className="mt-2 overflow-x-auto">
        <table className="w-full border-collapse">
          <caption className="sr-only">{trial.name}, field by field</caption>
          <thead>
            <tr className="border-b-2 border-ink text-left align-bottom">
              <th scope="col" className="pr-3 font-normal text-soft">
                Seen
              </th>
              {trial.spots.map((spot) => (
                <th key={spot.id} scope="col" className="pr-3">
                  {spot.what}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {days.length === 0 && (
              <tr>
                <td className="py-1 text-soft" colSpan={trial.spots.length + 1}>
                  Not looked at yet.
                </td>
              </tr>
            )}
            {days.map(({ on, saw }) => (
              <tr key={on} className="border-b border-line align-top">
                <th scope="row" className="whitespace-nowrap py-1 pr-3 text-left font-normal text-soft">
                  {sayLogDay(on)}
                </th>
                {saw.map((one, index) => (
                  <td key={trial.spots[index]!.id} className={`py-1 pr-3 ${one && !one.includes("fine") ? "font-semibold text-stop" : ""}`}>
                    {one ? saySaw(one) : "–"}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {says && <p className="mt-2">{says.text}</p>}
      {looking ? (
        <LookAtTrial
          trial={trial}
          note={(looks) => {
            ask({ intent: "look-trial", id: trial.id, looks });
            setLooking(false);
          }}
          leave={() => setLooking(false)}
        />
      ) : (
        <button type="button" className="button mt-2" onClick={() => setLooking(true)}>
          <Eye aria-hidden size={20} /> I looked at it
        </button>
      )}
    </section>
  );
}

type Looks = Extract<LogbookAsk, { readonly intent: "look-trial" }>["looks"];

/** What is seen on each field today. */
function LookAtTrial({ trial, note, leave }: { trial: TrialRecord; note: (looks: Looks) => void; leave: () => void }) {
  const [seen, setSeen] = useDraft<Readonly<Record<string, readonly Saw[]>>>(`looking-${trial.id}.seen`, {});
  const told = trial.spots.filter(({ id }) => (seen[id] ?? []).length > 0);
  return (
    <form
      className="mt-3 grid gap-3 border-t-2 border-dashed border-line pt-3"
      aria-label={`How ${trial.name} stands`}
      onSubmit={(event) => {
        event.preventDefault();
        const at = new Date().toISOString();
        if (told.length > 0) note(told.map(({ id }) => ({ spot: id, look: { id: freshId(), at, saw: seen[id]! } })));
      }}
    >
      {trial.spots.map(({ id, what }) => (
        <div key={id}>
          <p className="mb-1 font-semibold">{what}</p>
          <Chips
            label={`What you see on ${what}`}
            choices={SAW_CHOICES}
            chosen={seen[id] ?? []}
            onChange={(next) => setSeen({ ...seen, [id]: sawAfter(seen[id] ?? [], next) })}
          />
        </div>
      ))}
      <NoteOrNot ready={told.length > 0} leave={leave} />
    </form>
  );
}
