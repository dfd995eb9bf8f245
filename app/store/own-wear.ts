import type { OwnWear } from "#core/catalogue/product-class";
import type { Database } from "./database";
import { settingsIn } from "./preferences";

/** What the user's finished pieces have shown of films, whether plans reckon with it or not. */
export async function wearLearntIn(db: Database): Promise<readonly OwnWear[]> {
  if ((await db.countFromIndex("records", "byLooked")) === 0) return [];
  const [looked, { CATALOGUE }, { heldBy, wearLearnt }] = await Promise.all([
    db.getAllFromIndex("records", "byLooked"),
    import("#core/catalogue/catalogue"),
    import("#core/logbook/record/held"),
  ]);
  return wearLearnt(heldBy(looked, CATALOGUE));
}

/** What plans reckon with of it; nothing where the user would not have it. */
export async function ownWearIn(db: Database): Promise<readonly OwnWear[]> {
  return (await settingsIn(db)).ownTimes ? wearLearntIn(db) : [];
}
