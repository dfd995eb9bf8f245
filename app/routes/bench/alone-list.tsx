import { useState } from "react";
import { Link } from "react-router";
import { MapPin } from "lucide-react";
import { touchAsked } from "#core/logbook/actual";
import type { Bench } from "#core/logbook/bench/bench";
import type { Go } from "#core/logbook/bench/go";
import type { Look } from "#core/logbook/progress";
import type { Menu } from "#core/catalogue/menu";
import { sayCountdown, WaitBar } from "~/components/countdown";
import { lowerFirst } from "#core/units/letter-case";
import { sayDay } from "~/components/time-words";
import { aloneWords, goTitle, neededWords } from "~/bench/bench-words";
import type { OnBench } from "~/bench/bench-loaded.client";
import { Touched } from "~/piece/touched";
import { StandsAt } from "./stands-at";

interface Props {
  readonly bench: Bench;
  readonly pieces: ReadonlyMap<string, OnBench>;
  readonly menu: Menu;
  readonly now: number;
  /** It is laid already, though what lies beneath is wet. */
  readonly laid: (piece: string) => void;
  /** What the next act waits for was touched before its time. */
  readonly touched: (piece: string, seen: Look["seen"]) => void;
}

/** A finger that was put on it before its time: asked only where somebody says so. */
function TouchedEarly({ then, piece, title, note }: { then: Go; piece: OnBench; title: string; note: (seen: Look["seen"]) => void }) {
  const [open, setOpen] = useState(false);
  const touch = touchAsked(then.tasks, piece, piece.progress);
  if (!touch) return null;
  if (!open)
    return (
      <button type="button" className="min-h-[44px] underline" aria-label={`${piece.name}: I touched it`} onClick={() => setOpen(true)}>
        I touched it
      </button>
    );
  return (
    <div className="w-full pb-2">
      <Touched
        by={touch}
        title={title}
        note={(seen) => {
          setOpen(false);
          note(seen);
        }}
      />
    </div>
  );
}

/** What must not be touched, hatched, with its clock; and where it stands. */
export function AloneList({ bench, pieces, menu, now, laid, touched }: Props) {
  const places = [...new Set([...pieces.values()].flatMap(({ record }) => record.standsAt ?? []))];
  return (
    <section aria-labelledby="alone">
      <h2 id="alone" className="text-2xl">
        Leave alone
      </h2>
      {bench.alone.length === 0 && <p className="mt-1 text-soft">Nothing is wet.</p>}
      <ul className="mt-2 grid gap-2">
        {bench.alone.map((one) => {
          const piece = pieces.get(one.piece)!;
          const needed = neededWords(piece, now);
          return (
            <li
              key={one.piece}
              className="hatched rounded-lg border border-soft p-3"
              data-alone={one.piece}
              data-until={one.until}
              data-partly={one.partly || undefined}
            >
              <div className="flex items-start justify-between gap-2">
                <p className="min-w-0 leading-snug">
                  <Link to={`/pieces/${piece.id}`} className="font-semibold underline underline-offset-4">
                    {piece.name}
                  </Link>
                  <span className="block text-soft">
                    {aloneWords(one, piece)}
                    {one.then && `; then ${lowerFirst(goTitle(one.then, menu))}`}
                    {needed && <strong className="block">{needed}</strong>}
                  </span>
                </p>
                <strong className="shrink-0 text-2xl tabular-nums">{sayCountdown(Math.max(1, one.until - now))}</strong>
              </div>
              <WaitBar since={one.since} until={one.until} careful={one.untilCareful} now={now} />
              <div className="-mb-2 flex flex-wrap items-center gap-x-4">
                <StandsAt piece={piece} places={places} />
                {one.then && <TouchedEarly then={one.then} piece={piece} title={goTitle(one.then, menu)} note={(seen) => touched(one.piece, seen)} />}
                {one.then && (
                  <button type="button" className="min-h-[44px] underline" aria-label={`${piece.name}: it is laid already`} onClick={() => laid(one.piece)}>
                    Laid already?
                  </button>
                )}
              </div>
            </li>
          );
        })}
      </ul>
      {bench.hardening.length > 0 && (
        <>
          <h3 className="mt-5 text-xl">Hardening</h3>
          <ul className="mt-1 grid gap-1">
            {bench.hardening.map(({ piece: id, handle, cured }) => (
              <li key={id} className="border-t border-dashed border-line pt-1 leading-snug">
                <Link to={`/pieces/${id}/card`} className="underline underline-offset-4">
                  {pieces.get(id)!.name}
                </Link>
                <span className="block text-soft">
                  {handle > now ? `gentle hands from ${sayDay(handle, now)}` : "gentle hands now"}; hard {sayDay(cured, now)}
                  {pieces.get(id)!.record.standsAt !== undefined && (
                    <>
                      {" "}
                      · <MapPin aria-hidden size={14} className="inline" /> {pieces.get(id)!.record.standsAt}
                    </>
                  )}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
