import type { PlanColour } from "#core/coating/explain/plan-colours";
import { nameOfColour } from "#core/film/colour-names";
import { RESERVE, withReserve } from "#core/film/recipe";
import { isWorthTelling, plainest, recipeKey } from "#core/film/tint";
import { isMixed } from "#core/shelf/mixes";
import { sayMl } from "#core/units/volume";
import { useAppContext } from "~/components/app-context";
import { ColourChip } from "~/components/colour-chip";
import { ColourField } from "~/components/colour-field";
import { Chips, Radios } from "~/components/fields";
import { nearnessText } from "./desk-words";
import { Again } from "./kept-mixes";
import { Ladder } from "./ladder-part";
import { Painted } from "./painted";
import { AmountSlider } from "./slider";
import type { PlanDoing, Subject } from "./subject";
import { Keep, Nearest, Reach, sharedOf, Worked } from "./tint-parts";
import type { TintState } from "./tint-parts";
import { useDesk } from "./use-desk";
import { useRecipes } from "./use-recipes";
import type { DeskShelf } from "./use-shelf";

/** Other ways told at once. */
const MOST_OTHERS = 4;
/** A small puddle, mL. */
const USUAL_ML = 10;

const PARTS = [
  { id: "2", name: "two" },
  { id: "3", name: "up to three" },
];

/** What is mixed for a plan, with what is mixed over, in whole mL; null where nothing is wanted of it. */
const wantedFor = (plan: PlanColour | null) => (plan && plan.jarMl > 0 ? Math.ceil(withReserve(plan.jarMl)) : null);

/** Mixes what the desk is about: by its own recipe where it is a mixture that is kept, else by a new one. */
export function TintDesk(props: TintProps) {
  const { subject, place, shelf } = props;
  const [{ anew }, set] = useDesk(`${place}pot`, { anew: false });
  if (!isMixed(subject.kind))
    return (
      <p>{subject.kind.name} is not mixed here: it hides by its flakes, or comes out of a pen or a can. Mix a paint of its colour, and set it over that.</p>
    );
  const pot = subject.jar?.mix ? subject.jar : null;
  if (!pot || anew)
    return (
      <>
        {pot && (
          <button type="button" className="button mb-3" onClick={() => set({ anew: false })}>
            Back to the recipe of {pot.name}
          </button>
        )}
        <NewTint {...props} />
      </>
    );
  const wanted = wantedFor(subject.plan);
  return (
    <div className="grid max-w-xl gap-3">
      {wanted !== null && (
        <p>
          The plan takes {sayMl(subject.plan!.jarMl)} of it; with {Math.round(RESERVE.value * 100)} % over, {sayMl(wanted)}.
        </p>
      )}
      <Again pot={pot} shelf={shelf} place={place} {...(wanted === null ? {} : { ml: wanted })} />
      <button type="button" className="button w-fit" onClick={() => set({ anew: true })}>
        Mix another colour for it
      </button>
    </div>
  );
}

interface TintProps {
  readonly subject: Subject;
  readonly place: string;
  readonly shelf: DeskShelf;
  readonly doing: PlanDoing | null;
  /** Takes another colour where the desk is about a colour and not about a jar. */
  readonly retarget: ((colour: string) => void) | null;
}

/** Mixes a colour: the target beside what it comes to, and the recipe. */
function NewTint({ subject, place, shelf, doing, retarget }: TintProps) {
  const { settings } = useAppContext();
  const { plan } = subject;
  const wantedMl = wantedFor(plan);
  const [state, set] = useDesk<TintState>(`${place}tint`, { target: subject.colour, ml: wantedMl ?? USUAL_ML, parts: 3, without: [], chosen: "", name: null });
  const target = retarget ? subject.colour : state.target;
  const { found, busy, share } = useRecipes(place, { target, ml: state.ml, kind: subject.kind.id, parts: state.parts, without: state.without });
  const recipes = found?.answer.recipes ?? [];
  const first = plainest(recipes);
  const recipe = recipes.find((one) => recipeKey(one) === state.chosen) ?? first;
  const shared = recipe ? sharedOf(recipe, shelf.jars, settings.dropsPerMl) : [];
  const others = recipes.filter((one) => one !== recipe && isWorthTelling(one)).slice(0, MOST_OTHERS);
  const leftOut = shelf.jars.filter((jar) => state.without.includes(jar.id));
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,20rem)_minmax(0,1fr)]">
      <div className="grid content-start gap-3">
        <ColourField
          colour={target}
          change={(hex) => {
            retarget?.(hex ?? subject.colour);
            set({ target: hex ?? subject.colour, chosen: "" });
          }}
        />
        <AmountSlider label="So much of it" ml={state.ml} says={sayMl(state.ml)} onChange={(ml) => set({ ml })} />
        {wantedMl !== null && (
          <p className="text-soft">
            The plan takes {sayMl(plan!.jarMl)} of it;{" "}
            <button type="button" className="underline" onClick={() => set({ ml: wantedMl })}>
              with {Math.round(RESERVE.value * 100)} % over, {sayMl(wantedMl)}
            </button>
            : a second batch never quite matches the first.
          </p>
        )}
        <Radios legend="From how many jars" value={String(state.parts)} choices={PARTS} onChange={(parts) => set({ parts: Number(parts), chosen: "" })} />
        {leftOut.length > 0 && (
          <div>
            <p className="mb-1">Left out; tick to use again</p>
            <Chips
              label="Left out"
              choices={leftOut.map(({ id, name }) => ({ id, name }))}
              chosen={[]}
              onChange={([id]) => set({ without: state.without.filter((one) => one !== id) })}
            />
          </div>
        )}
      </div>
      <div className="grid min-w-0 content-start gap-4" aria-busy={busy}>
        {found && found.paints === 0 ? (
          <p>There is no jar of this kind with a colour on your shelf to mix it from. Put your jars on the shelf, and it is mixed from them.</p>
        ) : (
          <>
            <div className="grid max-w-md grid-cols-2 gap-3">
              <Painted colour={target} label="wanted" says={nameOfColour(target)} tall={88} />
              {recipe && <Painted colour={recipe.colour} label="mixed" says={nearnessText(recipe.deltaE)} tall={88} />}
            </div>
            <p role="status" className={busy ? "text-soft" : "sr-only"}>
              {busy
                ? `Trying your jars together… ${Math.round(share * 100)} %`
                : recipe
                  ? `Mixed from ${shared.map(({ name }) => name).join(", ")}: ${nearnessText(recipe.deltaE)}`
                  : ""}
            </p>
            {found && !found.answer.reachable && <Reach asked={found.reach} jars={shelf.jars} ml={state.ml} dropsPerMl={settings.dropsPerMl} />}
            {recipe && <Worked recipe={recipe} shared={shared} ml={state.ml} />}
            {recipe && <Keep key={recipeKey(recipe)} state={state} set={set} recipe={recipe} shared={shared} subject={subject} shelf={shelf} doing={doing} />}
            {others.length > 0 && (
              <div>
                <p className="mb-1">Other ways to it</p>
                <ul className="grid gap-1">
                  {others.map((one) => {
                    const names = sharedOf(one, shelf.jars, settings.dropsPerMl).map(({ name }) => name);
                    return (
                      <li key={recipeKey(one)}>
                        <button type="button" className="chip text-left" onClick={() => set({ chosen: recipeKey(one) })}>
                          <ColourChip colour={one.colour} /> {names.join(" + ")}
                        </button>{" "}
                        <span className="text-soft">{nearnessText(one.deltaE)}</span>
                      </li>
                    );
                  })}
                </ul>
              </div>
            )}
            {shared.length > 1 && (
              <p className="flex flex-wrap items-center gap-2">
                <span className="text-soft">Rather not use</span>
                {shared.map(({ id, name }) => (
                  <button
                    key={id}
                    type="button"
                    className="chip"
                    aria-label={`Leave out ${name}`}
                    onClick={() => set({ without: [...state.without, id], chosen: "" })}
                  >
                    {name}
                  </button>
                ))}
              </p>
            )}
            <Nearest jars={shelf.jars.filter((jar) => jar.classId === subject.kind.id)} target={target} />
            {recipe && <Ladder from={recipe.colour} shared={shared} subject={subject} shelf={shelf} place={place} ml={state.ml} />}
          </>
        )}
      </div>
    </div>
  );
}
