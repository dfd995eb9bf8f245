import { COLOUR_NAMES, nameOfColour } from "#core/film/colour-names";
import { Choice, Colour } from "./fields";
import { usePickedPhoto } from "./photo-pick";
import { PhotoSpot } from "./photo-spot";

/** Longest side of a photograph in the page, px. */
const PHOTO_PX = 320;

const NAMES = Object.keys(COLOUR_NAMES).map((name) => ({ id: name, name }));

/** A jar's colour: picked, taken from a photograph, or by a plain name. */
export function ColourField({ colour, change }: { colour: string | undefined; change: (hex: string | undefined) => void }) {
  const { photo, button, fault } = usePickedPhoto("Photograph of the colour", "From a photograph");
  const near = colour === undefined ? "" : nameOfColour(colour);
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-end gap-3">
        <Colour label={colour === undefined ? "no colour said" : `near ${near}`} value={colour ?? "#b9b3a6"} onChange={change} />
        <div className="w-40">
          <Choice
            label="By name"
            value={near}
            choices={[{ id: "", name: "none" }, ...NAMES]}
            onChange={(name) => change(name === "" ? undefined : COLOUR_NAMES[name])}
          />
        </div>
        {button}
      </div>
      {fault}
      {photo && (
        <>
          <PhotoSpot photo={photo} label="Your photograph" px={PHOTO_PX} take={(hex) => change(hex)} />
          <p className="text-soft">Tap the paint. A daub that has dried, in daylight, is nearest to the truth.</p>
        </>
      )}
    </div>
  );
}
