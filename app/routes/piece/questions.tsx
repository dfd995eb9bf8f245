import type { Change } from "#core/coating/change";
import type { Menu } from "#core/catalogue/menu";
import type { Piece } from "#core/piece/piece";

interface Question {
  readonly key: string;
  readonly asks: string;
  readonly change: Change;
}

/** Uses worth a question where nothing says so yet. */
const ASKED_USES: readonly { readonly id: string; readonly asks: string }[] = [
  { id: "outdoor-exposed", asks: "Will it stand outside?" },
  { id: "gift-or-sale", asks: "Is it for someone?" },
];
const MOST = 5;

function questionsOf(piece: Piece, menu: Menu): readonly Question[] {
  const material = menu.materials.find((one) => one.id === piece.material);
  const said = piece.conditions;
  const conditions = said !== undefined ? [] : (material?.asks ?? []);
  const outdoors = piece.uses.some((use) => menu.uses.find((one) => one.id === use)?.outdoors);
  const uses = ASKED_USES.filter(({ id }) => !piece.uses.includes(id as never) && !(outdoors && id === "outdoor-exposed"));
  return [
    ...conditions.map((id) => ({
      key: id,
      asks: `${menu.conditions.find((one) => one.id === id)?.name}?`,
      change: { op: "setPiece", path: "conditions", value: [id] } as const,
    })),
    ...uses.map(({ id, asks }) => ({ key: id, asks, change: { op: "setPiece", path: "uses", value: [...piece.uses, id] } as const })),
  ].slice(0, MOST);
}

/** What she has not been asked yet and what would change the plan: one tap each, and the section shows it. */
export function Questions({ piece, menu, answer }: { piece: Piece; menu: Menu; answer: (changes: readonly Change[]) => void }) {
  const questions = questionsOf(piece, menu);
  if (questions.length === 0) return null;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2" role="group" aria-label="Is it so?">
      <span className="text-soft">Is it so?</span>
      {questions.map(({ key, asks, change }) => (
        <button key={key} type="button" className="chip" onClick={() => answer([change])}>
          {asks}
        </button>
      ))}
      {piece.conditions === undefined && (
        <button type="button" className="chip" onClick={() => answer([{ op: "setPiece", path: "conditions", value: [] }])}>
          It is clean and sound
        </button>
      )}
    </div>
  );
}
