import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import type { RecipesAsked } from "./desk-loaded.client";

/** What is mixed: a colour, how much of it, for what kind of paint, from how many jars. */
export interface Wanted {
  readonly target: string;
  readonly ml: number;
  readonly kind: string;
  readonly parts: number;
  readonly without: readonly string[];
}

/**
 * Recipes for what is wanted; the last ones stay up while newer ones are searched.
 *
 * @param place where on the desk it is mixed: what was found for another place is not shown here
 */
export function useRecipes(
  place: string,
  { target, ml, kind, parts, without }: Wanted,
): { readonly found: NonNullable<RecipesAsked> | null; readonly busy: boolean; readonly share: number } {
  const { load, data, state } = useFetcher<RecipesAsked>({ key: `recipes/${place}` });
  const [share, setShare] = useState(0);
  const asked = new URLSearchParams({ target, ml: String(ml), kind, parts: String(parts), without: without.join() }).toString();
  useEffect(() => {
    void load(`/desk/recipes?${asked}`);
  }, [load, asked]);
  useEffect(() => {
    let stop: (() => void) | null = null;
    let gone = false;
    void import("./desk-loaded.client").then(({ watchMixing }) => {
      if (gone) return;
      watchMixing(setShare);
      stop = () => watchMixing(null);
    });
    return () => {
      gone = true;
      stop?.();
    };
  }, []);
  const [last, setLast] = useState<NonNullable<RecipesAsked> | null>(null);
  if (data && data !== last) setLast(data);
  const found = data ?? last;
  return { found, busy: state !== "idle" || found?.target !== target || found.volumeMl !== ml || found.kind !== kind, share };
}
