import { Link, useNavigate } from "react-router";
import { Hammer, Trash2 } from "lucide-react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { Candidate } from "#core/coating/model/plan";
import type { Fault } from "#core/casting/repair/fault";
import { repairsOf } from "#core/casting/repair/repair";
import { repairBody } from "#core/casting/repair/repair-body";
import { bodyOf } from "#core/logbook/body-state";
import { sandBackOf } from "#core/logbook/rescue/sand-back";
import type { SandBack } from "#core/logbook/rescue/sand-back";
import { repairChanges } from "#core/logbook/rescue/repairing";
import { useAsk, useAsked } from "~/actions/use-ask";
import { CASTING } from "~/casting/casting-asks";
import type { CastingAsk } from "~/casting/casting-asks";
import { sayFault } from "~/casting/casting-words";
import { NewFault, RepairSteps } from "~/casting/fault-part";
import { useAppContext } from "~/components/app-context";
import { Awaited } from "~/components/awaited";
import { RoomError } from "~/components/room-error";
import { sayDay } from "~/components/time-words";
import { useNow } from "~/components/use-now";
import { ToolButton } from "~/components/tool-button";
import { keptPiece, planOf } from "~/piece/kept-piece";
import type { KeptPiece } from "~/piece/kept-piece";
import { usePlanActions } from "~/piece/plan-actions";
import type { PlannedView } from "~/workers/plan-worker-api";
import type { Route } from "./+types/route";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const [kept, { firstView }] = await Promise.all([keptPiece(params.id), import("~/workers/planner.client")]);
  return { kept, view: firstView(params.id, planOf(kept)) };
}
clientLoader.hydrate = true as const;

export function ErrorBoundary() {
  return <RoomError />;
}

/** A bare body that is not sound: what is wrong, how it is mended, and the plan that holds it. */
export default function RepairRoom({ loaderData: { kept, view } }: Route.ComponentProps) {
  return (
    <Awaited of={view} waiting={<p role="status">Looking at the body…</p>}>
      {(told) => <Mend kept={kept} view={told} />}
    </Awaited>
  );
}

/** Faults of the piece with what is being saved. */
function useFaults({ record }: KeptPiece): readonly [readonly Fault[], (faults: readonly Fault[]) => void] {
  const ask = useAsk<CastingAsk>(CASTING);
  const asked = useAsked<CastingAsk>(CASTING);
  const last = asked.findLast((one) => one.intent === "faults" && one.piece === record.id);
  const faults = last?.intent === "faults" ? last.faults : (record.faults ?? []);
  return [faults, (next) => void ask({ intent: "faults", piece: record.id, faults: next, seen: faults })];
}

function Mend({ kept, view }: { kept: KeptPiece; view: PlannedView }) {
  const { record } = kept;
  const { announce } = useAppContext();
  const navigate = useNavigate();
  const now = useNow();
  const actions = usePlanActions(record.id, view, kept, () => undefined);
  const [faults, save] = useFaults(kept);
  const body = repairBody(record.piece, CATALOGUE);
  const repairs = repairsOf(faults, body);
  const count = record.piece.count ?? 1;
  const changes = view.shown ? repairChanges(repairs, view.shown, CATALOGUE) : [];
  const anew = repairs.some(({ way }) => way === "cast-anew");
  return (
    <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="grid min-w-0 content-start gap-4">
        <h2 className="text-2xl">Mend the body</h2>
        {faults.length === 0 && <p>Holes, chips, bumps, a foot that rocks: note what is wrong, and how to mend it on this very body stands here.</p>}
        {faults.length > 0 && (
          <div>
            <button
              type="button"
              data-primary
              className="button button-act text-lg"
              disabled={changes.length === 0}
              onClick={() => {
                actions.apply(changes);
                announce("It is in the plan");
                void navigate(`/pieces/${record.id}`);
              }}
            >
              <Hammer aria-hidden size={20} /> Write it into the plan
            </button>
            {changes.length === 0 && (
              <p className="mt-1 text-soft">
                {repairs.every(({ rounds, way }) => rounds === 0 && way !== "rub-down") ? "There is nothing of it to write." : "The plan holds it already."}
              </p>
            )}
          </div>
        )}
        <ul aria-label="What is wrong with it" className="grid gap-3">
          {repairs.map((repair) => (
            <li key={`${repair.fault.kind}-${repair.fault.place}-${repair.fault.widthMm}-${repair.fault.each}`} className="rounded-lg border border-line p-3">
              <div className="flex items-start justify-between gap-2">
                <h3 className="text-lg">{sayFault(repair.fault, count)}</h3>
                <ToolButton
                  icon={Trash2}
                  label={`Take off: ${sayFault(repair.fault, count)}`}
                  onClick={() => save(faults.filter((one) => one !== repair.fault))}
                />
              </div>
              <RepairSteps repair={repair} />
              {body.castMin !== null && <p className="text-soft">Next time: {repair.from}</p>}
            </li>
          ))}
        </ul>
        <section aria-labelledby="more-wrong">
          <h3 id="more-wrong" className="mb-2 text-xl">
            {faults.length === 0 ? "What is wrong?" : "Something else is wrong"}
          </h3>
          <NewFault form="fault" bodies={count} cast={body.castMin !== null} add={(fault) => save([...faults, fault])} />
        </section>
      </div>
      <aside aria-label="Beside mending" className="grid content-start gap-4">
        <Beside
          record={record}
          shown={view.shown}
          anew={anew}
          castable={body.castMin !== null}
          sandBack={sandBackOf(record.piece, bodyOf(kept.progress), now, CATALOGUE)}
          now={now}
        />
      </aside>
    </div>
  );
}

const NEVER_WORDS = {
  "old-paint": "There is old paint on it that nobody knows: it may hold lead. No sanding, no scraping; test it, or paint over it.",
  fired: "What has been through the fire stays: keep it as a test piece, and begin on another.",
  "not-waterborne": "Only a waterborne film is sanded back; a solvent or resin film clogs the paper and must not be breathed.",
} as const;

function sandBackWords(of: Exclude<SandBack, { readonly kind: "bare" }>, now: number): string {
  if (of.kind === "never") return `${of.product === null ? "" : `${of.product} is on it. `}${NEVER_WORDS[of.why]}`;
  if (of.kind === "later") return `${of.product} on it is not hard right through: paper rolls it up. From ${sayDay(of.from, now)} on it can be sanded smooth.`;
  return "It is hard right through: sand it smooth, wet and with a mask near, and begin again on a darker ground.";
}

interface BesideProps {
  readonly record: KeptPiece["record"];
  readonly shown: Candidate | null;
  /** Something of it is not worth mending. */
  readonly anew: boolean;
  /** Another one can be poured. */
  readonly castable: boolean;
  readonly sandBack: SandBack;
  readonly now: number;
}

/** What else may be done with a body that is not liked. */
function Beside({ record, shown, anew, castable, sandBack, now }: BesideProps) {
  const area = shown?.zones.find(({ zone }) => zone === "top" || zone === "face")?.areaMm2 ?? shown?.zones[0]?.areaMm2;
  return (
    <>
      {anew && (
        <p className="text-act">
          One of these is not worth mending.{" "}
          {castable && (
            <Link to={CASTING} className="underline">
              Pour another.
            </Link>
          )}
        </p>
      )}
      {sandBack.kind !== "bare" && (
        <section aria-labelledby="sand-back">
          <h3 id="sand-back" className="text-xl">
            Painted, and not liked?
          </h3>
          <p className={sandBack.kind === "never" ? "text-act" : ""}>{sandBackWords(sandBack, now)}</p>
          {sandBack.kind !== "never" && (
            <Link to={`/pieces/${record.id}/rescue?what=disliked`} className="button mt-2">
              {sandBack.kind === "now" ? "Sand it back" : "What else can be done"}
            </Link>
          )}
        </section>
      )}
      {area !== undefined && (
        <section aria-labelledby="resin-level">
          <h3 id="resin-level" className="text-xl">
            To level it with resin
          </h3>
          <p>Both parts for its top, by weight.</p>
          <Link to={`/desk/casting/resin?cm2=${Math.round(area / 100)}`} className="button mt-2">
            Weigh the resin
          </Link>
        </section>
      )}
    </>
  );
}
