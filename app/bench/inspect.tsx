import { useState } from "react";
import { Check, X } from "lucide-react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { ZoneId } from "#core/catalogue/vocabulary";
import type { Change } from "#core/coating/model/change";
import type { Step } from "#core/coating/model/step";
import { CUT_GRADES, cutSpacingMm, GOOD_GRADE } from "#core/logbook/inspections/inspection";
import type { CutStack, Inspection, InspectionKind } from "#core/logbook/inspections/inspection";
import { inspectionsAfter, proposalFor } from "#core/logbook/inspections/inspect";
import type { Proposal } from "#core/logbook/inspections/inspect";
import { CutPicture } from "./cut-picture";

/** What was found. */
export interface Found {
  readonly kind: InspectionKind;
  readonly passed: boolean;
  readonly grade?: number;
}

function cutWords({ dryMicrons, soft }: CutStack): string {
  const mm = cutSpacingMm(dryMicrons, soft);
  return mm === null ? "These coats are too thick for it: cut an X of two lines, 4 cm long, in place of the squares." : `Lines ${mm} mm apart.`;
}

interface Props {
  /** The film that is looked at. */
  readonly step: Step;
  readonly zone: ZoneId;
  /** It is hard right through. */
  readonly hard: boolean;
  readonly title?: string;
  /** The last band on the same place, where that is another. */
  readonly top?: Step;
  /** All coats of the place, where they may be cut. */
  readonly stack?: CutStack;
  readonly note: (found: Found) => void;
  readonly apply: (changes: readonly Change[]) => void;
  /** It has to be left for longer. */
  readonly wait: () => void;
  /** It has to be put right: which mishap it is. */
  readonly rescue: (mishap: string) => void;
}

/** Ways to see whether a stage is right before the next one covers it; what fails proposes what to do. */
export function Inspect({ step, zone, hard, title = "Look before you cover it", top = step, stack, note, apply, wait, rescue }: Props) {
  const all = inspectionsAfter(step, hard);
  const [found, setFound] = useState<Found | null>(null);
  if (all.length === 0) return null;
  const find = (one: Found) => {
    note(one);
    setFound(one);
  };
  const proposal = found && !found.passed ? proposalFor(found.kind, step, zone, CATALOGUE, top) : null;
  return (
    <details className="mt-4">
      <summary className="w-fit min-h-[44px] py-2 underline">
        {title} ({all.map(({ name }) => name.toLowerCase()).join(", ")})
      </summary>
      <ul className="mt-1 grid gap-3">
        {all.map((one) => (
          <li key={one.id} className="border-t border-dashed border-line pt-2">
            <One inspection={one} stack={stack} find={find} />
          </li>
        ))}
      </ul>
      {found?.passed && (
        <p role="status" className="mt-2 font-semibold text-ready">
          <Check aria-hidden size={18} className="inline" /> Noted: it held.
        </p>
      )}
      {proposal && <Proposed proposal={proposal} apply={apply} wait={wait} rescue={rescue} close={() => setFound(null)} />}
    </details>
  );
}

function One({ inspection: { id, name, how, good, bad }, stack, find }: { inspection: Inspection; stack: CutStack | undefined; find: (found: Found) => void }) {
  return (
    <>
      <p>
        <strong>{name}.</strong> {how}
      </p>
      <p className="text-soft">
        Good: {good}. Not good: {bad}.{id === "tape" && stack && ` ${cutWords(stack)}`}
      </p>
      {id === "tape" ? (
        <div className="mt-1 flex flex-wrap gap-2" role="group" aria-label="Which of these does it look like?">
          {CUT_GRADES.map(({ grade, astm, says }) => (
            <button
              key={grade}
              type="button"
              className="chip flex-col items-center py-2"
              aria-label={`Grade ${grade}: ${says}`}
              onClick={() => find({ kind: id, passed: grade <= GOOD_GRADE, grade })}
            >
              <CutPicture grade={grade} />
              <span className="text-sm">
                {grade} <span className="text-soft">({astm})</span>
              </span>
            </button>
          ))}
        </div>
      ) : (
        <p className="mt-1 flex flex-wrap gap-2">
          <button type="button" className="button" aria-label={`${name}: good`} onClick={() => find({ kind: id, passed: true })}>
            <Check aria-hidden size={18} /> Good
          </button>
          <button type="button" className="button" aria-label={`${name}: not good`} onClick={() => find({ kind: id, passed: false })}>
            <X aria-hidden size={18} /> Not good
          </button>
        </p>
      )}
    </>
  );
}

function Proposed({ proposal, apply, wait, rescue, close }: { proposal: Proposal; close: () => void } & Pick<Props, "apply" | "wait" | "rescue">) {
  const { text, changes, mishap } = proposal;
  const act = () => {
    if (mishap !== undefined) rescue(mishap);
    else if (proposal.wait) wait();
    else apply(changes);
    close();
  };
  return (
    <div role="status" className="mt-2 rounded-lg border-l-8 border-act bg-warn-tint p-3">
      <p>{text}</p>
      <p className="mt-2 flex flex-wrap gap-2">
        {(changes.length > 0 || proposal.wait || mishap !== undefined) && (
          <button type="button" className="button button-act" onClick={act}>
            {mishap !== undefined ? "Put it right" : proposal.wait ? "Leave it for longer" : "Put that into the plan"}
          </button>
        )}
        <button type="button" className="button" onClick={close}>
          Go on as it is
        </button>
      </p>
    </div>
  );
}
