import { useState } from "react";
import { jarId, productId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import type { Sheen } from "#core/catalogue/vocabulary";
import { basicSet, BASIC_PAINTS } from "#core/shelf/basic-set";
import type { BasicPaint } from "#core/shelf/basic-set";
import { ColourChip } from "~/components/colour-chip";
import { Radios } from "~/components/fields";
import { freshId } from "~/store/fresh-id";
import { colourShown, kindOf, SHEEN_CHOICES } from "~/shelf/shelf-view";

const PAINTS = BASIC_PAINTS.map((id) => ({ id, name: kindOf({ classId: productId(id) })!.name }));

/** What most shelves begin with, in three taps. */
export function BasicSet({ add, close }: { add: (jars: readonly Jar[]) => void; close: () => void }) {
  const [paint, setPaint] = useState<BasicPaint>("craft-acrylic");
  const [sheen, setSheen] = useState<Sheen>("satin");
  const set = basicSet(paint, sheen);
  return (
    <section aria-label="A basic set" className="note mt-4 grid gap-3 p-4">
      <Radios legend="The paint is" value={paint} choices={PAINTS} onChange={(id) => setPaint(id as BasicPaint)} />
      <Radios legend="The varnish is" value={sheen} choices={SHEEN_CHOICES} onChange={(id) => setSheen(id as Sheen)} />
      <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
        {set.map((jar) => (
          <span key={jar.name} className="inline-flex items-center gap-1">
            <ColourChip colour={colourShown(jar)} sheen={jar.label.sheen} /> {jar.name}
          </span>
        ))}
      </p>
      <p className="flex flex-wrap gap-2">
        <button type="button" className="button button-act" onClick={() => add(set.map((jar) => ({ ...jar, id: jarId(freshId()) })))}>
          Put these {set.length} on the shelf
        </button>
        <button type="button" className="button" onClick={close}>
          Not now
        </button>
      </p>
    </section>
  );
}
