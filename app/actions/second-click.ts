/** Whether what runs now was set off by the second click of a double click on a button. */
let second = false;

/** Controls a second click turns back: what they say is one value, set twice. */
const TURNED = "input, select, textarea, label, [role=switch], [role=checkbox], [role=radio], [aria-pressed], [data-repeats]";

if (typeof document !== "undefined")
  document.addEventListener(
    "click",
    ({ detail, target }) => {
      second = detail > 1 && target instanceof Element && target.closest(TURNED) === null;
      // What a click sets off, the sending of its form among it, runs before anything else does.
      if (second) setTimeout(() => (second = false), 0);
    },
    true,
  );

/**
 * Whether a hand has clicked twice where it meant to click once: by its second click the row it meant may be gone, and the next one under it. Nothing is
 * asked for by such a click. A button that is meant to be pressed again and again says so: `data-repeats`.
 */
export function isSecondClick(): boolean {
  return second;
}
