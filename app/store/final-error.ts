/** What was asked can never be done as it is: asking again is of no use, and whoever asked is told so. */
export class FinalError extends Error {
  /** Trying again comes to the same. */
  readonly isFinal = true;
}

/** Whether an error says that trying again is of no use. */
export function isFinal(error: unknown): boolean {
  return (error as { readonly isFinal?: unknown } | null)?.isFinal === true;
}
