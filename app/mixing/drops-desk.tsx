import { DROPS_BOUNDS, DROPS_COUNTED, dropsPerMlOf, STANDARD_DROPS_PER_ML } from "#core/film/drops";
import { jarId } from "#core/catalogue/ids";
import { densityOf } from "#core/shelf/amount-left";
import { useAppContext } from "~/components/app-context";
import { Choice, Radios } from "~/components/fields";
import { Slider } from "./slider";
import type { Subject } from "./subject";
import { useDesk } from "./use-desk";
import type { DeskShelf } from "./use-shelf";

interface State {
  readonly of: string;
  readonly drops: number;
  readonly by: "spoon" | "scale";
  readonly ml: number;
  readonly grams: number;
}

const WATER = "water";
const BY = [
  { id: "spoon", name: "a small measuring spoon" },
  { id: "scale", name: "a scale" },
];
const FINE = 100;

/** Count drops into a spoon: what this dropper makes of water, and of this paint. */
export function DropsDesk({ subject, place, shelf }: { subject: Subject; place: string; shelf: DeskShelf }) {
  const { settings, saveSettings } = useAppContext();
  const [state, set] = useDesk<State>(`${place}drops`, { of: subject.jar?.id ?? WATER, drops: DROPS_COUNTED.value, by: "spoon", ml: 1, grams: 1 });
  const jar = shelf.jars.find((one) => one.id === jarId(state.of));
  const kind = jar && shelf.kindOf(jar);
  const density = kind ? densityOf(kind).kgL : 1;
  const ml = state.by === "spoon" ? state.ml : state.grams / density;
  const perMl = dropsPerMlOf(state.drops, ml);
  const known = jar ? jar.dropsPerMl : settings.dropsPerMl;
  const rounded = perMl === null ? null : Math.round(perMl * FINE) / FINE;
  const keep = () => {
    if (rounded === null) return;
    if (jar) shelf.change(jar.id, { set: { dropsPerMl: rounded } });
    else saveSettings({ dropsPerMl: rounded });
  };
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,22rem)_minmax(0,1fr)]">
      <div className="grid content-start gap-3">
        <Choice
          label="Drops of"
          value={jar ? jar.id : WATER}
          choices={[
            { id: WATER, name: "water, with my dropper" },
            ...shelf.jars.filter((one) => one.colour !== undefined).map(({ id, name }) => ({ id, name })),
          ]}
          onChange={(of) => set({ of })}
        />
        <Slider label="I counted" value={state.drops} least={10} most={60} step={1} says={`${state.drops} drops`} onChange={(drops) => set({ drops })} />
        <Radios legend="Into" value={state.by} choices={BY} onChange={(by) => set({ by: by as State["by"] })} />
        {state.by === "spoon" ? (
          <Slider
            label="They came to"
            value={state.ml}
            least={0.25}
            most={5}
            step={0.05}
            says={`${state.ml.toFixed(2)} ml`}
            onChange={(next) => set({ ml: next })}
          />
        ) : (
          <Slider
            label="They weigh"
            value={state.grams}
            least={0.2}
            most={6}
            step={0.05}
            says={`${state.grams.toFixed(2)} g`}
            onChange={(grams) => set({ grams })}
          />
        )}
      </div>
      <div className="grid content-start gap-3">
        <h3 className="text-2xl">
          {rounded === null ? "No dropper drops so: count again." : `${rounded < 10 ? rounded.toFixed(1) : Math.round(rounded)} drops to a ml`}
        </h3>
        <p>
          A standard dropper makes {STANDARD_DROPS_PER_ML} drops of a ml of water. Paint drops bigger or smaller by its body, and a drop off a brush is another
          thing: count twenty into a spoon once, and every recipe and every thinning is told in your own drops.
        </p>
        {state.by === "scale" && jar && <p className="text-soft">Reckoned with {density.toFixed(2)} g to a ml, typical of its kind.</p>}
        <p>
          <button type="button" className="button button-act" disabled={rounded === null || rounded === known} onClick={keep}>
            {jar ? `Keep it with ${jar.name}` : "This is my dropper"}
          </button>{" "}
          {known !== undefined && rounded === known && <span className="text-ready">Kept.</span>}
        </p>
        {rounded === null && (
          <p className="text-soft">
            Between {DROPS_BOUNDS.least} and {DROPS_BOUNDS.most} drops make a ml, whatever the dropper.
          </p>
        )}
      </div>
    </div>
  );
}
