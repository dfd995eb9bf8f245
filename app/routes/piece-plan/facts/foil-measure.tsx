import { useState } from "react";
import { areaByFoil, areaByTape, FOIL_G_PER_M2 } from "#core/film/amount";
import { sayArea } from "#core/units/volume";
import { Radios } from "~/components/fields";
import { NumberField } from "~/components/number-field";

const USUAL_TAPE_MM = 24;

/** Two ways to cover a body: how much of the cover it took, and what the cover is like, where it is not the usual one. */
const WAYS = {
  foil: {
    name: "foil on a scale",
    does: "Press foil on to it without folds, trim it to the edge, take it off and weigh it. A sheet of 10 by 10 cm weighed, times a hundred, is what a square metre of yours weighs.",
    took: { label: "The foil weighs", unit: "g", least: 0.05, most: 500 },
    like: { label: "A square metre of it weighs", unit: "g", least: 15, most: 200, usual: FOIL_G_PER_M2.value },
    area: areaByFoil,
  },
  tape: {
    name: "strips of tape",
    does: "Cover it with strips laid edge to edge, take them off and lay them in a row.",
    took: { label: "All strips together", unit: "mm", least: 10, most: 1_000_000 },
    like: { label: "The tape is wide", unit: "mm", least: 3, most: 100, usual: USUAL_TAPE_MM },
    area: areaByTape,
  },
} as const;
type Way = keyof typeof WAYS;

/** An uneven body measured by what covers it: foil that is weighed, or tape that is measured out. */
export function FoilMeasure({ save }: { save: (areaMm2: number) => void }) {
  const [by, setBy] = useState<Way>("foil");
  const [said, setSaid] = useState<{ readonly took: number | undefined; readonly like: number | undefined }>({ took: undefined, like: undefined });
  const { does, took, like, area } = WAYS[by];
  const areaOf = ({ took: amount, like: of }: typeof said) => (amount === undefined ? null : Math.round(area(amount, of ?? like.usual)));
  const say = (more: Partial<typeof said>) => {
    const next = { ...said, ...more };
    setSaid(next);
    const measured = areaOf(next);
    if (measured !== null) save(measured);
  };
  const measured = areaOf(said);
  return (
    <details>
      <summary className="w-fit py-2 underline">Work out its area</summary>
      <div className="grid gap-2">
        <Radios
          legend="By"
          value={by}
          choices={Object.entries(WAYS).map(([id, { name }]) => ({ id, name }))}
          onChange={(way) => {
            setBy(way as Way);
            setSaid({ took: undefined, like: undefined });
          }}
        />
        <p className="text-soft">{does}</p>
        <NumberField key={took.label} label={took.label} unit={took.unit} value={said.took} bounds={took} save={(amount) => say({ took: amount })} />
        <NumberField
          key={like.label}
          label={like.label}
          unit={like.unit}
          value={said.like}
          typical={`${Math.round(like.usual)}, typical`}
          bounds={like}
          save={(of) => say({ like: of })}
        />
        {measured !== null && <p role="status">That is {sayArea(measured)}.</p>}
      </div>
    </details>
  );
}
