import type { LayerTaken } from "#core/coating/facts/layers";
import { MARKS_LIMITS } from "#core/piece/piece";
import type { Layer, Marks } from "#core/piece/piece";
import { typedLength } from "#core/units/length";
import type { LengthUnit } from "#core/units/length";
import { readLength } from "#core/units/read-length";
import { useAppContext } from "~/components/app-context";
import { marksWords, sayShare, SHARES } from "~/components/extent-words";
import { Choice } from "~/components/fields";
import { TypedBox } from "~/components/typed-box";
import { useTyped } from "~/components/use-typed";
import type { Reading } from "~/components/use-typed";

/** What is said of how much of a layer there is; "" where nothing is. */
export function saidExtent({ marks, coverage }: Layer, unit: LengthUnit): string {
  if (marks) return `, ${marksWords(marks, unit)}`;
  return coverage === undefined ? "" : `, ${sayShare(coverage)}`;
}

interface Props {
  readonly layer: Layer;
  readonly taken: LayerTaken | null;
  /** A field that is undefined is left open again. */
  readonly change: (fields: Partial<Layer>, typed?: boolean) => void;
}

/** Nobody has said it. */
const OPEN = null;

function readCount(text: string): Reading<number | null> {
  const { least, most } = MARKS_LIMITS.count;
  if (text.trim() === "") return { value: OPEN };
  const number = /^\d+$/.test(text.trim()) ? Number(text) : NaN;
  return number >= least && number <= most ? { value: number } : { wrong: `a whole number from ${least} to ${most}` };
}

function readSize(text: string, unit: LengthUnit): Reading<number | null> {
  const { least, most } = MARKS_LIMITS.diameterMm;
  if (text.trim() === "") return { value: OPEN };
  const mm = readLength(text, unit);
  if (mm === null) return { wrong: "not a length: 5, 3/16, 8 mm" };
  return mm >= least && mm <= most ? { value: Math.round(mm * 100) / 100 } : { wrong: `between ${sayEnd(least, unit)} and ${sayEnd(most, unit)}` };
}

const sayEnd = (mm: number, unit: LengthUnit) => `${typedLength(mm, unit)} ${unit === "mm" ? "mm" : "in"}`;

/** How many marks, and how large: what is left out is worked out, and shows softly. */
function MarksBoxes({ marks, usual, change }: { marks: Marks | undefined; usual: Marks; change: Props["change"] }) {
  const { settings } = useAppContext();
  const unit = settings.units;
  const put = (fields: Partial<Marks>) => change({ marks: { count: usual.count, diameterMm: usual.diameterMm, ...marks, ...fields } }, true);
  const open = () => change({ marks: undefined } as unknown as Partial<Layer>, true);
  const count = useTyped<number | null>({
    value: marks?.count ?? OPEN,
    text: (number) => (number === OPEN ? "" : String(number)),
    read: readCount,
    save: (number) => (number === OPEN ? open() : put({ count: number })),
  });
  const size = useTyped<number | null>({
    value: marks?.diameterMm ?? OPEN,
    text: (mm) => (mm === OPEN ? "" : typedLength(mm, unit)),
    read: (text) => readSize(text, unit),
    save: (mm) => (mm === OPEN ? open() : put({ diameterMm: mm })),
  });
  return (
    <div className="grid grid-cols-2 gap-2">
      <TypedBox field={count} label="How many" inputMode="numeric" placeholder={`about ${usual.count}`} />
      <TypedBox
        field={size}
        label={`Across, ${unit}`}
        inputMode={unit === "in" ? "text" : "decimal"}
        placeholder={`about ${typedLength(usual.diameterMm, unit)}`}
      />
    </div>
  );
}

/** How much of a layer there is: marks by number and size, anything else by its share of the place. */
export function LayerExtent({ layer: { marks, coverage }, taken, change }: Props) {
  if (!taken && !marks && coverage === undefined) return null;
  const usual = taken?.marks ?? marks;
  if (usual) return <MarksBoxes marks={marks} usual={usual} change={change} />;
  const said = coverage === undefined ? "" : String(coverage);
  const odd = said !== "" && SHARES.every(({ share }) => String(share) !== said);
  return (
    <Choice
      label="How much of the place"
      value={said}
      choices={[
        { id: "", name: taken ? `as is usual: about ${sayShare(taken.coverage)}` : "as is usual" },
        ...(odd ? [{ id: said, name: `${Math.round(Number(said) * 100)} % of it` }] : []),
        ...SHARES.map(({ share }) => ({ id: String(share), name: sayShare(share) })),
      ]}
      onChange={(id) => change({ coverage: id === "" ? undefined : Number(id) } as Partial<Layer>)}
    />
  );
}
