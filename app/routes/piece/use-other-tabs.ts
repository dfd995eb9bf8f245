import { useEffect, useState } from "react";
import { useRevalidator } from "react-router";

/** Reloads what another tab has saved; says when this tab is too old to go on. */
export function useOtherTabs(): boolean {
  const { revalidate } = useRevalidator();
  const [old, setOld] = useState(false);
  useEffect(() => {
    let stop: (() => void) | null = null;
    let gone = false;
    void import("~/store/open.client").then(({ onOtherTab }) => {
      if (!gone) stop = onOtherTab(() => void revalidate());
    });
    const newer = () => setOld(true);
    window.addEventListener("notebook-newer", newer);
    return () => {
      gone = true;
      stop?.();
      window.removeEventListener("notebook-newer", newer);
    };
  }, [revalidate]);
  return old;
}
