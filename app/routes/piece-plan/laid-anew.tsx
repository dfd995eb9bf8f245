import { X } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { changedCounts } from "#core/marking/changed-counts";
import type { CountChange } from "#core/marking/changed-counts";
import type { Piece } from "#core/piece/piece";
import { ToolButton } from "~/components/tool-button";
import { lowerFirst } from "#core/units/letter-case";

/** As many rows are named; of more it is said how many they are. */
const MOST_NAMED = 3;

/** A row's new count. @example countText({ name: "Dots of 4 mm", before: 38, after: 48 }) // "dots of 4 mm: 48 instead of 38" */
export function countText({ name, before, after }: Pick<CountChange, "name" | "before" | "after">): string {
  const called = lowerFirst(name);
  return after === 0 ? `${called}: no longer go` : `${called}: ${after} instead of ${before}`;
}

/** Says which rows count anew since another size was said. */
export function LaidAnew({ piece }: { piece: Piece }) {
  const [{ last, changes }, set] = useState<{ readonly last: Piece; readonly changes: readonly CountChange[] }>({ last: piece, changes: [] });
  if (last !== piece) {
    const now = changedCounts(last, piece);
    set({ last: piece, changes: now.length > 0 ? now : changes });
  }
  const named = changes.slice(0, MOST_NAMED);
  const more = changes.length - named.length;
  return (
    <div role="status">
      {changes.length > 0 && (
        <p className="mb-3 flex items-center gap-2 rounded-lg border-l-8 border-ready bg-note-tint px-3 py-1">
          <span className="grow">
            <strong>Laid out anew:</strong> {named.map(countText).join("; ")}
            {more > 0 && `; and ${more} more ${more === 1 ? "row" : "rows"}`}.{" "}
            <Link to={{ pathname: "marks", search: `?place=${changes[0]!.zone}` }} className="underline">
              See the rows
            </Link>
          </span>
          <ToolButton icon={X} label="Hide what was laid out anew" onClick={() => set({ last: piece, changes: [] })} />
        </p>
      )}
    </div>
  );
}
