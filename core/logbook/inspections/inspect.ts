import type { Catalogue } from "../../catalogue/catalogue";
import { productId } from "../../catalogue/ids";
import type { ZoneId } from "../../catalogue/vocabulary";
import type { Change } from "../../coating/model/change";
import type { Step } from "../../coating/model/step";
import { oneMore } from "../one-more";
import { INSPECTIONS_LIST } from "./inspection";
import type { Inspection, InspectionKind } from "./inspection";

/** What is proposed where an inspection fails. */
export interface Proposal {
  readonly text: string;
  /** Changes of the plan; none where it only has to be left for longer. */
  readonly changes: readonly Change[];
  /** It is left for longer, as what is found tacky is. */
  readonly wait?: true;
  /** It has to be put right by hand: which mishap it is. */
  readonly mishap?: string;
}

/**
 * What is looked at after a step.
 *
 * @param hard its film is hard right through
 */
export function inspectionsAfter({ role }: Pick<Step, "role">, hard: boolean): readonly Inspection[] {
  return INSPECTIONS_LIST.filter((one) => one.roles.includes(role) && (one.onlyHard !== true || hard));
}

const LOCK_SPRAY = productId("acrylic-spray-clear");
const MOST_COATS = 12;

/** A dry mist over what moves when it is rubbed: no brush goes near it. */
const lockOver = (step: Step, zone: ZoneId): readonly Change[] => [
  { op: "add", zone, at: { after: step.id }, step: { role: "lock", product: LOCK_SPRAY, method: "spray", coats: 2 } },
];

/**
 * What a failed inspection proposes.
 *
 * @param step whose film was looked at
 * @param zone where
 * @param top the last band that is on the same place; the step itself where nothing lies on it
 */
export function proposalFor(kind: InspectionKind, step: Step, zone: ZoneId, catalogue: Catalogue, top: Step = step): Proposal {
  const more = step.coats >= MOST_COATS ? [] : [oneMore(zone, step, top)];
  const moves = catalogue.products.get(step.product)?.rewettable === true;
  switch (kind) {
    case "fingertip":
      return step.role === "fill"
        ? { text: "One more thin layer over the dip; it is left until it changes colour, and rubbed down.", changes: more }
        : { text: "Rub it down once more, the finest paper last, and wipe the dust off.", changes: more };
    case "colour-change":
      return { text: "Leave it for longer: under paint it would never dry.", changes: [], wait: true };
    case "rub":
      return moves
        ? { text: "This paint moves with water for ever: a dry mist of spray goes over it before anything is brushed on.", changes: lockOver(step, zone) }
        : { text: "It is not through yet. Leave it for longer and rub again.", changes: [], wait: true };
    case "water-drop":
      return { text: "It still drinks: one more thin coat.", changes: more };
    case "raking-light":
      return step.role === "seal"
        ? { text: "Let it harden, rub the dust or the ridge off with 600 grit, and lay one more thin coat.", changes: more }
        : { text: "Rub the ridge off when it is dry, and lay one more thin coat.", changes: more };
    case "tape":
      return { text: "It does not hold. Sand it back as far as it came off, give the ground a key, and lay it again.", changes: [], mishap: "peels" };
  }
}
