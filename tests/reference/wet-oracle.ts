/** What may be done over which film, told from the records and the classes alone: nothing of the plan's own waits is asked. */
import { CATALOGUE } from "#core/catalogue/catalogue";
import { plainZone } from "#core/catalogue/vocabulary";
import type { ZoneId } from "#core/catalogue/vocabulary";
import type { ProductClass } from "#core/catalogue/product-class";
import type { Step } from "#core/coating/model/step";
import { stagesIn } from "#core/drying/stages";
import type { Stages } from "#core/drying/stages";
import type { Go } from "#core/logbook/bench/go";
import type { ProgressRecord } from "#core/logbook/progress";
import type { Room } from "#core/piece/piece";

const MIN = 60_000;
const APART = new Set(["saucer", "lid", "parts"]);
const bodyOf = (zone: ZoneId) => (APART.has(plainZone(zone)) ? plainZone(zone) : "piece");

/** A film that was laid and is on the piece. */
export interface LaidFilm {
  readonly zone: ZoneId;
  readonly stepId: string;
  readonly coat: number;
  readonly half: string | undefined;
  readonly act: ProgressRecord["act"];
  readonly at: number;
  /** Found tacky since, last at this instant. */
  readonly tackyAt: number | null;
  readonly product: ProductClass;
  readonly stages: Stages;
}

/** Films that are on a piece: of each coat what was noted last. */
export function filmsLaid(progress: readonly ProgressRecord[], room: Room): readonly LaidFilm[] {
  const last = new Map<string, { readonly laid: ProgressRecord; readonly tackyAt: number | null }>();
  for (const one of [...progress].sort((a, b) => a.at.localeCompare(b.at))) {
    const key = [one.zone, one.stepId, one.act.role, one.act.product, one.act.colour, one.act.technique, one.coat, one.half].join("/");
    if (one.kind === "done") last.set(key, { laid: one, tackyAt: null });
    else if (one.kind === "tacky" && last.has(key)) last.set(key, { laid: last.get(key)!.laid, tackyAt: Date.parse(one.at) });
    else if (one.kind === "mended" && last.has(key)) last.set(key, { laid: { ...last.get(key)!.laid, at: one.at }, tackyAt: null });
    else if (one.kind === "dry" && last.has(key)) last.set(key, { laid: last.get(key)!.laid, tackyAt: null });
    else if (one.kind === "ruined" || one.kind === "removed") last.delete(key);
  }
  return [...last.values()].flatMap(({ laid, tackyAt }) => {
    const product = CATALOGUE.products.get(laid.act.product);
    if (!product || product.drying.by === "none") return [];
    const stages = stagesIn(product, room, laid.act.marks ? (laid.act.wetMicrons ?? null) : null)?.typical;
    return stages
      ? [{ zone: laid.zone, stepId: laid.stepId, coat: laid.coat, half: laid.half, act: laid.act, at: Date.parse(laid.at), tackyAt, product, stages }]
      : [];
  });
}

const THROUGH = new Set<Step["role"]>(["seal", "heat-set", "fire", "unmark", "top-dot"]);
const NO_FILM_WORK = new Set<Step["role"]>(["clean", "cure", "cast"]);
const MARKS = new Set(["dots", "walked-dots", "swipes", "sponge-dots", "raised-line", "lettering", "outline"]);

/** How long after it was laid a film may be worked over by a step, minutes; 0 where it may be at once. */
function needMin(step: Step, film: LaidFilm): number {
  const { act, product, stages } = film;
  if (NO_FILM_WORK.has(step.role)) return 0;
  // Colours that are worked into one another, and marks that are set beside one another.
  if (step.technique !== undefined && step.technique === act.technique && (step.while === "wet" || step.role === "decorate") && act.role === "decorate")
    return 0;
  if (step.role === "decorate" && act.role === "decorate" && MARKS.has(step.technique ?? "") && MARKS.has(act.technique ?? "")) return 0;
  if (step.role === "unmask") return stages.touchDry;
  if (step.role === "assemble") return stages.dryHard;
  const isColour =
    product.jobs.some((job) => ["colour", "decorate", "stain"].includes(job)) && !["prime", "size", "isolate", "seal", "lock"].includes(act.role);
  return THROUGH.has(step.role) && isColour
    ? Math.max(stages.recoatFrom, step.role === "heat-set" ? Math.min(stages.dryThrough, product.bakeable?.afterMin ?? Infinity) : stages.dryThrough)
    : stages.recoatFrom;
}

/** What is wrong with offering a go at an instant: films it would lie on, or be held by, that are not ready. */
export function wetFaults(go: Pick<Go, "act" | "zones" | "coat" | "half">, progress: readonly ProgressRecord[], room: Room, now: number): readonly string[] {
  const { step } = go.act;
  const own = new Set(go.zones.map((zone) => plainZone(zone)));
  const bodies = new Set(go.zones.map(bodyOf));
  const baked = Math.max(0, ...progress.filter(({ act, kind }) => kind === "done" && act.heat !== undefined).map(({ at }) => Date.parse(at)));
  return filmsLaid(progress, room).flatMap((film) => {
    if (film.at < baked || !bodies.has(bodyOf(film.zone))) return [];
    const here = own.has(plainZone(film.zone));
    const sameAct = go.act.stepIds.includes(film.stepId as never) && film.coat === go.coat;
    // The other half of a coat: the first only has to be held.
    const otherHalf = sameAct && (film.half === "second") !== (go.half === "second");
    const need = otherHalf ? film.stages.touchDry : here ? needMin(step, film) : sameAct ? 0 : film.stages.touchDry;
    const since = (now - film.at) / MIN;
    const what = `${step.role} ${step.product} ${step.technique ?? ""} on ${go.zones.join("+")} over ${film.act.role} ${film.act.product} ${film.act.technique ?? ""} on ${film.zone}`;
    if (film.tackyAt !== null && need > 0 && now < film.tackyAt + 14 * MIN) return [`${what}: found tacky ${Math.round((now - film.tackyAt) / MIN)} min ago`];
    return since < need - 1 ? [`${what}: ${Math.round(since)} of ${Math.round(need)} min`] : [];
  });
}
