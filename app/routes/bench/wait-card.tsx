import { Hand } from "lucide-react";
import type { Menu } from "#core/catalogue/menu";
import type { Bench } from "#core/logbook/bench/bench";
import { Countdown } from "~/components/countdown";
import { goTitle } from "~/bench/bench-words";
import type { OnBench } from "~/bench/bench-loaded.client";

/** Nothing may be touched: until when, and what is done then. */
export function WaitCard({ bench, pieces, menu, now }: { bench: Bench; pieces: ReadonlyMap<string, OnBench>; menu: Menu; now: number }) {
  const next = bench.alone.find((one) => one.then !== null) ?? bench.alone[0];
  if (!next)
    return (
      <section aria-label="Now" className="note p-6" data-now>
        <h2 className="text-3xl">{bench.hardening.length > 0 ? "All coats are on" : "Nothing to do tonight"}</h2>
        <p className="mt-2 text-lg">
          {bench.hardening.length > 0 ? "Leave it to harden; nothing else is asked of you." : "Take a piece up, or leave the brushes where they are."}
        </p>
      </section>
    );
  return (
    <section aria-label="Now" className="note hatched p-4 sm:p-6" data-now>
      <h2 className="flex items-center gap-3 text-3xl sm:text-4xl">
        <Hand aria-hidden size={36} className="shrink-0" /> Leave everything alone
      </h2>
      <div className="mt-3">
        <Countdown large since={next.since} until={next.until} careful={next.untilCareful} now={now} />
      </div>
      <p className="mt-3 text-xl">
        Then: {next.then ? `${goTitle(next.then, menu)}, ` : ""}
        {pieces.get(next.piece)?.name}.
      </p>
    </section>
  );
}
