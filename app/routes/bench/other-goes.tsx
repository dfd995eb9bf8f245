import type { Menu } from "#core/catalogue/menu";
import type { Go } from "#core/logbook/bench/go";
import { sayDuration } from "#core/units/duration";
import { actPlaces, goTitle, sayPutOff } from "~/bench/bench-words";
import type { OnBench } from "~/bench/bench-loaded.client";

interface Props {
  readonly goes: readonly Go[];
  readonly pieces: ReadonlyMap<string, OnBench>;
  readonly menu: Menu;
  readonly now: number;
  readonly take: (go: string) => void;
}

/** What else may be touched now, in the order of the calendar: one tap takes it up instead. */
export function OtherGoes({ goes, pieces, menu, now, take }: Props) {
  if (goes.length === 0) return null;
  return (
    <section aria-labelledby="others" className="mt-5">
      <h2 id="others" className="text-xl">
        May be touched too
      </h2>
      <ul className="mt-1">
        {goes.map((go) => {
          const piece = pieces.get(go.piece)!;
          return (
            <li key={go.id} className="border-b border-dashed border-line last:border-b-0">
              <button
                type="button"
                className="grid min-h-[48px] w-full items-center gap-x-3 py-1 text-left hover:bg-note-tint sm:grid-cols-[minmax(0,15rem)_minmax(0,1fr)_auto]"
                onClick={() => take(go.id)}
              >
                <span className="font-semibold sm:truncate">{piece.name}</span>
                <span className="min-w-0">
                  {goTitle(go, menu)} <span className="text-soft">· {actPlaces(go, piece)}</span>
                  {go.putOff !== null && <span className="font-semibold"> · for {sayPutOff(go.putOff, now)}</span>}
                </span>
                <span className="text-soft max-sm:hidden">{sayDuration(Math.max(1, go.handsOnMin))}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
