import { BODY_REMEDIES } from "./remedies-body";
import { DRY_REMEDIES } from "./remedies-dry";
import { WET_REMEDIES } from "./remedies-wet";
import type { Remedy } from "./remedy";

export const REMEDIES: readonly Remedy[] = [...WET_REMEDIES, ...DRY_REMEDIES, ...BODY_REMEDIES];

const BY_ID = new Map(REMEDIES.map((one) => [one.id, one]));

/** @throws where no remedy has that id: a row names one that is not there */
export function remedyById(id: string): Remedy {
  const found = BY_ID.get(id);
  if (!found) throw new Error(`there is no remedy called ${id}`);
  return found;
}
