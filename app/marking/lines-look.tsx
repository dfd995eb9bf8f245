import { Circle, Eye, Layers, PenLine, Printer, Ruler, ScanLine, Spline, Wrench } from "lucide-react";
import type { LucideIcon } from "lucide-react";
import { guideSteps } from "#core/marking/guides";
import type { Instrument } from "#core/marking/guide-ask";
import { PATTERN_LIMITS } from "#core/piece/pattern";
import { Choice, Radios, Tick } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import { useAppContext } from "~/components/app-context";
import { KeepOutsPart } from "./keep-outs-part";
import type { LookProps } from "./look-props";

const ICONS: Readonly<Record<Instrument, { readonly icon: LucideIcon; readonly name: string }>> = {
  compass: { icon: Circle, name: "compass" },
  tape: { icon: ScanLine, name: "tape" },
  ruler: { icon: Ruler, name: "ruler" },
  template: { icon: Spline, name: "template" },
  stack: { icon: Layers, name: "a stack" },
  tool: { icon: Wrench, name: "a blunt point" },
  pencil: { icon: PenLine, name: "pencil" },
  eye: { icon: Eye, name: "by eye" },
};

const PARTS = [1, 2, 3, 4, 6, 8, 12, 16, 24, 32, 60];

/** How the place is parted, and every line in words with its instrument. */
export function LinesLook({ pattern, place, solved, subject, change }: LookProps) {
  const { units } = useAppContext().settings;
  const steps = guideSteps({ ...subject, surface: place.surface, pattern, solved, unit: units });
  const parts = [...new Set([...PARTS, pattern.guides ?? 1])].sort((a, b) => a - b);
  return (
    <div className="grid gap-4">
      <div className="grid items-end gap-3 sm:grid-cols-3 print:hidden">
        <Choice
          label="Lines that part the round"
          value={String(pattern.guides ?? 1)}
          choices={parts.map((count) => ({ id: String(count), name: count === 1 ? "none" : String(count) }))}
          onChange={(id) => change({ guides: Number(id) })}
        />
        <NumberField
          label="Kept clear at the edge"
          unit="mm"
          value={pattern.clearMm}
          typical="0"
          bounds={PATTERN_LIMITS.placeMm}
          save={(value) => change({ clearMm: value ?? 0 })}
        />
        <Tick name="By eye, no lines" on={pattern.byEye ?? false} onChange={(on) => change(on ? { byEye: true } : {}, on ? [] : ["byEye"])} />
      </div>
      {subject.parts.includes("handle") && (
        <Radios
          legend="Which hand drinks from it"
          value={pattern.hand ?? "right"}
          choices={[
            { id: "right", name: "the right" },
            { id: "left", name: "the left" },
          ]}
          onChange={(hand) => change({ hand: hand as "right" | "left" })}
        />
      )}
      <KeepOutsPart pattern={pattern} place={place} subject={subject} change={change}>
        <button type="button" className="button" onClick={() => window.print()}>
          <Printer aria-hidden size={18} /> Print these instructions
        </button>
      </KeepOutsPart>
      <ol className="grid gap-3" aria-label="Lines to draw">
        {steps.map(({ id, instrument, title, text }) => {
          const { icon: Icon, name } = ICONS[instrument];
          return (
            <li key={id} className="flex gap-3">
              <span className="flex w-16 shrink-0 flex-col items-center text-soft">
                <Icon aria-hidden size={24} />
                <span className="text-sm leading-tight text-center">{name}</span>
              </span>
              <p className="min-w-0">
                <strong className="block">{title}</strong>
                {text}
              </p>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
