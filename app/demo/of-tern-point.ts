/** Whether a record is one of Tern Point's, which is laid out to look around in. */
export function isOfTernPoint(id: string): boolean {
  return id.startsWith("ternpoint");
}
