import { data, Link } from "react-router";
import { RoomError } from "~/components/room-error";

export function loader() {
  return data(null, { status: 404 });
}

export function ErrorBoundary() {
  return <RoomError />;
}

export default function NotFound() {
  return (
    <section className="max-w-prose">
      <title>Not here – Nook Coat</title>
      <h1 className="text-3xl">There is no such page</h1>
      <p className="mt-3">The address may be mistyped. Your pieces are where you left them.</p>
      <p className="mt-4">
        <Link to="/" className="button">
          To your pieces
        </Link>
      </p>
    </section>
  );
}
