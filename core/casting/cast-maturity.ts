import { KEPT_DAMP_DAYS, maturityOf } from "./maturity";
import type { Maturity } from "./maturity";
import type { CastBodies, Pour } from "./pour";

const MS_PER_HOUR = 3_600_000;
const MS_PER_DAY = 24 * MS_PER_HOUR;

/** Where a cement body stands. */
export interface CastMaturity extends Maturity {
  /** Instant it is mature, ms; null where it stands still in the cold. */
  readonly matureAt: number | null;
  /** It is kept damp under film until then, ms. */
  readonly dampUntil: number;
}

/** How far bodies of a cement pour have matured, in the room they were poured in. */
export function castMaturity({ conditions: { roomC } }: Pick<Pour, "conditions">, { outAt }: Pick<CastBodies, "outAt">, now: number): CastMaturity {
  const out = Date.parse(outAt);
  const maturity = maturityOf([{ hours: Math.max(0, now - out) / MS_PER_HOUR, temperatureC: roomC }], roomC);
  return {
    ...maturity,
    matureAt: maturity.leftHours === null ? null : now + maturity.leftHours * MS_PER_HOUR,
    dampUntil: out + KEPT_DAMP_DAYS.value * MS_PER_DAY,
  };
}
