import type { Jar } from "#core/catalogue/jar";
import { JAR_BOUNDS } from "#core/formats/stores/shelf";
import { densityOf, seenByEye, tareFor, tareOfFull, weighed } from "#core/shelf/amount-left";
import type { JarChange } from "#core/shelf/jar-change";
import { Radios } from "~/components/fields";
import { sayMl } from "#core/units/volume";
import { kindOf, sizeOf } from "~/shelf/shelf-view";
import { NumberField } from "~/components/number-field";
import { useDraft } from "~/components/use-draft";

const BY_EYE = [
  { id: "4", name: "full" },
  { id: "3", name: "¾" },
  { id: "2", name: "half" },
  { id: "1", name: "¼" },
  { id: "0.5", name: "a last bit" },
  { id: "0", name: "empty" },
];

/** Less than this nobody sees, mL. */
const SOME_ML = 0.05;

const now = () => new Date().toISOString();

/** The jar on the scale: what it weighs, less what it weighs empty. */
function ByWeight({ jar, shelf, change }: { jar: Jar; shelf: readonly Jar[]; change: (change: JarChange) => void }) {
  const [grossG, weigh] = useDraft<number | undefined>(`on-scale-${(jar as { readonly id?: string }).id ?? "new"}`, undefined);
  const kind = kindOf(jar);
  const density = kind && densityOf(kind);
  const tare = tareFor(jar, shelf);
  const size = sizeOf(jar);
  const leftBy = (g: number, tareG: number) => weighed(g, tareG, density?.kgL ?? null, now());
  const onScale = (g: number | undefined) => {
    weigh(g);
    if (g !== undefined && tare) change({ set: { left: leftBy(g, tare.g) } });
  };
  const full = grossG === undefined ? null : tareOfFull(grossG, size.ml, density?.kgL ?? null);
  return (
    <div className="grid gap-2 sm:grid-cols-2">
      <NumberField label="It weighs now" unit="g" value={grossG} bounds={JAR_BOUNDS.grams} save={onScale} />
      <NumberField
        label="Empty, with its lid"
        unit="g"
        value={jar.tareG}
        typical={tare?.learnt ? `${Math.round(tare.g)}, like your others` : undefined}
        bounds={JAR_BOUNDS.grams}
        save={(tareG) => {
          const ml = tareG !== undefined && grossG !== undefined ? { left: leftBy(grossG, tareG) } : {};
          change(tareG === undefined ? { clear: ["tareG"] } : { set: { tareG, ...ml } });
        }}
      />
      {grossG !== undefined && !tare && full !== null && (
        <p className="sm:col-span-2">
          What an empty jar weighs is not known yet.{" "}
          <button
            type="button"
            className="button"
            onClick={() => change({ set: { tareG: Math.round(full), sizeMl: size.ml, left: { ml: size.ml, by: "weight", at: now() } } })}
          >
            This is its weight full
          </button>
        </p>
      )}
      {density && (
        <p className="text-soft sm:col-span-2">
          Reckoned with {density.kgL.toFixed(2)} g to a millilitre, typical of {density.ofClass ? "its kind" : "waterborne paint"}.
        </p>
      )}
    </div>
  );
}

/** How much is left: by eye in quarters, in millilitres, or on the scale. */
export function Amount({ jar, leftMl, shelf, change }: { jar: Jar; leftMl: number | undefined; shelf: readonly Jar[]; change: (change: JarChange) => void }) {
  const size = sizeOf(jar);
  const quarters = leftMl === undefined ? null : (leftMl / size.ml) * 4;
  const eye = quarters === null ? "" : (BY_EYE.find((one) => Math.abs(Number(one.id) - quarters) < 0.25)?.id ?? "");
  return (
    <div className="grid gap-2">
      <Radios
        legend={`What is left in it${size.known ? "" : ` (of the usual ${size.ml} ml)`}`}
        value={eye}
        choices={BY_EYE}
        onChange={(id) => change({ set: { left: seenByEye(Number(id), size.ml, now()) } })}
      />
      <div className="grid gap-2 sm:grid-cols-2">
        <NumberField
          label="Or in figures"
          unit="ml"
          value={leftMl === undefined ? undefined : Math.round(leftMl)}
          bounds={JAR_BOUNDS.ml}
          save={(ml) => change(ml === undefined ? { clear: ["left"] } : { set: { left: { ml, by: "volume", at: now() } } })}
        />
      </div>
      <details>
        <summary className="w-fit py-2 underline">Or weigh it</summary>
        <ByWeight jar={jar} shelf={shelf} change={change} />
      </details>
      {jar.left !== undefined && leftMl !== undefined && jar.left.ml - leftMl > SOME_ML && (
        <p className="text-soft">
          You saw {sayMl(jar.left.ml)} in it; {sayMl(jar.left.ml - leftMl)} went on pieces since.
        </p>
      )}
    </div>
  );
}
