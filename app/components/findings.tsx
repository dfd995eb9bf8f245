import { CircleAlert, Info, OctagonAlert, ShieldAlert } from "lucide-react";
import { toldFindings } from "#core/coating/explain/told-findings";
import type { Change } from "#core/coating/model/change";
import type { Finding } from "#core/coating/model/plan";
import type { Severity } from "#core/catalogue/vocabulary";
import { zoneNames } from "./words";

const LOOK: Record<Severity, { icon: typeof Info; tint: string; word: string }> = {
  stop: { icon: OctagonAlert, tint: "bg-stop-tint border-stop", word: "Stop" },
  warn: { icon: CircleAlert, tint: "bg-warn-tint border-act", word: "Likely fault" },
  note: { icon: Info, tint: "bg-note-tint border-ready", word: "Worth knowing" },
  safety: { icon: ShieldAlert, tint: "bg-sheet border-soft", word: "Take care" },
};

/** What the plan has to say for itself: each finding with why, and the change that mends it. */
/** @param apply absent where there is no plan yet to change */
export function Findings({ findings, apply }: { findings: readonly Finding[]; apply?: (changes: readonly Change[]) => void }) {
  if (findings.length === 0) return null;
  return (
    <ul className="grid gap-2">
      {toldFindings(findings).map(({ finding: one, zones, change }, index) => {
        const { icon: Icon, tint, word } = LOOK[one.severity];
        const { text } = one.fix;
        return (
          <li key={`${one.code}-${one.zone}-${one.stepId}-${index}`} data-code={one.code} className={`flex gap-3 rounded-lg border-l-8 p-3 ${tint}`}>
            <Icon aria-hidden className="mt-0.5 shrink-0" size={22} />
            <div className="grow">
              <p>
                <strong>{word}:</strong> {one.message}. <span className="text-soft">{`${one.why.charAt(0).toUpperCase()}${one.why.slice(1)}.`}</span>
              </p>
              {zones.length > 1 && <p className="font-semibold">{zoneNames(zones)}</p>}
              <p>{text}</p>
            </div>
            {change && apply && (
              <button type="button" className="button shrink-0 self-center" aria-label={`Do that: ${text}`} onClick={() => apply(change)}>
                Do that
              </button>
            )}
          </li>
        );
      })}
    </ul>
  );
}
