import { useEffect, useRef, useState } from "react";
import { Camera } from "lucide-react";
import { COLOUR_NAMES, nameOfColour } from "#core/film/colour-names";
import { hexOf } from "#core/formats/palettes/swatch";
import { FileButton } from "~/components/file-button";
import { Choice, Colour } from "~/components/fields";

/** Longest side of a photograph in the page, px. */
const PHOTO_PX = 320;
/** Side of the patch whose mean is taken, px: one pixel of a photograph is noise. */
const PATCH_PX = 7;
const STEP_PX = 4;

interface Spot {
  readonly x: number;
  readonly y: number;
}

function meanAround(canvas: HTMLCanvasElement, { x, y }: Spot): string | null {
  const half = (PATCH_PX - 1) / 2;
  const data = canvas.getContext("2d", { willReadFrequently: true })?.getImageData(x - half, y - half, PATCH_PX, PATCH_PX).data;
  if (!data) return null;
  const sums = [0, 0, 0];
  let seen = 0;
  for (let at = 0; at < data.length; at += 4) {
    // Outside the picture there is nothing.
    if (data[at + 3] === 0) continue;
    seen += 1;
    for (const channel of [0, 1, 2]) sums[channel]! += data[at + channel]!;
  }
  return seen === 0 ? null : hexOf(sums.map((sum) => Math.round(sum / seen)));
}

/** A photograph in the page: a tap, or the arrow keys, says where its colour is taken. It is kept nowhere. */
function PhotoPicker({ photo, take }: { photo: ImageBitmap; take: (hex: string) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const scale = Math.min(1, PHOTO_PX / Math.max(photo.width, photo.height));
  const [width, height] = [Math.max(1, Math.round(photo.width * scale)), Math.max(1, Math.round(photo.height * scale))];
  const [spot, setSpot] = useState<Spot>({ x: Math.round(width / 2), y: Math.round(height / 2) });
  useEffect(() => canvas.current?.getContext("2d", { willReadFrequently: true })?.drawImage(photo, 0, 0, width, height), [photo, width, height]);
  const move = ({ x, y }: Spot) => {
    const next = { x: Math.min(width - 1, Math.max(0, Math.round(x))), y: Math.min(height - 1, Math.max(0, Math.round(y))) };
    setSpot(next);
    const hex = canvas.current && meanAround(canvas.current, next);
    if (hex) take(hex);
  };
  const steps: Readonly<Record<string, Spot>> = {
    ArrowLeft: { x: -STEP_PX, y: 0 },
    ArrowRight: { x: STEP_PX, y: 0 },
    ArrowUp: { x: 0, y: -STEP_PX },
    ArrowDown: { x: 0, y: STEP_PX },
  };
  return (
    <div className="relative w-fit">
      <canvas ref={canvas} width={width} height={height} className="max-w-full rounded border border-line" />
      <button
        type="button"
        aria-label="Your photograph: arrow keys move the spot whose colour is taken"
        className="absolute inset-0 h-full w-full cursor-crosshair"
        onClick={(event) => {
          // The space bar and Enter press it where the spot is.
          if (event.detail === 0) return move(spot);
          const box = event.currentTarget.getBoundingClientRect();
          move({ x: ((event.clientX - box.left) / box.width) * width, y: ((event.clientY - box.top) / box.height) * height });
        }}
        onKeyDown={(event) => {
          const step = steps[event.key];
          if (!step) return;
          event.preventDefault();
          move({ x: spot.x + step.x, y: spot.y + step.y });
        }}
      />
      <svg viewBox={`0 0 ${width} ${height}`} aria-hidden className="pointer-events-none absolute inset-0 h-full w-full">
        <circle cx={spot.x} cy={spot.y} r={9} fill="none" stroke="#fff" strokeWidth={4} />
        <circle cx={spot.x} cy={spot.y} r={9} fill="none" stroke="#000" strokeWidth={1.5} />
      </svg>
    </div>
  );
}

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
          <PhotoPicker photo={photo} take={change} />
          <p className="text-soft">Tap the paint. A daub that has dried, in daylight, is nearest to the truth.</p>
        </>
      )}
    </div>
  );
}
