import { Download, FileText } from "lucide-react";
import { useMemo, useState } from "react";
import { nextScale, pagesOf } from "#core/marking/papers/pages";
import { PAPERS } from "#core/marking/papers/sheet";
import type { PaperId } from "#core/marking/papers/sheet";
import { drawingSvg, pageSvg } from "#core/marking/papers/svg";
import { TEMPLATES, templateOf } from "#core/marking/papers/templates";
import type { TemplateKind } from "#core/marking/papers/templates";
import type { KeepOut } from "#core/piece/pattern";
import type { SolvedPattern } from "#core/marking/solved";
import type { MarkingSurface } from "#core/marking/surface";
import { Choice, Radios } from "~/components/fields";
import { download } from "~/components/download";
import { NumberField } from "~/components/number-field";
import { useDesk } from "~/mixing/use-desk";
import type { LookProps } from "./look-props";

interface State {
  readonly kind: string;
  readonly paper: PaperId;
  /** What the last print was enlarged by. */
  readonly scale: number;
}

const slug = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "");

/** Lines of a slice template where the pattern has none. */
const USUAL_SLICES = 8;

interface SheetsProps {
  readonly kind: TemplateKind;
  readonly paper: PaperId;
  readonly scale: number;
  readonly rescale: (scale: number) => void;
  readonly surface: MarkingSurface;
  readonly solved: SolvedPattern;
  readonly slices: number;
  readonly keepOuts: readonly KeepOut[] | undefined;
  readonly title: string;
}

function Sheets({ kind, paper, scale, rescale, surface, solved, slices, keepOuts, title }: SheetsProps) {
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState(false);
  const drawn = useMemo(
    () => templateOf(kind).draw({ surface, solved, slices, title, ...(keepOuts ? { keepOuts } : {}) }),
    [kind, surface, solved, slices, keepOuts, title],
  );
  const pages = useMemo(() => pagesOf(drawn, paper, scale), [drawn, paper, scale]);
  const svgs = useMemo(() => pages?.map(pageSvg) ?? [], [pages]);
  const name = `${slug(title)}-${kind}`;
  if (pages === null) return <p className="notice">That would take more sheets than anyone joins. Use the instructions under “Lines” for this one.</p>;
  const savePdf = async () => {
    setBusy(true);
    const { pdfOf } = await import("./papers-pdf.client");
    download({ name: `${name}.pdf`, text: await pdfOf(pages, `${title}: ${templateOf(kind).name}`), type: "application/pdf" });
    setBusy(false);
  };
  return (
    <>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button button-act" disabled={busy} onClick={() => void savePdf()}>
          <FileText aria-hidden size={18} /> {pages.length === 1 ? "PDF to print" : `PDF to print, ${pages.length} sheets`}
        </button>
        <button type="button" className="button" onClick={() => download({ name: `${name}.svg`, text: drawingSvg(drawn), type: "image/svg+xml" })}>
          <Download aria-hidden size={18} /> In one piece, SVG
        </button>
      </div>
      <div className="grid gap-2 sm:grid-cols-[minmax(0,18rem)_1fr] sm:items-end">
        <NumberField
          label="The bar measures, on your print"
          unit="mm"
          value={undefined}
          typical="100"
          bounds={{ least: 70, most: 130 }}
          save={(measured) => {
            if (measured === undefined) return;
            const next = nextScale(measured, scale);
            setRefused(next === null);
            if (next !== null) rescale(next);
          }}
        />
        <p className="text-soft" role="status">
          {refused
            ? "That is more than a printer is off: it was fitted to the page. Print at 100 % and measure again."
            : scale === 1
              ? "Measure the 100 mm bar on the paper: if it is not 100, the next print puts it right."
              : `The next print is drawn ${(scale * 100).toFixed(1)} % large, so that it comes out true.`}
          {scale !== 1 && (
            <button type="button" className="ml-2 underline" onClick={() => rescale(1)}>
              Back to 100 %
            </button>
          )}
        </p>
      </div>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-3" aria-label="Sheets">
        {svgs.map((svg, k) => (
          <li key={k} className="border border-line bg-white">
            <img alt={`Sheet ${k + 1} of ${svgs.length}`} src={`data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`} className="block w-full" />
            <button
              type="button"
              className="button m-2"
              aria-label={`Sheet ${k + 1} as SVG`}
              onClick={() => download({ name: `${name}-${k + 1}.svg`, text: svg, type: "image/svg+xml" })}
            >
              <Download aria-hidden size={18} /> SVG
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

/** Templates at true size, to be looked at, printed and kept. */
export function PapersLook({ pattern, place, solved, title }: LookProps) {
  const [{ kind: asked, paper, scale }, set] = useDesk<State>("papers", { kind: "", paper: "a4", scale: 1 });
  const fitting = TEMPLATES.filter(({ fits }) => fits(place.surface));
  const kind = fitting.find(({ id }) => id === asked)?.id ?? fitting[0]!.id;
  return (
    <div className="grid gap-4">
      <div className="grid items-end gap-3 sm:grid-cols-[minmax(0,16rem)_auto]">
        <Choice label="Template" value={kind} choices={fitting.map(({ id, name: called }) => ({ id, name: called }))} onChange={(id) => set({ kind: id })} />
        <Radios
          legend="Paper"
          value={paper}
          choices={Object.entries(PAPERS).map(([id, { name: called }]) => ({ id, name: called }))}
          onChange={(id) => set({ paper: id as PaperId })}
        />
      </div>
      <Sheets
        kind={kind}
        paper={paper}
        scale={scale}
        rescale={(next) => set({ scale: next })}
        surface={place.surface}
        solved={solved}
        slices={pattern.guides && pattern.guides > 1 ? pattern.guides : USUAL_SLICES}
        keepOuts={pattern.keepOuts}
        title={title}
      />
    </div>
  );
}
