import type { Jar, JarLabel } from "../catalogue/jar";

type Optional = "colour" | "openedOn" | "sizeMl" | "tareG" | "paid" | "left" | "hiding" | "mix" | "dropsPerMl";

/** What is changed of a jar: the fields that are named, and no others. Of the label each line is a field of its own. */
export interface JarChange {
  readonly set?: Partial<Omit<Jar, "id" | "label">>;
  /** Fields that are taken away. */
  readonly clear?: readonly Optional[];
  readonly label?: JarLabel;
  /** Lines of the label that are taken away. */
  readonly clearLabel?: readonly (keyof JarLabel)[];
}

/** One field of a jar set, or taken away where it says nothing. */
export function put<F extends Optional | "name">(field: F, value: Jar[F] | undefined): JarChange {
  return value === undefined && field !== "name" ? { clear: [field as Optional] } : { set: { [field]: value } };
}

/** One line of a label set, or taken away where it says nothing. */
export function putLine<L extends keyof JarLabel>(line: L, value: JarLabel[L] | undefined): JarChange {
  return value === undefined ? { clearLabel: [line] } : { label: { [line]: value } };
}

const without = <T extends object>(record: T, keys: readonly string[]): T =>
  Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key))) as unknown as T;

/** A jar with a change in it. */
export function changedJar<J extends Pick<Jar, "label">>(jar: J, { set = {}, clear = [], label = {}, clearLabel = [] }: JarChange): J {
  return { ...without({ ...jar, ...set }, clear), label: without({ ...jar.label, ...label }, clearLabel) };
}
