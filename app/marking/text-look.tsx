import { FACES } from "#core/marking/data/faces";
import { faceOf, fitText, textBudget, textSpace, widthEms } from "#core/marking/lettering";
import type { MarkingSurface } from "#core/marking/surface";
import { plainMm } from "#core/marking/words";
import { Choice } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { useDesk } from "~/mixing/use-desk";
import { TextDrawing } from "./text-drawing";

interface State {
  readonly text: string;
  readonly back: string;
  readonly face: string;
  readonly widthMm: number | null;
  readonly heightMm: number | null;
  readonly penMm: number;
}

const SPACE = { least: 3, most: 2000 };
const PEN = { least: 0.1, most: 10 };

/** Lettering fitted into a space, and how much text a back holds. */
export function TextLook({ surface }: { surface: MarkingSurface }) {
  const [state, set] = useDesk<State>("text", { text: "", back: "", face: FACES[0]!.id, widthMm: null, heightMm: null, penMm: 0.7 });
  const usual = textSpace(
    Math.min(surface.widthMm, surface.shape === "wall" ? surface.widthMm / 3 : surface.widthMm),
    surface.heightMm,
    surface.shape === "wall" || !surface.round,
  );
  const [widthMm, heightMm] = [state.widthMm ?? usual.widthMm, state.heightMm ?? usual.heightMm];
  const face = faceOf(state.face);
  const fitted = fitText(state.text, widthMm, heightMm, face);
  const items = state.back.split("\n").filter((line) => line.trim() !== "");
  const budget = textBudget(items, widthMm, heightMm, state.penMm, face);
  const number = (mm: number) => String(Math.round(mm));
  return (
    <div className="grid gap-4">
      <div className="grid items-end gap-3 sm:grid-cols-3">
        <Choice label="Letters" value={state.face} choices={FACES.map(({ id, name }) => ({ id, name }))} onChange={(id) => set({ face: id })} />
        <NumberField
          label="Space across"
          unit="mm"
          value={state.widthMm ?? undefined}
          typical={number(usual.widthMm)}
          bounds={SPACE}
          save={(mm) => set({ widthMm: mm ?? null })}
        />
        <NumberField
          label="Space in height"
          unit="mm"
          value={state.heightMm ?? undefined}
          typical={number(usual.heightMm)}
          bounds={SPACE}
          save={(mm) => set({ heightMm: mm ?? null })}
        />
      </div>
      <label className="block">
        Words to letter
        <textarea
          className="field"
          rows={2}
          maxLength={400}
          placeholder="Gone to the rocks, back by tea"
          value={state.text}
          onChange={(event) => set({ text: event.target.value })}
        />
      </label>
      {fitted && (
        <>
          <TextDrawing {...fitted} widthMm={widthMm} heightMm={heightMm} face={state.face} />
          <p role="status">
            {fitted.lines.length === 1 ? "One line" : `${fitted.lines.length} lines`}: capitals <strong>{plainMm(fitted.capMm)} mm</strong> high
            {fitted.lines.length > 1 && <>, a base line every {plainMm(fitted.lineMm)} mm</>}. Begin each line half its width left of the middle:{" "}
            {fitted.lines.map((line) => plainMm((widthEms(line, face) * fitted.emMm) / 2)).join(", ")} mm.
          </p>
        </>
      )}
      <div className="grid gap-3 border-t border-line pt-3">
        <div className="grid gap-3 sm:grid-cols-[1fr_10rem] sm:items-end">
          <label className="block">
            For the back, the most important first, one to a line
            <textarea
              className="field"
              rows={3}
              maxLength={1000}
              placeholder={"Window pebble, Tern Point\nNovember 2026\nKeep me, or hide me again"}
              value={state.back}
              onChange={(event) => set({ back: event.target.value })}
            />
          </label>
          <NumberField label="Pen" unit="mm" value={state.penMm} bounds={PEN} save={(mm) => mm !== undefined && set({ penMm: mm })} />
        </div>
        {items.length > 0 && (
          <p role="status">
            Capitals {plainMm(budget.capMm)} mm high, a line every {plainMm(budget.lineMm)} mm: {budget.lines.length} lines.{" "}
            {budget.leftOut.length === 0 ? "All of it finds room." : `No room for: ${budget.leftOut.join("; ")}. A finer pen writes smaller.`}
          </p>
        )}
      </div>
    </div>
  );
}
