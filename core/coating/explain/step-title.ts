import type { Menu } from "../../catalogue/menu";
import { SHEEN_WORDS } from "../../catalogue/vocabulary";
import type { Role } from "../../catalogue/vocabulary";
import { lowerFirst } from "../../units/letter-case";
import type { StepChoice } from "../model/step";

const COUNTS = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight"];

/** A count of coats or passes in words. @example coatsOf(2, "coat") // "two coats" */
export function coatsOf(count: number, kind: string): string {
  return `${COUNTS[count] ?? count} ${kind}${count === 1 ? "" : "s"}`;
}

const ROLE_WORDS: Partial<Record<Role, string>> = {
  prime: "Prime",
  base: "Base colour",
  isolate: "Isolate",
  size: "Size",
  fill: "Fill",
  lock: "Lock",
  seal: "Seal",
  mark: "Mark out",
  mask: "Mask",
  unmask: "Lift the mask",
  unmark: "Take the guides off",
  sign: "Sign and date the underside",
  cure: "Leave it to cure",
};

/** What a thing is called in a list; its id where the list has it not. */
export function nameIn(list: readonly { readonly id: string; readonly name: string }[], id: string): string {
  return list.find((one) => one.id === id)?.name ?? id;
}

/** What the screens name things by. */
export type Names = Pick<Menu, "products" | "techniques" | "jars">;

/** What of a step its title tells, planned or only chosen. */
type Titled = Pick<StepChoice, "role" | "product" | "ownProduct" | "technique" | "sheen" | "method" | "heat" | "coats">;

/** The user's jar a step is laid from, by its name; null where it comes from none, or the jar is called as its kind is. */
export function jarName({ product, ownProduct }: Pick<StepChoice, "product" | "ownProduct">, menu: Names): string | null {
  const name = menu.jars.find((one) => one.id === ownProduct)?.name ?? null;
  return name === nameIn(menu.products, product) ? null : name;
}

/** What a step is laid with, inside a sentence: the user's jar by its name, else the kind of paint. */
function laidName(step: Titled, menu: Names): string {
  const name = nameIn(menu.products, step.product);
  return jarName(step, menu) ?? lowerFirst(name);
}

/** The sheen of a seal, where its name does not say it already. */
function sheenOf({ role, sheen }: Titled, name: string): string {
  return role !== "seal" || sheen === undefined || name.toLowerCase().includes(SHEEN_WORDS[sheen]) ? "" : `${SHEEN_WORDS[sheen]} `;
}

/**
 * A step in the painter's words: what the user does.
 *
 * @param counted false leaves the number of coats out, where one coat of it is meant
 */
export function stepTitle(step: Titled, menu: Names, counted = true): string {
  const { coats = 1 } = step;
  const name = nameIn(menu.products, step.product);
  const lower = laidName(step, menu);
  switch (step.role) {
    case "clean":
    case "sand":
    case "dust-off":
      return name;
    case "assemble":
      return "Glue the parts on";
    case "sign":
    case "cure":
    case "unmask":
      return ROLE_WORDS[step.role]!;
    case "fire":
      return `Fire in the kiln, about ${step.heat?.temperatureC ?? 1000} °C`;
    case "heat-set":
      return `Bake at ${step.heat?.temperatureC} °C for ${step.heat?.holdMin} min`;
    case "mark":
    case "mask":
      return `${ROLE_WORDS[step.role]} with ${lower}`;
    case "unmark":
      return step.product === "eraser" ? "Rub the guides out" : "Wipe the guides off, barely damp";
    case "decorate": {
      const technique = step.technique ? nameIn(menu.techniques, step.technique) : "Decorate";
      return `${technique}: ${counted && coats > 1 ? `${coatsOf(coats, "coat")} of ` : ""}${lower}`;
    }
    default:
      if (!counted) return `${ROLE_WORDS[step.role] ?? "Coat"}: ${sheenOf(step, lower)}${lower}`;
      return `${ROLE_WORDS[step.role] ?? "Coat"}: ${coatsOf(coats, step.method === "spray" ? "light pass" : "coat").replace("passs", "passes")} of ${sheenOf(step, lower)}${lower}`;
  }
}
