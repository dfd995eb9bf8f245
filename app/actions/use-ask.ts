import { useCallback } from "react";
import { useFetchers, useSubmit } from "react-router";
import type { Ask } from "./perform";

let asked = 0;

/**
 * Asks an action without leaving the page. Every ask is a submission of its own, so that none overtakes another's answer.
 *
 * @param action the action's address
 */
export function useAsk<A extends Ask>(action: string): (ask: A) => void {
  const submit = useSubmit();
  return useCallback(
    (ask: A) => {
      asked += 1;
      void submit(ask as never, { method: "post", action, encType: "application/json", navigate: false, fetcherKey: `ask-${asked}` });
    },
    [submit, action],
  );
}

/** What was asked of an action and is not settled yet, in the order it was asked. */
export function useAsked<A extends Ask>(action: string): readonly A[] {
  return useFetchers()
    .filter((fetcher) => fetcher.state !== "idle" && fetcher.formAction?.split("?")[0] === action && fetcher.json !== undefined)
    .sort((a, b) => Number(a.key.slice(4)) - Number(b.key.slice(4)))
    .map((fetcher) => fetcher.json as unknown as A);
}
