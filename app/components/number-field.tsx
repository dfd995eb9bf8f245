import { TypedBox } from "./typed-box";
import { useTyped } from "./use-typed";

interface Props {
  readonly label: string;
  /** Left out where it is a plain number. */
  readonly unit?: string;
  readonly value: number | undefined;
  /** Shown softly where nothing is said. */
  readonly typical?: string | undefined;
  readonly bounds: { readonly least: number; readonly most: number };
  readonly whole?: boolean;
  /**
   * @param value undefined: it is not said any more
   * @param before what it comes instead of, as the user knew it
   */
  readonly save: (value: number | undefined, before: number | undefined) => void;
}

const NUMBER = /^-?\d+(?:[.,]\d+)?$/;

/** A number off a label; left empty the typical one stands, softly. */
export function NumberField({ label, unit, value, typical, bounds: { least, most }, whole = false, save }: Props) {
  const field = useTyped<number | undefined>({
    value,
    text: (number) => (number === undefined ? "" : String(number)),
    read: (text) => {
      const plain = text.trim().replace("−", "-");
      if (plain === "") return { value: undefined };
      const number = NUMBER.test(plain) ? Number(plain.replace(",", ".")) : NaN;
      if (!(number >= least && number <= most) || (whole && !Number.isInteger(number))) return { wrong: `a number from ${least} to ${most}` };
      return { value: number };
    },
    save,
  });
  return (
    <TypedBox
      field={field}
      label={
        <>
          {label}
          {unit !== undefined && <span className="text-soft"> ({unit})</span>}
        </>
      }
      className="field placeholder:text-soft placeholder:italic"
      inputMode="decimal"
      placeholder={typical}
    />
  );
}
