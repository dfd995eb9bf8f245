import { useState } from "react";
import { Split } from "lucide-react";
import type { PieceRecord } from "#core/formats/stores/pieces";
import { useAsk } from "~/actions/use-ask";
import { Choice } from "~/components/fields";
import type { PieceAsk } from "~/piece/use-record";
import { freshId } from "~/store/fresh-id";

/** Of a batch only some went wrong: those are set apart first, so that the others stay as they are. */
export function OneOfMany({ record }: { record: PieceRecord }) {
  const ask = useAsk<PieceAsk>(`/pieces/${record.id}`);
  const [many, setMany] = useState(1);
  const count = record.piece.count ?? 1;
  if (count < 2) return null;
  return (
    <div className="rounded-lg border-l-8 border-act bg-warn-tint p-3">
      <p>
        These are {count}. What is put right here is put right on <strong>all of them</strong>. Went only some wrong?
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <div className="w-24">
          <Choice
            label="How many"
            value={String(Math.min(many, count - 1))}
            choices={Array.from({ length: Math.min(count - 1, 40) }, (_unused, k) => ({ id: String(k + 1), name: String(k + 1) }))}
            onChange={(id) => setMany(Number(id))}
          />
        </div>
        <button type="button" className="button" onClick={() => void ask({ intent: "set-apart", copy: freshId(), many: Math.min(many, count - 1) })}>
          <Split aria-hidden size={18} /> Set apart
        </button>
      </div>
    </div>
  );
}
