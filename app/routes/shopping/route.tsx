import { useState } from "react";
import { Link } from "react-router";
import { Download, Share2 } from "lucide-react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import { SHEEN_WORDS } from "#core/catalogue/vocabulary";
import { nameOfColour } from "#core/film/colour-names";
import { writeShoppingCsv } from "#core/formats/shopping-csv";
import { dateOf } from "#core/schedule/free-hours";
import { shoppingFor } from "#core/shelf/shopping";
import type { Purchase, ShoppingList } from "#core/shelf/shopping";
import { stockOf } from "#core/shelf/stock";
import { Awaited } from "~/components/awaited";
import { ColourChip } from "~/components/colour-chip";
import { download } from "~/components/download";
import { Chips } from "~/components/fields";
import { PaperPage } from "~/components/paper-page";
import { RoomError } from "~/components/room-error";
import { timeZoneHere } from "~/components/time-zone";
import { useNow } from "~/components/use-now";
import { nameIn, useMenu } from "~/components/use-menu";
import { sayMl } from "#core/units/volume";
import { colourShown } from "~/shelf/shelf-view";
import type { WantingPieces } from "~/shelf/wanting.client";
import type { Menu } from "#core/catalogue/menu";
import type { Jar } from "#core/catalogue/jar";
import type { Route } from "./+types/route";

export async function clientLoader() {
  return (await import("~/shelf/shelf-loaded.client")).shelfLoaded();
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Counting what is missing…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** What is bought, as it is asked for in a shop: "craft acrylic, navy". */
function nameOf({ product, colour, sheen, jar }: Purchase, jars: readonly Jar[], menu: Menu): string {
  const own = jars.find((one) => one.id === jar);
  const kind = nameIn(menu.products, product);
  const more = [colour && nameOfColour(colour), sheen && SHEEN_WORDS[sheen]].filter(Boolean).join(", ");
  return own ? `${own.name} (${kind.toLowerCase()})` : more ? `${kind}, ${more}` : kind;
}

const jarsOf = ({ jars, sizeMl }: Purchase) => `${jars} × ${sizeMl} ml`;

function textOf(list: ShoppingList, jars: readonly Jar[], menu: Menu): string {
  return list.buy.map((one) => `${jarsOf(one)} ${nameOf(one, jars, menu)}`).join("\n");
}

/** Hands the list on: to another program where the browser can, else to the clipboard; says which, or that it could not. */
function Share({ text }: { text: string }) {
  const [said, setSaid] = useState("");
  const share = async () => {
    try {
      if (typeof navigator.share === "function") return await navigator.share({ text });
      await navigator.clipboard.writeText(text);
      setSaid("Copied.");
    } catch (error) {
      if ((error as { readonly name?: string }).name !== "AbortError") setSaid("This browser hands nothing on here. Print it, or save it as a table.");
    }
  };
  return (
    <>
      <button type="button" className="button" onClick={() => void share()}>
        <Share2 aria-hidden size={18} /> Share as text
      </button>
      <span role="status">{said}</span>
    </>
  );
}

function List({ list, jars, menu }: { list: ShoppingList; jars: readonly Jar[]; menu: Menu }) {
  if (list.buy.length === 0) return <p className="mt-3 font-semibold text-ready">Nothing to buy: it is all on your shelf.</p>;
  const known = list.buy.every((one) => one.cost !== null);
  return (
    <>
      <table className="mt-3 w-full border-collapse text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th scope="col">What</th>
            <th scope="col" className="pr-3">
              Jars
            </th>
            <th scope="col" className="whitespace-nowrap pr-3">
              Left over
            </th>
            <th scope="col" className="max-sm:hidden print:table-cell">
              For
            </th>
          </tr>
        </thead>
        <tbody>
          {list.buy.map((one) => (
            <tr key={[one.product, one.colour, one.sheen, one.jar].join("/")} className="border-b border-dashed border-line align-top">
              <td className="py-1.5 pr-3">
                <ColourChip colour={colourShown({ classId: one.product, ...(one.colour ? { colour: one.colour } : {}) })} sheen={one.sheen} />{" "}
                {nameOf(one, jars, menu)}
                <span className="block text-soft">{sayMl(one.missingMl)} wanted</span>
              </td>
              <td className="whitespace-nowrap py-1.5 pr-3">
                {jarsOf(one)}
                {!one.sizeKnown && <span className="block text-soft">a usual size</span>}
              </td>
              <td className="whitespace-nowrap py-1.5 pr-3">{sayMl(one.overMl)}</td>
              <td className="py-1.5 max-sm:hidden print:table-cell">{one.pieces.join(", ")}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {known && <p className="mt-2">About {Math.round(list.buy.reduce((sum, one) => sum + (one.cost ?? 0), 0))} in your money, by what you paid before.</p>}
    </>
  );
}

function Shopping({ wanted, jars, left }: { wanted: WantingPieces; jars: readonly Jar[]; left: ReadonlyMap<string, number> }) {
  const menu = useMenu();
  const [chosen, choose] = useState<readonly string[]>(() => wanted.pieces.map((piece) => piece.id));
  const of = wanted.pieces.filter((piece) => chosen.includes(piece.id));
  const others = wanted.pieces.filter((piece) => piece.begun && !chosen.includes(piece.id));
  const list = shoppingFor(of, jars, left, CATALOGUE, others);
  const day = dateOf(useNow(), timeZoneHere());
  const rows = list.buy.map((one) => ({
    what: nameOf(one, jars, menu),
    jars: one.jars,
    sizeMl: one.sizeMl,
    wantedMl: one.missingMl,
    overMl: one.overMl,
    pieces: one.pieces,
  }));
  return (
    <>
      <details className="print:hidden">
        <summary className="w-fit py-2 underline">
          For {wanted.pieces.length === 1 ? "one piece" : `${of.length === wanted.pieces.length ? "all" : `${of.length} of`} ${wanted.pieces.length} pieces`}:
          choose which
        </summary>
        <Chips label="For these pieces" choices={wanted.pieces.map(({ id, name }) => ({ id, name }))} chosen={chosen} onChange={choose} />
      </details>
      <List list={list} jars={jars} menu={menu} />
      {list.unsure.length > 0 && (
        <section className="mt-4">
          <h2 className="text-lg">Look into these first</h2>
          <p className="text-soft">You have them, but not said how much is left.</p>
          <ul className="ml-5 list-disc">
            {list.unsure.map(({ jar, ml }) => (
              <li key={jar}>
                {jars.find((one) => one.id === jar)?.name}: {sayMl(ml)} wanted
              </li>
            ))}
          </ul>
        </section>
      )}
      {list.take.length > 0 && (
        <p className="mt-4 text-soft">
          From the shelf: {list.take.map(({ jar, ml }) => `${jars.find((one) => one.id === jar)?.name}, ${sayMl(ml)}`).join("; ")}.
        </p>
      )}
      {list.buy.length > 0 && (
        <p className="mt-4 flex flex-wrap items-center gap-2 print:hidden">
          <button type="button" className="button" onClick={() => download({ name: `shopping-${day}.csv`, text: writeShoppingCsv(rows), type: "text/csv" })}>
            <Download aria-hidden size={18} /> As a table (.csv)
          </button>
          <Share text={textOf(list, jars, menu)} />
        </p>
      )}
    </>
  );
}

/** What to buy for some pieces: whole jars, after what the shelf has. */
export default function ShoppingRoom({ loaderData }: Route.ComponentProps) {
  const { jars, laid, wanting } = loaderData;
  const left = stockOf(jars, laid);
  return (
    <PaperPage title="Shopping list">
      <p className="mb-2 print:hidden">
        <Link to="/shelf" className="underline">
          Back to the shelf
        </Link>
      </p>
      <article className="mx-auto max-w-4xl bg-sheet p-4 sm:p-6 print:p-0">
        <h1 className="text-2xl">Shopping list</h1>
        <Awaited of={wanting} waiting={<p role="status">Working out what your pieces want…</p>}>
          {(wanted) => (wanted.pieces.length === 0 ? <p>No unfinished piece wants any paint.</p> : <Shopping wanted={wanted} jars={jars} left={left} />)}
        </Awaited>
        <p className="mt-4 text-soft">
          Amounts are reckoned for the whole count of each piece, with what stays in pot and brush. Jars are as they are usually sold; your shop’s sizes win.
        </p>
      </article>
    </PaperPage>
  );
}
