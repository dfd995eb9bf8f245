import { Link } from "react-router";
import { Brush, IdCard, Palette, PencilRuler, Spline } from "lucide-react";
import type { LucideIcon } from "lucide-react";
import type { Menu } from "#core/catalogue/menu";
import type { Filler } from "#core/logbook/bench/meanwhile";
import { sayDuration } from "#core/units/duration";
import { goTitle } from "~/bench/bench-words";
import type { OnBench } from "~/bench/bench-loaded.client";
import { sayClock } from "~/components/time-words";
import { nameIn } from "~/components/use-menu";

interface Told {
  readonly icon: LucideIcon;
  readonly text: string;
  /** Where it is done; null where it is taken up on the bench. */
  readonly to: string | null;
}

function told(filler: Filler, pieces: ReadonlyMap<string, OnBench>, menu: Menu): Told {
  const name = (id: string) => pieces.get(id)?.name ?? "";
  switch (filler.kind) {
    case "go":
      return { icon: Brush, text: `${goTitle(filler.go, menu)}: ${name(filler.go.piece)}, ${sayDuration(Math.max(1, filler.go.handsOnMin))}`, to: null };
    case "card":
      return { icon: IdCard, text: `The care card of ${name(filler.piece)}`, to: `/pieces/${filler.piece}/card` };
    case "papers":
      return { icon: PencilRuler, text: `Guides and templates for ${name(filler.piece)}`, to: `/pieces/${filler.piece}/marks` };
    case "mix":
      return {
        icon: Palette,
        text: `The next colour for ${name(filler.piece)}`,
        to: `/pieces/${filler.piece}/mixing?step=${encodeURIComponent(filler.stepId)}`,
      };
    case "practice":
      return {
        icon: Spline,
        text: `${nameIn(menu.techniques, filler.technique)} on paper first, for ${name(filler.piece)}`,
        to: `/practice?of=${filler.technique}&piece=${filler.piece}`,
      };
  }
}

/** What fits before the next wait is over. */
export function MeanwhileList({
  fillers,
  until,
  now,
  pieces,
  menu,
  take,
}: {
  fillers: readonly Filler[];
  until: number;
  now: number;
  pieces: ReadonlyMap<string, OnBench>;
  menu: Menu;
  take: (go: string) => void;
}) {
  if (fillers.length === 0) return null;
  return (
    <section aria-labelledby="meanwhile" className="mt-5">
      <h2 id="meanwhile" className="text-xl">
        While you wait, till {sayClock(until, now)}
      </h2>
      <ul className="mt-2 grid gap-2 sm:grid-cols-2">
        {fillers.map((filler) => {
          const { icon: Icon, text, to } = told(filler, pieces, menu);
          const inside = (
            <>
              <Icon aria-hidden size={20} className="shrink-0" /> <span className="min-w-0">{text}</span>
            </>
          );
          return (
            <li key={text}>
              {to === null ? (
                <button type="button" className="chip w-full text-left" onClick={() => "go" in filler && take(filler.go.id)}>
                  {inside}
                </button>
              ) : (
                <Link to={to} className="chip w-full text-ink">
                  {inside}
                </Link>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
