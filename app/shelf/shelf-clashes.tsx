import { askOf, useAsk } from "~/actions/use-ask";
import { ClashNotes } from "~/components/clash-notes";
import type { Clash } from "~/store/clashes.client";
import type { ShelfAsk } from "./shelf-asks";

/** What another tab has set of a jar meanwhile, with both ways out. */
export function ShelfClashes({ clashes }: { clashes: readonly Clash[] }) {
  const ask = useAsk<ShelfAsk>("/shelf");
  return (
    <ClashNotes
      clashes={clashes}
      keepMine={({ key, again }) => {
        ask({ intent: "take-theirs", key });
        askOf(again.action, again.ask);
      }}
      takeTheirs={({ key }) => void ask({ intent: "take-theirs", key })}
    />
  );
}
