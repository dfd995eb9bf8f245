import { aidStep, addBefore, remove, set, swap, waitFix } from "./fixes";
import { isSeenOn } from "../facts/guide-tone";
import { colourBeneath, coversField, films, filmsBelow, has, isColour, isFilm, isLoose, withRole } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import { liftedUnder, liftsWhenWet } from "../facts/old-film";
import { UNCOVER_SPOTS } from "../facts/phase";
import { stepWord } from "./judge";
import { stagesIn } from "../../drying/stages";
import type { Role } from "../../catalogue/vocabulary";
import type { Rule } from "./rule";
import { leastWaitMin, waitedBetween } from "../facts/waits";
import { heatSteps, rulesUnder, seals, shortWait, under } from "./help";

/** The step that takes a guide off before another one, if there is one. */
function takenOff(stack: StackFacts, guide: StepFact, before: StepFact): boolean {
  return stack.steps
    .slice(guide.index + 1, before.index)
    .some((fact) => fact.step.role === "unmark" && (fact.step.product === guide.aid?.guide?.takenOffBy || fact.aid?.removes.includes("dust")));
}

function colourBelow(stack: StackFacts, fact: StepFact): readonly StepFact[] {
  return filmsBelow(stack, fact).filter((below) => isColour(below) && !isLoose(below));
}

export const GUIDE_RULES: readonly Rule[] = rulesUnder("Guides and masks", [
  {
    code: "guide-sealed-in",
    severity: "stop",
    when: "a removable guide is still there under a seal or a bake",
    message: "{guide} lines are still on the {zone} when {step} goes over them",
    why: "a guide under a clear film, or baked, is there for ever",
    fix: "Take the guides off first.",
    find: (stack) =>
      stack.steps.flatMap((guide) => {
        const kind = guide.aid?.guide;
        if (!kind || kind.takenOffBy === null || kind.hiddenByPaint) return [];
        const over = [...seals(stack), ...heatSteps(stack)].filter((fact) => fact.index > guide.index).sort((a, b) => a.index - b.index)[0];
        if (!over || takenOff(stack, guide, over)) return [];
        return [{ at: over, words: { guide: stepWord(guide, stack) }, change: addBefore(stack, over, aidStep("unmark", kind.takenOffBy)) }];
      }),
  },
  {
    code: "guide-wipe-reactivates",
    severity: "stop",
    when: "guides that are wiped off share a zone with a layer that water moves",
    message: "taking off {step} would smear {moves}",
    why: "the cloth or eraser that takes the guide also takes a layer that never quite sets",
    fix: "Press the guides in instead: a scored line needs no wiping.",
    find: (stack) => {
      const wet = (fact: StepFact) => stack.catalogue.aids.get(fact.aid!.guide!.takenOffBy!)?.wets !== "no";
      return stack.steps
        .filter((fact) => fact.aid?.guide && fact.aid.guide.takenOffBy !== null)
        .flatMap((fact) => {
          const off = stack.steps.find((one) => one.index > fact.index && one.step.role === "unmark");
          // Misted before the guides are drawn it holds; a mist over the guides would hold them too.
          const over = films(stack).find((one) => one.index > fact.index && one.index < (off?.index ?? Infinity) && liftsWhenWet(one, []));
          const moves = over ?? liftedUnder(stack, fact);
          if (!moves) return [];
          return [
            {
              at: fact,
              culprits: [fact, moves],
              missing: ["lock"] as const,
              severity: wet(fact) ? ("stop" as const) : ("warn" as const),
              words: { moves: stepWord(moves, stack) },
              change: [...swap(fact, "scored-line"), ...withRole(stack, "unmark").flatMap((one) => remove(one))],
            },
          ];
        });
    },
  },
  {
    code: "scored-in-glitter",
    when: "a line is scored into glitter or powder",
    message: "{step} cuts through {under}",
    why: "the point tears the particles out along the line, and the scratch glitters differently for ever",
    fix: "Set the marks by eye, or score the coat beneath before the glitter goes on.",
    find: (stack) =>
      withRole(stack, "mark")
        .filter((mark) => mark.step.product === "scored-line")
        .flatMap((mark) => {
          // Once it is locked, the point presses into the lock.
          const cut = filmsBelow(stack, mark)
            .slice(-1)
            .find((below) => isLoose(below) || below.product!.traits.includes("carries-over-bumps"));
          return cut ? [{ at: mark, culprits: [mark, cut], words: under(cut, stack), change: remove(mark) }] : [];
        }),
  },
  {
    code: "unmark-too-early",
    metByPlanning: true,
    when: "guides are wiped before the thickest mark is dry through",
    message: "{step} takes the guides off before {under} is dry right through",
    why: "a dot that is dry on top is still soft inside; the cloth drags it",
    fix: "Wait for the thickest dot.",
    find: (stack) =>
      withRole(stack, "unmark").flatMap((off) => {
        const guide = [...withRole(stack, "mark")].reverse().find((mark) => mark.index < off.index);
        const over = colourBelow(stack, off).filter((lower) => !guide || lower.index > guide.index);
        const short = (lower: StepFact) => (leastWaitMin(off, lower, stack) ?? 0) - (waitedBetween(stack, lower, off) ?? 0);
        const [slowest] = [...over].sort((a, b) => short(b) - short(a));
        return slowest
          ? shortWait(stack, slowest, off, leastWaitMin(off, slowest, stack) ?? 0, (missing) => ({
              words: under(slowest, stack),
              change: waitFix(off, missing, "dry-through"),
            }))
          : [];
      }),
  },
  {
    code: "mask-on-green-paint",
    metByPlanning: true,
    when: "tape or film goes on paint that is not hard",
    message: "{step} goes on before {under} is hard",
    why: "the glue lifts young paint with it",
    fix: "Wait until it is dry and hard, or use rubber bands.",
    find: (stack) =>
      withRole(stack, "mask").flatMap((mask) => {
        const lower = filmsBelow(stack, mask)
          .filter((below) => !isLoose(below))
          .at(-1);
        if (!mask.aid?.mask?.sticks || !lower) return [];
        return shortWait(stack, lower, mask, leastWaitMin(mask, lower, stack) ?? 0, (short) => ({
          words: under(lower, stack),
          change: waitFix(mask, short, "dry-hard"),
        }));
      }),
  },
  {
    code: "mask-left-too-long",
    severity: "note",
    when: "a mask is lifted from a coat that is dry and hard",
    message: "the mask comes off long after {under} has hardened",
    why: "the edge tears instead of cutting clean, and glue stays behind",
    fix: "Lift it when the coat has just set; if it is late, score the edge first.",
    find: (stack) =>
      withRole(stack, "unmask").flatMap((off) => {
        if (off.step.group === UNCOVER_SPOTS) return [];
        const lower = colourBelow(stack, off).at(-1);
        if (!lower?.product?.drying.through) return [];
        const waited = waitedBetween(stack, lower, off);
        return waited !== undefined && waited > lower.product.drying.through.typical
          ? [
              {
                at: off,
                words: under(lower, stack),
                change: set(off, "waitBefore", { min: Math.ceil(lower.product.drying.recoat?.typical ?? 60), until: "set-to-touch", set: "hers" }),
              },
            ]
          : [];
      }),
  },
  {
    code: "mask-sealed-in",
    severity: "stop",
    when: "a mask is still on when the sealer goes over it",
    message: "{mask} is still on the {zone} when {step} goes over it",
    why: "it is glued in, and lifting it tears the finish",
    fix: "Lift the mask first.",
    find: (stack) =>
      withRole(stack, "mask").flatMap((mask) => {
        const over = seals(stack).find((fact) => fact.index > mask.index);
        // A spot for the glue is covered until all is on.
        const glued = withRole(stack, "assemble").some(
          (fact) => fact.index > mask.index && stack.steps.slice(over?.index ?? 0, fact.index).some((one) => one.step.role === "unmask"),
        );
        if (glued && !filmsBelow(stack, mask).some((fact) => !has(fact, "fill"))) return [];
        const between = over ? stack.steps.slice(mask.index, over.index) : [];
        const count = (role: Role) => between.filter((fact) => fact.step.role === role).length;
        const lifted = count("unmask") >= count("mask");
        return over && !lifted ? [{ at: over, words: { mask: stepWord(mask, stack) }, change: addBefore(stack, over, aidStep("unmask", "peel")) }] : [];
      }),
  },
  {
    code: "guide-unseen",
    severity: "note",
    when: "a guide is drawn that does not show on its ground",
    message: "{step} hardly shows on this ground",
    why: "a guide has to be seen: a light one on dark, a dark one on light",
    fix: "Take a pencil that shows.",
    find: (stack) =>
      withRole(stack, "mark").flatMap((mark) => {
        // On chalky kiln colour a pencil shines, and burns away.
        if (filmsBelow(stack, mark).some((below) => below.product!.traits.includes("needs-firing")) || stack.material.traits.includes("bisque")) return [];
        const tone = mark.aid?.guide?.tone ?? "any";
        const ground = colourBeneath(stack, mark);
        const on = filmsBelow(stack, mark).some(coversField) ? "paint" : stack.material.surface;
        const other = [...stack.catalogue.aids.values()].find(
          (aid) => aid.guide?.tone === (tone === "dark" ? "light" : "dark") && aid.guide.marksOn.includes(on) && !aid.guide.bleeds,
        );
        return isSeenOn(tone, ground) ? [] : [{ at: mark, change: other ? swap(mark, other.id) : [] }];
      }),
  },
  {
    code: "guide-with-nothing",
    severity: "note",
    when: "guides are drawn and nothing is set on them",
    message: "{step} marks out the {zone}, but nothing is set on the guides",
    why: "it is work for nothing, and something to take off",
    fix: "Leave the guides out.",
    find: (stack) =>
      withRole(stack, "mark")
        .filter((mark) => !stack.steps.slice(mark.index).some((fact) => isFilm(fact) && fact.step.role !== "seal"))
        .map((fact) => ({ at: fact, change: remove(fact) })),
  },
  {
    code: "wet-contact",
    when: "a template, a band, a pencil or a hand is laid on a coat that is not dry",
    message: "{step} touches {under} while it is wet",
    why: "whatever touches a wet mark takes some of it along and leaves a print",
    fix: "Let it dry to the touch first, or work from the middle outwards.",
    find: (stack) =>
      withRole(stack, "mask", "mark", "sign").flatMap((act) => {
        if (act.aid?.mask?.sticks) return [];
        const lower = filmsBelow(stack, act)
          .filter((below) => !isLoose(below))
          .at(-1);
        const touch = lower?.product ? stagesIn(lower.product, stack.room, lower.step.marks ? lower.wetMicrons : null)?.typical.touchDry : undefined;
        if (!lower || touch === undefined) return [];
        return shortWait(stack, lower, act, touch, (short) => ({ words: under(lower, stack), change: waitFix(act, short, "dry-to-touch") }));
      }),
  },
]);
