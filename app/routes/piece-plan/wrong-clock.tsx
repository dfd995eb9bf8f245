import { sayClock } from "~/components/time-words";

/**
 * A coat that is noted later than the clock stands: waits are counted from it, so it is said.
 *
 * @param last instant of the last note, ms; null where none lies later than now
 */
export function WrongClock({ last, now, setRight }: { last: number | null; now: number; setRight: () => void }) {
  if (last === null) return null;
  return (
    <div role="alert" className="notice mt-2 bg-warn-tint">
      <p>
        <strong>The clock does not fit:</strong> a coat of this piece is noted for {sayClock(last, now)}, and this device says it is {sayClock(now, now)}. Waits
        are counted from what is noted, so they are too long now. If the clock is wrong, set it right. If it was wrong then, say so:
      </p>
      <button type="button" className="button mt-2" onClick={setRight}>
        The clock is right: count from now
      </button>
    </div>
  );
}
