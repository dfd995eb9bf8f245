import type { Clash } from "~/store/clashes.client";

/** What two tabs changed at once, until the user has decided whose stands. */
export function ClashNotes({
  clashes,
  keepMine,
  takeTheirs,
}: {
  clashes: readonly Clash[];
  keepMine: (clash: Clash) => void;
  takeTheirs: (clash: Clash) => void;
}) {
  return clashes.map((clash) => (
    <div key={clash.key} role="alert" className="mt-3 rounded-lg border-l-8 border-act bg-warn-tint p-3">
      <p>
        <strong>Another tab changed the same thing</strong> ({clash.what.join(", ")}). Yours was not saved.
      </p>
      <p className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="button" onClick={() => keepMine(clash)}>
          Save mine
        </button>
        <button type="button" className="button" onClick={() => takeTheirs(clash)}>
          Leave theirs
        </button>
      </p>
    </div>
  ));
}
