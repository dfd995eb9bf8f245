import { useMemo } from "react";
import { pourAfter } from "#core/casting/pour-changes";
import type { PourChange } from "#core/casting/pour-changes";
import { powderUsedG } from "#core/casting/pour";
import type { CompoundRecord } from "#core/formats/stores/compounds";
import type { MouldRecord } from "#core/formats/stores/moulds";
import type { PourRecord } from "#core/formats/stores/pours";
import { useAsk, useAsked } from "~/actions/use-ask";
import { CASTING } from "./casting-asks";
import type { CastingAsk } from "./casting-asks";
import type { CastingLoaded } from "./casting-loaded.client";

const withId = <R extends { readonly id: string }>(list: readonly R[], one: R) =>
  list.some(({ id }) => id === one.id) ? list.map((old) => (old.id === one.id ? one : old)) : [...list, one];
const without = <R extends { readonly id: string }>(list: readonly R[], id: string) => list.filter((one) => one.id !== id);

type Register = Pick<CastingLoaded, "moulds" | "compounds" | "pours">;

/** The register with one ask in it. */
function after(register: Register, ask: CastingAsk): Register {
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

/** All of casting with what is being saved in it, and what may be asked of it. */
export interface Casting extends Register {
  readonly pieces: CastingLoaded["pieces"];
  /** What is left in each bag, g; null where it was never said. */
  readonly leftG: (compound: string) => number | null;
  /** @returns the ask's key */
  readonly ask: (ask: CastingAsk) => string;
  readonly change: (pour: string, change: PourChange) => void;
}

export function useCasting(loaded: CastingLoaded): Casting {
  const send = useAsk<CastingAsk>(CASTING);
  const asked = useAsked<CastingAsk>(CASTING);
  return useMemo(() => {
    const now = asked.reduce(after, loaded as Register);
    const usedMore = (compound: string) => {
      const used = (pours: readonly PourRecord[]) =>
        pours.filter(({ powder }) => powder.compound === compound).reduce((sum, pour) => sum + powderUsedG(pour), 0);
      return used(now.pours) - used(loaded.pours);
    };
    return {
      ...now,
      pieces: loaded.pieces,
      leftG: (compound) => {
        const left = loaded.leftG[compound];
        return left === undefined || left === null
          ? (now.compounds.find(({ id }) => id === compound)?.left?.g ?? null)
          : Math.max(0, left - usedMore(compound));
      },
      ask: (ask) => send(ask),
      change: (pour, change) => void send({ intent: "pour", id: pour, change }),
    };
  }, [loaded, asked, send]);
}
