import { isRouteErrorResponse, Link, useRevalidator, useRouteError } from "react-router";
import { RotateCcw } from "lucide-react";

function said(error: unknown): string {
  if (isRouteErrorResponse(error)) return typeof error.data === "string" && error.data !== "" ? error.data : error.statusText;
  return error instanceof Error ? error.message : "something unexpected happened";
}

/** A room that could not be shown: the rest of the house stands, and it can be tried again. */
export function RoomError() {
  const error = useRouteError();
  const { revalidate, state } = useRevalidator();
  return (
    <section role="alert" className="max-w-prose">
      <title>Something went wrong – Nook Coat</title>
      <h1 className="text-3xl">That did not work</h1>
      <p className="mt-3">Nothing you had saved is lost. What the page said: {said(error)}.</p>
      <p className="mt-4 flex flex-wrap gap-2">
        <button type="button" className="button button-act" disabled={state !== "idle"} onClick={() => void revalidate()}>
          <RotateCcw aria-hidden size={18} /> Try again
        </button>
        <Link to="/" className="button">
          Back to your pieces
        </Link>
      </p>
    </section>
  );
}
