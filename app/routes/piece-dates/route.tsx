import { useForm } from "react-hook-form";
import { Link } from "react-router";
import { pieceId } from "#core/catalogue/ids";
import { daySchema } from "#core/formats/hours-schema";
import { dateOf } from "#core/schedule/free-hours";
import { perform } from "~/actions/perform";
import { useAsk } from "~/actions/use-ask";
import { useAppContext } from "~/components/app-context";
import { Awaited } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { useMenu } from "~/components/use-menu";
import { keptPiece, planOf } from "~/piece/kept-piece";
import { useNow } from "~/components/use-now";
import { readyText } from "~/piece/ready-text";
import type { Route } from "./+types/route";
import { Latest, Sittings } from "./sittings";

interface Days {
  readonly start: string;
  readonly due: string;
}

interface DatesAsk {
  readonly intent: "dates";
  readonly dates: Partial<Days>;
}

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { planView }, { datesOfPiece }] = await Promise.all([keptPiece(params.id), import("~/workers/planner.client"), import("~/piece/dates.client")]);
  const dated = Promise.all([planView(params.id, planOf(kept)), datesOfPiece(kept)]);
  return { kept, dated };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request, params }: Route.ClientActionArgs) {
  const [{ database }, { setDates }] = await Promise.all([import("~/store/open.client"), import("~/store/pieces")]);
  return perform<DatesAsk, null>(
    request,
    { dates: (joi) => ({ dates: joi.object({ start: daySchema(joi).allow(""), due: daySchema(joi).allow("") }).required() }) },
    { dates: async ({ dates }) => (await setDates(await database(), pieceId(params.id), dates), null) },
  );
}

/** When: a day to start, a day it is needed by, and the sittings that follow from free hours. */
export default function DatesRoom({ loaderData }: Route.ComponentProps) {
  const menu = useMenu();
  const { hours } = useAppContext();
  const now = useNow();
  const { kept, dated } = loaderData;
  const { start = "", due = "" } = kept.record.dates ?? {};
  const ask = useAsk<DatesAsk>(`/pieces/${kept.record.id}/dates`);
  const { register } = useForm<Days>({ values: { start, due } });
  const saved = (field: keyof Days) =>
    register(field, { onChange: (event: { target: { value: string } }) => ask({ intent: "dates", dates: { [field]: event.target.value } }) });
  return (
    <section aria-label="Dates" className="grid max-w-4xl gap-4">
      <div className="flex flex-wrap items-end gap-3">
        <label>
          <span className="block">Start on</span>
          <input type="date" className="field" {...saved("start")} />
        </label>
        <label>
          <span className="block">Needed on</span>
          <input type="date" className="field" min={dateOf(now, hours.timeZone)} {...saved("due")} />
        </label>
        <p className="grow text-soft">
          In your free hours.{" "}
          <Link to="/settings#hours" className="underline">
            Change them
          </Link>
        </p>
      </div>
      <Awaited of={dated} waiting={<p role="status">Laying it into your free hours…</p>}>
        {([view, { dates, now: from }], busy) => (
          <div className="grid gap-4" aria-busy={busy}>
            {!view.shown && <p>This piece has no plan to date yet.</p>}
            {dates && <Latest dates={dates} now={from} />}
            {dates && (
              <p>
                Ready for gentle hands: <strong>{readyText(dates, "handle", from)}</strong>. Fully hard: <strong>{readyText(dates, "cured", from)}</strong>.
              </p>
            )}
            {view.shown && dates?.usual && <Sittings dates={dates.usual} shown={view.shown} menu={menu} now={from} />}
            {dates && !dates.usual && <p role="alert">You have no free hour in the settings, so nothing can be dated.</p>}
          </div>
        )}
      </Awaited>
    </section>
  );
}

export function ErrorBoundary() {
  return <RoomError />;
}
