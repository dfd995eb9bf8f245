import { RotateCcw } from "lucide-react";
import type { SaidChanges } from "#core/coating/explain/said-changes";
import { Awaited } from "~/components/awaited";
import { sayClock } from "~/components/time-words";
import { useNow } from "~/components/use-now";
import { sayFact } from "~/components/words";
import type { ToldVersion } from "~/piece/versions.client";

const counted = (count: number, one: string, more: string) => `${count} ${count === 1 ? one : more}`;

/** What became another in a version, in a few words. */
export function sayChanges(changes: SaidChanges | null): string {
  if (changes === null) return "as it was first";
  const { facts, way, steps, pinned } = changes;
  const said = [
    ...new Set(facts.map(sayFact)),
    ...(way === null ? [] : [`another way: ${way}`]),
    ...(steps > 0 ? [counted(steps, "change by your hand", "changes by your hand")] : []),
    ...(steps < 0 ? [`${counted(-steps, "change", "changes")} by your hand taken out`] : []),
    ...(pinned > 0 ? [counted(pinned, "step kept", "steps kept")] : []),
    ...(pinned < 0 ? [counted(-pinned, "step let go", "steps let go")] : []),
  ];
  return said.length === 0 ? "a step set otherwise" : said.join(", ");
}

/** What was changed of the plan and when; any of it can be had back. */
export function Versions({ versions, bringBack }: { versions: Promise<readonly ToldVersion[]>; bringBack: (id: string) => void }) {
  const now = useNow();
  return (
    <Awaited of={versions} waiting={null}>
      {(told) =>
        told.length > 1 && (
          <details className="mt-6 print:hidden">
            <summary className="w-fit py-2 text-soft underline">What was changed, and when</summary>
            <ol className="grid max-w-prose gap-1" aria-label="Versions of this plan">
              {told.map(({ id, at, changes, isNow }) => (
                <li key={id} className="flex flex-wrap items-center justify-between gap-x-3 border-b border-dashed border-line pb-1">
                  <span className="min-w-0">
                    <span className="text-soft">{sayClock(at, now)}: </span>
                    {sayChanges(changes)}
                  </span>
                  {isNow ? (
                    <span className="text-soft">as it is now</span>
                  ) : (
                    <button
                      type="button"
                      className="button"
                      aria-label={`Bring back the plan of ${sayClock(at, now)}: ${sayChanges(changes)}`}
                      onClick={() => bringBack(id)}
                    >
                      <RotateCcw aria-hidden size={18} /> Bring it back
                    </button>
                  )}
                </li>
              ))}
            </ol>
          </details>
        )
      }
    </Awaited>
  );
}
