import { Popover } from "radix-ui";
import { useState } from "react";
import { Link, useFetcher } from "react-router";
import { Archive, ArchiveRestore, Copy, Ellipsis, Hammer, Layers, Trash2 } from "lucide-react";
import type { PieceRecord } from "#core/formats/stores/pieces";
import { NAMES_KEY } from "~/components/names-key";
import type { NamedPiece } from "~/store/listing";
import { useDraft } from "~/components/use-draft";

interface Props {
  readonly record: PieceRecord;
  readonly copy: () => void;
  readonly putAway: (away: boolean) => void;
  readonly putInSet: (set: string) => void;
  readonly remove: () => void;
}

/** What else can be done with a piece: another like it, into a set, away. */
export function More({ record, copy, putAway, putInSet, remove }: Props) {
  const [open, setOpen] = useState(false);
  const { load, data: pieces = [] } = useFetcher<readonly NamedPiece[]>({ key: NAMES_KEY });
  const sets = [...new Set(pieces.flatMap((one) => one.set ?? []))];
  const [set, setSet] = useDraft("set.name", record.set ?? "");
  const act = (what: () => void) => () => {
    what();
    setOpen(false);
  };
  return (
    <Popover.Root
      open={open}
      onOpenChange={(on) => {
        setSet(record.set ?? "");
        setOpen(on);
        // The sets there are, as they are now.
        if (on) void load("/names");
      }}
    >
      <Popover.Trigger className="tool" aria-label="More to do with this piece">
        <Ellipsis aria-hidden size={20} />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          collisionPadding={12}
          aria-label="More to do with this piece"
          className="note z-20 grid w-[min(22rem,92vw)] gap-2 p-3 shadow-lg"
        >
          <button type="button" className="button" onClick={act(copy)}>
            <Copy aria-hidden size={18} /> Another piece like it
          </button>
          <button type="button" className="button" onClick={act(() => putAway(record.putAway === undefined))}>
            {record.putAway === undefined ? (
              <>
                <Archive aria-hidden size={18} /> Put it away
              </>
            ) : (
              <>
                <ArchiveRestore aria-hidden size={18} /> Bring it out again
              </>
            )}
          </button>
          <Link to={`/pieces/${record.id}/repair`} className="button" onClick={() => setOpen(false)}>
            <Hammer aria-hidden size={18} /> Mend its body
          </Link>
          <form
            className="grid gap-2 border-t-2 border-dashed border-line pt-2"
            onSubmit={(event) => {
              event.preventDefault();
              act(() => putInSet(set.trim()))();
            }}
          >
            <label>
              Made together with others, as the set
              <input
                className="field"
                list="sets-there-are"
                maxLength={60}
                value={set}
                placeholder="Terrace pots"
                onChange={(event) => setSet(event.target.value)}
              />
            </label>
            <datalist id="sets-there-are">
              {sets.map((one) => (
                <option key={one} value={one} />
              ))}
            </datalist>
            <button type="submit" className="button justify-self-start">
              <Layers aria-hidden size={18} /> {set.trim() === "" && record.set !== undefined ? "Take it out of its set" : "Put it in the set"}
            </button>
          </form>
          <div className="border-t-2 border-dashed border-line pt-2">
            <button type="button" className="button w-full" onClick={act(remove)}>
              <Trash2 aria-hidden size={18} /> Remove this piece
            </button>
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
