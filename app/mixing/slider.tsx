import { useId } from "react";
import { useAppContext } from "~/components/app-context";
import { thinnedText } from "./desk-words";

interface Props {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step: number;
  /** The value as it is said beside the slider. */
  readonly says: string;
  readonly onChange: (value: number) => void;
}

/** An amount under the finger: what follows from it is told while it is dragged. */
export function Slider({ label, value, least, most, step, says, onChange }: Props) {
  const id = useId();
  return (
    <div>
      <div className="flex items-baseline justify-between gap-3">
        <label htmlFor={id}>{label}</label>
        <output htmlFor={id} className="font-semibold">
          {says}
        </output>
      </div>
      <input
        id={id}
        type="range"
        className="slider"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={says}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </div>
  );
}

/** Amounts worth having on a slider: fine where little is poured, coarse where much is. */
export const AMOUNTS_ML = [1, 2, 3, 4, 5, 6, 8, 10, 12, 15, 20, 25, 30, 40, 50, 60, 80, 100, 150, 200, 300, 500] as const;

/** A slider over amounts of paint, mL. */
export function AmountSlider({ label, ml, onChange, says }: { label: string; ml: number; says: string; onChange: (ml: number) => void }) {
  const nearest = AMOUNTS_ML.reduce((best, one, at) => (Math.abs(one - ml) < Math.abs(AMOUNTS_ML[best]! - ml) ? at : best), 0);
  return <Slider label={label} value={nearest} least={0} most={AMOUNTS_ML.length - 1} step={1} says={says} onChange={(at) => onChange(AMOUNTS_ML[at]!)} />;
}

/** How far a paint is thinned, told in the user's own drops. */
export function ThinnedSlider({ label, percent, most, onChange }: { label: string; percent: number; most: number; onChange: (percent: number) => void }) {
  const { dropsPerMl } = useAppContext().settings;
  return <Slider label={label} value={Math.min(most, percent)} least={0} most={most} step={5} says={thinnedText(percent, dropsPerMl)} onChange={onChange} />;
}
