import type { CSSProperties } from "react";
import { DayPicker } from "react-day-picker";
import "react-day-picker/style.css";
import { format, parseISO } from "date-fns";

interface Props {
  readonly value: string;
  readonly today: string;
  readonly min?: string;
  readonly pick: (day: string) => void;
}

/** Its own colours are set where it stands: a sheet of styles of ours would come before its own. */
const COLOURS = { "--rdp-accent-color": "var(--act)", "--rdp-accent-background-color": "var(--warn-tint)" } as CSSProperties;

/** A sheet of days, Monday first. */
export default function DayPick({ value, today, min, pick }: Props) {
  const chosen = value === "" ? undefined : parseISO(value);
  return (
    <DayPicker
      mode="single"
      style={COLOURS}
      weekStartsOn={1}
      today={parseISO(today)}
      defaultMonth={chosen ?? parseISO(today)}
      {...(chosen ? { selected: chosen } : {})}
      {...(min === undefined ? {} : { disabled: { before: parseISO(min) } })}
      onSelect={(day) => day && pick(format(day, "yyyy-MM-dd"))}
    />
  );
}
