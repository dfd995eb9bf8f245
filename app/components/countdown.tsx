import { MIN_PER_DAY, MIN_PER_HOUR } from "#core/units/duration";
import { MS_PER_MIN } from "#core/schedule/free-hours";
import { sayClock } from "./time-words";

/** How long is left, as it is read from arm's length: "12 min", "1 h 05", "3 days". @param ms above 0 */
export function sayCountdown(ms: number): string {
  const min = Math.ceil(ms / MS_PER_MIN);
  if (min <= 1) return "under 1 min";
  if (min < MIN_PER_HOUR) return `${min} min`;
  if (min < MIN_PER_DAY) return `${Math.floor(min / MIN_PER_HOUR)} h ${String(min % MIN_PER_HOUR).padStart(2, "0")}`;
  const days = Math.round(min / MIN_PER_DAY);
  return days === 1 ? "1 day" : `${days} days`;
}

interface Wait {
  /** Instants, ms. */
  readonly since: number;
  readonly until: number;
  /** The careful painter's end of it. */
  readonly careful?: number | null;
  readonly now: number;
}

/** Careful ends that lie this close are not told, ms. */
const CLOSE_MS = 10 * MS_PER_MIN;

/** The clock of a wait, over a bar that empties with it; nothing is counted down. */
export function WaitBar({ since, until, careful = null, now }: Wait) {
  const left = Math.max(0, until - now);
  const share = until > since ? Math.min(1, left / (until - since)) : 0;
  return (
    <div>
      <p className="leading-snug text-soft">
        till {sayClock(until, now)}
        {careful !== null && careful - until > CLOSE_MS && `, ${sayClock(careful, now)} to be safe`}
      </p>
      <span aria-hidden className="mt-1 block h-2 overflow-hidden rounded-sm border border-line">
        <span className="drying-bar block h-full bg-line" style={{ width: `${share * 100}%` }} />
      </span>
    </div>
  );
}

/** How long is left, with its clock. */
export function Countdown({ large = false, ...wait }: Wait & { large?: boolean }) {
  const left = wait.until - wait.now;
  return (
    <div>
      <p className={`tabular-nums ${large ? "text-4xl sm:text-5xl" : "text-lg"}`}>
        <strong>{left > 0 ? sayCountdown(left) : "over"}</strong>
      </p>
      <WaitBar {...wait} />
    </div>
  );
}
