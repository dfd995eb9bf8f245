import { Check, Fingerprint } from "lucide-react";
import type { Touch } from "#core/logbook/learning/stages";
import type { Look } from "#core/logbook/progress";
import { once } from "~/components/once";
import { TOUCH_WORDS } from "~/components/touch-words";

interface Props {
  readonly by: Touch;
  /** What is waited for, for who does not see the page. */
  readonly title: string;
  readonly note: (seen: Look["seen"]) => void;
}

/** Asks what a finger says of the film beneath: the one thing its drying is learnt from. */
export function Touched({ by, title, note }: Props) {
  return (
    <div className="grid gap-2 rounded-lg border border-dashed border-line p-3" role="group" aria-label={`What lies beneath, touched: ${title}`} data-touched>
      <p>{TOUCH_WORDS[by]}</p>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button" title="Its drying is learnt from" onClick={(event) => once(event) && note("dry")}>
          <Check aria-hidden size={20} /> No, it is dry
        </button>
        <button type="button" className="button" title="It is left for longer, and its drying is learnt from" onClick={() => note("tacky")}>
          <Fingerprint aria-hidden size={20} /> Still tacky
        </button>
      </div>
    </div>
  );
}
