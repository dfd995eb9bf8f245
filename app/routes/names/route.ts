/** They are asked for anew when they are looked at: not after every stroke that is saved. */
export function shouldRevalidate(): boolean {
  return false;
}

/** The names of all pieces, for whoever looks one up; none where the notebook does not open, which is told of elsewhere. */
export async function clientLoader() {
  const { names } = await import("~/store/names.client");
  return names().catch(() => []);
}
