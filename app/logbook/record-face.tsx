import type { LogRecord } from "#core/logbook/record/record";
import { coloursOf } from "#core/logbook/record/say-record";
import type { PictureId } from "#core/catalogue/ids";
import { Awaited } from "~/components/awaited";
import { Silhouette } from "~/components/shape/silhouette";
import { useMenu } from "~/components/use-menu";

type FaceAt = (picture: PictureId) => Promise<string | null>;

/** A piece of which there is no photograph: its own shape, or a stone in its colours. */
function Drawn({ record, size }: { record: LogRecord; size: number }) {
  const menu = useMenu();
  const body = menu.materials.find((one) => one.id === record.material);
  if (record.piece) return <Silhouette piece={record.piece} body={body?.colour ?? "#999999"} texture={body?.texture ?? "dense"} size={size} />;
  const [ground = "var(--line)", ...marks] = coloursOf(record);
  return (
    <svg viewBox="0 0 120 100" width={size} height={(size * 100) / 120} aria-hidden className="shrink-0">
      <path d="M8 62C8 34 34 16 64 18s50 20 48 44-22 34-54 34S8 86 8 62z" fill={ground} stroke="var(--ink)" strokeWidth="1.6" />
      {marks.slice(0, 3).map((colour, index) => (
        <circle key={colour} cx={36 + index * 22} cy={56} r={7} fill={colour} />
      ))}
      {marks.length === 0 && <path d="M44 52c6-8 22-8 26 0s-8 12-14 16" fill="none" stroke="var(--soft)" strokeWidth="2" strokeDasharray="3 3" />}
    </svg>
  );
}

/** How a finished piece looks: its last photograph, else its drawing. */
export function RecordFace({ record, faceAt, size = 140 }: { record: LogRecord; faceAt: FaceAt; size?: number }) {
  const face = record.pictures.at(-1);
  const drawn = <Drawn record={record} size={size} />;
  if (!face) return drawn;
  return (
    <Awaited of={faceAt(face.small)} waiting={drawn}>
      {(src) => (src === null ? drawn : <img src={src} alt="" className="rounded object-contain" style={{ maxHeight: size, maxWidth: size * 1.4 }} />)}
    </Awaited>
  );
}
