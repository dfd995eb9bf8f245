import { pieceId } from "#core/catalogue/ids";
import type { Candidate } from "#core/coating/model/plan";
import { choiceOf } from "#core/coating/model/step-choice";
import { factsKey } from "#core/coating/planner/facts-key";
import { perform } from "~/actions/perform";
import { useAsk } from "~/actions/use-ask";
import { Awaited } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { useMenu } from "~/components/use-menu";
import { followedField } from "~/piece/change-asks";
import { keptPiece, planOf } from "~/piece/kept-piece";
import type { Followed } from "~/store/plans";
import type { WaysView } from "~/workers/plan-worker-api";
import type { Route } from "./+types/route";
import { Candidates } from "./candidates";

interface WaysAsk {
  readonly intent: "follow";
  readonly followed: Followed;
}

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { waysView }] = await Promise.all([keptPiece(params.id), import("~/workers/planner.client")]);
  return { kept, ways: waysView(params.id, planOf(kept)) };
}
clientLoader.hydrate = true as const;

export async function clientAction({ request, params }: Route.ClientActionArgs) {
  const [{ database }, { planFor }] = await Promise.all([import("~/store/open.client"), import("~/store/plans")]);
  return perform<WaysAsk, null>(
    request,
    { follow: (joi) => ({ followed: followedField(joi) }) },
    { follow: async ({ followed }, by) => (await planFor(await database(), pieceId(params.id), followed, by), null) },
  );
}

/** The ways to do it, from where the work stands; and any two side by side. */
export default function WaysRoom({ loaderData }: Route.ComponentProps) {
  const { kept, ways } = loaderData;
  return (
    <section aria-label="Ways to do it">
      <Awaited of={ways} waiting={<p role="status">Looking for other ways…</p>}>
        {(view, busy) => (
          <div aria-busy={busy}>
            <Ways view={view} record={kept.record} />
          </div>
        )}
      </Awaited>
    </section>
  );
}

export function ErrorBoundary() {
  return <RoomError />;
}

function Ways({ view, record }: { view: WaysView; record: Route.ComponentProps["loaderData"]["kept"]["record"] }) {
  const menu = useMenu();
  const ask = useAsk<WaysAsk>(`/pieces/${record.id}/ways`);
  const { candidates, basis, yours } = view;
  if (!yours) return <p>This piece has no plan yet; its plan says why.</p>;
  const choose = (one: Candidate) => {
    const made = one.zones.map((zone) => ({ ...zone, steps: zone.steps.map(choiceOf) }));
    ask({ intent: "follow", followed: { candidateId: one.id, school: one.school, basis, made, madeFor: factsKey(record.piece) } });
  };
  const known = candidates.some((one) => one.id === yours.id);
  return (
    <>
      {basis !== null && <p className="mb-3">Each goes on from what is on the piece already.</p>}
      <Candidates candidates={known ? candidates : [yours, ...candidates]} shown={yours} menu={menu} choose={choose} />
    </>
  );
}
