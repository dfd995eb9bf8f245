import type { PictureId } from "#core/catalogue/ids";
import type { RecordPicture } from "#core/logbook/record/record";
import { PICTURE_STAGES } from "#core/logbook/record/record";
import { format } from "date-fns";
import { Awaited } from "~/components/awaited";

const STAGE_WORDS: Readonly<Record<RecordPicture["stage"], string>> = { before: "Before", during: "At work", after: "Finished" };

/** Photographs of a finished piece: before, at work, finished. Each opens large where it stands. */
export function RecordPictures({ pictures, faceAt }: { pictures: readonly RecordPicture[]; faceAt: (picture: PictureId) => Promise<string | null> }) {
  if (pictures.length === 0) return null;
  return (
    <div className="flex flex-wrap gap-4">
      {PICTURE_STAGES.flatMap((stage) => {
        const own = pictures.filter((one) => one.stage === stage);
        if (own.length === 0) return [];
        return [
          <section key={stage} aria-label={STAGE_WORDS[stage]}>
            <h2 className="text-lg">{STAGE_WORDS[stage]}</h2>
            <ul className="flex flex-wrap gap-2">
              {own.map(({ picture, small, caption, at }) => (
                <li key={picture}>
                  <Awaited of={faceAt(stage === "after" ? picture : small)} waiting={<span className="block size-36 rounded border border-line" />}>
                    {(src) =>
                      src === null ? (
                        <span className="grid size-36 place-items-center rounded border border-dashed border-line text-soft">lost</span>
                      ) : (
                        <img
                          src={src}
                          alt={caption ?? `${STAGE_WORDS[stage]}, ${format(new Date(at), "d MMM yyyy")}`}
                          className="max-h-64 max-w-full rounded border border-line"
                        />
                      )
                    }
                  </Awaited>
                  <span className="block max-w-56 text-sm text-soft">{caption ?? format(new Date(at), "d MMM yyyy")}</span>
                </li>
              ))}
            </ul>
          </section>,
        ];
      })}
    </div>
  );
}
