import { ABSORBENCIES } from "../../catalogue/material";
import { memory } from "../../catalogue/provenance";
import { isLevel } from "../facts/level";
import { addBefore, aidStep, remove, set, setPiece } from "./fixes";
import { coversField, films, filmsBelow, isClear, isColour, lastFilm, withRole } from "../facts/facts";
import type { StackFacts, StepFact } from "../facts/facts";
import type { Hit, Rule } from "./rule";
import { asChange, onBare, rulesUnder, seals, suitable, under } from "./help";
import { isOutdoors } from "../facts/demands";

/** Dry film, µm, that the seat of an ordinary lid takes on both sides together. */
const SEAT_TAKES = memory(200);

/** What the body itself does to its films, and where parts meet. */
export const BODY_RULES: readonly Rule[] = rulesUnder("Locking and sealing", [
  {
    code: "resin-darkens-bare",
    when: "resin or gloss lies on bare stone that is to stay light",
    message: "{step} will darken the bare {material}{between}",
    why: "any clear film fills the pores, as water does, and the stone looks wet",
    fix: "Size it first, which keeps it lighter (test on the back), or lay an opaque ground under the motif.",
    provenance: { kind: "published", source: "Lekner & Dorf, Why some things are darker when wet, 1988; the size as a remedy is common practice" },
    find: (stack) => {
      if (!stack.material.traits.includes("darkens-under-film")) return [];
      const bare = onBare(stack).find(
        (fact) =>
          isClear(fact) &&
          fact.step.role !== "size" &&
          !films(stack).some((above) => above.index > fact.index && coversField(above) && (isColour(above) || above.product!.traits.includes("pale"))),
      );
      const sized = onBare(stack).find((fact) => fact.step.role === "size" && !fact.product!.traits.includes("pale"));
      const shiny = (fact: StepFact) => fact.step.sheen === "gloss" || fact.product!.traits.includes("two-part");
      const over = sized && stack.piece.decoration.baseColour === null ? seals(stack).filter(shiny).at(-1) : undefined;
      // It is sized: what the size cannot keep off is said, and nothing more can be done.
      if (!bare) return over ? [{ at: over, severity: "note" as const, words: { between: ", though less over its size" } }] : [];
      const glossy = shiny(bare);
      const anchor = films(stack)[0]!;
      const size = suitable(
        stack,
        (product) => product.jobs.includes("size") && !product.traits.includes("pale") && product.grips.includes(stack.material.surface),
      );
      return [
        {
          at: bare,
          words: { between: films(stack).some((fact) => fact.index < bare.index && isColour(fact)) ? " between the painted lines" : "" },
          severity: glossy ? ("warn" as const) : ("note" as const),
          change: () => asChange(size, (id) => addBefore(stack, anchor, { role: "size", product: id, coats: 1 })),
        },
      ];
    },
  },
  {
    code: "sealed-pot-inside-bare",
    severity: "stop",
    acrossZones: true,
    when: "a planter is sealed outside and bare inside",
    message: "the {zone} is sealed and the inside is bare",
    why: "water from the soil moves through the wall and pushes the outside film off",
    fix: "Seal the inside too, or stand the plant in a liner pot.",
    find: (stack) => {
      const contents = stack.zones.find((zone) => zone.template.exposure === "contents" && zone.wears.includes("wet-soil"));
      const last = lastFilm(stack);
      if (
        !contents ||
        !last ||
        !stack.material.traits.includes("water-moves-through") ||
        stack.zone.template.exposure !== "seen" ||
        !stack.zone.template.decorated
      )
        return [];
      const inside = stack.others.find((other) => other.zone.zone === contents.zone);
      const wanted = stack.piece.decoration.bareZones.includes(contents.zone);
      if (!inside) return wanted ? [{ at: last, change: setPiece("decoration.bareZones", []) }] : [{ at: last, unknown: "If the inside is left bare" }];
      if (films(inside).some((fact) => fact.product!.resists["wet-soil"])) return [];
      const sealer = suitable(stack, (product) => product.resists["wet-soil"] !== undefined && product.grips.includes(stack.material.surface));
      const inFilm = lastFilm(inside);
      return [
        {
          at: last,
          change: () =>
            asChange(sealer, (id) => [
              { op: "add", zone: contents.zone, at: inFilm ? { after: inFilm.step.id } : { start: true }, step: { role: "seal", product: id, coats: 2 } },
            ]),
        },
      ];
    },
  },
  {
    code: "soaks-what-it-holds",
    severity: "stop",
    ofPiece: true,
    when: "a cup or plate of a body that soaks is eaten or drunk from without being glazed and fired",
    message: "{material} soaks up what it holds: {piece} cannot be eaten or drunk from",
    why: "the bare side drinks, cannot be washed clean, and the wet comes through the wall and lifts the paint; hobby paint and varnish are no food surface to close it with",
    fix: "Keep it for show, or make it of glazed ware; bisque can be glazed and fired.",
    find: (stack) => {
      const holds = stack.zones.some((zone) => zone.mustStayBare && (zone.mustStayBare.code === "food-side" || zone.mustStayBare.code === "lip-zone"));
      const fired = stack.steps.some((fact) => fact.aid?.heat?.kind === "kiln");
      const soaks = stack.material.surface === "porous" && ABSORBENCIES.indexOf(stack.material.absorbency.value) >= ABSORBENCIES.indexOf("high");
      return holds && soaks && !fired && lastFilm(stack) ? [{ at: null, culprits: [], missing: ["fire"] }] : [];
    },
  },
  {
    code: "resin-runs",
    when: "resin is poured on a wall, a dome or an underside",
    message: "{step} runs off the {zone}{how}",
    why: "it stays liquid for hours and levels itself: on anything but a flat top it drips and leaves the high places thin",
    fix: "Brush it on in two thin coats, or take a varnish there.",
    find: (stack) =>
      films(stack).flatMap((fact): readonly Hit[] => {
        if (!fact.product!.brushed || fact.step.role !== "seal" || isLevel(stack)) return [];
        const how = ", so it is brushed on thin here";
        if (fact.step.method === "brush") return stack.zone.template.decorated ? [{ at: fact, severity: "note" as const, words: { how } }] : [];
        const { coats } = fact.product!.brushed;
        return [{ at: fact, culprits: [fact], change: [...set(fact, "method", "brush"), ...set(fact, "coats", coats)] }];
      }),
  },
  {
    code: "drainage-hole",
    severity: "note",
    ofPiece: true,
    when: "a planter is painted",
    message: "Keep the drainage hole of {piece} open",
    why: "water that cannot run off stands in the soil and works through the wall",
    fix: "Paint and seal its edge, and poke it clear while the coats are wet.",
    find: (stack) => (stack.zone.wears.includes("wet-soil") && lastFilm(stack) ? [{ at: null }] : []),
  },
  {
    code: "holes-first",
    severity: "note",
    ofPiece: true,
    when: "a clock face or a sign is painted",
    message: "{what} before the first coat",
    why: "drilled afterwards, the film chips round the hole and the bare edge drinks",
    fix: "Paint and seal its edge too, and keep it clear with a toothpick while the coats are wet.",
    find: (stack) => {
      const { object, name } = stack.piece;
      const hole = stack.catalogue.objects.get(object)?.hole;
      const begun = stack.steps.some((fact) => fact.step.done);
      if (!hole || begun || !stack.zone.template.decorated || !lastFilm(stack)) return [];
      return [{ at: null, words: { what: hole === "spindle" ? `drill the spindle hole of ${name}` : `if ${name} is to hang, drill its holes` } }];
    },
  },
  {
    code: "freeze-thaw",
    ofPiece: true,
    when: "terracotta stands out in frost",
    message: "frost can split {piece}, whatever is on it",
    why: "water in the wall swells as it freezes; no coating keeps it all out",
    fix: "Bring it in before the first frost.",
    find: (stack) => (stack.material.traits.includes("frost-shatters") && isOutdoors(stack) && lastFilm(stack) ? [{ at: null }] : []),
  },
  {
    code: "glue-on-film",
    when: "a part is glued on paint or varnish",
    message: "{step} goes on {under}, not on the bare {material}",
    why: "the joint is only as strong as the film under the glue",
    fix: "Cover a flat spot before the first coat and glue on it after sealing; where it is coated already, scrape it bare.",
    find: (stack) => {
      const laid = films(stack);
      const [first] = laid;
      if (!first) return [];
      const joint = stack.zone.template.exposure === "joint";
      const glues = withRole(stack, "assemble");
      // The spot itself is coated, whether or not the gluing is listed.
      if (joint) return [{ at: glues[0] ?? first, words: under(laid.at(-1)!, stack), change: laid.flatMap(remove) }];
      return glues.flatMap((glue) => {
        // An act of the whole piece is done on the spot that was kept bare, not on this zone.
        if (glue.step.group !== undefined) return [];
        const below = filmsBelow(stack, glue).at(-1);
        const covered =
          stack.steps.slice(0, first.index).some((fact) => fact.step.role === "mask") &&
          stack.steps.slice(first.index, glue.index).some((fact) => fact.step.role === "unmask");
        if (!below || covered) return [];
        return [
          {
            at: glue,
            words: under(below, stack),
            change: [...addBefore(stack, first, aidStep("mask", "tape")), ...addBefore(stack, glue, aidStep("unmask", "peel"))],
          },
        ];
      });
    },
  },
  {
    code: "gypsum-wet-use",
    severity: "stop",
    ofPiece: true,
    when: "gypsum stands in wet soil, outdoors, or is washed",
    message: "{material} does not stand water: {piece} would soften and crumble",
    why: "gypsum dissolves in water, about 2 g in a litre, and no film keeps all of it out",
    fix: "Cast it in cement, or keep it dry and indoors.",
    provenance: { kind: "published", source: "solubility of CaSO4·2H2O, about 2 g/L: CRC Handbook of Chemistry and Physics" },
    find: (stack) => {
      const wet = stack.zones.some((zone) => zone.wears.some((wear) => wear === "weather" || wear === "wet-soil" || wear === "washing"));
      return wet && stack.material.traits.includes("dissolves") && lastFilm(stack)
        ? [{ at: null, culprits: [], change: setPiece("material", "concrete-cast") }]
        : [];
    },
  },
  {
    code: "lid-seat-tight",
    severity: "note",
    when: "a lid and its box are both coated thickly where they meet",
    message: "coats on lid and box build up where the lid sits",
    why: "two films meet in the seat; a tight lid sticks, and pulls paint off when it is opened",
    fix: "Keep the seat bare, or thin there; wax it when all is hard.",
    find: (stack) => {
      const box = stack.others.find((other) => other.zone.zone === "body");
      if (stack.zone.zone !== "lid" || !box) return [];
      const build = (one: StackFacts) =>
        films(one).reduce(
          (sum, fact) => sum + ((fact.product!.film.wetMicrons ?? 0) * (fact.product!.film.volumeSolidsPercent ?? 0) * (fact.step.coats ?? 1)) / 100,
          0,
        );
      return build(stack) + build(box) > SEAT_TAKES.value ? [{ at: lastFilm(stack) }] : [];
    },
  },
]);
