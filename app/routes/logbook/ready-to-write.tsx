import { BookCheck } from "lucide-react";
import { Link } from "react-router";
import { useAfterWriting } from "~/logbook/use-after-writing";
import type { LogbookAsk } from "~/logbook/logbook-asks";
import type { ReadyPiece } from "~/logbook/logbook-loaded.client";

/** Pieces with all their coats on: one click writes each down. */
export function ReadyToWrite({ pieces, ask }: { pieces: readonly ReadyPiece[]; ask: (ask: LogbookAsk) => string }) {
  const [writing, write] = useAfterWriting(ask);
  if (pieces.length === 0) return null;
  return (
    <section aria-labelledby="ready-to-write" className="rounded-lg border-2 border-ready p-3">
      <h2 id="ready-to-write" className="text-lg">
        All coats on, not written down yet
      </h2>
      <ul className="mt-1 grid gap-2">
        {pieces.map(({ id, name }) => (
          <li key={id} className="flex items-center justify-between gap-2">
            <Link to={`/pieces/${id}/record`} className="min-w-0 text-ink underline [overflow-wrap:anywhere]">
              {name}
            </Link>
            <button type="button" className="button shrink-0" disabled={writing} aria-label={`Write ${name} down`} onClick={() => write(id)}>
              <BookCheck aria-hidden size={20} /> Write down
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
