import { useEffect, useState } from "react";

const TICK_MS = 15_000;

/** The time, told again every so often, and at once when the page comes back into sight: a page that slept has not told it. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const tell = () => setNow(Date.now());
    const timer = setInterval(tell, TICK_MS);
    document.addEventListener("visibilitychange", tell);
    window.addEventListener("focus", tell);
    return () => {
      clearInterval(timer);
      document.removeEventListener("visibilitychange", tell);
      window.removeEventListener("focus", tell);
    };
  }, []);
  return now;
}
