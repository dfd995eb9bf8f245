import { useState } from "react";
import type { ReactNode } from "react";

interface Named {
  readonly id: string;
  readonly name: string;
}

/** A part of a panel under its heading. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="border-t-2 border-dashed border-line pt-3 first:border-t-0 first:pt-0">
      <h2 className="mb-2 text-lg">{title}</h2>
      {children}
    </section>
  );
}

interface ChipsProps {
  readonly label: string;
  readonly fact?: string;
  readonly choices: readonly Named[];
  readonly chosen: readonly string[];
  readonly onChange: (ids: readonly string[]) => void;
  /** At least this many stay chosen. */
  readonly least?: number;
}

/** Several may be chosen. */
export function Chips({ label, fact, choices, chosen, onChange, least = 0 }: ChipsProps) {
  return (
    <div role="group" aria-label={label} data-fact={fact} className="flex flex-wrap gap-2">
      {choices.map(({ id, name }) => {
        const on = chosen.includes(id);
        return (
          <label key={id} className="chip">
            <input
              type="checkbox"
              className="accent-ready"
              checked={on}
              disabled={on && chosen.length <= least}
              onChange={() => onChange(on ? chosen.filter((one) => one !== id) : [...chosen, id])}
            />
            {name}
          </label>
        );
      })}
    </div>
  );
}

/** One may be chosen. */
export function Choice({
  label,
  fact,
  value,
  choices,
  onChange,
}: {
  label: string;
  fact?: string;
  value: string;
  choices: readonly Named[];
  onChange: (id: string) => void;
}) {
  return (
    <label className="block" data-fact={fact}>
      <span className="block">{label}</span>
      <select className="field" value={value} onChange={(event) => onChange(event.target.value)}>
        {choices.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** A colour that is saved when the picker closes, so that dragging in it does not save a hundred times. */
export function Colour({ label, fact, value, onChange }: { label: string; fact?: string; value: string; onChange: (hex: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <label className="flex items-center gap-2" data-fact={fact}>
      <input
        type="color"
        className="h-11 w-14 rounded border-2 border-line bg-sheet"
        value={draft ?? value}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => {
          if (draft && draft !== value) onChange(draft);
          setDraft(null);
        }}
      />
      {label}
    </label>
  );
}

/** Brings the hands to where a fact is said. */
export function focusFact(path: string): void {
  const place = document.querySelector<HTMLElement>(`[data-fact="${CSS.escape(path)}"]`);
  place?.scrollIntoView({ block: "center" });
  (place?.querySelector<HTMLElement>("input, select, button") ?? place)?.focus();
}
