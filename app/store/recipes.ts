import type { PieceId, RecipeId } from "#core/catalogue/ids";
import type { Change } from "#core/coating/model/change";
import type { Recipe } from "#core/coating/model/recipe";
import type { PlanRecord } from "#core/formats/stores/plans";
import type { RecipeRecord } from "#core/formats/stores/recipes";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import { followedPlan } from "./plans";
import type { Followed } from "./plans";

/** Every way of working the user keeps, by name. */
export async function recipesIn(db: Database): Promise<readonly RecipeRecord[]> {
  const order = new Intl.Collator(undefined, { numeric: true });
  return (await db.getAll("recipes")).sort((a, b) => order.compare(a.name, b.name));
}

/**
 * Keeps a way of working.
 *
 * @param id of its own, so that asking twice keeps one
 */
export function keepRecipe(db: Database, recipe: Recipe, id: RecipeId, by: By = {}): Promise<void> {
  return runCommand(
    db,
    `keeping the way ${recipe.name}`,
    `recipes/${id}`,
    ["recipes"],
    async (recorder) => {
      if (await recorder.get("recipes", id)) return;
      await recorder.put("recipes", { id, rev: 1, ...recipe });
    },
    by,
  );
}

/** Calls a way of working otherwise; nothing where it is gone. */
export function renameRecipe(db: Database, id: RecipeId, name: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    "the name of a way",
    `recipes/${id}`,
    ["recipes"],
    async (recorder) => {
      const current = await recorder.get("recipes", id);
      if (current && current.name !== name) await recorder.put("recipes", { ...current, rev: current.rev + 1, name });
    },
    by,
  );
}

export function removeRecipe(db: Database, id: RecipeId, name: string, by: By = {}): Promise<void> {
  return runCommand(db, `letting go of the way ${name}`, `recipes/${id}`, ["recipes"], (recorder) => recorder.remove("recipes", id), by);
}

/**
 * Has a piece follow a candidate with just these changes in it, whatever changes were in it before.
 *
 * @throws GonePiece
 */
export function followWith(db: Database, piece: PieceId, followed: Followed, edits: readonly Change[], by: By = {}): Promise<PlanRecord> {
  return runCommand(
    db,
    "the choice of plan",
    `pieces/${piece}`,
    ["plans", "pieces"],
    async (recorder) => {
      const plan = await followedPlan(recorder, piece, followed, true);
      const next: PlanRecord = { ...plan, rev: plan.rev + 1, edits, pinned: [] };
      await recorder.put("plans", next);
      return next;
    },
    by,
  );
}
