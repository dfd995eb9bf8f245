import { ownTimesOf } from "#core/logbook/learning/own-times";
import type { OwnTimes } from "#core/logbook/learning/own-times";
import type { Database } from "./database";
import { settingsIn } from "./preferences";

/** What the table has taught of times, whether plans reckon with it or not. */
export async function timesLearnt(db: Database): Promise<OwnTimes> {
  const [worked, touched] = await Promise.all([db.getAllFromIndex("progress", "byWork"), db.getAllFromIndex("progress", "byLook")]);
  return ownTimesOf([...new Map([...worked, ...touched].map((one) => [one.id, one])).values()].sort((a, b) => a.at.localeCompare(b.at)));
}

/** What plans reckon with; null where nothing was learnt, or the user would not have it. */
export async function ownTimesIn(db: Database): Promise<OwnTimes | null> {
  if (!(await settingsIn(db)).ownTimes) return null;
  const learnt = await timesLearnt(db);
  return learnt.films.length + learnt.rooms.length + learnt.hands.length === 0 ? null : learnt;
}

/** Whether it is still to be told that drying is learnt anew: something had been learnt from waits nobody had looked at the end of. */
export async function isLearntAnew(db: Database): Promise<boolean> {
  return !(await settingsIn(db)).toldLearntAnew && (await db.countFromIndex("progress", "byDrying")) > 0;
}
