import { Command } from "cmdk";
import { useEffect, useState } from "react";
import { useFetcher, useLocation, useNavigate } from "react-router";
import { NAMES_KEY } from "./names-key";
import { useAppContext } from "./app-context";

interface Thing {
  readonly group: "Pieces" | "Places" | "Do";
  readonly name: string;
  readonly run: () => void;
}

/** Names that begin with what is typed come first, then those that have it inside; anything else is not meant. */
function meant(things: readonly Thing[], typed: string): readonly Thing[] {
  const wanted = typed.trim().toLowerCase();
  const has = things.filter((thing) => thing.name.toLowerCase().includes(wanted));
  const begins = (thing: Thing) => thing.name.toLowerCase().startsWith(wanted);
  return [...has.filter(begins), ...has.filter((thing) => !begins(thing))];
}

/** Things shown at once; of more the rest is found by more letters. */
const MOST_SHOWN = 40;

/** Finds a piece, a place or a thing to do by a few letters of it. */
export function Palette({ close, showKeys }: { close: () => void; showKeys: () => void }) {
  const { history, step, settings, saveSettings } = useAppContext();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const { load, data: pieces = [] } = useFetcher<{ readonly id: string; readonly name: string }[]>({ key: NAMES_KEY });
  const [typed, setTyped] = useState("");
  useEffect(() => void load("/names"), [load]);
  const go = (to: string) => () => void navigate(to);
  const piece = /^\/pieces\/[0-9a-z]{8,}/.exec(pathname)?.[0];
  const things: readonly Thing[] = [
    { group: "Do", name: "A new piece", run: go("/pieces/new") },
    { group: "Do", name: "Put a jar on the shelf", run: go("/shelf?add=jar") },
    { group: "Do", name: "Write an older piece down", run: go("/logbook/older") },
    ...(piece
      ? [
          { group: "Do", name: "Check what you have in mind, or have done", run: go(`${piece}/ways#check-mine`) } as const,
          { group: "Do", name: "Mark this piece out", run: go(`${piece}/marks`) } as const,
          { group: "Do", name: "Mix the colours of this piece", run: go(`${piece}/mixing`) } as const,
          { group: "Do", name: "Print the bench sheet", run: go(`${piece}/sheet`) } as const,
          { group: "Do", name: "Print the care card", run: go(`${piece}/card`) } as const,
          { group: "Do", name: "What was done on this piece", run: go(`${piece}/record`) } as const,
          { group: "Do", name: "Text for its back", run: go(`${piece}/back`) } as const,
          { group: "Do", name: "Teach this piece to a class", run: go(`${piece}/class`) } as const,
        ]
      : []),
    ...(history.undo ? [{ group: "Do", name: `Take back ${history.undo}`, run: () => step("undo") } as const] : []),
    ...(history.redo ? [{ group: "Do", name: `Do again ${history.redo}`, run: () => step("redo") } as const] : []),
    {
      group: "Do",
      name: settings.theme === "dim" ? "Light pages" : "Dim pages for the evening",
      run: () => saveSettings({ theme: settings.theme === "dim" ? "light" : "dim" }),
    },
    { group: "Do", name: "Keys", run: showKeys },
    { group: "Places", name: "Bench", run: go("/") },
    { group: "Places", name: "Evening’s end", run: go("/evening") },
    { group: "Places", name: "Pieces", run: go("/pieces") },
    { group: "Places", name: "Desk: mixing", run: go("/desk") },
    { group: "Places", name: "Desk: marking out", run: go("/desk/marking") },
    { group: "Places", name: "Shelf", run: go("/shelf") },
    { group: "Places", name: "Shopping list", run: go("/shelf/shopping") },
    { group: "Places", name: "Logbook", run: go("/logbook") },
    { group: "Places", name: "Logbook: trials", run: go("/logbook/trials") },
    { group: "Places", name: "Logbook: the stall", run: go("/logbook/stall") },
    { group: "Places", name: "Logbook: in numbers", run: go("/logbook/numbers") },
    { group: "Places", name: "Settings", run: go("/settings") },
    ...pieces.map((one) => ({ group: "Pieces", name: one.name, run: go(`/pieces/${one.id}`) }) as const),
  ];
  // Picked out here and not by the list itself: its own filter marks nothing when a piece arrives after the letters, and Enter is lost.
  const all = meant(things, typed);
  const found = all.slice(0, MOST_SHOWN);
  const groups = [...new Set(found.map((thing) => thing.group))];
  return (
    <Command.Dialog
      open
      onOpenChange={(open) => !open && close()}
      label="Find or do"
      shouldFilter={false}
      overlayClassName="fixed inset-0 z-20 bg-black/50"
      contentClassName="note fixed left-1/2 top-[min(6rem,5dvh)] z-20 max-h-[90dvh] w-[min(92vw,34rem)] -translate-x-1/2 overflow-y-auto p-3"
    >
      <Command.Input value={typed} onValueChange={setTyped} className="field" placeholder="A piece, a place, a thing to do" aria-label="Find or do" />
      <Command.List className="mt-2 max-h-80 overflow-y-auto">
        {found.length === 0 && <p className="p-3 text-soft">Nothing here is called that.</p>}
        {groups.map((group) => (
          <Command.Group key={group} heading={group} className="text-soft">
            {found
              .filter((thing) => thing.group === group)
              .map((thing, index) => (
                <Command.Item
                  key={`${thing.name}-${index}`}
                  value={`${group} ${thing.name} ${index}`}
                  className="min-h-[40px] rounded-md px-3 py-2 [overflow-wrap:anywhere] text-ink aria-selected:bg-note-tint aria-selected:font-semibold"
                  onSelect={() => {
                    close();
                    thing.run();
                  }}
                >
                  {thing.name}
                </Command.Item>
              ))}
          </Command.Group>
        ))}
        {all.length > found.length && <p className="p-3 text-soft">And {all.length - found.length} more: type a few letters.</p>}
      </Command.List>
    </Command.Dialog>
  );
}
