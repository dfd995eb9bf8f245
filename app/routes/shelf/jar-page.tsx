import { Dialog } from "radix-ui";
import { Link } from "react-router";
import { Copy, Trash2 } from "lucide-react";
import type { JarId } from "#core/catalogue/ids";
import { differenceInWords } from "#core/coating/facts/jars";
import { nameOfColour } from "#core/film/colour-names";
import { noteOfMix } from "#core/shelf/mixes";
import { palmCoats, standInsFor } from "#core/shelf/use-up";
import { ColourChip } from "~/components/colour-chip";
import type { ShelfRow } from "#core/shelf/shelf-rows";
import { HIDES_BY, hidesText, sentence } from "~/mixing/desk-words";
import { sayMl } from "#core/units/volume";
import { colourShown, kindOf, sayLeft, STATE_WORDS } from "~/shelf/shelf-view";
import type { WantingPieces } from "~/shelf/wanting.client";
import type { ChangeJar } from "~/shelf/shelf-view";
import { JarFields } from "./jar-fields";

interface Props {
  readonly row: ShelfRow;
  readonly wanted: WantingPieces | null;
  readonly rows: readonly ShelfRow[];
  readonly change: ChangeJar;
  readonly copy: (id: JarId) => void;
  readonly remove: (row: ShelfRow) => void;
  readonly close: () => void;
}

/** Pieces that want of it, in the order they get it. */
function Wanted({ row: { promised } }: { row: ShelfRow }) {
  if (!promised || promised.promises.length === 0) return null;
  return (
    <section>
      <h3 className="text-lg">Promised to</h3>
      <ul>
        {promised.promises.map(({ piece, name, ml, covered }) => (
          <li key={piece}>
            <Link to={`/pieces/${piece}`} className="underline">
              {name}
            </Link>
            : {sayMl(ml)}
            {covered !== null && ml - covered > 0.5 && (
              <span className="font-semibold text-act">, {covered < 0.5 ? "missing" : `${sayMl(ml - covered)} of it missing`}</span>
            )}
          </li>
        ))}
      </ul>
      {promised.free !== null && <p className="text-soft">Then {promised.free < 1 ? "nothing" : sayMl(promised.free)} is left.</p>}
    </section>
  );
}

/** How far it goes, and what it could stand in for. */
function UseUp({ row: { jar, leftMl, promised }, wanted }: Pick<Props, "row" | "wanted">) {
  const kind = kindOf(jar);
  const free = promised?.free ?? leftMl;
  const coats = kind && free !== undefined ? palmCoats(free, kind) : null;
  const standIns = wanted ? standInsFor(jar, wanted.pieces) : [];
  if ((coats === null || coats < 1) && standIns.length === 0) return null;
  return (
    <section>
      <h3 className="text-lg">Use it up</h3>
      {coats !== null && coats >= 1 && <p>What nobody wants of it is enough for about {sayCoats(coats)} as big as a palm.</p>}
      {standIns.length > 0 && (
        <ul>
          {standIns.map(({ piece, name, colour, ml }) => (
            <li key={`${piece}-${colour}`}>
              <Link to={`/pieces/${piece}`} className="underline">
                {name}
              </Link>{" "}
              wants {sayMl(ml)} of <ColourChip colour={colour} size={20} /> {nameOfColour(colour)}; this is {differenceInWords(jar.colour!, colour)}: try it on
              a scrap.
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** What the mixing desk knows of it: what it is mixed from, how it covers, how it drops. */
function AtTheDesk({ row: { jar }, change }: Pick<Props, "row" | "change">) {
  const { mix, hiding, dropsPerMl } = jar;
  const kind = kindOf(jar);
  if (!mix && (jar.colour === undefined || kind === null || kind.film.contrastRatio === null)) return null;
  const forget = (what: string, field: "hiding" | "dropsPerMl") => (
    <button type="button" className="underline" aria-label={`Forget ${what}`} onClick={() => change(jar.id, { clear: [field] })}>
      forget it
    </button>
  );
  return (
    <section>
      <h3 className="text-lg">At the mixing desk</h3>
      {mix && <p>Mixed from {noteOfMix(mix)}.</p>}
      {hiding && (
        <p>
          {hidesText({ ...hiding, atLeast: hiding.by === "swatch" && hiding.to === 1 })} <span className="text-soft">{sentence(HIDES_BY[hiding.by])}</span>{" "}
          {hiding.by === "swatch" && forget("the swatch", "hiding")}
        </p>
      )}
      {dropsPerMl !== undefined && (
        <p>
          {Math.round(dropsPerMl)} of your drops are a ml; {forget("the drops", "dropsPerMl")}.
        </p>
      )}
      <p>
        <Link to={`/desk?jar=${jar.id}&look=hide`} className="underline">
          How many coats of it
        </Link>
        ,{" "}
        <Link to={`/desk?jar=${jar.id}&look=thin`} className="underline">
          how thin
        </Link>
        ,{" "}
        <Link to={`/desk?jar=${jar.id}&look=swatch`} className="underline">
          test a swatch
        </Link>
      </p>
    </section>
  );
}

/** Coats as they can be reckoned with. */
function sayCoats(coats: number): string {
  const count = coats < 10 ? Math.floor(coats) : coats < 100 ? Math.floor(coats / 5) * 5 : Math.floor(coats / 50) * 50;
  return count === 1 ? "one coat" : `${count} coats`;
}

/** All of one jar, over the shelf. */
export function JarPage({ row, wanted, rows, change, copy, remove, close }: Props) {
  const { jar, leftMl, states, kind } = row;
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
        <Dialog.Content
          className="note fixed left-1/2 top-1/2 z-20 grid max-h-[92dvh] w-[min(94vw,46rem)] -translate-x-1/2 -translate-y-1/2 gap-4 overflow-y-auto p-4 sm:p-5"
          aria-describedby={undefined}
          onOpenAutoFocus={(event) => {
            // Not into the first box: on a phone that brings up the keys over what was opened to be read.
            event.preventDefault();
            (event.currentTarget as HTMLElement).focus();
          }}
        >
          <div className="flex items-center gap-3">
            <ColourChip colour={colourShown(jar)} sheen={jar.label.sheen} size={48} />
            <div className="min-w-0">
              <Dialog.Title className="text-2xl">{jar.name}</Dialog.Title>
              <p>
                {kind}; {sayLeft(jar, leftMl)}
                {states.length > 0 && <strong className="text-act">; {states.map((state) => STATE_WORDS[state]).join(", ")}</strong>}
              </p>
            </div>
          </div>
          <Wanted row={row} />
          <UseUp row={row} wanted={wanted} />
          <AtTheDesk row={row} change={change} />
          <JarFields
            jar={jar}
            leftMl={leftMl}
            shelf={rows.map((one) => one.jar)}
            change={(fields, about, was) => change(jar.id, fields, about === undefined ? undefined : `${jar.id}/${about}`, was)}
          />
          <div className="flex flex-wrap gap-2 border-t-2 border-dashed border-line pt-3">
            <Dialog.Close className="button button-act">Done</Dialog.Close>
            <button type="button" className="button" onClick={() => copy(jar.id)}>
              <Copy aria-hidden size={18} /> Another of the same
            </button>
            <button type="button" className="button" onClick={() => remove(row)}>
              <Trash2 aria-hidden size={18} /> Off the shelf
            </button>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
