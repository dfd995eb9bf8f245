import type { Jar, JarLabel } from "../catalogue/jar";

type Optional = "colour" | "openedOn" | "sizeMl" | "tareG" | "paid" | "left";

/** What is changed of a jar: the fields that are named, and no others. Of the label each line is a field of its own. */
export interface JarChange {
  readonly set?: Partial<Omit<Jar, "id" | "label">>;
  /** Fields that are taken away. */
  readonly clear?: readonly Optional[];
  readonly label?: JarLabel;
  /** Lines of the label that are taken away. */
  readonly clearLabel?: readonly (keyof JarLabel)[];
}

const without = <T extends object>(record: T, keys: readonly string[]): T =>
  Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key))) as unknown as T;

/** A jar with a change in it. */
export function changedJar<J extends Omit<Jar, "id">>(jar: J, { set = {}, clear = [], label = {}, clearLabel = [] }: JarChange): J {
  return { ...without({ ...jar, ...set }, clear), label: without({ ...jar.label, ...label }, clearLabel) };
}
