import { Link } from "react-router";
import { Plus } from "lucide-react";
import { nameIn, useMenu } from "~/components/use-menu";
import { Swatch } from "~/components/swatch";
import { allPieces } from "~/store/pieces";
import type { Route } from "./+types/route";

export async function clientLoader() {
  const { notebook } = await import("~/store/open.client");
  const records = await allPieces(await notebook());
  return { records: records.sort((a, b) => a.piece.name.localeCompare(b.piece.name)) };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Opening your notebook…</p>;
}

export default function Pieces({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const { records } = loaderData;
  return (
    <>
      <title>Pieces – Nook Coat</title>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl">Pieces</h1>
        {records.length > 0 && (
          <Link to="/pieces/new" className="button button-act">
            <Plus aria-hidden size={20} /> New piece
          </Link>
        )}
      </div>
      {records.length === 0 ? (
        <section className="mt-6 max-w-prose rounded-xl border-2 border-dashed border-line bg-sheet p-6">
          <h2 className="text-2xl">What have you got in your hand?</h2>
          <p className="mt-2">
            Say what it is made of, what it is for and how you want to decorate it. You get a coat plan at once: what goes on, in what order, how long to wait,
            and why.
          </p>
          <p className="mt-4">
            <Link to="/pieces/new" className="button button-act">
              <Plus aria-hidden size={20} /> Plan your first piece
            </Link>
          </p>
          <p className="mt-4 text-soft">
            Have a saved notebook file?{" "}
            <Link to="/keep" className="underline">
              Bring it in here.
            </Link>
          </p>
        </section>
      ) : (
        <ul className="mt-5 grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
          {records.map(({ id, piece }) => (
            <li key={id}>
              <Link
                to={`/pieces/${id}`}
                className="flex h-full items-center gap-4 rounded-xl border-2 border-line bg-sheet p-4 text-ink no-underline hover:border-ink"
              >
                <Swatch
                  body={menu.materials.find((one) => one.id === piece.material)?.colour ?? "#999999"}
                  base={piece.decoration?.baseColour ?? null}
                  marks={piece.decoration?.colours ?? []}
                />
                <span>
                  <span className="block font-display text-lg leading-snug">{piece.name}</span>
                  <span className="block text-soft">
                    {nameIn(menu.materials, piece.material)}, {piece.uses.map((use) => nameIn(menu.uses, use).toLowerCase()).join(", ")}
                  </span>
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
