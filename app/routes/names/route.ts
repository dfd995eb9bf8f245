/** The names of all pieces, for whoever looks one up. */
export async function clientLoader() {
  const { names } = await import("~/store/names.client");
  return names();
}
