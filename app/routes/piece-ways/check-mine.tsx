import { useState } from "react";
import { COMMON_SEQUENCES } from "#core/catalogue/data/sequence-words";
import type { ReadSequence, SaidStep } from "#core/coating/model/read-sequence";
import { nameOfColour } from "#core/film/colour-names";
import type { Menu } from "#core/catalogue/menu";
import { Awaited } from "~/components/awaited";
import { ColourChip } from "~/components/colour-chip";
import { Findings } from "~/components/findings";
import { sayDay } from "~/components/time-words";
import { useNow } from "~/components/use-now";
import { stepTitle, zoneNames } from "~/components/words";
import type { MineView } from "~/workers/plan-worker-api";

interface Props {
  /** What was last asked about. */
  readonly text: string;
  readonly read: ReadSequence;
  readonly checked: Promise<MineView | null>;
  readonly menu: Menu;
  readonly check: (text: string) => void;
  readonly plan: (mine: MineView) => void;
  readonly onIt: (mine: MineView) => void;
}

const MAX_TEXT = 600;
const NOON = "T12:00";

/** A step as its title is made of it. */
function titled({ jar, heat, ...step }: SaidStep) {
  return {
    ...step,
    ...(jar === undefined ? {} : { ownProduct: jar }),
    ...(heat === undefined ? {} : { heat: { kind: "oven", start: "cold", cool: "inside", ...heat } as const }),
  };
}

/** What was understood, step by step, so that the user sees it before it counts. */
function Understood({ read: { steps, unread }, menu }: Pick<Props, "read" | "menu">) {
  const now = useNow();
  const said = ({ day, colour, mix, coats }: SaidStep) =>
    [
      ...(colour === undefined ? [] : [mix === undefined ? nameOfColour(colour) : `mixed from ${mix}, about ${nameOfColour(colour)}`]),
      ...(coats === undefined ? [] : [`${coats} ${coats === 1 ? "coat" : "coats"}`]),
      ...(day === undefined ? [] : [sayDay(Date.parse(`${day}${NOON}`), now)]),
    ].join(", ");
  return (
    <>
      {steps.length > 0 && (
        <ol className="mt-2 grid gap-1" aria-label="What was understood">
          {steps.map((step, index) => (
            <li key={index}>
              <span className="mr-2 inline-block min-w-5 text-soft">{index + 1}</span>
              {stepTitle(titled(step), menu, false)}
              {step.colour !== undefined && (
                <span className="mx-1">
                  <ColourChip colour={step.colour} sheen={step.sheen} size={18} />
                </span>
              )}
              <span className="text-soft"> {said(step)}</span>
            </li>
          ))}
        </ol>
      )}
      {unread.length > 0 && (
        <p role="alert" className="mt-2 text-stop">
          Not understood, and left out: {unread.map((words) => `“${words}”`).join(", ")}. Say it with the name of a paint, or what you did.
        </p>
      )}
    </>
  );
}

/** Judges what the user has in mind or has done already, in their words; makes a plan of it, or goes on from it. */
export function CheckMine({ text, read, checked, menu, check, plan, onIt }: Props) {
  const [words, setWords] = useState(text);
  return (
    <section aria-labelledby="check-mine" className="mt-8">
      <h2 id="check-mine" className="text-xl">
        Check what you have in mind, or have done
      </h2>
      <form
        className="mt-2"
        onSubmit={(event) => {
          event.preventDefault();
          check(words.trim());
        }}
      >
        <label>
          In your words, step by step
          <textarea
            className="field block"
            rows={2}
            maxLength={MAX_TEXT}
            value={words}
            placeholder="gesso on Sunday, two blue coats, chalk rings on it"
            onChange={(event) => setWords(event.target.value)}
          />
        </label>
        <p className="mt-2 flex flex-wrap items-center gap-2">
          <button type="submit" className="button button-act" disabled={words.trim() === ""}>
            Check it
          </button>
          <span className="text-soft">or begin from what is common:</span>
          {COMMON_SEQUENCES.map((one) => (
            <button key={one} type="button" className="chip text-left" onClick={() => setWords(one)}>
              {one}
            </button>
          ))}
        </p>
      </form>
      {text !== "" && (
        <div className="sheet mt-3 p-4">
          <Understood read={read} menu={menu} />
          <Awaited of={checked} waiting={<p role="status">Looking at it…</p>}>
            {(mine, busy) =>
              mine && (
                <div aria-busy={busy} className="mt-3 grid gap-3">
                  <p className="text-soft">
                    Taken for {zoneNames(mine.zones).toLowerCase()}; decoration, guides and masks only where the decoration is. Where you named no number of
                    coats, one is noted.
                  </p>
                  {mine.findings.length === 0 ? <p className="font-semibold text-ready">Nothing speaks against it.</p> : <Findings findings={mine.findings} />}
                  <p className="flex flex-wrap gap-2">
                    <button type="button" className="button" onClick={() => plan(mine)}>
                      Make it my plan
                    </button>
                    {mine.done.length > 0 && (
                      <button type="button" className="button" onClick={() => onIt(mine)}>
                        It is on the piece already: go on from there
                      </button>
                    )}
                  </p>
                </div>
              )
            }
          </Awaited>
        </div>
      )}
    </section>
  );
}
