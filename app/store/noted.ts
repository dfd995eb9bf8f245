import type { Entry } from "./acts";

/** Whether an act has noted something at the table: a coat that was laid, counted, touched, mended or taken off. */
export function isNoted(entries: readonly Entry[]): boolean {
  return entries.some(({ store, before, after }) => store === "progress" && before === null && after !== null);
}
