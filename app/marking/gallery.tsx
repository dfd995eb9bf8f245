import { Trash2 } from "lucide-react";
import { useMemo } from "react";
import { rowsOfKept } from "#core/marking/kept-pattern";
import { beginsAt, PATTERN_TEMPLATES, rowsOfTemplate } from "#core/marking/patterns";
import { solvePattern } from "#core/marking/solve";
import type { SolvedPattern } from "#core/marking/solved";
import type { MarkingSurface } from "#core/marking/surface";
import type { Row } from "#core/piece/pattern";
import { ToolButton } from "~/components/tool-button";
import { MarkingDrawing } from "./marking-drawing";
import type { Marking, OwnPattern } from "./use-marking";

interface Shown {
  readonly key: string;
  readonly name: string;
  readonly hint: string;
  readonly rows: readonly Row[];
  readonly guides: number;
  readonly from: "centre" | "rim";
  readonly solved: SolvedPattern;
  readonly own: OwnPattern | null;
}

/** Patterns as they would lie on this very place: those of Tern Point, and the user's own. */
export function Gallery({
  surface,
  colours,
  ground,
  marking,
  take,
}: {
  surface: MarkingSurface;
  colours: readonly string[];
  ground: string;
  marking: Marking;
  take: (rows: readonly Row[], guides: number, from: "centre" | "rim") => void;
}) {
  const shown = useMemo(() => {
    const ready = PATTERN_TEMPLATES.flatMap((one): Shown[] => {
      const rows = rowsOfTemplate(one, surface, colours);
      return rows
        ? [
            {
              key: one.id,
              name: one.name,
              hint: one.hint,
              rows,
              guides: one.guides,
              from: beginsAt(surface),
              solved: solvePattern(surface, { guides: one.guides, rows, from: beginsAt(surface) }),
              own: null,
            },
          ]
        : [];
    });
    const own = marking.patterns
      .filter(({ shape }) => shape === surface.shape)
      .map((one): Shown => {
        const rows = rowsOfKept(one, surface);
        return {
          key: one.id,
          name: one.name,
          hint: "yours",
          rows,
          guides: one.guides,
          from: one.from ?? "centre",
          solved: solvePattern(surface, { ...one, rows }),
          own: one,
        };
      });
    return [...own, ...ready];
  }, [surface, colours, marking.patterns]);
  return (
    <ul className="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-3" aria-label="Patterns to begin with">
      {shown.map(({ key, name, hint, rows, guides, from, solved, own }) => (
        <li key={key} className="sheet relative flex flex-col">
          <button type="button" className="grow p-2 text-left hover:bg-note-tint" onClick={() => take(rows, guides, from)}>
            <MarkingDrawing surface={surface} solved={solved} guides={1} ground={ground} label="" small />
            <strong className="mt-1 block">{name}</strong>
            <span className="block leading-snug text-soft">{hint}</span>
          </button>
          {own && <ToolButton icon={Trash2} label={`Let go of ${name}`} className="absolute right-0 top-0" onClick={() => marking.removePattern(own)} />}
        </li>
      ))}
    </ul>
  );
}
