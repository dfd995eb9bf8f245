import { timerId } from "#core/catalogue/ids";
import type { TimerId } from "#core/catalogue/ids";
import type { TimerRecord } from "#core/formats/stores/timers";
import { MS_PER_MIN } from "#core/schedule/free-hours";
import { askOf } from "~/actions/use-ask";
import { freshId } from "~/store/fresh-id";

/** The Bench's own action. */
export const BENCH_ACTION = "/?index";

/** What the Bench may ask. */
export type BenchAsk =
  | ({ readonly intent: "timer" } & Omit<TimerRecord, "rev">)
  | { readonly intent: "move-timer"; readonly id: TimerId; readonly until: string }
  | { readonly intent: "timer-off"; readonly id: TimerId }
  | { readonly intent: "open-demo" };

const ask = (of: BenchAsk) => askOf(BENCH_ACTION, of);

/** Sets a timer from now on. @param until instant, ms */
export function setTimerTo(label: string, until: number, more: Partial<Pick<TimerRecord, "piece" | "pour" | "rescue">> = {}): void {
  ask({ intent: "timer", id: timerId(freshId()), label, from: new Date().toISOString(), until: new Date(until).toISOString(), ...more });
}

export function setTimerFor(label: string, min: number): void {
  setTimerTo(label, Date.now() + min * MS_PER_MIN);
}

export function moveTimerTo(id: TimerId, until: number): void {
  ask({ intent: "move-timer", id, until: new Date(until).toISOString() });
}

export function takeTimerOff(id: TimerId): void {
  ask({ intent: "timer-off", id });
}
