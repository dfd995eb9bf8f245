import type { MaterialId, TrialId } from "../../catalogue/ids";
import type { Look, Saw } from "./record";

/** One field of a trial: what was laid on it, in the user's words. */
export interface TrialSpot {
  readonly id: string;
  /** "Matt varnish, two coats"; the bare field says what it is beside. */
  readonly what: string;
  readonly jar?: string;
  /** Nothing was laid on it: the others are seen against it. */
  readonly bare?: true;
  readonly looks: readonly Look[];
}

/** Things laid beside each other on one body, to see which holds. */
export interface Trial {
  readonly id: TrialId;
  readonly name: string;
  readonly material?: MaterialId;
  /** Where it lies: "south sill". */
  readonly lies?: string;
  /** "YYYY-MM-DD". */
  readonly begunOn: string;
  readonly spots: readonly TrialSpot[];
}

export const TRIAL_LIMITS = { spots: 8, looks: 60 } as const;

/** A day a trial was looked at: what was seen on each field, null where it was not looked at then. */
export interface TrialDay {
  readonly on: string;
  readonly saw: readonly (readonly Saw[] | null)[];
}

/** A trial laid out in days: one column a field, in their order. */
export function trialDays({ spots }: Pick<Trial, "spots">): readonly TrialDay[] {
  const days = [...new Set(spots.flatMap(({ looks }) => looks.map(({ at }) => at.slice(0, 10))))].sort();
  return days.map((on) => ({ on, saw: spots.map(({ looks }) => looks.findLast(({ at }) => at.startsWith(on))?.saw ?? null) }));
}

/** What a trial says by now. */
export interface TrialSaying {
  /** Fields that were fine whenever they were looked at. */
  readonly fine: readonly string[];
  /** Fields that suffered, with when that was seen first. */
  readonly suffered: readonly { readonly what: string; readonly on: string; readonly saw: readonly Saw[] }[];
  readonly text: string;
}

/** A field inside a sentence. */
const fieldName = ({ what, bare }: { readonly what: string; readonly bare?: true | undefined }) => (bare ? "the bare field" : `“${what}”`);

const isFine = ({ saw }: Look) => saw.every((one) => one === "fine");

/**
 * What a trial says by now. One body is one trial: it says what happened on this one, and never that one thing is better than another.
 *
 * @returns null before anything was looked at
 */
export function trialSays({ spots }: Pick<Trial, "spots">): TrialSaying | null {
  const seen = spots.filter(({ looks }) => looks.length > 0);
  if (seen.length === 0) return null;
  const suffered = seen.flatMap(({ what, bare, looks }) => {
    const first = looks.find((look) => !isFine(look));
    return first ? [{ what: fieldName({ what, bare }), on: first.at.slice(0, 10), saw: first.saw.filter((one) => one !== "fine") }] : [];
  });
  const fine = seen.filter(({ looks }) => looks.every(isFine)).map(fieldName);
  const [bare] = seen.filter(({ bare: isBare }) => isBare);
  const bareSuffered = bare !== undefined && bare.looks.some((look) => !isFine(look));
  const alike = suffered.length === 0 || fine.length === 0;
  const text =
    suffered.length === 0
      ? "Nothing has suffered yet: all are alike so far."
      : alike
        ? "All of them have suffered: what lay on it made no difference here."
        : `On this one, ${fine.join(" and ")} held where ${suffered.map(({ what }) => what).join(" and ")} did not${bareSuffered ? "; the bare field shows what is the body's own" : ""}. One trial is one case: lay it again before you lean on it.`;
  return { fine, suffered, text };
}
