import { useCallback, useRef, useState } from "react";
import type { SetStateAction } from "react";

const PREFIX = "nook-coat-draft/";

const nameOf = (name: string) => `${PREFIX}${typeof location === "undefined" ? "" : location.pathname}/${name}`;

function kept(key: string): { readonly value: unknown } | null {
  try {
    const text = sessionStorage.getItem(key);
    return text === null ? null : (JSON.parse(text) as { readonly value: unknown });
  } catch {
    return null;
  }
}

/** Keeps what is typed; what is as it was at first is not kept. */
function keep(key: string, value: unknown, initial: unknown): void {
  try {
    if (JSON.stringify(value) === JSON.stringify(initial)) sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, JSON.stringify({ value }));
  } catch {
    // A browser that keeps nothing forgets it with the page.
  }
}

/**
 * Something that is being typed or begun, and not asked for yet: it outlives a reload of the page, in its tab. It belongs to the address of the page, so
 * that what is typed on one record never stands on the next.
 *
 * @param name what it is, among the drafts of its page; those of one form begin alike: "move.count"
 * @param initial what it is before anything is typed
 */
export function useDraft<T>(name: string, initial: T | (() => T)): readonly [T, (next: SetStateAction<T>) => void] {
  const [key] = useState(() => nameOf(name));
  const [first] = useState(initial);
  const [value, set] = useState<T>(() => {
    const before = kept(key);
    return before === null ? first : (before.value as T);
  });
  const current = useRef(value);
  const change = useCallback(
    (next: SetStateAction<T>) => {
      current.current = typeof next === "function" ? (next as (before: T) => T)(current.current) : next;
      // At once: the page may be left before it is drawn again.
      keep(key, current.current, first);
      set(current.current);
    },
    [key, first],
  );
  return [value, change];
}

/** Forgets the drafts of a form of this page: it was sent, or left. */
export function forgetDrafts(form: string): void {
  try {
    const prefix = nameOf(`${form}.`);
    for (const key of Object.keys(sessionStorage)) if (key.startsWith(prefix)) sessionStorage.removeItem(key);
  } catch {
    // There is nothing to forget.
  }
}

/**
 * Whether a form is open, and which: it is open again after a reload. Opened anew, and closed, it forgets what was typed in it.
 *
 * @param form the beginning of the names of its drafts
 * @param closed what stands for none
 */
export function useOpenForm<T = boolean>(form: string, closed: T): readonly [T, (open: T) => void] {
  const [open, set] = useDraft<T>(`${form}-open`, closed);
  const change = useCallback(
    (next: T) =>
      set((before) => {
        if (before !== next) forgetDrafts(form);
        return next;
      }),
    [form, set],
  );
  return [open, change];
}
