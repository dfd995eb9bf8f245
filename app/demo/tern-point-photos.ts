import { photoId, pieceId } from "#core/catalogue/ids";
import type { PictureId } from "#core/catalogue/ids";
import { idOfPicture } from "#core/formats/picture";
import type { PhotoRecord } from "#core/formats/stores/photos";

interface DemoPhoto {
  /** Name of its files, large and small. */
  readonly file: string;
  readonly piece: string;
  readonly caption: string;
  /** Days before its piece was begun. */
  readonly daysBefore: number;
}

/** Drawn for the demo; nobody's pot and nobody's tile. */
const PHOTOS: readonly DemoPhoto[] = [
  { file: "tile", piece: "ternpoint002", caption: "Old tile by the tea room door, for the colours", daysBefore: 2 },
  { file: "pot-bare", piece: "ternpoint002", caption: "Bare and dusty", daysBefore: 1 },
];
const SIZE = { width: 1200, height: 900 } as const;
const DAY_MS = 86_400_000;

async function bytesOf(file: string): Promise<Uint8Array<ArrayBuffer>> {
  const answer = await fetch(`/tern-point/${file}.jpg`);
  if (!answer.ok) throw new Error(`no ${file}`);
  return new Uint8Array(await answer.arrayBuffer());
}

/**
 * The demo's photographs and their pictures; none where the server does not have them.
 *
 * @param begunOf when a piece was begun, instant, ms
 */
export async function ternPointPhotos(
  begunOf: (piece: string) => number,
): Promise<{ readonly photos: readonly PhotoRecord[]; readonly pictures: ReadonlyMap<PictureId, Uint8Array> }> {
  const pictures = new Map<PictureId, Uint8Array>();
  const kept = async (file: string) => {
    const bytes = await bytesOf(file);
    const id = idOfPicture(bytes);
    pictures.set(id, bytes);
    return id;
  };
  try {
    const photos = await Promise.all(
      PHOTOS.map(async ({ file, piece, caption, daysBefore }): Promise<PhotoRecord> => {
        const [picture, small] = await Promise.all([kept(file), kept(`${file}-small`)]);
        return {
          id: photoId(`${piece}${file.replace("-", "")}`),
          rev: 1,
          pieceId: pieceId(piece),
          at: new Date(begunOf(piece) - daysBefore * DAY_MS).toISOString(),
          caption,
          picture,
          small,
          ...SIZE,
        };
      }),
    );
    return { photos, pictures };
  } catch {
    return { photos: [], pictures: new Map() };
  }
}
