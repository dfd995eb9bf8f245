import { Suspense, use, useDeferredValue, useEffect, useState } from "react";
import type { ReactNode } from "react";

interface Props<T> {
  readonly of: Promise<T>;
  /** Shown until the first answer. */
  readonly waiting: ReactNode;
  /** @param busy a newer answer is on its way; the one shown is the last */
  readonly children: (value: T, busy: boolean) => ReactNode;
}

function Answer<T>({ of, children }: Pick<Props<T>, "of" | "children">) {
  const shown = useDeferredValue(of);
  return <>{children(use(shown), shown !== of)}</>;
}

/** What a loader promised: a visible wait at first, and then the last answer stays up until the next is there. */
export function Awaited<T>({ of, waiting, children }: Props<T>) {
  return (
    <Suspense fallback={waiting}>
      <Answer of={of}>{children}</Answer>
    </Suspense>
  );
}

/** The answer of a promise, without waiting for it; null before it is there. What goes wrong is told by whoever waits. */
export function useAnswer<T>(promise: Promise<T>): T | null {
  const [answer, setAnswer] = useState<{ readonly of: Promise<T>; readonly value: T } | null>(null);
  useEffect(() => {
    let current = true;
    promise.then(
      (value) => current && setAnswer({ of: promise, value }),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [promise]);
  return answer?.of === promise ? answer.value : null;
}

/** The last answer of what a loader promised, without waiting for it; null before the first. What goes wrong is told by whoever waits. */
export function useLast<T>(promise: Promise<T>): T | null {
  const [last, setLast] = useState<T | null>(null);
  useEffect(() => {
    let current = true;
    promise.then(
      (value) => current && setLast(value),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [promise]);
  return last;
}
