import { useEffect } from "react";

const FOCUSABLE = "a[href], button:not(:disabled), input:not(:disabled), select, textarea, [tabindex='0']";

/** When what had the focus goes away, the focus goes to what stood nearest, never to nowhere. */
export function useFocusKept(): void {
  useEffect(() => {
    let had: Element | null = null;
    let around: readonly Element[] = [];
    const onFocus = (event: FocusEvent) => {
      had = event.target as Element;
      const path: Element[] = [];
      for (let at = had.parentElement; at && at !== document.body; at = at.parentElement) path.push(at);
      around = path;
    };
    const observer = new MutationObserver(() => {
      if (!had || had.isConnected || document.activeElement !== document.body) return;
      const place = around.find((one) => one.isConnected && one.querySelector(FOCUSABLE));
      (place?.querySelector<HTMLElement>(FOCUSABLE) ?? document.getElementById("page"))?.focus({ preventScroll: true });
    });
    document.addEventListener("focusin", onFocus);
    observer.observe(document.body, { childList: true, subtree: true });
    return () => {
      document.removeEventListener("focusin", onFocus);
      observer.disconnect();
    };
  }, []);
}
