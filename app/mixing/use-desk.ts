import { useCallback, useState } from "react";

const PREFIX = "nook-coat-desk/";

function kept<T>(key: string): T | null {
  try {
    const text = sessionStorage.getItem(PREFIX + key);
    const value: unknown = text === null ? null : JSON.parse(text);
    return typeof value === "object" && value !== null && !Array.isArray(value) ? (value as T) : null;
  } catch {
    return null;
  }
}

/**
 * What lies on the desk: it stays there when another room is looked at, and when the page is loaded again.
 *
 * @param key where it lies; another key is another place on the desk
 * @param initial what lies there at first
 */
export function useDesk<T extends object>(key: string, initial: T): readonly [T, (change: Partial<T>) => void] {
  const [state, setState] = useState<{ readonly key: string; readonly value: T }>(() => ({ key, value: { ...initial, ...kept<T>(key) } }));
  const shown = state.key === key ? state.value : { ...initial, ...kept<T>(key) };
  if (state.key !== key) setState({ key, value: shown });
  const change = useCallback(
    (more: Partial<T>) =>
      setState((before) => {
        const value = { ...before.value, ...more };
        try {
          sessionStorage.setItem(PREFIX + before.key, JSON.stringify(value));
        } catch {
          // A browser that keeps nothing forgets it with the page.
        }
        return { key: before.key, value };
      }),
    [],
  );
  return [shown, change];
}
