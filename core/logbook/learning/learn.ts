import type { ProductClass } from "../../catalogue/product-class";
import type { DryingStage } from "../../catalogue/vocabulary";
import { dryingOf } from "../../drying/film-drying";
import type { FilmStages, Wait } from "../../drying/film-drying";
import { labelMin } from "../../drying/label-min";
import type { Room } from "../../piece/piece";
import { learntWait } from "./learnt-wait";
import { judged } from "./looks";
import { dryingFactors, dryingStretch, READY_SHARE } from "./own-times";
import { roomKey } from "./room-key";
import { isLearnt } from "./stages";

/** Something that was noted of a film: touched and tacky, touched and dry, or gone on with and not touched. */
export interface Observation {
  /** Since it was laid, minutes. */
  readonly afterMin: number;
  readonly seen: "tacky" | "dry" | "went-on";
}

export interface LearnAsk {
  readonly product: ProductClass;
  readonly room: Room;
  readonly stage: keyof FilmStages;
  /** The wait as it was reckoned, minutes. */
  readonly reckonedMin: number;
  /** One entry a film. */
  readonly observations: readonly Observation[];
}

export interface Learnt {
  /** So many times what is reckoned; two times of three the truth lies between. */
  readonly factor: { readonly typical: number; readonly from: number; readonly to: number };
  /** How long it is left from now on, minutes. */
  readonly waitMin: number;
  readonly observationsUsed: number;
  /** Films of this share are ready when the wait is over. */
  readonly readyShare: number;
  /** The stages of one coat in this room, the one that was looked at as it was learnt; null where it will not dry, or never sets. */
  readonly stages: Readonly<Record<keyof FilmStages, Wait | null>>;
}

const STAGE_OF: Readonly<Record<keyof FilmStages, DryingStage>> = {
  setToTouch: "set-to-touch",
  dryToTouch: "dry-to-touch",
  dryHard: "dry-hard",
  dryThrough: "dry-through",
  dryToRecoat: "dry-to-recoat",
  cured: "cured",
};
export const STAGE_KEYS = Object.keys(STAGE_OF) as readonly (keyof FilmStages)[];
const IN_ORDER = ["setToTouch", "dryToTouch", "dryToRecoat", "dryHard", "dryThrough", "cured"] as const satisfies readonly (keyof FilmStages)[];
/** What has to be dry before it; a film is not dry hard that takes no coat yet. */
const NOT_BEFORE: Readonly<Partial<Record<keyof FilmStages, readonly (keyof FilmStages)[]>>> = {
  dryToTouch: ["setToTouch"],
  dryToRecoat: ["dryToTouch"],
  dryHard: ["dryToTouch", "dryToRecoat"],
  dryThrough: ["dryHard", "dryToRecoat"],
  cured: ["dryThrough"],
};

/**
 * What a list of looks at films of one paint in one room teaches of one stage. Only what was touched counts; dry-through and cure are not learnt.
 *
 * @returns a factor of 1 as long as all that was seen is as reckoned
 */
export function learn({ product, room, stage, reckonedMin, observations }: LearnAsk): Learnt {
  const of = STAGE_OF[stage];
  const { stages } = dryingOf({ product, room });
  if (!isLearnt(of))
    return { factor: { typical: 1, from: 1, to: 1 }, waitMin: reckonedMin, observationsUsed: 0, readyShare: READY_SHARE, stages: plain(stages) };
  const seen = observations.flatMap(({ afterMin, seen: what }) => {
    const at = what === "went-on" ? null : judged(afterMin, reckonedMin);
    if (at === null) return [];
    const tacky = what === "tacky";
    return [{ product: product.id, room: roomKey(room), stage: of, longerThan: tacky ? at : null, notLongerThan: tacky ? null : at }];
  });
  const factors = dryingFactors(seen, Infinity);
  const [film, here] = [factors.films[0], factors.rooms[0]];
  const stretch = dryingStretch(factors, product.id, room, of);
  const label = labelMin(product.drying, of);
  const typical = (film?.factor ?? 1) * (here?.factor ?? 1);
  const waitOf = (wait: Wait) => (stretch.typical === 1 && stretch.cautious === 1 ? wait : learntWait(wait, label, stretch));
  const learnt: Record<keyof FilmStages, Wait | null> = { ...plain(stages) };
  for (const key of IN_ORDER) {
    const now = learnt[key];
    if (now === null) continue;
    const moved = key === stage ? waitOf(now) : now;
    // In the order the stages come: what was pushed on pushes on what comes after it.
    const before = (NOT_BEFORE[key] ?? []).map((one) => learnt[one]).filter((one) => one !== null);
    learnt[key] = {
      typicalMin: Math.max(moved.typicalMin, ...before.map((one) => one.typicalMin)),
      cautiousMin: Math.max(moved.cautiousMin, ...before.map((one) => one.cautiousMin)),
    };
  }
  return {
    factor: { typical, from: Math.min(typical, (film?.from ?? 1) * (here?.factor ?? 1)), to: Math.max(typical, (film?.to ?? 1) * (here?.factor ?? 1)) },
    waitMin: waitOf({ typicalMin: reckonedMin, cautiousMin: reckonedMin }).typicalMin,
    observationsUsed: seen.length,
    readyShare: READY_SHARE,
    stages: learnt,
  };
}

function plain(stages: FilmStages | null): Readonly<Record<keyof FilmStages, Wait | null>> {
  return Object.fromEntries(STAGE_KEYS.map((key) => [key, stages?.[key] ?? null])) as Record<keyof FilmStages, Wait | null>;
}
