import { Suspense, use, useDeferredValue, useEffect, useState } from "react";
import type { ReactNode } from "react";

interface Props<T> {
  readonly of: Promise<T>;
  /** Shown until the first answer. */
  readonly waiting: ReactNode;
  /** @param busy a newer answer is on its way; the one shown is the last */
  readonly children: (value: T, busy: boolean) => ReactNode;
}

/** Says that what is shown is an older answer; it lies over the page, so that nothing on it moves, and only where the newer one takes its time. */
function OlderMark() {
  return (
    <span data-older className="older-mark note">
      Being worked out anew
    </span>
  );
}

function Answer<T>({ of, children }: Pick<Props<T>, "of" | "children">) {
  const shown = useDeferredValue(of);
  return (
    <>
      {shown !== of && <OlderMark />}
      {children(use(shown), shown !== of)}
    </>
  );
}

/** What a loader promised: a visible wait at first, and then the last answer stays up, marked as such, until the next is there. */
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

/** The last answer of a promise. */
export interface LastAnswer<T> {
  /** Null before the first. */
  readonly value: T | null;
  /** It is of an older promise: a newer one is on its way. */
  readonly isOlder: boolean;
}

/** The last answer of what a loader promised, without waiting for it, and whether it is of what is asked now. What goes wrong is told by whoever waits. */
export function useLastAnswer<T>(promise: Promise<T>): LastAnswer<T> {
  const [last, setLast] = useState<{ readonly of: Promise<T>; readonly value: T } | null>(null);
  useEffect(() => {
    let current = true;
    promise.then(
      (value) => current && setLast({ of: promise, value }),
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [promise]);
  return { value: last?.value ?? null, isOlder: last !== null && last.of !== promise };
}

/** As `useLastAnswer`, where it does not matter what it is of: beside an answer that is marked. */
export function useLast<T>(promise: Promise<T>): T | null {
  return useLastAnswer(promise).value;
}
