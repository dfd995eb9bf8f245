import type { TrialId } from "#core/catalogue/ids";
import { MOST_TRIALS } from "#core/formats/stores/trials";
import type { TrialRecord } from "#core/formats/stores/trials";
import type { Look } from "#core/logbook/record/record";
import { TRIAL_LIMITS } from "#core/logbook/record/trial";
import { runCommand } from "./command";
import type { By } from "./command";
import type { Database } from "./database";
import { TooMany } from "./marking";

/** Every trial, the newest first. */
export async function trialsIn(db: Database): Promise<readonly TrialRecord[]> {
  return (await db.getAll("trials")).sort((a, b) => b.begunOn.localeCompare(a.begunOn) || a.name.localeCompare(b.name));
}

/** Begins a trial; one that is begun already stays as it is. */
export function beginTrial(db: Database, trial: Omit<TrialRecord, "rev">, by: By = {}): Promise<void> {
  return runCommand(
    db,
    `the trial ${trial.name}`,
    `trials/${trial.id}`,
    ["trials"],
    async (recorder) => {
      const ids = await recorder.ids("trials");
      if (ids.has(trial.id)) return;
      if (ids.size >= MOST_TRIALS) throw new TooMany(`${MOST_TRIALS} trials are kept, more do not go`);
      await recorder.put("trials", { ...trial, rev: 1 });
    },
    by,
  );
}

/** Notes what was seen on fields of a trial in one go; of a trial that is gone nothing. */
export function lookAtTrial(db: Database, id: TrialId, looks: readonly { readonly spot: string; readonly look: Look }[], by: By = {}): Promise<void> {
  return runCommand(
    db,
    "how a trial stands",
    `trials/${id}`,
    ["trials"],
    async (recorder) => {
      const current = await recorder.get("trials", id);
      if (!current) return;
      const spots = current.spots.map((spot) => {
        const fresh = looks.filter((one) => one.spot === spot.id && !spot.looks.some((look) => look.id === one.look.id)).map(({ look }) => look);
        if (spot.looks.length + fresh.length > TRIAL_LIMITS.looks) throw new TooMany(`${TRIAL_LIMITS.looks} looks at one field are kept, more do not go`);
        return fresh.length === 0 ? spot : { ...spot, looks: [...spot.looks, ...fresh].sort((a, b) => a.at.localeCompare(b.at)) };
      });
      if (spots.some((spot, index) => spot !== current.spots[index])) await recorder.put("trials", { ...current, rev: current.rev + 1, spots });
    },
    by,
  );
}

export function removeTrial(db: Database, id: TrialId, name: string, by: By = {}): Promise<void> {
  return runCommand(
    db,
    `letting go of the trial ${name}`,
    `trials/${id}`,
    ["trials"],
    async (recorder) => {
      if (await recorder.get("trials", id)) await recorder.remove("trials", id);
    },
    by,
  );
}
