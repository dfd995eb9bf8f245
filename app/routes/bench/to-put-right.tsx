import { Link } from "react-router";
import { Wrench } from "lucide-react";
import type { TimerRecord } from "#core/formats/stores/timers";
import type { OnBench } from "~/bench/bench-loaded.client";

/** Pieces that were held until they are dry enough to be put right: it is time now. */
export function ToPutRight({ timers, pieces, now }: { timers: readonly TimerRecord[]; pieces: ReadonlyMap<string, OnBench>; now: number }) {
  const due = timers.filter(({ rescue, piece, until }) => rescue !== undefined && piece !== undefined && pieces.has(piece) && Date.parse(until) <= now);
  return (
    <>
      {due.map(({ id, label, piece, rescue }) => (
        <section key={id} aria-label="To be put right" className="note mb-4 flex flex-wrap items-center justify-between gap-3 border-l-8 border-l-act p-4">
          <p className="text-xl">
            <Wrench aria-hidden size={24} className="mr-1 inline text-act" />
            <strong>Dry enough now.</strong> {label}
          </p>
          <Link to={`/pieces/${piece}/rescue?step=${encodeURIComponent(rescue!.stepId)}&what=${rescue!.mishap}`} className="button button-act">
            Put it right
          </Link>
        </section>
      ))}
    </>
  );
}
