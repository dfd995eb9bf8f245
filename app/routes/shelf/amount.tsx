import { useState } from "react";
import type { Jar, Left } from "#core/catalogue/jar";
import { JAR_BOUNDS } from "#core/formats/stores/shelf";
import { densityOf, mlByEye, mlByWeight, tareFor, tareOfFull } from "#core/shelf/amount-left";
import type { JarChange } from "#core/shelf/jar-change";
import { Radios } from "~/components/fields";
import { kindOf, sayMl, sizeOf } from "~/shelf/shelf-view";
import { NumberField } from "./number-field";

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

const left = (ml: number, by: Left["by"]): Left => ({ ml, by, at: new Date().toISOString() });
const rounded = (ml: number) => Math.round(ml * 10) / 10;

/** The jar on the scale: what it weighs, less what it weighs empty. */
function ByWeight({ jar, shelf, change }: { jar: Jar; shelf: readonly Jar[]; change: (change: JarChange) => void }) {
  const [grossG, weigh] = useState<number | undefined>(undefined);
  const kind = kindOf(jar);
  const density = kind && densityOf(kind);
  const tare = tareFor(jar, shelf);
  const size = sizeOf(jar);
  const weighed = (g: number | undefined) => {
    weigh(g);
    if (g !== undefined && tare) change({ set: { left: left(rounded(mlByWeight(g, tare.g, density?.kgL ?? null)), "weight") } });
  };
  const full = grossG === undefined ? null : tareOfFull(grossG, size.ml, density?.kgL ?? null);
  return (
    <div className="grid gap-2 sm:grid-cols-2">
      <NumberField label="It weighs now" unit="g" value={grossG} bounds={JAR_BOUNDS.grams} save={weighed} />
      <NumberField
        label="Empty, with its lid"
        unit="g"
        value={jar.tareG}
        typical={tare?.learnt ? `${Math.round(tare.g)}, like your others` : undefined}
        bounds={JAR_BOUNDS.grams}
        save={(tareG) => {
          const ml = tareG !== undefined && grossG !== undefined ? { left: left(rounded(mlByWeight(grossG, tareG, density?.kgL ?? null)), "weight") } : {};
          change(tareG === undefined ? { clear: ["tareG"] } : { set: { tareG, ...ml } });
        }}
      />
      {grossG !== undefined && !tare && full !== null && (
        <p className="sm:col-span-2">
          What an empty jar weighs is not known yet.{" "}
          <button type="button" className="button" onClick={() => change({ set: { tareG: Math.round(full), sizeMl: size.ml, left: left(size.ml, "weight") } })}>
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
        onChange={(id) => change({ set: { left: left(rounded(mlByEye(Number(id), size.ml)), "eye") } })}
      />
      <div className="grid gap-2 sm:grid-cols-2">
        <NumberField
          label="Or in figures"
          unit="ml"
          value={leftMl === undefined ? undefined : Math.round(leftMl)}
          bounds={JAR_BOUNDS.ml}
          save={(ml) => change(ml === undefined ? { clear: ["left"] } : { set: { left: left(ml, "volume") } })}
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
