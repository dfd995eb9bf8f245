import { format } from "date-fns";
import { useState } from "react";
import { Link } from "react-router";
import { Check, Hourglass, Minus, Moon, Play, Plus, Wrench } from "lucide-react";
import { touchAsked } from "#core/logbook/actual";
import type { Look } from "#core/logbook/progress";
import { lastTime } from "#core/logbook/bench/evening";
import { batchClock } from "#core/logbook/bench/begun";
import type { Go } from "#core/logbook/bench/go";
import type { Menu } from "#core/catalogue/menu";
import { sayClock, sayTime } from "~/components/time-words";
import { sayCountdown } from "~/components/countdown";
import { timeZoneHere } from "~/components/time-zone";
import { once } from "~/components/once";
import { goTitle } from "~/bench/bench-words";
import type { OnBench } from "~/bench/bench-loaded.client";
import { Touched } from "~/piece/touched";
import { useDraft } from "~/components/use-draft";

/** What may be noted of a go. */
export interface Noting {
  readonly start: () => void;
  readonly done: (at?: number) => void;
  readonly count: (pieces: number) => void;
  readonly touched: (seen: Look["seen"]) => void;
  readonly skip: () => void;
}

interface Props {
  readonly go: Go;
  readonly piece: OnBench;
  readonly menu: Menu;
  readonly now: number;
  readonly noting: Noting;
}

/** The buttons of what is done now: large, under the thumb, the likeliest first. */
export function Doing({ go, piece, menu, now, noting }: Props) {
  const title = goTitle(go, menu);
  const batch = piece.count > 1;
  const [has, count] = useCount(go.begun?.ends.length ?? null, now, noting.count);
  const begun = has !== null;
  const touch = touchAsked(go.tasks, piece, piece.progress);
  return (
    <div className="mt-4 grid gap-3">
      {touch && !begun && <Touched by={touch} title={title} note={noting.touched} />}
      {batch && begun && <Batch go={go} piece={piece} now={now} />}
      <div className="flex flex-wrap gap-2">
        {batch && begun ? (
          <>
            <button type="button" className="button button-act text-lg" data-primary data-repeats onClick={() => count(has + 1)}>
              <Plus aria-hidden size={22} /> One more: {has} of {piece.count}
            </button>
            <button
              type="button"
              className="button"
              data-repeats
              aria-label="One too many: take it off the count"
              disabled={has === 0}
              onClick={() => count(has - 1)}
            >
              <Minus aria-hidden size={20} />
            </button>
            <button type="button" className="button" aria-label={`All ${piece.count} done: ${title}`} onClick={(event) => once(event) && noting.done()}>
              <Check aria-hidden size={20} /> All done
            </button>
          </>
        ) : (
          <>
            <button
              type="button"
              className="button button-act text-lg"
              data-primary
              aria-label={`${batch ? "All done" : "Done"}: ${title}`}
              onClick={(event) => once(event) && noting.done()}
            >
              <Check aria-hidden size={22} /> {batch ? "All done" : "Done"}
            </button>
            {!begun && (
              <button type="button" className="button text-lg" aria-label={`Start: ${title}`} onClick={batch ? () => count(0) : noting.start}>
                <Play aria-hidden size={20} /> {batch ? "Start, and count them" : "Start"}
              </button>
            )}
          </>
        )}
        <DoneAt noting={noting} now={now} title={title} />
        <Link to={`/pieces/${piece.id}/rescue?step=${encodeURIComponent(go.act.step.id)}`} className="button">
          <Wrench aria-hidden size={20} /> It went wrong
        </Link>
        <button type="button" className="button" title="It comes back in the morning" onClick={noting.skip}>
          <Moon aria-hidden size={20} /> Not tonight
        </button>
      </div>
      {go.begun && !batch && (
        <p className="text-soft">
          Begun at {sayTime(go.begun.at)}, {sayCountdown(Math.max(1, now - go.begun.at))} ago.
        </p>
      )}
    </div>
  );
}

/** A count that was tapped stands this long at most before the page has to show it too, ms. */
const TAPPED_MS = 30_000;

/**
 * The count of a batch, with what was tapped already in it: taps are quicker than the page, and the next goes on from the last.
 *
 * @param kept the count as it is kept; null before it is begun
 */
function useCount(kept: number | null, now: number, note: (pieces: number) => void): readonly [number | null, (pieces: number) => void] {
  const [tapped, setTapped] = useState<{ readonly pieces: number; readonly at: number } | null>(null);
  if (tapped && (kept === tapped.pieces || now - tapped.at > TAPPED_MS)) setTapped(null);
  const count = (pieces: number) => {
    setTapped({ pieces, at: now });
    note(pieces);
  };
  return [tapped?.pieces ?? kept, count];
}

/** Which pieces of the batch may be touched, each by its own clock. */
function Batch({ go, piece, now }: Pick<Props, "go" | "piece" | "now">) {
  const ends = go.begun?.ends ?? [];
  const { dry, next } = batchClock(ends, go.tasks[0]?.touch?.typicalMin ?? 0, now);
  const wet = go.act.step.wetMicrons !== null;
  return (
    <div role="status" className="grid gap-1">
      <p className="text-lg">
        <strong>
          {ends.length} of {piece.count}
        </strong>{" "}
        have it.{" "}
        {wet && ends.length > 0 && (
          <>
            {dry > 0 && `${dry === 1 ? "The first" : `The first ${dry}`} may be turned. `}
            {next !== null && (
              <span className="inline-flex items-center gap-1">
                <Hourglass aria-hidden size={18} /> {dry === 0 ? "The first" : "The next"} in {sayCountdown(next - now)}, about {sayClock(next, now)}.
              </span>
            )}
          </>
        )}
      </p>
      <span aria-hidden className="flex flex-wrap gap-1">
        {Array.from({ length: Math.min(piece.count, 60) }, (_unused, k) => (
          <span
            key={k}
            className={`size-4 rounded-full border ${k < dry ? "border-ready bg-ready" : k < ends.length ? "drying-bar border-soft" : "border-line"}`}
          />
        ))}
      </span>
    </div>
  );
}

/** It was done some time ago: hands were wet. */
function DoneAt({ noting, now, title }: { noting: Noting; now: number; title: string }) {
  const [typed, type] = useDraft<string | null>(`done-at-${title}`, null);
  if (typed === null)
    return (
      <button type="button" className="button" onClick={() => type(format(now, "HH:mm"))}>
        Done at …
      </button>
    );
  const at = lastTime(typed, now, timeZoneHere());
  return (
    <form
      className="flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (at === null) return;
        noting.done(at);
        type(null);
      }}
    >
      <label>
        <span className="sr-only">When it was done: {title}</span>
        <input type="time" className="field w-32" required value={typed} onChange={(event) => type(event.target.value)} />
      </label>
      <button type="submit" className="button" disabled={at === null}>
        Done at {at === null ? "…" : sayClock(at, now)}
      </button>
      <button type="button" className="button" onClick={() => type(null)}>
        Never mind
      </button>
    </form>
  );
}
