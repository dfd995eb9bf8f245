import type { Catalogue } from "../catalogue/catalogue";
import type { OwnProduct } from "../catalogue/own-product";
import type { Job } from "../catalogue/product-class";
import type { Sheen } from "../catalogue/vocabulary";
import { colourDifference } from "../film/colour";
import { completePiece } from "../piece/complete-piece";
import type { Piece } from "../piece/piece";

/** Colours of the jars of paints that do a job, pens and kiln colours apart; each once. */
function coloursThatDo(job: Job, shelf: readonly OwnProduct[], catalogue: Catalogue): readonly string[] {
  const suits = ({ classId }: OwnProduct) => {
    const product = catalogue.products.get(classId);
    return product !== undefined && product.jobs.includes(job) && product.methods[0] !== "pen" && !product.traits.includes("needs-firing");
  };
  return [...new Set(shelf.filter(suits).flatMap((own) => own.colour ?? []))];
}

/** The colour that stands out best from others. */
function farthest(from: readonly string[], among: readonly string[]): string | null {
  const apart = (hex: string) => Math.min(...from.map((other) => colourDifference(hex, other)));
  const [best] = among.filter((hex) => !from.includes(hex)).sort((a, b) => apart(b) - apart(a));
  return best ?? null;
}

/** The sheen of the sealers that are owned, where none of them has the usual one; undefined where that may stand. */
function ownFinish(usual: Sheen, shelf: readonly OwnProduct[], catalogue: Catalogue): Sheen | undefined {
  const sealers = shelf.filter((own) => catalogue.products.get(own.classId)?.jobs.includes("seal"));
  const sheens = sealers.flatMap((own) => own.label?.sheens ?? catalogue.products.get(own.classId)!.sheens);
  return sheens.includes(usual) ? undefined : sheens[0];
}

/**
 * A new piece in colours its painter owns, where it states none: the base in the jar nearest to the usual one, marks in those that stand out best from it,
 * in the sheen of the varnish they have.
 *
 * @param shelf what they own
 * @returns the piece; as it is where the shelf has no colour for it
 */
export function inOwnColours(piece: Piece, shelf: readonly OwnProduct[], catalogue: Catalogue): Piece {
  const { assumed, piece: complete } = completePiece(piece, catalogue);
  const isOpen = (path: string) => assumed.some((one) => one.path === path);
  const usual = complete.decoration.baseColour;
  const grounds = coloursThatDo("colour", shelf, catalogue);
  const base =
    isOpen("decoration.baseColour") && usual !== null
      ? ([...grounds].sort((a, b) => colourDifference(a, usual) - colourDifference(b, usual))[0] ?? null)
      : null;
  const beneath = base ?? usual ?? catalogue.materials.get(piece.material)?.bodyColour;
  const marks = coloursThatDo("decorate", shelf, catalogue);
  const colours = (isOpen("decoration.colours") ? complete.decoration.colours : []).reduce<readonly string[]>((taken) => {
    const next = farthest([...(beneath === undefined ? [] : [beneath]), ...taken], marks);
    return next === null ? taken : [...taken, next];
  }, []);
  const finish = isOpen("finish") ? ownFinish(complete.finish, shelf, catalogue) : undefined;
  return {
    ...piece,
    ...(finish === undefined ? {} : { finish }),
    decoration: { ...piece.decoration, ...(base === null ? {} : { baseColour: base }), ...(colours.length === 0 ? {} : { colours }) },
  };
}
