import { useState } from "react";
import { Camera } from "lucide-react";
import { COLOUR_NAMES, nameOfColour } from "#core/film/colour-names";
import { FileButton } from "./file-button";
import { Choice, Colour } from "./fields";
import { PhotoSpot } from "./photo-spot";

/** Longest side of a photograph in the page, px. */
const PHOTO_PX = 320;

const NAMES = Object.keys(COLOUR_NAMES).map((name) => ({ id: name, name }));

/** A jar's colour: picked, taken from a photograph, or by a plain name. */
export function ColourField({ colour, change }: { colour: string | undefined; change: (hex: string | undefined) => void }) {
  const [photo, setPhoto] = useState<ImageBitmap | null>(null);
  const [wrong, setWrong] = useState(false);
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
        <FileButton
          icon={Camera}
          label="Photograph of the colour"
          accept="image/*"
          take={(file) =>
            void createImageBitmap(file).then(
              (bitmap) => {
                setWrong(false);
                setPhoto(bitmap);
              },
              () => setWrong(true),
            )
          }
        >
          From a photograph
        </FileButton>
      </div>
      {wrong && (
        <p role="alert" className="text-stop">
          This file is no picture the browser can read.
        </p>
      )}
      {photo && (
        <>
          <PhotoSpot photo={photo} label="Your photograph" px={PHOTO_PX} take={change} />
          <p className="text-soft">Tap the paint. A daub that has dried, in daylight, is nearest to the truth.</p>
        </>
      )}
    </div>
  );
}
