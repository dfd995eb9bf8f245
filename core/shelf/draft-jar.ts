import type { Catalogue } from "../catalogue/catalogue";
import { jarId } from "../catalogue/ids";
import type { ProductId } from "../catalogue/ids";
import type { Jar } from "../catalogue/jar";
import { jarSize, seenByEye } from "./amount-left";
import { comesInColours, jarInWords, usualJarName } from "./jar-from-words";

/** A jar that is not on the shelf yet: a line of words, and what was set by hand. */
export interface JarDraft {
  readonly words: string;
  readonly hand: Omit<Jar, "id" | "classId"> & { readonly classId?: ProductId };
}

/** A draft as far as it says a jar. */
export interface DraftedJar {
  /** Its id is none yet; its name is "" where it was not given one. */
  readonly jar: Jar;
  readonly usualName: string;
  /** Kinds the words point to, the likeliest first. */
  readonly kinds: readonly ProductId[];
}

const NO_ID = jarId("draft");

/**
 * The jar that words and hands say: what is set by hand wins over what is read, and both over what is usual.
 *
 * @param before its kind, where neither says one: that of the jar before it
 * @param at instant, ISO 8601
 */
export function draftedJar({ words, hand }: JarDraft, before: ProductId, catalogue: Catalogue, at: string): DraftedJar {
  const said = jarInWords(words, catalogue);
  const classId = hand.classId ?? said.kinds[0] ?? before;
  const kind = catalogue.products.get(classId)!;
  const colour = hand.colour ?? (comesInColours(kind) ? said.colour : undefined);
  const sizeMl = hand.sizeMl ?? said.sizeMl;
  const size = jarSize({ classId, ...(sizeMl === undefined ? {} : { sizeMl }) }, catalogue);
  const left = hand.left ?? (said.quarters === null ? undefined : seenByEye(said.quarters, size.ml, at));
  const { colour: _colour, ...rest } = hand;
  const jar: Jar = {
    ...rest,
    id: NO_ID,
    classId,
    label: { ...said.label, ...hand.label },
    ...(colour === undefined ? {} : { colour }),
    ...(sizeMl === undefined ? {} : { sizeMl }),
    ...(left === undefined ? {} : { left }),
  };
  return { jar, usualName: usualJarName(kind, colour), kinds: said.kinds };
}
