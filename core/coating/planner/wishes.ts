import type { Catalogue } from "../../catalogue/catalogue";
import { productName } from "../../catalogue/catalogue";
import type { ProductId } from "../../catalogue/ids";
import { COMMON_PRACTICE } from "../../catalogue/provenance";
import type { CompletePiece, Wishes } from "../../piece/piece";
import { WEAR_TEXT } from "./variables-finish";
import { leaves } from "../facts/facts";
import type { PieceFacts } from "../facts/facts";
import { zoneWord } from "../rules/judge";
import type { LaidStep } from "../model/laid-step";
import type { Candidate, Finding } from "../model/plan";
import { PHASE, phaseOf } from "../facts/phase";

/** A medium the user named and forbade at once, and by what. */
export interface Blocked {
  readonly medium: ProductId;
  readonly why: string;
}

/** The user's constraints win over the media the user named: those they rule out are left to the plan, which says so. */
export function withoutBlockedMedia(piece: CompletePiece, catalogue: Catalogue): { readonly piece: CompletePiece; readonly blocked: readonly Blocked[] } {
  const { media, layers } = piece.decoration;
  const named = [...new Set([...media, ...layers.flatMap((layer) => layer.medium ?? [])])];
  const blocked = named.flatMap((medium): Blocked[] => {
    const product = catalogue.products.get(medium);
    if (!product || leaves(piece.constraints, product)) return [];
    const { childSafe, avoid } = piece.constraints;
    if (avoid.includes(medium)) return [{ medium, why: "you want to do without it" }];
    return [{ medium, why: childSafe && !product.childSafe ? "it is nothing for a child" : "it is not on your shelf" }];
  });
  if (blocked.length === 0) return { piece, blocked };
  const out = new Set(blocked.map((one) => one.medium));
  const decoration = {
    ...piece.decoration,
    media: media.filter((medium) => !out.has(medium)),
    layers: layers.map(({ medium, ...layer }) => (medium && !out.has(medium) ? { ...layer, medium } : layer)),
  };
  return { piece: { ...piece, decoration }, blocked };
}

/** Why a wished product is no choice here: what it would have to stand and does not, or that it does not suit the body. */
function whyNot(facts: PieceFacts, id: ProductId, key: keyof Wishes): string {
  const product = facts.catalogue.products.get(id);
  const wears = new Set(facts.zones.filter((zone) => zone.treatment !== "leave-bare").flatMap((zone) => zone.wears));
  const unmet = key === "sealer" && product ? [...wears].filter((wear) => product.resists[wear] === undefined) : [];
  return unmet.length > 0
    ? `it is not made to stand ${unmet.map((wear) => WEAR_TEXT[wear]).join(" and ")}`
    : `it does not suit ${facts.material.name.toLowerCase()} in this use`;
}

/**
 * Wishes a plan does not keep, each with why: they are honoured or explained, never dropped in silence.
 *
 * @param given what stopped every plan that kept them, when they had to be given up; and media that the user's own constraints rule out
 */
export function wishFindings(
  facts: PieceFacts,
  candidate: Candidate,
  { obstacle, blocked }: { readonly obstacle: string | null; readonly blocked: readonly Blocked[] },
): readonly Finding[] {
  const { wishes, decoration } = facts.piece;
  const steps = candidate.zones.flatMap((zone) => zone.steps);
  const out = new Set(blocked.map((one) => one.medium));
  const unkept: { message: string; why: string }[] = blocked.map(({ medium, why }) => ({
    message: `You asked for ${productName(facts.catalogue, medium).toLowerCase()}; this plan takes something else`,
    why,
  }));
  const named = new Set([...decoration.media, ...decoration.layers.flatMap((layer) => layer.medium ?? [])]);
  for (const medium of named) {
    if (out.has(medium) || steps.some((step) => step.product === medium)) continue;
    unkept.push({
      message: `You named ${productName(facts.catalogue, medium).toLowerCase()}; this plan does without`,
      why: `the other paints you named do the work here; on bare ${facts.material.name.toLowerCase()} it does not hold, or no technique asks for it`,
    });
  }
  const uses = (id: string | undefined) => id === undefined || steps.some((step) => step.product === id);
  for (const key of ["primer", "base", "sealer", "guide"] as const) {
    const id = wishes[key];
    if (id !== undefined && !uses(id)) {
      unkept.push({
        message: `You wished for ${productName(facts.catalogue, id).toLowerCase()}; this plan does without`,
        why: obstacle ?? whyNot(facts, id, key),
      });
    }
  }
  if (wishes.route && wishes.route !== candidate.route) {
    unkept.push({
      message: `You wished for the ${wishes.route} route; this plan takes the ${candidate.route} route`,
      why: obstacle ?? (facts.material.bakeWhy || "nothing in your plan can be set that way"),
    });
  }
  for (const layer of decoration.layers) {
    const zone = facts.zones.find((one) => one.zone === layer.zone);
    if (layer.zone && zone?.treatment !== "paint") {
      unkept.push({
        message: `Nothing is painted on the ${zoneWord(layer.zone)}`,
        why: zone?.mustStayBare?.why ?? (zone ? "you left it bare" : "the piece has no such place"),
      });
    }
  }
  return unkept.map(unkeptWish);
}

/**
 * A base colour that would have to go under what is on the piece already: it is not laid, and the plan says so.
 *
 * @param body what was recorded at the bench
 */
export function coveredFindings({ zones, piece, catalogue }: PieceFacts, body: readonly LaidStep[]): readonly Finding[] {
  const wanted = piece.decoration.baseColour;
  if (wanted === null) return [];
  const covered = zones.filter(({ zone, treatment }) => {
    const own = body.filter((step) => step.zone === zone);
    const base = own.findLast((step) => step.role === "base");
    const over = own.some((step) => step.role !== "base" && phaseOf(step, catalogue) > PHASE.base && phaseOf(step, catalogue) < PHASE.heat);
    return treatment === "paint" && over && base?.colour?.toLowerCase() !== wanted.toLowerCase();
  });
  return covered.map(({ zone }) =>
    unkeptWish({
      message: `The base colour you chose is not laid on the ${zoneWord(zone)}`,
      why: "coats that come after it are on already, and it would cover them",
    }),
  );
}

/** A wish that is not kept, as a finding. */
export function unkeptWish({ message, why }: { readonly message: string; readonly why: string }): Finding {
  return {
    code: "wish-not-kept",
    severity: "note",
    zone: null,
    stepId: null,
    message,
    why,
    fix: { text: "Take the wish back, or change the piece." },
    provenance: COMMON_PRACTICE,
  };
}
