import { Archive, ArchiveRestore, Layers, Ungroup, X } from "lucide-react";
import { dateOf } from "#core/schedule/free-hours";
import { useAsk } from "~/actions/use-ask";
import { timeZoneHere } from "~/components/time-zone";
import type { NamedPiece } from "~/store/listing";
import type { PiecesAsk } from "./pieces-asks";
import { useDraft } from "~/components/use-draft";

interface Props {
  /** Those in sight: what is hidden by looking for something is not chosen along. */
  readonly pieces: readonly NamedPiece[];
  readonly chosen: ReadonlySet<string>;
  readonly sets: readonly string[];
  readonly chooseAll: (on: boolean) => void;
  readonly end: () => void;
}

/** What is done with the pieces that are chosen: into a set, away, out again. */
export function ChosenBar({ pieces, chosen, sets, chooseAll, end }: Props) {
  const ask = useAsk<PiecesAsk>("/pieces");
  const [set, setSet] = useDraft("choosing.set", "");
  const mine = pieces.filter(({ id }) => chosen.has(id));
  const ids = mine.map(({ id }) => id);
  const none = ids.length === 0;
  const keep = (keeping: { readonly set?: string; readonly putAway?: string }) => {
    ask({ intent: "keep-with", ids, ...keeping });
    end();
  };
  const inSets = mine.some((one) => one.set !== undefined);
  const away = mine.some((one) => one.away);
  return (
    <section aria-label="With those you choose" className="note sticky top-2 z-10 mt-3 grid gap-3 p-3 shadow-lg">
      <div className="flex flex-wrap items-center gap-2">
        <p role="status" className="grow font-semibold">
          {none ? "Tick the pieces you mean." : `${ids.length === 1 ? "One piece" : `${ids.length} pieces`} chosen.`}
        </p>
        <button type="button" className="button" onClick={() => chooseAll(ids.length < pieces.length)}>
          {ids.length < pieces.length ? `All ${pieces.length}` : "None of them"}
        </button>
        <button type="button" className="button" onClick={end}>
          <X aria-hidden size={18} /> <span className="max-sm:sr-only">Leave it</span>
        </button>
      </div>
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (set.trim() !== "") keep({ set: set.trim() });
        }}
      >
        <label className="min-w-0 grow basis-36 sm:max-w-80">
          Made together, as the set
          <input
            className="field"
            list="sets-to-choose"
            maxLength={60}
            value={set}
            placeholder={sets[0] ?? "Terrace pots"}
            onChange={(event) => setSet(event.target.value)}
          />
        </label>
        <datalist id="sets-to-choose">
          {sets.map((one) => (
            <option key={one} value={one} />
          ))}
        </datalist>
        <button type="submit" className="button" disabled={none || set.trim() === ""}>
          <Layers aria-hidden size={18} /> <span className="max-sm:sr-only">Put them in the set</span>
        </button>
        {inSets && (
          <button type="button" className="button" onClick={() => keep({ set: "" })}>
            <Ungroup aria-hidden size={18} /> <span className="max-sm:sr-only">Out of their sets</span>
          </button>
        )}
        {away ? (
          <button type="button" className="button" disabled={none} onClick={() => keep({ putAway: "" })}>
            <ArchiveRestore aria-hidden size={18} /> <span className="max-sm:sr-only">Bring them out again</span>
          </button>
        ) : (
          <button type="button" className="button" disabled={none} onClick={() => keep({ putAway: dateOf(Date.now(), timeZoneHere()) })}>
            <Archive aria-hidden size={18} /> <span className="max-sm:sr-only">Put them away</span>
          </button>
        )}
      </form>
    </section>
  );
}
