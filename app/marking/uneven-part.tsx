import type { Pattern } from "#core/piece/pattern";
import { Choice } from "~/components/fields";
import { NumberField } from "~/components/number-field";
import type { MarkingSurface } from "#core/marking/surface";
import { radiiOf } from "#core/marking/outline";
import { plainMm } from "#core/marking/words";

/** Where each of so many radii is measured, as hours of a clock. */
function hours(count: number): readonly string[] {
  return Array.from({ length: count }, (_unused, k) => {
    const hour = (12 * k) / count || 12;
    const whole = Math.floor(hour);
    return hour === whole ? `${whole} o'clock` : `half past ${whole}`;
  });
}

const COUNTS = [4, 6, 8];

/** A stone that is no oval: from its middle to its edge, all round. */
export function UnevenPart({ pattern, surface, change }: { pattern: Pattern; surface: MarkingSurface; change: (radiiMm: readonly number[] | null) => void }) {
  const radii = pattern.radiiMm;
  return (
    <details open={radii !== undefined} className="mt-2 print:hidden">
      <summary className="w-fit py-2 underline">It is no even oval</summary>
      <div className="grid gap-3">
        <p className="text-soft">Measure from the middle to the edge, clockwise from twelve, seen from above.</p>
        <Choice
          label="How often"
          value={String(radii?.length ?? "")}
          choices={[{ id: "", name: "as an oval" }, ...COUNTS.map((count) => ({ id: String(count), name: `${count} times round` }))]}
          onChange={(id) => change(id === "" ? null : radiiOf(surface.outline!, Number(id)))}
        />
        {radii && (
          <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
            {hours(radii.length).map((hour, k) => (
              <NumberField
                key={`${radii.length}-${hour}`}
                label={hour}
                unit="mm"
                value={radii[k]}
                typical={plainMm(radii[k]!)}
                bounds={{ least: 1, most: 1500 }}
                save={(mm) => mm !== undefined && change(radii.map((one, at) => (at === k ? mm : one)))}
              />
            ))}
          </div>
        )}
      </div>
    </details>
  );
}
