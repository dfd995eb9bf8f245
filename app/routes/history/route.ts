import { earlierActions, perform } from "~/actions/perform";
import type { Route } from "./+types/route";

type HistoryAsk = { readonly intent: "undo" } | { readonly intent: "redo" };

/** One step after another: each waits for the one before. */
let last: Promise<unknown> = Promise.resolve();

async function stepped(direction: "undo" | "redo"): Promise<null> {
  const { step } = await import("~/store/history.client");
  const own = last.then(() => step(direction));
  last = own.catch(() => undefined);
  await own;
  return null;
}

/** Takes back what was done last, or does it again; never before what was asked earlier is written. */
export async function clientAction({ request }: Route.ClientActionArgs) {
  await earlierActions();
  return perform<HistoryAsk, null>(request, { undo: () => ({}), redo: () => ({}) }, { undo: () => stepped("undo"), redo: () => stepped("redo") });
}
