import { Checkbox, RadioGroup, Select } from "radix-ui";
import { useId } from "react";
import { getNonce } from "get-nonce";
import { Check, ChevronDown } from "lucide-react";
import { hurryAsks } from "~/actions/use-ask";

interface Named {
  readonly id: string;
  readonly name: string;
}

interface ChipsProps {
  readonly label: string;
  readonly choices: readonly Named[];
  readonly chosen: readonly string[];
  readonly onChange: (ids: readonly string[]) => void;
  /** At least this many stay chosen. */
  readonly least?: number;
}

/** One box to tick, with its words. */
export function Tick({ name, on, disabled = false, onChange }: { name: string; on: boolean; disabled?: boolean; onChange: (on: boolean) => void }) {
  const id = useId();
  return (
    <label htmlFor={id} className="chip" data-on={on}>
      <Checkbox.Root id={id} className="tick" checked={on} disabled={disabled} onCheckedChange={(next) => onChange(next === true)}>
        <Checkbox.Indicator>
          <Check aria-hidden size={16} strokeWidth={3} />
        </Checkbox.Indicator>
      </Checkbox.Root>
      {name}
    </label>
  );
}

/** Several may be chosen. */
export function Chips({ label, choices, chosen, onChange, least = 0 }: ChipsProps) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-2">
      {choices.map(({ id, name }) => {
        const on = chosen.includes(id);
        return (
          <Tick
            key={id}
            name={name}
            on={on}
            disabled={on && chosen.length <= least}
            onChange={() => onChange(on ? chosen.filter((one) => one !== id) : [...chosen, id])}
          />
        );
      })}
    </div>
  );
}

interface ChoiceProps {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly Named[];
  readonly onChange: (id: string) => void;
  /** Its label is only for whoever listens. */
  readonly unseen?: boolean;
}

/** Radix keeps "" for itself: what is left open stands under a name of its own inside the list. */
const OPEN = "-";

/** One of many may be chosen, in a list that opens. */
export function Choice({ label, value, choices, onChange, unseen = false }: ChoiceProps) {
  const id = useId();
  return (
    <div className="block">
      <span id={`${id}-label`} className={unseen ? "sr-only" : "block"}>
        {label}
      </span>
      <Select.Root value={value === "" ? OPEN : value} onValueChange={(next) => onChange(next === OPEN ? "" : next)}>
        <Select.Trigger id={id} className="field flex items-center justify-between gap-2 text-left" aria-labelledby={`${id}-label ${id}`}>
          <span className="min-w-0 truncate">
            <Select.Value>{choices.find((one) => one.id === value)?.name ?? value}</Select.Value>
          </span>
          <Select.Icon>
            <ChevronDown aria-hidden size={18} />
          </Select.Icon>
        </Select.Trigger>
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={4}
            className="note z-30 max-h-[min(24rem,var(--radix-select-content-available-height))] min-w-(--radix-select-trigger-width)"
          >
            <Select.Viewport nonce={getNonce() ?? ""} className="p-1">
              {choices.map((one) => (
                <Select.Item key={one.id} value={one.id === "" ? OPEN : one.id} className="option">
                  <Select.ItemText>{one.name}</Select.ItemText>
                  <Select.ItemIndicator>
                    <Check aria-hidden size={16} />
                  </Select.ItemIndicator>
                </Select.Item>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
    </div>
  );
}

/** One of a few may be chosen, all of them in sight. */
export function Radios({
  legend,
  value,
  choices,
  onChange,
  unseen = false,
}: { legend: string } & Pick<ChoiceProps, "value" | "choices" | "onChange" | "unseen">) {
  const id = useId();
  return (
    <div>
      <p id={`${id}-legend`} className={unseen ? "sr-only" : "mb-1"}>
        {legend}
      </p>
      <RadioGroup.Root value={value} onValueChange={onChange} aria-labelledby={`${id}-legend`} className="flex flex-wrap gap-2">
        {choices.map((one) => (
          <label key={one.id} htmlFor={`${id}-${one.id}`} className="chip" data-on={one.id === value}>
            <RadioGroup.Item id={`${id}-${one.id}`} value={one.id} className="tick rounded-full">
              <RadioGroup.Indicator className="block size-2.5 rounded-full bg-current" />
            </RadioGroup.Item>
            {one.name}
          </label>
        ))}
      </RadioGroup.Root>
    </div>
  );
}

/** A colour, saved while it is picked: dragging in the picker is one change. */
export function Colour({ label, value, onChange }: { label: string; value: string; onChange: (hex: string) => void }) {
  return (
    <label className="flex items-center gap-2">
      <input
        type="color"
        className="h-11 w-14 rounded border-2 border-line bg-sheet"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onBlur={hurryAsks}
      />
      {label}
    </label>
  );
}
