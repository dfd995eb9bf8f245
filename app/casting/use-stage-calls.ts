import { useEffect } from "react";
import { useAppContext } from "~/components/app-context";

/** No timer runs for longer, ms. */
const LONGEST_MS = 2_000_000_000;

/** Says when a stage of a pour has run, as it is wished; other pages call too. @param until instant, ms; null where nothing runs */
export function useStageCalls(until: number | null, text: string): void {
  const { settings, announce } = useAppContext();
  const { sounds, notify } = settings;
  useEffect(() => {
    if (until === null || until <= Date.now()) return;
    const alerts = import("~/bench/alerts.client");
    void alerts.then(({ addEnd }) => addEnd(until));
    const timer = setTimeout(
      () =>
        void alerts.then(({ chime, isFirstToTell, showNote }) => {
          announce(text);
          if (!isFirstToTell(`end ${until}`)) return;
          if (sounds) chime();
          if (notify) void showNote(text);
        }),
      Math.min(LONGEST_MS, until - Date.now()),
    );
    return () => clearTimeout(timer);
  }, [until, text, sounds, notify, announce]);
}
