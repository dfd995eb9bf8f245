import type { Menu } from "#core/catalogue/menu";
import type { Go } from "#core/logbook/bench/go";
import { sayDuration } from "#core/units/duration";
import { actPlaces, goTitle } from "~/bench/bench-words";
import type { OnBench } from "~/bench/bench-loaded.client";

/** What else may be touched now: one tap takes it up instead. */
export function OtherGoes({ goes, pieces, menu, take }: { goes: readonly Go[]; pieces: ReadonlyMap<string, OnBench>; menu: Menu; take: (go: string) => void }) {
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
