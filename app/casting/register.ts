import { pourAfter } from "#core/casting/pour-changes";
import type { CompoundRecord } from "#core/formats/stores/compounds";
import type { MouldRecord } from "#core/formats/stores/moulds";
import type { PourRecord } from "#core/formats/stores/pours";
import type { CastingAsk } from "./casting-asks";
import type { CastingLoaded } from "./casting-loaded.client";

const withId = <R extends { readonly id: string }>(list: readonly R[], one: R) =>
  list.some(({ id }) => id === one.id) ? list.map((old) => (old.id === one.id ? one : old)) : [...list, one];
const without = <R extends { readonly id: string }>(list: readonly R[], id: string) => list.filter((one) => one.id !== id);

/** Moulds, bags and pours. */
export type Register = Pick<CastingLoaded, "moulds" | "compounds" | "pours">;

/** The register with one ask in it, as it will be once that is written. */
export function registerAfter(register: Register, ask: CastingAsk): Register {
  const { moulds, compounds, pours } = register;
  switch (ask.intent) {
    case "keep-mould":
      return { ...register, moulds: withId(moulds, { ...ask.mould, rev: 1 } as MouldRecord) };
    case "remove-mould":
      return { ...register, moulds: without(moulds, ask.id) };
    case "keep-compound":
      return { ...register, compounds: withId(compounds, { ...ask.compound, rev: 1 } as CompoundRecord) };
    case "remove-compound":
      return { ...register, compounds: without(compounds, ask.id) };
    case "begin":
      return pours.some(({ id }) => id === ask.pour.id) ? register : { ...register, pours: [{ ...ask.pour, rev: 1 } as PourRecord, ...pours] };
    case "pour":
      return { ...register, pours: pours.map((one) => (one.id === ask.id ? pourAfter(one, ask.change) : one)) };
    case "remove-pour":
      return { ...register, pours: without(pours, ask.id) };
    case "hand-over":
      return {
        ...register,
        pours: pours.map((one) => (one.id === ask.id ? pourAfter(one, { kind: "handed", bodies: ask.bodies, piece: ask.piece, count: ask.of.count }) : one)),
      };
    default:
      return register;
  }
}
