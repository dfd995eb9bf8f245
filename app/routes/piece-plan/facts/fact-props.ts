import type { LayerTaken } from "#core/coating/facts/layers";
import type { Change } from "#core/coating/model/change";
import type { Menu } from "#core/catalogue/menu";
import type { ZoneId } from "#core/catalogue/vocabulary";
import type { PieceRecord } from "#core/formats/stores/pieces";
import { layered } from "#core/piece/layers";
import type { Assumption, Layer, Piece } from "#core/piece/piece";
import type { SaveChanges } from "~/piece/use-record";

/** What every fact works with. */
export interface FactProps {
  readonly record: PieceRecord;
  readonly menu: Menu;
  readonly assumed: readonly Assumption[];
  /** What is taken for each layer that is said, where its marks and its share are open. */
  readonly layersTaken: readonly (LayerTaken | null)[];
  readonly save: SaveChanges;
  /** Goes on to what is drawn where, from a place if one is named. */
  readonly sayWhere: (zone?: ZoneId) => void;
  /** The place the user has just pointed at. */
  readonly pointed: ZoneId | null;
}

/** What the drawing of a piece works with as well: the place that is lit. */
export interface LitProps extends Omit<FactProps, "sayWhere" | "pointed"> {
  readonly lit: ZoneId | null;
  readonly light: (zone: ZoneId | null) => void;
}

export const set = (path: string, value: unknown): Change => ({ op: "setPiece", path, value });
/** Decoration said layer by layer from now on. */
export function sayLayered({ decoration }: Piece, layers: readonly Layer[]): readonly Change[] {
  const next = layered(decoration, layers);
  return (["layers", "techniques", "colours"] as const).map((key) => set(`decoration.${key}`, next[key]));
}

export const YOU_CHOOSE = "you choose";

/** What was taken for a fact the user left open. */
export function valueTaken(assumed: readonly Assumption[], path: string): unknown {
  return assumed.find((one) => one.path === path)?.value;
}

/** What a piece is, said or taken. */
export function objectOf({ object }: Piece, assumed: readonly Assumption[]): string {
  return object ?? String(valueTaken(assumed, "object") ?? "other");
}

/** The colour it is all over, said or taken; null where its own face shows. */
export function baseOf({ decoration }: Piece, assumed: readonly Assumption[]): string | null {
  if (decoration?.baseColour !== undefined) return decoration.baseColour;
  return (valueTaken(assumed, "decoration.baseColour") as string | null | undefined) ?? null;
}

/** The colours of its decoration, said or taken. */
export function coloursOf({ decoration }: Piece, assumed: readonly Assumption[]): readonly string[] {
  return decoration?.colours ?? (valueTaken(assumed, "decoration.colours") as readonly string[] | undefined) ?? [];
}

/** Colours one piece is decorated in, at most by hand. */
export const MOST_COLOURS = 12;

/** What one of the colours of its decoration is called. */
export function marksName(index: number, of: number): string {
  return of > 1 ? `Marks ${index + 1}` : "Marks";
}
