import { useId } from "react";
import type { InputHTMLAttributes, ReactNode } from "react";
import type { TypedField } from "./use-typed";

type Own = "value" | "onChange" | "onFocus" | "onBlur" | "id" | "aria-invalid" | "aria-describedby";

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, Own> {
  readonly field: TypedField;
  /** Over the box; left out where the box is named by `aria-label`. */
  readonly label?: ReactNode;
}

/** A box that is saved while it is typed in; what is wrong with what stands in it is said under it. */
export function TypedBox({ field, label, className = "field", ...box }: Props) {
  const id = useId();
  return (
    <div>
      {label !== undefined && (
        <label htmlFor={id} className="block">
          {label}
        </label>
      )}
      <input
        autoComplete="off"
        {...box}
        id={id}
        className={className}
        value={field.text}
        aria-invalid={field.wrong !== null}
        aria-describedby={field.wrong === null ? undefined : `${id}-wrong`}
        onFocus={field.begin}
        // Half a date is in the box, and is nothing yet.
        onChange={(event) => field.type(event.target.value, event.target.validity.badInput)}
        onBlur={field.leave}
      />
      {field.wrong !== null && (
        <span id={`${id}-wrong`} role="alert" className="block text-stop">
          {field.wrong}
        </span>
      )}
    </div>
  );
}
