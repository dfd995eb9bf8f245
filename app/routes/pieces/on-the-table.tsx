import { Link } from "react-router";
import type { Menu } from "#core/catalogue/menu";
import { tableOrder } from "#core/logbook/overview";
import type { Overview } from "#core/logbook/overview";
import { sayClock } from "~/components/time-words";
import { stepTitle } from "~/components/words";
import type { KeptPiece } from "~/piece/kept-piece";

interface Standing {
  readonly kept: KeptPiece;
  readonly overview: Overview;
}

/** Pieces told one by one; more are counted. */
const MOST_TOLD = 5;

/** What to do with a piece now. */
function Says({ overview: { next, finished }, now, menu }: { overview: Overview; now: number; menu: Menu }) {
  if (next?.state.state === "ready")
    return (
      <>
        <strong className="text-act">Now:</strong> {stepTitle(next.step, menu)}
      </>
    );
  if (next)
    return (
      <>
        <strong>Leave alone</strong> till {sayClock(next.state.until!, now)}
        <span className="text-soft">, then: {stepTitle(next.step, menu)}</span>
      </>
    );
  if (finished)
    return (
      <>
        <strong className="text-ready">All coats on:</strong> leave it to harden
      </>
    );
  return <span className="text-stop">Cannot be planned as it stands</span>;
}

/**
 * What is on the table, piece by piece. Its height is known before the answers are, so that nothing below it moves when they come.
 *
 * @param begun how many pieces are begun
 * @param standing where they stand; null while that is worked out
 */
export function OnTheTable({ begun, standing, now, menu }: { begun: number; standing: readonly Standing[] | null; now: number; menu: Menu }) {
  const told = standing === null ? null : [...standing].sort((one, other) => tableOrder(one.overview, other.overview));
  const waiting = told?.slice(MOST_TOLD).find((one) => one.overview.next?.state.state === "waiting");
  const rows = told === null ? Math.min(begun, MOST_TOLD) : Math.min(told.length, MOST_TOLD);
  return (
    <section aria-label="On the table" aria-busy={told === null} className="sheet mt-3 px-4 py-1">
      <ul>
        {Array.from({ length: rows }, (_unused, index) => {
          const one = told?.[index];
          return (
            <li
              key={index}
              className="grid h-[5.6rem] content-center gap-x-4 border-b border-dashed border-line last:border-b-0 sm:h-11 sm:grid-cols-[minmax(0,16rem)_minmax(0,1fr)]"
            >
              {one ? (
                <>
                  <Link to={`/pieces/${one.kept.record.id}`} className="truncate underline underline-offset-4">
                    {one.kept.record.piece.name}
                  </Link>
                  <span className="line-clamp-2 sm:line-clamp-1">
                    <Says overview={one.overview} now={now} menu={menu} />
                  </span>
                </>
              ) : (
                <span className="text-soft">{index === 0 ? "Looking what can be done now…" : ""}</span>
              )}
            </li>
          );
        })}
      </ul>
      {begun > MOST_TOLD && (
        <p className="truncate pb-2 text-soft">
          And {begun - MOST_TOLD} more in the list
          {waiting && `; the next wait ends about ${sayClock(waiting.overview.next!.state.until!, now)}: ${waiting.kept.record.piece.name}`}
        </p>
      )}
    </section>
  );
}
