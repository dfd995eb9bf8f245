import { useLooking } from "~/calendar/looking";
import { enoughOfSchedule } from "~/workers/schedule.client";

const WORDS = { pieces: "Looking the pieces through", orders: "Looking for a better order" } as const;

/** How far laying out is, and the way to be content with what there is. @param quiet only while orders are tried, beside what is shown already */
export function LookingOn({ quiet = false }: { quiet?: boolean }) {
  const looking = useLooking();
  if (quiet && looking?.what !== "orders") return null;
  if (!looking) return <p role="status">Laying the days out…</p>;
  const { what, done, of } = looking;
  return (
    <p className="flex flex-wrap items-center gap-3 py-1 text-soft print:hidden">
      {WORDS[what]}
      <span
        role="progressbar"
        aria-label={WORDS[what]}
        aria-valuenow={done}
        aria-valuemin={0}
        aria-valuemax={of}
        className="h-2.5 w-32 overflow-hidden rounded-full border border-soft bg-sheet"
      >
        <span className="block h-full bg-act" style={{ width: `${(100 * done) / Math.max(1, of)}%` }} />
      </span>
      {what === "orders" && (
        <button type="button" className="underline" onClick={enoughOfSchedule}>
          This one will do
        </button>
      )}
    </p>
  );
}
