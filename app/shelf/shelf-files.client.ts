import { CATALOGUE } from "#core/catalogue/catalogue";
import { jarId } from "#core/catalogue/ids";
import type { ProductId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import { readAse, writeAse } from "#core/formats/palettes/ase";
import { readCss, writeCss } from "#core/formats/palettes/css";
import { readGpl, writeGpl } from "#core/formats/palettes/gpl";
import type { Swatch } from "#core/formats/palettes/swatch";
import { bad } from "#core/formats/problem";
import type { Parsed } from "#core/formats/problem";
import { readShelfCsv, writeShelfCsv } from "#core/formats/shelf-csv";
import type { FileToSave } from "~/components/download";
import { freshId } from "~/store/fresh-id";

export type ShelfFormat = "csv" | "gpl" | "ase" | "css";

const swatchesOf = (jars: readonly Jar[]): readonly Swatch[] => jars.flatMap(({ name, colour }) => (colour === undefined ? [] : [{ name, colour }]));

/**
 * The shelf, or its colours, as a file.
 *
 * @param left what is left in each jar, mL
 */
export function shelfFile(format: ShelfFormat, jars: readonly Jar[], left: ReadonlyMap<string, number>, day: string): FileToSave {
  const name = `shelf-${day}.${format}`;
  if (format === "csv") return { name, text: writeShelfCsv(jars, left, CATALOGUE), type: "text/csv" };
  const swatches = swatchesOf(jars);
  if (format === "gpl") return { name, text: writeGpl("My shelf", swatches), type: "text/plain" };
  if (format === "css") return { name, text: writeCss(swatches), type: "text/css" };
  return { name, text: writeAse(swatches) as Uint8Array<ArrayBuffer>, type: "application/octet-stream" };
}

/** Jars of a file, ready for the shelf, or what is wrong with it; nothing of a file that is wrong is taken. */
export type ReadFile = Parsed<{ readonly jars: readonly Jar[]; readonly palette: boolean }>;

async function palette(file: File, kind: ProductId): Promise<ReadFile> {
  const name = file.name.toLowerCase();
  const read = name.endsWith(".ase")
    ? readAse(new Uint8Array(await file.arrayBuffer()))
    : name.endsWith(".gpl")
      ? readGpl(await file.text())
      : readCss(await file.text());
  if (!read.ok) return read;
  return {
    ok: true,
    value: { palette: true, jars: read.value.map(({ name: said, colour }) => ({ id: jarId(freshId()), classId: kind, name: said, colour, label: {} })) },
  };
}

/**
 * Reads a file of jars or colours by the ending of its name.
 *
 * @param kind what the colours of a palette are
 */
export async function readShelfFile(file: File, kind: ProductId): Promise<ReadFile> {
  if (/\.(gpl|ase|css)$/i.test(file.name)) return palette(file, kind);
  if (!/\.(csv|tsv|txt)$/i.test(file.name)) return bad("bad-value", file.name, "a table ends in .csv, a palette in .gpl, .ase or .css");
  const read = readShelfCsv(await file.text(), CATALOGUE);
  if (!read.ok) return read;
  const at = new Date().toISOString();
  const jars = read.value.map(({ leftMl, id, ...jar }): Jar => ({
    ...jar,
    id: id ?? jarId(freshId()),
    ...(leftMl === undefined ? {} : { left: { ml: leftMl, by: "volume", at } }),
  }));
  return { ok: true, value: { jars, palette: false } };
}
