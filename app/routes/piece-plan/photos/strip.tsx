import { useState } from "react";
import { Link, useFetcher } from "react-router";
import { Camera, ImagePlus } from "lucide-react";
import { stageAt } from "#core/logbook/photo-stage";
import type { ProgressRecord } from "#core/logbook/progress";
import { FileButton } from "~/components/file-button";
import { sayDay } from "~/components/time-words";
import { useMenu } from "~/components/use-menu";
import { useNow } from "~/components/use-now";
import { stepTitle } from "~/components/words";
import type { StripPhoto } from "~/photos/kept-photos.client";
import type { PhotoAsk, PhotosOutcome } from "~/photos/photo-ask";

/** Photographs shown before the rest is asked for: two rows. */
const MOST_SHOWN = 8;
const KINDS = "image/*";

/** What became of the files that were picked, where there is something to say. */
function Told({ outcome, again }: { outcome: PhotosOutcome; again: (files: string) => void }) {
  if (outcome.kind === "failed")
    return (
      <div role="alert" className="notice mt-2 bg-stop-tint">
        <p>No photograph was added: {outcome.why}. They are still at hand while this page is open.</p>
        <button type="button" className="button mt-2" onClick={() => again(outcome.files)}>
          Try again
        </button>
      </div>
    );
  const { added, same, notTaken } = outcome;
  return (
    <div role="status" className={notTaken.length > 0 ? "notice mt-2 bg-warn-tint" : same > 0 ? "mt-2 text-soft" : "sr-only"}>
      {added > 0 && <p>{added === 1 ? "One photograph is added." : `${added} photographs are added.`}</p>}
      {same > 0 && <p>{same === 1 ? "One is here already." : `${same} are here already.`}</p>}
      {notTaken.map(({ name, why }, index) => (
        <p key={index} className="[overflow-wrap:anywhere]">
          {name} was not added: {why}.
        </p>
      ))}
    </div>
  );
}

/** One photograph in the strip, with its day and how far the piece was then. */
function Small({ photo: { record, src }, progress, now }: { photo: StripPhoto; progress: readonly ProgressRecord[]; now: number }) {
  const menu = useMenu();
  const stage = stageAt(progress, record.at);
  const day = sayDay(Date.parse(record.at), now);
  const far = stage ? `after ${stepTitle(stage, menu, false)}` : "before any work";
  return (
    <Link
      to={`?photo=${record.id}`}
      preventScrollReset
      className="block text-ink no-underline"
      aria-label={`Photograph, ${record.caption ?? far}, ${day}`}
      title={record.caption ?? far}
    >
      {src === null ? (
        <span className="grid aspect-square place-items-center rounded border border-dashed border-line text-soft">lost</span>
      ) : (
        <img src={src} alt="" className="aspect-square w-full rounded border border-line object-cover" />
      )}
      <span className="line-clamp-2 text-sm leading-snug [overflow-wrap:anywhere]">{record.caption ?? day}</span>
    </Link>
  );
}

/** Photographs of a piece, and the ways to add one: taken, picked, or dropped here. */
export function PhotoStrip({ piece, photos, progress }: { piece: string; photos: readonly StripPhoto[]; progress: readonly ProgressRecord[] }) {
  const now = useNow();
  const fetcher = useFetcher<PhotosOutcome>({ key: `photographs-${piece}` });
  const [all, setAll] = useState(false);
  const [over, setOver] = useState(false);
  const send = (files: string) => {
    const ask: PhotoAsk = { intent: "add", files };
    void fetcher.submit(ask, { method: "post", action: `/pieces/${piece}/photographs`, encType: "application/json" });
  };
  const take = (files: readonly File[]) => {
    if (files.length > 0) void import("~/actions/handed.client").then(({ handOver }) => send(handOver(files)));
  };
  const shown = all ? photos : photos.slice(-MOST_SHOWN);
  return (
    <section
      aria-label="Photographs"
      className={`mt-4 rounded-lg border-2 border-dashed p-3 ${over ? "border-ready bg-note-tint" : "border-line"}`}
      onDragOver={(event) => {
        if (![...event.dataTransfer.types].includes("Files")) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        take([...event.dataTransfer.files]);
      }}
    >
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg">Photographs</h2>
        <div className="flex flex-wrap gap-2">
          <span className="hidden pointer-coarse:inline">
            <FileButton icon={Camera} label="Take a photograph" accept={KINDS} capture take={(_one, all) => take(all)}>
              Take one
            </FileButton>
          </span>
          <FileButton icon={ImagePlus} label="Pick photographs" accept={KINDS} many take={(_one, all) => take(all)}>
            {photos.length === 0 ? "Add photographs" : "Add"}
          </FileButton>
        </div>
      </div>
      {photos.length === 0 ? (
        <p className="mt-1 text-soft">Bare, half done, finished: pick pictures of it, or drop them here. Colours can be picked from them.</p>
      ) : (
        <ul className="mt-2 grid grid-cols-4 gap-2">
          {shown.map((photo) => (
            <li key={photo.record.id} className="min-w-0">
              <Small photo={photo} progress={progress} now={now} />
            </li>
          ))}
        </ul>
      )}
      {photos.length > shown.length && (
        <button type="button" className="button mt-2" onClick={() => setAll(true)}>
          All {photos.length}
        </button>
      )}
      {fetcher.state !== "idle" && (
        <p role="status" className="mt-2 text-soft">
          Shrinking and keeping them…
        </p>
      )}
      {fetcher.data && fetcher.state === "idle" && <Told outcome={fetcher.data} again={send} />}
    </section>
  );
}
