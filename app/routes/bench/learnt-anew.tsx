import { Link } from "react-router";
import { useAppContext } from "~/components/app-context";

/** Told once: what was learnt of drying from waits that were gone on with, and not from a finger, counts no longer. */
export function LearntAnew() {
  const { saveSettings } = useAppContext();
  return (
    <section aria-label="Your own drying times" className="note mb-4 flex flex-wrap items-center gap-3 p-4">
      <p className="min-w-0 flex-1 basis-72">
        Your own drying times begin anew. Until now a wait you went on after counted as proof that the paint was dry; that proves nothing, and made waits too
        short. From now on only what you touch counts. How long your hands take stays as it was learnt.{" "}
        <Link to="/settings#own-times" className="underline">
          What your table has taught
        </Link>
      </p>
      <button type="button" className="button" onClick={() => saveSettings({ toldLearntAnew: true })}>
        Understood
      </button>
    </section>
  );
}
