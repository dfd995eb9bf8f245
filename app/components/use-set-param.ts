import { useSearchParams } from "react-router";

/** A number as the address has it; null takes it away. */
export const said = (value: number | undefined) => (value === undefined ? null : String(value));

/**
 * One word of the page's address.
 *
 * @param replace false: going back comes to the word it had before
 * @returns its value, null where it is not there, and how it is set; null takes it away
 */
export function useSetParam(name: string, replace = true): readonly [string | null, (value: string | null) => void] {
  const [params, setParams] = useSearchParams();
  const set = (value: string | null) =>
    setParams(
      (before) => {
        const after = new URLSearchParams(before);
        if (value === null) after.delete(name);
        else after.set(name, value);
        return after;
      },
      { replace, preventScrollReset: true },
    );
  return [params.get(name), set];
}
