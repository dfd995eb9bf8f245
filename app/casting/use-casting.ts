import { useMemo } from "react";
import type { PourChange } from "#core/casting/pour-changes";
import { powderUsedG } from "#core/casting/pour";
import type { PourRecord } from "#core/formats/stores/pours";
import { useAsk, useAsked } from "~/actions/use-ask";
import { CASTING } from "./casting-asks";
import type { CastingAsk } from "./casting-asks";
import type { CastingLoaded } from "./casting-loaded.client";
import { registerAfter } from "./register";
import type { Register } from "./register";

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
    const now = asked.reduce(registerAfter, loaded as Register);
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
