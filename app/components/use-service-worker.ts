import { useCallback, useEffect, useState } from "react";

/** How often a page that stays open looks for a newer version, ms. */
const LOOK_MS = 30 * 60_000;

/** A newer version that waits to take over; null where there is none. */
type Newer = ServiceWorker | null;

/** Lets the app open without its server from the second visit on; in development and on plain http there is none. */
export function useServiceWorker(): { readonly isNewer: boolean; readonly reload: () => void } {
  const [newer, setNewer] = useState<Newer>(null);
  useEffect(() => {
    if (!import.meta.env.PROD || !("serviceWorker" in navigator)) return;
    let timer: number | undefined;
    const watch = (registration: ServiceWorkerRegistration | undefined) => {
      // A browser that is told to have none answers with nothing.
      if (!registration) return;
      const look = () => {
        // Without a controller this is the first visit: nothing is old yet.
        if (registration.waiting && navigator.serviceWorker.controller) setNewer(registration.waiting);
      };
      look();
      registration.addEventListener("updatefound", () => {
        const installing = registration.installing;
        installing?.addEventListener("statechange", look);
      });
      timer = window.setInterval(() => void registration.update().catch(() => undefined), LOOK_MS);
    };
    void navigator.serviceWorker.register("/sw.js").then(watch, () => undefined);
    // Another tab has taken the newer version: this page is of the one before.
    let had = navigator.serviceWorker.controller;
    const changed = () => {
      if (had) setNewer(navigator.serviceWorker.controller);
      had = navigator.serviceWorker.controller;
    };
    navigator.serviceWorker.addEventListener("controllerchange", changed);
    return () => {
      window.clearInterval(timer);
      navigator.serviceWorker.removeEventListener("controllerchange", changed);
    };
  }, []);
  const reload = useCallback(() => {
    if (!newer || newer.state === "activated") return window.location.reload();
    navigator.serviceWorker.addEventListener("controllerchange", () => window.location.reload(), { once: true });
    newer.postMessage("take-over");
  }, [newer]);
  return { isNewer: newer !== null, reload };
}
