import { productName } from "../../catalogue/catalogue";
import { films, isClear, withRole } from "./facts";
import type { StackFacts } from "./facts";

/** What a plan does where practitioners differ, in a line: its ground, isolation, marking and finish. */
export function schoolOf(stacks: readonly StackFacts[]): string {
  const main = [...stacks].sort((a, b) => b.steps.length - a.steps.length)[0];
  if (!main) return "";
  const name = (id: Parameters<typeof productName>[1]) => productName(main.catalogue, id).toLowerCase();
  const ground = withRole(main, "prime")[0];
  const base = withRole(main, "base")[0];
  const isolate = withRole(main, "isolate")[0];
  const heat = main.steps.find((fact) => fact.aid?.heat);
  const seal = films(main)
    .filter((fact) => isClear(fact) && fact.step.role === "seal")
    .at(-1);
  const guided = main.steps.some((fact) => fact.technique?.guided && fact.step.method !== "pen");
  const parts = [
    ground ? `${name(ground.step.product)} below` : base ? `${name(base.step.product)} straight on` : null,
    isolate ? "an isolation coat" : null,
    guided && withRole(main, "mark").length === 0 ? "marks set by eye" : null,
    heat ? (heat.aid?.heat?.kind === "kiln" ? "fired in a kiln" : `a bake at ${heat.step.heat?.temperatureC ?? "the label's"} °C`) : null,
    seal ? name(seal.step.product) : heat ? null : "no sealer",
  ];
  return parts.filter(Boolean).join(" · ");
}
