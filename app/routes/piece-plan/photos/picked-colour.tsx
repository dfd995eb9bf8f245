import { useState } from "react";
import { Link } from "react-router";
import { PaintBucket } from "lucide-react";
import { differenceInWords, isOfColour, nearestInColour } from "#core/coating/facts/jars";
import type { Menu } from "#core/catalogue/menu";
import { nameOfColour } from "#core/film/colour-names";
import { ColourChip } from "~/components/colour-chip";
import { Radios } from "~/components/fields";
import type { SaveChanges } from "~/piece/use-record";
import type { ColourPlace } from "./colour-places";

interface Props {
  readonly hex: string;
  readonly menu: Menu;
  readonly places: readonly ColourPlace[];
  readonly save: SaveChanges;
}

/** A colour taken from a photograph: what it is near to, and where on the piece it is to go. */
export function PickedColour({ hex, menu, places, save }: Props) {
  const near = nearestInColour(menu.jars, hex);
  const passes = near !== null && isOfColour(near);
  const [from, setFrom] = useState<"photo" | "jar">(passes ? "jar" : "photo");
  const [used, setUsed] = useState<string | null>(null);
  const colour = from === "jar" && near ? near.colour : hex;
  return (
    <section aria-label="The colour you picked" className="grid gap-2">
      <p className="flex flex-wrap items-center gap-2">
        <ColourChip colour={hex} size={36} /> <span>near {nameOfColour(hex)}</span>
      </p>
      {near && (
        <Radios
          legend={passes ? `${near.name} on your shelf passes for it` : `Nearest on your shelf: ${near.name}, ${differenceInWords(near.colour, hex)}`}
          value={from}
          choices={[
            { id: "photo", name: "As in the photograph" },
            { id: "jar", name: `As ${near.name} has it` },
          ]}
          onChange={(id) => setFrom(id as "photo" | "jar")}
        />
      )}
      <p id="use-colour">Use it on this piece for</p>
      <div role="group" aria-labelledby="use-colour" className="flex flex-wrap gap-2">
        {places.map((place, index) => (
          <button
            key={index}
            type="button"
            className="button"
            onClick={() => {
              save(place.changes(colour));
              setUsed(place.name);
            }}
          >
            {place.now !== null && <ColourChip colour={place.now} size={18} />} {place.name}
          </button>
        ))}
      </div>
      <Link to={`/shelf?add=jar&colour=${encodeURIComponent(hex)}`} className="button w-fit">
        <PaintBucket aria-hidden size={18} /> A jar of this colour on the shelf
      </Link>
      <p role="status" className="text-soft">
        {used === null ? "" : `${used}: ${nameOfColour(colour)} now. The plan behind this follows.`}
      </p>
    </section>
  );
}
