import type { Catalogue } from "../../catalogue/catalogue";
import { productName } from "../../catalogue/catalogue";
import type { ProductId } from "../../catalogue/ids";
import type { Piece, Wishes } from "../../piece/piece";

/** One thing the user named that a plan may have to do without. */
export interface Named {
  /** As the plan says it is given up: "You named craft acrylic; this plan does without". */
  readonly said: string;
  /** The product it is about; null where it is a route. */
  readonly product: ProductId | null;
  readonly without: (piece: Piece) => Piece;
}

function mediaOf({ decoration = {} }: Piece): readonly ProductId[] {
  return [...new Set([...(decoration.media ?? []), ...(decoration.layers ?? []).flatMap((layer) => layer.medium ?? [])])];
}

/** The piece with the choice of paint left to the plan wherever one product was named. */
export function withoutMedium(piece: Piece, medium: ProductId): Piece {
  const { decoration = {} } = piece;
  const { media, layers } = decoration;
  return {
    ...piece,
    decoration: {
      ...decoration,
      ...(media ? { media: media.filter((one) => one !== medium) } : {}),
      ...(layers ? { layers: layers.map(({ medium: own, ...layer }) => (own === undefined || own === medium ? layer : { ...layer, medium: own })) } : {}),
    },
  };
}

function withoutWish(piece: Piece, key: keyof Wishes): Piece {
  const { [key]: _gone, ...wishes } = piece.wishes ?? {};
  return { ...piece, wishes };
}

/** What matters most first: the paint in the user's hand, then what they want under and over it. */
const WISHES: readonly (keyof Wishes)[] = ["base", "route", "sealer", "primer", "guide"];

/** Everything the user named, what they would miss most first. */
export function namedIn(piece: Piece, catalogue: Catalogue): readonly Named[] {
  const name = (id: ProductId) => productName(catalogue, id).toLowerCase();
  const media = mediaOf(piece).map((medium): Named => ({
    said: `You named ${name(medium)}; this plan does without`,
    product: medium,
    without: (one) => withoutMedium(one, medium),
  }));
  const wishes = WISHES.flatMap((key): readonly Named[] => {
    const id = piece.wishes?.[key];
    if (id === undefined) return [];
    const said =
      key === "route" ? `You wished for the ${id} route; this plan takes another` : `You wished for ${name(id as ProductId)}; this plan does without`;
    return [{ said, product: key === "route" ? null : (id as ProductId), without: (one) => withoutWish(one, key) }];
  });
  return [...media, ...wishes];
}

/** What is given up, and why it could not be had beside the rest. */
export interface GivenUp {
  readonly piece: Piece;
  readonly gone: readonly { readonly said: string; readonly why: string }[];
}

/**
 * The most of what the user named that can be had together. One wish that cannot be had is given up alone, with its own reason; what
 * can be had stays.
 *
 * @param plans says whether a piece can be planned
 * @param why what stands in the way of a piece that cannot
 * @returns null where nothing is named, or nothing helps
 */
export function giveUp(piece: Piece, catalogue: Catalogue, plans: (piece: Piece) => boolean, why: (piece: Piece) => string): GivenUp | null {
  const named = namedIn(piece, catalogue);
  const bare = named.reduce((one, { without }) => without(one), piece);
  if (named.length === 0 || !plans(bare)) return null;
  const having = (kept: ReadonlySet<Named>) => named.filter((one) => !kept.has(one)).reduce((one, { without }) => without(one), piece);
  for (const one of named) {
    const kept = new Set(named.filter((other) => other !== one));
    if (plans(having(kept))) return { piece: having(kept), gone: [{ said: one.said, why: why(piece) }] };
  }
  const kept = new Set<Named>();
  const gone: { said: string; why: string }[] = [];
  for (const one of named) {
    const more = having(new Set([...kept, one]));
    if (plans(more)) kept.add(one);
    else gone.push({ said: one.said, why: why(more) });
  }
  return { piece: having(kept), gone };
}
