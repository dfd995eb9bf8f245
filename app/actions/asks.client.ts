import { TAB } from "~/store/acts";
import { freshId } from "~/store/fresh-id";
import { watchAsks } from "./perform";
import { Asks } from "./asks";
import type { Journal } from "./asks";

function journalHere(): Journal | null {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

/** What this page has asked. */
export const asks = new Asks({ journal: journalHere(), tab: TAB, freshKey: freshId, now: Date.now, later: (work, ms) => void window.setTimeout(work, ms) });

watchAsks({ written: (key) => asks.written(key), failed: (key, why) => asks.failed(key, why), refused: (key, why) => asks.refused(key, why) });

const lockOf = (tab: string) => `nook-coat-tab-${tab}`;
const PAGE = "nook-coat-page";

/** The page this browser tab showed before; it is gone, whatever its lock says in its last moments. */
function pageBefore(): string | null {
  try {
    const before = window.sessionStorage.getItem(PAGE);
    window.sessionStorage.setItem(PAGE, TAB);
    return before;
  } catch {
    return null;
  }
}

/** Holds a lock for as long as the page is open, so that another can tell that it is gone. */
function holdLock(): void {
  if (!("locks" in navigator)) return;
  void navigator.locks.request(lockOf(TAB), () => new Promise<never>(() => undefined)).catch(() => undefined);
}

/** Whether a page is gone: nobody holds its lock. Where the browser has no locks it is taken as gone: an ask that is done twice is done once. */
async function isGone(tab: string): Promise<boolean> {
  if (!("locks" in navigator)) return true;
  return navigator.locks.request(lockOf(tab), { ifAvailable: true }, (lock) => lock !== null);
}

// What the page before this one could not write any more is shown from the first moment on.
const before = pageBefore();
if (before !== null) asks.adopt(new Set([before]));
holdLock();

/** Takes over what other pages that are gone could not write any more. */
export async function adoptAsks(): Promise<void> {
  for (const page of asks.pagesLeft()) if (await isGone(page).catch(() => false)) asks.adopt(new Set([page]));
}
