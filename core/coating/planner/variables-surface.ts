import { productId } from "../../catalogue/ids";
import type { ProductId } from "../../catalogue/ids";
import { allowed, allowedAid } from "./context";
import type { ZoneContext } from "./context";
import type { ProductClass } from "../../catalogue/product-class";
import { meetsWet } from "../facts/demands";
import { isLevel } from "../facts/level";
import { aidDraft, because, filmDraft, NONE } from "./draft";
import { PHASE } from "../facts/phase";
import type { Draft, Alternative, DecisionVariable } from "./draft";

function single(name: string, steps: readonly Draft[], unmet = ""): DecisionVariable {
  return { name, alternatives: [{ key: name, steps }], school: false, unmet };
}

export function dustOff(context: ZoneContext, after: ProductId | null, phase: number): Draft {
  const soft = after ? context.catalogue.products.get(after)?.traits.includes("water-sensitive") : false;
  return aidDraft(soft ? productId("dry-brush") : context.material.dustOff, {
    role: "dust-off",
    phase,
    because: because("clean-surface", "dust under a coat holds the dust, not the surface"),
    checks: ["A finger drawn over it stays clean."],
  });
}

/** Cleaning for the material and for each condition, driest first. */
export function cleaning(context: ZoneContext): DecisionVariable {
  const { material, conditions } = context;
  const loose = context.piece.parts.some((part) => part === "works" || part === "numerals");
  const wanted = [
    ...(loose ? [{ id: productId("take-apart"), why: "paint and varnish do not belong in the works, and parts are coated apart" }] : []),
    ...conditions.filter((one) => !one.oldFilm).flatMap((one) => one.adds.map((id) => ({ id, why: one.said }))),
    ...material.cleaning.map((id) => ({ id, why: `${material.name.toLowerCase()} is cleaned so before any coat` })),
  ];
  const rank = (id: ProductId) => {
    if (id === productId("take-apart")) return -1;
    const aid = context.catalogue.aids.get(id);
    const soaksSalt = aid?.removes.some((soil) => soil === "salts" || soil === "shore-salt") ?? false;
    return aid?.vapour ? 4 : soaksSalt ? 3 : aid?.wets === "soaks" ? 2 : aid?.wets === "damp" ? 1 : 0;
  };
  const seen = new Set<ProductId>();
  const dusted = wanted.some(({ id }) => id === productId("salt-brush"));
  const steps = wanted
    .filter(({ id }) => !(dusted && id === productId("dry-brush")) && allowedAid(context, id) !== null && !seen.has(id) && (seen.add(id), true))
    .sort((a, b) => rank(a.id) - rank(b.id))
    .map(({ id, why }) =>
      aidDraft(id, {
        role: "clean",
        phase: PHASE.clean,
        group: `clean-${id}`,
        because: because("clean-surface", why),
        checks: ["Water spreads in an even sheet instead of beading."].filter(() => material.surface === "slick"),
      }),
    );
  return single("cleaning", steps);
}

/** Scuffing of an old film. */
export function keying(context: ZoneContext): DecisionVariable | null {
  if (!context.conditions.some((one) => one.oldFilm) || context.piece.conditions.includes("flaking-old-paint")) return null;
  const scuff = aidDraft(productId("scuffing"), {
    role: "sand",
    phase: PHASE.key,
    because: because("hold", "an old coat gives no grip until it is scuffed dull"),
    checks: ["No shiny spots left when you tilt it to the light."],
  });
  const scuffed: Alternative = { key: "scuffing", steps: [scuff, dustOff(context, null, PHASE.key)] };
  // A primer that grips by itself answers an old gloss too, and raises no dust from a paint nobody knows.
  return { name: "keying", alternatives: [scuffed, { ...NONE, strain: 0.5 }], school: true, unmet: "" };
}

/** What is poured levels only where it does not run off. */
function levels(product: ProductClass, context: ZoneContext): boolean {
  return product.methods[0] !== "pour" || isLevel(context);
}

/** Filling and levelling: by filler, by resin, or not at all. */
export function levelling(context: ZoneContext): DecisionVariable | null {
  const asked = context.conditions.find((one) => one.uneven);
  const wanted = context.layers.some((layer) => layer.technique.needsSmooth) && context.material.traits.includes("bumpy");
  if (!asked && !wanted) return null;
  const text = asked ? asked.said : "bumps break up lines and dots";
  const wet = meetsWet(context);
  const fillers = allowed(context).filter(
    (product) =>
      product.jobs.includes("fill") &&
      product.grips.includes(context.surface) &&
      (!wet || !product.traits.includes("water-sensitive")) &&
      levels(product, context),
  );
  const alternatives = fillers.map((product): Alternative => ({
    key: product.id,
    steps: [
      filmDraft(
        product,
        {
          role: "fill",
          phase: PHASE.level,
          because: because("level-surface", text),
          checks: product.traits.includes("pale") ? ["It has turned pale all over and feels hard."] : ["A fingernail leaves no mark."],
        },
        context.surface,
      ),
      aidDraft(productId("sanding"), {
        role: "sand",
        phase: PHASE.level,
        because: because("level-surface", "the filler stands proud until it is sanded flush"),
        checks: ["Eyes shut, a fingertip finds no edge. Where it sank, fill thinly once more."],
      }),
      dustOff(context, product.id, PHASE.level),
    ],
  }));
  return { name: "levelling", alternatives: [...alternatives, asked ? { ...NONE, strain: 4 } : NONE], school: true, unmet: "nothing fills this surface" };
}

/** Bare wood is sanded once before anything. */
export function smoothing(context: ZoneContext): DecisionVariable | null {
  // Under an old coat there is no bare wood to smooth.
  if (context.surface !== "wood" || context.conditions.some((one) => one.oldFilm)) return null;
  const sand = aidDraft(productId("sanding"), {
    role: "sand",
    phase: PHASE.key,
    because: because("level-surface", "saw marks and raised fibres show through paint"),
    checks: ["Smooth along the grain, 180 then 240."],
  });
  return single("smoothing", [sand, dustOff(context, null, PHASE.key)]);
}
