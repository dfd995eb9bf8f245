import { isDay } from "#core/formats/hours-schema";
import { PICTURE_PX, SMALL_PX } from "#core/formats/stores/photos";
import type { Shrunk } from "~/store/photos";

const QUALITY = 0.82;
/** Files no camera of a phone makes, bytes. */
const MOST_BYTES = 80_000_000;

/** A file that cannot be kept as a photograph, and why. */
export class NotAPicture extends Error {
  override readonly name = "NotAPicture";
}

function draw(source: ImageBitmap, most: number): HTMLCanvasElement {
  const scale = Math.min(1, most / Math.max(source.width, source.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.max(1, Math.round(source.width * scale));
  canvas.height = Math.max(1, Math.round(source.height * scale));
  const brush = canvas.getContext("2d");
  if (!brush) throw new NotAPicture("the browser has no room to shrink it");
  // What is clear in it would be black as a JPEG.
  brush.fillStyle = "#ffffff";
  brush.fillRect(0, 0, canvas.width, canvas.height);
  brush.imageSmoothingQuality = "high";
  brush.drawImage(source, 0, 0, canvas.width, canvas.height);
  return canvas;
}

async function jpegOf(canvas: HTMLCanvasElement): Promise<Uint8Array<ArrayBuffer>> {
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/jpeg", QUALITY));
  if (!blob) throw new NotAPicture("the browser has no room to shrink it");
  return new Uint8Array(await blob.arrayBuffer());
}

/** A file without a day of its own is of now. */
function takenAt({ lastModified }: File): string {
  const at = new Date(lastModified).toISOString();
  return isDay(at.slice(0, 10)) ? at : new Date().toISOString();
}

/**
 * A photograph as it is kept: shrunk, and drawn anew, so that where it was taken and with what is not in it any more.
 *
 * @throws NotAPicture
 */
export async function shrunk(file: File): Promise<Shrunk> {
  if (file.size > MOST_BYTES) throw new NotAPicture("it is larger than any photograph");
  const source = await createImageBitmap(file, { imageOrientation: "from-image" }).catch(() => null);
  if (!source) throw new NotAPicture("this browser cannot read it as a picture; a JPEG or PNG of it can be read");
  try {
    const large = draw(source, PICTURE_PX);
    const [picture, small] = [await jpegOf(large), await jpegOf(draw(source, SMALL_PX))];
    return { at: takenAt(file), picture, small, width: large.width, height: large.height };
  } finally {
    source.close();
  }
}
