import { Link } from "react-router";
import type { OffTable } from "~/calendar/table.client";

/** Pieces that are on no day, and how they come onto one. */
export function Off({ off }: { off: readonly OffTable[] }) {
  if (off.length === 0) return null;
  return (
    <details className="mt-6 print:hidden">
      <summary className="w-fit py-2 underline">
        {off.length === 1 ? "One piece is on no day" : `${off.length} pieces are on no day`}: not begun, and needed by none
      </summary>
      <ul className="mt-1 flex flex-wrap gap-2">
        {off.map(({ id, name }) => (
          <li key={id}>
            <Link to={`/pieces/${id}/dates`} className="chip no-underline">
              {name}: say when
            </Link>
          </li>
        ))}
      </ul>
    </details>
  );
}
