import { useCallback, useEffect, useRef, useState } from "react";
import { useAsks } from "./use-ask";

interface Following {
  readonly key: string;
  readonly then: () => void;
}

/**
 * Does something once what was asked is written and shown, such as going to the page of what was made; what is refused, or cannot be written, is not
 * followed by anything.
 *
 * @returns whether it is still waited for, and what sets it: the ask's key, and what comes after
 */
export function useAfter(): readonly [boolean, (key: string, then: () => void) => void] {
  const { asked, refused } = useAsks();
  const [following, follow] = useState<Following | null>(null);
  const followed = useRef<string | null>(null);
  const open = following !== null && asked.some(({ key }) => key === following.key);
  const isRefused = following !== null && refused.some(({ key }) => key === following.key);
  useEffect(() => {
    if (following === null || open || followed.current === following.key) return;
    followed.current = following.key;
    if (!isRefused) following.then();
  }, [following, open, isRefused]);
  return [open, useCallback((key, then) => follow({ key, then }), [])];
}
