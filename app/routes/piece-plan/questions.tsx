import type { Change } from "#core/coating/model/change";
import type { Menu } from "#core/catalogue/menu";
import { openQuestions } from "#core/piece/open-questions";
import type { OpenQuestion } from "#core/piece/open-questions";
import type { Piece } from "#core/piece/piece";
import { nameIn } from "~/components/use-menu";

const USE_QUESTIONS: Readonly<Record<string, string>> = { "outdoor-exposed": "Will it stand outside?", "gift-or-sale": "Is it for someone?" };

function answered({ kind, id }: OpenQuestion, piece: Piece): Change {
  return kind === "condition" ? { op: "setPiece", path: "conditions", value: [id] } : { op: "setPiece", path: "uses", value: [...piece.uses, id] };
}

/** What the user has not been asked yet and what would change the plan: one tap each, and the section shows it. */
export function Questions({ piece, menu, answer }: { piece: Piece; menu: Menu; answer: (changes: readonly Change[]) => void }) {
  const questions = openQuestions(piece, menu);
  if (questions.length === 0) return null;
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2" role="group" aria-label="Is it so?">
      <span className="text-soft">Is it so?</span>
      {questions.map((question) => (
        <button key={question.id} type="button" className="chip" onClick={() => answer([answered(question, piece)])}>
          {question.kind === "condition" ? `${nameIn(menu.conditions, question.id)}?` : (USE_QUESTIONS[question.id] ?? nameIn(menu.uses, question.id))}
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
