import { useEffect } from "react";

/** Lets the app open without its server from the second visit on; in development and on plain http there is none. */
export function useServiceWorker(): void {
  useEffect(() => {
    if (import.meta.env.PROD && "serviceWorker" in navigator) void navigator.serviceWorker.register("/sw.js").catch(() => undefined);
  }, []);
}
