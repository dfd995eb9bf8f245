import { recordId } from "#core/catalogue/ids";

/** A new record id out of the browser's random bytes; works on a plain-http phone too, where randomUUID is missing. */
export function freshId(): string {
  return recordId(crypto.getRandomValues(new Uint8Array(16)));
}
