import { useId } from "react";
import { useTyped } from "~/components/use-typed";

interface Props {
  readonly label: string;
  readonly unit: string;
  readonly value: number | undefined;
  /** Shown softly where nothing is said. */
  readonly typical?: string | undefined;
  readonly bounds: { readonly least: number; readonly most: number };
  readonly whole?: boolean;
  /** @param value undefined: it is not said any more */
  readonly save: (value: number | undefined) => void;
}

const NUMBER = /^-?\d+(?:[.,]\d+)?$/;

/** A number off a label; left empty the typical one stands, softly. */
export function NumberField({ label, unit, value, typical, bounds: { least, most }, whole = false, save }: Props) {
  const id = useId();
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
    <div>
      <label htmlFor={id}>
        {label} <span className="text-soft">({unit})</span>
      </label>
      <input
        id={id}
        className="field placeholder:text-soft placeholder:italic"
        inputMode="decimal"
        autoComplete="off"
        value={field.text}
        placeholder={typical}
        aria-invalid={field.wrong !== null}
        aria-describedby={field.wrong === null ? undefined : `${id}-wrong`}
        onFocus={field.begin}
        onChange={(event) => field.type(event.target.value)}
        onBlur={field.leave}
      />
      {field.wrong !== null && (
        <span id={`${id}-wrong`} role="alert" className="text-stop">
          {field.wrong}
        </span>
      )}
    </div>
  );
}
