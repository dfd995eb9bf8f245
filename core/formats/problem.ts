/** A file or a document that cannot be taken: what is wrong, and where. */
export interface Problem {
  readonly code: "not-json" | "not-a-piece" | "not-a-bundle" | "bad-value" | "unknown-key" | "unknown-id" | "missing" | "too-new" | "bad-verb" | "bad-change";
  readonly message: string;
  /** Dotted path into the document; "" for the document itself. */
  readonly path: string;
}

export type Parsed<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem };

export function good<T>(value: T): Parsed<T> {
  return { ok: true, value };
}

/** A fault as it stands in an answer. */
export function problem(code: Problem["code"], path: string, message: string): Problem {
  return { code, path, message };
}

/**
 * An answer that is a fault.
 *
 * @param path dotted path into the document; "" for the document itself
 */
export function bad<T>(code: Problem["code"], path: string, message: string): Parsed<T> {
  return { ok: false, problem: { code, path, message } };
}
