import type { Change } from "./change";

type PieceChange = Extract<Change, { op: "setPiece" }>;

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/**
 * What turned one piece into another, field by field. Lists count as one field; so does a form that became another kind.
 *
 * @param before the record as it was
 * @param after the record as it is
 * @param at dotted path of both inside a larger record
 * @returns one change a field
 * @example changesBetween({ count: 1 }, { count: 2 }) // [{ op: "setPiece", path: "count", value: 2 }]
 */
export function changesBetween(before: object, after: object, at = ""): readonly PieceChange[] {
  const from = before as Record<string, unknown>;
  const to = after as Record<string, unknown>;
  return [...new Set([...Object.keys(from), ...Object.keys(to)])].flatMap((key): readonly PieceChange[] => {
    const path = at === "" ? key : `${at}.${key}`;
    const [old, fresh] = [from[key], to[key]];
    if (same(old, fresh)) return [];
    if (isRecord(old) && isRecord(fresh) && old.kind === fresh.kind) return changesBetween(old, fresh, path);
    return [{ op: "setPiece", path, value: fresh }];
  });
}

/**
 * Paths both sides set to different values, the one at or inside the other.
 *
 * @param mine changes made here
 * @param theirs changes made elsewhere to the same record
 * @returns dotted paths of mine that meet one of theirs
 */
export function clashes(mine: readonly PieceChange[], theirs: readonly PieceChange[]): readonly string[] {
  const meet = (a: string, b: string) => a === b || a.startsWith(`${b}.`) || b.startsWith(`${a}.`);
  return mine
    .filter((one) => theirs.some((other) => meet(one.path, other.path) && !(one.path === other.path && same(one.value, other.value))))
    .map((one) => one.path);
}
