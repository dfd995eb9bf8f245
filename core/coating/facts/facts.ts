import { PALE_GROUND } from "../../film/colour";
import type { Aid } from "../../catalogue/aid";
import type { Catalogue } from "../../catalogue/catalogue";
import type { ConditionKind } from "../../catalogue/condition";
import type { Material } from "../../catalogue/material";
import type { ProductClass } from "../../catalogue/product-class";
import { COVERS_FROM } from "../../catalogue/technique";
import type { Technique } from "../../catalogue/technique";
import type { Use } from "../../catalogue/use";
import type { Role } from "../../catalogue/vocabulary";
import { seen } from "../../film/hiding";
import type { HidingFilm } from "../../film/hiding";
import { spectrumOf } from "../../film/spectrum";
import type { Spectrum } from "../../film/spectrum";
import type { CompletePiece, Room } from "../../piece/piece";
import { usesOf, zonesOf } from "../../piece/zones";
import type { Zone } from "../../piece/zones";
import type { StepChoice, ZoneSteps } from "../model/step";
import { productFor } from "./jars";

/** What is known of the piece as a whole, looked up once. */
export interface PieceFacts {
  readonly piece: CompletePiece;
  readonly room: Room;
  readonly catalogue: Catalogue;
  readonly material: Material;
  readonly uses: readonly Use[];
  readonly conditions: readonly ConditionKind[];
  readonly zones: readonly Zone[];
}

export interface StepFact {
  readonly index: number;
  readonly step: StepChoice;
  readonly product: ProductClass | null;
  readonly aid: Aid | null;
  readonly technique: Technique | null;
  /** Wet height of its marks, or of the film where that is thicker, µm. */
  readonly wetMicrons: number | null;
}

/** One zone's stack as the rules see it. */
export interface StackFacts extends PieceFacts {
  readonly zone: Zone;
  readonly steps: readonly StepFact[];
  /** The other zones of the same plan. */
  readonly others: readonly StackFacts[];
}

/**
 * Looks up a complete piece in the catalogue.
 *
 * @throws when the material is not in the catalogue: `parsePiece` has let a stranger in
 */
export function pieceFacts(piece: CompletePiece, catalogue: Catalogue): PieceFacts {
  const material = catalogue.materials.get(piece.material);
  if (!material) throw new Error(`material "${piece.material}" is not in the catalogue`);
  return {
    piece,
    room: piece.room,
    catalogue,
    material,
    uses: usesOf(piece, catalogue),
    conditions: piece.conditions.flatMap((id) => catalogue.conditions.get(id) ?? []),
    zones: zonesOf(piece, catalogue),
  };
}

/** Do the user's own constraints leave this class to choose from? */
export function leaves({ avoid, childSafe, shelfOnly }: CompletePiece["constraints"], product: ProductClass): boolean {
  return !avoid.includes(product.id) && (!childSafe || product.childSafe) && (!shelfOnly || product.own !== undefined);
}

/** Wet film of one coat, µm: of what is poured, thinner where it is brushed on. */
export function coatMicrons(product: ProductClass | null, method: StepChoice["method"]): number | null {
  if (product?.brushed && method === "brush") return product.brushed.wetMicrons;
  return product?.film.wetMicrons ?? null;
}

/**
 * Looks up what a step is made of.
 *
 * @param index its place in the stack, from 0
 * @returns product, aid and technique; null where the catalogue knows none
 */
export function stepFact(step: StepChoice, index: number, catalogue: Catalogue): StepFact {
  const known = catalogue.products.get(step.product);
  const product = known ? productFor(known, step) : null;
  const mark = step.marks ? step.marks.heightMm * 1000 : null;
  return {
    index,
    step,
    product,
    aid: catalogue.aids.get(step.product) ?? null,
    technique: step.technique ? (catalogue.techniques.get(step.technique) ?? null) : null,
    wetMicrons: mark ?? coatMicrons(product, step.method),
  };
}

/**
 * The stacks of a plan as facts, each knowing its neighbours.
 *
 * @param facts of the whole piece
 * @param zones stacks by zone; zones the piece does not have are left out
 */
export function stackFacts(facts: PieceFacts, zones: readonly ZoneSteps<StepChoice>[]): readonly StackFacts[] {
  const stacks = zones.flatMap((entry) => {
    const zone = facts.zones.find((one) => one.zone === entry.zone);
    return zone ? [{ ...facts, zone, steps: entry.steps.map((step, index) => stepFact(step, index, facts.catalogue)), others: [] as StackFacts[] }] : [];
  });
  for (const stack of stacks) stack.others.push(...stacks.filter((other) => other !== stack));
  return stacks;
}

/** Lays a film, or sticks something on. */
export function isFilm(fact: StepFact): boolean {
  return fact.product !== null;
}

/**
 * Whether the product of a step does a job.
 *
 * @returns false for acts without a film
 */
export function has(fact: StepFact, job: ProductClass["jobs"][number]): boolean {
  return fact.product?.jobs.includes(job) ?? false;
}

/** Brings colour: a field, marks or a stain. */
export function isColour(fact: StepFact): boolean {
  return has(fact, "colour") || has(fact, "decorate") || has(fact, "stain");
}

/** A clear film. */
export function isClear(fact: StepFact): boolean {
  return fact.product !== null && !isColour(fact) && (has(fact, "seal") || has(fact, "lock") || has(fact, "isolate") || has(fact, "inside-seal"));
}

/** Carried in water: it raises grain and moves what water moves. */
export function isWaterborne(fact: StepFact): boolean {
  return fact.product?.carrier === "water";
}

/** Lies loose until it is locked: glitter, powder. */
export function isLoose(fact: StepFact): boolean {
  return fact.product !== null && fact.product.drying.by === "none";
}

/** Brushed, sponged or otherwise worked wet over what is beneath, as against misted on. */
export function isWorkedWet(fact: StepFact): boolean {
  const method = fact.step.method ?? fact.product?.methods[0];
  return isWaterborne(fact) && method !== "spray";
}

const filmsOf = new WeakMap<readonly StepFact[], readonly StepFact[]>();

/** The films of a stack, from the body up; looked up once, as every rule asks for them. */
export function films({ steps }: StackFacts): readonly StepFact[] {
  let found = filmsOf.get(steps);
  if (!found) filmsOf.set(steps, (found = steps.filter(isFilm)));
  return found;
}

/** The steps of some roles, from the body up. */
export function withRole(stack: StackFacts, ...roles: Role[]): readonly StepFact[] {
  return stack.steps.filter((fact) => roles.includes(fact.step.role));
}

/** The films beneath a step, from the body up. */
export function filmsBelow(stack: StackFacts, fact: StepFact): readonly StepFact[] {
  const all = films(stack);
  let below = 0;
  while (below < all.length && all[below]!.index < fact.index) below += 1;
  return all.slice(0, below);
}

export function filmBelow(stack: StackFacts, fact: StepFact): StepFact | null {
  return films(stack).findLast((film) => film.index < fact.index) ?? null;
}

/** The film that meets the world: what is stuck on top of it afterwards does not count. */
export function lastFilm(stack: StackFacts): StepFact | null {
  return films(stack).findLast((fact) => fact.step.technique !== "crystals") ?? null;
}

/** Covers its zone, as against marks set here and there. */
export function coversField(fact: StepFact): boolean {
  return isFilm(fact) && !isLoose(fact) && (fact.technique === null || (fact.step.coverage ?? fact.technique.coverage.value) >= COVERS_FROM);
}

/** The colour a film brings for hiding what is beneath; null for clears, stains and effects that cover by area. */
export function hidingFilm(fact: StepFact): HidingFilm | null {
  const contrastRatio = fact.product?.film.contrastRatio ?? null;
  if (contrastRatio === null || has(fact, "fill") || has(fact, "stain")) return null;
  const colour = fact.step.colour ?? (fact.product!.traits.includes("pale") ? PALE_GROUND : null);
  return colour === null ? null : { colour, contrastRatio, coats: fact.step.coats ?? fact.product!.coats, thinnedPercent: fact.step.thinning?.percent ?? 0 };
}

/**
 * Light thrown back by all that lies under a step: the body, seen through every film that covers the field.
 *
 * @returns reflectance in 31 bands, 0–1
 */
export function spectrumBeneath(stack: StackFacts, fact: StepFact): Spectrum {
  return filmsBelow(stack, fact)
    .filter(coversField)
    .reduce<Spectrum>((beneath, below) => {
      const film = hidingFilm(below);
      return film ? seen(film, beneath) : beneath;
    }, spectrumOf(stack.material.bodyColour));
}

/**
 * Colour seen through to just under a step: the last field of colour or pale ground, else the body's own.
 *
 * @returns sRGB hex
 */
export function colourBeneath(stack: StackFacts, fact: StepFact): string {
  for (const below of [...filmsBelow(stack, fact)].reverse()) {
    if (!coversField(below)) continue;
    if (below.step.colour !== undefined && isColour(below)) return below.step.colour;
    if (below.product?.traits.includes("pale") && !has(below, "fill")) return PALE_GROUND;
  }
  return stack.material.bodyColour;
}
