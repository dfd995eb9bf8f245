import type { Provenance } from "./provenance";
import type { Method, Role, TechniqueId } from "./vocabulary";

/** Something held in the hand. It serves a step whose technique it lists, or, where it lists none, one of its roles and methods. */
export interface Tool {
  readonly id: string;
  readonly name: string;
  readonly techniques: readonly TechniqueId[];
  readonly roles: readonly Role[];
  readonly methods: readonly Method[];
  readonly provenance: Provenance;
}

/** What of a step decides which tools it takes. */
interface Handled {
  readonly role: Role;
  readonly method: Method;
  readonly technique?: TechniqueId;
}

/**
 * Whether a step is done with a tool.
 *
 * @param tool what the tool is for
 * @param step technique, role and method of the step
 */
export function serves(tool: Pick<Tool, "techniques" | "roles" | "methods">, step: Handled): boolean {
  if (tool.techniques.length > 0)
    return step.technique !== undefined && tool.techniques.includes(step.technique) && (tool.methods.length === 0 || tool.methods.includes(step.method));
  return tool.roles.includes(step.role) && (tool.methods.length === 0 || tool.methods.includes(step.method));
}
