import { useState } from "react";
import { Link, redirect } from "react-router";
import { FileText, Gift, Trash2 } from "lucide-react";
import { pieceId, planId } from "#core/catalogue/ids";
import type { StepId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import type { Refusal } from "#core/coating/model/plan";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { ZoneId } from "#core/catalogue/vocabulary";
import { Silhouette } from "~/components/shape/silhouette";
import { keptPiece } from "~/components/use-kept-plan";
import { nameIn, useMenu } from "~/components/use-menu";
import { removePiece, savePiece, setDates } from "~/store/pieces";
import { clearEdits, editPlan, pinStep, planFor } from "~/store/plans";
import { markDone, markUndone } from "~/store/progress";
import type { Route } from "./+types/route";
import { FactsPanel } from "./facts-panel";
import { PlanPart } from "./plan-part";
import type { PlanActions } from "./plan-actions";
import { useOtherTabs } from "./use-other-tabs";
import { usePlan } from "./use-plan";
import { useSaving } from "./use-saving";
import type { Answer, Ask } from "./use-saving";

export function clientLoader({ params }: Route.ClientLoaderArgs) {
  return keptPiece(params.id);
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <p>Opening your notebook…</p>;
}

export async function clientAction({ request, params }: Route.ClientActionArgs): Promise<Answer | Response> {
  const ask = (await request.json()) as Ask;
  const { database } = await import("~/store/open.client");
  const db = await database();
  const id = pieceId(params.id);
  switch (ask.intent) {
    case "change":
      return savePiece(db, ask.seen, ask.changes);
    case "follow":
      await planFor(db, id, ask.candidateId, ask.school);
      break;
    case "edit":
      await editPlan(db, id, ask.candidateId, ask.school, ask.edits);
      break;
    case "pin":
      await pinStep(db, id, ask.candidateId, ask.school, ask.stepId, ask.kept);
      break;
    case "plain":
      await clearEdits(db, planId(ask.planId));
      break;
    case "done":
      await markDone(db, id, ask.candidateId, ask.school, ask.coats, ask.at);
      break;
    case "undone":
      await markUndone(db, planId(ask.planId), ask.coats);
      break;
    case "dates":
      await setDates(db, id, ask.dates);
      break;
    case "remove":
      await removePiece(db, id);
      return redirect("/");
  }
  return { kind: "done" };
}

const NONE_PINNED: readonly StepId[] = [];

export default function PiecePage({ loaderData }: Route.ComponentProps) {
  const { plan, progress } = loaderData;
  const menu = useMenu();
  const { record, send, save, clash, takeTheirs, keepMine } = useSaving(loaderData.record);
  const planned = usePlan(loaderData.record, plan);
  const { view, busy, failed } = planned;
  const tooOld = useOtherTabs();
  const [lit, light] = useState<ZoneId | null>(null);
  const { piece } = record;
  const body = menu.materials.find((one) => one.id === piece.material);
  const shown = view?.shown ?? null;
  const followed = shown ? { candidateId: shown.id, school: shown.school } : null;
  const actions: PlanActions = {
    apply: (edits) => {
      const onPiece = edits.filter((change) => change.op === "setPiece");
      const onSteps = edits.filter((change) => change.op !== "setPiece");
      if (onPiece.length > 0) save(onPiece, record);
      if (onSteps.length > 0 && followed) send({ intent: "edit", ...followed, edits: onSteps });
    },
    choose: (one) => send({ intent: "follow", candidateId: one.id, school: one.school }),
    pin: (stepId, kept) => followed && send({ intent: "pin", ...followed, stepId, kept }),
    markDone: (coats) => followed && send({ intent: "done", ...followed, coats, at: new Date().toISOString() }),
    markUndone: (coats) => plan && send({ intent: "undone", planId: plan.id, coats }),
  };
  return (
    <>
      <title>{`${piece.name} – Nook Coat`}</title>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <div className="flex min-w-0 grow items-center gap-3">
          <Silhouette piece={piece} body={body?.colour ?? "#999999"} texture={body?.texture ?? "dense"} />
          <div className="min-w-0 grow">
            <Name record={record} save={save} />
            <p className="text-soft">
              {body?.name}; {piece.uses.map((use) => nameIn(menu.uses, use).toLowerCase()).join(", ")}
              {(piece.count ?? 1) > 1 && `; ${piece.count} of them`}
            </p>
          </div>
        </div>
        <div className="flex flex-wrap gap-2">
          <Link to="sheet" className="button">
            <FileText aria-hidden size={18} /> Bench sheet
          </Link>
          <Link to="card" className="button">
            <Gift aria-hidden size={18} /> Care card
          </Link>
          <button type="button" className="button" onClick={() => send({ intent: "remove" })}>
            <Trash2 aria-hidden size={18} /> Remove
          </button>
        </div>
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
      <div className="spread mt-4">
        <aside aria-label="What you know of it" className="order-2 lg:order-1">
          <FactsPanel record={record} menu={menu} assumed={view?.set.assumed ?? []} save={save} lit={lit} light={light} />
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
          {view?.set.refusal && <Refused refusal={view.set.refusal} apply={actions.apply} />}
          {shown && view && (
            <PlanPart
              record={record}
              planned={planned}
              shown={shown}
              progress={progress}
              edits={plan?.candidateId === shown.id ? plan.edits.length : 0}
              pinned={plan?.candidateId === shown.id ? plan.pinned : NONE_PINNED}
              actions={actions}
              asPlanned={() => plan && send({ intent: "plain", planId: plan.id })}
              setDates={(dates) => send({ intent: "dates", dates })}
              light={light}
            />
          )}
        </div>
      </div>
    </>
  );
}

function Refused({ refusal, apply }: { refusal: Refusal; apply: (changes: readonly Change[]) => void }) {
  const { nearest } = refusal;
  return (
    <section className="rounded-xl border-l-8 border-stop bg-stop-tint p-4">
      <h2 className="text-2xl">{refusal.message}</h2>
      <p className="mt-2">{`${refusal.why.charAt(0).toUpperCase()}${refusal.why.slice(1)}.`}</p>
      {nearest && (
        <p className="mt-3">
          <button type="button" className="button button-act" onClick={() => apply(nearest.changes)}>
            Nearest that works: {nearest.text}
          </button>
        </p>
      )}
    </section>
  );
}

function Name({ record, save }: { record: PieceRecord; save: (changes: readonly Change[], seen: PieceRecord) => void }) {
  const [draft, setDraft] = useState<{ readonly text: string; readonly seen: PieceRecord } | null>(null);
  return (
    <h1 className="text-3xl">
      <textarea
        aria-label="Name of the piece"
        maxLength={120}
        rows={1}
        value={draft?.text ?? record.piece.name}
        className="block w-full resize-none border-b-2 border-transparent bg-transparent hover:border-line focus:border-ready [field-sizing:content]"
        onFocus={() => setDraft({ text: record.piece.name, seen: record })}
        onChange={(event) => setDraft({ text: event.target.value.replace(/\n/g, " "), seen: draft?.seen ?? record })}
        onBlur={() => {
          const name = draft?.text.trim() ?? "";
          if (draft && name !== "" && name !== record.piece.name) save([{ op: "setPiece", path: "name", value: name }], draft.seen);
          setDraft(null);
        }}
        onKeyDown={(event) => {
          if (event.key !== "Enter") return;
          event.preventDefault();
          event.currentTarget.blur();
        }}
      />
    </h1>
  );
}
