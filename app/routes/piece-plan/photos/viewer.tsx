import { Dialog } from "radix-ui";
import { useState } from "react";
import { useNavigate } from "react-router";
import { format } from "date-fns";
import { ChevronLeft, ChevronRight, Trash2, X } from "lucide-react";
import type { Assumption } from "#core/piece/piece";
import { MAX_CAPTION } from "#core/formats/stores/photos";
import { nameOfColour } from "#core/film/colour-names";
import { useAsk } from "~/actions/use-ask";
import { ColourChip } from "~/components/colour-chip";
import { PhotoSpot } from "~/components/photo-spot";
import { ToolButton } from "~/components/tool-button";
import { useMenu } from "~/components/use-menu";
import { useTyped } from "~/components/use-typed";
import type { OpenPhoto, StripPhoto } from "~/photos/kept-photos.client";
import type { PhotoAsk } from "~/photos/photo-ask";
import { useRecord } from "~/piece/use-record";
import { colourPlaces } from "./colour-places";
import { PickedColour } from "./picked-colour";

/** Longest side a photograph is drawn with, px. */
const LARGE_PX = 1000;

interface Props {
  readonly open: OpenPhoto;
  readonly photos: readonly StripPhoto[];
  readonly assumed: readonly Assumption[];
}

/** What is said of it, and the day it was taken. */
function Words({ open: { record }, ask }: { open: OpenPhoto; ask: ReturnType<typeof useAsk<PhotoAsk>> }) {
  const caption = useTyped({
    value: record.caption ?? "",
    text: (said) => said,
    read: (text) => ({ value: text }),
    save: (said) => void ask({ intent: "say", id: record.id, caption: said }, { about: `${record.id}/caption` }),
  });
  return (
    <div className="flex flex-wrap gap-3">
      <label className="min-w-40 grow">
        What it shows
        <input
          className="field"
          maxLength={MAX_CAPTION}
          value={caption.text}
          placeholder="The crack at the rim, before filling"
          onFocus={caption.begin}
          onChange={(event) => caption.type(event.target.value)}
          onBlur={caption.leave}
        />
      </label>
      <label>
        Taken on
        <input
          type="date"
          className="field"
          min="2000-01-01"
          max="2199-12-31"
          value={format(record.at, "yyyy-MM-dd")}
          onChange={({ target: { value, validity } }) => {
            // The hour stays: photographs of one day keep their order.
            if (value !== "" && validity.valid) ask({ intent: "say", id: record.id, at: new Date(`${value}T${format(record.at, "HH:mm:ss")}`).toISOString() });
          }}
        />
      </label>
    </div>
  );
}

/** One photograph, large: what is said of it, and colours picked from it. */
export function PhotoViewer({ open, photos, assumed }: Props) {
  const menu = useMenu();
  const navigate = useNavigate();
  const { record: piece, save } = useRecord();
  const ask = useAsk<PhotoAsk>(`/pieces/${piece.id}/photographs`);
  const [hex, setHex] = useState<string | null>(null);
  const { record, picture, colours } = open;
  const at = photos.findIndex((one) => one.record.id === record.id);
  const go = (to: number) => () => void navigate(`?photo=${photos[to]!.record.id}`, { replace: true, preventScrollReset: true });
  const close = () => void navigate(".", { replace: true, preventScrollReset: true });
  return (
    <Dialog.Root open onOpenChange={(on) => !on && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="note fixed left-1/2 top-1/2 z-20 max-h-[96dvh] w-[min(96vw,58rem)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-4"
        >
          <div className="mb-2 flex items-center justify-between gap-2">
            <Dialog.Title className="text-xl">
              Photograph {at + 1} of {photos.length}
            </Dialog.Title>
            <div className="flex gap-1">
              <ToolButton icon={ChevronLeft} label="The one before" disabled={at <= 0} onClick={go(at - 1)} />
              <ToolButton icon={ChevronRight} label="The one after" disabled={at < 0 || at === photos.length - 1} onClick={go(at + 1)} />
              <Dialog.Close className="tool" aria-label="Close the photograph">
                <X aria-hidden size={20} />
              </Dialog.Close>
            </div>
          </div>
          <div className="grid gap-4 md:grid-cols-[minmax(0,1.5fr)_minmax(15rem,1fr)]">
            <div className="grid content-start gap-2">
              {picture ? (
                <>
                  <PhotoSpot key={record.id} photo={picture} label="The photograph" px={LARGE_PX} take={setHex} />
                  <p className="text-soft">Tap a colour in it. Daylight is nearest to the truth; a lamp makes it yellower.</p>
                </>
              ) : (
                <p className="notice bg-warn-tint">Its picture is lost: the notebook has no such file any more. What is said of it is still here.</p>
              )}
            </div>
            <div className="grid content-start gap-4">
              {colours.length > 0 && (
                <div>
                  <p id="main-colours">Colours in it</p>
                  <div role="group" aria-labelledby="main-colours" className="flex flex-wrap gap-1">
                    {colours.map(({ colour }) => (
                      <button
                        key={colour}
                        type="button"
                        className="tool"
                        aria-label={`Pick ${nameOfColour(colour)}, ${colour}`}
                        aria-pressed={hex === colour}
                        onClick={() => setHex(colour)}
                      >
                        <ColourChip colour={colour} size={30} />
                      </button>
                    ))}
                  </div>
                </div>
              )}
              {hex !== null && <PickedColour key={hex} hex={hex} menu={menu} places={colourPlaces(piece.piece, assumed, menu)} save={save} />}
              <Words key={record.id} open={open} ask={ask} />
              <button
                type="button"
                className="button justify-self-start"
                onClick={() => {
                  ask({ intent: "remove", id: record.id });
                  close();
                }}
              >
                <Trash2 aria-hidden size={18} /> Take it off this piece
              </button>
            </div>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
