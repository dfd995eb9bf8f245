import type { Role } from "../../catalogue/vocabulary";
import { addBefore, aidStep, setPiece, swap, waitFix } from "./fixes";
import { CEMENT_CURES_MIN, cementMayEat } from "../facts/young-cement";
import { coversField, films, has, isColour, isLoose, withRole } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import { unscuffedBelow } from "../facts/old-film";
import type { Change } from "../model/change";
import { zoneWord } from "./judge";
import type { Hit, Rule } from "./rule";
import { wholeWait, asChange, firstFilm, isBaked, onBare, rulesUnder, suitable, tooThirstyFor } from "./help";

/** Steps that could have given the bare or old surface a hold. */
const KEYING: readonly Role[] = ["sand", "fill", "size", "prime", "base"];

function uneven(stack: StackFacts): boolean {
  return stack.material.traits.includes("bumpy") || stack.conditions.some((condition) => condition.uneven);
}

/** Steps that lead from a bump to a locked, smooth face. */
function levelling(stack: StackFacts, first: StepFact) {
  const filler = suitable(
    stack,
    (product) => product.jobs.includes("fill") && product.drying.by === "evaporation" && product.grips.includes(stack.material.surface),
  );
  const size = suitable(stack, (product) => product.jobs.includes("size") && product.grips.includes(stack.material.surface));
  if (!filler || !size) return [];
  return [
    ...addBefore(stack, first, { role: "fill", product: filler.id, coats: 1 }),
    ...addBefore(stack, first, aidStep("sand", "sanding")),
    ...addBefore(stack, first, aidStep("dust-off", "dry-brush")),
    ...addBefore(stack, first, { role: "size", product: size.id, coats: 1 }),
  ];
}

export const SURFACE_RULES: readonly Rule[] = rulesUnder("Surface", [
  {
    code: "no-key",
    severity: "stop",
    when: "a film is laid on old gloss, bare glass or glaze with nothing for it to hold on",
    message: "{step} has nothing to hold on to on the {zone}",
    why: "a slick face gives a film no grip unless it is scuffed, primed for grip, or the paint is made to bake or to set on glaze",
    fix: "Use an adhesion primer, a bakeable or ceramic paint, or scuff the old coat.",
    find: (stack) => {
      const oldFilm = stack.conditions.some((condition) => condition.oldFilm);
      const slick = stack.material.surface === "slick";
      // Flaking paint is stopped for its own sake; nothing can be keyed on it.
      if (stack.piece.conditions.includes("flaking-old-paint")) return [];
      const onOld = films(stack).flatMap((fact): readonly Hit[] => {
        const lower = unscuffedBelow(stack, fact);
        return lower
          ? [
              {
                at: fact,
                culprits: [fact, lower],
                missing: ["sand", "prime"],
                change: [...addBefore(stack, fact, aidStep("sand", "scuffing")), ...addBefore(stack, fact, aidStep("dust-off", stack.material.dustOff))],
              },
            ]
          : [];
      });
      if (!slick && !oldFilm) return onOld;
      const onBody = onBare(stack).flatMap((fact): readonly Hit[] => {
        if (isLoose(fact)) return [];
        const scuffed = stack.steps.slice(0, fact.index).some((step) => step.aid?.givesKey);
        const holds =
          fact.product!.grips.includes("slick") || (slick && isBaked(stack) && fact.product!.gripsBaked.includes("slick")) || (!slick && has(fact, "grip"));
        if (holds || (!slick && scuffed)) return [];
        if (!slick)
          return [
            {
              at: fact,
              culprits: [fact],
              missing: KEYING,
              change: [...addBefore(stack, fact, aidStep("sand", "scuffing")), ...addBefore(stack, fact, aidStep("dust-off", stack.material.dustOff))],
            },
          ];
        const holding =
          isColour(fact) && !coversField(fact)
            ? suitable(
                stack,
                (product) => product.grips.includes("slick") && fact.step.technique !== undefined && product.techniques.includes(fact.step.technique),
              )
            : suitable(stack, (product) => product.jobs.includes("grip") && product.grips.includes("slick"));
        return [
          {
            at: fact,
            culprits: [fact],
            missing: KEYING,
            change: () =>
              asChange(holding, (id) =>
                isColour(fact) && !coversField(fact) ? swap(fact, id) : addBefore(stack, fact, { role: "prime", product: id, coats: 1 }),
              ),
          },
        ];
      });
      return [...onOld, ...onBody];
    },
  },
  {
    code: "not-for-surface",
    severity: "stop",
    when: "a film is laid bare on a kind of surface it is not made for",
    message: "{step} is not made for bare {material}",
    why: "it sets on the kind of surface it is made for and lifts off any other",
    fix: "Take a product made for this surface, or put a ground under it.",
    find: (stack) => {
      if (stack.material.surface === "slick") return [];
      return onBare(stack)
        .filter((fact) => !isLoose(fact) && !fact.product!.grips.includes(stack.material.surface))
        .map((fact) => {
          const ground = suitable(stack, (product) => product.jobs.includes("ground") && product.grips.includes(stack.material.surface));
          return {
            at: fact,
            culprits: [fact],
            missing: ["fill", "size", "prime", "base"] as const,
            change: () => asChange(ground, (id) => addBefore(stack, fact, { role: "prime", product: id, coats: 1 })),
          };
        });
    },
  },
  {
    code: "bumpy-under-line",
    severity: "note",
    when: "lines, lettering or dots are set on bumps",
    message: "bumps will break up {step}",
    why: "a line follows every pit, and dots slide off their guides",
    fix: "Fill and sand first, or choose a paint that carries over bumps.",
    find: (stack) => {
      const first = firstFilm(stack);
      if (!first || !uneven(stack) || withRole(stack, "fill").length > 0) return [];
      const broken = films(stack).find((fact) => fact.technique?.needsSmooth && !fact.product?.traits.includes("carries-over-bumps"));
      return broken ? [{ at: broken, change: levelling(stack, first) }] : [];
    },
  },
  {
    code: "one-face-coated",
    when: "thin wood is coated on one face only",
    message: "the {back} stays bare while the {zone} is coated",
    why: "a film slows damp on one side only, so thin wood cups",
    fix: "Coat both faces alike.",
    find: (stack) => {
      if (stack.material.surface !== "wood" || !stack.zone.template.decorated || films(stack).length === 0) return [];
      const back = stack.zones.find((zone) => zone.template.exposure === "underside");
      const listed = stack.others.find((other) => other.zone === back);
      const wanted = back !== undefined && stack.piece.decoration.bareZones.includes(back.zone);
      if (!back || (listed ? films(listed).length > 0 : !wanted)) return [];
      const alike = films(stack).filter((fact) => has(fact, "ground") || has(fact, "colour") || has(fact, "seal"));
      const copies = [...alike].reverse().map(({ step: { id: _id, ...step } }): Change => ({ op: "add", zone: back.zone, at: { start: true }, step }));
      const bareZones = stack.piece.decoration.bareZones.filter((zone) => zone !== back.zone);
      return [{ at: null, words: { back: zoneWord(back.zone) }, change: wanted ? setPiece("decoration.bareZones", bareZones) : copies }];
    },
  },
  {
    code: "ground-missing",
    when: "colour goes straight on a surface thirstier than it can cover",
    message: "{material} will drink {step} unevenly",
    why: "the binder sinks in before the colour has set, and the film is left weak and patchy",
    fix: "Put a primer under it.",
    find: (stack) =>
      onBare(stack)
        .filter(
          (fact) =>
            isColour(fact) &&
            !isLoose(fact) &&
            stack.material.absorbency.value !== "none" &&
            !fact.product!.traits.includes("for-paper") &&
            tooThirstyFor(fact.product!, stack) &&
            (has(fact, "colour") || stack.zone.template.exposure === "contents"),
        )
        .slice(0, 1)
        .map((fact) => ({
          at: fact,
          culprits: [fact],
          missing: ["fill", "size", "prime", "base"] as const,
          change: () =>
            asChange(
              suitable(stack, (product) => product.jobs.includes("ground") && product.grips.includes(stack.material.surface)),
              (id) => addBefore(stack, fact, { role: "prime", product: id, coats: 1 }),
            ),
        })),
  },
  {
    code: "alkaline-ground",
    when: "young cement is coated with something it attacks",
    message: "{step} goes on young {material}",
    why: "fresh cement is caustic; it eats ordinary acrylic from below until it has cured for about 28 days",
    fix: "Let it cure 28 days, or begin with a primer that stands alkali.",
    find: (stack) => {
      const first = films(stack).find((fact) => !has(fact, "fill"));
      if (!first || !cementMayEat(stack, first)) return [];
      const waited = wholeWait(stack, first);
      if (waited !== undefined && waited >= CEMENT_CURES_MIN) return [];
      const primer = suitable(stack, (product) => product.traits.includes("stands-alkali") && product.jobs.includes("ground"));
      return [
        {
          at: first,
          culprits: [first],
          missing: ["size", "prime"],
          change: primer ? addBefore(stack, first, { role: "prime", product: primer.id, coats: 1 }) : waitFix(first, CEMENT_CURES_MIN, "dry-body"),
        },
      ];
    },
  },
  {
    code: "board-edge-thirst",
    severity: "note",
    when: "cut edges of board get one primer coat",
    message: "the cut edges drink one coat of {step} away",
    why: "end fibres soak the primer up, and the edge stays rough and patchy under the colour",
    fix: "Give the edges a second coat.",
    find: (stack) =>
      stack.material.traits.includes("thirsty-edges")
        ? withRole(stack, "prime")
            .filter((fact) => fact.step.coats === 1)
            .map((fact) => ({ at: fact, change: [{ op: "set", stepId: fact.step.id, field: "coats", value: 2 }] }))
        : [],
  },
]);
