import { cast } from "./cast";
import type { Cast } from "./cast";
import { powderValue } from "./compound";
import type { PowderKind, PowderLabel } from "./compound";
import { capacityOf } from "./mould";
import type { Mould } from "./mould";
import type { Bowl, PouredMould } from "./pour";
import { openMinOf } from "./stages";
import type { Conditions } from "./stages";

/** What a pour is planned from. */
export interface PourPlan {
  readonly kind: PowderKind;
  readonly label: PowderLabel;
  readonly moulds: readonly (Mould & { readonly id: string; readonly filled: number })[];
  readonly reservePercent: number;
  readonly bowlG?: number;
  readonly bagG?: number;
  readonly conditions: Conditions;
}

/** A pour as it is planned. */
export interface PlannedPour {
  readonly moulds: readonly PouredMould[];
  readonly bowls: readonly Bowl[];
  readonly cast: Cast;
  /** Moulds of which nobody knows what they hold. */
  readonly unknown: readonly string[];
}

/** Moulds that are filled, each with what it holds. */
function poured(moulds: PourPlan["moulds"]): readonly PouredMould[] {
  return moulds.flatMap(({ id, name, form, part, stiff, traps, filled, ...mould }) => {
    const capacity = capacityOf({ ...mould, form });
    if (filled < 1 || !capacity) return [];
    return [
      {
        mould: id,
        name,
        form,
        ...(part === undefined ? {} : { part }),
        ...(stiff ? { stiff } : {}),
        ...(traps ? { traps } : {}),
        count: filled,
        ml: capacity.ml,
      },
    ];
  });
}

function bowlsOf({ batches }: Cast): readonly Bowl[] {
  return batches.map(({ fills, waterG, powderG, part }) => {
    const counts = new Map<number, number>();
    for (const { mould } of fills) counts.set(Number(mould), (counts.get(Number(mould)) ?? 0) + 1);
    return {
      fills: [...counts].map(([mould, count]) => ({ mould, count })),
      waterG,
      powderG,
      run: { tared: false },
      stages: {},
      ...(part && part.nth > 1 ? { beside: true as const } : {}),
    };
  });
}

/**
 * Plans a pour: water and powder for the chosen moulds, in as few bowls as they and the time allow.
 *
 * @returns null where no mould is chosen that it can be reckoned for
 */
export function plannedPour({ kind, label, moulds, reservePercent, bowlG, bagG, conditions }: PourPlan): PlannedPour | null {
  const chosen = poured(moulds);
  const unknown = moulds.filter(({ filled, ...mould }) => filled > 0 && capacityOf(mould) === null).map(({ name }) => name);
  if (chosen.length === 0) return null;
  const reckoned = cast({
    ratio: { waterPer100: powderValue(kind, label, "waterPer100").value, densityGPerMl: powderValue(kind, label, "densityGPerMl").value },
    moulds: chosen.map(({ ml, count }, k) => ({ mould: String(k), ml, count })),
    reservePercent,
    openMin: openMinOf(kind, label, conditions),
    ...(bowlG === undefined ? {} : { bowlG }),
    ...(bagG === undefined ? {} : { bagG }),
  });
  return { moulds: chosen, bowls: bowlsOf(reckoned), cast: reckoned, unknown };
}
