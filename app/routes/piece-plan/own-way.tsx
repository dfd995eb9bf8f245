import { productId } from "#core/catalogue/ids";
import type { StepId } from "#core/catalogue/ids";
import type { Menu } from "#core/catalogue/menu";
import { METHODS, SHEEN_WORDS, SHEENS } from "#core/catalogue/vocabulary";
import type { Method } from "#core/catalogue/vocabulary";
import type { ToldAct } from "#core/coating/explain/told-acts";
import type { Change } from "#core/coating/model/change";
import { alsoIn } from "#core/coating/model/own-steps";
import type { Candidate } from "#core/coating/model/plan";
import { Chips, Choice, Colour } from "~/components/fields";
import { zoneName } from "~/components/words";
import { LAYER_KINDS, optionsFor } from "./layer-kinds";
import type { Apply } from "~/piece/plan-actions";

const METHOD_WORDS: Readonly<Record<Method, string>> = {
  brush: "a brush",
  sponge: "a sponge",
  spray: "a spray can",
  pour: "poured on",
  pen: "a pen",
  tool: "a dotting or shaping tool",
  hand: "by hand",
};

interface Props {
  readonly act: ToldAct;
  readonly acts: readonly ToldAct[];
  readonly zones: Candidate["zones"];
  readonly menu: Menu;
  readonly apply: Apply;
}

/** Where an act is done: a place more or fewer. The last one is left out by leaving out the step. */
function Places({ act, acts, zones, apply }: Omit<Props, "menu">) {
  const before = new Set<StepId>(acts.filter((one) => one.number < act.number).flatMap((one) => one.stepIds));
  const put = (chosen: readonly string[]) => {
    const added = zones.filter(({ zone }) => chosen.includes(zone) && !act.zones.includes(zone));
    const taken = zones.filter(({ zone }) => !chosen.includes(zone) && act.zones.includes(zone));
    apply([
      ...added.flatMap(({ zone }) => alsoIn(zones, act.step, zone, before)),
      ...taken.flatMap(({ steps }) => steps.filter((step) => act.stepIds.includes(step.id)).map(({ id }): Change => ({ op: "remove", stepId: id }))),
    ]);
  };
  return (
    <div>
      <p className="mb-1">Where</p>
      <Chips label="Where" choices={zones.map(({ zone }) => ({ id: zone, name: zoneName(zone) }))} chosen={act.zones} least={1} onChange={put} />
    </div>
  );
}

/** A step as the user would rather do it: what it is laid with, its colour, its sheen, its tool, its technique, its places. Each is judged at once. */
export function OwnWay({ act, acts, zones, menu, apply }: Props) {
  const { step, stepIds } = act;
  const jobs = LAYER_KINDS.find((one) => one.role === step.role)?.jobs ?? null;
  const options = jobs === null ? [] : optionsFor(jobs, menu);
  const set = (settings: Readonly<Record<string, unknown>>, running?: string) =>
    apply(
      stepIds.flatMap((stepId) => Object.entries(settings).map(([field, value]): Change => ({ op: "set", stepId, field, value }))),
      running,
    );
  const own = step.jar === undefined ? null : options.find(({ jar }) => jar?.id === step.jar);
  const chosen = own ?? options.find(({ id }) => id === step.product);
  const known = chosen
    ? options
    : [
        { id: step.product as string, name: menu.products.find((one) => one.id === step.product)?.name ?? step.product, product: step.product as string },
        ...options,
      ];
  return (
    <details className="mt-1 print:hidden">
      <summary className="w-fit py-1 text-soft underline">Do it another way</summary>
      <div className="mt-1 grid gap-3">
        <div className="grid gap-2 sm:grid-cols-2">
          {jobs !== null && (
            <Choice
              label="Laid with"
              value={chosen?.id ?? step.product}
              choices={known}
              onChange={(id) => {
                const option = options.find((one) => one.id === id);
                if (option)
                  set({
                    product: productId(option.product),
                    jar: option.jar?.id,
                    ...(step.colour !== undefined && option.jar?.colour !== undefined ? { colour: option.jar.colour } : {}),
                  });
              }}
            />
          )}
          {step.role === "decorate" && (
            <Choice label="How it is decorated" value={step.technique ?? "solid"} choices={menu.techniques} onChange={(technique) => set({ technique })} />
          )}
          {step.wetMicrons !== null && (
            <Choice
              label="Laid on with"
              value={step.method}
              choices={METHODS.map((id) => ({ id, name: METHOD_WORDS[id] }))}
              onChange={(method) => set({ method })}
            />
          )}
          {step.sheen !== undefined && (
            <Choice label="Sheen" value={step.sheen} choices={SHEENS.map((id) => ({ id, name: SHEEN_WORDS[id] }))} onChange={(sheen) => set({ sheen })} />
          )}
          {step.colour !== undefined && (
            <Colour label="Its colour" value={step.colour} onChange={(colour) => set({ colour, jar: undefined }, `colour of ${step.id}`)} />
          )}
        </div>
        {zones.length > 1 && <Places act={act} acts={acts} zones={zones} apply={apply} />}
      </div>
    </details>
  );
}
