import { productId } from "../../catalogue/ids";
import { plainZone } from "../../catalogue/vocabulary";
import type { Wear } from "../../catalogue/use";
import type { ProductClass } from "../../catalogue/product-class";
import { mainZone } from "../../piece/zones";
import type { Zone } from "../../piece/zones";
import { FIRING } from "../facts/firing";
import { isLevel } from "../facts/level";
import { COVER_SPOTS, UNCOVER_SPOTS, PHASE } from "../facts/phase";
import { allowed, holds } from "./context";
import type { ZoneContext } from "./context";
import { aidDraft, because, filmDraft, NONE, sheenOf } from "./draft";
import type { Alternative, DecisionVariable } from "./draft";

const FINISHED: readonly Zone["treatment"][] = ["finish-underside", "finish"];
export const WEAR_TEXT: Record<Wear, string> = {
  wipe: "dusting",
  rub: "hands",
  weather: "rain and sun",
  "wet-soil": "wet soil",
  washing: "washing up",
  "wet-rings": "wet cups",
};

/** Sign and date the underside of what goes to someone, under its seal. */
export function signing(context: ZoneContext): DecisionVariable | null {
  const goes = context.uses.some((use) => use.finishedUnderside);
  if (!goes || context.zone.template.exposure !== "underside" || context.zone.treatment !== "finish-underside") return null;
  const sign = aidDraft(productId("signature"), {
    role: "sign",
    phase: PHASE.sign,
    because: because("signed", "it goes to someone: they want to know whose it is"),
    checks: ["Dry before the seal goes over it."],
  });
  return { name: "signing", alternatives: [{ key: "signed", steps: [sign] }], school: false, unmet: "" };
}

/** Brushing what is made to be poured is fiddly, and shows its strokes [judgement of this project]. */
const BRUSHED_STRAIN = 1.5;

function sealCheck(product: ProductClass, brushed: boolean): string {
  if (product.traits.includes("needs-firing")) return "An even, milky coat; nothing on the foot, or it fuses to the shelf.";
  if (product.methods[0] === "spray") return "Two or three dry, misty passes from a distance first.";
  if (brushed) return "Weigh both parts; brush it on thin, for on a slope it runs; look again after a quarter of an hour and take up the drips.";
  if (product.traits.includes("two-part")) return "Weigh both parts; pour in the middle, tilt until it has levelled, wipe the drip edge, cover from dust.";
  return "Thin coats in one direction; no puddles.";
}

/** The last film: each class that stands all this zone meets, or none. */
export function sealing(context: ZoneContext): DecisionVariable | null {
  const { wears, treatment, template } = context.zone;
  if (context.route !== "kiln" && wears.length === 0 && !FINISHED.includes(treatment) && context.layers.length === 0) return null;
  const job = template.exposure === "contents" && treatment === "protect" && context.route !== "kiln" ? "inside-seal" : "seal";
  const said = wears.map((wear) => WEAR_TEXT[wear]).join(" and ") || "dust";
  const wish = context.piece.wishes.sealer;
  const main = mainZone(context.zones)?.zone === context.zone.zone;
  // What the user wants on the face is judged, not left out; elsewhere it is taken where it stands what that place meets.
  const fits = allowed(context).filter(
    (product) =>
      product.jobs.includes(job) &&
      ((main && product.id === wish) || wears.every((wear) => product.resists[wear] !== undefined)) &&
      (context.field !== null || context.layers.length > 0 || holds(product, context)) &&
      // Resin runs off an underside, whatever is done.
      (!product.brushed || template.exposure !== "underside"),
  );
  const place = plainZone(context.zone.zone);
  const shared = context.zones.some((zone) => zone.motifGround !== undefined && plainZone(zone.zone) === place);
  const alternatives = fits.map((product): Alternative => {
    // What is poured stays only on a level face; elsewhere it is brushed on thin, or not taken at all.
    const brushed = product.brushed !== undefined && !isLevel(context);
    return {
      key: product.id,
      strain: brushed ? BRUSHED_STRAIN : 0,
      steps: [
        filmDraft(
          product,
          {
            role: "seal",
            phase: PHASE.seal,
            // A place and the motifs in it are sealed in one go.
            ...(shared ? { group: `seal-${place}-${product.id}` } : {}),
            ...(brushed ? { method: "brush" as const, coats: product.brushed!.coats } : {}),
            ...sheenOf(product, context.piece.finish),
            because: because("wear", `it has to stand ${said}`),
            checks: [sealCheck(product, brushed)],
          },
          context.surface,
        ),
      ],
    };
  });
  // What is made to be poured is poured on the face; whether it is brushed on elsewhere is left open.
  const face = mainZone(context.zones);
  const poured = face !== null && isLevel({ piece: context.piece, zone: face });
  const runs = wish !== undefined && context.catalogue.products.get(wish)?.brushed !== undefined && poured && !isLevel(context);
  const wished = runs ? [] : alternatives.filter((alternative) => alternative.key === wish);
  if (wished.length > 0) return { name: "sealing", alternatives: wished, school: false, unmet: "" };
  // What only gets a coat to protect it is not left without one.
  const open =
    treatment === "protect" || treatment === "finish" || (treatment === "finish-underside" && context.field === null)
      ? []
      : [{ ...NONE, strain: wears.length > 0 && context.surface !== "slick" ? 3 : 0 }];
  return { name: "sealing", alternatives: [...alternatives, ...open], school: true, unmet: `nothing seals against ${said}` };
}

/** Baking, at the lower and at the higher temperature: the label decides. */
export function heatSetting(context: ZoneContext): DecisionVariable | null {
  if (context.route !== "bake" || context.zone.treatment === "protect") return null;
  const ranges = allowed(context).flatMap((product) => (product.bakeable ? [product.bakeable] : []));
  const limit = context.material.bakeMaxC.value ?? 0;
  const temperatures = [...new Set(ranges.flatMap((range) => [range.lowerC, range.higherC]))].filter((celsius) => celsius <= limit).sort((a, b) => a - b);
  const holdMin = Math.max(0, ...ranges.map((range) => range.holdMin));
  const alternatives = temperatures.map((temperatureC): Alternative => ({
    key: `bake-${temperatureC}`,
    steps: [
      aidDraft(productId("oven-bake"), {
        role: "heat-set",
        phase: PHASE.heat,
        group: "bake",
        heat: { kind: "oven", temperatureC, holdMin, start: "cold", cool: "inside" },
        because: because(
          "heat-set",
          context.zone.wears.includes("washing") ? "heat is what makes it stand washing up" : "heat is what makes it hold and harden",
        ),
        checks: [
          "Your paint's label decides heat and time; labels run from about 150 to 180 °C and 30 to 90 min.",
          "From a cold oven; count from when it is hot; cool inside with the door ajar.",
        ],
      }),
    ],
  }));
  return {
    name: "heat",
    alternatives,
    school: true,
    forAll: true,
    unmet: `${context.material.name.toLowerCase()} does not go in an oven: ${context.material.bakeWhy}`,
  };
}

/** Fired once, at the end, with the glaze over the colours. */
export function firing(context: ZoneContext): DecisionVariable | null {
  if (context.route !== "kiln") return null;
  const fire = aidDraft(productId("kiln-fire"), {
    role: "fire",
    phase: PHASE.heat,
    group: "fire",
    heat: FIRING.value,
    because: because("fired", "only the kiln turns kiln colours and glaze into glass"),
    checks: ["Fire to your glaze's label, on a body it is made for: pyrometric cone 06, about 1 000 °C, is typical.", "No glaze on what stands on the shelf."],
  });
  return { name: "firing", alternatives: [{ key: "fire", steps: [fire] }], school: false, unmet: "" };
}

/** Parts are glued on last, on a spot that was kept bare: covered before the first coat, uncovered after the last. */
export function assembling(context: ZoneContext): DecisionVariable | null {
  const joint = context.zones.find((zone) => zone.template.exposure === "joint");
  if (!joint || context.route === "kiln") return null;
  const spots = context.zone.template.decorated && context.zone.treatment === "paint";
  const cover = aidDraft(productId("tape"), {
    role: "mask",
    phase: PHASE.cover,
    group: COVER_SPOTS,
    because: because("joint-bare", "where a part is glued on, the bare surface has to stay bare"),
    checks: ["Cover every glue spot, a little smaller than the part that goes on it."],
  });
  const uncover = aidDraft(productId("peel"), {
    role: "unmask",
    phase: PHASE.uncover,
    group: UNCOVER_SPOTS,
    because: because("joint-bare", "the glue goes on the bare spot"),
    checks: ["Cut round the edge first if the film bridges it."],
  });
  const glue = aidDraft(productId("glue"), {
    role: "assemble",
    phase: PHASE.assemble,
    group: "assemble",
    because: because("joint-bare", "glue holds on the bare surface; film under it is the weak layer"),
    checks: ["The spot was kept bare and flat; scrape it clean if a film has crept on to it."],
  });
  return { name: "assembling", alternatives: [{ key: "glue", steps: spots ? [cover, uncover, glue] : [glue] }], school: false, unmet: "" };
}

/** Leave to cure before it is washed, wrapped or planted. */
export function curing(): DecisionVariable {
  const cure = aidDraft(productId("waiting"), {
    role: "cure",
    phase: PHASE.cure,
    group: "cure",
    because: because("cured", "dry is not hard: full hardness and water resistance come later"),
    checks: ["No smell left, and no print from a firm fingertip on the underside."],
  });
  return { name: "cure", alternatives: [{ key: "cure", steps: [cure] }], school: false, unmet: "" };
}
