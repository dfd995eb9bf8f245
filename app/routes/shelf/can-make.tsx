import { Link } from "react-router";
import type { Jar } from "#core/catalogue/jar";
import { makeable, promisesOf } from "#core/shelf/promises";
import type { WantingPieces } from "~/shelf/wanting.client";

/** Most pieces named in a line. */
const MOST_NAMED = 6;

/** What can be painted with what stands here and nothing else. */
export function CanMake({ jars, left, wanted }: { jars: readonly Jar[]; left: ReadonlyMap<string, number>; wanted: WantingPieces | null }) {
  if (!wanted) return <p className="mt-3 text-soft">Working out what your pieces want…</p>;
  if (wanted.pieces.length === 0) return null;
  // Each piece by itself: what else it competes with is told at its jars.
  const ids = jars.map((jar) => jar.id);
  const can = wanted.pieces.filter((piece) => makeable([piece], promisesOf(ids, left, [piece])).length > 0);
  return (
    <p className="mt-3">
      {can.length === 0 ? (
        <>None of your {wanted.pieces.length} unfinished pieces can be painted from the shelf alone; the shopping list says what is missing.</>
      ) : (
        <>
          <strong>From the shelf alone:</strong>{" "}
          {can.slice(0, MOST_NAMED).map(({ id, name }, at) => (
            <span key={id}>
              {at > 0 && ", "}
              <Link to={`/pieces/${id}`} className="underline">
                {name}
              </Link>
            </span>
          ))}
          {can.length > MOST_NAMED && ` and ${can.length - MOST_NAMED} more`}.
        </>
      )}
      {wanted.more > 0 && <span className="text-soft"> {wanted.more} further pieces were not looked at.</span>}
    </p>
  );
}
