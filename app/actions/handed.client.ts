import { freshId } from "~/store/fresh-id";

const handed = new Map<string, readonly File[]>();

/**
 * Hands files over to an action, which cannot be sent them.
 *
 * @returns the token it asks for them by
 */
export function handOver(files: readonly File[]): string {
  const token = freshId();
  handed.set(token, files);
  return token;
}

/** Files that were handed over; null where this page has none of that token. */
export function filesOf(token: string): readonly File[] | null {
  return handed.get(token) ?? null;
}

/** The files are not wanted any more. */
export function letGo(token: string): void {
  handed.delete(token);
}
