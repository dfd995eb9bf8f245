import type { TimerId } from "#core/catalogue/ids";
import { MOST_TIMERS } from "#core/formats/stores/timers";
import type { TimerRecord } from "#core/formats/stores/timers";
import { runCommand } from "./command";
import { namesGone } from "./removals";
import type { By } from "./command";
import type { Database } from "./database";
import { FinalError } from "./final-error";

/** What a timer is set to. */
export type NewTimer = Omit<TimerRecord, "rev">;

/** As many as are kept run already: none was set. */
export class TooManyTimers extends FinalError {
  override readonly name = "TooMany";

  constructor() {
    super(`${MOST_TIMERS} timers are set already; take some off first`);
  }
}

/** Every timer, the one that ends first first; of pieces that are there. */
export async function timersIn(db: Database): Promise<readonly TimerRecord[]> {
  const [timers, pieces] = await Promise.all([db.getAll("timers"), db.getAllKeys("pieces")]);
  const here = new Set(pieces as readonly string[]);
  const sound = timers.filter(
    ({ until, label, piece }) => Number.isFinite(Date.parse(until)) && typeof label === "string" && (piece === undefined || here.has(piece)),
  );
  return sound.sort((a, b) => (a.until < b.until ? -1 : 1));
}

/**
 * Sets a timer; a piece that is to be put right has one at a time.
 *
 * @throws TooManyTimers
 */
export function setTimer(db: Database, timer: NewTimer, by: By = {}): Promise<void> {
  return runCommand(
    db,
    `the timer “${timer.label}”`,
    "timers",
    ["timers"],
    async (recorder) => {
      const all = await recorder.all("timers");
      if (all.some(({ id }) => id === timer.id)) return;
      const before = timer.rescue ? all.filter((one) => one.rescue && one.piece === timer.piece) : [];
      if (all.length - before.length >= MOST_TIMERS) throw new TooManyTimers();
      for (const { id } of before) await recorder.remove("timers", id);
      await recorder.put("timers", { ...timer, rev: 1 });
    },
    by,
  );
}

/** Lets a timer run to another instant, ISO 8601. */
export function moveTimer(db: Database, id: TimerId, until: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "the timer",
    "timers",
    ["timers"],
    async (recorder) => {
      const timer = await recorder.get("timers", id);
      if (timer) await recorder.put("timers", { ...timer, until, rev: timer.rev + 1 });
    },
    by,
  );
}

export function removeTimer(db: Database, id: TimerId, by: By = {}): Promise<void> {
  return runCommand(
    db,
    (entries) => `taking ${namesGone(entries, "timers").join() || "a timer"} off the clock`,
    "timers",
    ["timers"],
    async (recorder) => {
      if (await recorder.get("timers", id)) await recorder.remove("timers", id);
    },
    by,
  );
}
