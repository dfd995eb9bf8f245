import { useEffect, useState } from "react";
import { Link, useLocation } from "react-router";
import { Check, CloudAlert, Ellipsis, X } from "lucide-react";
import { readRefusal, retryAsks, useAsks } from "~/actions/use-ask";
import type { NotebookState } from "~/store/open.client";
import { useAppContext } from "./app-context";
import { ToolButton } from "./tool-button";
import { useClockWatch } from "./use-clock-watch";
import { sayClock } from "./time-words";

/** Whether all that was asked is written. It keeps its place, so that nothing moves when it changes. */
export function SavedMark() {
  const { asked } = useAsks();
  const unsaved = asked.some((one) => one.state === "unsaved");
  const saving = asked.some((one) => one.state !== "written");
  const [Icon, said] = unsaved ? [CloudAlert, "Not saved"] : saving ? [Ellipsis, "Saving…"] : [Check, "Saved"];
  return (
    <span
      data-saved={unsaved ? "no" : saving ? "soon" : "yes"}
      className={`flex w-28 items-center justify-end gap-1 max-sm:w-5 ${unsaved ? "font-semibold text-stop" : "text-soft"}`}
    >
      <Icon aria-hidden size={16} />
      <span className="max-sm:sr-only">{said}</span>
    </span>
  );
}

/** What could not be written: it stands as it was typed, and is tried again. */
function Unsaved() {
  const { asked, refused } = useAsks();
  const unsaved = asked.filter((one) => one.state === "unsaved");
  return (
    <>
      {unsaved.length > 0 && (
        <div role="alert" className="notice bg-stop-tint text-stop">
          <p>
            <strong>Not saved yet:</strong> {unsaved[0]!.why}. It stands here as you typed it, and is tried again by itself. A file of the notebook has it too.
          </p>
          <p className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="button" onClick={retryAsks}>
              Try again now
            </button>
            <Link to="/settings#files" className="button">
              Save the notebook as a file
            </Link>
          </p>
        </div>
      )}
      {refused.map((one) => (
        <div key={one.key} role="alert" className="notice bg-warn-tint">
          <p>
            <strong>This could not be kept:</strong> {one.why}.
          </p>
          <button type="button" className="button mt-2" onClick={() => readRefusal(one.key)}>
            I have read it
          </button>
        </div>
      ))}
    </>
  );
}

/** The clock stands before what it showed here last. */
function ClockSetBack() {
  const { shown, now, setRight } = useClockWatch();
  if (shown === null) return null;
  return (
    <div role="alert" className="notice bg-warn-tint">
      <p>
        <strong>The clock was set back:</strong> it showed {sayClock(shown, now)} when Nook Coat was last open here, and shows {sayClock(now, now)} now. Waits
        are counted from the clock.
      </p>
      <button type="button" className="button mt-2" onClick={setRight}>
        The clock is right
      </button>
    </div>
  );
}

/** An older tab keeps the notebook shut. */
export function KeptShut({ blocked, slow }: Pick<NotebookState, "blocked" | "slow">) {
  if (!blocked && slow)
    return (
      <p role="alert" className="notice bg-warn-tint">
        Your notebook has not opened yet. Another tab of Nook Coat may keep it shut: close or reload that tab, and this one goes on by itself.
      </p>
    );
  if (!blocked) return null;
  return (
    <p role="alert" className="notice bg-warn-tint">
      Another tab has an older Nook Coat open, and keeps the notebook shut. Close or reload that tab; this one goes on by itself.
    </p>
  );
}

/** The browser has cleared the notebook under the page. */
function Cleared({ putBack }: Pick<NotebookState, "putBack">) {
  if (putBack === null) return null;
  return (
    <div role="alert" className="notice bg-stop-tint text-stop">
      <p>
        <strong>The browser has cleared this notebook.</strong> What this page had read was put back: {putBack === 1 ? "one piece" : `${putBack} pieces`}. Bring
        in your last file for the rest, and save a new one.
      </p>
      <Link to="/settings#files" className="button mt-2">
        To the notebook as a file
      </Link>
    </div>
  );
}

/** Two notebooks were put together, and say different things. */
function SaidDifferently() {
  const { differences } = useAppContext();
  const { pathname } = useLocation();
  if (differences === 0 || pathname === "/settings") return null;
  return (
    <p role="status" className="notice bg-warn-tint">
      {differences === 1 ? "One thing was" : `${differences} things were`} said differently in two places.{" "}
      <Link to="/settings#differences" className="underline">
        Choose what stands
      </Link>
      .
    </p>
  );
}

/**
 * What the whole house has to say: that another tab is newer, that the browser keeps nothing, what could not be saved.
 *
 * @param renewed takes a newer version that is ready; null where there is none
 */
export function Notices({ renewed }: { renewed: (() => void) | null }) {
  const { notebook, trouble } = useAppContext();
  return (
    <>
      {notebook.tooOld && (
        <p role="alert" className="notice bg-warn-tint">
          A newer Nook Coat is open in another tab. Reload this page to go on here.
        </p>
      )}
      <KeptShut blocked={notebook.blocked} slow={notebook.slow} />
      <Cleared putBack={notebook.putBack} />
      {notebook.readOnly && (
        <p role="alert" className="notice bg-warn-tint">
          This notebook was last used with a newer Nook Coat. Here it can be read and{" "}
          <Link to="/settings#files" className="underline">
            saved to a file
          </Link>
          , not changed. Reload the page to get the newer one.
        </p>
      )}
      {trouble && (
        <p role="alert" className="notice bg-stop-tint text-stop">
          Your notebook does not open in this browser: {trouble}. Settings are shown as they usually are.
        </p>
      )}
      <Unsaved />
      <SaidDifferently />
      <ClockSetBack />
      {renewed && (
        <div role="status" className="notice flex flex-wrap items-center gap-3 bg-note-tint">
          <span>A new version of Nook Coat is ready. What you have typed is kept.</span>
          <button type="button" className="button" onClick={renewed}>
            Reload now
          </button>
        </div>
      )}
    </>
  );
}

/** How long what was done is told, ms. */
const TOLD_MS = 12_000;

/** What was noted, taken back, brought back or removed: told to eyes, with the way back beside it. */
export function Told() {
  const { history, bringBack } = useAppContext();
  const [read, setRead] = useState(history.said?.step ?? 0);
  const said = history.said && history.said.step !== read ? history.said : null;
  useEffect(() => {
    if (!said) return;
    const timer = setTimeout(() => setRead(said.step), TOLD_MS);
    return () => clearTimeout(timer);
  }, [said]);
  if (!said) return null;
  return (
    <section
      aria-label="Just now"
      className="note fixed bottom-4 left-4 z-10 lg:left-auto lg:right-4 max-sm:bottom-[calc(var(--foot)+0.5rem)] flex max-w-[min(92vw,34rem)] flex-wrap items-center gap-3 p-3 [overflow-wrap:anywhere] print:hidden"
      data-told
      data-foot
    >
      <span>{said.text}.</span>
      {said.removal !== null && (
        <button type="button" className="button" onClick={() => bringBack(said.removal!)}>
          Bring it back
        </button>
      )}
      {said.noted !== undefined && (
        <button type="button" className="button" onClick={() => bringBack(said.noted!)}>
          Take back
        </button>
      )}
      <ToolButton icon={X} label="I have read it" onClick={() => setRead(said.step)} />
    </section>
  );
}
