import { useMemo, useState } from "react";
import type { ReactNode } from "react";
import type { MarkingPlace } from "#core/marking/solve-piece";
import { solvePattern } from "#core/marking/solve";
import type { KeepOut } from "#core/piece/pattern";
import { Radios, Tick } from "~/components/fields";
import { useAppContext } from "~/components/app-context";
import { Looks, useLook } from "~/components/looks";
import { sayFine } from "#core/units/length";
import { Slider } from "~/mixing/slider";
import type { DeskProps, LookProps } from "./look-props";
import { LinesLook } from "./lines-look";
import { MarkingDrawing } from "./marking-drawing";
import { PapersLook } from "./papers-look";
import { RowsLook } from "./rows-look";
import { TableLook } from "./table-look";
import { TextLook } from "./text-look";
import { ToolsLook } from "./tools-look";
import { UnevenPart } from "./uneven-part";

const LOOKS = [
  { id: "rows", name: "Rows" },
  { id: "lines", name: "Lines" },
  { id: "table", name: "At the table", short: "Table" },
  { id: "papers", name: "Papers" },
  { id: "text", name: "Text" },
  { id: "tools", name: "Tools" },
] as const;
type Look = (typeof LOOKS)[number]["id"];

function sizeText({ surface }: MarkingPlace, unit: "mm" | "in"): string {
  const say = (mm: number) => sayFine(mm, unit);
  if (surface.shape === "top") return surface.round ? `${say(surface.widthMm)} across` : `${say(surface.widthMm)} × ${say(surface.heightMm)}`;
  const [foot, rim] = [surface.ring(surface.from).lengthMm, surface.ring(surface.to).lengthMm];
  const round = Math.abs(foot - rim) < 1 ? `${say(rim)} round` : `${say(rim)} round at the rim, ${say(foot)} at the foot`;
  return `${say(surface.say(surface.to).heightMm ?? surface.to)} high, ${round}`;
}

const NOTHING: readonly KeepOut[] = [];

/** Rows that solve themselves over one place of a piece. */
export function MarkingDesk(props: DeskProps) {
  const { place, pattern, ground, title, change, counted } = props;
  const { surface } = place;
  const [look, show] = useLook(LOOKS);
  const { units } = useAppContext().settings;
  const [chosen, choose] = useState<string | null>(null);
  const [turned, setTurned] = useState(0);
  const [unrolled, setUnrolled] = useState(false);
  const solved = useMemo(() => solvePattern(surface, pattern), [surface, pattern]);
  const given: LookProps = { ...props, solved, chosen, choose };
  const parts: Readonly<Record<Look, () => ReactNode>> = {
    rows: () => <RowsLook {...given} />,
    lines: () => <LinesLook {...given} />,
    table: () => <TableLook {...given} />,
    papers: () => <PapersLook {...given} />,
    text: () => <TextLook surface={surface} />,
    tools: () => <ToolsLook marking={props.marking} />,
  };
  const marks = solved.rows.reduce((sum, one) => sum + one.marks.length, 0);
  const standing = surface.shape === "wall" && surface.round;
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)] lg:items-start">
      <section aria-label="The piece, true to scale" className="min-w-0 lg:sticky lg:top-4">
        {props.head}
        <MarkingDrawing
          surface={surface}
          solved={solved}
          guides={pattern.byEye ? 1 : (pattern.guides ?? 1)}
          keepOuts={pattern.keepOuts ?? NOTHING}
          ground={ground}
          label={`${title}: ${marks} marks in ${solved.rows.filter(({ refused }) => !refused).length} rows`}
          chosen={chosen}
          choose={choose}
          turned={turned}
          unrolled={unrolled}
          {...(look === "table" && counted ? { set: (one) => Math.min(one.marks.length, counted.of(one.row.id)) } : {})}
        />
        <p className="mt-2 text-center" role="status">
          <strong className="tabular-nums">{marks}</strong> marks; {sizeText(place, units)}.
        </p>
        {standing && (
          <div className="mt-2 flex flex-wrap items-end justify-center gap-4 print:hidden">
            <div className="w-48">
              <Slider
                label="Turn it"
                value={Math.round(turned * 16)}
                least={0}
                most={16}
                step={1}
                says={`${Math.round(turned * 360)}°`}
                onChange={(value) => setTurned(value / 16)}
              />
            </div>
            <Tick name="Laid out flat" on={unrolled} onChange={setUnrolled} />
          </div>
        )}
        {pattern.rows.length > 1 && (
          <div className="mt-2 flex justify-center print:hidden">
            <Radios
              legend="Rows are laid"
              unseen
              value={pattern.from ?? "centre"}
              choices={[
                { id: "centre", name: surface.shape === "top" ? "from the middle out" : "from the foot up" },
                { id: "rim", name: surface.shape === "top" ? "from the rim in" : "from the rim down" },
              ]}
              onChange={(from) => change({ from: from as "centre" | "rim" })}
            />
          </div>
        )}
        {props.subject.form.kind === "pebble" && surface.shape === "top" && (
          <UnevenPart pattern={pattern} surface={surface} change={(radiiMm) => change(radiiMm ? { radiiMm } : {}, radiiMm ? [] : ["radiiMm"])} />
        )}
      </section>
      <Looks label="What to do with the rows" looks={LOOKS} look={look} show={show} parts={parts} className="min-w-0" />
    </div>
  );
}
