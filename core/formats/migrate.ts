import { dataVersionOf, DEFINITIONS } from "./stores/stores";
import type { RawParts } from "./step-translation";
import type { StepTranslator } from "./step-translation";

type Up = (typeof DEFINITIONS)[number]["migrations"][number]["up"];

/** One record brought up; one that no migration can read stays as it is, and its schema names what is wrong with it. */
function broughtUp(up: Up, record: Record<string, unknown>, tools: Parameters<Up>[1]): Record<string, unknown> {
  try {
    return up(record, tools);
  } catch {
    return record;
  }
}

/**
 * Brings records of all stores from an older data version up to this one, step by step.
 *
 * @param from the data version they are of, from 1
 * @param definitions the stores there are now
 * @returns the records as they are now; what a migration cannot read it leaves to the schema
 */
export function migrated(parts: RawParts, from: number, stepsOf: StepTranslator, definitions = DEFINITIONS): RawParts {
  let current = parts;
  const newest = dataVersionOf(definitions);
  for (let to = from + 1; to <= newest; to += 1) {
    const before = current;
    const changes = definitions.flatMap(({ name, migrations }) => migrations.filter((one) => one.to === to).map((one) => ({ name, up: one.up })));
    for (const { name, up } of changes)
      current = { ...current, [name]: (before[name] ?? []).map((record) => broughtUp(up, record, { parts: before, stepsOf })) };
  }
  return current;
}
