import type { Change } from "#core/coating/model/change";
import type { Assumption } from "#core/piece/piece";
import type { PieceRecord } from "#core/formats/stores/pieces";
import type { Menu } from "#core/catalogue/menu";
import type { ZoneId } from "#core/catalogue/vocabulary";
import type { SaveChanges } from "~/piece/use-record";

/** What every part of the facts works with. */
export interface FactProps {
  readonly record: PieceRecord;
  readonly menu: Menu;
  readonly assumed: readonly Assumption[];
  readonly save: SaveChanges;
  readonly lit: ZoneId | null;
  readonly light: (zone: ZoneId | null) => void;
}

export const set = (path: string, value: unknown): Change => ({ op: "setPiece", path, value });
export const YOU_CHOOSE = "you choose";

/** What was taken for a fact the user left open. */
export function valueTaken(assumed: readonly Assumption[], path: string): unknown {
  return assumed.find((one) => one.path === path)?.value;
}
