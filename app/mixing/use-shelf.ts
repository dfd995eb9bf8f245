import { useMemo } from "react";
import { CATALOGUE } from "#core/catalogue/catalogue";
import type { JarId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import type { ProductClass } from "#core/catalogue/product-class";
import type { JarRecord } from "#core/formats/stores/shelf";
import type { ProgressRecord } from "#core/logbook/progress";
import { changedJar } from "#core/shelf/jar-change";
import type { JarChange } from "#core/shelf/jar-change";
import { stockOf } from "#core/shelf/stock";
import { useAsk, useAsked } from "~/actions/use-ask";
import { shelfWith } from "~/shelf/shelf-view";
import type { ShelfAsk } from "~/shelf/shelf-asks";

/** The shelf with what is being saved in it, and what the desk may do to it. */
export interface DeskShelf {
  readonly jars: readonly JarRecord[];
  /** mL by jar. */
  readonly left: ReadonlyMap<string, number>;
  readonly add: (jar: Jar) => void;
  readonly change: (id: JarId, change: JarChange, about?: string) => void;
  readonly mix: (pot: JarId, ml: number) => void;
  readonly kindOf: (jar: Pick<Jar, "classId">) => ProductClass | null;
}

export function useShelf(loaded: { readonly jars: readonly JarRecord[]; readonly laid: readonly ProgressRecord[] }): DeskShelf {
  const ask = useAsk<ShelfAsk>("/shelf");
  const asked = useAsked<ShelfAsk>("/shelf");
  const jars = useMemo(() => shelfWith(loaded.jars, asked), [loaded.jars, asked]);
  const left = useMemo(() => stockOf(jars, loaded.laid), [jars, loaded.laid]);
  return useMemo(
    () => ({
      jars,
      left,
      add: (jar) => void ask({ intent: "add", jars: [jar] }),
      change: (id, change, about) => {
        const shown = jars.find((one) => one.id === id);
        const all: ShelfAsk = { intent: "change", id, change, ...(shown ? { seen: changedJar(shown, {}) } : {}) };
        ask(all, about === undefined ? {} : { about, over: (earlier) => (earlier.intent === "change" && earlier.seen ? { ...all, seen: earlier.seen } : all) });
      },
      mix: (pot, ml) => void ask({ intent: "mix", id: pot, ml, at: new Date().toISOString() }),
      kindOf: ({ classId }) => CATALOGUE.products.get(classId) ?? null,
    }),
    [jars, left, ask],
  );
}
