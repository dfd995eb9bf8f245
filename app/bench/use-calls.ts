import { useEffect } from "react";
import { useLocation } from "react-router";
import { useAppContext } from "~/components/app-context";

/** No timer runs for longer, ms. */
const LONGEST_MS = 2_000_000_000;

/** Away from the Bench a wait that ends is told of too, where that is wished; whether it may be touched the Bench says. */
export function useCalls(): void {
  const { settings, announce } = useAppContext();
  const { pathname } = useLocation();
  const wanted = (settings.sounds || settings.notify) && pathname !== "/";
  useEffect(() => {
    if (!wanted) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let left = false;
    void import("./alerts.client").then(({ chime, isFirstToTell, nextEnd, showNote }) => {
      const wait = () => {
        const at = nextEnd(Date.now());
        if (at === null || left) return;
        timer = setTimeout(
          () => {
            const text = "A wait at the Bench has ended: look there before you touch anything";
            if (at <= Date.now() && isFirstToTell(`end ${at}`)) {
              announce(text);
              if (settings.sounds) chime();
              if (settings.notify) void showNote(text);
            }
            wait();
          },
          Math.min(LONGEST_MS, at - Date.now()),
        );
      };
      wait();
    });
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [wanted, settings.sounds, settings.notify, announce]);
}
