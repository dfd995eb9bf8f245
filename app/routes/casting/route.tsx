import { Link } from "react-router";
import { recordsSay } from "#core/casting/records-say";
import { BagList } from "~/casting/bag-list";
import { MouldList } from "~/casting/mould-list";
import { NewPour } from "~/casting/new-pour";
import { OnTheGo } from "~/casting/on-the-go";
import { PastPours } from "~/casting/past-pours";
import { useCasting } from "~/casting/use-casting";
import { useRoomC } from "~/casting/use-room-c";
import { DeskRooms } from "~/components/desk-rooms";
import { RoomError } from "~/components/room-error";
import { useNow } from "~/components/use-now";
import type { Route } from "./+types/route";

export async function clientLoader() {
  return (await import("~/casting/casting-loaded.client")).castingLoaded();
}
clientLoader.hydrate = true as const;

export async function clientAction({ request }: Route.ClientActionArgs) {
  return (await import("~/casting/casting-loaded.client")).performCasting(request);
}

export function HydrateFallback() {
  return <p>Laying out the moulds…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** Casting: what is in the moulds, what lies drying, what is poured next, and what the records say. */
export default function CastingRoom({ loaderData }: Route.ComponentProps) {
  const casting = useCasting(loaderData);
  const roomC = useRoomC();
  const now = useNow();
  const sayings = recordsSay(casting.pours);
  return (
    <>
      <title>Casting – Nook Coat</title>
      <DeskRooms />
      <div className="mt-4 grid gap-8 lg:grid-cols-[minmax(0,1fr)_23rem]">
        <div className="min-w-0">
          <OnTheGo casting={casting} now={now} />
          <NewPour casting={casting} roomC={roomC} />
        </div>
        <aside className="grid min-w-0 content-start gap-6" aria-label="Moulds, powders and records">
          {sayings.length > 0 && (
            <section aria-labelledby="records-say">
              <h2 id="records-say" className="text-xl">
                What your records say
              </h2>
              <ul className="grid gap-1">
                {sayings.map(({ id, text }) => (
                  <li key={id}>{text}</li>
                ))}
              </ul>
            </section>
          )}
          <MouldList casting={casting} />
          <BagList casting={casting} />
          <p>
            <Link to="/desk/casting/resin" className="button">
              Two-part resin
            </Link>
          </p>
          <PastPours casting={casting} now={now} />
        </aside>
      </div>
    </>
  );
}
