import { useState } from "react";
import { Download, Upload } from "lucide-react";
import { productId } from "#core/catalogue/ids";
import type { Jar } from "#core/catalogue/jar";
import { comesInColours } from "#core/shelf/jar-from-words";
import type { Problem } from "#core/formats/problem";
import { download } from "~/components/download";
import { FileButton } from "~/components/file-button";
import { Choice } from "~/components/fields";
import { KINDS } from "~/shelf/shelf-view";
import type { ShelfFormat } from "~/shelf/shelf-files.client";

const FORMATS: readonly { readonly id: ShelfFormat; readonly name: string }[] = [
  { id: "csv", name: "All of it as a table (.csv)" },
  { id: "gpl", name: "Colours as .gpl" },
  { id: "ase", name: "Colours as .ase" },
  { id: "css", name: "Colours as .css" },
];
const COLOUR_KINDS = KINDS.filter(comesInColours).map(({ id, name }) => ({ id, name }));

type Outcome = { readonly added: number; readonly here: number } | { readonly problem: Problem };

/** The shelf, and palettes, out to files and in from them. */
export function InAndOut({
  jars,
  left,
  today,
  add,
}: {
  jars: readonly Jar[];
  left: ReadonlyMap<string, number>;
  today: string;
  add: (jars: readonly Jar[]) => void;
}) {
  const [kind, setKind] = useState("craft-acrylic");
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const files = () => import("~/shelf/shelf-files.client");
  const take = async (file: File) => {
    const read = await (await files()).readShelfFile(file, productId(kind));
    if (!read.ok) return setOutcome({ problem: read.problem });
    const fresh = read.value.jars.filter((jar) => !jars.some((one) => one.id === jar.id));
    if (fresh.length > 0) add(fresh);
    setOutcome({ added: fresh.length, here: read.value.jars.length - fresh.length });
  };
  return (
    <details className="mt-6">
      <summary className="w-fit py-2 underline">Shelf and palettes as files</summary>
      <div className="mt-2 grid gap-3">
        <p className="flex flex-wrap gap-2">
          {FORMATS.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              className="button"
              disabled={jars.length === 0}
              onClick={() => void files().then(({ shelfFile }) => download(shelfFile(id, jars, left, today)))}
            >
              <Download aria-hidden size={18} /> {name}
            </button>
          ))}
        </p>
        <div className="flex flex-wrap items-end gap-3">
          <FileButton icon={Upload} label="File of jars or colours" accept=".csv,.tsv,.txt,.gpl,.ase,.css,text/csv,text/css" take={(file) => void take(file)}>
            Bring a table or a palette in
          </FileButton>
          <div className="w-64">
            <Choice label="Colours of a palette are" value={kind} choices={COLOUR_KINDS} onChange={setKind} />
          </div>
        </div>
        <p className="text-soft">A table’s first line names its columns; save yours once to see them. A file with a fault is not taken at all.</p>
        {outcome && (
          <p role="status" className={`rounded-lg p-3 ${"problem" in outcome ? "bg-stop-tint text-stop" : "bg-note-tint"}`}>
            {"problem" in outcome ? (
              <>
                <strong>Nothing was taken:</strong> {outcome.problem.path !== "" && `${outcome.problem.path}: `}
                {outcome.problem.message}.
              </>
            ) : (
              <>
                {outcome.added === 1 ? "One jar" : `${outcome.added} jars`} put on the shelf{outcome.here > 0 && `; ${outcome.here} stood on it already`}.
              </>
            )}
          </p>
        )}
      </div>
    </details>
  );
}
