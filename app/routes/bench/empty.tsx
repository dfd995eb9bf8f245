import { Link } from "react-router";
import { Plus } from "lucide-react";
import { BENCH_ACTION } from "~/bench/timer-asks";
import { askOf } from "~/actions/use-ask";

interface Off {
  readonly id: string;
  readonly name: string;
}

/** Pieces that are offered to be begun, at most. */
const MOST_OFFERED = 6;

/** Planned, and not begun: one of them may be taken up. */
export function NotBegun({ off }: { off: readonly Off[] }) {
  if (off.length === 0) return null;
  return (
    <section aria-labelledby="not-begun" className="mt-6">
      <h2 id="not-begun" className="text-xl">
        Not begun yet
      </h2>
      <p className="mt-1 flex flex-wrap gap-2">
        {off.slice(0, MOST_OFFERED).map(({ id, name }) => (
          <Link key={id} to={`/pieces/${id}`} className="chip text-ink">
            {name}
          </Link>
        ))}
        {off.length > MOST_OFFERED && (
          <Link to="/pieces?show=new" className="chip text-ink">
            {off.length - MOST_OFFERED} more
          </Link>
        )}
      </p>
    </section>
  );
}

/** A bench with nothing on it. */
export function EmptyBench({ off }: { off: readonly Off[] }) {
  return (
    <section className="note max-w-prose p-6">
      <h1 className="text-3xl">{off.length > 0 ? "Nothing is on the bench" : "What have you got in your hand?"}</h1>
      <p className="mt-2 text-lg">
        {off.length > 0
          ? "Open a piece and mark its first step as done, or say when it is needed: from then on the Bench says what may be touched, and until when the rest is left alone."
          : "Say what it is made of, what it is for and how you want to decorate it. You get a coat plan at once; the Bench then says what to touch and what to leave alone."}
      </p>
      <NotBegun off={off} />
      <p className="mt-4 flex flex-wrap gap-2">
        <Link to="/pieces/new" className="button button-act">
          <Plus aria-hidden size={20} /> {off.length > 0 ? "New piece" : "Plan your first piece"}
        </Link>
        {off.length === 0 && (
          <button type="button" className="button" onClick={() => askOf(BENCH_ACTION, { intent: "open-demo" })}>
            Open the Tern Point notebook
          </button>
        )}
      </p>
      {off.length === 0 && (
        <p className="mt-3 text-soft">
          Tern Point is made up: pieces in all stages, to look around in. Have a saved notebook file?{" "}
          <Link to="/settings#files" className="underline">
            Bring it in here.
          </Link>
        </p>
      )}
    </section>
  );
}
