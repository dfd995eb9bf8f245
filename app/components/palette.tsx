import { Command } from "cmdk";
import { useEffect, useState } from "react";
import { useLocation, useNavigate } from "react-router";
import type { PieceRecord } from "#core/formats/records";
import { useWorkshop } from "./workshop";

interface Thing {
  readonly group: "Pieces" | "Places" | "Do";
  readonly name: string;
  readonly run: () => void;
}

/** A name that begins with what is typed comes first, then one that has it inside; anything else is not meant. */
function nearness(name: string, typed: string): number {
  const [here, wanted] = [name.toLowerCase(), typed.trim().toLowerCase()];
  if (here.startsWith(wanted)) return 1;
  return here.includes(wanted) ? 0.5 : 0;
}

/** Finds a piece, a place or a thing to do by a few letters of it. */
export function Palette({ close, showKeys }: { close: () => void; showKeys: () => void }) {
  const { history, step, settings } = useWorkshop();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [pieces, setPieces] = useState<readonly PieceRecord[]>([]);
  useEffect(() => {
    let current = true;
    void (async () => {
      const [{ notebook }, { allPieces }] = await Promise.all([import("~/store/open.client"), import("~/store/pieces")]);
      const found = await allPieces(await notebook());
      if (current) setPieces(found);
    })();
    return () => {
      current = false;
    };
  }, []);
  const go = (to: string) => () => void navigate(to);
  const piece = /^\/pieces\/[0-9a-z]{8,}/.exec(pathname)?.[0];
  const setTheme = async (theme: "light" | "dim") => {
    const [{ notebook }, { saveSettings }] = await Promise.all([import("~/store/open.client"), import("~/store/preferences")]);
    await saveSettings(await notebook(), { theme });
  };
  const things: readonly Thing[] = [
    { group: "Do", name: "A new piece", run: go("/pieces/new") },
    ...(piece
      ? [
          { group: "Do", name: "Print the bench sheet", run: go(`${piece}/sheet`) } as const,
          { group: "Do", name: "Print the care card", run: go(`${piece}/card`) } as const,
        ]
      : []),
    ...(history.undo ? [{ group: "Do", name: `Take back ${history.undo}`, run: () => step("undo") } as const] : []),
    ...(history.redo ? [{ group: "Do", name: `Do again ${history.redo}`, run: () => step("redo") } as const] : []),
    {
      group: "Do",
      name: settings.theme === "dim" ? "Light pages" : "Dim pages for the evening",
      run: () => void setTheme(settings.theme === "dim" ? "light" : "dim"),
    },
    { group: "Do", name: "Keys", run: showKeys },
    { group: "Places", name: "Pieces", run: go("/") },
    { group: "Places", name: "Settings", run: go("/settings") },
    ...pieces.map((one) => ({ group: "Pieces", name: one.piece.name, run: go(`/pieces/${one.id}`) }) as const),
  ];
  return (
    <Command.Dialog
      open
      onOpenChange={(open) => !open && close()}
      label="Find or do"
      filter={nearness}
      overlayClassName="fixed inset-0 z-20 bg-black/50"
      contentClassName="note fixed left-1/2 top-24 z-20 w-[min(92vw,34rem)] -translate-x-1/2 p-3"
    >
      <Command.Input className="field" placeholder="A piece, a place, a thing to do" aria-label="Find or do" />
      <Command.List className="mt-2 max-h-80 overflow-y-auto">
        <Command.Empty className="p-3 text-soft">Nothing here is called that.</Command.Empty>
        {(["Do", "Places", "Pieces"] as const).map((group) => {
          const own = things.filter((thing) => thing.group === group);
          return own.length === 0 ? null : (
            <Command.Group key={group} heading={group} className="text-soft">
              {own.map((thing, index) => (
                <Command.Item
                  key={`${thing.name}-${index}`}
                  value={`${thing.name} ${index}`}
                  className="min-h-[40px] rounded-md px-3 py-2 text-ink aria-selected:bg-note-tint aria-selected:font-semibold"
                  onSelect={() => {
                    close();
                    thing.run();
                  }}
                >
                  {thing.name}
                </Command.Item>
              ))}
            </Command.Group>
          );
        })}
      </Command.List>
    </Command.Dialog>
  );
}
