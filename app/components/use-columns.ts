import { useSyncExternalStore } from "react";

const WIDE = "(min-width: 64rem)";
const MIDDLE = "(min-width: 40rem)";

function onWidth(tell: () => void): () => void {
  const queries = [WIDE, MIDDLE].map((query) => window.matchMedia(query));
  for (const query of queries) query.addEventListener("change", tell);
  return () => {
    for (const query of queries) query.removeEventListener("change", tell);
  };
}

/** How many columns the page is wide: 1 to 3. */
export function useColumns(): number {
  const columns = () => (window.matchMedia(WIDE).matches ? 3 : window.matchMedia(MIDDLE).matches ? 2 : 1);
  return useSyncExternalStore(onWidth, columns, () => 1);
}

/** Whether two pages lie side by side. */
export function useWide(): boolean {
  return useColumns() === 3;
}
