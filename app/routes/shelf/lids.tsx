import type { JarId } from "#core/catalogue/ids";
import { inkOn, steady } from "~/components/colours";
import type { ShelfRow } from "#core/shelf/shelf-rows";
import { colourShown, sayLeft, STATE_WORDS } from "~/shelf/shelf-view";

/** A daub as a thumb leaves it on a lid: never twice the same, always the same for its jar. */
function daub(id: string): string {
  const points = Array.from({ length: 9 }, (_unused, at) => {
    const radius = 17 + steady(id, at) * 7;
    const angle = (at / 9) * 2 * Math.PI;
    return [32 + radius * Math.cos(angle), 32 + radius * Math.sin(angle)] as const;
  });
  const between = ([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]) => `${((ax + bx) / 2).toFixed(1)} ${((ay + by) / 2).toFixed(1)}`;
  const rest = points.map((point, at) => `Q${point[0].toFixed(1)} ${point[1].toFixed(1)} ${between(point, points[(at + 1) % points.length]!)}`);
  return `M${between(points.at(-1)!, points[0]!)} ${rest.join(" ")}Z`;
}

/** A lid from above: its daub, and a ring that is as full as the jar. */
function Lid({ row: { jar, leftMl } }: { row: ShelfRow }) {
  const colour = colourShown(jar);
  const share = leftMl === undefined || jar.sizeMl === undefined ? null : Math.min(1, leftMl / jar.sizeMl);
  const round = 2 * Math.PI * 29;
  return (
    <svg viewBox="0 0 64 64" width={76} height={76} aria-hidden className="mx-auto block">
      <circle cx={32} cy={32} r={30} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={1.2} />
      {share !== null && (
        <circle
          cx={32}
          cy={32}
          r={29}
          fill="none"
          stroke="var(--ready)"
          strokeWidth={4}
          strokeDasharray={`${(share * round).toFixed(1)} ${round.toFixed(1)}`}
          transform="rotate(-90 32 32)"
        />
      )}
      <path d={daub(jar.id)} fill={colour} stroke={inkOn(colour) === "#ffffff" ? "none" : "var(--soft)"} strokeWidth={0.8} />
    </svg>
  );
}

/** The shelf as a wall of lids. */
export function Lids({ rows, open }: { rows: readonly ShelfRow[]; open: (id: JarId) => void }) {
  return (
    <ul className="mt-3 grid grid-cols-[repeat(auto-fill,minmax(8rem,1fr))] gap-3">
      {rows.map((row) => (
        <li key={row.jar.id} data-jar={row.jar.id}>
          <button
            type="button"
            className="sheet flex h-full w-full flex-col items-center justify-start p-2 text-center hover:bg-note-tint"
            onClick={() => open(row.jar.id)}
          >
            <Lid row={row} />
            <strong className="mt-1 block [overflow-wrap:anywhere]">{row.jar.name}</strong>
            <span className="block text-sm text-soft">{row.kind}</span>
            <span className="block text-sm">{sayLeft(row.jar, row.leftMl)}</span>
            {row.states.length > 0 && <span className="block text-sm font-semibold text-act">{row.states.map((state) => STATE_WORDS[state]).join(", ")}</span>}
          </button>
        </li>
      ))}
    </ul>
  );
}
