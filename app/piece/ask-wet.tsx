import { AlertDialog } from "radix-ui";
import { Link } from "react-router";
import { sayClock } from "~/components/time-words";

interface Props {
  /** What is asked about; null while nothing is. */
  readonly open: boolean;
  /** What was to be laid. */
  readonly title: string;
  /** Until when what lies beneath is left alone: instant, ms. */
  readonly until: number;
  readonly piece: string;
  readonly close: () => void;
  /** It is laid all the same. */
  readonly note: () => void;
}

/** Asks before a coat is noted over one that is still wet: a slip is more likely than the deed. */
export function AskWet({ open, title, until, piece, close, note }: Props) {
  return (
    <AlertDialog.Root open={open} onOpenChange={(on) => !on && close()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
        <AlertDialog.Content className="note fixed left-1/2 top-1/2 z-20 grid w-[min(92vw,34rem)] -translate-x-1/2 -translate-y-1/2 gap-3 p-5">
          <AlertDialog.Title className="text-2xl">What lies beneath is not dry yet</AlertDialog.Title>
          <AlertDialog.Description>
            It is left alone until about {sayClock(until)}. Laid on it now, “{title}” would drag it, tear it or shut its water in.
          </AlertDialog.Description>
          <div className="flex flex-wrap gap-2">
            <AlertDialog.Cancel className="button button-act">Leave it alone</AlertDialog.Cancel>
            <AlertDialog.Action className="button" onClick={note}>
              It is laid already: note it
            </AlertDialog.Action>
          </div>
          <p className="text-soft">
            Laid, and it drags?{" "}
            <Link to={`/pieces/${piece}/rescue?what=too-early`} className="underline">
              Put it right
            </Link>
          </p>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
