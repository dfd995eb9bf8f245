import { useEffect, useRef, useState } from "react";
import { hexOf } from "#core/formats/palettes/swatch";

/** Side of the patch whose mean is taken, as a part of the longest side: one pixel of a photograph is noise. */
const PATCH_SHARE = 1 / 45;
/** How far an arrow key goes, as a part of the longest side. */
const STEP_SHARE = 1 / 80;
const LEAST_STEP_PX = 4;

/** A pixel: red, green and blue, 0–255. */
export type Pixel = readonly [number, number, number];

interface Spot {
  readonly x: number;
  readonly y: number;
}

function brushOf(canvas: HTMLCanvasElement): CanvasRenderingContext2D | null {
  return canvas.getContext("2d", { willReadFrequently: true });
}

/** The mean of a patch, and its pixels: how much they differ says how sure it is. */
function meanAround(canvas: HTMLCanvasElement, { x, y }: Spot): { readonly hex: string; readonly pixels: readonly Pixel[] } | null {
  const half = Math.max(1, Math.round((Math.max(canvas.width, canvas.height) * PATCH_SHARE) / 2));
  const side = 2 * half + 1;
  const data = brushOf(canvas)?.getImageData(x - half, y - half, side, side).data;
  if (!data) return null;
  const sums = [0, 0, 0];
  const pixels: Pixel[] = [];
  for (let at = 0; at < data.length; at += 4) {
    // Outside the picture there is nothing.
    if (data[at + 3] === 0) continue;
    for (const channel of [0, 1, 2]) sums[channel]! += data[at + channel]!;
    pixels.push([data[at]!, data[at + 1]!, data[at + 2]!]);
  }
  return pixels.length === 0 ? null : { hex: hexOf(sums.map((sum) => Math.round(sum / pixels.length))), pixels };
}

interface Props {
  readonly photo: ImageBitmap;
  /** What it shows, for whoever listens. */
  readonly label: string;
  /** Longest side it is drawn with, px. */
  readonly px: number;
  /** @param pixels of the patch */
  readonly take: (hex: string, pixels: readonly Pixel[]) => void;
}

/** A photograph in the page: a tap, or the arrow keys, says where its colour is taken. */
export function PhotoSpot({ photo, label, px, take }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const scale = Math.min(1, px / Math.max(photo.width, photo.height));
  const [width, height] = [Math.max(1, Math.round(photo.width * scale)), Math.max(1, Math.round(photo.height * scale))];
  const [spot, setSpot] = useState<Spot | null>(null);
  useEffect(() => {
    if (canvas.current) brushOf(canvas.current)?.drawImage(photo, 0, 0, width, height);
  }, [photo, width, height]);
  const from = spot ?? { x: Math.round(width / 2), y: Math.round(height / 2) };
  const move = ({ x, y }: Spot) => {
    const next = { x: Math.min(width - 1, Math.max(0, Math.round(x))), y: Math.min(height - 1, Math.max(0, Math.round(y))) };
    setSpot(next);
    const mean = canvas.current && meanAround(canvas.current, next);
    if (mean) take(mean.hex, mean.pixels);
  };
  const longest = Math.max(width, height);
  const step = Math.max(LEAST_STEP_PX, Math.round(longest * STEP_SHARE));
  const steps: Readonly<Record<string, Spot>> = {
    ArrowLeft: { x: -step, y: 0 },
    ArrowRight: { x: step, y: 0 },
    ArrowUp: { x: 0, y: -step },
    ArrowDown: { x: 0, y: step },
  };
  return (
    <div className="relative w-fit max-w-full">
      <canvas ref={canvas} width={width} height={height} className="block max-h-[52dvh] max-w-full rounded border border-line" />
      <button
        type="button"
        aria-label={`${label}: arrow keys move the spot whose colour is taken`}
        className="absolute inset-0 h-full w-full cursor-crosshair"
        onClick={(event) => {
          // The space bar and Enter press it where the spot is.
          if (event.detail === 0) return move(from);
          const box = event.currentTarget.getBoundingClientRect();
          move({ x: ((event.clientX - box.left) / box.width) * width, y: ((event.clientY - box.top) / box.height) * height });
        }}
        onKeyDown={(event) => {
          const by = steps[event.key];
          if (!by) return;
          event.preventDefault();
          move({ x: from.x + by.x, y: from.y + by.y });
        }}
      />
      {spot && (
        <svg viewBox={`0 0 ${width} ${height}`} aria-hidden className="pointer-events-none absolute inset-0 h-full w-full">
          <circle cx={spot.x} cy={spot.y} r={longest / 36} fill="none" stroke="#fff" strokeWidth={longest / 80} />
          <circle cx={spot.x} cy={spot.y} r={longest / 36} fill="none" stroke="#000" strokeWidth={longest / 220} />
        </svg>
      )}
    </div>
  );
}
