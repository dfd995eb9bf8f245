import { useState } from "react";
import { areaByFoil, areaByTape, FOIL_G_PER_M2 } from "#core/film/amount";
import { sayArea } from "#core/units/volume";
import { Radios } from "~/components/fields";
import { NumberField } from "~/components/number-field";

const BY = [
  { id: "foil", name: "foil on a scale" },
  { id: "tape", name: "strips of tape" },
];
const BOUNDS = {
  foilG: { least: 0.05, most: 500 },
  gPerM2: { least: 15, most: 200 },
  tapeMm: { least: 10, most: 1_000_000 },
  widthMm: { least: 3, most: 100 },
};
const USUAL_TAPE_MM = 24;

/** An uneven body measured by what covers it: foil that is weighed, or tape that is measured out. */
export function FoilMeasure({ save }: { save: (areaMm2: number) => void }) {
  const [by, setBy] = useState("foil");
  const [foil, setFoil] = useState<{ readonly g?: number; readonly gPerM2?: number }>({});
  const [tape, setTape] = useState<{ readonly mm?: number; readonly width?: number }>({});
  const gPerM2 = foil.gPerM2 ?? FOIL_G_PER_M2.value;
  const width = tape.width ?? USUAL_TAPE_MM;
  const area = by === "foil" ? (foil.g === undefined ? null : areaByFoil(foil.g, gPerM2)) : tape.mm === undefined ? null : areaByTape(tape.mm, width);
  const tell = (next: number | null) => next !== null && save(Math.round(next));
  return (
    <details>
      <summary className="w-fit py-2 underline">Measure it by foil or by tape</summary>
      <div className="grid gap-2">
        <Radios legend="By" value={by} choices={BY} onChange={setBy} />
        {by === "foil" ? (
          <>
            <p className="text-soft">
              Press foil on to it without folds, trim it to the edge, take it off and weigh it. A sheet of 10 by 10 cm weighed tells what a square metre of
              yours weighs.
            </p>
            <NumberField
              label="The foil weighs"
              unit="g"
              value={foil.g}
              bounds={BOUNDS.foilG}
              save={(g) => {
                setFoil({ ...foil, ...(g === undefined ? {} : { g }) });
                tell(g === undefined ? null : areaByFoil(g, gPerM2));
              }}
            />
            <NumberField
              label="A square metre of it weighs"
              unit="g"
              value={foil.gPerM2}
              typical={`${Math.round(FOIL_G_PER_M2.value)}, typical`}
              bounds={BOUNDS.gPerM2}
              save={(of) => {
                setFoil({ ...foil, ...(of === undefined ? {} : { gPerM2: of }) });
                tell(foil.g === undefined ? null : areaByFoil(foil.g, of ?? FOIL_G_PER_M2.value));
              }}
            />
          </>
        ) : (
          <>
            <p className="text-soft">Cover it with strips laid edge to edge, take them off and lay them in a row.</p>
            <NumberField
              label="All strips together"
              unit="mm"
              value={tape.mm}
              bounds={BOUNDS.tapeMm}
              save={(mm) => {
                setTape({ ...tape, ...(mm === undefined ? {} : { mm }) });
                tell(mm === undefined ? null : areaByTape(mm, width));
              }}
            />
            <NumberField
              label="The tape is wide"
              unit="mm"
              value={tape.width}
              typical={`${USUAL_TAPE_MM}, typical`}
              bounds={BOUNDS.widthMm}
              save={(next) => {
                setTape({ ...tape, ...(next === undefined ? {} : { width: next }) });
                tell(tape.mm === undefined ? null : areaByTape(tape.mm, next ?? USUAL_TAPE_MM));
              }}
            />
          </>
        )}
        {area !== null && <p role="status">That is {sayArea(area)}.</p>}
      </div>
    </details>
  );
}
