const tails = new Map<string, Promise<unknown>>();

/**
 * Does one write after another where they concern the same record; each has its own answer, and one that fails holds up none.
 *
 * @param of the record, such as "pieces/ID"
 */
export function inTurn<T>(of: string, work: () => Promise<T>): Promise<T> {
  const before = tails.get(of) ?? Promise.resolve();
  const own = before.then(work, work);
  const tail = own.catch(() => undefined);
  tails.set(of, tail);
  void tail.then(() => {
    if (tails.get(of) === tail) tails.delete(of);
  });
  return own;
}

/** Waits until everything asked so far is written. */
export async function allWritten(): Promise<void> {
  await Promise.all(tails.values());
}
