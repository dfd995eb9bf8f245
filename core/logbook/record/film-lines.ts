import type { Catalogue } from "../../catalogue/catalogue";
import type { Role } from "../../catalogue/vocabulary";
import type { WorkLine } from "./record";

/** Work that leaves a film, or fills, on the piece. */
const FILM_ROLES: ReadonlySet<Role> = new Set<Role>(["fill", "size", "prime", "base", "isolate", "decorate", "top-dot", "lock", "seal"]);

/** Whether something of it stays on the piece. */
export function laysFilm({ role }: Pick<WorkLine, "role">): boolean {
  return FILM_ROLES.has(role);
}

/** What is on a piece, by kind: whoever receives it may need to know. */
export function materialsOn(work: readonly WorkLine[], catalogue: Catalogue): readonly string[] {
  return [...new Set(work.filter(laysFilm).flatMap(({ product }) => catalogue.products.get(product)?.name ?? []))];
}
