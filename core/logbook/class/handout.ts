import type { Catalogue } from "../../catalogue/catalogue";
import { memory } from "../../catalogue/provenance";
import type { Role } from "../../catalogue/vocabulary";
import { toldActs } from "../../coating/explain/told-acts";
import type { ToldAct } from "../../coating/explain/told-acts";
import type { Candidate } from "../../coating/model/plan";
import type { Step } from "../../coating/model/step";
import { standInFor } from "./stand-ins";

/** How much help the design gives: drawn on first, or set straight on. */
export const HELP_LEVELS = ["sketch", "direct"] as const;
export type HelpLevel = (typeof HELP_LEVELS)[number];

/** What is said of a class. */
export interface ClassAsk {
  /** People who each make one. */
  readonly people: number;
  /** Minutes they sit together. */
  readonly sessionMin: number;
  readonly level: HelpLevel;
}

export const CLASS_LIMITS = { people: { least: 1, most: 60 }, sessionMin: { least: 30, most: 600 } } as const;

/** Work only an adult does, and why. */
export type AdultReason = "heat" | "spray" | "resin" | "powder" | "dust" | "solvent";

export interface HandoutStep {
  readonly act: ToldAct;
  /** Of one of them, by one pair of unpractised hands; of all of them where an adult does it. */
  readonly eachMin: number;
  /** Before it, minutes: usual, and for who is careful. */
  readonly waitMin: number;
  readonly waitCarefulMin: number;
  readonly adult: AdultReason | null;
}

/** A plan for a room full of people. */
export interface Handout {
  readonly ask: ClassAsk;
  /** Made beforehand by whoever leads, for all. */
  readonly before: readonly HandoutStep[];
  readonly session: readonly HandoutStep[];
  /** Done afterwards, when it has dried. */
  readonly after: readonly HandoutStep[];
  /** The last of what is made beforehand is done so long before the class, minutes: usual, and for who is careful. */
  readonly leadMin: { readonly usual: number; readonly careful: number };
  /** The class is so long as it comes out, minutes, with setting up and clearing away. */
  readonly usedMin: number;
  /** Minutes it is too long; 0 where it fits. */
  readonly overMin: number;
  /** Of the decorating so much is done together, 0–1. */
  readonly decoratingShare: number;
  /** A sketch is drawn first though the plan has no guides. */
  readonly sketched: boolean;
  /** What stands in for a dotting tool, by the size of its mark, mm. */
  readonly standIns: readonly { readonly diameterMm: number; readonly thing: string }[];
  readonly stations: readonly Station[];
}

/** A place in the room where one kind of work is done. */
export interface Station {
  readonly id: "paint" | "wash" | "dry" | "adults";
  /** So many sit or stand there at once. */
  readonly places: number;
}

/** Hands that do it for the first time take so many times as long [from memory]. */
const UNPRACTISED = memory(1.8).value;
/** Aprons on and paints out; brushes washed and tables wiped, minutes [from memory]. */
const AROUND_MIN = memory(25).value;
/** A design is drawn on, minutes [from memory]. */
const SKETCH_MIN = memory(8).value;
/** People who share one sink, and one leader's table, at a time [from memory]. */
const SHARES = memory({ sink: 5, adults: 8 }).value;

const DECORATING: readonly Role[] = ["decorate", "top-dot"];
const GUIDING: readonly Role[] = ["mark", "unmark"];
const SANDING: readonly Role[] = ["sand"];

/** Why a step is left to an adult; null where nobody minds. */
export function adultReason(step: Step, catalogue: Catalogue): AdultReason | null {
  const product = catalogue.products.get(step.product);
  if (step.role === "heat-set" || step.role === "fire" || step.heat) return "heat";
  if (step.method === "spray") return "spray";
  if (product?.traits.includes("two-part")) return "resin";
  if (product?.carrier === "solvent" || step.product === "isopropyl-alcohol") return "solvent";
  if (step.technique === "effect-powder" || step.technique === "loose-glitter") return "powder";
  return SANDING.includes(step.role) ? "dust" : null;
}

function stepsOf(candidate: Candidate, { people, level }: ClassAsk, catalogue: Catalogue): readonly HandoutStep[] {
  return toldActs(candidate)
    .filter(({ step }) => level === "sketch" || !GUIDING.includes(step.role))
    .filter(({ step }) => step.role !== "cure")
    .map((act): HandoutStep => {
      const { step } = act;
      const adult = adultReason(step, catalogue);
      return {
        act,
        // Whoever leads is practised, and does it for all of them, one after another.
        eachMin: adult === null ? (step.handsOnMin / people) * UNPRACTISED : step.handsOnMin,
        waitMin: step.waitBefore?.min ?? 0,
        waitCarefulMin: Math.max(step.waitBefore?.min ?? 0, step.waitBefore?.cautiousMin ?? 0),
        adult,
      };
    });
}

/** Minutes from the first step of a stretch to the end of its last; the wait before the first lies before the class. */
function stretchMin(steps: readonly HandoutStep[]): number {
  return steps.reduce((sum, { eachMin, waitMin }, index) => sum + eachMin + (index === 0 ? 0 : waitMin), 0);
}

const decorated = (steps: readonly HandoutStep[]) =>
  steps.filter(({ act }) => DECORATING.includes(act.step.role)).reduce((sum, { eachMin }) => sum + eachMin, 0);

/** The stretch of the work that is done in class: as much of the decorating as fits between the waits, then as much else as fits. */
function classStretch(steps: readonly HandoutStep[], roomMin: number): readonly [number, number] {
  let best: readonly [number, number] | null = null;
  let most = { decorating: -1, steps: -1 };
  for (let from = 0; from < steps.length; from += 1)
    for (let to = from; to < steps.length && stretchMin(steps.slice(from, to + 1)) <= roomMin; to += 1) {
      const stretch = steps.slice(from, to + 1);
      const worth = { decorating: decorated(stretch), steps: stretch.length };
      if (worth.decorating < most.decorating - 1e-9 || (Math.abs(worth.decorating - most.decorating) < 1e-9 && worth.steps <= most.steps)) continue;
      [best, most] = [[from, to], worth];
    }
  if (best && most.decorating > 0) return best;
  // Nothing of the decorating fits: the first of it is done all the same, and it is said that it takes longer.
  const first = steps.findIndex(({ act }) => DECORATING.includes(act.step.role));
  return first >= 0 ? [first, first] : (best ?? [0, -1]);
}

function stationsOf(session: readonly HandoutStep[], people: number): readonly Station[] {
  const adults = session.some(({ adult }) => adult !== null);
  return [
    { id: "paint", places: people },
    { id: "wash", places: Math.ceil(people / SHARES.sink) },
    { id: "dry", places: people },
    ...(adults ? [{ id: "adults" as const, places: Math.ceil(people / SHARES.adults) }] : []),
  ];
}

/**
 * A plan as a class of several people does it: what is made beforehand, what they do together between the waits that fit their time, what is done
 * afterwards, and what only adults do.
 *
 * @param candidate a plan for as many pieces as there are people: its amounts are for all of them
 */
export function classHandout(candidate: Candidate, ask: ClassAsk, catalogue: Catalogue): Handout {
  const { people, sessionMin, level } = ask;
  const steps = stepsOf(candidate, ask, catalogue);
  const guided = steps.some(({ act }) => act.step.role === "mark");
  const sketched = level === "sketch" && !guided && steps.some(({ act }) => DECORATING.includes(act.step.role));
  const aroundMin = AROUND_MIN + (sketched ? SKETCH_MIN : 0);
  const [from, to] = classStretch(steps, sessionMin - aroundMin);
  const session = steps.slice(from, to + 1);
  const usedMin = Math.ceil(stretchMin(session) + aroundMin);
  const sizes = [...new Set(session.flatMap(({ act }) => (act.step.rows ?? (act.step.marks ? [act.step.marks] : [])).map(({ diameterMm }) => diameterMm)))];
  const [first] = session;
  return {
    ask,
    before: steps.slice(0, from),
    session,
    after: steps.slice(to + 1),
    leadMin: { usual: first?.waitMin ?? 0, careful: first?.waitCarefulMin ?? 0 },
    usedMin,
    overMin: Math.max(0, usedMin - sessionMin),
    decoratingShare: decorated(steps) > 0 ? decorated(session) / decorated(steps) : 1,
    sketched,
    standIns: sizes.sort((a, b) => a - b).map((diameterMm) => ({ diameterMm, thing: standInFor(diameterMm) })),
    stations: stationsOf(session, people),
  };
}

/** How long whoever leads has to begin before the class, minutes: hands and waits of all that is made beforehand. */
export function beginBefore({ before, leadMin }: Pick<Handout, "before" | "leadMin">): { readonly usual: number; readonly careful: number } {
  const hands = before.reduce((sum, { act }) => sum + act.step.handsOnMin, 0);
  const waits = before.slice(1).reduce((sum, one) => ({ usual: sum.usual + one.waitMin, careful: sum.careful + one.waitCarefulMin }), { usual: 0, careful: 0 });
  return { usual: hands + waits.usual + leadMin.usual, careful: hands + waits.careful + leadMin.careful };
}
