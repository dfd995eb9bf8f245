import { Link } from "react-router";
import { BellRing, Plus, TimerReset, X } from "lucide-react";
import type { TimerRecord } from "#core/formats/stores/timers";
import { MOST_TIMER_MIN } from "#core/formats/stores/timers";
import { MS_PER_MIN } from "#core/schedule/free-hours";
import { moveTimerTo, setTimerFor, takeTimerOff } from "~/bench/timer-asks";
import { Countdown } from "~/components/countdown";
import { ToolButton } from "~/components/tool-button";
import { useDraft } from "~/components/use-draft";

/** Times that are set most, minutes. */
const QUICK_MIN = [5, 10, 15, 30] as const;
const MORE_MIN = 5;

function Timer({ timer, now }: { timer: TimerRecord; now: number }) {
  const until = Date.parse(timer.until);
  const over = until <= now;
  const { rescue, piece, pour } = timer;
  return (
    <li className={`grid grid-cols-[minmax(0,1fr)_auto] items-center gap-2 rounded-lg border p-2 ${over ? "border-act" : "border-line"}`} data-timer={timer.id}>
      <div>
        <p className="font-semibold leading-snug">
          {over && <BellRing aria-hidden size={18} className="mr-1 inline text-act" />}
          {timer.label}
        </p>
        {over ? <p className="text-act">It is time.</p> : <Countdown since={Date.parse(timer.from)} until={until} now={now} />}
        {pour !== undefined && (
          <Link to={`/desk/casting/pours/${pour}`} className={`button mt-1 ${over ? "button-act" : ""}`}>
            To the pour
          </Link>
        )}
        {rescue && piece !== undefined && (
          <Link
            to={`/pieces/${piece}/rescue?step=${encodeURIComponent(rescue.stepId)}&what=${rescue.mishap}`}
            className={`button mt-1 ${over ? "button-act" : ""}`}
          >
            Put it right
          </Link>
        )}
      </div>
      <div className="flex">
        {!rescue && (
          <ToolButton
            icon={TimerReset}
            label={`${MORE_MIN} min more: ${timer.label}`}
            onClick={() => moveTimerTo(timer.id, Math.max(until, now) + MORE_MIN * MS_PER_MIN)}
          />
        )}
        <ToolButton icon={X} label={`Take the timer off: ${timer.label}`} onClick={() => takeTimerOff(timer.id)} />
      </div>
    </li>
  );
}

/** Timers of the user's own that run; each to an instant, whatever becomes of the page. */
export function RunningTimers({ timers, now }: { timers: readonly TimerRecord[]; now: number }) {
  if (timers.length === 0) return null;
  return (
    <ul aria-label="Timers" className="mb-4 grid gap-2">
      {timers.map((timer) => (
        <Timer key={timer.id} timer={timer} now={now} />
      ))}
    </ul>
  );
}

/** Sets a timer. */
export function NewTimer() {
  const [label, setLabel] = useDraft("timer.label", "");
  const [min, setMin] = useDraft("timer.min", "10");
  const minutes = Number(min.replace(",", "."));
  const fits = Number.isFinite(minutes) && minutes > 0 && minutes <= MOST_TIMER_MIN;
  const set = (of: number) => {
    setTimerFor(label.trim() === "" ? `Set for ${of} min` : label.trim(), of);
    setLabel("");
  };
  return (
    <section aria-labelledby="timers" className="mt-5">
      <h2 id="timers" className="text-xl">
        Set a timer
      </h2>
      <form
        className="mt-2 flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (fits) set(minutes);
        }}
      >
        <label className="min-w-40 flex-1">
          <span className="text-soft">Remind me of</span>
          <input className="field" maxLength={80} value={label} placeholder="Look for bubbles" onChange={(event) => setLabel(event.target.value)} />
        </label>
        <label className="w-20">
          <span className="text-soft">in min</span>
          <input className="field" inputMode="decimal" value={min} aria-invalid={!fits} onChange={(event) => setMin(event.target.value)} />
        </label>
        <button type="submit" className="button" disabled={!fits}>
          <Plus aria-hidden size={18} /> Set
        </button>
      </form>
      <p className="mt-2 flex flex-wrap gap-2">
        {QUICK_MIN.map((of) => (
          <button key={of} type="button" className="chip" onClick={() => set(of)}>
            {of} min
          </button>
        ))}
      </p>
    </section>
  );
}
