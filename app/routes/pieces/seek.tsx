import { useState } from "react";
import { useSearchParams } from "react-router";
import { Choice } from "~/components/fields";
import { useColumns } from "~/components/use-columns";
import { ONLY, ORDERS } from "./sought";
import type { Sought } from "./sought";

const oneOf = <I extends string>(choices: readonly { readonly id: I }[], said: string | null): I => choices.find(({ id }) => id === said)?.id ?? choices[0]!.id;

/** What is looked for, kept in the address: Back finds the list as it was left. */
export function useSought(): readonly [Sought, (change: Partial<Sought>) => void] {
  const [params, setParams] = useSearchParams();
  const sought: Sought = {
    text: params.get("find") ?? "",
    order: oneOf(ORDERS, params.get("order")),
    only: oneOf(ONLY, params.get("show")),
    set: params.get("set") ?? "",
  };
  const seek = (change: Partial<Sought>) => {
    const { text, order, only, set } = { ...sought, ...change };
    const next = { find: text, order: order === "name" ? "" : order, show: only === "all" ? "" : only, set };
    setParams(new URLSearchParams(Object.entries(next).filter(([, value]) => value !== "")), { replace: true, preventScrollReset: true });
  };
  return [sought, seek];
}

interface Props {
  readonly sought: Sought;
  readonly seek: (change: Partial<Sought>) => void;
  readonly sets: readonly string[];
}

/** Finds pieces by a few letters, by where they stand, by their set; and orders them. */
export function Seek({ sought, seek, sets }: Props) {
  const phone = useColumns() === 1;
  const plain = sought.text === "" && sought.only === "all" && sought.order === "name" && sought.set === "";
  // What is looked for stays in sight, also when the last letter of it is taken out.
  const [open, setOpen] = useState(!plain);
  const fields = (
    <search className="mt-4 grid items-end gap-3 sm:grid-cols-2 lg:grid-cols-4" aria-label="Look through the pieces">
      <label className="block">
        Look for
        <input type="search" className="field" value={sought.text} onChange={(event) => seek({ text: event.target.value })} />
      </label>
      <Choice label="Show" value={sought.only} choices={ONLY} onChange={(only) => seek({ only: oneOf(ONLY, only) })} />
      <Choice label="In order of" value={sought.order} choices={ORDERS} onChange={(order) => seek({ order: oneOf(ORDERS, order) })} />
      {sets.length > 0 && (
        <Choice
          label="Set"
          value={sought.set}
          choices={[{ id: "", name: "any" }, ...sets.map((set) => ({ id: set, name: set }))]}
          onChange={(set) => seek({ set })}
        />
      )}
    </search>
  );
  if (!phone) return fields;
  return (
    <details className="mt-3" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="w-fit py-2 underline">Look through them</summary>
      {fields}
    </details>
  );
}
