import { useState } from "react";
import { data, Link, redirect } from "react-router";
import { Trash2 } from "lucide-react";
import { pieceId, planId } from "#core/catalogue/ids";
import { alikeZones } from "#core/coating/alike-zones";
import { partsOfWork, stepNumbers } from "#core/coating/parts-of-work";
import type { Change } from "#core/coating/change";
import type { Candidate } from "#core/coating/plan";
import type { PieceRecord } from "#core/formats/records";
import { sayDuration } from "#core/units/duration";
import { CoatSection } from "~/components/coat-section";
import { nameIn, useMenu } from "~/components/use-menu";
import { zoneName, zoneNames } from "~/components/words";
import { pieceById, removePiece, savePiece } from "~/store/pieces";
import { addEdits, clearEdits, planById, planFor } from "~/store/plans";
import type { Route } from "./+types/route";
import { Candidates } from "./candidates";
import { FactsPanel } from "./facts-panel";
import { Findings } from "./findings";
import { Steps } from "./steps";
import { useOtherTabs } from "./use-other-tabs";
import { usePlan } from "./use-plan";
import { useSaving } from "./use-saving";
import type { Answer, Ask } from "./use-saving";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const { notebook } = await import("~/store/open.client");
  const db = await notebook();
  const record = await pieceById(db, pieceId(params.id));
  if (!record) throw data("this piece is not in your notebook; it may have been removed in another tab", { status: 404 });
  return { record, plan: await planById(db, record.planId) };
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Opening your notebook…</p>;
}

export async function clientAction({ request, params }: Route.ClientActionArgs): Promise<Answer | Response> {
  const ask = (await request.json()) as Ask;
  const { notebook, announceChange } = await import("~/store/open.client");
  const db = await notebook();
  const id = pieceId(params.id);
  const done = async (work: Promise<unknown>): Promise<Answer> => {
    await work;
    announceChange();
    return { kind: "done" };
  };
  switch (ask.intent) {
    case "change": {
      const saved = await savePiece(db, ask.seen, ask.changes);
      if (saved.kind === "saved") announceChange();
      return saved;
    }
    case "follow":
      return done(planFor(db, id, ask.candidateId, ask.school));
    case "edit":
      return done(planFor(db, id, ask.candidateId, ask.school).then((plan) => addEdits(db, plan.id, ask.edits)));
    case "plain":
      return done(clearEdits(db, planId(ask.planId)));
    case "remove":
      await done(removePiece(db, id));
      return redirect("/");
  }
}

export default function PiecePage({ loaderData }: Route.ComponentProps) {
  const { plan } = loaderData;
  const menu = useMenu();
  const { record, send, save, clash, takeTheirs, keepMine } = useSaving(loaderData.record);
  const { view, busy, failed } = usePlan(loaderData.record, plan);
  const tooOld = useOtherTabs();
  const { piece } = record;
  const shown = view?.shown ?? null;
  const edit = (edits: readonly Change[]) => {
    const onPiece = edits.filter((change) => change.op === "setPiece");
    const onSteps = edits.filter((change) => change.op !== "setPiece");
    if (onPiece.length > 0) save(onPiece, record);
    if (onSteps.length > 0 && shown) send({ intent: "edit", candidateId: shown.id, school: shown.school, edits: onSteps });
  };
  return (
    <>
      <title>{`${piece.name} – Nook Coat`}</title>
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <div className="grow">
          <Name record={record} save={save} />
          <p className="text-soft">
            {nameIn(menu.materials, piece.material)}; {piece.uses.map((use) => nameIn(menu.uses, use).toLowerCase()).join(", ")}
          </p>
        </div>
        <button type="button" className="button" onClick={() => send({ intent: "remove" })}>
          <Trash2 aria-hidden size={18} /> Remove
        </button>
      </div>
      {tooOld && (
        <p role="alert" className="mt-3 rounded-lg bg-warn-tint p-3">
          A newer Nook Coat is open in another tab. Reload this page to go on here.
        </p>
      )}
      {clash && (
        <div role="alert" className="mt-3 rounded-lg border-l-8 border-act bg-warn-tint p-3">
          <p>
            <strong>Another tab changed the same thing</strong> ({clash.paths.join(", ")}). Yours was not saved.
          </p>
          <p className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="button" onClick={keepMine}>
              Save mine
            </button>
            <button type="button" className="button" onClick={takeTheirs}>
              Leave theirs
            </button>
          </p>
        </div>
      )}
      <div className="mt-4 grid items-start gap-6 lg:grid-cols-[minmax(0,22rem)_minmax(0,1fr)]">
        <aside aria-label="What you know of it" className="order-2 rounded-xl border-2 border-line bg-sheet p-4 lg:order-1 print:hidden">
          <FactsPanel record={record} menu={menu} assumed={view?.set.assumed ?? []} save={save} />
        </aside>
        <div className="order-1 min-w-0 lg:order-2" aria-busy={busy}>
          <p className="sr-only" role="status">
            {busy ? "Working out the plan" : shown ? `Plan ready: ${shown.title}` : "No plan for this yet"}
          </p>
          {failed && (
            <p role="alert" className="rounded-lg bg-stop-tint p-3 text-stop">
              The plan could not be worked out: {failed}. Your piece is safe.
            </p>
          )}
          {!view && !failed && <p>Working out the coats…</p>}
          {view?.set.refusal && (
            <section className="rounded-xl border-l-8 border-stop bg-stop-tint p-4">
              <h2 className="text-2xl">{view.set.refusal.message}</h2>
              <p className="mt-2">{`${view.set.refusal.why.charAt(0).toUpperCase()}${view.set.refusal.why.slice(1)}.`}</p>
              {view.set.refusal.nearest && (
                <p className="mt-3">
                  <button type="button" className="button button-act" onClick={() => edit(view.set.refusal!.nearest!.changes)}>
                    Nearest that works: {view.set.refusal.nearest.text}
                  </button>
                </p>
              )}
            </section>
          )}
          {shown && view && (
            <PlanPart
              shown={shown}
              candidates={view.set.candidates}
              lost={view.lost.length}
              edits={plan?.candidateId === shown.id ? plan.edits.length : 0}
              material={piece.material}
              apply={edit}
              choose={(one) => send({ intent: "follow", candidateId: one.id, school: one.school })}
              asPlanned={() => plan && send({ intent: "plain", planId: plan.id })}
            />
          )}
        </div>
      </div>
    </>
  );
}

function Name({ record, save }: { record: PieceRecord; save: (changes: readonly Change[], seen: PieceRecord) => void }) {
  const [draft, setDraft] = useState<{ readonly text: string; readonly seen: PieceRecord } | null>(null);
  return (
    <h1 className="text-3xl">
      <input
        aria-label="Name of the piece"
        maxLength={120}
        value={draft?.text ?? record.piece.name}
        className="w-full border-b-2 border-transparent bg-transparent hover:border-line focus:border-ready"
        onFocus={() => setDraft({ text: record.piece.name, seen: record })}
        onChange={(event) => setDraft({ text: event.target.value, seen: draft?.seen ?? record })}
        onBlur={() => {
          const name = draft?.text.trim() ?? "";
          if (draft && name !== "" && name !== record.piece.name) save([{ op: "setPiece", path: "name", value: name }], draft.seen);
          setDraft(null);
        }}
        onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
      />
    </h1>
  );
}

interface PlanPartProps {
  readonly shown: Candidate;
  readonly candidates: readonly Candidate[];
  readonly lost: number;
  readonly edits: number;
  readonly material: string;
  readonly apply: (changes: readonly Change[]) => void;
  readonly choose: (candidate: Candidate) => void;
  readonly asPlanned: () => void;
}

function PlanPart({ shown, candidates, lost, edits, material, apply, choose, asPlanned }: PlanPartProps) {
  const menu = useMenu();
  const groups = alikeZones(shown.zones);
  const parts = partsOfWork(groups, shown.order);
  const numbers = stepNumbers(parts, groups);
  const urgent = shown.findings.filter((one) => one.severity !== "safety");
  const cautions = shown.findings.filter((one) => one.severity === "safety");
  return (
    <>
      <h2 className="text-2xl">{shown.title}</h2>
      <p className="mb-3">
        About {sayDuration(shown.totals.handsOnMin)} of your time, spread over {sayDuration(Math.max(60, shown.totals.elapsedMin))}; handle it gently after that
        {shown.totals.cureDays >= 1 && `, and let it harden ${sayDuration(shown.totals.cureDays * 24 * 60)} before hard use`}.
      </p>
      <CoatSection groups={groups} menu={menu} material={material} bare={shown.bare.map(zoneName)} numbers={numbers} />
      {(edits > 0 || lost > 0) && (
        <p className="mt-3 flex flex-wrap items-center gap-3 rounded-lg bg-note-tint p-3">
          <span>
            {edits > 0 && `${edits} ${edits === 1 ? "change" : "changes"} of yours ${edits === 1 ? "is" : "are"} in this plan.`}
            {lost > 0 && ` ${lost} no longer ${lost === 1 ? "fits" : "fit"} and ${lost === 1 ? "is" : "are"} set aside.`}
          </span>
          <button type="button" className="button" onClick={asPlanned}>
            Back to the plan as it was
          </button>
        </p>
      )}
      <div className="mt-4">
        <Findings findings={urgent} apply={apply} />
      </div>
      <div className="mt-5">
        <Candidates candidates={candidates} chosen={shown.id} choose={choose} />
      </div>
      {parts.map((part) => (
        <Steps
          key={part.key}
          title={part.zones.length > 0 ? zoneNames(part.zones) : part.key === "first" ? "First, the whole piece" : "Last, the whole piece"}
          steps={part.steps}
          menu={menu}
          numbers={numbers}
          apply={apply}
        />
      ))}
      {cautions.length > 0 && (
        <section className="mt-6">
          <h2 className="mb-2 text-xl">Take care of yourself</h2>
          <Findings findings={cautions} apply={apply} />
          <p className="mt-2 text-soft">None of this replaces the product's label, local rules or a professional.</p>
        </section>
      )}
      <p className="mt-6">
        <Link to="/" className="underline">
          All pieces
        </Link>
      </p>
    </>
  );
}
