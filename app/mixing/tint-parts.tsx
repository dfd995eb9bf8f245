import { useId, useState } from "react";
import { FlaskConical } from "lucide-react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { jarId } from "#core/catalogue/ids";
import type { Jar, MixedFrom } from "#core/catalogue/jar";
import { differenceInWords, isOfColour, nearestInColour } from "#core/coating/facts/jars";
import { takeFrom } from "#core/coating/model/own-steps";
import { COLOUR_NAMES, nameOfColour } from "#core/film/colour-names";
import { isOfShop, shopName } from "#core/film/reach";
import type { WouldReach } from "#core/film/reach";
import { costOf, measuredOut, overflow, wholeParts } from "#core/film/recipe";
import type { Shared } from "#core/film/recipe";
import { isWorthTelling, nearnessOf } from "#core/film/tint";
import type { Recipe } from "#core/film/tint";
import { mixedJar, partsOfMix, sayParts } from "#core/shelf/mixes";
import { sayMl } from "#core/units/volume";
import { freshId } from "~/store/fresh-id";
import { Awaited } from "~/components/awaited";
import { ColourChip } from "~/components/colour-chip";
import { costText, measureBoth, nearnessText } from "./desk-words";
import type { PlanDoing, Subject } from "./subject";
import type { DeskShelf } from "./use-shelf";

/** What lies on the desk where a colour is mixed. */
export interface TintState {
  readonly target: string;
  readonly ml: number;
  readonly parts: number;
  readonly without: readonly string[];
  /** Ids of the jars of the recipe that is chosen; "" for the one shown first. */
  readonly chosen: string;
  readonly name: string | null;
}

/** A recipe with all that is known of its jars. */
export function sharedOf({ parts }: Recipe, jars: readonly Jar[], dropsPerMl: number): readonly (Shared & { readonly name: string })[] {
  const nameOf = (id: string) => (isOfShop(id) ? shopName(id) : (jars.find((jar) => jar.id === id)?.name ?? id));
  const mix = parts.map(({ id, share }): MixedFrom => {
    const colour = isOfShop(id) ? COLOUR_NAMES[shopName(id)]! : (jars.find((jar) => jar.id === id)?.colour ?? "#8b8f91");
    return { jar: jarId(id), name: nameOf(id), colour, share };
  });
  return partsOfMix(mix, jars, CATALOGUE).map((part) => ({ dropsPerMl, ...part, name: nameOf(part.id) }));
}

/** The recipe as it is worked at the table: what is poured first, what comes in by the drop. */
export function Worked({ recipe, shared, ml }: { recipe: Recipe; shared: readonly (Shared & { readonly name: string })[]; ml: number }) {
  const measured = measuredOut(shared, ml);
  const rows = shared.map((part, at) => ({ ...part, ...measured[at]! }));
  const first = rows.find(({ id }) => id === recipe.startWith) ?? rows[0]!;
  const others = rows.filter((one) => one !== first);
  const parts = wholeParts(shared);
  const strongest = Math.min(...shared.map(({ share }) => share));
  const over = overflow(strongest, ml);
  const cost = costOf(shared, ml);
  return (
    <div className="grid gap-2">
      <ol className="grid gap-1" aria-label="Recipe">
        {[first, ...others].map((row, at) => (
          <li key={row.id} className="flex items-center gap-2">
            <ColourChip colour={row.colour} />
            <span>
              {at === 0 ? (others.length === 0 ? "It is" : "Begin with") : "add"} <strong>{measureBoth(row.ml, row.drops)}</strong> of {row.name}
            </span>
          </li>
        ))}
      </ol>
      {others.length > 0 && (
        <>
          <p className="text-soft">
            For more of it by the spoon: {sayParts(shared.map(({ name }, at) => ({ name, parts: parts[at]! })))}. Add the last drops one by one, and dab a
            little on white paper to dry before you judge it: paint dries a shade darker.
          </p>
          {over >= 1 && <p className="text-soft">Begun the other way round it would come to {sayMl(over)} too much before it is pale enough.</p>}
        </>
      )}
      {cost !== null && <p className="text-soft">It costs {costText(cost)}, by what you paid for the jars.</p>}
    </div>
  );
}

/** What would have to be bought. */
export function Reach({
  asked,
  ...rest
}: {
  asked: Promise<{ readonly found: WouldReach | null } | null> | null;
  jars: readonly Jar[];
  ml: number;
  dropsPerMl: number;
}) {
  const waiting = <p className="notice bg-warn-tint">It cannot be reached with these; the nearest is shown. Looking for a jar that would reach it…</p>;
  return asked ? (
    <Awaited of={asked} waiting={waiting}>
      {(reach) => (reach ? <Reached reach={reach.found} {...rest} /> : waiting)}
    </Awaited>
  ) : (
    waiting
  );
}

function Reached({ reach, jars, ml, dropsPerMl }: { reach: WouldReach | null; jars: readonly Jar[]; ml: number; dropsPerMl: number }) {
  if (!reach)
    return (
      <p className="notice bg-warn-tint">
        It cannot be reached with these, nor with any one or two plain paints beside them: it is brighter than mixtures are. The nearest is shown.
      </p>
    );
  const shared = sharedOf(reach.recipe, jars, dropsPerMl);
  const parts = wholeParts(shared);
  return (
    <div className="notice bg-warn-tint">
      <p>
        <strong>It cannot be reached with these.</strong> The nearest is shown.{" "}
        {reach.names.length === 1 ? "One jar more would reach it" : "Two jars more would reach it"}:{" "}
        {reach.names.map((name) => (
          <span key={name} className="mr-2 whitespace-nowrap">
            <ColourChip colour={COLOUR_NAMES[name]!} size={20} /> {name}
          </span>
        ))}
      </p>
      <p className="text-soft">
        {sayParts(shared.map(({ name }, at) => ({ name, parts: parts[at]! })))}; for {sayMl(ml)} of it {nearnessText(reach.recipe.deltaE)}.
      </p>
    </div>
  );
}

/** Keeps the mixture under a name, in the plan too where it is mixed for one. */
export function Keep({ state, set, recipe, shared, subject, shelf, doing }: KeepProps) {
  const id = useId();
  const usual = nameOfColour(recipe.colour);
  const [kept, setKept] = useState<string | null>(null);
  const here = shelf.jars.find((jar) => jar.id === kept);
  const keep = () => {
    const typed = state.name?.trim() ?? "";
    const name = typed === "" ? `${usual.charAt(0).toUpperCase()}${usual.slice(1)}, mixed` : typed;
    const pot = mixedJar(
      jarId(freshId()),
      name,
      subject.kind,
      shared.map((part): MixedFrom => ({ jar: jarId(part.id), name: part.name, colour: part.colour, share: part.share })),
      shelf.jars,
      new Date().toISOString(),
      CATALOGUE,
    );
    shelf.add(pot);
    setKept(pot.id);
    set({ name: null });
    const { plan } = subject;
    if (doing && plan && !plan.done) doing.apply(takeFrom(plan.stepIds, plan, pot));
  };
  if (recipe.parts.length < 2) return <p className="text-soft">That is one jar as it comes: there is nothing to mix.</p>;
  return (
    <div className="flex flex-wrap items-end gap-2">
      <div className="w-56">
        <label htmlFor={id}>Call it</label>
        <input
          id={id}
          className="field placeholder:text-soft placeholder:italic"
          maxLength={120}
          value={state.name ?? ""}
          placeholder={`${usual}, mixed`}
          onChange={(event) => set({ name: event.target.value })}
        />
      </div>
      <button type="button" className={`button ${isWorthTelling(recipe) ? "button-act" : ""}`} onClick={keep}>
        {doing && subject.plan && !subject.plan.done ? "Keep it, and use it in the plan" : "Keep this mixture"}
      </button>
      {here && (
        <>
          <button type="button" className="button" onClick={() => shelf.mix(here.id, state.ml)}>
            <FlaskConical aria-hidden size={18} /> I have mixed {sayMl(state.ml)}
          </button>
          <span role="status" className="text-ready">
            {here.name} stands on your shelf{(shelf.left.get(here.id) ?? 0) > 0 ? `, with ${sayMl(shelf.left.get(here.id)!)} in it` : ", empty yet"}.
          </span>
        </>
      )}
    </div>
  );
}

interface KeepProps {
  readonly state: TintState;
  readonly set: (change: Partial<TintState>) => void;
  readonly recipe: Recipe;
  readonly shared: readonly (Shared & { readonly name: string })[];
  readonly subject: Subject;
  readonly shelf: DeskShelf;
  readonly doing: PlanDoing | null;
}

/** The nearest jar as it comes, and how the mixture compares. */
export function Nearest({ jars, target }: { jars: readonly Jar[]; target: string }) {
  const near = nearestInColour(jars, target);
  if (!near || nearnessOf(near.apart) === "same") return null;
  return (
    <p className="text-soft">
      Unmixed, the nearest you own is <ColourChip colour={near.colour} size={18} /> {near.name}:{" "}
      {isOfColour(near) ? "nearly the same" : differenceInWords(near.colour, target)}.
    </p>
  );
}
