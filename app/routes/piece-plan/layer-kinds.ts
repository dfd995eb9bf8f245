import type { Menu } from "#core/catalogue/menu";
import { LAYER_JOBS } from "#core/coating/model/layer-jobs";
import type { LayerRole } from "#core/coating/model/layer-jobs";
import type { Role } from "#core/catalogue/vocabulary";

const NAMES: Readonly<Record<LayerRole, string>> = {
  fill: "Filler",
  size: "Size",
  prime: "Primer",
  base: "Base colour",
  isolate: "Isolating coat",
  decorate: "Decoration",
  lock: "Locking coat",
  seal: "Sealer",
};

/** What may lie on a piece, in the order it is usually laid. */
export const LAYER_KINDS: readonly { readonly role: Role; readonly name: string; readonly jobs: readonly string[] }[] = (
  Object.keys(LAYER_JOBS) as LayerRole[]
).map((role) => ({ role, name: NAMES[role], jobs: LAYER_JOBS[role] }));

/** Something a step can be laid with. */
export interface Option {
  readonly id: string;
  readonly name: string;
  readonly product: string;
  readonly jar?: Menu["jars"][number];
}

/** What it can be laid with: the user's jars first, then every kind that does the job. */
export function optionsFor(jobs: readonly string[], menu: Menu): readonly Option[] {
  const kinds = menu.products.filter((one) => one.jobs.some((job) => jobs.includes(job)));
  const jars = menu.jars.filter((jar) => kinds.some((kind) => kind.id === jar.classId));
  return [
    ...jars.map((jar): Option => ({ id: `jar/${jar.id}`, name: `${jar.name} (yours)`, product: jar.classId, jar })),
    ...kinds.map(({ id, name }): Option => ({ id, name, product: id })),
  ];
}
