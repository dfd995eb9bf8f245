import { Link, useSearchParams } from "react-router";
import type { Jar } from "#core/catalogue/jar";
import { isMixed } from "#core/shelf/mixes";
import { nameOfColour } from "#core/film/colour-names";
import { ShelfClashes } from "~/shelf/shelf-clashes";
import { Choice, Colour } from "~/components/fields";
import { RoomError } from "~/components/room-error";
import { DeskRooms } from "~/components/desk-rooms";
import { useSetParam } from "~/components/use-set-param";
import { Desk } from "~/mixing/desk";
import { KeptMixes } from "~/mixing/kept-mixes";
import { COLOUR_KINDS, subjectOfColour, subjectOfJar, USUAL_KIND } from "~/mixing/subject";
import { useDesk } from "~/mixing/use-desk";
import { useShelf } from "~/mixing/use-shelf";
import type { Route } from "./+types/route";

export async function clientLoader() {
  return (await import("~/mixing/desk-loaded.client")).deskLoaded();
}
clientLoader.hydrate = true as const;

export { notForAnotherLook as shouldRevalidate } from "~/mixing/should-load";

export function HydrateFallback() {
  return <p>Laying out the desk…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

const ANY = "colour";

/** The mixing desk by itself. */
export default function DeskRoom({ loaderData }: Route.ComponentProps) {
  const shelf = useShelf(loaderData);
  const [params] = useSearchParams();
  const [ofJar, takeJar] = useSetParam("jar", false);
  const [{ colour, kind: kindId }, set] = useDesk("own", { colour: "#f4bf9d", kind: USUAL_KIND.id as string });
  const jars = shelf.jars.filter((jar) => {
    const kind = shelf.kindOf(jar);
    return kind !== null && jar.colour !== undefined && (isMixed(kind) || kind.film.coversArea !== null);
  });
  const jar: Jar | undefined = jars.find((one) => one.id === ofJar);
  const kind = COLOUR_KINDS.find((one) => one.id === kindId) ?? USUAL_KIND;
  const subject = jar ? subjectOfJar(jar) : subjectOfColour(colour, kind);
  return (
    <>
      <title>Mixing desk – Nook Coat</title>
      <DeskRooms />
      <ShelfClashes clashes={loaderData.clashes} />
      <div className="mb-4 mt-2 grid items-end gap-3 sm:grid-cols-[minmax(0,18rem)_minmax(0,16rem)_auto]">
        <Choice
          label="The paint"
          value={jar ? jar.id : ANY}
          choices={[{ id: ANY, name: "a colour I have in mind" }, ...jars.map(({ id, name }) => ({ id, name }))]}
          onChange={(id) => takeJar(id === ANY ? null : id)}
        />
        {!jar && (
          <>
            <Choice label="Kind of paint" value={kind.id} choices={COLOUR_KINDS.map(({ id, name }) => ({ id, name }))} onChange={(id) => set({ kind: id })} />
            {params.has("look") && params.get("look") !== "tint" && (
              <Colour label={`near ${nameOfColour(colour)}`} value={colour} onChange={(hex) => set({ colour: hex })} />
            )}
          </>
        )}
      </div>
      {shelf.jars.length === 0 && (
        <p className="notice mb-4 bg-note-tint">
          Your shelf is empty, so there is nothing to mix from yet.{" "}
          <Link to="/shelf?add=jar" className="underline">
            Put your jars on it
          </Link>
          .
        </p>
      )}
      <Desk subject={subject} place="desk" shelf={shelf} colours={[]} doing={null} {...(jar ? {} : { retarget: (hex: string) => set({ colour: hex }) })} />
      <KeptMixes shelf={shelf} place="desk/" but={jar?.id ?? null} />
    </>
  );
}
