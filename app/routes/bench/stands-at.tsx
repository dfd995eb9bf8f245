import { useId } from "react";
import { MapPin } from "lucide-react";
import { askOf } from "~/actions/use-ask";
import { useDraft } from "~/components/use-draft";
import type { OnBench } from "~/bench/bench-loaded.client";

/** The field is opened to be typed in. */
const takeFocus = (field: HTMLInputElement | null): void => field?.focus();

/** Where a wet piece was put down: "left of the window". */
export function StandsAt({ piece, places }: { piece: OnBench; places: readonly string[] }) {
  const list = useId();
  const kept = piece.record.standsAt ?? "";
  const [typed, type] = useDraft<string | null>(`stands-${piece.id}`, null);
  const say = (standsAt: string) => {
    type(null);
    if (standsAt.trim() !== kept) askOf(`/pieces/${piece.id}`, { intent: "keep-with", standsAt: standsAt.trim() } as never);
  };
  if (typed === null)
    return (
      <button type="button" className="inline-flex min-h-[44px] items-center gap-1 underline" onClick={() => type(kept)}>
        <MapPin aria-hidden size={18} /> {kept === "" ? "Where does it stand?" : kept}
        <span className="sr-only"> ({piece.name})</span>
      </button>
    );
  return (
    <form
      className="mt-1 flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        say(typed);
      }}
    >
      <input
        className="field"
        ref={takeFocus}
        list={list}
        maxLength={60}
        aria-label={`Where ${piece.name} stands to dry`}
        placeholder="left of the window"
        value={typed}
        onChange={(event) => type(event.target.value)}
        onBlur={() => say(typed)}
      />
      <datalist id={list}>
        {places.map((place) => (
          <option key={place} value={place} />
        ))}
      </datalist>
    </form>
  );
}
