import type { Catalogue } from "./catalogue";
import type { SurfaceName } from "./object-kind";
import type { MixedFrom } from "./jar";
import type { Tool } from "./tool";
import type { ZoneId } from "./vocabulary";

/** What the screens need of the catalogue to name things and to offer choices; the engine keeps the rest. */
export interface Menu {
  readonly materials: readonly {
    readonly id: string;
    readonly name: string;
    readonly means: string;
    readonly colour: string;
    readonly texture: string;
    readonly asks: readonly string[];
    readonly slick: boolean;
  }[];
  readonly uses: readonly {
    readonly id: string;
    readonly name: string;
    readonly care: readonly string[];
    readonly outdoors: boolean;
    readonly lipMm: number;
  }[];
  readonly techniques: readonly { readonly id: string; readonly name: string }[];
  readonly objects: readonly {
    readonly id: string;
    readonly name: string;
    readonly forms: readonly string[];
    readonly parts: readonly string[];
    readonly zones: readonly { readonly zone: ZoneId; readonly surface: SurfaceName }[];
  }[];
  readonly conditions: readonly { readonly id: string; readonly name: string }[];
  readonly tools: readonly Pick<Tool, "name" | "techniques" | "roles" | "methods">[];
  readonly products: readonly {
    readonly id: string;
    readonly name: string;
    readonly means: string;
    readonly jobs: readonly string[];
    readonly aid: boolean;
    readonly waterborne: boolean;
  }[];
  /** Jars the user owns: what is laid from one is called by its name. */
  readonly jars: readonly {
    readonly id: string;
    readonly name: string;
    readonly classId: string;
    readonly colour?: string;
    /** What is left in it, mL; absent where it was never said. */
    readonly leftMl?: number;
    /** What it is mixed from; absent for what came out of a shop. */
    readonly mix?: readonly MixedFrom[];
  }[];
}

/**
 * Projects the catalogue on what the screens show.
 *
 * @param catalogue the catalogue, with or without own products
 * @returns plain data that may be sent to a page
 */
export function menuOf(catalogue: Catalogue): Menu {
  return {
    materials: [...catalogue.materials.values()].map((one) => ({
      id: one.id,
      name: one.name,
      means: one.means,
      colour: one.bodyColour,
      texture: one.texture,
      asks: one.asks,
      slick: one.surface === "slick",
    })),
    uses: [...catalogue.uses.values()].map(({ id, name, care, outdoors, lipBandMm }) => ({ id, name, care, outdoors, lipMm: lipBandMm?.value ?? 0 })),
    techniques: [...catalogue.techniques.values()].map(({ id, name }) => ({ id, name })),
    objects: [...catalogue.objects.values()].map((one) => ({
      id: one.id,
      name: one.name,
      forms: one.forms,
      parts: [...new Set([...one.zones.flatMap((zone) => zone.part ?? []), ...one.loose])],
      zones: one.zones.map(({ zone, surface }) => ({ zone, surface })),
    })),
    tools: [...catalogue.tools.values()].map(({ name, techniques, roles, methods }) => ({ name, techniques, roles, methods })),
    conditions: [...catalogue.conditions.values()].map(({ id, name }) => ({ id, name })),
    products: [
      ...[...catalogue.products.values()].map(({ id, name, means, jobs, carrier }) => ({ id, name, means, jobs, aid: false, waterborne: carrier === "water" })),
      ...[...catalogue.aids.values()].map(({ id, name }) => ({ id, name, means: "", jobs: [], aid: true, waterborne: false })),
    ],
    jars: [],
  };
}
