import type { Soil } from "../../catalogue/aid";
import { COMMON_PRACTICE } from "../../catalogue/provenance";
import type { ProductId } from "../../catalogue/ids";
import type { ProductClass } from "../../catalogue/product-class";
import { ABSORBENCIES } from "../../catalogue/material";
import type { Severity } from "../../catalogue/vocabulary";
import type { Change } from "../model/change";
import { coversField, films, filmsBelow, isClear, isFilm, leaves, withRole } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import { aidStep, swap } from "./fixes";
import { stepWord } from "./judge";
import { waitedBetween } from "../facts/waits";
import type { Heading, Hit, Rule } from "./rule";

/** A wait within this share of what is asked passes: rounding is not a fault. */
const TOLERANCE = 0.98;

type Row = Omit<Rule, "heading" | "provenance" | "severity"> & { readonly severity?: Severity; readonly provenance?: Rule["provenance"] };

/** Rows under one heading; common practice and `warn` unless a row says otherwise. */
export function rulesUnder(heading: Heading, rows: readonly Row[]): readonly Rule[] {
  return rows.map((row) => ({ heading, severity: "warn", provenance: COMMON_PRACTICE, ...row }));
}

/** The first film laid in a zone, after `done` ones too. */
export function firstFilm(stack: StackFacts): StepFact | null {
  return films(stack)[0] ?? null;
}

/** Films that lie on the bare surface: nothing below covers the field. */
export function onBare(stack: StackFacts): readonly StepFact[] {
  return films(stack).filter((fact) => !filmsBelow(stack, fact).some(coversField));
}

/** Whether a soil has been taken off before the first film here, or by a clean of the whole piece. */
export function cleanedOf(stack: StackFacts, soil: Soil): boolean {
  const first = firstFilm(stack);
  const here = stack.steps.slice(0, first?.index ?? stack.steps.length);
  const cleans = [...here, ...stack.others.flatMap((other) => withRole(other, "clean"))];
  return cleans.some((fact) => fact.aid?.removes.includes(soil));
}

/** Hits when a known wait is short of what is asked, or a note when the wait is not known. */
export function shortWait(
  stack: StackFacts,
  lower: StepFact,
  upper: StepFact,
  neededMin: number,
  make: (shortMin: number) => Omit<Hit, "at" | "unknown">,
): readonly Hit[] {
  // What is on it since nobody knows when is dry.
  if (neededMin <= 0 || (lower.step.done && lower.step.laidAt === undefined && !upper.step.done)) return [];
  const waited = waitedBetween(stack, lower, upper);
  if (waited === undefined) return [{ at: upper, ...make(0), change: [], unknown: "If you have not waited long enough" }];
  return waited >= neededMin * TOLERANCE ? [] : [{ at: upper, ...make(neededMin - waited) }];
}

export function under(fact: StepFact, stack: StackFacts): Record<string, string> {
  return { under: stepWord(fact, stack) };
}

/** A stack's clear films. */
export function clears(stack: StackFacts): readonly StepFact[] {
  return films(stack).filter(isClear);
}

/** The films of the seal: role seal, or clear and last. */
export function seals(stack: StackFacts): readonly StepFact[] {
  return withRole(stack, "seal").filter(isFilm);
}

/** A product class of the catalogue that will do, first listed first; skips what the user avoids, what a child may not use and what their room is too cold for. */
export function suitable(stack: StackFacts, fits: (product: ProductClass) => boolean): ProductClass | null {
  const { constraints } = stack.piece;
  const fired = isFired(stack);
  for (const product of stack.catalogue.products.values()) {
    if (product.traits.includes("needs-firing") !== fired) continue;
    const dries = product.drying.minC <= stack.room.temperatureC;
    if (dries && leaves(constraints, product) && fits(product)) return product;
  }
  return null;
}

/** Cleaning that takes a soil off, put before the first film. */
export function addCleaning(stack: StackFacts, products: readonly string[]): readonly Change[] {
  const first = firstFilm(stack);
  if (!first) return [];
  return products.map((product) => ({ op: "add", zone: stack.zone.zone, at: { before: first.step.id }, step: aidStep("clean", product) }));
}

/** Does the body drink thirstier than this class covers bare? */
export function tooThirstyFor(product: ProductClass, stack: StackFacts): boolean {
  const limit = product.ungroundedUpTo;
  return limit === null || ABSORBENCIES.indexOf(stack.material.absorbency.value) > ABSORBENCIES.indexOf(limit);
}

export function heatSteps(stack: StackFacts): readonly StepFact[] {
  return stack.steps.filter((fact) => fact.aid?.heat !== undefined);
}

/** The zone goes into a kiln. */
export function isFired(stack: StackFacts): boolean {
  return stack.steps.some((fact) => fact.aid?.heat?.kind === "kiln");
}

/** Colour is set by heat in this zone. */
export function isBaked(stack: StackFacts): boolean {
  return heatSteps(stack).length > 0;
}

export const asChange = (product: ProductClass | null, make: (id: ProductId) => readonly Change[]): readonly Change[] => (product ? make(product.id) : []);

/** Paints that wear only once baked give way to ones that set by themselves. */
export function withoutOven(stack: StackFacts): readonly Change[] {
  const baked = films(stack).filter((fact) => fact.product!.bakeable && stack.zone.wears.some((wear) => !fact.product!.standsAlone[wear]));
  const cold = { ...stack, steps: stack.steps.filter((fact) => !fact.aid?.heat) };
  return baked.flatMap((fact) => {
    const airy = suitable(
      cold,
      (product) =>
        product.grips.includes(stack.material.surface) &&
        stack.zone.wears.every((wear) => product.standsAlone[wear]) &&
        (fact.step.technique === undefined || product.techniques.includes(fact.step.technique)),
    );
    return asChange(airy, (id) => swap(fact, id));
  });
}

/** Another class that does the same work with the same technique on this surface. */
export function another(stack: StackFacts, fact: StepFact, fits: (product: ProductClass) => boolean): ProductClass | null {
  const { technique, role } = fact.step;
  return suitable(
    stack,
    (product) =>
      product.id !== fact.step.product &&
      product.grips.includes(stack.material.surface === "slick" ? "slick" : stack.material.surface) &&
      fits(product) &&
      (technique === undefined
        ? product.jobs.includes(role === "base" ? "colour" : "decorate")
        : product.techniques.includes(technique) && product.jobs.includes("decorate")),
  );
}

/** All that is known to pass before a step from the start of the stack. */
export function wholeWait(stack: StackFacts, fact: StepFact): number | undefined {
  const start = stack.steps[0];
  if (!start) return undefined;
  const first = start.step.waitBefore;
  if (first === undefined) return undefined;
  const rest = start === fact ? 0 : waitedBetween(stack, start, fact);
  return rest === undefined ? undefined : (first?.min ?? 0) + rest;
}
