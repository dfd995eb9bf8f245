import { Link } from "react-router";
import { FlaskConical } from "lucide-react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { Jar } from "#core/catalogue/jar";
import { costOf, measuredOut, wholeParts } from "#core/film/recipe";
import { partsOfMix, sayParts } from "#core/shelf/mixes";
import { sayMl } from "#core/units/volume";
import { useAppContext } from "~/components/app-context";
import { ColourChip } from "~/components/colour-chip";
import { costText, measureBoth } from "./desk-words";
import { AmountSlider } from "./slider";
import { useDesk } from "./use-desk";
import type { DeskShelf } from "./use-shelf";

/** A small puddle, mL. */
const USUAL_ML = 10;

/** A mixture that is kept: a second day's batch by the very same recipe. */
export function Again({ pot, shelf, place, ml: usual = USUAL_ML }: { pot: Jar; shelf: DeskShelf; place: string; ml?: number }) {
  const { settings } = useAppContext();
  const [{ ml }, set] = useDesk(`${place}again/${pot.id}`, { ml: usual });
  const shared = partsOfMix(pot.mix!, shelf.jars, CATALOGUE).map((part) => ({ dropsPerMl: settings.dropsPerMl, ...part }));
  const names = pot.mix!.map(({ name }) => name);
  const measured = measuredOut(shared, ml);
  const parts = wholeParts(shared);
  const short = pot.mix!.flatMap(({ jar, name }, at) => {
    const left = shelf.left.get(jar);
    return left !== undefined && left < measured[at]!.ml ? [name] : [];
  });
  const cost = costOf(shared, ml);
  return (
    <div className="sheet grid gap-2 p-3" data-pot={pot.id}>
      <p className="flex items-center gap-2">
        <ColourChip colour={pot.colour ?? "#b9b3a6"} size={36} />
        <span>
          <Link to={`/shelf?jar=${pot.id}`} className="font-semibold underline">
            {pot.name}
          </Link>
          <span className="block text-soft">
            {sayParts(names.map((name, at) => ({ name, parts: parts[at]! })))};{" "}
            {(shelf.left.get(pot.id) ?? 0) > 0 ? `${sayMl(shelf.left.get(pot.id)!)} in its pot` : "its pot is empty"}
          </span>
        </span>
      </p>
      <AmountSlider label="Mix so much" ml={ml} says={sayMl(ml)} onChange={(next) => set({ ml: next })} />
      <p>
        {measured.map(({ ml: amount, drops }, at) => `${measureBoth(amount, drops)} ${names[at]!}`).join(" + ")}
        {cost !== null && <span className="text-soft">; {costText(cost)}</span>}.
      </p>
      {short.length > 0 && <p className="text-act">{short.join(" and ")} will not reach.</p>}
      <p>
        <button type="button" className="button" onClick={() => shelf.mix(pot.id, ml)}>
          <FlaskConical aria-hidden size={18} /> I have mixed it
        </button>
      </p>
    </div>
  );
}

/** Mixtures that are kept. @param but the one that is on the desk already */
export function KeptMixes({ shelf, place, but = null }: { shelf: DeskShelf; place: string; but?: string | null }) {
  const pots = shelf.jars.filter((jar) => jar.mix && jar.id !== but);
  if (pots.length === 0) return null;
  return (
    <section className="mt-8">
      <h2 className="text-2xl">Mixtures you keep</h2>
      <ul className="mt-2 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {pots.map((pot) => (
          <li key={pot.id}>
            <Again pot={pot} shelf={shelf} place={place} />
          </li>
        ))}
      </ul>
    </section>
  );
}
