import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { useLayoutEffect, useRef, useState } from "react";
import type { ReactNode } from "react";
import { useColumns } from "./use-columns";

/** Up to here every card stands in the page, so that the browser's own search finds it. */
const MOST_AT_ONCE = 60;
const GRID = "grid gap-4 sm:grid-cols-2 lg:grid-cols-3";

interface Props<T> {
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  readonly card: (item: T) => ReactNode;
  /** What a long list is called, for whoever listens. */
  readonly label: string;
  /** Height of a row before it is measured, px. */
  readonly rowPx: number;
}

/** Cards in one to three columns; of a long list only what is near the window is in the page. */
export function WindowedGrid<T>(of: Props<T>) {
  const { items, keyOf, card } = of;
  if (items.length > MOST_AT_ONCE) return <Windowed {...of} />;
  return (
    <ul className={`mt-5 ${GRID}`}>
      {items.map((one) => (
        <li key={keyOf(one)} className="min-w-0">
          {card(one)}
        </li>
      ))}
    </ul>
  );
}

function Windowed<T>({ items, keyOf, card, label, rowPx }: Props<T>) {
  const columns = useColumns();
  const list = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), []);
  const rows = useWindowVirtualizer({ count: Math.ceil(items.length / columns), estimateSize: () => rowPx, overscan: 3, scrollMargin: top });
  return (
    <div ref={list} role="list" className="relative mt-5" style={{ height: rows.getTotalSize() }} aria-label={label}>
      {rows.getVirtualItems().map((row) => (
        <div
          key={row.key}
          ref={rows.measureElement}
          data-index={row.index}
          className={`absolute left-0 top-0 w-full pb-4 ${GRID}`}
          style={{ transform: `translateY(${row.start - top}px)` }}
        >
          {items.slice(row.index * columns, (row.index + 1) * columns).map((one, at) => (
            <div key={keyOf(one)} role="listitem" className="min-w-0" aria-setsize={items.length} aria-posinset={row.index * columns + at + 1}>
              {card(one)}
            </div>
          ))}
        </div>
      ))}
    </div>
  );
}
