import { heatTimeline } from "#core/drying/heat-timeline";
import type { HeatSpan } from "#core/drying/heat-timeline";
import type { Heat } from "#core/coating/model/step";
import { sayDurationRange } from "#core/units/duration";

const PHASES: Readonly<Record<Heat["kind"], Readonly<Record<HeatSpan["phase"], string>>>> = {
  oven: {
    heating: "Into the cold oven; until it is up to heat",
    hold: "Hold, counted from then",
    cooling: "Cool inside with the door ajar, until it may be taken hold of",
  },
  kiln: { heating: "The slow climb", hold: "Hold, counted from then", cooling: "Cool shut, until it may be opened" },
};

/** A bake or a firing as it goes, from cold to cold. */
export function Bake({ heat }: { heat: Heat | undefined }) {
  if (!heat) return null;
  const { spans, totalMin, presenceMin } = heatTimeline(heat);
  return (
    <div>
      <h4 className="font-text font-semibold">How the bake goes</h4>
      <ol className="list-decimal pl-5">
        {spans.map(({ phase, fromMin, toMin }) => (
          <li key={phase}>
            {PHASES[heat.kind][phase]}: {sayDurationRange(fromMin, toMin)}
          </li>
        ))}
      </ol>
      <p className="text-soft">
        {sayDurationRange(totalMin.typicalMin, totalMin.cautiousMin)} in all, of which you stay near for{" "}
        {sayDurationRange(presenceMin.typicalMin, presenceMin.cautiousMin)}. Ovens differ, and your label decides heat and hold. These times are from memory.
      </p>
    </div>
  );
}
