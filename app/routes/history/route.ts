import { earlierActions, perform } from "~/actions/perform";
import type { Route } from "./+types/route";

type HistoryAsk = { readonly intent: "undo" } | { readonly intent: "redo" } | { readonly intent: "bring-back"; readonly actId: string };

/** One step after another: each waits for the one before. */
let last: Promise<unknown> = Promise.resolve();

async function inOrder(work: () => Promise<unknown>): Promise<null> {
  const own = last.then(work);
  last = own.catch(() => undefined);
  await own;
  return null;
}

/** Takes back what was done last, or does it again; never before what was asked earlier is written. */
export async function clientAction({ request }: Route.ClientActionArgs) {
  const { asks } = await import("~/actions/asks.client");
  await asks.settledBut("/history");
  await earlierActions();
  const { bringBack, step } = await import("~/store/history.client");
  return perform<HistoryAsk, null>(
    request,
    { undo: () => ({}), redo: () => ({}), "bring-back": (joi) => ({ actId: joi.string().max(60).required() }) },
    { undo: () => inOrder(() => step("undo")), redo: () => inOrder(() => step("redo")), "bring-back": ({ actId }) => inOrder(() => bringBack(actId)) },
  );
}
