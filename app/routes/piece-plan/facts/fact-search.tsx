import { Command } from "cmdk";
import { useState } from "react";
import { useAppContext } from "~/components/app-context";
import type { FactProps } from "./fact-props";
import { meantBy, sayable } from "./fact-words";
import type { Sayable } from "./fact-words";
import { FACT_LABELS } from "./sentences";

const MOST_SHOWN = 8;

/** Says anything of a piece, or what is wrong with it, by a few letters of it. */
export function FactSearch({ record, menu, save }: Pick<FactProps, "record" | "menu" | "save">) {
  const { announce } = useAppContext();
  const [typed, setTyped] = useState("");
  const found = meantBy(typed, sayable(record.piece, menu)).slice(0, MOST_SHOWN);
  const say = ({ name, on, changes }: Sayable) => {
    save(changes);
    announce(on ? `No longer said: ${name}` : `Said: ${name}`);
    setTyped("");
  };
  return (
    <Command label="Say more of it" shouldFilter={false} className="mt-3">
      <Command.Input
        value={typed}
        onValueChange={setTyped}
        onKeyDown={(event) => {
          if (event.key === "Escape") setTyped("");
        }}
        className="field"
        placeholder="What is wrong with it? chipped, salt…"
        aria-label="Say more of it, or what is wrong with it"
      />
      <Command.List className={typed.trim() === "" ? "hidden" : "note mt-1 p-1"}>
        {found.length === 0 && <p className="p-2 text-soft">Nothing here is called that.</p>}
        {found.map((thing) => (
          <Command.Item
            key={`${thing.fact} ${thing.name}`}
            value={`${thing.fact} ${thing.name}`}
            onSelect={() => say(thing)}
            className="flex min-h-[44px] items-center justify-between gap-3 rounded-md px-3 py-1 aria-selected:bg-note-tint aria-selected:font-semibold"
          >
            <span>{thing.on ? `Not so: ${thing.name.toLowerCase()}` : thing.name}</span>
            <span className="text-right text-sm text-soft">{FACT_LABELS[thing.fact].toLowerCase()}</span>
          </Command.Item>
        ))}
      </Command.List>
    </Command>
  );
}
