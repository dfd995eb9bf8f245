import { useState } from "react";
import { Check, Scale as ScaleIcon } from "lucide-react";
import type { Ratio, Mix } from "#core/casting/mix";
import { comingPart, inBowl, targetOf, told, weighed } from "#core/casting/weighing-run";
import type { Run, RunPart, Told } from "#core/casting/weighing-run";
import { readMass, sayMass } from "#core/units/mass";
import { useAppContext } from "~/components/app-context";
import { weightUnit } from "./casting-words";
import type { WeightUnit } from "./casting-words";
import { useScale } from "./use-scale";
import type { LiveScale } from "./use-scale";
import { useDraft } from "~/components/use-draft";

/** What the two things on the scale are called. */
export interface PartWords {
  readonly first: string;
  readonly second: string;
}

interface Props {
  readonly run: Run;
  /** Names what is typed, among the drafts of the page. */
  readonly draft: string;
  readonly wanted: Mix;
  readonly ratio: Ratio;
  readonly words: PartWords;
  /** What stands on the scale: a bowl, a cup. */
  readonly vessel: string;
  readonly note: (run: Run) => void;
}

const NAME = { water: "first", powder: "second", "more-water": "first" } as const;

function partWord(part: Exclude<RunPart, "zero" | "done">, words: PartWords): string {
  const name = words[NAME[part]];
  return part === "more-water" ? `more ${name}` : name;
}

const STATE_WORDS: Readonly<Record<Told["state"], string>> = { nothing: "nothing on it yet", more: "still to go", right: "right", over: "too much" };

/** How far the weight has come, with the stretch that counts as right. */
function Gauge({ g, targetG, state }: { g: number; targetG: number; state: Told["state"] }) {
  const share = Math.max(0, Math.min(1.25, g / targetG)) / 1.25;
  const colour = state === "over" ? "var(--act)" : state === "right" ? "var(--ready)" : "var(--soft)";
  return (
    <span aria-hidden className="relative mt-2 block h-5 overflow-hidden rounded-md border-2 border-line">
      <span className="block h-full" style={{ width: `${share * 100}%`, background: colour }} />
      <span className="absolute inset-y-0 w-[3px] bg-ink" style={{ left: "80%" }} />
    </span>
  );
}

/** The buttons that put things on the made-up scale. */
function Hands({ scale, targetG }: { scale: LiveScale; targetG: number | null }) {
  const shown = scale.shows?.g ?? 0;
  const rest = targetG === null ? 0 : Math.round(targetG - shown);
  return (
    <div role="group" aria-label="What you put on the made-up scale" className="mt-3 flex flex-wrap gap-2">
      {[100, 10, 1].map((g) => (
        <button key={g} type="button" className="chip" onClick={() => scale.put(g)}>
          {g} g on
        </button>
      ))}
      <button type="button" className="chip" disabled={shown <= 0} onClick={() => scale.put(-Math.min(5, shown))}>
        5 g off
      </button>
      {targetG !== null && (
        <button type="button" className="chip" disabled={rest <= 0} onClick={() => scale.put(rest)}>
          the rest in a thread
        </button>
      )}
    </div>
  );
}

function advice(now: Told, part: string, unit: WeightUnit): string {
  if (now.toGoG === null) return "";
  if (now.state === "right") return "Right. Take it down.";
  if (now.state === "over") return `${sayMass(-now.toGoG, unit)} too much ${part}: take it down all the same, the other follows it.`;
  return `${sayMass(now.toGoG, unit)} ${part} to go.`;
}

/** The scale in turn: set to zero, the first, set to zero, the second; large enough to be read from where the bowl stands. */
export function WeighPart({ draft, run, wanted, ratio, words, vessel, note }: Props) {
  const unit = weightUnit(useAppContext().settings.units);
  const [live, setLive] = useState(false);
  const [text, setText] = useDraft(draft, "");
  const scale = useScale(live);
  const typedG = readMass(text, unit);
  const g = scale ? (scale.shows?.g ?? 0) : (typedG ?? 0);
  const now = told(run, wanted, ratio, g);
  const coming = comingPart(run, ratio);
  const target = targetOf(run, wanted, ratio);
  const settled = scale ? scale.steadyG : typedG;
  const take = (next: Run) => {
    note(next);
    setText("");
  };
  const begun = inBowl(run, wanted);
  const moved = run.waterG !== undefined && target !== wanted && run.powderG === undefined;
  if (now.part === "done")
    return (
      <p data-weighed>
        <Check aria-hidden size={20} className="inline text-ready" /> In the {vessel}: {sayMass(begun!.waterG, unit)} {words.first},{" "}
        {sayMass(begun!.powderG, unit)} {words.second}
        {begun!.extraG > 1 && `; ${sayMass(begun!.extraG, unit)} more than the moulds need`}
        {begun!.extraG < -1 && `; ${sayMass(-begun!.extraG, unit)} less than was wanted`}.
      </p>
    );
  return (
    <section aria-label="At the scale" data-weighing={now.part} className="sheet p-4">
      <ol className="flex flex-wrap gap-x-4 text-soft" aria-label="In this order">
        {(["water", "powder"] as const).map((part) => (
          <li key={part} aria-current={coming === part ? "step" : undefined} className={coming === part ? "font-semibold text-ink" : ""}>
            zero, then {sayMass(part === "water" ? target.waterG : target.powderG, unit)} {partWord(part, words)}
            {part === "water" && run.waterG !== undefined && ` (${sayMass(run.waterG, unit)} is in)`}
          </li>
        ))}
      </ol>
      {moved && (
        <p className="mt-2 text-act" role="status">
          {sayMass(run.waterG!, unit)} {words.first} went in, so the {words.second} is {sayMass(target.powderG, unit)} now, and it makes{" "}
          {sayMass(Math.max(0, target.waterG + target.powderG - wanted.waterG - wanted.powderG), unit)} of reserve.
        </p>
      )}
      {now.part === "zero" ? (
        <div className="mt-3">
          <p className="text-3xl sm:text-4xl">Set the scale to zero</p>
          <p className="text-soft">
            {run.waterG === undefined ? `The empty ${vessel} stands on it.` : `The ${vessel} stays on it. Then ${partWord(coming as "powder", words)}.`}
          </p>
          <button
            type="button"
            data-primary
            className="button button-act mt-3 text-lg"
            onClick={() => {
              scale?.tare();
              take(weighed(run, ratio, 0));
            }}
          >
            It shows zero
          </button>
        </div>
      ) : (
        <div className="mt-3">
          <p className="flex flex-wrap items-baseline gap-x-3">
            <span className="text-6xl font-semibold tabular-nums sm:text-7xl" data-shows>
              {scale ? sayMass(Math.max(0, g), unit) : typedG === null ? "–" : sayMass(g, unit)}
            </span>
            <span className="text-3xl tabular-nums sm:text-4xl">
              of {sayMass(now.targetG!, unit)} {partWord(now.part, words)}
            </span>
          </p>
          <Gauge g={g} targetG={now.targetG!} state={now.state} />
          <p className={`mt-1 text-xl ${now.state === "over" ? "text-act" : now.state === "right" ? "text-ready" : ""}`} role="status">
            {now.state === "nothing" ? STATE_WORDS.nothing : advice(now, partWord(now.part, words), unit)}
          </p>
          {scale ? (
            <Hands scale={scale} targetG={now.targetG} />
          ) : (
            <label className="mt-3 block max-w-56">
              What the scale shows
              <input
                className="field text-xl"
                inputMode="decimal"
                autoComplete="off"
                value={text}
                placeholder={sayMass(now.targetG!, unit)}
                onChange={(event) => setText(event.target.value)}
              />
            </label>
          )}
          <p className="mt-3 flex flex-wrap gap-2">
            <button
              type="button"
              data-primary
              className="button button-act text-lg"
              disabled={settled === null || settled <= 0 || now.state === "more" || now.state === "nothing"}
              onClick={() => settled !== null && take(weighed(run, ratio, settled))}
            >
              Take it down
            </button>
            {now.state === "more" && settled !== null && settled > 0 && (
              <button
                type="button"
                className="button"
                onClick={() => take({ ...weighed(run, ratio, settled), ...(now.part === "water" ? {} : { asItIs: true }) })}
              >
                There is no more: go on with {sayMass(settled, unit)}
              </button>
            )}
          </p>
        </div>
      )}
      <p className="mt-3">
        <button type="button" className="button" aria-pressed={live} onClick={() => setLive(!live)}>
          <ScaleIcon aria-hidden size={18} /> {live ? "Type the weights instead" : "Try it with a made-up scale"}
        </button>
      </p>
    </section>
  );
}
