import { isSecondClick } from "./second-click";
import { useCallback, useMemo, useSyncExternalStore } from "react";
import { asks as made } from "./asks.client";
import type { Asked, AskHow, Asks, AsksState } from "./asks";
import type { Ask } from "./perform";

const NOTHING: AsksState = { asked: [], refused: [] };
const NEVER = () => () => undefined;

/** On the server a module of the browser is empty. */
const asks = made as Asks | undefined;

/** What this page has asked and not seen the end of. */
export function useAsks(): AsksState {
  return useSyncExternalStore(asks?.subscribe ?? NEVER, asks?.snapshot ?? (() => NOTHING), () => NOTHING);
}

/** The last thing that was asked. */
let last = "";

/** A double click asks once: its second click is answered with what the first has asked. */
function askOnce<A extends Ask>(action: string, ask: A, how: AskHow<A>): string {
  if (!isSecondClick()) last = asks?.ask(action, ask, how) ?? "";
  return last;
}

/**
 * Asks an action without leaving the page. Each ask is noted before it is sent, comes after those before it, and stays until it is written.
 *
 * @param action the action's address
 * @param noted false for what must not be done again after a reload
 */
export function useAsk<A extends Ask>(action: string, noted = true): (ask: A, how?: AskHow<A>) => string {
  return useCallback((ask: A, how: AskHow<A> = {}) => askOnce(action, ask, { noted, ...how }), [action, noted]);
}

/** Asks an action that is only known when it is asked. */
export function askOf(action: string, ask: Ask): void {
  askOnce(action, ask, { noted: true });
}

/** Typing has ended: what waits for it is saved now. */
export function hurryAsks(): void {
  asks?.hurry();
}

const pathOf = (action: string) => action.split("?")[0]!;

/** What was asked of an action and is not settled yet, in the order it was asked. */
export function useAsked<A extends Ask>(action: string): readonly A[] {
  const { asked } = useAsks();
  return useMemo(() => asked.filter((one) => pathOf(one.action) === pathOf(action)).map((one) => (one as Asked<A>).ask), [asked, action]);
}

/** Tries again what could not be written. */
export function retryAsks(): void {
  asks?.retry();
}

/** The user has read why something was not kept. */
export function readRefusal(key: string): void {
  asks?.read(key);
}
