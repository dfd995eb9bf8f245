import { ANYWAY, MISHAPS } from "./mishap";
import type { Mishap } from "./mishap";
import { remedyById } from "./remedies";
import { isResin } from "./conditions";
import type { Hazard, Remedy } from "./remedy";
import { WETNESSES } from "./spot";
import type { Spot, Wetness } from "./spot";

/** A remedy at a spot, as it is told there. */
export interface Offered {
  readonly remedy: Remedy;
  /** How wet it has to be first, where it is too wet for it now; null where it may be done at once. */
  readonly later: Wetness | null;
  /** Its steps, with what takes this very paint off. */
  readonly steps: readonly string[];
  /** Why it is the one here, where painters differ; null where they do not. */
  readonly whyHere: string | null;
  /** Cautions that go with it. */
  readonly cautions: readonly string[];
}

/** What may have gone wrong with a band. */
export function mishapsAt(spot: Spot): readonly Mishap[] {
  return MISHAPS.filter(({ roles, fits }) => roles.includes(spot.step.role) && (fits?.(spot) ?? true));
}

/** Stands in a step for what takes this very paint off. */
const SWAB = "{swab}";

function swabFor({ carrier, binder, groundMoves }: Spot): string {
  if (binder === "epoxy") return "a swab with alcohol";
  if (carrier === "solvent") return binder === "shellac" ? "a swab with alcohol" : "a swab with a little white spirit";
  return groundMoves ? "a dry swab" : "a swab that is barely damp";
}

/** A ground that has to be spared: a wet wipe would take it along. */
const isSoftGround = ({ below, bare }: Spot) => !bare && below[0]!.role !== "isolate" && below[0]!.dryMicrons !== null && below[0]!.typical !== null;

function whyHere(remedy: Remedy, spot: Spot): string | null {
  if (remedy.school === undefined) return null;
  const isolated = spot.below[0]?.role === "isolate";
  const wipes = remedy.at.includes("wet") && remedy.effect.kind !== "wait";
  if (wipes && isolated) return "Here there is a clear coat over the ground: what is wiped off now does not harm it.";
  if (wipes)
    return isSoftGround(spot) ? "Here nothing shields the ground: be quick and light, or let it dry." : "Here the body itself is beneath: it wipes clean.";
  return isolated
    ? "Here it can be wiped just as well: the ground is shielded."
    : spot.groundMoves
      ? "Here it is the only way: what lies beneath moves when it is wetted."
      : null;
}

const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  dust: "Dust: wear a particle mask (FFP2 or N95); take it up with a vacuum, not a broom.",
  blade: "Cut away from the hand that holds the piece.",
  solvent: "Solvent: open a window, no flame near, and let it be gone before any heat.",
};
const RESIN_WORDS = "Resin that is not hard must not touch skin: gloves.";
const LEAD_WORDS = "Old paint may hold lead: no sanding, no scraping. Test it first, or leave it.";

/** Whether what a swab is wetted with gives off vapour. */
const isSolventSwab = ({ carrier, binder }: Spot) => binder === "epoxy" || carrier === "solvent";

function cautionsFor({ steps, hazards = [] }: Pick<Remedy, "steps" | "hazards">, spot: Spot): readonly string[] {
  const swabbed = isSolventSwab(spot) && steps.some((text) => text.includes(SWAB));
  const own = new Set<Hazard>([...hazards, ...(swabbed ? (["solvent"] as const) : [])]);
  const told = (["dust", "blade", "solvent"] as const).filter((one) => own.has(one) && (one !== "dust" || spot.body.traits.includes("silica-dust")));
  return [...told.map((one) => HAZARD_WORDS[one]), ...(isResin(spot) ? [RESIN_WORDS] : []), ...(spot.suspect ? [LEAD_WORDS] : [])];
}

/** The one that is told first of the two schools: where the ground is shielded it is wiped now, where it would suffer it is left to dry. */
function schoolRank({ effect }: Remedy, spot: Spot): number {
  if (effect.kind !== "wait") return 0;
  return spot.groundMoves ? -1 : 1;
}

/** How wet a film has to be for a remedy: null where it may be done as it is, undefined where it comes too late for it. */
function laterFor({ at }: Remedy, wetness: Wetness): Wetness | null | undefined {
  if (at.includes(wetness)) return null;
  if (wetness === "heated") return undefined;
  return at.find((one) => one !== "heated" && WETNESSES.indexOf(one) > WETNESSES.indexOf(wetness));
}

/**
 * What helps at a spot. There is always an answer: where nothing mends it, it is to let it dry first, or to start again and from what.
 *
 * @param mishap what went wrong
 * @param spot on which band, how wet, on what body
 * @returns remedies, the one to try first first; never none
 */
export function remediesFor(mishap: Pick<Mishap, "remedies">, spot: Spot): readonly Offered[] {
  const fitting = (ids: readonly string[]) =>
    ids.map(remedyById).flatMap((remedy) => {
      const later = laterFor(remedy, spot.wetness);
      return later === undefined || !(remedy.fits?.(spot) ?? true) ? [] : [{ remedy, later }];
    });
  const own = fitting(mishap.remedies);
  // Something can be done at once, or is known to be done later; else what helps anyway.
  const found = own.length > 0 ? own : fitting(ANYWAY);
  const rank = ({ remedy, later }: (typeof found)[number]) =>
    (later === null ? 0 : WETNESSES.indexOf(later)) * 10 + (remedy.school ? schoolRank(remedy, spot) : 0);
  return [...found]
    .sort((one, other) => rank(one) - rank(other))
    .map(({ remedy, later }) => {
      const steps = remedy.steps.map((text) => text.replaceAll(SWAB, swabFor(spot)));
      return { remedy, later, steps, whyHere: whyHere(remedy, spot), cautions: cautionsFor(remedy, spot) };
    });
}
