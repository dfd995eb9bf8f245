import { Link, useSearchParams } from "react-router";
import { ResinDesk } from "~/casting/resin-desk";
import { useCasting } from "~/casting/use-casting";
import { useRoomC } from "~/casting/use-room-c";
import { RoomError } from "~/components/room-error";
import type { Route } from "./+types/route";

export async function clientLoader() {
  return (await import("~/casting/casting-loaded.client")).castingLoaded();
}
clientLoader.hydrate = true as const;

export { notForAnotherLook as shouldRevalidate } from "~/mixing/should-load";

export function HydrateFallback() {
  return <p>Setting out the cups…</p>;
}

export function ErrorBoundary() {
  return <RoomError />;
}

/** Two-part resin: both parts for a top, and their turn at the scale. */
export default function ResinRoom({ loaderData }: Route.ComponentProps) {
  const casting = useCasting(loaderData);
  const roomC = useRoomC();
  const [params] = useSearchParams();
  const area = Number(params.get("cm2"));
  return (
    <>
      <title>Two-part resin – Nook Coat</title>
      <p>
        <Link to="/desk/casting" className="underline">
          Casting
        </Link>
      </p>
      <h1 className="mb-3 text-2xl sm:text-3xl">Two-part resin</h1>
      <ResinDesk casting={casting} roomC={roomC} areaCm2={area > 0 ? area : null} />
    </>
  );
}
