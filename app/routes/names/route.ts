/** The names of all pieces, for whoever looks one up. */
export async function clientLoader() {
  const [{ database }, { allPieces }] = await Promise.all([import("~/store/open.client"), import("~/store/pieces")]);
  const records = await allPieces(await database());
  return records.map(({ id, piece }) => ({ id, name: piece.name }));
}
