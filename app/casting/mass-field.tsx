import { readMass, sayMass } from "#core/units/mass";
import { TypedBox } from "~/components/typed-box";
import { useTyped } from "~/components/use-typed";
import type { WeightUnit } from "./casting-words";

interface Props {
  readonly label: string;
  readonly g: number | undefined;
  readonly unit: WeightUnit;
  readonly bounds: { readonly least: number; readonly most: number };
  readonly typical?: string | undefined;
  readonly save: (g: number | undefined) => void;
}

/** A weight as people write it: "612", "4.5 kg", "10 lb", "8 oz"; what has no unit is in the user's. */
export function MassField({ label, g, unit, bounds: { least, most }, typical, save }: Props) {
  const field = useTyped<number | undefined>({
    value: g,
    text: (value) => (value === undefined ? "" : sayMass(value, unit)),
    read: (text) => {
      if (text.trim() === "") return { value: undefined };
      const value = readMass(text, unit);
      if (value === null) return { wrong: "a weight: 612 g, 4.5 kg, 10 lb" };
      return value >= least && value <= most ? { value } : { wrong: `from ${sayMass(least, unit)} to ${sayMass(most, unit)}` };
    },
    save: (value) => save(value),
  });
  return <TypedBox field={field} label={label} className="field placeholder:text-soft placeholder:italic" placeholder={typical} />;
}
