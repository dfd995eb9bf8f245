import { pieceId } from "#core/catalogue/ids";
import { changesBetween } from "#core/coating/model/changes-between";
import type { Repair } from "#core/coating/planner/repair";
import { keptPiece, planOf } from "~/piece/kept-piece";
import type { Change } from "#core/coating/model/change";
import { targetOf } from "#core/coating/model/edit-clashes";
import { sayEdit } from "~/components/words";
import { clashKey, isOwnEdit, noteClash, noteOwnEdits, settleClash } from "~/store/clashes.client";
import { noteRepair } from "~/store/repairs.client";
import type { By } from "~/store/command";
import { database } from "~/store/open.client";
import { bringVersionBack, clearEdits, EditClash, editPlan, keepPlan, pinSteps, settleEngine } from "~/store/plans";
import { noteInspection } from "~/store/inspections";
import { markDone, markDry, markStarted, markTacky, markUndone, putRight, setNotesRight } from "~/store/progress";
import { planView, repair } from "~/workers/planner.client";
import type { PlanAsk } from "~/piece/plan-ask";

type Of<I extends PlanAsk["intent"]> = Extract<PlanAsk, { readonly intent: I }>;

/** What each ask of the plan's screen does to a piece. */
export function planCommands(of: string) {
  const id = pieceId(of);
  /** The plan as it stands now, not as the screen showed it. */
  const current = async () => {
    const kept = await keptPiece(of);
    return { kept, view: await planView(of, planOf(kept)) };
  };
  return {
    edit: async ({ followed, edits, known = null }: Of<"edit">, by: By) => {
      const seen = known && { edits: known, isOwn: (change: Change) => isOwnEdit(id, change) };
      const key = clashKey("plan", edits.map(targetOf));
      try {
        await editPlan(await database(), id, followed, edits, by, seen);
        noteOwnEdits(id, edits);
        settleClash(id, key);
      } catch (error) {
        if (!(error instanceof EditClash)) throw error;
        const again: PlanAsk = { intent: "edit", followed, edits, known: null };
        noteClash(id, { key, what: [...new Set(error.changes.map(sayEdit))], again: { action: `/pieces/${id}?index`, ask: again } });
      }
    },
    pin: async ({ followed, stepIds, kept }: Of<"pin">, by: By) => pinSteps(await database(), id, followed, stepIds, kept, by),
    keep: async ({ followed }: Of<"keep">, by: By) => void (await keepPlan(await database(), id, followed, by)),
    plain: async (_ask: Of<"plain">, by: By) => {
      const { plan } = await keptPiece(of);
      if (plan) await clearEdits(await database(), id, plan.id, by);
    },
    done: async ({ followed, coats, at, said, what }: Of<"done">, by: By) =>
      void (await markDone(await database(), id, followed, coats, at, by, said === true, what)),
    started: async ({ followed, coats, at }: Of<"started">, by: By) => markStarted(await database(), id, followed, coats, at, by),
    "put-right": async ({ followed, rewriting, timer, at, what }: Of<"put-right">, by: By) =>
      putRight(await database(), id, followed, rewriting, timer, at, by, what),
    inspected: async ({ intent: _intent, ...found }: Of<"inspected">, by: By) => noteInspection(await database(), { ...found, pieceId: id }, by),
    tacky: async ({ coats, at, what }: Of<"tacky" | "dry">, by: By) => {
      const { plan } = await keptPiece(of);
      if (plan) await markTacky(await database(), id, plan.id, coats, at, by, what);
    },
    dry: async ({ coats, at, what }: Of<"tacky" | "dry">, by: By) => {
      const { plan } = await keptPiece(of);
      if (plan) await markDry(await database(), id, plan.id, coats, at, by, what);
    },
    undone: async ({ coats, at }: Of<"undone">, by: By) => {
      const { plan } = await keptPiece(of);
      if (plan) await markUndone(await database(), id, plan.id, coats, at, by);
    },
    "clock-right": async ({ at }: Of<"clock-right">, by: By) => setNotesRight(await database(), id, Date.parse(at), by),
    repair: async ({ followed, pinned }: Of<"repair">, by: By) => {
      const made: Repair | null = await repair(of, planOf(await keptPiece(of)), pinned);
      if (!made) return;
      noteRepair(of, made.done ? { done: true, changes: made.changes.length } : made);
      if (made.done && made.changes.length > 0) await editPlan(await database(), id, followed, made.changes, by);
    },
    version: async ({ id: of }: Of<"version">, by: By) => {
      const db = await database();
      const version = await db.get("versions", of);
      if (version?.pieceId === id) await bringVersionBack(db, id, version, by);
    },
    engine: async ({ take }: Of<"engine">, by: By) => {
      const { kept, view } = await current();
      if (!kept.plan || !view.newer) return;
      const edits = take === "kept" ? changesBetween(view.newer.made, view.made) : [];
      await settleEngine(await database(), id, kept.plan.id, view.newer.made, edits, by);
    },
  };
}
