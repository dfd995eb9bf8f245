import { CATALOGUE } from "#core/catalogue/catalogue";
import { lightness } from "#core/film/colour";
import { onePuddle, shadeLadder } from "#core/film/ladder";
import { mixedContrastRatio } from "#core/film/mix";
import type { Shared } from "#core/film/recipe";
import { jarsToMix, tintPaintOf } from "#core/shelf/mixes";
import { paintOf } from "#core/film/tint";
import { useAppContext } from "~/components/app-context";
import { Choice } from "~/components/fields";
import { measureText } from "./desk-words";
import { Painted } from "./painted";
import { Slider } from "./slider";
import type { Subject } from "./subject";
import { useDesk } from "./use-desk";
import type { DeskShelf } from "./use-shelf";

interface State {
  readonly open: boolean;
  readonly towards: string;
  readonly steps: number;
}

/** How much of one shade is laid as its first coat, and as much for the second, as shares of a rung. */
const HALF = 0.5;

/** Shades from the mixture towards a jar, and the one puddle they can all be made from. */
export function Ladder({
  from,
  shared,
  subject,
  shelf,
  place,
  ml,
}: {
  from: string;
  shared: readonly Shared[];
  subject: Subject;
  shelf: DeskShelf;
  place: string;
  ml: number;
}) {
  const { settings } = useAppContext();
  const jars = jarsToMix(subject.kind, shelf.jars, shelf.left, CATALOGUE);
  const darker = [...jars].sort((a, b) => lightness(a.colour!) - lightness(b.colour!));
  const [state, set] = useDesk<State>(`${place}ladder`, { open: false, towards: darker[0]?.id ?? "", steps: 4 });
  const towards = jars.find((jar) => jar.id === state.towards) ?? darker[0];
  if (!towards) return null;
  const paint = paintOf(tintPaintOf(towards, CATALOGUE));
  const mixture = { colour: from, contrastRatio: mixedContrastRatio(shared.map((part) => ({ ...part, parts: part.share }))) };
  // The jar itself is no rung: the last shade is still a mixture.
  const rungs = shadeLadder(mixture, paint, state.steps + 1).slice(0, state.steps);
  const each = ml / state.steps;
  const puddle = onePuddle(
    rungs,
    rungs.map(() => each * HALF),
    rungs.map(() => each * HALF),
  );
  const drops = (amount: number) => Math.max(1, Math.round(amount * (towards.dropsPerMl ?? settings.dropsPerMl)));
  return (
    <details open={state.open} onToggle={(event) => event.currentTarget.open !== state.open && set({ open: event.currentTarget.open })}>
      <summary className="w-fit py-2 font-semibold underline">Shades of it, from one puddle</summary>
      <div className="grid gap-3">
        <div className="grid gap-3 sm:grid-cols-2">
          <Choice label="Towards" value={towards.id} choices={jars.map(({ id, name }) => ({ id, name }))} onChange={(id) => set({ towards: id })} />
          <Slider label="Shades" value={state.steps} least={2} most={9} step={1} says={String(state.steps)} onChange={(steps) => set({ steps })} />
        </div>
        <ol className="grid grid-cols-[repeat(auto-fit,minmax(6.2rem,1fr))] gap-2" aria-label="Shades">
          {puddle.map(({ colour, puddleMl, keepMl, addMl }, at) => (
            <li key={at} className="min-w-0">
              <Painted colour={colour} label={at === 0 ? `Begin with ${puddleMl.toFixed(1)} ml` : `Shade ${at + 1}`} tall={44} />
              <p className="text-sm leading-snug">
                Lay half, keep {keepMl.toFixed(1)} ml covered for its second coat.
                {addMl > 0 && (
                  <strong className="block">
                    Then {measureText(addMl, drops(addMl))} of {towards.name}.
                  </strong>
                )}
              </p>
            </li>
          ))}
        </ol>
        <p className="text-soft">
          The steps look even to the eye; the drops are not: a dark paint does most with its first. What is kept for a second coat is taken out before the
          puddle is darkened.
        </p>
      </div>
    </details>
  );
}
