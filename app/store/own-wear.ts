import type { OwnWear } from "#core/catalogue/product-class";
import type { Database } from "./database";
import { settingsIn } from "./preferences";

/** What the user's finished pieces have shown of films, as plans reckon with it; nothing where nothing was looked at, or the user would not have it. */
export async function ownWearIn(db: Database): Promise<readonly OwnWear[]> {
  if (!(await settingsIn(db)).ownTimes || (await db.countFromIndex("records", "byLooked")) === 0) return [];
  const [looked, { CATALOGUE }, { heldBy, wearLearnt }] = await Promise.all([
    db.getAllFromIndex("records", "byLooked"),
    import("#core/catalogue/catalogue"),
    import("#core/logbook/record/held"),
  ]);
  return wearLearnt(heldBy(looked, CATALOGUE));
}
