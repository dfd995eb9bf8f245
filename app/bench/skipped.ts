import { useCallback, useState } from "react";

const KEY = "nook-coat-not-tonight";
/** What is put off tonight comes back in the morning, at this hour. */
const MORNING_HOUR = 4;

/** The next morning after an instant, ms. */
function morningAfter(now: number): number {
  const morning = new Date(now);
  morning.setHours(MORNING_HOUR, 0, 0, 0);
  if (morning.getTime() <= now) morning.setDate(morning.getDate() + 1);
  return morning.getTime();
}

function read(): Readonly<Record<string, number>> {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? "{}") as unknown;
    return typeof kept === "object" && kept !== null ? (kept as Record<string, number>) : {};
  } catch {
    return {};
  }
}

/** Goes that are put off till the morning, in this browser alone. */
export function useSkipped(now: number): { readonly isSkipped: (go: string) => boolean; readonly skip: (go: string) => void; readonly takeAllUp: () => void } {
  const [skipped, set] = useState(read);
  const keep = useCallback((next: Readonly<Record<string, number>>) => {
    set(next);
    try {
      localStorage.setItem(KEY, JSON.stringify(next));
    } catch {
      // A browser that keeps nothing puts it off as long as the page is open.
    }
  }, []);
  return {
    isSkipped: (go) => (skipped[go] ?? 0) > now,
    skip: (go) => keep({ ...Object.fromEntries(Object.entries(skipped).filter(([, until]) => until > now)), [go]: morningAfter(now) }),
    takeAllUp: () => keep({}),
  };
}
