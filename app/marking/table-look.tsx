import { Check, Minus, Plus } from "lucide-react";
import { Link } from "react-router";
import { workingOrder } from "#core/marking/working-order";
import type { SolvedRow } from "#core/marking/solved";
import { ColourChip } from "~/components/colour-chip";
import { ToolButton } from "~/components/tool-button";
import type { LookProps } from "./look-props";
import { rowTitle, toolWords } from "./row-words";

const PAUSES = {
  fields: "Let the stripes dry first; tape off.",
  half: "Stop here till the upper half is dry to the touch: now it is held there.",
  marks: "Stop here till the dots are dry through: these lie on them.",
} as const;

function Counter({ one, set, save }: { one: SolvedRow; set: number; save: (count: number) => void }) {
  const title = rowTitle(one.row);
  const all = one.count;
  const done = set >= all;
  const finish = (
    <button
      type="button"
      className={`button ${done ? "" : "button-act"}`}
      aria-pressed={done}
      aria-label={`${done ? "All set" : "Row done"}: ${title}`}
      onClick={() => save(done ? 0 : all)}
    >
      <Check aria-hidden size={18} /> {done ? "All set" : "Row done"}
    </button>
  );
  if (all === 1) return finish;
  return (
    <div className="flex flex-wrap items-center gap-1" role="group" aria-label={`Set of ${title}`}>
      <ToolButton icon={Minus} label={`One fewer set: ${title}`} disabled={set === 0} repeats onClick={() => save(set - 1)} />
      <span className="min-w-24 text-center text-xl tabular-nums">
        <strong>{set}</strong> of {all}
      </span>
      <ToolButton icon={Plus} label={`One more set: ${title}`} disabled={done} repeats onClick={() => save(set + 1)} />
      {finish}
    </div>
  );
}

/** The rows in the order they are set, with what is set by now. */
export function TableLook({ place, solved, marking, counted, pieceId }: LookProps) {
  const steps = workingOrder(place.surface, solved.rows);
  const byId = new Map(solved.rows.map((one) => [one.row.id, one]));
  const total = steps.reduce((sum, { row }) => sum + byId.get(row)!.count, 0);
  const setOf = (row: string) => (counted ? Math.min(counted.of(row), byId.get(row)!.count) : 0);
  const now = steps.reduce((sum, { row }) => sum + setOf(row), 0);
  if (steps.length === 0) return <p>No row is laid out yet.</p>;
  return (
    <div className="grid gap-3">
      <p className="text-lg">
        {counted ? (
          <>
            <strong className="tabular-nums">{now}</strong> of {total} marks are set.
          </>
        ) : (
          `${total} marks in all. On a piece of your notebook they are counted here as you set them.`
        )}
      </p>
      <ol className="grid gap-2" aria-label="Rows in working order">
        {steps.map(({ row: id, dryBefore, why, lastOnGuides }, index) => {
          const one = byId.get(id)!;
          const tool = toolWords(one, marking.tools, marking.hand)?.text;
          // Why here is said once for the rows it holds for.
          const said = [tool, why !== steps[index - 1]?.why && why].filter(Boolean).join("; ");
          return (
            <li key={id} className="grid gap-2">
              {dryBefore && <p className="notice hatched">{PAUSES[dryBefore]}</p>}
              <div className="sheet flex flex-wrap items-center gap-x-3 gap-y-2 p-2">
                <span className="w-5 text-right text-soft tabular-nums">{index + 1}</span>
                <span className="flex gap-0.5">
                  {one.row.colours.map((colour, k) => (
                    <ColourChip key={k} colour={colour} size={24} />
                  ))}
                </span>
                <span className="min-w-0 flex-1 basis-56">
                  <strong className="block">{rowTitle(one.row)}</strong>
                  {said && <span className="block leading-snug text-soft">{said}.</span>}
                  {lastOnGuides && <span className="block leading-snug text-soft">After it no mark sits on a line: they come off when all is dry.</span>}
                </span>
                {counted && (
                  <div className="ml-auto">
                    {counted.inPlan(id) ? (
                      <span className="flex items-center gap-2 text-soft">
                        <Check aria-hidden size={18} /> Done in the plan
                      </span>
                    ) : (
                      <Counter one={one} set={setOf(id)} save={(count) => counted.save(id, count)} />
                    )}
                  </div>
                )}
              </div>
            </li>
          );
        })}
      </ol>
      {pieceId && (
        <p>
          When a colour is all set, say so at its step in{" "}
          <Link to={`/pieces/${pieceId}`} className="underline">
            the plan
          </Link>
          : that starts its drying time.
        </p>
      )}
    </div>
  );
}
