import type { Job } from "../../catalogue/product-class";
import type { Role } from "../../catalogue/vocabulary";

/** What may lie on a piece, in the order it is usually laid, with the jobs that products of it do. */
export const LAYER_JOBS = {
  fill: ["fill"],
  size: ["size", "bind"],
  prime: ["ground", "white-ground", "block-stain", "grip"],
  base: ["colour", "stain"],
  isolate: ["isolate"],
  decorate: ["decorate"],
  lock: ["lock"],
  seal: ["seal", "inside-seal"],
} as const satisfies Partial<Readonly<Record<Role, readonly Job[]>>>;

export type LayerRole = keyof typeof LAYER_JOBS;
