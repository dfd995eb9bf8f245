import { useDraft } from "~/components/use-draft";

/** Longest that one go is said to have taken, minutes. */
const MOST_TOOK_MIN = 600;

/** Minutes as they are typed; null where nothing is said, NaN where it cannot be meant. */
function minutesOf(text: string): number | null {
  if (text.trim() === "") return null;
  const min = /^\d+([.,]\d+)?$/.test(text.trim()) ? Number(text.trim().replace(",", ".")) : NaN;
  return min > 0 && min <= MOST_TOOK_MIN ? min : NaN;
}

/** How long a go took, as it is being said. */
export interface Took {
  readonly typed: string;
  readonly type: (text: string) => void;
  /** Minutes; null where nothing is said, or it cannot be meant. */
  readonly minutes: number | null;
  readonly isWrong: boolean;
}

/** @param key of the go: what was typed of it is there again after a detour */
export function useTook(key: string): Took {
  const [typed, type] = useDraft(`took-${key}`, "");
  const minutes = minutesOf(typed);
  const isWrong = Number.isNaN(minutes);
  return { typed, type, minutes: isWrong ? null : minutes, isWrong };
}

/** Asks how many minutes a go took, where somebody likes to say. @param reckonedMin as it is reckoned */
export function TookField({ took, title, reckonedMin }: { took: Took; title: string; reckonedMin: number }) {
  return (
    <>
      <label className="inline-flex items-center gap-1 text-soft" title="Say it where you like: work is reckoned by your own pace from then on">
        took
        <input
          className="field w-16"
          inputMode="decimal"
          aria-label={`Minutes it took: ${title}`}
          placeholder={String(Math.max(1, Math.round(reckonedMin)))}
          aria-invalid={took.isWrong}
          value={took.typed}
          onChange={(event) => took.type(event.target.value)}
        />
        min
      </label>
      {took.isWrong && (
        <span role="alert" className="self-center font-semibold text-stop">
          Minutes as a number, up to {MOST_TOOK_MIN}.
        </span>
      )}
    </>
  );
}
