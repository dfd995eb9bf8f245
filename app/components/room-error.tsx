import { useEffect } from "react";
import { isRouteErrorResponse, Link, useFetcher, useNavigate, useParams, useRevalidator, useRouteError } from "react-router";
import { Archive, RotateCcw } from "lucide-react";
import { download } from "./download";
import type { FileToSave } from "./download";

function said(error: unknown): string {
  if (isRouteErrorResponse(error)) return typeof error.data === "string" && error.data !== "" ? error.data : error.statusText;
  return error instanceof Error ? error.message : "something unexpected happened";
}

/** A part of the page that a newer build has taken away, or that did not come through. */
function isMissingPart(error: unknown): boolean {
  return error instanceof Error && /dynamically imported module|module script failed|Importing a module/i.test(error.message);
}

type Answer = ({ readonly kind: "file" } & FileToSave) | { readonly kind: "failed"; readonly message: string } | { readonly kind: string };

/** A piece that cannot be shown goes into a file of its own, and out of the way. */
function SetAside({ id, isGone }: { id: string; isGone: boolean }) {
  const { submit, data, state } = useFetcher<Answer>({ key: "set-aside" });
  const navigate = useNavigate();
  useEffect(() => {
    if (data?.kind !== "file" || !("text" in data)) return;
    download(data);
    void navigate("/pieces");
  }, [data, navigate]);
  // It stays to hand the file over when the piece has gone.
  if (isGone) return null;
  return (
    <>
      <button
        type="button"
        className="button"
        disabled={state !== "idle"}
        onClick={() => void submit({ intent: "set-aside", id } as never, { method: "post", action: "/settings", encType: "application/json" })}
      >
        <Archive aria-hidden size={18} /> Set this piece aside, as a file
      </button>
      {data && "message" in data && <span className="text-stop">{data.message}</span>}
    </>
  );
}

/** A room that could not be shown: the rest of the house stands, and it can be tried again. */
export function RoomError() {
  const error = useRouteError();
  const { id } = useParams();
  const { revalidate, state } = useRevalidator();
  // What a program says of its own faults is nothing to read at the table.
  const isFault = error instanceof TypeError || error instanceof RangeError;
  const isGone = isRouteErrorResponse(error) && error.status === 404;
  if (isMissingPart(error))
    return (
      <section role="alert" className="max-w-prose">
        <title>To be reloaded – Nook Coat</title>
        <h1 className="text-3xl">This part did not come through</h1>
        <p className="mt-3">Nook Coat has been renewed since this page was opened, or the connection broke. Nothing you had saved is lost.</p>
        <button type="button" className="button button-act mt-4" onClick={() => window.location.reload()}>
          <RotateCcw aria-hidden size={18} /> Reload the page
        </button>
      </section>
    );
  return (
    <section role="alert" className="max-w-prose [overflow-wrap:anywhere]">
      <title>Something went wrong – Nook Coat</title>
      <h1 className="text-3xl">{isGone ? "This is not here any more" : "That did not work"}</h1>
      {isFault ? (
        <>
          <p className="mt-3">
            Nothing you had saved is lost.{" "}
            {id ? "This piece is damaged, or Nook Coat has a fault with it." : "Nook Coat came upon something it does not understand."}
          </p>
          <details className="mt-1 text-soft">
            <summary className="w-fit underline">What the page said</summary>
            {said(error)}
          </details>
        </>
      ) : (
        <p className="mt-3">Nothing you had saved is lost. What the page said: {said(error)}.</p>
      )}
      <p className="mt-4 flex flex-wrap items-center gap-2">
        <button type="button" className="button button-act" disabled={state !== "idle"} onClick={() => void revalidate()}>
          <RotateCcw aria-hidden size={18} /> Try again
        </button>
        <Link to="/pieces" className="button">
          Back to your pieces
        </Link>
        {!isGone && (
          <Link to="/settings#files" className="button">
            Save my notebook
          </Link>
        )}
        {id && <SetAside id={id} isGone={isGone} />}
      </p>
    </section>
  );
}
